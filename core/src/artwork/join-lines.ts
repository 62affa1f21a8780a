import type { Ring } from '../polygon/polygon.ts';

/**
 * Open lines put together end to end into rings.
 *
 * @param lines points of each, mm
 * @param near mm within which two ends are one corner
 * @returns rings, and how many lines did not close
 */
export function joinLines(lines: readonly ArrayLike<number>[], near: number): { rings: Ring[]; loose: number } {
  const cell = 4 * near;
  const key = (x: number, y: number): string => `${Math.round(x / cell)} ${Math.round(y / cell)}`;
  const left = new Set(lines.keys());
  const ends = new Map<string, number[]>();
  const around = (x: number, y: number): number[] => {
    const found: number[] = [];
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1]) found.push(...(ends.get(key(x + dx * cell, y + dy * cell)) ?? []));
    return found;
  };
  const endOf = (line: ArrayLike<number>, last: boolean): [number, number] => {
    const at = last ? line.length - 2 : 0;
    return [line[at]!, line[at + 1]!];
  };
  lines.forEach((line, i) => {
    for (const last of [false, true]) {
      const at = key(...endOf(line, last));
      const there = ends.get(at);
      if (there) there.push(i);
      else ends.set(at, [i]);
    }
  });
  const same = (ax: number, ay: number, bx: number, by: number): boolean => Math.hypot(ax - bx, ay - by) <= cell;
  const rings: Ring[] = [];
  let loose = 0;
  for (const first of lines.keys()) {
    if (!left.delete(first)) continue;
    const chain = Array.from(lines[first]!);
    const closes = (): boolean => same(chain[0]!, chain[1]!, chain.at(-2)!, chain.at(-1)!);
    while (!closes() || chain.length < 6) {
      const [x, y] = [chain.at(-2)!, chain.at(-1)!];
      const next = around(x, y).find(
        (i) => left.has(i) && (same(...endOf(lines[i]!, false), x, y) || same(...endOf(lines[i]!, true), x, y)),
      );
      if (next === undefined) break;
      left.delete(next);
      const line = lines[next]!;
      const forwards = same(...endOf(line, false), x, y);
      for (let k = 1; k < line.length / 2; k++) {
        const at = forwards ? 2 * k : line.length - 2 - 2 * k;
        chain.push(line[at]!, line[at + 1]!);
      }
    }
    if (chain.length >= 8 && closes()) rings.push(Float64Array.from(chain.slice(0, -2)));
    else loose += 1;
  }
  return { rings, loose };
}

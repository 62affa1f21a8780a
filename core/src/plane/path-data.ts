import svgpath from 'svgpath';
import { arcToCubics } from './elliptic-arc.ts';
import type { Path, Segment } from './path.ts';
import type { Point } from './point.ts';

/**
 * Reads SVG path data into paths. SVG counts y downwards; the result counts it upwards. Arcs become cubics.
 *
 * @param data the `d` attribute
 * @returns one path a subpath, in the drawing's own units
 * @throws SyntaxError when the data is malformed or holds a number that is not finite
 */
export function parsePathData(data: string): Path[] {
  const { paths, error } = readPathData(data);
  if (error !== null) throw new SyntaxError(error);
  return paths;
}

/** How many numbers each command takes at a time. */
const TAKES: { readonly [command: string]: number } = { m: 2, l: 2, t: 2, h: 1, v: 1, c: 6, s: 4, q: 4 };

/**
 * Whether {@link parsePathData} reads path data without a mistake: faster than reading it, for data that is only kept.
 * Arcs, which nothing that is kept has, are read.
 */
export function isPathData(data: string): boolean {
  if (/[aA]/.test(data)) return readPathData(data).error === null;
  const command = /\s*([MmLlTtHhVvCcSsQqZz])/y;
  const number = /\s*(,?)\s*([+-]?(?:(?:0(?!\d)|[1-9]\d*)\.?\d*|\.\d+)(?:[eE][+-]?\d+)?)/y;
  let first = true;
  for (let at = 0; at < data.length;) {
    command.lastIndex = at;
    const found = command.exec(data);
    if (!found) return data.slice(at).trim() === '';
    const name = found[1]!.toLowerCase();
    if (first && name !== 'm') return false;
    first = false;
    let count = 0;
    for (at = command.lastIndex; ; at = number.lastIndex, count += 1) {
      number.lastIndex = at;
      const one = number.exec(data);
      if (!one) break;
      if ((count === 0 && one[1] === ',') || !Number.isFinite(Number(one[2]))) return false;
    }
    if (name === 'z' ? count > 0 : count === 0 || count % TAKES[name]! !== 0) return false;
  }
  return true;
}

/**
 * Reads SVG path data as far as it makes sense, as the standard requires of renderers.
 *
 * @param data the `d` attribute
 * @returns one path a subpath up to the first error, y upwards, and what the error was; null for none
 */
export function readPathData(data: string): { readonly paths: Path[]; readonly error: string | null } {
  const parsed = svgpath(data).abs().unshort() as unknown as {
    err: string;
    segments: [string, ...number[]][];
  };
  let error: string | null = parsed.err || null;
  const paths: Path[] = [];
  let start: Point | null = null;
  let from: Point = { x: 0, y: 0 };
  let segments: Segment[] = [];
  const finish = (closed: boolean): void => {
    if (start && segments.length > 0) paths.push({ start, segments, closed });
    segments = [];
    start = null;
  };
  for (const [command, ...numbers] of parsed.segments) {
    if (numbers.some((n) => !Number.isFinite(n))) {
      error = `a number in ${command} is not finite`;
      break;
    }
    const p = (i: number): Point => ({ x: numbers[2 * i]!, y: -numbers[2 * i + 1]! });
    if (command === 'M') {
      finish(false);
      start = from = p(0);
      continue;
    }
    start ??= from;
    if (command === 'Z') {
      const home: Point = start;
      finish(true);
      from = home;
      continue;
    }
    if (command === 'L') segments.push({ kind: 'line', to: p(0) });
    else if (command === 'H') segments.push({ kind: 'line', to: { x: numbers[0]!, y: from.y } });
    else if (command === 'V') segments.push({ kind: 'line', to: { x: from.x, y: -numbers[0]! } });
    else if (command === 'C') segments.push({ kind: 'cubic', c1: p(0), c2: p(1), to: p(2) });
    else if (command === 'Q') {
      const c = p(0);
      const to = p(1);
      const third = (a: Point): Point => ({ x: a.x + (2 / 3) * (c.x - a.x), y: a.y + (2 / 3) * (c.y - a.y) });
      segments.push({ kind: 'cubic', c1: third(from), c2: third(to), to });
    } else if (command === 'A') {
      const [rx, ry, degrees, large, sweep, x, y] = numbers as [number, number, number, number, number, number, number];
      // With y upwards everything turns the other way.
      const turn = (-degrees * Math.PI) / 180;
      segments.push(...arcToCubics(from, [rx, ry], turn, large !== 0, sweep === 0, { x, y: -y }));
      from = { x, y: -y };
      continue;
    } else {
      error = `unknown path command ${command}`;
      break;
    }
    from = segments.at(-1)!.to;
  }
  finish(false);
  return { paths, error };
}

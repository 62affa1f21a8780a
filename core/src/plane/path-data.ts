import svgpath from 'svgpath';
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
  const parsed = svgpath(data).abs().unshort().unarc() as unknown as {
    err: string;
    segments: [string, ...number[]][];
  };
  if (parsed.err) throw new SyntaxError(parsed.err);
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
    if (numbers.some((n) => !Number.isFinite(n))) throw new SyntaxError(`a number in ${command} is not finite`);
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
    } else throw new SyntaxError(`unknown path command ${command}`);
    from = segments.at(-1)!.to;
  }
  finish(false);
  return paths;
}

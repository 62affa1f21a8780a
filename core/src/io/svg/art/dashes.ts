import { EPSILON } from '../../../numeric/tolerances.ts';
import type { Ring } from '../../../polygon/polygon.ts';

/** Share of a dash's line width that stands for a dash of no length, so that its ends are drawn where it points. */
const DOT = 1e-3;
/** Dashes of one line; more are a tone, not dashes. */
const MOST = 20_000;

/**
 * The dashes of a line.
 *
 * @param line its points; closed ones come back to their start
 * @param pattern dash and gap by turns, ≥ 0, not all nothing
 * @param offset where in the pattern the line begins
 * @param width of the line
 * @returns open lines; null when there would be too many
 */
export function dashesOf(
  line: Ring,
  closed: boolean,
  pattern: readonly number[],
  offset: number,
  width: number,
): Ring[] | null {
  const even = pattern.length % 2 ? [...pattern, ...pattern] : pattern;
  const period = even.reduce((sum, v) => sum + v, 0);
  const points: [number, number][] = [];
  for (let i = 0; i < line.length; i += 2) points.push([line[i]!, line[i + 1]!]);
  if (closed && points.length > 1) points.push(points[0]!);
  let total = 0;
  for (let i = 1; i < points.length; i++)
    total += Math.hypot(points[i]![0] - points[i - 1]![0], points[i]![1] - points[i - 1]![1]);
  if ((total / period) * even.length > MOST) return null;
  let at = ((offset % period) + period) % period;
  let index = 0;
  while (at > 0 && at >= even[index]! && index < even.length - 1) at -= even[index++]!;
  let left = even[index]! - at;
  const out: Ring[] = [];
  let dash: number[] | null = index % 2 === 0 ? [...(points[0] ?? [])] : null;
  const startsOn = dash !== null;
  const finish = (ux: number, uy: number): void => {
    const isDot = dash?.length === 4 && dash[0] === dash[2] && dash[1] === dash[3];
    if (dash && isDot) dash.splice(2, 2, dash[0]! + ux * DOT * width, dash[1]! + uy * DOT * width);
    if (dash && dash.length >= 4) out.push(Float64Array.from(dash));
    dash = null;
  };
  for (let i = 1; i < points.length; i++) {
    const [ax, ay] = points[i - 1]!;
    const [bx, by] = points[i]!;
    const length = Math.hypot(bx - ax, by - ay);
    if (length === 0) continue;
    const [ux, uy] = [(bx - ax) / length, (by - ay) / length];
    let gone = 0;
    while (length - gone > left + EPSILON * period) {
      gone += left;
      const [x, y] = [ax + ux * gone, ay + uy * gone];
      dash?.push(x, y);
      finish(ux, uy);
      index = (index + 1) % even.length;
      left = even[index]!;
      if (index % 2 === 0) dash = [x, y];
    }
    left -= length - gone;
    // A dash that would only begin at the very end is none.
    if (dash && (dash.length > 2 || dash[0] !== bx || dash[1] !== by)) dash.push(bx, by);
  }
  const last: number[] | null = dash;
  if (last === null || last.length < 4) return out;
  // Round a closed line the last dash runs on into the first.
  if (closed && startsOn && out.length > 0) out[0] = Float64Array.from([...last, ...out[0]!.slice(2)]);
  else out.push(Float64Array.from(last));
  return out;
}

import { flattenPath } from './flatten.ts';
import type { Path } from './path.ts';

/** Length of a path, mm, to about a thousandth. */
export function pathLength(path: Path): number {
  const points = flattenPath(path, 0.02);
  let length = 0;
  for (let i = 2; i < points.length; i += 2)
    length += Math.hypot(points[i]! - points[i - 2]!, points[i + 1]! - points[i - 1]!);
  if (path.closed && points.length > 4) length += Math.hypot(points[0]! - points.at(-2)!, points[1]! - points.at(-1)!);
  return length;
}

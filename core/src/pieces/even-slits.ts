import type { EvenSlits } from '../model/looked.ts';
import { subtractRings } from '../polygon/boolean.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';

/** mm. A slit that is only computed with is a notch so narrow. */
const SLIT_MM = 0.02;

/** Middle of a piece as its slits take it: the mean of its outline; and how far its edge reaches. */
export function middleOf({ outer }: Polygon): { x: number; y: number; reach: number } {
  let [x, y, whole, reach] = [0, 0, 0, 0];
  for (let i = 0, n = outer.length; i < n; i += 2) {
    const [ax, ay, bx, by] = [outer[i]!, outer[i + 1]!, outer[(i + 2) % n]!, outer[(i + 3) % n]!];
    const length = Math.hypot(bx - ax, by - ay);
    x += ((ax + bx) / 2) * length;
    y += ((ay + by) / 2) * length;
    whole += length;
  }
  [x, y] = [x / whole, y / whole];
  for (let i = 0; i < outer.length; i += 2) reach = Math.max(reach, Math.hypot(outer[i]! - x, outer[i + 1]! - y));
  return { x, y, reach };
}

/**
 * A piece with even slits from its edge; null where they would take it apart.
 *
 * @param open mm by which each is open at the edge; left out, a hair
 */
export function withSlits(
  piece: Polygon,
  { count, deep, turn }: EvenSlits,
  open = SLIT_MM,
): { readonly piece: Polygon; readonly depthMm: number } | null {
  const { x, y, reach } = middleOf(piece);
  const notches = Array.from({ length: count }, (_, k): Ring => {
    const way = turn + (2 * Math.PI * k) / count;
    const [cos, sin] = [Math.cos(way), Math.sin(way)];
    // As wide as it is open where the edge is farthest, and on from there.
    const half = (open / 2) * (1 + 0.1 / deep);
    const at = (along: number, aside: number): number[] => [x + along * cos - aside * sin, y + along * sin + aside * cos]; // prettier-ignore
    return Float64Array.from([...at(reach * (1 - deep), 0), ...at(reach * 1.1, -half), ...at(reach * 1.1, half)]);
  });
  const [one, ...others] = subtractRings(ringsOf(piece), notches);
  return one && others.length === 0 && one.holes.length === piece.holes.length
    ? { piece: one, depthMm: reach * deep }
    : null;
}

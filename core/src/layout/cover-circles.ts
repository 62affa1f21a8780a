import { convexOutline, enclosingCircle, type Circle } from '../plane/enclosing.ts';
import type { Ring } from '../polygon/polygon.ts';

/** Into how many a long shape is cut at most, and what each more has to save of the area that the circles take. */
const [MOST, WORTH] = [8, 0.06];

/**
 * A few circles that cover a shape with what it encloses: one for what is round, a row of them for what is long. Shapes
 * are spread by them: turned as easily as moved, and near enough to what they are.
 *
 * @param rings outlines, mm
 * @returns at least one; empty for nothing
 */
export function coverCircles(rings: readonly Ring[]): Circle[] {
  const points = rings.flatMap((ring) => Array.from({ length: ring.length / 2 }, (_, i) => [ring[2 * i]!, ring[2 * i + 1]!] as const)); // prettier-ignore
  if (points.length === 0) return [];
  const hull = convexOutline(points);
  const axis = longAxis(hull);
  let best: Circle[] = [enclosingCircle(hull)];
  let least = areaOf(best);
  for (let count = 2; count <= MOST; count++) {
    const row = slabs(hull, axis, count).map(enclosingCircle);
    const area = areaOf(row) * (1 + WORTH * (count - best.length));
    if (area < least) [best, least] = [row, areaOf(row)];
  }
  return best;
}

const areaOf = (circles: readonly Circle[]): number => circles.reduce((sum, { r }) => sum + r * r, 0);

type Spot = readonly [number, number];

/** Direction from corner to corner of a hull that lie farthest apart. */
function longAxis(hull: readonly Spot[]): Spot {
  let [far, axis]: [number, Spot] = [0, [1, 0]];
  for (const a of hull)
    for (const b of hull) {
      const d = Math.hypot(b[0] - a[0], b[1] - a[1]);
      if (d > far) [far, axis] = [d, [(b[0] - a[0]) / d, (b[1] - a[1]) / d]];
    }
  return axis;
}

/** A hull cut across its axis into slabs of one length: the corners of each. */
function slabs(hull: readonly Spot[], [ux, uy]: Spot, count: number): Spot[][] {
  const along = (p: Spot): number => p[0] * ux + p[1] * uy;
  const from = Math.min(...hull.map(along));
  const step = (Math.max(...hull.map(along)) - from) / count;
  const crossing = (at: number): Spot[] =>
    hull.flatMap((a, i) => {
      const b = hull[(i + 1) % hull.length]!;
      const [s, t] = [along(a), along(b)];
      if ((s - at) * (t - at) >= 0) return [];
      const share = (at - s) / (t - s);
      return [[a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])] as const];
    });
  return Array.from({ length: count }, (_, k) => {
    const [low, high] = [from + k * step, from + (k + 1) * step];
    const within = hull.filter((p) => along(p) >= low && along(p) <= high);
    return [...within, ...crossing(low), ...crossing(high)];
  }).filter((corners) => corners.length > 0);
}

/** A circle in the plane, mm. */
export interface Circle {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

type Spot = readonly [number, number];

/**
 * Corners of the convex outline of points, counter-clockwise.
 *
 * @source monotone chain: A. M. Andrew, "Another efficient algorithm for convex hulls in two dimensions", 1979
 */
export function convexOutline(points: readonly Spot[]): Spot[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  if (sorted.length < 3) return sorted;
  const half = (ordered: readonly Spot[]): Spot[] => {
    const chain: Spot[] = [];
    for (const p of ordered) {
      while (chain.length >= 2 && turn(chain.at(-2)!, chain.at(-1)!, p) <= 0) chain.pop();
      chain.push(p);
    }
    chain.pop();
    return chain;
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

const turn = (a: Spot, b: Spot, c: Spot): number => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Share by which a point may lie outside of a circle through others, for rounding. */
const SLACK = 1e-9;

/**
 * The smallest circle round points.
 *
 * @param points one or more
 * @source E. Welzl, "Smallest enclosing disks (balls and ellipsoids)", 1991, as three nested passes
 */
export function enclosingCircle(points: readonly Spot[]): Circle {
  const outside = ({ x, y, r }: Circle, p: Spot): boolean => Math.hypot(p[0] - x, p[1] - y) > r * (1 + SLACK) + SLACK;
  let circle: Circle = { x: points[0]?.[0] ?? 0, y: points[0]?.[1] ?? 0, r: 0 };
  for (const [i, a] of points.entries()) {
    if (!outside(circle, a)) continue;
    circle = { x: a[0], y: a[1], r: 0 };
    for (const [j, b] of points.slice(0, i).entries()) {
      if (!outside(circle, b)) continue;
      circle = across(a, b);
      for (const c of points.slice(0, j)) if (outside(circle, c)) circle = through(a, b, c) ?? circle;
    }
  }
  return circle;
}

const across = (a: Spot, b: Spot): Circle => ({
  x: (a[0] + b[0]) / 2,
  y: (a[1] + b[1]) / 2,
  r: Math.hypot(a[0] - b[0], a[1] - b[1]) / 2,
});

/** The circle through three corners; null when they lie on a line. */
function through(a: Spot, b: Spot, c: Spot): Circle | null {
  const [bx, by, cx, cy] = [b[0] - a[0], b[1] - a[1], c[0] - a[0], c[1] - a[1]];
  const d = 2 * (bx * cy - by * cx);
  if (d === 0) return null;
  const [bb, cc] = [bx * bx + by * by, cx * cx + cy * cy];
  const [x, y] = [(cy * bb - by * cc) / d, (bx * cc - cx * bb) / d];
  return { x: a[0] + x, y: a[1] + y, r: Math.hypot(x, y) };
}

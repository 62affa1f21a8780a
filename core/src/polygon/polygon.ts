/** A closed ring of interleaved points [x0, y0, x1, y1, …], mm, start not repeated. */
export type Ring = Float64Array;

/** One connected area: an outer ring (counter-clockwise) and its holes (clockwise). */
export interface Polygon {
  readonly outer: Ring;
  readonly holes: readonly Ring[];
}

/**
 * Signed area of a ring, mm²; counter-clockwise is positive.
 *
 * @source shoelace formula, taken about the first point so that far-away rings lose no digits
 */
export function ringArea(ring: ArrayLike<number>): number {
  const n = ring.length;
  if (n < 6) return 0;
  const x0 = ring[0]!;
  const y0 = ring[1]!;
  let twice = 0;
  for (let i = 2; i + 3 < n; i += 2)
    twice += (ring[i]! - x0) * (ring[i + 3]! - y0) - (ring[i + 2]! - x0) * (ring[i + 1]! - y0);
  return twice / 2;
}

/** Area of a polygon without its holes, mm². */
export function polygonArea(polygon: Polygon): number {
  return polygon.holes.reduce((sum, hole) => sum - Math.abs(ringArea(hole)), Math.abs(ringArea(polygon.outer)));
}

/** All rings of a polygon, the outer one first. */
export function ringsOf(polygon: Polygon): readonly Ring[] {
  return [polygon.outer, ...polygon.holes];
}

/** A ring that goes the other way round. */
export function reverseRing(ring: Ring): Ring {
  const out = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    out[i] = ring[ring.length - 2 - i]!;
    out[i + 1] = ring[ring.length - 1 - i]!;
  }
  return out;
}

/** A ring seen in a mirror across x = 0, turning the way it did. */
export const mirrorRing = (ring: Ring): Ring => reverseRing(ring.map((value, i) => (i % 2 ? value : -value)));

/** Whether a point is inside a ring (even-odd), by the crossings of a ray to the right. */
export function ringContains(ring: ArrayLike<number>, x: number, y: number): boolean {
  let inside = false;
  const n = ring.length;
  for (let i = 0, j = n - 2; i < n; j = i, i += 2) {
    const yi = ring[i + 1]!;
    const yj = ring[j + 1]!;
    if (yi > y !== yj > y && x < ((ring[j]! - ring[i]!) * (y - yi)) / (yj - yi) + ring[i]!) inside = !inside;
  }
  return inside;
}

/** Length of a way from point to point, mm; back to its start where it closes. */
export function ringLength(ring: Ring, closed = true): number {
  let sum = 0;
  for (let i = 2; i < ring.length; i += 2) sum += Math.hypot(ring[i]! - ring[i - 2]!, ring[i + 1]! - ring[i - 1]!);
  const n = ring.length;
  return closed && n > 2 ? sum + Math.hypot(ring[0]! - ring[n - 2]!, ring[1]! - ring[n - 1]!) : sum;
}

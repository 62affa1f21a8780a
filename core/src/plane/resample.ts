import { MAP_ERROR_MM, RESAMPLE_DEPTH } from '../numeric/tolerances.ts';

/** Maps (x, y) and writes the result into `out[0]`, `out[1]`; nothing is allocated in inner loops. */
export type PlaneMap = (x: number, y: number, out: Float64Array) => void;

/**
 * Maps a closed ring point by point and adds points until no chord strays from the true mapped edge.
 *
 * @param ring interleaved points of a closed ring, start not repeated
 * @param map the map; smooth along each edge
 * @param maxError largest distance from a chord to the mapped edge, in the unit of the map's result
 * @param maxStep longest edge that is tested whole, in the unit of the ring; longer ones are split first, so that an
 *   edge that bends both ways cannot hide between its ends and its middle
 * @returns the mapped ring, interleaved
 * @source like the adaptive resampling of map projections: midpoint test on the true map, with a depth cap
 */
export function resampleRing(
  ring: ArrayLike<number>,
  map: PlaneMap,
  maxError = MAP_ERROR_MM,
  maxStep = 10,
): Float64Array {
  const out: number[] = [];
  const spot = new Float64Array(2);
  const n = ring.length / 2;
  if (n === 0) return new Float64Array(0);
  map(ring[0]!, ring[1]!, spot);
  let mapped0x = spot[0]!;
  let mapped0y = spot[1]!;
  for (let i = 0; i < n; i++) {
    const j = (i + 1) % n;
    const x0 = ring[2 * i]!;
    const y0 = ring[2 * i + 1]!;
    const x1 = ring[2 * j]!;
    const y1 = ring[2 * j + 1]!;
    out.push(mapped0x, mapped0y);
    const edge = Math.sqrt((x1 - x0) * (x1 - x0) + (y1 - y0) * (y1 - y0));
    const parts = Math.max(1, Math.ceil(edge / maxStep));
    for (let k = 1; k <= parts; k++) {
      const xa = x0 + ((x1 - x0) * (k - 1)) / parts;
      const ya = y0 + ((y1 - y0) * (k - 1)) / parts;
      const xb = k === parts ? x1 : x0 + ((x1 - x0) * k) / parts;
      const yb = k === parts ? y1 : y0 + ((y1 - y0) * k) / parts;
      map(xb, yb, spot);
      const bx = spot[0]!;
      const by = spot[1]!;
      refine(xa, ya, mapped0x, mapped0y, xb, yb, bx, by, RESAMPLE_DEPTH);
      if (k < parts) out.push(bx, by);
      mapped0x = bx;
      mapped0y = by;
    }
  }
  return Float64Array.from(out);

  function refine(
    xa: number,
    ya: number,
    ax: number,
    ay: number,
    xb: number,
    yb: number,
    bx: number,
    by: number,
    depth: number,
  ): void {
    const xm = (xa + xb) / 2;
    const ym = (ya + yb) / 2;
    map(xm, ym, spot);
    const mx = spot[0]!;
    const my = spot[1]!;
    const missX = mx - (ax + bx) / 2;
    const missY = my - (ay + by) / 2;
    if (depth === 0 || missX * missX + missY * missY <= maxError * maxError) return;
    refine(xa, ya, ax, ay, xm, ym, mx, my, depth - 1);
    out.push(mx, my);
    refine(xm, ym, mx, my, xb, yb, bx, by, depth - 1);
  }
}

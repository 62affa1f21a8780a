/**
 * A closed ring with fewer points, none of those left out further than a tolerance from the line that takes their place.
 *
 * @param ring interleaved points of a closed ring
 * @param tolerance mm
 * @returns a ring through some of the same points; the ring itself when it is a triangle or less
 * @source D. H. Douglas, T. K. Peucker, "Algorithms for the reduction of the number of points required to represent a
 *   digitized line or its caricature", 1973, on the two halves between the first point and the farthest from it
 */
export function simplifyRing(ring: Float64Array, tolerance: number): Float64Array {
  const n = ring.length / 2;
  if (n <= 3) return ring;
  const keep = new Uint8Array(n + 1);
  let far = 0;
  let most = -1;
  for (let i = 1; i < n; i++) {
    const d = (ring[2 * i]! - ring[0]!) ** 2 + (ring[2 * i + 1]! - ring[1]!) ** 2;
    if (d > most) [most, far] = [d, i];
  }
  keep[0] = keep[far] = keep[n] = 1;
  const runs: [number, number][] = [[0, far], [far, n]]; // prettier-ignore
  for (let run = runs.pop(); run; run = runs.pop()) {
    const [from, to] = run;
    const [ax, ay] = [ring[2 * from]!, ring[2 * from + 1]!];
    const [bx, by] = [ring[(2 * to) % ring.length]!, ring[(2 * to + 1) % ring.length]!];
    const [dx, dy] = [bx - ax, by - ay];
    const length = dx * dx + dy * dy;
    let worst = tolerance * tolerance;
    let at = -1;
    for (let i = from + 1; i < to; i++) {
      const [px, py] = [ring[2 * i]! - ax, ring[2 * i + 1]! - ay];
      const t = length > 0 ? Math.max(0, Math.min(1, (px * dx + py * dy) / length)) : 0;
      const d = (px - t * dx) ** 2 + (py - t * dy) ** 2;
      if (d > worst) [worst, at] = [d, i];
    }
    if (at < 0) continue;
    keep[at] = 1;
    runs.push([from, at], [at, to]);
  }
  const out: number[] = [];
  for (let i = 0; i < n; i++) if (keep[i]) out.push(ring[2 * i]!, ring[2 * i + 1]!);
  return out.length >= 6 ? Float64Array.from(out) : ring;
}

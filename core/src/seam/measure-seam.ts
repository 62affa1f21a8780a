import type { Ring } from '../polygon/polygon.ts';
import type { SeamPath } from './path.ts';

/** The side of a blank with the film on it, through which a seam has to find its way. */
export interface SeamField {
  /** Length of the side, mm, and distance from the axis at a slant, mm. */
  readonly side: number;
  radiusAt(slant: number): number;
  /** Outlines as [azimuth rad, slant mm] rings; each group is clean film, outer rings and holes turning opposite ways. */
  readonly groups: readonly (readonly Ring[])[];
}

/** A seam that was found. */
export interface FoundSeam {
  readonly path: SeamPath;
  /** Whether it keeps the clearance from every piece that can be avoided. */
  readonly free: boolean;
  /** mm of film that it cuts through. */
  readonly cutMm: number;
  /** mm that it is longer than the side. */
  readonly wanderMm: number;
}

/** What a given seam cuts; it counts as free when it touches no film. */
export function measureSeam(field: SeamField, path: SeamPath): FoundSeam {
  const { cutMm, wanderMm } = measure(field, path);
  return { path, free: cutMm === 0, cutMm, wanderMm };
}

/** How much longer than the side a path is, and the film that it runs through, exactly: from crossing to crossing. */
export function measure(field: SeamField, path: SeamPath): { cutMm: number; wanderMm: number } {
  let cutMm = 0;
  let length = 0;
  const turn = 2 * Math.PI;
  for (let i = 1; i < path.slants.length; i++) {
    const [v0, v1] = [path.slants[i - 1]!, path.slants[i]!];
    const [a0, a1] = [path.azimuths[i - 1]!, path.azimuths[i]!];
    const slope = (a1 - a0) / (v1 - v0);
    const way = Math.hypot(v1 - v0, (a1 - a0) * Math.max(1, field.radiusAt((v0 + v1) / 2)));
    length += way;
    // Stretches of film along the segment, as heights.
    const stretches: [number, number][] = [];
    for (const group of field.groups) {
      const crossings: [number, number][] = [];
      for (const ring of group) crossSegment(ring, { v0, v1, a0, slope, turn }, crossings);
      crossings.sort((p, q) => p[0] - q[0]);
      let depth = 0;
      for (const [k, [v, by]] of crossings.entries()) {
        depth += by;
        if (depth !== 0 && k + 1 < crossings.length)
          stretches.push([Math.max(v0, v), Math.min(v1, crossings[k + 1]![0])]);
      }
    }
    stretches.sort((p, q) => p[0] - q[0]);
    let done = v0;
    for (const [from, to] of stretches) {
      if (to <= Math.max(done, from)) continue;
      cutMm += ((to - Math.max(done, from)) / (v1 - v0)) * way;
      done = to;
    }
  }
  return { cutMm, wanderMm: length - field.side };
}

/** Heights at which the line of a segment, run on both ways, crosses a ring, with the sense of the crossing. */
function crossSegment(
  ring: Ring,
  { v0, v1, a0, slope, turn }: { v0: number; v1: number; a0: number; slope: number; turn: number },
  out: [number, number][],
): void {
  let [least, most, top, foot] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 1; i < ring.length; i += 2) {
    if (ring[i]! < top) top = ring[i]!;
    if (ring[i]! > foot) foot = ring[i]!;
  }
  if (top > v1 || foot < v0) return;
  for (let i = 0; i < ring.length; i += 2) {
    const off = ring[i]! - a0 - slope * (ring[i + 1]! - v0);
    if (off < least) least = off;
    if (off > most) most = off;
  }
  for (let k = Math.ceil(least / turn); k <= Math.floor(most / turn); k++)
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const j = (i + 2) % n;
      const p = ring[i]! - a0 - slope * (ring[i + 1]! - v0) - k * turn;
      const q = ring[j]! - a0 - slope * (ring[j + 1]! - v0) - k * turn;
      if (p > 0 === q > 0) continue;
      const v = ring[i + 1]! + ((ring[j + 1]! - ring[i + 1]!) * p) / (p - q);
      out.push([Math.max(v0 - 1, Math.min(v1 + 1, v)), q > 0 ? 1 : -1]);
    }
}

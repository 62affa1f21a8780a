import { contours } from 'd3-contour';
import { fitRing } from '../../plane/fit.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { reverseRing, ringArea } from '../../polygon/polygon.ts';

/** px by which the fitted outline may leave the traced one. */
const FIT_PX = 0.35;

/** Outlines of a field at one half, px, y down; outer ones clockwise there, so that they turn right once y is up. */
export function outlinesOf(field: Float32Array, width: number, height: number, speckPx2: number): Ring[] {
  const found = contours()
    .size([width, height])
    .smooth(true)
    .contour(field as unknown as number[], 0.5);
  const rings: Ring[] = [];
  for (const polygon of found.coordinates)
    polygon.forEach((points, k) => {
      const raw = Float64Array.from(points.slice(0, -1).flat());
      if (raw.length < 6 || Math.abs(ringArea(raw)) < Math.max(speckPx2, 1)) return;
      const ring = flattenPath(fitRing(sharpened(raw), FIT_PX), 0.05);
      // Outer rings counter-clockwise with y up is clockwise with y down, and the other way round for holes.
      const outwards = ringArea(ring) < 0;
      rings.push(outwards === (k === 0) ? ring : reverseRing(ring));
    });
  return rings;
}

/** Points looked at on each side of a corner, from and to, about a pixel apart: the sharper it is, the more of it is rounded. */
const WINDOWS = [
  [2, 5],
  [3, 7],
  [4, 9],
] as const;

const WIDEST = 9;

/** Points to either side whose chords tell whether there may be a corner. */
const SPAN = 4;

/** Sharpest turn that is no corner, and what the raster cuts off a right-angled one, px; sharper ones lose more. */
const [LEAST_CORNER, TIP_CUT] = [0.6, 0.55];

interface Corner {
  readonly turn: number;
  readonly tip: readonly [number, number];
  /** Points on each side that the raster has rounded. */
  readonly rounded: number;
}

/**
 * Puts corners back that the raster has cut off: where two straight runs meet within a few points, they are drawn on to
 * where they cross.
 */
function sharpened(ring: Ring): Ring {
  const n = ring.length / 2;
  if (n < 4 * WIDEST) return ring;
  const corners = Array.from({ length: n }, (_, i) => cornerAt(ring, i));
  const out: number[] = [];
  const skip = new Uint8Array(n);
  const tips = new Map<number, readonly [number, number]>();
  corners.forEach((corner, i) => {
    if (!corner) return;
    for (let k = -WINDOWS[0][1]; k <= WINDOWS[0][1]; k++) {
      const other = corners[(i + k + n) % n];
      if (other && (other.turn > corner.turn || (other.turn === corner.turn && k < 0))) return;
    }
    tips.set(i, corner.tip);
    for (let k = -corner.rounded; k <= corner.rounded; k++) if (k !== 0) skip[(i + k + n) % n] = 1;
  });
  for (let i = 0; i < n; i++) {
    const tip = tips.get(i);
    if (tip) out.push(...tip);
    else if (skip[i] === 0) out.push(ring[2 * i]!, ring[2 * i + 1]!);
  }
  return Float64Array.from(out);
}

/** The corner at a point of a ring, as the straightest runs beside it have it; null where there is none. */
function cornerAt(ring: Ring, i: number): Corner | null {
  if (bend(ring, i) < LEAST_CORNER / 2) return null;
  let best: Corner | null = null;
  for (const [from, to] of WINDOWS) {
    const before = lineThrough(ring, i, -to, -from);
    const after = before && lineThrough(ring, i, from, to);
    if (!before || !after) continue;
    const cross = before.ux * after.uy - before.uy * after.ux;
    const turn = Math.abs(Math.atan2(cross, before.ux * after.ux + before.uy * after.uy));
    if (turn < LEAST_CORNER || Math.abs(cross) < 0.1 || (best && turn < best.turn + 0.05)) continue;
    const t = ((after.x - before.x) * after.uy - (after.y - before.y) * after.ux) / cross;
    const tip = [before.x + t * before.ux, before.y + t * before.uy] as const;
    if (Math.hypot(tip[0] - ring[2 * i]!, tip[1] - ring[2 * i + 1]!) > TIP_CUT / Math.cos(turn / 2)) continue;
    best = { turn, tip, rounded: from - 1 };
  }
  return best;
}

/** How far the chords to the points beside one turn, rad: quickly told, and little where there is no corner. */
function bend(ring: Ring, i: number): number {
  const n = ring.length / 2;
  const [a, b] = [(i - SPAN + n) % n, (i + SPAN) % n];
  const [x, y] = [ring[2 * i]!, ring[2 * i + 1]!];
  const [ux, uy, vx, vy] = [x - ring[2 * a]!, y - ring[2 * a + 1]!, ring[2 * b]! - x, ring[2 * b + 1]! - y];
  return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
}

/** The line through some points beside one of a ring, by least squares; null where they do not lie straight. */
export function lineThrough(
  ring: Ring,
  i: number,
  from: number,
  to: number,
): { x: number; y: number; ux: number; uy: number } | null {
  const n = ring.length / 2;
  const count = to - from + 1;
  let [x, y, xx, xy, yy] = [0, 0, 0, 0, 0];
  const at = (k: number): [number, number] => {
    const j = (i + k + n) % n;
    return [ring[2 * j]!, ring[2 * j + 1]!];
  };
  for (let k = from; k <= to; k++) {
    const [px, py] = at(k);
    x += px / count;
    y += py / count;
  }
  for (let k = from; k <= to; k++) {
    const [px, py] = at(k);
    xx += (px - x) ** 2;
    xy += (px - x) * (py - y);
    yy += (py - y) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  let [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  const [first, last] = [at(from), at(to)];
  if ((last[0] - first[0]) * ux + (last[1] - first[1]) * uy < 0) [ux, uy] = [-ux, -uy];
  const off = (xx + yy - Math.hypot(xx - yy, 2 * xy)) / 2;
  return off / count > 0.02 ? null : { x, y, ux, uy };
}

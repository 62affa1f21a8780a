import { EPSILON } from '../numeric/tolerances.ts';
import type { Polygon } from './polygon.ts';
import { polygonArea, ringsOf } from './polygon.ts';

/** How broad a shape is, for judging how it lies on a double curve. */
export interface Breadth {
  /** Diameter that stands for the shape, mm: mostly that of the circles along its outline, partly of its largest one. */
  readonly width: number;
  /** mm². */
  readonly area: number;
  /** How nearly the shape is one disk of that width: 1 for a disk, towards 0 for a long strip. */
  readonly fill: number;
}

/** Share of the outline that may have larger circles than the one taken for it: the broadest place counts, not the point. */
const BROAD_SHARE = 0.95;
/** Cosine of 20°: along a curve, chords that turn no more from each other are one smooth edge, and not each other's limit. */
const SAME_EDGE = Math.cos((20 * Math.PI) / 180);
/** Weights of the circles along the outline and of the largest circle. */
const OUTLINE_WEIGHT = 0.7;

/**
 * Radii of the largest circles inside a polygon that touch its outline, at even steps along it.
 *
 * @param polygon outer ring counter-clockwise, holes clockwise, mm
 * @param step mm along the outline
 * @returns radii in mm, one for each step, in the order of the rings
 * @source a circle through p with its centre along the inward normal n passes through q when its radius is
 *   |q − p|²/(2 n·(q − p)); the largest free circle is the least of these over the outline. Places whose edges turn less
 *   than 20° from each other are passed over: chords stand for a curve, and their own corners are none of it
 */
export function tangentRadii(polygon: Polygon, step: number): number[] {
  const points: { x: number; y: number; nx: number; ny: number }[] = [];
  for (const ring of ringsOf(polygon))
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      const length = Math.hypot(bx - ax, by - ay);
      if (length < EPSILON) continue;
      // Film lies to the left of the way round, and so does the normal.
      const [nx, ny] = [-(by - ay) / length, (bx - ax) / length];
      const parts = Math.max(1, Math.round(length / step));
      for (let k = 0; k < parts; k++) {
        const t = (k + 0.5) / parts;
        points.push({ x: ax + (bx - ax) * t, y: ay + (by - ay) * t, nx, ny });
      }
    }
  return points.map((p) => {
    let least = Infinity;
    for (const q of points) {
      const dx = q.x - p.x;
      const dy = q.y - p.y;
      const ahead = p.nx * dx + p.ny * dy;
      if (ahead <= EPSILON || p.nx * q.nx + p.ny * q.ny > SAME_EDGE) continue;
      const radius = (dx * dx + dy * dy) / (2 * ahead);
      if (radius < least) least = radius;
    }
    return least;
  });
}

/**
 * The breadth of a shape.
 *
 * @param polygon outer ring counter-clockwise, holes clockwise, mm
 * @param step mm between the places looked at along the outline; finer is truer and slower
 * @source ρ = 0.7 ρ_t + 0.3 ρ_in, with ρ_t the 95th percentile of the tangent circles and ρ_in the largest; W = 2ρ;
 *   q = min(1, πW²/4A)
 */
export function breadthOf(polygon: Polygon, step: number): Breadth {
  const radii = tangentRadii(polygon, step)
    .filter(Number.isFinite)
    .sort((a, b) => a - b);
  const area = polygonArea(polygon);
  if (radii.length === 0) return { width: 0, area, fill: 0 };
  const along = radii[Math.min(radii.length - 1, Math.floor(BROAD_SHARE * radii.length))]!;
  const width = 2 * (OUTLINE_WEIGHT * along + (1 - OUTLINE_WEIGHT) * radii.at(-1)!);
  return { width, area, fill: Math.min(1, (Math.PI * width * width) / (4 * area)) };
}

/** rad. An outline that turns inwards by more than this (35°) at one point has a sharp inner corner. */
const INNER_CORNER = (35 * Math.PI) / 180;

/** Whether an outline, or that of a hole, has a sharp corner that points into the film. */
export function hasInnerCorner(polygon: Polygon): boolean {
  return ringsOf(polygon).some((ring) => {
    const n = ring.length;
    for (let i = 0; i < n; i += 2) {
      const [ax, ay] = [ring[(i + n - 2) % n]!, ring[(i + n - 1) % n]!];
      const [bx, by] = [ring[i]!, ring[i + 1]!];
      const [cx, cy] = [ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      const [ux, uy, vx, vy] = [bx - ax, by - ay, cx - bx, cy - by];
      // Film lies to the left: a turn to the right points into it.
      if (Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy) < -INNER_CORNER) return true;
    }
    return false;
  });
}

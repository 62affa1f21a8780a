import { boxHeight, boxOfCoordinates, boxWidth } from '../plane/box.ts';
import type { Polygon } from './polygon.ts';
import { ringsOf } from './polygon.ts';

/** A stretch of film that is narrower than some limit. */
export interface ThinPlace {
  /** mm. Width of the stroke there: half of it is narrower still. */
  readonly width: number;
  /** mm². */
  readonly area: number;
  /** Its middle, mm. */
  readonly at: readonly [number, number];
}

/** Cosine between the inner sides of two edges past which film between them is a stroke, not a corner: 60° at most. */
const OPPOSED = -0.5;
/** Cosine of the angle off straight ahead up to which film is looked across. */
const AHEAD = 0.7;
/** Steps along the outline to a limit. */
const STEPS = 3;
/** Share of a stretch whose width is taken for it. */
const TYPICAL = 0.5;

/** A stretch that runs out to a tip has little of its width left at its narrow end; it has to be this much longer to count. */
const [LEAST, TAPER, NEEDLE] = [0.1, 0.5, 4];

/** A spot of an outline: where, the inward normal, and how much of the outline it stands for. */
interface Spot {
  readonly x: number;
  readonly y: number;
  readonly nx: number;
  readonly ny: number;
  readonly length: number;
  readonly width: number;
}

/**
 * Stretches where film is narrower than a limit. From spots along the outline the distance across the film to the
 * outline that faces them is taken; neighbouring spots that are too near to it make a stretch.
 *
 * @param polygon outer ring counter-clockwise, holes clockwise, mm
 * @param limit mm, > 0
 * @param leastArea mm² of film in a stretch that counts; one that runs out to a tip needs four times as much
 * @returns the stretches, largest first
 */
export function thinPlaces(polygon: Polygon, limit: number, leastArea: number): ThinPlace[] {
  const near = edgesNear(polygon, limit);
  const stretches: Spot[][] = [];
  for (const ring of ringsOf(polygon)) {
    const spots: Spot[] = [];
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      const length = Math.hypot(bx - ax, by - ay);
      if (length < 1e-9) continue;
      // Film lies to the left of the way round, and so does the normal.
      const [nx, ny] = [-(by - ay) / length, (bx - ax) / length];
      const parts = Math.max(1, Math.round((STEPS * length) / limit));
      for (let k = 0; k < parts; k++) {
        const t = (k + 0.5) / parts;
        const [x, y] = [ax + (bx - ax) * t, ay + (by - ay) * t];
        spots.push({ x, y, nx, ny, length: length / parts, width: near(x, y, nx, ny) });
      }
    }
    stretches.push(...runsOf(spots, limit));
  }
  return stretches
    .map((run): ThinPlace & { readonly least: number } => {
      // Each stroke is seen from both of its sides.
      const area = run.reduce((sum, spot) => sum + spot.width * spot.length, 0) / 2;
      const widths = run.map((spot) => spot.width).sort((a, b) => a - b);
      const middle = run[run.length >> 1]!;
      const width = widths[Math.floor(TYPICAL * widths.length)]!;
      const tapers = widths[Math.floor(LEAST * widths.length)]! < TAPER * width;
      return {
        width,
        least: leastArea * (tapers ? NEEDLE : 1),
        area,
        at: [middle.x + (middle.nx * middle.width) / 2, middle.y + (middle.ny * middle.width) / 2],
      };
    })
    .filter((place) => place.area >= place.least)
    .sort((a, b) => b.area - a.area)
    .map(({ width, area, at }) => ({ width, area, at }));
}

/** Neighbouring spots under the limit, also across where the ring begins. */
function runsOf(spots: readonly Spot[], limit: number): Spot[][] {
  const first = spots.findIndex((spot) => spot.width >= limit);
  if (first < 0) return spots.length > 0 ? [[...spots]] : [];
  const runs: Spot[][] = [];
  let run: Spot[] = [];
  for (let k = 0; k < spots.length; k++) {
    const spot = spots[(first + k) % spots.length]!;
    if (spot.width < limit) run.push(spot);
    else if (run.length > 0) {
      runs.push(run);
      run = [];
    }
  }
  return run.length > 0 ? [...runs, run] : runs;
}

/** Tells how far across the film the outline is that faces a spot, up to the limit; Infinity beyond it. */
function edgesNear(polygon: Polygon, limit: number): (x: number, y: number, nx: number, ny: number) => number {
  const box = boxOfCoordinates(polygon.outer);
  const along = boxWidth(box) > boxHeight(box) ? 0 : 1;
  const from = along === 0 ? box.minX : box.minY;
  const cell = Math.max(limit, (along === 0 ? boxWidth(box) : boxHeight(box)) / 400);
  const strips: number[][] = [];
  const stripOf = (v: number): number => Math.max(0, Math.floor((v - from) / cell));
  for (const ring of ringsOf(polygon))
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      const [a, b] = along === 0 ? [ax, bx] : [ay, by];
      for (let s = stripOf(Math.min(a, b)); s <= stripOf(Math.max(a, b)); s++) (strips[s] ??= []).push(ax, ay, bx, by);
    }
  return (x, y, nx, ny) => {
    let least = Infinity;
    const middle = stripOf(along === 0 ? x : y);
    for (let s = Math.max(0, middle - 1); s <= middle + 1; s++) {
      const edges = strips[s];
      if (!edges) continue;
      for (let k = 0; k < edges.length; k += 4) {
        const [ax, ay] = [edges[k]!, edges[k + 1]!];
        const [ex, ey] = [edges[k + 2]! - ax, edges[k + 3]! - ay];
        const square = ex * ex + ey * ey;
        // The inner side of that edge has to face this one.
        if (square < 1e-18 || -ey * nx + ex * ny > OPPOSED * Math.sqrt(square)) continue;
        const t = Math.max(0, Math.min(1, ((x - ax) * ex + (y - ay) * ey) / square));
        const [dx, dy] = [ax + t * ex - x, ay + t * ey - y];
        const far = Math.hypot(dx, dy);
        if (far < least && far < limit && nx * dx + ny * dy > AHEAD * far) least = far;
      }
    }
    return least;
  };
}

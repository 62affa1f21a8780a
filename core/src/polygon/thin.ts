import { EPSILON } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxesTouch, boxHeight, boxOfCoordinates, boxWidth } from '../plane/box.ts';
import type { Polygon } from './polygon.ts';
import { ringLength, ringsOf } from './polygon.ts';

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
/** Steps along the outline to a limit, and how many there may be: along more than that they are longer. */
const STEPS = 3;
const MOST_STEPS = 200_000;
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

/** Shares of the limit at which stretches are looked for: a thin stroke shows in one of them, whatever it opens into. */
const LEVELS = [1, 0.85, 0.7, 0.55, 0.42, 0.32, 0.24, 0.18, 0.13];

/**
 * Stretches where film is narrower than a limit. From spots along the outline the distance across the film to the
 * outline that faces them is taken; neighbouring spots that are too near to it make a stretch. Stretches are looked for at
 * the limit and at shares of it, so that a thin stroke is not lost in the long taper that a larger limit sees around it.
 * Where two outlines of the film come close, as at the corner of a hole, that alone is a thin place.
 *
 * @param polygon outer ring counter-clockwise, holes clockwise, mm
 * @param limit mm, > 0
 * @param leastSquares film in a stretch that counts, in squares as broad as it is at its broadest; one that runs out to a
 *   tip needs four times as much
 * @returns the stretches, the thinnest first
 */
export function thinPlaces(polygon: Polygon, limit: number, leastSquares: number): ThinPlace[] {
  const near = edgesNear(polygon, limit);
  const round = ringsOf(polygon).reduce((sum, ring) => sum + ringLength(ring), 0);
  const perMm = Math.min(STEPS / limit, MOST_STEPS / (round || 1));
  const found = ringsOf(polygon).flatMap((ring) => {
    const spots = spotsOf(ring, perMm, near);
    return LEVELS.flatMap((share) => stretchesUnder(spots, share * limit)).filter(({ area, broadest, tapers }) => {
      // A jag of a few thousandths is no stroke, however it compares with itself.
      const broad = Math.max(broadest, LEVELS.at(-1)! * limit);
      return area >= leastSquares * broad * broad * (tapers ? NEEDLE : 1);
    });
  });
  return [...found.map(({ width, area, at }) => ({ width, area, at })), ...closeRings(polygon, limit)].sort(
    (a, b) => a.width - b.width,
  );
}

/** Spots along a ring, as many a millimetre as are asked for, with how wide the film is there: nothing at the point of a tip. */
function spotsOf(
  ring: Float64Array,
  perMm: number,
  near: (x: number, y: number, nx: number, ny: number) => number,
): Spot[] {
  const spots: Spot[] = [];
  let [lx, ly] = [0, 0];
  const edge = (i: number): void => {
    const n = ring.length;
    const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
    const length = Math.hypot(bx - ax, by - ay);
    if (length < EPSILON) return;
    // Film lies to the left of the way round, and so does the normal.
    const [nx, ny] = [-(by - ay) / length, (bx - ax) / length];
    // A tip is where the way round turns left by more than two thirds of a half turn.
    if (nx * lx + ny * ly < OPPOSED && lx * ny - ly * nx > 0) spots.push({ x: ax, y: ay, nx, ny, length: 0, width: 0 });
    [lx, ly] = [nx, ny];
    const parts = Math.max(1, Math.round(length * perMm));
    for (let k = 0; k < parts; k++) {
      const t = (k + 0.5) / parts;
      const [x, y] = [ax + (bx - ax) * t, ay + (by - ay) * t];
      spots.push({ x, y, nx, ny, length: length / parts, width: near(x, y, nx, ny) });
    }
  };
  // The last edge says how the way round comes to the first corner.
  edge(ring.length - 2);
  spots.length = 0;
  for (let i = 0; i < ring.length; i += 2) edge(i);
  return spots;
}

interface Stretch extends ThinPlace {
  /** mm. As wide as it gets. */
  readonly broadest: number;
  readonly tapers: boolean;
}

/** Parts into which the way from spot to spot is taken. */
const FINE = 4;

/** Stretches of a ring under a level; between two spots the width changes evenly. */
function stretchesUnder(spots: readonly Spot[], level: number): Stretch[] {
  const n = spots.length;
  const steps: { readonly spot: Spot; readonly length: number; readonly width: number }[] = [];
  for (let i = 0; i < n; i++) {
    const [a, b] = [spots[i]!, spots[(i + 1) % n]!];
    const gap = (a.length + b.length) / 2;
    for (let k = 0; k < FINE; k++) {
      const t = (k + 0.5) / FINE;
      // Where nothing faces one of them, each holds for its half of the way.
      const both = a.width < Infinity && b.width < Infinity;
      const width = both ? a.width + (b.width - a.width) * t : t < 0.5 ? a.width : b.width;
      steps.push({ spot: t < 0.5 ? a : b, length: gap / FINE, width });
    }
  }
  return runsOf(steps, level).map(stretchOf);
}

function stretchOf(run: readonly { readonly spot: Spot; readonly length: number; readonly width: number }[]): Stretch {
  // Each stroke is seen from both of its sides.
  const area = run.reduce((sum, { width, length }) => sum + width * length, 0) / 2;
  const whole = run.reduce((sum, { length }) => sum + length, 0);
  const sorted = [...run].sort((a, b) => a.width - b.width);
  const widthAt = (share: number): number => {
    let sum = 0;
    for (const { width, length } of sorted) if ((sum += length) >= share * whole) return width;
    return sorted.at(-1)!.width;
  };
  const { spot } = run[run.length >> 1]!;
  const width = widthAt(TYPICAL);
  return {
    width,
    area,
    broadest: sorted.at(-1)!.width,
    tapers: widthAt(LEAST) < TAPER * width,
    at: [spot.x + (spot.nx * spot.width) / 2, spot.y + (spot.ny * spot.width) / 2],
  };
}

/** Where a hole comes closer to the edge of the film, or to another hole, than the limit, at the nearest spot of each pair. */
function closeRings({ outer, holes }: Polygon, limit: number): ThinPlace[] {
  const rings = [outer, ...holes];
  const boxes = rings.map((ring) => boxOfCoordinates(ring));
  const places: ThinPlace[] = [];
  for (let i = 0; i < rings.length; i++)
    for (let k = i + 1; k < rings.length; k++) {
      if (i > 0 && !boxesTouch(boxes[i]!, boxes[k]!, limit)) continue;
      const close = nearestOf(rings[i]!, rings[k]!, boxes[k]!, limit);
      if (close) places.push({ width: close.far, area: close.far * close.far, at: close.at });
    }
  return places;
}

/** The nearest that a ring comes to another, when that is nearer than the limit: it is at a corner of one of them. */
function nearestOf(
  a: Float64Array,
  b: Float64Array,
  boxOfB: Box,
  limit: number,
): { readonly far: number; readonly at: readonly [number, number] } | null {
  let [far, x, y] = [limit, 0, 0];
  const look = (corners: Float64Array, edges: Float64Array, bounded: boolean): void => {
    for (let i = 0; i < corners.length; i += 2) {
      const [px, py] = [corners[i]!, corners[i + 1]!];
      const { minX, maxX, minY, maxY } = boxOfB;
      if (bounded && (px < minX - far || px > maxX + far || py < minY - far || py > maxY + far)) continue;
      for (let k = 0, n = edges.length; k < n; k += 2) {
        const [ax, ay] = [edges[k]!, edges[k + 1]!];
        const [ex, ey] = [edges[(k + 2) % n]! - ax, edges[(k + 3) % n]! - ay];
        const t = Math.max(0, Math.min(1, ((px - ax) * ex + (py - ay) * ey) / Math.max(1e-18, ex * ex + ey * ey)));
        const [qx, qy] = [ax + t * ex, ay + t * ey];
        const apart = Math.hypot(qx - px, qy - py);
        if (apart < far) [far, x, y] = [apart, (px + qx) / 2, (py + qy) / 2];
      }
    }
  };
  look(a, b, true);
  look(b, a, false);
  return far < limit ? { far, at: [x, y] } : null;
}

/** Neighbours under the limit, also across where the ring begins. */
function runsOf<T extends { readonly width: number }>(spots: readonly T[], limit: number): T[][] {
  const first = spots.findIndex((spot) => spot.width >= limit);
  if (first < 0) return spots.length > 0 ? [[...spots]] : [];
  const runs: T[][] = [];
  let run: T[] = [];
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

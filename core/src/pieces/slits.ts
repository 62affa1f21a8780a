import { EPSILON, EPSILON_MM } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import type { Point } from '../plane/point.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { Development } from '../surface/development.ts';
import type { ReliefSlits } from '../surface/relief.ts';

/** How much longer than wide a sheet is that is slit from its long edges. */
const LONG = 2;
/** mm that a slit in tape keeps from film. */
export const CLEAR_MM = 1;
/** mm. A shorter cut does nothing. */
const LEAST_SLIT_MM = 2;
/** Ways that are tried for a slit, over this share of the room between two. */
const [TRIES, LEEWAY] = [15, 0.7];

/** One slit, on the flat of the band, mm, from the edge inwards. */
export interface Slit {
  readonly from: Point;
  readonly to: Point;
}

/** Slits of a sheet where there was room for them. */
export interface DrawnSlits {
  readonly slits: readonly Slit[];
  /** How many there ought to be. */
  readonly wanted: number;
  /** How many of them stop short because something is in the way. */
  readonly short: number;
}

/** Relief slits in a piece of film. */
export interface PieceSlits {
  readonly count: number;
  /** How many there ought to be, and how many stop short of an opening. */
  readonly wanted: number;
  readonly short: number;
  /** What the film then asks for, as a fraction; null where slits were chosen by hand. */
  readonly needed: number | null;
  /** mm by which they are open at the edge: so much would lap there. */
  readonly lap: number;
}

/** A sheet that is slit: where it lies on the side, and how large it is on the flat, mm. */
export interface SlitSheet {
  readonly azimuths: readonly [number, number];
  readonly slants: readonly [number, number];
  readonly width: number;
  readonly height: number;
  /** Its middle on the flat. */
  readonly centre: Point;
  /** mm that it goes past what those ranges say. */
  readonly marginMm: number;
}

/** What a slit keeps clear of. */
export interface InTheWay {
  readonly rings: readonly Ring[];
  readonly box: Box;
}

/** Whether a sheet is slit from its long edges. */
export const isLongSheet = (width: number, height: number): boolean =>
  Math.max(width, height) > LONG * Math.min(width, height);

/** Something in the way. */
export const inTheWay = (rings: readonly Ring[]): InTheWay => ({
  rings,
  box: rings.reduce((box, ring) => boxOfCoordinates(ring, box), boxOfCoordinates(rings[0] ?? [])),
});

/**
 * Draws the slits of a sheet, each as deep as there is room at the best of several places near where it would be evenly.
 *
 * @param surface the band's development
 * @param ways what is in the way
 * @param clearMm what a slit keeps from it
 */
export function drawSlits(
  sheet: SlitSheet,
  relief: ReliefSlits,
  surface: Development,
  ways: readonly InTheWay[],
  clearMm: number,
): DrawnSlits {
  const each = isLongSheet(sheet.width, sheet.height) ? stripWays(sheet, relief, surface) : roundWays(sheet, relief);
  const slits: Slit[] = [];
  let short = 0;
  for (const tries of each) {
    const best = tries
      .map((slit) => clearOf(slit, ways, clearMm))
      .reduce((a, b) => (lengthOf(b) > lengthOf(a) + EPSILON_MM ? b : a));
    if (lengthOf(best) < 0.95 * lengthOf(tries[0]!)) short++;
    if (lengthOf(best) >= LEAST_SLIT_MM) slits.push(best);
  }
  return { slits, wanted: each.length, short };
}

/** Every slit from the edge of the sheet towards its core, each at several places near where it would be evenly. */
function roundWays({ centre, width, height }: SlitSheet, relief: ReliefSlits): Slit[][] {
  const pitch = (2 * Math.PI) / relief.count;
  return Array.from({ length: relief.count }, (_, i) =>
    tries(pitch).map((aside) => {
      const angle = Math.PI / 2 + i * pitch + aside;
      const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
      const edge = Math.min(
        width / 2 / Math.max(Math.abs(cos), EPSILON),
        height / 2 / Math.max(Math.abs(sin), EPSILON),
      );
      const inner = Math.min(relief.core, edge);
      return {
        from: { x: centre.x + edge * cos, y: centre.y + edge * sin },
        to: { x: centre.x + inner * cos, y: centre.y + inner * sin },
      };
    }),
  );
}

/** The same from both long edges of a sheet: down meridians of one that runs round, level in one that stands upright. */
function stripWays(sheet: SlitSheet, relief: ReliefSlits, surface: Development): Slit[][] {
  const lying = sheet.width >= sheet.height;
  const middle = (sheet.slants[0] + sheet.slants[1]) / 2;
  const radius = surface.radiusAt(middle);
  const [left, right] = [sheet.azimuths[0] - sheet.marginMm / radius, sheet.azimuths[1] + sheet.marginMm / radius];
  const [top, foot] = [sheet.slants[0] - sheet.marginMm, sheet.slants[1] + sheet.marginMm];
  const at = (azimuth: number, slant: number): Point =>
    surface.forward(azimuth, Math.max(0, Math.min(surface.slantLength, slant)));
  const [from, to] = lying ? [left, right] : [top, foot];
  const pitch = (to - from) / (relief.count + 1);
  const half = relief.core / 2;
  const centre = (left + right) / 2;
  return Array.from({ length: relief.count }, (_, i) => from + (i + 1) * pitch).flatMap((place) =>
    [-1, 1].map((edge) =>
      tries(pitch).map((aside) =>
        lying
          ? { from: at(place + aside, edge < 0 ? top : foot), to: at(place + aside, middle + edge * half) }
          : {
              from: at(edge < 0 ? left : right, place + aside),
              to: at(centre + (edge * half) / radius, place + aside),
            },
      ),
    ),
  );
}

/** Steps aside from an even place, the nearest first. */
const tries = (pitch: number): number[] =>
  Array.from({ length: TRIES }, (_, k) => ((k % 2 ? 1 : -1) * Math.ceil(k / 2) * LEEWAY * pitch) / TRIES);

const lengthOf = ({ from, to }: Slit): number => Math.hypot(to.x - from.x, to.y - from.y);

/** As much of a slit, from the edge inwards, as keeps clear of what is in the way. */
function clearOf(slit: Slit, ways: readonly InTheWay[], clearMm: number): Slit {
  const length = lengthOf(slit);
  if (length < EPSILON) return slit;
  const [ux, uy] = [(slit.to.x - slit.from.x) / length, (slit.to.y - slit.from.y) / length];
  let free = Infinity;
  for (const { rings, box } of ways) {
    if (
      Math.max(slit.from.x, slit.to.x) < box.minX - clearMm ||
      Math.min(slit.from.x, slit.to.x) > box.maxX + clearMm ||
      Math.max(slit.from.y, slit.to.y) < box.minY - clearMm ||
      Math.min(slit.from.y, slit.to.y) > box.maxY + clearMm
    )
      continue;
    for (const ring of rings)
      for (let i = 0, n = ring.length; i < n; i += 2) {
        // Along and across the slit: where an edge comes into the lane that has to be clear.
        const [ax, ay] = [ring[i]! - slit.from.x, ring[i + 1]! - slit.from.y];
        const [bx, by] = [ring[(i + 2) % n]! - slit.from.x, ring[(i + 3) % n]! - slit.from.y];
        const first = firstInLane([ax * ux + ay * uy, ay * ux - ax * uy], [bx * ux + by * uy, by * ux - bx * uy], clearMm); // prettier-ignore
        if (first < free && first > -clearMm) free = first;
      }
  }
  const keep = Math.max(0, Math.min(length, free - clearMm));
  return { from: slit.from, to: { x: slit.from.x + keep * ux, y: slit.from.y + keep * uy } };
}

/** Least way along the slit at which an edge lies within the clear lane to either side; Infinity when it never does. */
function firstInLane([a, p]: readonly [number, number], [b, q]: readonly [number, number], clearMm: number): number {
  if ((p > clearMm && q > clearMm) || (p < -clearMm && q < -clearMm)) return Infinity;
  const alongAt = (across: number): number => a + ((b - a) * (across - p)) / (q - p);
  const ends = [Math.abs(p) <= clearMm ? a : Infinity, Math.abs(q) <= clearMm ? b : Infinity];
  for (const lane of [-clearMm, clearMm]) if (p < lane !== q < lane) ends.push(alongAt(lane));
  const ahead = ends.filter((v) => v > -clearMm);
  return ahead.length > 0 ? Math.min(...ahead) : Infinity;
}

import { gaussianOf } from '../flat/curvature.ts';
import type { FlatSide } from '../flat/flat-side.ts';
import type { Job } from '../model/job.ts';
import { EPSILON, EPSILON_MM } from '../numeric/tolerances.ts';
import { boxHeight, boxOfCoordinates, boxWidth, EMPTY_BOX } from '../plane/box.ts';
import type { Point } from '../plane/point.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { Divided } from '../seam/divide.ts';
import { neededGive } from '../surface/film-strain.ts';
import type { ReliefSlits } from '../surface/relief.ts';
import { slitsInRound, slitsInStrip } from '../surface/relief.ts';
import type { Piece } from './pieces.ts';
import type { Extent } from './round.ts';
import { bunchesRound } from './round.ts';

/** mm of tape round the film that it carries. */
const TAPE_MARGIN_MM = 5;
/** mm. Film that lies further apart is carried by tapes of its own. */
export const APART_MM = 25;
/** How much longer than wide a sheet is that is slit from its long edges. */
const LONG = 2;
/** mm that a slit keeps from film. */
const CLEAR_MM = 1;
/** mm. A shorter cut does nothing. */
const LEAST_SLIT_MM = 2;
/** Ways that are tried for a slit, over this share of the room between two. */
const [TRIES, LEEWAY] = [15, 0.7];

/** What of a wrap decides how tape lies on it. */
type Taped = FlatSide & Pick<Divided, 'frames'> & { readonly pieces: readonly Piece[] };

/** One slit in the tape, on the flat of the band, mm. */
export interface Slit {
  readonly from: Point;
  readonly to: Point;
}

/** One sheet of transfer tape, and what has to be done for it to lie flat. */
export interface TapeSheet {
  readonly azimuths: readonly [number, number];
  readonly slants: readonly [number, number];
  /** mm. */
  readonly width: number;
  readonly height: number;
  /** What it asks of the tape in one, as a fraction. */
  readonly needed: number;
  /** null when it lies flat in one, or when no slits are enough. */
  readonly relief: ReliefSlits | null;
  /** Where the slits run, between pieces; empty where film is laid in parts. */
  readonly slits: readonly Slit[];
  /** How many there ought to be, where they are drawn. */
  readonly wanted: number;
  /** How many of them stop short because film is in the way. */
  readonly short: number;
}

/**
 * The sheets of tape that carry a job's film where the side curves both ways.
 *
 * @param give what tape takes, pulled and pushed together, as a fraction
 * @returns one for each bunch of film; empty where the side develops, and tape lies on it as paper does
 */
export function tapeSheets(job: Pick<Job, 'blank'>, wrap: Taped, give: number): TapeSheet[] {
  const gaussianAt = gaussianOf(job, wrap);
  if (!gaussianAt) return [];
  const pieces = wrap.pieces.filter((p) => !p.spare);
  return bunchesRound(pieces, APART_MM / wrap.meanRadius).map((bunch) => sheetOver(bunch, wrap, gaussianAt, give));
}

function sheetOver(
  { pieces, azimuths }: Extent & { readonly pieces: readonly Piece[] },
  wrap: Taped,
  gaussianAt: (slant: number) => number,
  give: number,
): TapeSheet {
  const asBand = wrap.frames.length === 1 && wrap.frames[0]!.asBand;
  const slants = [Math.min(...pieces.map((p) => p.slants[0])), Math.max(...pieces.map((p) => p.slants[1]))] as const;
  const flat = pieces.reduce((box, p) => boxOfCoordinates(p.flat.outer, box), EMPTY_BOX);
  // A band is bent on the flat: its sheet is as long as the way round, not as the box.
  const round = wrap.template.closed;
  const middle = (slants[0] + slants[1]) / 2;
  const width =
    (round ? (azimuths[1] - azimuths[0]) * wrap.surface.radiusAt(middle) : boxWidth(flat)) + 2 * TAPE_MARGIN_MM;
  const height = (round ? slants[1] - slants[0] : boxHeight(flat)) + 2 * TAPE_MARGIN_MM;
  const gaussian = gaussianAt(middle);
  const [broad, long] = [Math.min(width, height), Math.max(width, height)];
  const isLong = long > LONG * broad;
  const needed = neededGive(gaussian, {
    width: broad,
    fill: Math.min(1, (Math.PI * broad * broad) / (4 * broad * long)),
  });
  const base = { azimuths, slants, width, height, needed, relief: null, slits: [], wanted: 0, short: 0 };
  if (needed <= give) return base;
  const relief = isLong
    ? slitsInStrip(gaussian, broad, long, give)
    : slitsInRound(gaussian, (width + height) / 4, give);
  // What lies across the back has its two ends far apart on the flat: there is no one place to draw slits in.
  const acrossBack = pieces.every((p) => p.azimuths[1] < azimuths[1] - EPSILON);
  if (!relief || !asBand || acrossBack) return { ...base, relief };
  const centre = { x: (flat.minX + flat.maxX) / 2, y: (flat.minY + flat.maxY) / 2 };
  const ways = isLong ? stripWays(base, relief, wrap, width >= height) : roundWays(centre, base, relief);
  const slits: Slit[] = [];
  let short = 0;
  for (const tries of ways) {
    const best = tries
      .map((slit) => clearOf(slit, pieces))
      .reduce((a, b) => (lengthOf(b) > lengthOf(a) + EPSILON_MM ? b : a));
    if (lengthOf(best) < 0.95 * lengthOf(tries[0]!)) short++;
    if (lengthOf(best) >= LEAST_SLIT_MM) slits.push(best);
  }
  return { ...base, relief, slits, wanted: ways.length, short };
}

/** Every slit from the edge of the sheet towards its core, each at several places near where it would be evenly. */
function roundWays(
  centre: Point,
  { width, height }: Pick<TapeSheet, 'width' | 'height'>,
  relief: ReliefSlits,
): Slit[][] {
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
function stripWays(sheet: Omit<TapeSheet, 'slits'>, relief: ReliefSlits, wrap: Taped, lying: boolean): Slit[][] {
  const { surface } = wrap;
  const middle = (sheet.slants[0] + sheet.slants[1]) / 2;
  const radius = surface.radiusAt(middle);
  const [left, right] = [sheet.azimuths[0] - TAPE_MARGIN_MM / radius, sheet.azimuths[1] + TAPE_MARGIN_MM / radius];
  const [top, foot] = [sheet.slants[0] - TAPE_MARGIN_MM, sheet.slants[1] + TAPE_MARGIN_MM];
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

/** As much of a slit, from the edge of the tape inwards, as keeps clear of film. */
function clearOf(slit: Slit, pieces: readonly Piece[]): Slit {
  const length = lengthOf(slit);
  if (length < EPSILON) return slit;
  const [ux, uy] = [(slit.to.x - slit.from.x) / length, (slit.to.y - slit.from.y) / length];
  let free = length;
  for (const { flat, flatBox } of pieces) {
    const reach = CLEAR_MM;
    if (
      Math.max(slit.from.x, slit.to.x) < flatBox.minX - reach ||
      Math.min(slit.from.x, slit.to.x) > flatBox.maxX + reach ||
      Math.max(slit.from.y, slit.to.y) < flatBox.minY - reach ||
      Math.min(slit.from.y, slit.to.y) > flatBox.maxY + reach
    )
      continue;
    for (const ring of ringsOf(flat))
      for (let i = 0, n = ring.length; i < n; i += 2) {
        // Along and across the slit: where an edge comes into the lane that has to be clear.
        const [ax, ay] = [ring[i]! - slit.from.x, ring[i + 1]! - slit.from.y];
        const [bx, by] = [ring[(i + 2) % n]! - slit.from.x, ring[(i + 3) % n]! - slit.from.y];
        const first = firstInLane([ax * ux + ay * uy, ay * ux - ax * uy], [bx * ux + by * uy, by * ux - bx * uy]);
        if (first < free && first > -CLEAR_MM) free = first;
      }
  }
  const keep = free >= length ? length : Math.max(0, free - CLEAR_MM);
  return { from: slit.from, to: { x: slit.from.x + keep * ux, y: slit.from.y + keep * uy } };
}

/** Least way along the slit at which an edge lies within the clear lane to either side; Infinity when it never does. */
function firstInLane([a, p]: readonly [number, number], [b, q]: readonly [number, number]): number {
  if ((p > CLEAR_MM && q > CLEAR_MM) || (p < -CLEAR_MM && q < -CLEAR_MM)) return Infinity;
  const alongAt = (across: number): number => a + ((b - a) * (across - p)) / (q - p);
  const ends = [Math.abs(p) <= CLEAR_MM ? a : Infinity, Math.abs(q) <= CLEAR_MM ? b : Infinity];
  for (const lane of [-CLEAR_MM, CLEAR_MM]) if (p < lane !== q < lane) ends.push(alongAt(lane));
  const ahead = ends.filter((v) => v > -CLEAR_MM);
  return ahead.length > 0 ? Math.min(...ahead) : Infinity;
}

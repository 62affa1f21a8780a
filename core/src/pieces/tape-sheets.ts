import { gaussianOf } from '../flat/curvature.ts';
import type { FlatSide } from '../flat/flat-side.ts';
import type { Job } from '../model/job.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import { boxHeight, boxOfCoordinates, boxWidth, EMPTY_BOX } from '../plane/box.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { Divided } from '../seam/divide.ts';
import { neededGive } from '../surface/film-strain.ts';
import type { ReliefSlits } from '../surface/relief.ts';
import { slitsInRound, slitsInStrip } from '../surface/relief.ts';
import type { Piece } from './pieces.ts';
import type { Extent } from './round.ts';
import { bunchesRound } from './round.ts';
import type { Slit } from './slits.ts';
import { CLEAR_MM, drawSlits, isLongSheet } from './slits.ts';

/** mm of tape round the film that it carries. */
export const TAPE_MARGIN_MM = 5;
/** mm. Film that lies further apart is carried by tapes of its own. */
export const APART_MM = 25;

/** What of a wrap decides how tape lies on it. */
type Taped = FlatSide & Pick<Divided, 'frames'> & { readonly pieces: readonly Piece[] };

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
  const isLong = isLongSheet(width, height);
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
  const slit = { azimuths, slants, width, height, centre, marginMm: TAPE_MARGIN_MM };
  const ways = pieces.map((piece) => ({ rings: ringsOf(piece.flat), box: piece.flatBox }));
  return { ...base, relief, ...drawSlits(slit, relief, wrap.surface, ways, CLEAR_MM) };
}

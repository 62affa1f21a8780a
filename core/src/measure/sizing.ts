import type { Blank, BlankKind, ReadingName } from '../model/blank.ts';
import type { BandSizes } from '../model/fit-check.ts';
import type { Reading } from '../model/reading.ts';
import { girthUnderTape, summariseReading } from './reading.ts';
import type { BlankProblem, BlankSize, GirthSum, NoSize } from './size.ts';

export const fails = (problem: BlankProblem): NoSize => ({ ok: false, problem });

export const missing = (reading: ReadingName): NoSize => fails({ code: 'reading-missing', reading });

export const plainSum = (read: number): GirthSum => ({
  read,
  takenOffForTape: 0,
  takenOffForWall: 0,
  fromFitCheck: 0,
  surface: read,
});

export const faceOf = (kind: BlankKind, width: GirthSum, side: number): Omit<BlankSize, 'data'> => ({
  kind,
  rim: width,
  base: width,
  side,
  upright: side,
  sideFrom: 'side',
  sideFromFitCheck: 0,
  fit: 'none',
  taper: 0,
});

/** mm. Sizes this near to those that a fit check was made on are the same: rounding, not a new reading. */
export const SAME_SIZE_MM = 0.02;

/** Sizes as the fit check has them, as long as it was made on these readings. */
export function fitted(blank: Blank, read: BandSizes): { fit: BlankSize['fit']; sizes: BandSizes } {
  if (blank.fitCheck === null) return { fit: 'none', sizes: read };
  const { before, after } = blank.fitCheck;
  const same = (['girthRim', 'girthBase', 'side'] as const).every((k) => Math.abs(before[k] - read[k]) < SAME_SIZE_MM);
  return same ? { fit: 'applied', sizes: after } : { fit: 'stale', sizes: read };
}

/** Without a handle there is none to be in the way, however slim the thing is. */
export function handleProblem(blank: Blank, narrow: number): NoSize | null {
  return blank.handleWidthMm > 0 && blank.handleWidthMm + 2 * blank.handleClearanceMm >= narrow
    ? fails({ code: 'handle-too-wide', handleMm: blank.handleWidthMm, girthMm: narrow })
    : null;
}

/**
 * What comes off a girth as it was read, for the tape that lay there and for the wall between it and the film, mm.
 *
 * @source tape: π·t less on the outside, more on the inside; a wall of w parts two girths by 2π·w
 */
export function takenOffGirth(
  inside: Blank['inside'],
  { thicknessMm }: Pick<Reading, 'thicknessMm'>,
): { readonly tape: number; readonly wall: number } {
  return {
    tape: -girthUnderTape(0, inside?.read === 'inside' ? -thicknessMm : thicknessMm),
    wall: inside?.read === 'outside' ? 2 * Math.PI * inside.wallMm : 0,
  };
}

export function girthSum({ inside }: Blank, reading: Reading | undefined): GirthSum | null {
  const summary = summariseReading(reading);
  if (!reading || !summary) return null;
  const { tape, wall } = takenOffGirth(inside, reading);
  const surface = summary.mean - tape - wall;
  return surface > 0
    ? { read: summary.mean, takenOffForTape: tape, takenOffForWall: wall, fromFitCheck: 0, surface }
    : null;
}

import type { Blank } from '../model/blank.ts';
import type { ReadingDoubt } from './doubts.ts';
import type { ErrorReport } from './error-report.ts';
import { KINDS_OF_BLANK } from './kinds/kinds.ts';
import type { BlankProblem, BlankSize, BlankSizeResult } from './size.ts';

/** What a blank's readings come to, or why it cannot be flattened; doubts about them come either way. */
export type Measured =
  | {
      readonly ok: true;
      readonly size: BlankSize;
      readonly errors: ErrorReport;
      readonly doubts: readonly ReadingDoubt[];
    }
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

/**
 * Works out a blank's true sizes from its readings, and from its paper fit check as long as the readings are those that
 * the check was made on.
 *
 * @param blank readings as taken
 * @returns sizes in mm, or the first thing that stands in the way
 */
export const sizeBlank = (blank: Blank): BlankSizeResult => KINDS_OF_BLANK[blank.kind].size(blank);

/** What the readings may be off by does to the seam and to the rim edge: four 1 σ figures in mm, and the weakest reading. */
export const reportErrors = (blank: Blank, size: BlankSize): ErrorReport =>
  KINDS_OF_BLANK[blank.kind].errors(blank, size);

/**
 * Looks at the readings together and says which one looks wrong, and what may have been meant.
 *
 * @param blank readings as taken; missing ones are passed over
 * @returns doubts, the gravest first; empty when all agree
 */
export const doubtReadings = (blank: Blank): ReadingDoubt[] =>
  KINDS_OF_BLANK[blank.kind].doubts(blank).sort((a, b) => gravity(a) - gravity(b));

const gravity = ({ severity }: ReadingDoubt): number => (severity === 'fails' ? 0 : 1);

/** Corrects the readings of a blank, and says how far they may be trusted. */
export function measureBlank(blank: Blank): Measured {
  const doubts = doubtReadings(blank);
  const sized = sizeBlank(blank);
  if (!sized.ok) return { ok: false, problem: sized.problem, doubts };
  return { ok: true, size: sized.size, errors: reportErrors(blank, sized.size), doubts };
}

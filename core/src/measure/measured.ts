import type { Blank } from '../model/blank.ts';
import type { ErrorReport } from './error-report.ts';
import { reportErrors } from './error-report.ts';
import type { ReadingDoubt } from './plausibility.ts';
import { doubtReadings } from './plausibility.ts';
import type { BlankProblem, BlankSize } from './size.ts';
import { sizeBlank } from './size.ts';

/** What a blank's readings come to, or why it cannot be flattened; doubts about them come either way. */
export type Measured =
  | {
      readonly ok: true;
      readonly size: BlankSize;
      readonly errors: ErrorReport;
      readonly doubts: readonly ReadingDoubt[];
    }
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

/** Corrects the readings of a blank, and says how far they may be trusted. */
export function measureBlank(blank: Blank): Measured {
  const doubts = doubtReadings(blank);
  const sized = sizeBlank(blank);
  if (!sized.ok) return { ok: false, problem: sized.problem, doubts };
  return { ok: true, size: sized.size, errors: reportErrors(blank, sized.size), doubts };
}

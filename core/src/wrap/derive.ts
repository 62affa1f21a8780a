import type { FontBook } from '../artwork/font.ts';
import type { BlankProblem, BlankSize } from '../blank/blank.ts';
import { sizeBlank } from '../blank/blank.ts';
import type { ErrorReport } from '../blank/error-report.ts';
import { reportErrors } from '../blank/error-report.ts';
import type { ReadingDoubt } from '../blank/plausibility.ts';
import { doubtReadings } from '../blank/plausibility.ts';
import type { Development } from '../surface/development.ts';
import type { Job } from './job.ts';
import { wrapFilm } from './job.ts';
import type { Piece, PieceFrame } from './pieces.ts';
import { makePieces } from './pieces.ts';
import type { PlacedItem } from './place.ts';
import { placeItem } from './place.ts';
import type { Template } from './template.ts';
import { makeTemplate } from './template.ts';

/** All that follows from a job's readings and artwork. Never stored: always worked out. */
export interface Wrap {
  readonly size: BlankSize;
  readonly errors: ErrorReport;
  readonly template: Template;
  readonly surface: Development;
  readonly meanRadius: number;
  readonly placed: readonly PlacedItem[];
  readonly pieces: readonly Piece[];
}

/** A wrap, or why the blank cannot be flattened; doubts about the readings come either way. */
export type Derived =
  | { readonly ok: true; readonly wrap: Wrap; readonly doubts: readonly ReadingDoubt[] }
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

/** Sine past which nothing is flattened: half-angles over 60° are discs, not cups. */
const STEEPEST_FLATTENED = Math.sin(Math.PI / 3);

/**
 * Works a job through: readings → sizes → template → artwork on the side → pieces of film.
 *
 * @param job readings, artwork, films, hand and seam
 * @param fonts the shipped fonts, loaded
 */
export function deriveWrap(job: Job, fonts: FontBook): Derived {
  const doubts = doubtReadings(job.blank);
  const sized = sizeBlank(job.blank);
  if (!sized.ok) return { ok: false, problem: sized.problem, doubts };
  const { size } = sized;
  if (Math.abs(size.taper) > STEEPEST_FLATTENED)
    return {
      ok: false,
      problem: { code: 'side-too-short', sideMm: size.side, leastMm: Math.abs(size.taper * size.side) },
      doubts,
    };
  const { template, surface } = makeTemplate(job.blank, size, wrapFilm(job)?.thicknessMm ?? 0, job.seam);
  const meanRadius = (surface.radiusAt(0) + surface.radiusAt(surface.slantLength)) / 2;
  const placed = job.items.map((item) => placeItem(item, surface, fonts, job.hand));
  const frame: PieceFrame = { surface, region: template.region, meanRadius };
  return {
    ok: true,
    doubts,
    wrap: {
      size,
      errors: reportErrors(job.blank, size),
      template,
      surface,
      meanRadius,
      placed,
      pieces: makePieces(placed, frame),
    },
  };
}

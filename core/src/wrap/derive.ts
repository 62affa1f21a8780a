import type { FontBook } from '../artwork/font.ts';
import { FILM_GIVE } from '../artwork/film.ts';
import type { BlankProblem, BlankSize } from '../blank/size.ts';
import { sizeBlank } from '../blank/size.ts';
import type { ErrorReport } from '../blank/error-report.ts';
import { zonesOfBlank } from '../blank/zones.ts';
import { reportErrors } from '../blank/error-report.ts';
import type { ReadingDoubt } from '../blank/plausibility.ts';
import { doubtReadings } from '../blank/plausibility.ts';
import type { Development } from '../surface/development.ts';
import type { Job } from './job.ts';
import { wrapFilm } from './job.ts';
import type { Piece, PieceFrame } from './pieces.ts';
import { makePieces } from './pieces.ts';
import type { FlatPanel } from './panels.ts';
import { makePanels } from './panels.ts';
import type { PlacedItem } from './place.ts';
import { placeItem } from './place.ts';
import type { ScatterRoom } from './scatter-item.ts';
import { scatterItem } from './scatter-item.ts';
import type { Template } from './template.ts';
import { makeTemplate } from './template.ts';

/** All that follows from a job's readings and artwork. Never stored: always worked out. */
export interface Wrap {
  readonly size: BlankSize;
  readonly errors: ErrorReport;
  readonly template: Template;
  /** What is printed as the template: one, or the bands or gores that the side is divided into. */
  readonly panels: readonly FlatPanel[];
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
  const read = sized.size;
  if (read.shape.form === 'cone' && Math.abs(read.taper) > STEEPEST_FLATTENED)
    return {
      ok: false,
      problem: { code: 'side-too-short', sideMm: read.side, leastMm: Math.abs(read.taper * read.side) },
      doubts,
    };
  const film = wrapFilm(job);
  const thickness = film?.thicknessMm ?? 0;
  const give = FILM_GIVE[film?.finish ?? 'gloss permanent'];
  const { template, surface } = makeTemplate(job.blank, read, thickness, job.seam, give);
  // A patch covers only part of a ball: from here on the side is what the template covers.
  const size = { ...read, side: surface.slantLength };
  const meanRadius = (surface.radiusAt(0) + surface.radiusAt(surface.slantLength)) / 2;
  // What is scattered goes round what is placed, wherever it lies in the stack.
  const fixed = new Map<string, PlacedItem>();
  for (const item of job.items)
    if (item.repeat.mode !== 'scattered') fixed.set(item.id, placeItem(item, surface, fonts, job.hand));
  const zones = zonesOfBlank(job.blank, size);
  const others = [...fixed.values()];
  const placed = job.items.map((item) => {
    const known = fixed.get(item.id);
    if (known) return known;
    const scattered = scatterItem(item, surface, fonts, job.hand, {
      closed: template.closed,
      rim: zones.rim,
      base: template.closed ? zones.base : job.blank.baseClearanceMm,
      handle: job.blank.handleWidthMm > 0 ? job.blank.handleWidthMm + 2 * zones.handle : 0,
      holds: roundFace(size),
      others,
    });
    others.push(scattered);
    return scattered;
  });
  const frame: PieceFrame = { surface, region: template.region, meanRadius, closed: template.closed };
  return {
    ok: true,
    doubts,
    wrap: {
      size,
      errors: reportErrors(job.blank, size),
      template,
      panels: makePanels(size, thickness, template),
      surface,
      meanRadius,
      placed,
      pieces: makePieces(placed, frame),
    },
  };
}

/** Whether a thing of some reach lies within a round face, clear of a lid's hole. */
function roundFace({ shape, side }: BlankSize): ScatterRoom['holds'] {
  if (shape.form !== 'disk' && shape.form !== 'ball') return null;
  const hole = shape.form === 'disk' && shape.hole > 0 ? shape : null;
  return (x, y, reach) => {
    const up = side / 2 - y;
    const clear = hole === null || Math.hypot(x, up - hole.holeUp) >= hole.hole / 2 + reach;
    return clear && Math.hypot(x, up) <= side / 2 - reach;
  };
}

import { hasCoverSheet } from '../material/film.ts';
import type { Finding, Judge } from './finding.ts';

/** Films that come under a clear sheet, which has to be off before the blade gets to them. */
export const judgeCoverSheet: Judge = ({ job, wrap }) =>
  job.films
    .filter((film) => hasCoverSheet(film) && wrap.pieces.some((p) => p.film === film.id))
    .map((film): Finding => ({
      id: `cover-sheet:${film.id}`,
      code: 'cover-sheet',
      case: 'peel',
      severity: 'fine',
      place: null,
      itemIds: [],
      numbers: {},
      names: { film: film.name },
      fixes: [],
    }));

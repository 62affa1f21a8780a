import { hasCoverSheet } from '../../material/film.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

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

/** In words. */
export const sayCoverSheet: Sayings = {
  'cover-sheet/peel': ({ names }) => [
    `Peel the clear sheet off ${names['film']}`,
    'Before it is cut: the blade would only reach the sheet. If it has none, all the better.',
  ],
};

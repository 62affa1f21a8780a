import { farthestFilm } from '../artwork/film-match.ts';
import type { Film } from '../model/film.ts';
import type { Process } from '../model/job.ts';
import { filmsUnasked } from './films.ts';

/**
 * Film for a mask that nobody chose one for: film that is made for masks where it stays dry, permanent film under gel or
 * cream; of those the one that stands out most from the blank.
 *
 * @param films one or more
 * @param process what the mask is for
 * @param colour of the blank
 */
export function filmForMask(films: readonly Film[], process: Process, colour: string): Film | null {
  const wet = process === 'strip' || process === 'etch';
  const made = wet ? [] : films.filter(({ finish }) => finish === 'mask film');
  return farthestFilm(colour, made.length > 0 ? made : filmsUnasked(films, process));
}

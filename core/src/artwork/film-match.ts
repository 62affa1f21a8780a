import { differenceCiede2000 } from 'culori';
import type { Film } from '../model/film.ts';

const difference = differenceCiede2000();

/** A film for a colour of a drawing, and how far the two are apart: under 2 is hard to see, over 20 is another colour. */
export interface FilmMatch {
  readonly film: Film;
  readonly apart: number;
}

/**
 * The film nearest to a colour.
 *
 * @param colour CSS colour
 * @param films one or more
 * @returns null without films
 * @source CIEDE2000: G. Sharma, W. Wu, E. Dalal, "The CIEDE2000 color-difference formula", 2005
 */
export function nearestFilm(colour: string, films: readonly Film[]): FilmMatch | null {
  return films
    .map((film) => ({ film, apart: difference(colour, film.colour) }))
    .reduce<FilmMatch | null>((best, match) => (best === null || match.apart < best.apart ? match : best), null);
}

/** The film that stands out most from a colour, so that one sees where it is; null without films. */
export function farthestFilm(colour: string, films: readonly Film[]): Film | null {
  return films.reduce<FilmMatch | null>((best, film) => {
    const apart = difference(colour, film.colour);
    return best === null || apart > best.apart ? { film, apart } : best;
  }, null)?.film ?? null; // prettier-ignore
}

/**
 * Films for all colours of a drawing at once, each film once as far as there are enough: those pairs that are nearest find
 * each other first.
 *
 * @param colours CSS colours
 * @param films one or more
 * @param oneToOne whether a film may serve one colour only
 * @returns a match for each colour, in their order
 */
export function matchFilms(
  colours: readonly string[],
  films: readonly Film[],
  oneToOne: boolean,
): (FilmMatch | null)[] {
  if (!oneToOne) return colours.map((colour) => nearestFilm(colour, films));
  const pairs = colours
    .flatMap((colour, of) => films.map((film) => ({ of, film, apart: difference(colour, film.colour) })))
    .sort((a, b) => a.apart - b.apart);
  const out: (FilmMatch | null)[] = colours.map(() => null);
  const taken = new Set<string>();
  for (const { of, film, apart } of pairs)
    if (out[of] === null && !taken.has(film.id)) {
      out[of] = { film, apart };
      taken.add(film.id);
    }
  return out.map((match, i) => match ?? nearestFilm(colours[i]!, films));
}

/** Ids of the films of all colours, in their order; null without films. */
export function filmIdsFor(colours: readonly string[], films: readonly Film[], oneToOne: boolean): (string | null)[] {
  // A colour that comes on two levels of a drawing is one colour.
  const distinct = [...new Set(colours)];
  const matches = new Map(matchFilms(distinct, films, oneToOne).map((match, i) => [distinct[i]!, match]));
  return colours.map((colour) => matches.get(colour)?.film.id ?? null);
}

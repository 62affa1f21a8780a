import type { Film } from '../artwork/film.ts';
import type { ArtworkItem } from '../artwork/item.ts';
import type { Blank } from '../blank/blank.ts';
import type { Hand } from './place.ts';

/** How the two ends of a wrap meet. */
export interface Seam {
  /** mm. One end carries this much more film, to lap over the other; 0 butts them. */
  readonly lapMm: number;
}

/** Everything that decides which pieces of film are cut: the part of a project that geometry is derived from. */
export interface Job {
  readonly blank: Blank;
  readonly items: readonly ArtworkItem[];
  readonly films: readonly Film[];
  readonly hand: Hand;
  readonly seam: Seam;
}

/** Film that the template's length is worked out for: the first that touches the blank. */
export function wrapFilm(job: Job): Film | null {
  const first = job.items[0]?.film;
  return job.films.find((film) => film.id === first) ?? job.films[0] ?? null;
}

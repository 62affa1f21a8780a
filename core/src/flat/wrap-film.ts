import type { Film } from '../model/film.ts';
import type { Job } from '../model/job.ts';

/** Film that the template's length is worked out for: the first that touches the blank. */
export function wrapFilm(job: Pick<Job, 'items' | 'films'>): Film | null {
  const first = job.items[0]?.film;
  return job.films.find((film) => film.id === first) ?? job.films[0] ?? null;
}

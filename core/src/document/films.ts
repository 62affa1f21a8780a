import { isRemovable, hasCoverSheet } from '../material/film.ts';
import type { Film } from '../model/film.ts';
import type { Process } from '../model/job.ts';
import type { Project } from '../model/project.ts';

/** Ids of the films that a project's artwork is cut from. */
export const filmsUsed = ({ items, names }: Pick<Project, 'items' | 'names'>): ReadonlySet<string> =>
  new Set([
    ...items.flatMap(({ film, repeat }) => [film, ...(repeat.scatter?.films ?? [])]),
    ...(names?.rows ?? []).flatMap(({ swaps = [] }) => swaps.flatMap(({ film }) => film ?? [])),
  ]);

/**
 * A project with a snapshot of every film that its artwork is cut from, so that it can be opened where the stock is another.
 *
 * @param known films of the stock
 * @returns the project itself when it has all of them
 */
export function withUsedFilms(project: Project, known: readonly Film[]): Project {
  const has = new Set(project.films.map(({ id }) => id));
  const missing = new Map(known.filter(({ id }) => !has.has(id)).map((film) => [film.id, film]));
  const added = [...filmsUsed(project)].flatMap((id) => missing.get(id) ?? []);
  return added.length === 0 ? project : { ...project, films: [...project.films, ...added] };
}

/** What may be chosen for a project: its own films, then those of the stock that it does not have, by name. */
export function filmsOffered(own: readonly Film[], known: readonly Film[]): Film[] {
  const has = new Set(own.map(({ id }) => id));
  const others = new Map(known.filter(({ id }) => !has.has(id)).map((film) => [film.id, film]));
  return [...own, ...[...others.values()].sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }))];
}

/** A film that the stock has otherwise than the project's snapshot of it; null where they agree, or the stock has none. */
export function filmInStock(own: Film, known: readonly Film[]): Film | null {
  const now = known.find(({ id }) => id === own.id);
  if (!now) return null;
  const same = (['name', 'colour', 'finish', 'thicknessMm'] as const).every((key) => now[key] === own[key]);
  return same ? null : now;
}

/** A project whose snapshots of films are as the given ones. */
export const takeFilms = (project: Project, films: readonly Film[]): Project => ({
  ...project,
  films: project.films.map((own) => films.find(({ id }) => id === own.id) ?? own),
});

/**
 * Films that may be chosen for somebody who did not ask for one: nothing that comes off again for what stays on or gets wet, no
 * foil.
 *
 * @returns all of them when none is left
 */
export function filmsUnasked(films: readonly Film[], process: Process): readonly Film[] {
  const suited = films.filter(
    (film) => !hasCoverSheet(film) && (process === 'blast' || process === 'paint' || !isRemovable(film)),
  );
  return suited.length > 0 ? suited : films;
}

import { isRaw, type VersionStep } from './walk.ts';

const STACK = { build: 'full', underlapMm: 0.6, thinMm: 4, order: [], lay: 'flat' };

/** Films lay whole on each other and were lined up by hand; there was no stock, and blanks were not counted. */
export const fromV6: VersionStep = {
  backup: (backup) => ({ stock: [], ...backup }),
  project: (project) => ({
    stack: { ...STACK, marks: byHandAll(project['films']) },
    laid: [],
    ...project,
    ...(isRaw(project['carried']) ? { carried: { stock: [], ...project['carried'] } } : {}),
  }),
  shelf: (document) => ({ inStock: null, ...document }),
};

/** Every film lined up by hand, so that an older project is planned as it was. */
function byHandAll(films: unknown): Record<string, 'by hand'> {
  const ids = Array.isArray(films)
    ? films.flatMap((f: unknown) => (isRaw(f) && typeof f['id'] === 'string' ? [f['id']] : []))
    : [];
  return Object.fromEntries(ids.map((id) => [id, 'by hand']));
}

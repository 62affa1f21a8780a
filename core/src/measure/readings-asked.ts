import type { ReadingName } from '../model/blank.ts';

/** Readings that are taken round something, so that the tape's own thickness counts. */
export function isGirth(name: ReadingName): boolean {
  return name === 'girthRim' || name === 'girthBase' || name === 'girth';
}

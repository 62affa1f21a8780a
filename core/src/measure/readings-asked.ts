import type { BlankKind, ReadingName } from '../model/blank.ts';

/** The readings that a kind of blank cannot do without, in the order in which they are asked for. */
export const READINGS_ASKED: Record<BlankKind, readonly ReadingName[]> = {
  straight: ['girthRim', 'side'],
  tapered: ['girthRim', 'girthBase', 'side'],
  profile: [],
  ball: ['girth'],
  balloon: ['girth', 'overCrown'],
  lid: ['across'],
  flat: ['width', 'height'],
};

/** Readings that check or complete the others; may be left out. */
export const READINGS_WELCOME: Record<BlankKind, readonly ReadingName[]> = {
  straight: ['acrossRim'],
  tapered: ['upright', 'acrossRim'],
  profile: [],
  ball: ['across'],
  balloon: [],
  lid: ['hole', 'holeIn'],
  flat: [],
};

/** Whether film goes round the blank and meets itself at a seam. */
export function isRound(kind: BlankKind): boolean {
  return kind === 'straight' || kind === 'tapered' || kind === 'profile';
}

/** Readings that are taken round something, so that the tape's own thickness counts. */
export function isGirth(name: ReadingName): boolean {
  return name === 'girthRim' || name === 'girthBase' || name === 'girth';
}

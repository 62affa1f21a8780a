import type { BlankKind } from '../../model/blank.ts';
import type { Solid } from '../../solid/solid.ts';
import type { BlankSize } from '../size.ts';
import { ball } from './ball.ts';
import { balloon } from './balloon.ts';
import { box } from './box.ts';
import { flat } from './flat.ts';
import type { KindOfBlank } from './kind.ts';
import { lid } from './lid.ts';
import { profile } from './profile.ts';
import { straight } from './straight.ts';
import { tapered } from './tapered.ts';

/** Every kind of blank, in the order in which they are offered; a new one is its file and a line here. */
export const KINDS_OF_BLANK: Readonly<Record<BlankKind, KindOfBlank>> = {
  straight,
  tapered,
  profile,
  ball,
  balloon,
  lid,
  flat,
  box,
};

/** Their names in files. */
export const KINDS = Object.keys(KINDS_OF_BLANK) as [BlankKind, ...BlankKind[]];

/** Each size's solid is made once. */
const SOLIDS = new WeakMap<BlankSize, Solid>();

/** The solid of these sizes. */
export function solidOf(size: BlankSize): Solid {
  const made = SOLIDS.get(size) ?? KINDS_OF_BLANK[size.kind].solid(size);
  SOLIDS.set(size, made);
  return made;
}

/** Whether film goes round a blank of some kind and meets itself at a seam. */
export const isRound = (kind: BlankKind): boolean => KINDS_OF_BLANK[kind].round;

import type { BlankKind, ReadingName } from '@mivet/core';

/** Kinds of blank as a crafter names them, with a drawing (24 × 24, one stroke) and what is read of each. */
export const KIND_WORDS: Record<BlankKind, { label: string; like: string; icon: string; asks: string }> = {
  straight: {
    label: 'Straight',
    like: 'mug, tumbler, can-shaped glass',
    icon: 'M6 4V20H18V4M6 4A6 1.6 0 0 0 18 4A6 1.6 0 0 0 6 4',
    asks: 'Two readings',
  },
  tapered: {
    label: 'Tapered',
    like: 'cup or tumbler, either end wider',
    icon: 'M4.5 4L8 20H16L19.5 4M4.5 4A7.5 1.8 0 0 0 19.5 4A7.5 1.8 0 0 0 4.5 4',
    asks: 'Three readings',
  },
  profile: {
    label: 'Curved side',
    like: 'bowl, goblet, bottle, pot',
    icon: 'M5 4C3 13 8 18 9 20H15C16 18 21 13 19 4M5 4A7 1.7 0 0 0 19 4A7 1.7 0 0 0 5 4',
    asks: 'Girths at some heights',
  },
  ball: { label: 'Ball', like: 'ornament', icon: 'M12 5A8 8 0 1 0 12.01 5M10 5V2.5H14V5', asks: 'One reading' },
  balloon: {
    label: 'Balloon',
    like: 'blown up',
    icon: 'M12 2.5C5 2.5 5 13 12 18C19 13 19 2.5 12 2.5M11 20L12 18L13 20Z',
    asks: 'Two readings',
  },
  lid: {
    label: 'Lid',
    like: 'lid or coaster, with a straw hole or none',
    icon: 'M12 4A8 8 0 1 0 12.01 4M12 6.5A1.8 1.8 0 1 0 12.01 6.5',
    asks: 'One reading, three with a hole',
  },
  flat: { label: 'Flat side', like: 'box, tag', icon: 'M4 6H20V18H4Z', asks: 'Two readings' },
};

/** How each reading is taken. */
export const READING_HINTS: Record<ReadingName, string> = {
  girthRim: 'Lay the tape once round, just below the lip, as drawn.',
  girthBase: 'Once round again, just above the curve at the base.',
  side: 'Along the wall, from the rim tape to the base tape.',
  upright: 'Straight up with a ruler, if the wall is hard to follow.',
  acrossRim: 'Across the top, outer wall to outer wall. It checks the girth.',
  girth: 'Once round where it is widest.',
  overCrown: 'From the neck, over the side, up to the crown: the tape follows the skin.',
  across: 'Straight across the middle, edge to edge.',
  hole: 'Across the hole, edge to edge. Leave it out when there is none.',
  holeIn: 'From the edge of the lid straight in to the hole. Left out, the hole is in the middle.',
  width: 'Straight across the part that film may cover.',
  height: 'Straight down it.',
};

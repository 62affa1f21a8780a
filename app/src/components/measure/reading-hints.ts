import type { ReadingName } from '@mivet/core';

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
  width: 'Straight across: of a tag, the part that film may cover.',
  height: 'Straight down it.',
  depth: 'Straight from the front to the back, lid closed.',
};

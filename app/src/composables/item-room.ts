import {
  formatSize,
  freeWindow,
  type Gap,
  glanceHalfAngleOn,
  matesOf,
  radiusOnSide,
  type ArtworkItem,
  type Blank,
  type Hand,
  type Limits,
  type RoomSide,
  type ShapeViewModel,
  type SnapBox,
  type SnapOther,
  togetherWith,
  type Units,
  zonesOfBlank,
} from '@mivet/core';
import { itemTitle } from './item-title.ts';

/** Copies of one other item that are looked at. */
const MOST_COPIES = 12;

/** The side that things are placed on, as lines and distances hang on it. */
export function sideOf(blank: Blank, hand: Hand, shape: ShapeViewModel, limits: Limits): RoomSide {
  const { rim, base, handle } = zonesOfBlank(blank, shape.size);
  const closed = shape.template.closed;
  return {
    side: shape.size.side,
    radiusAt: (slant) => radiusOnSide(shape, slant),
    closed,
    hasHandle: blank.handleWidthMm > 0,
    handleMm: blank.handleWidthMm,
    handleClear: handle,
    hand,
    rim,
    base,
    glance: closed ? glanceHalfAngleOn(blank, shape.meanRadius, 0, limits) : null,
  };
}

/** Ids of items with what is kept together with each, and with the other colours of their drawings: no neighbours of theirs. */
export const movedAlong = (items: readonly ArtworkItem[], own: readonly ArtworkItem[]): ReadonlySet<string> =>
  new Set(own.flatMap((item) => [...togetherWith(items, item), ...matesOf(items, item)].map(({ id }) => id)));

/** Every copy of the other items, with its name. */
export const othersOf = (
  items: readonly ArtworkItem[],
  shape: ShapeViewModel,
  own: ReadonlySet<string>,
): readonly SnapOther[] =>
  shape.items
    .filter((other) => !own.has(other.itemId) && other.slants !== null)
    .flatMap((other) => {
      const named = items.find((i) => i.id === other.itemId);
      const name = named ? itemTitle(named) : '';
      const allRound = named?.repeat.mode === 'joined';
      return other.copies
        .slice(0, allRound ? 1 : MOST_COPIES)
        .map((azimuth) => ({ ...other, azimuth, name, allRound }));
    });

/** What is free about an item, itself included. */
export function roomWords(box: SnapBox, gaps: readonly Gap[], unit: Units): string {
  const { widthMm, heightMm } = freeWindow(box, gaps);
  return `room here: ${formatSize(widthMm, heightMm, unit)}`;
}

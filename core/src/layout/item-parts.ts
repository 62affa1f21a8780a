import type { ItemPart } from '../artwork/acts.ts';
import { partsOfInk } from '../artwork/acts.ts';
import type { FontBook } from '../artwork/font.ts';
import type { ArtworkItem } from '../model/item.ts';
import type { Box } from '../plane/box.ts';
import { itemOutlines } from './item-outlines.ts';

/** The connected parts of an item as it was drawn, unturned, for choosing which of them to drop; mm. */
export function itemParts(item: ArtworkItem, fonts: FontBook): { box: Box; parts: readonly ItemPart[] } {
  const { groups, box } = itemOutlines(item, fonts, 30);
  return { box, parts: partsOfInk(groups, item.acts) };
}

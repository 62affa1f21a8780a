import type { FontBook } from '../artwork/font.ts';
import { itemParts } from '../layout/item-parts.ts';
import type { ArtworkItem } from '../model/item.ts';
import { ringsData } from './rings-data.ts';
import type { PartsViewModel } from './views.ts';

/** The parts of an item as plain data. */
export function partsViewModel(item: ArtworkItem, fonts: FontBook): PartsViewModel {
  const { box, parts } = itemParts(item, fonts);
  return {
    box,
    parts: parts.map(({ spot, rings, dropped }) => ({ spot, dropped, data: ringsData(rings) })),
  };
}

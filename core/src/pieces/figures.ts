import { isByItself } from '../artwork/by-itself.ts';
import type { PlacedItem } from '../layout/place.ts';
import type { ArtworkItem } from '../model/item.ts';
import { slug, slugsOf } from './slug.ts';

/** Parts that are called otherwise: panels, bands, gores and spares. */
const TAKEN = /^(spares|panel|band|gore)(-\d+)?$/;

/** What moves as one when it is laid by itself: what is kept together, all colours of a drawing, or the item. */
const figureOf = (item: ArtworkItem): string => item.keepTogether ?? (item.type === 'art' ? item.setId : item.id);

/**
 * What the figures are called that are laid by themselves: by their words, motif or drawing, numbered where there are
 * several copies or several of one name.
 *
 * @param placed everything on the side
 * @returns the part of a copy of an item; null for what goes on with the whole
 */
export function figureParts(placed: readonly PlacedItem[]): (item: ArtworkItem, copy: number) => string | null {
  const figures = new Map<string, { id: string; name: string; copies: number }>();
  for (const { item, copies } of placed) {
    if (!isByItself(item)) continue;
    const id = figureOf(item);
    const name = item.type === 'text' ? item.text : item.type === 'motif' ? item.motif : item.name;
    figures.set(
      id,
      figures.get(id) ?? { id, name: TAKEN.test(slug(name, '')) ? `${name} alone` : name, copies: copies.length },
    );
  }
  const called = slugsOf([...figures.values()], 'figure');
  return (item, copy) => {
    if (!isByItself(item)) return null;
    const figure = figures.get(figureOf(item))!;
    const name = called.get(figure.id)!;
    return figure.copies > 1 ? `${name}-no-${copy + 1}` : name;
  };
}

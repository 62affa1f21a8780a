import type { ArtItem, ArtworkItem } from './item.ts';

/** The other colours of the drawing that an item is a colour of; none for words and motifs. */
export function matesOf(items: readonly ArtworkItem[], item: ArtworkItem): ArtItem[] {
  if (item.type !== 'art') return [];
  return items.filter(
    (other): other is ArtItem => other.type === 'art' && other.setId === item.setId && other.id !== item.id,
  );
}

/**
 * Puts a changed item in its place. The colours of one drawing stay in step: where it sits, how it runs and how large it
 * is hold for all of them; its film is its own.
 *
 * @param items of the project
 * @param changed the item as it is to be; when it is not among them, nothing changes
 */
export function replaceItem(items: readonly ArtworkItem[], changed: ArtworkItem): readonly ArtworkItem[] {
  return items.map((item) => {
    if (item.id === changed.id) return changed;
    if (changed.type !== 'art' || item.type !== 'art' || item.setId !== changed.setId) return item;
    const { placement, running, repeat, mirrored, widthMm, heightMm } = changed;
    return { ...item, placement, running, repeat, mirrored, widthMm, heightMm };
  });
}

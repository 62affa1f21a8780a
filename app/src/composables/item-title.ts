import { MOTIFS, type ArtworkItem } from '@mivet/core';

/** What an item is called in lists and headings. */
export function itemTitle(item: ArtworkItem): string {
  if (item.type === 'art') return item.name;
  if (item.type === 'text') return item.text.replace(/\s+/g, ' ') || 'Empty words';
  if (item.motif === 'plate' && item.acts.cutAway.length > 0) return 'Mask';
  if (item.motif === 'plate' && item.acts.shapesOnly) return 'Open field of the mask';
  return MOTIFS[item.motif].label;
}

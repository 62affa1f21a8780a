import type { ArtworkItem } from '../model/item.ts';
import { isMask } from './mask.ts';

/**
 * Whether each copy of an item is a figure of its own: cut by its own shape and laid by itself, so that no seam, wrap or
 * panel is asked of it. What is joined all round is one band, and a mask is one sheet.
 */
export const isByItself = (item: ArtworkItem): boolean =>
  item.byItself === true && item.repeat.mode !== 'joined' && !isMask(item);

import type { Box } from '../plane/box.ts';
import { boxHeight, boxWidth, EMPTY_BOX, joinBoxes } from '../plane/box.ts';
import type { PlacedItem } from './place.ts';

/**
 * Size of what is cut of one copy of an item as it lies, mm: for a colour of a drawing, of all its colours together. null
 * when nothing is cut.
 *
 * @param placed everything on the side
 * @param one the item
 */
export function cutSize(
  placed: readonly PlacedItem[],
  one: PlacedItem,
): { readonly width: number; readonly height: number } | null {
  const { item } = one;
  const mates =
    item.type === 'art' ? placed.filter((p) => p.item.type === 'art' && p.item.setId === item.setId) : [one];
  const boxes = mates.flatMap(({ ink }): Box[] => (ink ? [ink] : []));
  if (boxes.length === 0) return null;
  const box = boxes.reduce(joinBoxes, EMPTY_BOX);
  return { width: boxWidth(box), height: boxHeight(box) };
}

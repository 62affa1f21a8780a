import { bareRound, isMask, type BareArea } from '../artwork/mask.ts';
import type { Wrap } from './wrap.ts';

/** What of a side that goes round its mask leaves bare; empty without a mask. */
export function bareOf({ placed, surface, template }: Pick<Wrap, 'placed' | 'surface' | 'template'>): BareArea[] {
  const plate = placed.find(({ item }) => isMask(item));
  if (!plate || !template.closed) return [];
  const side = { length: surface.slantLength, radiusAt: (slant: number) => surface.radiusAt(slant) };
  const { item, copies, box, slants } = plate;
  return bareRound({ itemId: item.id, copies, widthMm: box.maxX - box.minX, slants }, side);
}

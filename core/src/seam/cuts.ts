import type { PlacedItem } from '../layout/place.ts';
import { groupsOfCopy } from '../layout/place.ts';
import { looseInTiles } from './loose-in-tiles.ts';
import { boxOfRings } from '../plane/box.ts';
import type { FoundSeam, SeamField } from './measure-seam.ts';
import { measureSeam } from './measure-seam.ts';
import { seamRange } from './path.ts';

/** A copy of an item through which a seam runs. */
export interface SeamCut {
  /** Which of the seams. */
  readonly seam: number;
  readonly itemId: string;
  readonly copy: number;
  /** mm of its film that are cut. */
  readonly cutMm: number;
}

/**
 * The copies that are cut at seams, one by one, so that each can be dealt with by itself. Bands that are joined all
 * round are meant to be cut and are left out; what is loose in their tiles is not.
 *
 * @param placed items on the side
 * @param seams where panels meet
 * @param side its length and radii
 */
export function cutsAtSeams(
  placed: readonly PlacedItem[],
  seams: readonly FoundSeam[],
  side: Omit<SeamField, 'groups'>,
): SeamCut[] {
  const cuts: SeamCut[] = [];
  for (const one of placed) {
    const { item, copies } = one;
    const loose = item.repeat.mode === 'joined' ? looseInTiles(one) : null;
    for (let copy = 0; copy < copies.length; copy++) {
      const own = loose ? loose[copy]! : groupsOfCopy(one, copy);
      if (own.length === 0) continue;
      const box = boxOfRings(own.flat());
      seams.forEach(({ path }, seam) => {
        const [low, high] = seamRange(path);
        const turns = Math.floor((box.maxX - low) / (2 * Math.PI)) - Math.ceil((box.minX - high) / (2 * Math.PI));
        if (turns < 0) return;
        const { cutMm } = measureSeam({ ...side, groups: own }, path);
        if (cutMm > 0.05) cuts.push({ seam, itemId: item.id, copy, cutMm });
      });
    }
  }
  return cuts;
}

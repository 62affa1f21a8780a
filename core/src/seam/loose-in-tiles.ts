import { groupsOfCopy, type PlacedItem } from '../layout/place.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import { nestRings } from '../polygon/hole-assignment.ts';
import type { Ring } from '../polygon/polygon.ts';
import { reverseRing, ringsOf } from '../polygon/polygon.ts';

/**
 * What of a drawing that is joined round the side does not reach from tile to tile: parts that a seam need not cut. What
 * reaches an edge of its tile meets the next one there.
 *
 * @param placed a joined item; a motif that joins is one band
 * @returns copy by copy, each part as a group
 */
export function looseInTiles(placed: PlacedItem): (readonly Ring[])[][] {
  const { item, copies } = placed;
  if (item.type !== 'art') return copies.map(() => []);
  const half = Math.PI / copies.length;
  return copies.map((middle, copy) =>
    groupsOfCopy(placed, copy).flatMap((group) =>
      // On the side rings run the other way round: down is positive there.
      nestRings(group.map(reverseRing)).flatMap((part) => {
        const { minX, maxX } = boxOfCoordinates(part.outer);
        const reaches = minX <= middle - half + EPSILON || maxX >= middle + half - EPSILON;
        return reaches ? [] : [ringsOf(part).map(reverseRing)];
      }),
    ),
  );
}

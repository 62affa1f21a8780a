import { maskPlate } from '../../artwork/mask.ts';
import type { PlacedItem } from '../../layout/place.ts';
import { boxOfCoordinates } from '../../plane/box.ts';
import type { Ring } from '../../polygon/polygon.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Place, ProofContext } from '../finding.ts';

/** mm. What bridges are made at first. */
export const USUAL_BRIDGE_MM = 1.5;

export function placedMask({ job, wrap }: ProofContext): PlacedItem | null {
  const plate = maskPlate(job.items);
  return wrap.placed.find((p) => p.item.id === plate?.id) ?? null;
}

/** Where a ring of the working plane lies on the side. */
export function placeOf(ring: Ring, radius: number): Place {
  const { minX, maxX, minY, maxY } = boxOfCoordinates(ring);
  return { azimuths: [minX / radius, maxX / radius], slants: [-maxY, -minY] };
}

export const about = (context: ProofContext, mask: PlacedItem): Pick<Finding, 'place' | 'itemIds' | 'names'> => ({
  place: null,
  itemIds: [mask.item.id],
  names: { item: itemName(context, mask.item.id) },
});

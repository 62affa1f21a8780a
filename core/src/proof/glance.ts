import { eyeDistance, halfAngleSeen } from '../surface/foreshortening.ts';
import { isMask } from '../artwork/mask.ts';
import type { Limits } from './limits.ts';
import type { Finding, Judge } from './finding.ts';
import { itemName } from './finding.ts';

/** How much of a glance a fix fills: moved a little further down a taper, the words still fit it. */
const SPARE = 0.98;

/**
 * Half-angle round the blank that is seen in one glance.
 *
 * @param radius of the blank, mm
 * @param limits from where it is seen, and how narrow the edge may look against the middle
 * @returns azimuth in rad
 */
export function glanceHalfAngle(radius: number, limits: Pick<Limits, 'glanceDistance' | 'glanceEdge'>): number {
  return halfAngleSeen(radius, eyeDistance(radius, limits.glanceDistance), limits.glanceEdge / 100);
}

/** Words and single motifs wider than what one sees without turning the blank. */
export const judgeGlance: Judge = (context) =>
  context.wrap.placed.flatMap((placed): Finding[] => {
    if (!context.wrap.template.closed || placed.item.repeat.mode !== 'once' || !placed.slants) return [];
    // A mask is gone before anybody looks.
    if (isMask(placed.item)) return [];
    const radius = context.wrap.surface.radiusAt(placed.slant);
    const half = glanceHalfAngle(radius, context.limits);
    const seen = 2 * radius * half;
    const width = placed.box.maxX - placed.box.minX;
    if (width <= seen + 0.05) return [];
    return [
      {
        id: `glance:${placed.item.id}`,
        code: 'glance',
        case: 'wide',
        severity: 'look',
        place: { azimuths: [placed.azimuth - half, placed.azimuth + half], slants: placed.slants },
        itemIds: [placed.item.id],
        numbers: { width, seen, distance: context.limits.glanceDistance },
        names: { item: itemName(context, placed.item.id) },
        fixes: [
          { do: 'scale-item', itemId: placed.item.id, factor: (seen / width) * SPARE },
          // Opposite a handle there is one face on either side of it.
          { do: 'both-faces', itemId: placed.item.id, factor: (seen / width) * SPARE },
        ],
      },
    ];
  });

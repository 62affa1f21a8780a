import { isMask } from '../artwork/mask.ts';
import type { Finding, Judge } from './finding.ts';
import { itemName } from './finding.ts';

/** mm from the eye to the blank's axis. */
export const VIEWING_DISTANCE_MM = 500;
/** Letters at the edge of the glance may look this much narrower than in the middle. */
export const EDGE_SHARE = 0.6;

/**
 * Half-angle round the blank that is seen in one glance.
 *
 * @param radius of the blank, mm
 * @param distance from the eye to the axis, mm, > radius
 * @param edgeShare how narrow the edge may look against the middle, 0…1
 * @returns azimuth in rad
 * @source tan α = r sin θ/(D − r cos θ); the ratio of dα/dθ at θ to that at 0 is set to the edge share and solved for cos θ
 */
export function glanceHalfAngle(radius: number, distance = VIEWING_DISTANCE_MM, edgeShare = EDGE_SHARE): number {
  const top = edgeShare * (distance ** 2 + radius ** 2) + radius * (distance - radius);
  const bottom = distance * (distance - radius) + 2 * edgeShare * distance * radius;
  return Math.acos(Math.min(1, Math.max(-1, top / bottom)));
}

/** Words and single motifs wider than what one sees without turning the blank. */
export const judgeGlance: Judge = (context) =>
  context.wrap.placed.flatMap((placed): Finding[] => {
    if (!context.wrap.template.closed || placed.item.repeat.mode !== 'once' || !placed.slants) return [];
    // A mask is gone before anybody looks.
    if (isMask(placed.item)) return [];
    const radius = context.wrap.surface.radiusAt(placed.slant);
    const half = glanceHalfAngle(radius);
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
        numbers: { width, seen, distance: VIEWING_DISTANCE_MM },
        names: { item: itemName(context, placed.item.id) },
        fixes: [{ do: 'scale-item', itemId: placed.item.id, factor: (seen / width) * 0.999 }],
      },
    ];
  });

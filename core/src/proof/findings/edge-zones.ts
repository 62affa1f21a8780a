import { isMask } from '../../artwork/mask.ts';
import { zonesOfBlank } from '../../measure/zones.ts';
import type { Command } from '../../model/command.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, ProofContext } from '../finding.ts';

/** mm. The last digit that is shown. */
const SHOWN_MM = 0.1;

/**
 * Film inside the zone along one edge of the band, or past the edge itself; shared by the rim and the base.
 *
 * @param context what is judged
 * @param edge which end of the band
 */
export function judgeEdge(context: ProofContext, edge: 'rim' | 'base'): Finding[] {
  const { job, wrap } = context;
  if (!wrap.template.closed) return [];
  const zones = zonesOfBlank(job.blank, wrap.size);
  const side = wrap.size.side;
  const zone = zones[edge];
  return wrap.placed.flatMap((placed): Finding[] => {
    // A mask reaches to the edges, and is removed before the cup is used.
    if (!placed.slants || isMask(placed.item)) return [];
    const [top, bottom] = placed.slants;
    const room = edge === 'rim' ? top : side - bottom;
    // Less than half of what is shown cannot be put right by placing; film set on the line is not inside it.
    if (room >= zone - SHOWN_MM / 2) return [];
    const need = zone - room;
    const other = edge === 'rim' ? side - bottom - zones.base : top - zones.rim;
    const fix: Command =
      other >= need
        ? { do: 'move-item', itemId: placed.item.id, downMm: edge === 'rim' ? need : -need }
        : {
            do: 'scale-item',
            itemId: placed.item.id,
            factor: shrinkToFit(top, bottom, zones.rim, side - zones.base),
            toMiddleMm: (zones.rim + side - zones.base) / 2 - side / 2,
          };
    const radius = wrap.surface.radiusAt(placed.slant);
    return [
      {
        id: `${edge}-zone:${placed.item.id}`,
        code: `${edge}-zone`,
        case: room < 0 ? 'over' : 'inside',
        severity: room < -SHOWN_MM / 2 ? 'fails' : 'look',
        place: {
          azimuths: [placed.azimuth + placed.box.minX / radius, placed.azimuth + placed.box.maxX / radius],
          slants: edge === 'rim' ? [top, Math.max(top, zone)] : [Math.min(bottom, side - zone), bottom],
        },
        itemIds: [placed.item.id],
        numbers: { room, need, zone, clearance: edge === 'rim' ? job.blank.rimClearanceMm : job.blank.baseClearanceMm },
        names: { item: itemName(context, placed.item.id) },
        fixes: [fix],
      },
    ];
  });
}

/** Factor that makes a span fit between two lines. */
function shrinkToFit(top: number, bottom: number, low: number, high: number): number {
  return Math.max(0.05, Math.min(0.99, (high - low) / (bottom - top)) * 0.99);
}

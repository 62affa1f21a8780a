import { wholeTurns } from '../../numeric/angle.ts';
import type { PlacedItem } from '../../layout/place.ts';
import { formatLength } from '../../measure/length.ts';
import { zonesOfBlank } from '../../measure/zones.ts';
import type { Command } from '../../model/command.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge, ProofContext } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';

/** Film under the handle or too close to it. */
export const judgeHandleZone: Judge = (context) => {
  const { job, wrap } = context;
  if (job.blank.handleWidthMm === 0) return [];
  const zone = zonesOfBlank(job.blank, wrap.size).handle;
  return wrap.placed.flatMap((placed): Finding[] => {
    const room = roomAtHandle(context, placed);
    if (room.left === null || room.right === null) return [];
    const least = Math.min(room.left, room.right);
    if (least >= zone - 0.05) return [];
    const radius = wrap.surface.radiusAt(placed.slant);
    const once = placed.item.repeat.mode === 'once';
    const needLeft = zone - room.left;
    const needRight = zone - room.right;
    const fits = room.left + room.right >= 2 * zone;
    const width = placed.box.maxX - placed.box.minX;
    const fixes: Command[] = !once
      ? []
      : fits
        ? [
            {
              do: 'turn-item',
              itemId: placed.item.id,
              byDeg: ((needLeft > 0 ? needLeft : -needRight) / radius) * (180 / Math.PI),
            },
          ]
        : [
            {
              do: 'scale-item',
              itemId: placed.item.id,
              // Shrunk about its middle, each side must come in by the larger need.
              factor: Math.max(0.05, (width - 2 * Math.max(needLeft, needRight)) / width) * 0.995,
            },
          ];
    return [
      {
        id: `handle-zone:${placed.item.id}`,
        code: 'handle-zone',
        case: placed.item.repeat.mode === 'joined' ? 'band' : least < 0 ? 'under' : 'near',
        severity: least < 0 && placed.item.repeat.mode !== 'joined' ? 'fails' : 'look',
        place: { azimuths: [Math.PI - 0.35, Math.PI + 0.35], slants: placed.slants ?? [0, wrap.size.side] },
        itemIds: [placed.item.id],
        numbers: { room: Math.max(least, -job.blank.handleWidthMm), zone },
        names: { item: itemName(context, placed.item.id) },
        fixes,
      },
    ];
  });
};

/** Room between an item's film and the handle's edges on its left and right, mm; negative under the handle. */
function roomAtHandle({ job, wrap }: ProofContext, placed: PlacedItem): { left: number | null; right: number | null } {
  let left: number | null = null;
  let right: number | null = null;
  const half = job.blank.handleWidthMm / 2;
  const perGroup = placed.groups.length / placed.copies.length;
  placed.groups.forEach((rings, index) => {
    // Counted from the copy's own centre, brought to within half a turn of the front.
    const centre = placed.copies[Math.floor(index / perGroup)]!;
    const shift = -wholeTurns(centre);
    for (const ring of rings)
      for (let i = 0; i < ring.length; i += 2) {
        const radius = wrap.surface.radiusAt(ring[i + 1]!);
        const azimuth = ring[i]! + shift;
        left = Math.min(left ?? Infinity, (azimuth + Math.PI) * radius - half);
        right = Math.min(right ?? Infinity, (Math.PI - azimuth) * radius - half);
      }
  });
  return { left, right };
}

/** In words. */
export const sayHandleZone: Sayings = {
  'handle-zone/under': ({ finding, unit, names }) => [
    `${sentence(names['item'])} runs under the handle`,
    `${formatLength(-(finding.numbers['room'] ?? 0), unit)} of it would lie under the handle and is cut off.`,
  ],
  'handle-zone/near': ({ names, mm }) => [
    `${sentence(names['item'])} is close to the handle`,
    `${mm('room')} is left; ${mm('zone')} lets a finger and a squeegee in.`,
  ],
  'handle-zone/band': ({ names }) => [
    `${sentence(names['item'])} stops at the handle`,
    'A band cannot run through a handle: it ends on both sides of it. Trim the ends to taste; only your eye can judge this.',
  ],
};

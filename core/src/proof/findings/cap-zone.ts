import { solidOf } from '../../measure/kinds/kinds.ts';
import type { Piece } from '../../pieces/pieces.ts';
import { ballPatch } from '../../surface/ball-patch.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge, ProofContext } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';

/** mm. The last digit that is shown. */
const SHOWN_MM = 0.1;
/** mm along an outline between spots that are looked at. */
const STEP_MM = 0.5;

/** mm along a ball from the middle of its top down to the nearest film of a piece. */
function fromTop({ job, wrap }: ProofContext, radius: number, piece: Piece): number {
  const patch = ballPatch(2 * Math.PI * radius, {
    azimuth: 0,
    latitude: (Math.max(-80, Math.min(80, job.blank.flattening.patchUpDeg)) * Math.PI) / 180,
  });
  const { outer } = piece.unrolled;
  let least = Infinity;
  for (let i = 0, n = outer.length; i < n; i += 2) {
    const [ax, ay, bx, by] = [outer[i]!, outer[i + 1]!, outer[(i + 2) % n]!, outer[(i + 3) % n]!];
    // The middle of a straight edge may lie nearer than its corners.
    const steps = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / STEP_MM));
    for (let k = 0; k < steps; k++) {
      const spot = patch.inverse(ax + ((bx - ax) * k) / steps, ay + ((by - ay) * k) / steps + wrap.size.side / 2);
      if (spot) least = Math.min(least, radius * (Math.PI / 2 - spot.latitude));
    }
  }
  return least;
}

/** Film under the metal cap or the loop of an ornament, or so near to it that no finger gets there to press it down. */
export const judgeCapZone: Judge = (context) => {
  const { job, wrap } = context;
  const { spheroid } = solidOf(wrap.size);
  const cap = job.blank.capMm ?? 0;
  if (job.blank.kind !== 'ball' || !spheroid || cap === 0) return [];
  const { radius } = spheroid;
  const rim = radius * Math.asin(Math.min(1, cap / 2 / radius));
  const worst = new Map<string, number>();
  for (const piece of wrap.pieces.filter(({ spare }) => !spare)) {
    const room = fromTop(context, radius, piece) - rim;
    for (const itemId of piece.itemIds) worst.set(itemId, Math.min(worst.get(itemId) ?? Infinity, room));
  }
  const clearance = job.blank.baseClearanceMm;
  return [...worst]
    .filter(([, room]) => room < clearance - SHOWN_MM / 2)
    .map(([itemId, room]): Finding => ({
      id: `cap-zone:${itemId}`,
      code: 'cap-zone',
      case: room < -SHOWN_MM / 2 ? 'under' : 'near',
      severity: room < -SHOWN_MM / 2 ? 'fails' : 'look',
      place: null,
      itemIds: [itemId],
      numbers: { room: Math.abs(room), need: clearance - room, clearance, cap },
      names: { item: itemName(context, itemId) },
      fixes: [{ do: 'move-item', itemId, downMm: clearance - room }],
    }));
};

/** In words. */
export const sayCapZone: Sayings = {
  'cap-zone/under': ({ names, mm }) => [
    `${sentence(names['item'])} runs under the cap`,
    `By ${mm('room')}: the cap is ${mm('cap')} across, and film under it is scraped off as it goes on. Move it down by ${mm('need')}.`,
  ],
  'cap-zone/near': ({ names, mm }) => [
    `${sentence(names['item'])} is too near the cap`,
    `${mm('room')} of the ${mm('clearance')} that a finger wants to press it down. Move it down by ${mm('need')}.`,
  ],
};

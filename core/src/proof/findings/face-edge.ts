import { solidOf } from '../../measure/kinds/kinds.ts';

import { formatLength } from '../../measure/length.ts';
import type { Piece } from '../../pieces/pieces.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge, ProofContext } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';

/** Film near the edge of a face, over it, or over the hole of a lid. */
export const judgeFaceEdge: Judge = (context) => {
  const { wrap, job } = context;
  if (wrap.template.closed) return [];
  // A patch grows with what it carries, unless its size was chosen; nothing rubs at its edge.
  const patch = solidOf(wrap.size).face?.patch === true;
  const zone = patch ? 0 : job.blank.baseClearanceMm;
  return wrap.placed.flatMap((placed): Finding[] => {
    const pieces = wrap.pieces.filter((piece) => piece.itemIds.includes(placed.item.id));
    if (pieces.length === 0) return [];
    const edge = Math.min(...pieces.map((piece) => roomToEdge(context, piece)));
    const hole = Math.min(...pieces.map((piece) => roomToHole(context, piece)));
    const room = Math.min(edge, hole);
    if (room >= zone - 0.05) return [];
    const half = Math.max(placed.box.maxX, placed.box.maxY);
    return [
      {
        id: `face-edge:${placed.item.id}`,
        code: 'face-edge',
        case: patch ? 'patch' : hole < edge ? 'hole' : room < 0 ? 'over' : 'near',
        severity: room < -0.01 && !patch ? 'fails' : 'look',
        place: {
          azimuths: [Math.min(...pieces.map((p) => p.azimuths[0])), Math.max(...pieces.map((p) => p.azimuths[1]))],
          slants: placed.slants ?? [0, wrap.size.side],
        },
        itemIds: [placed.item.id],
        numbers: { room, zone },
        names: { item: itemName(context, placed.item.id) },
        // Smaller in its place clears an edge; what lies over a hole has to be moved by hand.
        fixes:
          hole < edge || half < zone - room
            ? []
            : [
                {
                  do: 'scale-item',
                  itemId: placed.item.id,
                  factor: Math.max(0.05, (half - (zone - room)) / half) * 0.995,
                },
              ],
      },
    ];
  });
};

/** mm between a piece and the nearest edge of the face; negative past it. */
function roomToEdge({ wrap }: ProofContext, { flat, flatBox }: Piece): number {
  const { bounds, outline } = wrap.template;
  if (outline.segments[0]!.kind !== 'arc')
    return Math.min(
      flatBox.minX - bounds.minX,
      bounds.maxX - flatBox.maxX,
      flatBox.minY - bounds.minY,
      bounds.maxY - flatBox.maxY,
    );
  const [middle, radius] = [(bounds.minY + bounds.maxY) / 2, (bounds.maxX - bounds.minX) / 2];
  return radius - farthest(flat.outer, middle);
}

const farthest = (ring: Float64Array, middle: number): number => {
  let most = 0;
  for (let i = 0; i < ring.length; i += 2) most = Math.max(most, Math.hypot(ring[i]!, ring[i + 1]! - middle));
  return most;
};

/** mm between a piece and the hole of a lid; negative over it. */
function roomToHole({ wrap }: ProofContext, { flat }: Piece): number {
  const hole = solidOf(wrap.size).face?.hole;
  if (!hole) return Infinity;
  const middle = hole.up - wrap.size.side / 2;
  let room = Infinity;
  let inside = false;
  const ring = flat.outer;
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const [ax, ay, bx, by] = [ring[j]!, ring[j + 1]! - middle, ring[i]!, ring[i + 1]! - middle];
    const [dx, dy] = [bx - ax, by - ay];
    const t = Math.max(0, Math.min(1, -(ax * dx + ay * dy) / (dx * dx + dy * dy || 1)));
    room = Math.min(room, Math.hypot(ax + t * dx, ay + t * dy));
    if (ay > 0 !== by > 0 && 0 < ((bx - ax) * -ay) / (by - ay) + ax) inside = !inside;
  }
  // A piece round the hole leaves it open when a counter of its own does.
  const open = inside && flat.holes.length > 0;
  return inside && !open ? -hole.across / 2 : room - hole.across / 2;
}

/** In words. */
export const sayFaceEdge: Sayings = {
  'face-edge/over': ({ finding, unit, names }) => [
    `${sentence(names['item'])} hangs over the edge`,
    `It passes the edge of the face by ${formatLength(-(finding.numbers['room'] ?? 0), unit)}.`,
  ],
  'face-edge/patch': ({ finding, unit, names }) => [
    `${sentence(names['item'])} reaches past the patch`,
    `By ${formatLength(-(finding.numbers['room'] ?? 0), unit)}. Film out there has to give more than it can; a larger patch at Flat shows by how much.`,
  ],
  'face-edge/near': ({ names, mm }) => [
    `${sentence(names['item'])} is close to the edge`,
    `${mm('room')} is left; ${mm('zone')} keeps it from being rubbed off.`,
  ],
  'face-edge/hole': ({ names }) => [
    `${sentence(names['item'])} is at the hole`,
    'Film over a hole, or just beside it, is picked off by the straw. Move it, or let the hole fall in a counter.',
  ],
};

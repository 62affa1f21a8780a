import type { Piece } from '../../pieces/pieces.ts';
import { boxOfCoordinates, touchingPairs } from '../../plane/box.ts';
import { intersectRings } from '../../polygon/boolean.ts';
import { polygonArea, ringsOf } from '../../polygon/polygon.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { count, sentence } from '../told.ts';

/** mm². Less overlap than this is a touch that no blade can cut apart. */
const OVERLAP_MM2 = 0.01;

/** Outlines of one film that overlap without being fused: the blade would cut each through the other. */
export const judgeUnfused: Judge = (context) => {
  // Spares lie apart, and panels are cut one by one.
  const pieces = context.wrap.pieces.filter((p) => !p.spare);
  const byItems = new Map<string, { items: string[]; count: number; spots: Piece[] }>();
  touchingPairs(
    pieces.map((p) => boxOfCoordinates(p.unrolled.outer)),
    (i, j) => {
      const a = pieces[Math.min(i, j)]!;
      const b = pieces[Math.max(i, j)]!;
      if (a.film !== b.film || a.part !== b.part || !overlap(a, b)) return;
      const items = [...new Set([...a.itemIds, ...b.itemIds])].sort();
      const entry = byItems.get(items.join()) ?? { items, count: 0, spots: [] };
      entry.count += 1;
      entry.spots.push(a, b);
      byItems.set(items.join(), entry);
    },
  );
  return [...byItems.values()].map(({ items, count, spots }): Finding => ({
    id: `unfused:${items.join('+')}`,
    code: 'unfused',
    case: items.length > 1 ? 'items' : 'letters',
    severity: 'fails',
    place: {
      azimuths: [Math.min(...spots.map((p) => p.azimuths[0])), Math.max(...spots.map((p) => p.azimuths[1]))],
      slants: [Math.min(...spots.map((p) => p.slants[0])), Math.max(...spots.map((p) => p.slants[1]))],
    },
    itemIds: items,
    numbers: { count },
    names: { item: items.map((id) => itemName(context, id)).join(' and ') },
    fixes: [{ do: 'fuse-items', itemIds: items }],
  }));
};

function overlap(a: Piece, b: Piece): boolean {
  const shared = intersectRings(ringsOf(a.unrolled), ringsOf(b.unrolled));
  return shared.reduce((sum, polygon) => sum + polygonArea(polygon), 0) > OVERLAP_MM2;
}

/** In words. */
export const sayUnfused: Sayings = {
  'unfused/letters': ({ finding, names }) => [
    `Letters of ${names['item']} overlap`,
    `${count(finding.numbers['count'], 'overlap', 'overlaps')}: the blade would cut each letter through its neighbour.`,
  ],
  'unfused/items': ({ names }) => [
    `${sentence(names['item'])} overlap in the same film`,
    'The blade would cut each through the other. Keep them together as one outline.',
  ],
};

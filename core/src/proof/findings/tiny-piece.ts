import type { Piece } from '../../pieces/pieces.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { count } from '../told.ts';

/** Pieces that are too small to be lifted and laid: they stay on the backing, or are lost on the way. */
export const judgeTinyPiece: Judge = (context) => {
  const least = context.limits.tinyPiece;
  const found = new Map<string, { piece: Piece; across: number; count: number }>();
  for (const piece of context.wrap.pieces) {
    // As it lies on the side: on a flat that is bent, a box round it would be larger the further round it lies.
    const radius = context.wrap.surface.radiusAt((piece.slants[0] + piece.slants[1]) / 2);
    const across = Math.max((piece.azimuths[1] - piece.azimuths[0]) * radius, piece.slants[1] - piece.slants[0]);
    // What a seam cuts off is judged with the seam.
    if (across >= least || piece.cutAt !== null || piece.spare) continue;
    const itemId = piece.itemIds[0]!;
    const before = found.get(itemId);
    const smaller = !before || across < before.across;
    found.set(itemId, { ...(smaller ? { piece, across } : before), count: (before?.count ?? 0) + 1 });
  }
  return [...found].map(([itemId, { piece, across, count }]): Finding => {
    // Beside larger pieces of a drawing they are specks that it brought along; by themselves they are meant.
    const speck =
      context.job.items.find((item) => item.id === itemId)?.type === 'art' &&
      context.wrap.pieces.filter((p) => p.itemIds[0] === itemId && !p.spare && p.cutAt === null).length > count;
    const thicken = { do: 'thicken-item', itemId, mm: (least - across) / 2 + 0.02 } as const;
    return {
      id: `${speck ? 'loose-dot' : 'tiny-piece'}:${itemId}`,
      code: speck ? 'loose-dot' : 'tiny-piece',
      case: speck ? 'specks' : 'small',
      severity: 'look',
      place: { azimuths: piece.azimuths, slants: piece.slants },
      itemIds: [itemId],
      numbers: { across, least, count },
      names: { item: itemName(context, itemId) },
      // Thickened, a piece grows by twice as much across.
      fixes: speck ? [{ do: 'drop-specks', itemId, underMm: least }, thicken] : [thicken],
    };
  });
};

/** In words. */
export const sayTinyPiece: Sayings = {
  'tiny-piece/small': ({ finding, names, mm }) => [
    `${count(finding.numbers['count'], 'piece', 'pieces')} of ${names['item']} under ${mm('least')} across`,
    `The smallest is ${mm('across')}: such pieces stay on the backing or are lost. Make them larger, or cut spares.`,
  ],
  'loose-dot/specks': ({ finding, names, mm }) => [
    `${count(finding.numbers['count'], 'speck', 'specks')} came with ${names['item']}`,
    `They are under ${mm('least')} across, the smallest ${mm('across')}: nobody lifts and lays them.`,
  ],
};

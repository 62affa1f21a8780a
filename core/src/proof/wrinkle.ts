import { filmGive } from '../artwork/film.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import { breadthOf } from '../polygon/inscribed.ts';
import { ringArea } from '../polygon/polygon.ts';
import { loopGive, neededGive } from '../surface/film-strain.ts';
import { gaussianOf } from '../wrap/curvature.ts';
import type { Piece } from '../wrap/pieces.ts';
import type { Finding, Judge } from './finding.ts';
import { itemName } from './finding.ts';

/** Pieces that ask more of the film than it gives where the side curves both ways; the worst of each item. */
export const judgeWrinkle: Judge = (context) => {
  const gaussianAt = gaussianOf(context.job, context.wrap);
  if (!gaussianAt) return [];
  const worst = new Map<string, { piece: Piece; needed: number; limit: number; warmer: number }>();
  for (const piece of context.wrap.pieces) {
    const finish = context.job.films.find((film) => film.id === piece.film)?.finish ?? 'gloss permanent';
    const { stretch, squeeze } = filmGive(finish, context.job.warm);
    const limit = stretch + squeeze;
    const warmer =
      context.job.warm || context.job.blank.surface === 'latex' ? 0 : filmGive(finish, true).stretch + squeeze;
    const gaussian = gaussianAt((piece.slants[0] + piece.slants[1]) / 2);
    const narrow = Math.min(boxWidth(piece.flatBox), boxHeight(piece.flatBox));
    // No piece needs more than a strip as wide as its box, and a loop no more than its whole box would.
    const most =
      neededGive(gaussian, { width: narrow, fill: 0 }) +
      (piece.flat.holes.length > 0
        ? loopGive(gaussian, piece.areaMm2, boxWidth(piece.flatBox) * boxHeight(piece.flatBox))
        : 0);
    if (most <= limit) continue;
    const holes = piece.flat.holes.reduce((sum, hole) => sum + Math.abs(ringArea(hole)), 0);
    const needed =
      neededGive(gaussian, breadthOf(piece.flat, stepOf(piece))) +
      (holes > 0 ? loopGive(gaussian, piece.areaMm2, holes) : 0);
    const id = piece.itemIds[0]!;
    if (needed > limit && needed / limit > (worst.get(id)?.needed ?? 0) / limit)
      worst.set(id, { piece, needed, limit, warmer });
  }
  return [...worst].map(([itemId, { piece, needed, limit, warmer }]): Finding => {
    const load = needed / limit;
    const joined = context.job.items.find((item) => item.id === itemId)?.repeat.mode === 'joined';
    return {
      id: `wrinkle:${itemId}`,
      code: 'wrinkle',
      case: 'broad',
      severity: 100 * load > context.limits.giveFails ? 'fails' : 'look',
      place: { azimuths: piece.azimuths, slants: piece.slants },
      itemIds: [itemId],
      numbers: { needed: needed * 100, limit: limit * 100 },
      names: { item: itemName(context, itemId) },
      fixes: [
        // Need grows as the square of the size.
        ...(joined ? [] : [{ do: 'scale-item', itemId, factor: Math.max(0.05, Math.sqrt(1 / load) * 0.99) } as const]),
        ...(warmer >= needed ? [{ do: 'lay-warm' } as const] : []),
      ],
    };
  });
};

/** mm. Steps along an outline that are fine enough for its breadth, and few enough for a long one. */
const stepOf = ({ flatBox }: Piece): number => Math.max(0.5, (boxWidth(flatBox) + boxHeight(flatBox)) / 120);

import { filmGive } from '../artwork/film.ts';
import { gaussianOf } from '../wrap/curvature.ts';
import { giveOfPiece, mostNeeded, neededOf } from '../wrap/piece-give.ts';
import type { Piece } from '../wrap/pieces.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';
import { itemName } from './finding.ts';

/** Pieces that ask more of the film than it gives where the side curves both ways; the worst of each item. */
export const judgeWrinkle: Judge = (context) => {
  const gaussianAt = gaussianOf(context.job, context.wrap);
  if (!gaussianAt) return [];
  const worst = new Map<string, { piece: Piece; needed: number; limit: number }>();
  for (const piece of context.wrap.pieces) {
    const limit = giveOfPiece(context.job, piece);
    if (mostNeeded(piece, gaussianAt) <= limit) continue;
    const needed = neededOf(piece, gaussianAt);
    const id = piece.itemIds[0]!;
    const before = worst.get(id);
    if (needed > limit && needed / limit > (before ? before.needed / before.limit : 0))
      worst.set(id, { piece, needed, limit });
  }
  return [...worst].map(([itemId, { piece, needed, limit }]): Finding => {
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
        ...(giveWarm(context, piece) >= needed ? [{ do: 'lay-warm' } as const] : []),
      ],
    };
  });
};

/** What its film would give laid warm, as a fraction; nothing where it is warm already, or must not be. */
function giveWarm({ job }: ProofContext, { film }: Piece): number {
  if (job.warm || job.blank.surface === 'latex') return 0;
  const { stretch, squeeze } = filmGive(job.films.find((f) => f.id === film)?.finish ?? 'gloss permanent', true);
  return stretch + squeeze;
}

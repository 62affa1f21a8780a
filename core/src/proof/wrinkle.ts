import { FILM_GIVE } from '../artwork/film.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import { breadthOf } from '../polygon/inscribed.ts';
import { ringArea } from '../polygon/polygon.ts';
import { loopGive, neededGive } from '../surface/film-strain.ts';
import { spheroidGaussian } from '../surface/spheroid.ts';
import { keptSide, patchLatitude } from '../wrap/flattening.ts';
import type { Piece } from '../wrap/pieces.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';
import { itemName } from './finding.ts';

/** Past this share of what film gives a piece wrinkles in any hands; up to it careful hands may lay it. */
const SURE_TO_WRINKLE = 1.5;

/** Pieces that ask more of the film than it gives where the side curves both ways; the worst of each item. */
export const judgeWrinkle: Judge = (context) => {
  const gaussianAt = curvature(context);
  if (!gaussianAt) return [];
  const worst = new Map<string, { piece: Piece; needed: number; limit: number }>();
  for (const piece of context.wrap.pieces) {
    const finish = context.job.films.find((film) => film.id === piece.film)?.finish ?? 'gloss permanent';
    const limit = FILM_GIVE[finish].stretch + FILM_GIVE[finish].squeeze;
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
      worst.set(id, { piece, needed, limit });
  }
  return [...worst].map(([itemId, { piece, needed, limit }]): Finding => {
    const load = needed / limit;
    const joined = context.job.items.find((item) => item.id === itemId)?.repeat.mode === 'joined';
    return {
      id: `wrinkle:${itemId}`,
      code: 'wrinkle',
      case: 'broad',
      severity: load > SURE_TO_WRINKLE ? 'fails' : 'look',
      place: { azimuths: piece.azimuths, slants: piece.slants },
      itemIds: [itemId],
      numbers: { needed: needed * 100, limit: limit * 100 },
      names: { item: itemName(context, itemId) },
      // Need grows as the square of the size.
      fixes: joined ? [] : [{ do: 'scale-item', itemId, factor: Math.max(0.05, Math.sqrt(1 / load) * 0.99) }],
    };
  });
};

/** mm. Steps along an outline that are fine enough for its breadth, and few enough for a long one. */
const stepOf = ({ flatBox }: Piece): number => Math.max(0.5, (boxWidth(flatBox) + boxHeight(flatBox)) / 120);

/** Gaussian curvature by slant, 1/mm²; null where the side develops. */
function curvature({ job, wrap }: ProofContext): ((slant: number) => number) | null {
  const { shape } = wrap.size;
  if (!wrap.template.flattening.map) return null;
  if (shape.form === 'profile') return keptSide(shape).gaussianAt;
  if (shape.form !== 'ball') return null;
  const gaussian = spheroidGaussian(shape.radius, shape.halfLength, patchLatitude(job.blank.flattening));
  return () => gaussian;
}

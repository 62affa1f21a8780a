import { FINEST_STROKE_MM } from '../artwork/film.ts';
import type { Polygon } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { thinPlaces, type ThinPlace } from '../polygon/thin.ts';
import type { Piece } from '../wrap/pieces.ts';
import type { Finding, Judge } from './finding.ts';
import { itemName } from './finding.ts';

/** Film narrower than the limit counts from this many squares of it on: the sharp tip of a letter has less. */
const LEAST_SQUARES = 1;
/** Share of the finest stroke below which it tears in any hands. */
const SURE_TO_TEAR = 0.5;
/** mm by which a stroke is made broader than it has to be, so that it is not found again. */
const TO_SPARE_MM = 0.06;

/** Strokes that are finer than their film holds: they tear when it is weeded, or lift in the wash. The worst of each item. */
export const judgeFineStroke: Judge = ({ job, wrap, ...context }) => {
  const worst = new Map<string, { piece: Piece; place: ThinPlace; limit: number; count: number }>();
  // Copies are cut alike, only turned: what has the same area and the same length of outline is looked at once.
  const known = new Map<string, ThinPlace | null>();
  for (const piece of wrap.pieces) {
    const itemId = piece.itemIds[0]!;
    const finish = job.films.find((film) => film.id === piece.film)?.finish ?? 'gloss permanent';
    const limit = FINEST_STROKE_MM[finish];
    const key = `${itemId} ${limit} ${piece.areaMm2.toFixed(2)} ${outlineLength(piece.flat).toFixed(1)}`;
    let place = known.get(key);
    if (place === undefined) {
      place = thinPlaces(piece.flat, limit, LEAST_SQUARES * limit * limit)[0] ?? null;
      known.set(key, place);
    }
    if (!place) continue;
    const before = worst.get(itemId);
    const worse = !before || place.width < before.place.width;
    worst.set(itemId, { ...(worse ? { piece, place, limit } : before), count: (before?.count ?? 0) + 1 });
  }
  return [...worst].map(([itemId, { piece, place, limit, count }]): Finding => ({
    id: `fine-stroke:${itemId}`,
    code: 'fine-stroke',
    case: 'thin',
    severity: place.width < SURE_TO_TEAR * limit ? 'fails' : 'look',
    place: { azimuths: piece.azimuths, slants: piece.slants },
    itemIds: [itemId],
    numbers: { width: place.width, finest: limit, count },
    names: {
      item: itemName({ job, wrap, ...context }, itemId),
      film: job.films.find((film) => film.id === piece.film)?.name ?? piece.film,
    },
    fixes: [{ do: 'thicken-item', itemId, mm: (limit - place.width + TO_SPARE_MM) / 2 }],
  }));
};

/** Length of all rings of a polygon, mm. */
const outlineLength = (polygon: Polygon): number =>
  ringsOf(polygon).reduce((sum, ring) => {
    const n = ring.length;
    let length = sum;
    for (let i = 0; i < n; i += 2)
      length += Math.hypot(ring[(i + 2) % n]! - ring[i]!, ring[(i + 3) % n]! - ring[i + 1]!);
    return length;
  }, 0);

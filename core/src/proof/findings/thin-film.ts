import type { Command } from '../../model/command.ts';
import type { Film } from '../../model/film.ts';
import type { Process } from '../../model/job.ts';
import type { Piece } from '../../pieces/pieces.ts';
import type { Polygon } from '../../polygon/polygon.ts';
import { ringsOf } from '../../polygon/polygon.ts';
import type { ThinPlace } from '../../polygon/thin.ts';
import { thinPlaces } from '../../polygon/thin.ts';
import type { ProofContext } from '../finding.ts';
import type { LimitId, Limits } from '../limits.ts';

/** Film narrower than the limit counts from this many squares of it on: the sharp tip of a letter has less. */
const LEAST_SQUARES = 1;
/** mm by which a stroke is made broader than it has to be, so that it is not found again. */
const TO_SPARE_MM = 0.06;

/** Where the film of an item is thinnest. */
export interface ThinFilm {
  readonly itemId: string;
  readonly piece: Piece;
  /** mm. */
  readonly width: number;
  readonly limit: number;
  /** Pieces that have such a place. */
  readonly count: number;
  readonly thicken: Command;
}

/** The thinnest place of every item that has film narrower than a limit, mm, which may hang on the film. */
export function thinnestOfItems({ job, wrap }: ProofContext, limitOf: (film: Film) => number): ThinFilm[] {
  const worst = new Map<string, { piece: Piece; place: ThinPlace; limit: number; count: number }>();
  // Copies are cut alike, only turned: what has the same area and the same length of outline is looked at once.
  const known = new Map<string, ThinPlace | null>();
  for (const piece of wrap.pieces) {
    const itemId = piece.itemIds[0]!;
    const limit = limitOf(job.films.find((film) => film.id === piece.film) ?? job.films[0]!);
    if (limit <= 0 || isSliver(piece, limit)) continue;
    const key = `${itemId} ${limit} ${piece.areaMm2.toFixed(2)} ${outlineLength(piece.flat).toFixed(1)}`;
    let place = known.get(key);
    if (place === undefined) {
      place = thinPlaces(piece.flat, limit, LEAST_SQUARES)[0] ?? null;
      known.set(key, place);
    }
    if (!place) continue;
    const before = worst.get(itemId);
    // The worst is the one that falls shortest of what its own film holds.
    const worse = !before || place.width / limit < before.place.width / before.limit;
    worst.set(itemId, { ...(worse ? { piece, place, limit } : before), count: (before?.count ?? 0) + 1 });
  }
  return [...worst].map(
    ([
      itemId,
      {
        piece,
        place: { width },
        limit,
        count,
      },
    ]) => ({
      itemId,
      piece,
      width,
      limit,
      count,
      thicken: { do: 'thicken-item', itemId, mm: (limit - width + TO_SPARE_MM) / 2 },
    }),
  );
}

/** Whether a piece is no more than what a seam leaves of something: that is judged with the seam. */
const isSliver = ({ cutAt, areaMm2 }: Piece, limit: number): boolean =>
  cutAt !== null && areaMm2 < SLIVER_SQUARES * limit * limit;
/** Squares as broad as the limit that a piece cut by a seam has to have to be looked at as film. */
const SLIVER_SQUARES = 6;

const CREEP: { readonly [process in Process]: LimitId | null } = {
  decal: null,
  strip: 'creepStrip',
  etch: 'creepEtch',
  blast: 'creepBlast',
  paint: 'creepPaint',
};

/** mm. Film between two openings of a mask that is worked away from both sides; 0 where film stays. */
export function webLimit(process: Process, limits: Limits): number {
  const creep = CREEP[process];
  return creep === null ? 0 : 2 * limits[creep];
}

/** Whether a place so narrow is told as a web of a mask, and need not be told again as a fine stroke. */
export const isCounted = ({ job, limits }: ProofContext, width: number): boolean =>
  width < webLimit(job.process, limits);

/** Length of all rings of a polygon, mm. */
const outlineLength = (polygon: Polygon): number =>
  ringsOf(polygon).reduce((sum, ring) => {
    const n = ring.length;
    let length = sum;
    for (let i = 0; i < n; i += 2)
      length += Math.hypot(ring[(i + 2) % n]! - ring[i]!, ring[(i + 3) % n]! - ring[i + 1]!);
    return length;
  }, 0);

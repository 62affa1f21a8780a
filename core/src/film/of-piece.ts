import { filmGive, type FilmGiveOf, type Materials } from '../material/materials.ts';
import { solidOf } from '../measure/kinds/kinds.ts';
import type { Job } from '../model/job.ts';
import type { Looked } from '../model/looked.ts';
import { shareOfGive } from '../pieces/give.ts';
import type { Piece } from '../pieces/pieces.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { boxCentre } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import { spotOf } from '../pieces/spot-of-piece.ts';
import { meridianArc, spheroidGaussian } from '../surface/spheroid.ts';
import type { LaidOn } from './advise.ts';
import { ballSide, profileSide, spheroidSide } from './side.ts';

/** What of a job says what its pieces are laid on. */
type OfJob = Pick<Job, 'blank' | 'films' | 'warm'>;
type OfWrap = Pick<Wrap, 'size' | 'template' | 'frames'>;

/** mm that a piece keeps from the pole of a balloon: nearer, it is laid on a ball as round as the balloon is there. */
const FROM_POLE_MM = 8;

/** Whether there is anything to look at: a side that curves both ways. */
export const curvesBothWays = ({ template }: Pick<Wrap, 'template'>): boolean => template.flattening.map !== null;

/**
 * Where a piece of a job comes to lie, and on what; null where the side develops, or the piece lies on no part of it.
 */
export function laidOnOf(job: OfJob, wrap: OfWrap, piece: Piece, materials: Materials): LaidOn | null {
  if (!curvesBothWays(wrap)) return null;
  const solid = solidOf(wrap.size);
  const gives = givesOf(job, piece.film, materials);
  const { x, y } = boxCentre(piece.flatBox);
  if (solid.curved) {
    const spot = spotOf(wrap.frames, piece, x, y);
    return spot && { side: profileSide(solid.curved.kept), gives, ...spot };
  }
  if (!solid.spheroid) return null;
  const { radius, halfLength } = solid.spheroid;
  // A patch is flat about its own middle: on a ball one spot is like another.
  const latitude = (Math.max(-80, Math.min(80, job.blank.flattening.patchUpDeg)) * Math.PI) / 180;
  const { bounds } = wrap.template;
  const down = (bounds.minY + bounds.maxY) / 2 - y;
  const aside = x - (bounds.minX + bounds.maxX) / 2;
  if (Math.abs(radius - halfLength) < 1e-9)
    return { side: ballSide(radius), gives, slant: down, azimuth: aside / radius };
  const middle = -meridianArc(radius, halfLength, latitude);
  const reach = Math.hypot(piece.flatBox.maxX - piece.flatBox.minX, piece.flatBox.maxY - piece.flatBox.minY) / 2;
  const pole = meridianArc(radius, halfLength, Math.PI / 2) - FROM_POLE_MM;
  if (Math.abs(middle + down) + reach < pole)
    return { side: spheroidSide(radius, halfLength), gives, slant: middle + down };
  const bend = 1 / Math.sqrt(spheroidGaussian(radius, halfLength, latitude));
  return { side: ballSide(bend), gives, slant: down, azimuth: aside / bend };
}

/** What the film of a piece gives where it lies; rubber under it gives as much either way. @param film id of the project's */
export function givesOf({ films, warm, blank }: OfJob, film: string, materials: Materials): FilmGiveOf {
  const { stretch, squeeze } = filmGive(
    materials,
    films.find(({ id }) => id === film)?.finish ?? 'gloss permanent',
    warm,
  );
  const rubber = materials.surfaces[blank.surface].give / 2;
  return { stretch: stretch + rubber, squeeze: squeeze + rubber };
}

/**
 * What is laid on what, as a short word: it changes when a laying would. Copies of one shape at one height have the same.
 *
 * @param limitMm that tents may stand off
 */
export function lookKey({ flat, flatBox }: Piece, { side, gives, slant, askew = 0 }: LaidOn, limitMm: number): string {
  const { x, y } = boxCentre(flatBox);
  let [a, b] = [0x811c9dc5, 0x9747b28c];
  const take = (value: number, step: number): void => {
    const whole = Math.round(value / step);
    a = Math.imul(a ^ whole, 0x01000193);
    b = Math.imul(b + (whole ^ (a >>> 7)), 0x5bd1e995);
  };
  const ring = (points: Ring): void => {
    take(points.length, 1);
    for (let i = 0; i < points.length; i += 2) {
      take(points[i]! - x, 0.02);
      take(points[i + 1]! - y, 0.02);
    }
  };
  ring(flat.outer);
  flat.holes.forEach(ring);
  const [above, below] = [slant - (flatBox.maxY - flatBox.minY) / 2, slant + (flatBox.maxY - flatBox.minY) / 2];
  for (let i = 0; i <= 8; i++) take(side.radiusAt(above + ((below - above) * i) / 8), 0.01);
  for (const value of [gives.stretch, gives.squeeze]) take(value, 1e-5);
  take(askew, 1e-3);
  take(limitMm, 1e-3);
  return [a, b].map((part) => (part >>> 0).toString(36)).join('-');
}

/** What was found when this was looked at, if it was. */
export const lookOf = (looked: readonly Looked[] | undefined, key: string): Looked | undefined =>
  looked?.find(({ of }) => of === key);

/** A piece that is worth a closer look. */
export interface WorthALook {
  readonly piece: Piece;
  readonly on: LaidOn;
  /** Of it and of its copies. */
  readonly key: string;
  /** What it asks for by the forecast, as a share of what its film gives. */
  readonly share: number;
}

/** Share of what film gives from which a piece is worth a look: what asks for less lies however it is laid. */
const DOUBTED = 0.03;

/**
 * Pieces that are worth a closer look, each shape once, those that ask most first.
 *
 * @param of an item; left out, whatever of all of them the forecast doubts
 */
export function worthALook(
  job: OfJob,
  wrap: OfWrap & Pick<Wrap, 'pieces'>,
  materials: Materials,
  limitMm: number,
  of?: string,
): WorthALook[] {
  const shareOf = shareOfGive(job, wrap, materials);
  if (!shareOf) return [];
  const found = new Map<string, WorthALook>();
  for (const piece of wrap.pieces) {
    if (piece.spare || (of !== undefined && piece.itemIds[0] !== of)) continue;
    const share = shareOf(piece);
    if (of === undefined && share < DOUBTED) continue;
    const on = laidOnOf(job, wrap, piece, materials);
    if (!on) continue;
    const key = lookKey(piece, on, limitMm);
    if (!found.has(key)) found.set(key, { piece, on, key, share });
  }
  return [...found.values()].sort((a, b) => b.share - a.share);
}

/** A piece that was looked at, and what that showed. */
export interface SeenPiece {
  readonly piece: Piece;
  readonly look: Looked;
}

/** What laying a piece by computation showed, if it was looked at as it is now. */
export function seenOf(
  job: OfJob,
  wrap: OfWrap,
  materials: Materials,
  limitMm: number,
  looked: readonly Looked[] | undefined,
  piece: Piece,
): SeenPiece | null {
  // prettier-ignore
  if (!looked?.length || piece.spare) return null;
  const on = laidOnOf(job, wrap, piece, materials);
  const look = on ? lookOf(looked, lookKey(piece, on, limitMm)) : undefined;
  return look ? { piece, look } : null;
}

import { gaussianOf } from '../flat/curvature.ts';
import type { FlatSide } from '../flat/flat-side.ts';
import type { Materials } from '../material/materials.ts';
import { filmGive, STARTING_MATERIALS } from '../material/materials.ts';
import type { Job } from '../model/job.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import { breadthOf } from '../polygon/inscribed.ts';
import { ringArea } from '../polygon/polygon.ts';
import { loopGive, neededGive } from '../surface/film-strain.ts';
import type { Piece } from './pieces.ts';

/** What of a side says how much it curves. */
type Curved = Pick<FlatSide, 'size' | 'template'>;

/** Under this share of what film gives, a piece is not looked at closely: it asks at most so much. */
const NOT_CLOSELY = 0.2;

/**
 * How much of what its film gives a piece asks for, where the side curves both ways.
 *
 * @returns a share for each piece, 1 at the limit; null where the side develops
 */
export function shareOfGive(
  job: Pick<Job, 'blank' | 'films' | 'warm'>,
  wrap: Curved,
  materials: Materials = STARTING_MATERIALS,
): ((piece: Piece) => number) | null {
  const gaussianAt = gaussianOf(job, wrap);
  if (!gaussianAt) return null;
  return (piece) => {
    const limit = giveOfPiece(job, piece, materials);
    const most = mostNeeded(piece, gaussianAt) / limit;
    return most < NOT_CLOSELY ? most : neededOf(piece, gaussianAt) / limit;
  };
}

/** What the film of a piece gives where it lies, as a fraction: on rubber that gives way too. */
export function giveOfPiece(
  { films, warm, blank }: Pick<Job, 'films' | 'warm' | 'blank'>,
  { film }: Piece,
  materials: Materials,
): number {
  const { stretch, squeeze } = filmGive(
    materials,
    films.find(({ id }) => id === film)?.finish ?? 'gloss permanent',
    warm,
  );
  return stretch + squeeze + materials.surfaces[blank.surface].give;
}

/** At most what a piece needs: no more than a strip as wide as its box, and a loop no more than its whole box would. */
export function mostNeeded(piece: Piece, gaussianAt: (slant: number) => number): number {
  const gaussian = gaussianAt((piece.slants[0] + piece.slants[1]) / 2);
  const [width, height] = [boxWidth(piece.flatBox), boxHeight(piece.flatBox)];
  const strip = neededGive(gaussian, { width: Math.min(width, height), fill: 0 });
  return Math.max(strip, piece.flat.holes.length > 0 ? loopGive(gaussian, piece.areaMm2, width * height) : 0);
}

/** What a piece needs, as a fraction: what its breadth asks, or the loop round its holes if that asks for more. */
export function neededOf(piece: Piece, gaussianAt: (slant: number) => number): number {
  const gaussian = gaussianAt((piece.slants[0] + piece.slants[1]) / 2);
  const holes = piece.flat.holes.reduce((sum, hole) => sum + Math.abs(ringArea(hole)), 0);
  const body = neededGive(gaussian, breadthOf(piece.flat, stepOf(piece)));
  return holes > 0 ? Math.max(body, loopGive(gaussian, piece.areaMm2, holes)) : body;
}

/** mm. Steps along an outline that are fine enough for its breadth, and few enough for a long one. */
const stepOf = ({ flatBox }: Piece): number => Math.max(0.5, (boxWidth(flatBox) + boxHeight(flatBox)) / 120);

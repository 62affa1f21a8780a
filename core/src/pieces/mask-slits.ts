import { gaussianOf } from '../flat/curvature.ts';
import type { FlatSide } from '../flat/flat-side.ts';
import type { PlacedItem } from '../layout/place.ts';
import type { Materials } from '../material/materials.ts';
import type { Job } from '../model/job.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import { boxHeight, boxOfCoordinates, boxWidth } from '../plane/box.ts';
import { fitRing } from '../plane/fit.ts';
import { subtractRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import type { Divided } from '../seam/divide.ts';
import { slitsInRound, slitsInStrip } from '../surface/relief.ts';
import { giveOfPiece, neededOf } from './give.ts';
import type { Piece } from './pieces.ts';
import type { PieceSlits, Slit } from './slits.ts';
import { drawSlits, inTheWay, isLongSheet } from './slits.ts';

/** mm of film that stay between a slit and what the mask opens, or another piece. */
const KEPT_MM = 4;
/** mm. A narrower notch is no more than a line that the blade goes along twice. */
export const LEAST_NOTCH_MM = 0.3;
/** mm that a notch is begun outside of the edge, which is not always where its box ends. */
const BEYOND_MM = 15;
/** Share of a piece that has to be left: more is no slit. */
const LEFT_SHARE = 0.9;

/**
 * Slits the edges of masks where the side curves both ways, so that their film follows: from the edge inwards, between what is
 * opened, each a notch as wide as the film would lap. A mask that lies flat, or that no slits make lie, stays as it is.
 *
 * @param job its blank, films, and whether they are laid warm
 * @param wrap the side
 * @param pieces of it
 * @source how many and how deep: `slitsInRound`, `slitsInStrip`
 */
export function slitMasks(
  job: Pick<Job, 'blank' | 'films' | 'warm'>,
  wrap: FlatSide & Pick<Divided, 'frames'> & { readonly placed: readonly PlacedItem[] },
  pieces: readonly Piece[],
  materials: Materials,
): readonly Piece[] {
  const slit = new Set(wrap.placed.flatMap(({ item }) => (item.acts.slits ? [item.id] : [])));
  const gaussianAt = slit.size > 0 ? gaussianOf(job, wrap) : null;
  const asBand = wrap.frames.length === 1 && wrap.frames[0]!.asBand;
  if (!gaussianAt || !asBand) return pieces;
  return pieces.map((piece) => {
    if (piece.spare || piece.byItself || !piece.itemIds.some((id) => slit.has(id))) return piece;
    const give = giveOfPiece(job, piece, materials);
    if (neededOf(piece, gaussianAt) <= give) return piece;
    const [width, height] = [boxWidth(piece.flatBox), boxHeight(piece.flatBox)];
    const gaussian = gaussianAt((piece.slants[0] + piece.slants[1]) / 2);
    const relief = isLongSheet(width, height)
      ? slitsInStrip(gaussian, Math.min(width, height), Math.max(width, height), give)
      : slitsInRound(gaussian, (width + height) / 4, give);
    if (!relief) return piece;
    const { minX, maxX, minY, maxY } = piece.flatBox;
    const { azimuths, slants } = piece;
    const sheet = { azimuths, slants, width, height, centre: { x: (minX + maxX) / 2, y: (minY + maxY) / 2 }, marginMm: 0 }; // prettier-ignore
    const others = pieces.filter((other) => other !== piece && !other.spare && other.part === piece.part);
    const ways = [...piece.flat.holes.map((hole) => inTheWay([hole])), ...others.map(({ flat }) => inTheWay(ringsOf(flat)))]; // prettier-ignore
    const { slits, wanted, short } = drawSlits(sheet, relief, wrap.surface, ways, KEPT_MM);
    return notched(piece, slits, { count: slits.length, wanted, short, needed: relief.needed, lap: relief.lap });
  });
}

/** A piece with its slits cut; as it is where that would take it apart. */
function notched(piece: Piece, slits: readonly Slit[], told: PieceSlits): Piece {
  const half = Math.max(told.lap, LEAST_NOTCH_MM) / 2;
  const [flat, ...others] = subtractRings(
    ringsOf(piece.flat),
    slits.map((slit) => notch(slit, half)),
  ).sort((a, b) => polygonArea(b) - polygonArea(a));
  const whole = flat && others.length === 0 && flat.holes.length === piece.flat.holes.length;
  if (!whole || polygonArea(flat) < LEFT_SHARE * piece.areaMm2) return piece;
  return {
    ...piece,
    flat,
    paths: ringsOf(flat).map((ring) => fitRing(ring)),
    flatBox: boxOfCoordinates(flat.outer),
    areaMm2: polygonArea(flat),
    slits: told,
  };
}

/** A notch from beyond the edge, as wide as it is there, to its point. */
function notch({ from, to }: Slit, half: number): Ring {
  const length = Math.max(EPSILON, Math.hypot(to.x - from.x, to.y - from.y));
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const [nx, ny] = [-uy * half, ux * half];
  const [bx, by] = [from.x - BEYOND_MM * ux, from.y - BEYOND_MM * uy];
  return Float64Array.from([bx - nx, by - ny, from.x - nx, from.y - ny, to.x, to.y, from.x + nx, from.y + ny, bx + nx, by + ny]); // prettier-ignore
}

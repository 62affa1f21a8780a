import type { FilmGiveOf, Materials } from '../material/materials.ts';
import type { Piece } from '../pieces/pieces.ts';
import type { Slit } from '../pieces/slits.ts';
import { TAPE_MARGIN_MM } from '../pieces/tape-sheets.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import { subtractRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { LaidOn } from './advise.ts';
import { laidOnOf } from './of-piece.ts';
import type { OnTape } from './taped.ts';

/** mm. A slit in tape is computed with as a notch so narrow. */
const HAIR_MM = 0.02;
/** mm that a notch begins outside of the sheet. */
const BEYOND_MM = 1;

/** A sheet of tape over pieces, cut where its slits run. */
export function sheetOver(pieces: readonly Piece[], slits: readonly Slit[]): OnTape {
  const { minX, maxX, minY, maxY } = pieces.reduce((box, { flat }) => boxOfCoordinates(flat.outer, box), EMPTY_BOX);
  const [left, right, low, high] = [minX - TAPE_MARGIN_MM, maxX + TAPE_MARGIN_MM, minY - TAPE_MARGIN_MM, maxY + TAPE_MARGIN_MM]; // prettier-ignore
  const whole: Ring = Float64Array.from([left, low, right, low, right, high, left, high]);
  const [sheet, ...others] = subtractRings([whole], slits.map(notch));
  const films = pieces.map(({ flat }) => flat);
  // Slits that would take the sheet apart are not those of this sheet.
  return { films, tape: sheet && others.length === 0 ? sheet : { outer: whole, holes: [] } };
}

/** A slit as a narrow triangle, its point where it ends. */
function notch({ from, to }: Slit): Ring {
  const way = Math.hypot(to.x - from.x, to.y - from.y);
  const [ux, uy] = [(to.x - from.x) / way, (to.y - from.y) / way];
  const [x, y] = [from.x - BEYOND_MM * ux, from.y - BEYOND_MM * uy];
  const aside = HAIR_MM / 2;
  return Float64Array.from([to.x, to.y, x - aside * uy, y + aside * ux, x + aside * uy, y - aside * ux]);
}

/**
 * The sheet of tape that a piece is laid with, and what it is laid on; null where it goes by itself.
 *
 * @param piece of a wrap; with it go all of its item that lie in its part
 */
export function tapedWith(
  job: Parameters<typeof laidOnOf>[0],
  wrap: Wrap,
  piece: Piece,
  materials: Materials,
): { readonly sheet: OnTape; readonly on: LaidOn } | null {
  const own = wrap.pieces.filter((one) => !one.spare && one.part === piece.part && one.itemIds[0] === piece.itemIds[0] && !one.byItself); // prettier-ignore
  if (own.length < 2 || piece.byItself) return null;
  const sheet = sheetOver(own, wrap.tape.flatMap(({ slits }) => slits)); // prettier-ignore
  const on = laidOnOf(job, wrap, { ...piece, flat: sheet.tape, flatBox: boxOfCoordinates(sheet.tape.outer) }, materials); // prettier-ignore
  const tape: FilmGiveOf = { stretch: materials.tapeGive, squeeze: materials.tapeGive };
  return on && { sheet, on: { ...on, gives: { ...on.gives, tape } } };
}

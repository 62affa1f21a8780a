import type { Box } from '../plane/box.ts';
import { boxesTouch, boxOfCoordinates } from '../plane/box.ts';
import { intersectRings } from '../polygon/boolean.ts';
import { offsetRings } from '../polygon/offset.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';

/** mm. Film that lies so near to other film is lined up with it by eye. */
const NEAR_MM = 1;

/**
 * Which pieces lie on, or right beside, film.
 *
 * @param pieces of one layer, mm
 * @param film of other layers, clean, mm
 */
export function supportedPieces(pieces: readonly Polygon[], film: readonly Ring[]): boolean[] {
  const near = offsetRings(film, NEAR_MM).map((polygon) => ({ polygon, box: boxOfCoordinates(polygon.outer) }));
  return pieces.map((piece) => {
    const box: Box = boxOfCoordinates(piece.outer);
    const under = near.filter((one) => boxesTouch(one.box, box)).flatMap(({ polygon }) => ringsOf(polygon));
    return under.length > 0 && intersectRings(ringsOf(piece), under).length > 0;
  });
}

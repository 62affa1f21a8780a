import { boxesTouch, boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import type { Polygon } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { CellShape } from '../raster/cells.ts';
import { cellShape, cellWithin } from '../raster/cells.ts';

/** mm. Film that lies so near to other film, to a cell or two, is lined up with it by eye. */
const NEAR_MM = 1;
const CELL_MM = 0.5;

/**
 * Which pieces lie on, or right beside, film.
 *
 * @param pieces of one layer, mm
 * @param film of other layers, mm; may lap
 */
export function supportedPieces(pieces: readonly Polygon[], film: readonly Polygon[]): boolean[] {
  if (film.length === 0) return pieces.map(() => false);
  const box = film.reduce((grown, { outer }) => boxOfCoordinates(outer, grown), EMPTY_BOX);
  const cell = cellWithin(box, CELL_MM);
  const near = Math.round(NEAR_MM / cell);
  const columns = Math.ceil((box.maxX - box.minX) / cell) + 2 * near + 2;
  const rows = Math.ceil((box.maxY - box.minY) / cell) + 2 * near + 2;
  const [fromX, fromY] = [box.minX - near * cell, box.minY - near * cell];
  /** Columns of a shape with the rows that it touches in each, in cells of this grid. */
  const eachRun = (shape: CellShape, act: (column: number, from: number, to: number) => boolean): boolean => {
    const [x0, y0] = [Math.floor((shape.fromX - fromX) / cell), Math.floor((shape.fromY - fromY) / cell)];
    for (let c = 0; c < shape.columns; c++)
      for (let k = shape.byColumn[c]!; k < shape.byColumn[c + 1]!; k++)
        // A cell of the shape's own grid lies in two of this one.
        for (const column of [x0 + c, x0 + c + 1])
          if (act(column, y0 + shape.spans[2 * k]!, y0 + shape.spans[2 * k + 1]! + 1)) return true;
    return false;
  };
  const taken = new Uint8Array(columns * rows);
  for (const polygon of film)
    eachRun(cellShape(ringsOf(polygon), cell), (column, from, to) => {
      for (let c = Math.max(0, column - near); c <= Math.min(columns - 1, column + near); c++)
        taken.fill(1, c * rows + Math.max(0, from - near), c * rows + Math.min(rows, to + near));
      return false;
    });
  return pieces.map((piece) => {
    // What lies apart from all of it need not be looked at more closely, however large it is.
    if (!boxesTouch(boxOfCoordinates(piece.outer), box, NEAR_MM + cell)) return false;
    return eachRun(cellShape(ringsOf(piece), cell), (column, from, to) => {
      if (column < 0 || column >= columns) return false;
      for (let r = Math.max(0, from); r < Math.min(rows, to); r++) if (taken[column * rows + r]) return true;
      return false;
    });
  });
}

import type { CellShape } from '../raster/cells.ts';
import type { CellPlace, Table } from './table.ts';
import { sheetAt, tableOf } from './table.ts';

/** Into how many a cell is divided once parts lie, so that they are pushed together. */
export const FINER = 3;
/** How far back a part is looked for a place when parts are pushed together, in coarse cells. */
const NUDGE = 4;

/**
 * The same table in finer cells, but only as far as a plan may reach that is worth pushing together.
 *
 * @param coarse the table in which parts were laid
 * @param kinds columns and rows of each kind of sheet, in finer cells
 * @param end coarse column past the last one that may be taken
 */
export function finerTable(coarse: Table, kinds: readonly (readonly [number, number])[], end: number): Table {
  const needed = coarse.sheets.filter(({ from }) => from < end);
  return tableOf(
    needed.map(({ kind, from }, i) => {
      const [columns, rows] = kinds[kind]!;
      const most = i === needed.length - 1 ? (end - from) * FINER : columns;
      return { kind, rows, columns: Math.min(columns, most) };
    }),
  );
}

/**
 * Moves parts that lie apart together: each as near to the beginning as it fits, the nearest first, until none moves.
 *
 * @param places in coarse cells; null for what has none
 * @param coarse table of the places
 * @param finer table that they are pushed together on
 * @param shapeOf a part in finer cells, by its number and its turn
 * @returns places in finer cells
 */
export function pushTogether(
  places: readonly (CellPlace | null)[],
  coarse: Table,
  finer: Table,
  shapeOf: (part: number, turn: number) => CellShape,
): (CellPlace | null)[] {
  const sheet = finer.bare.copy();
  const out = places.map((place) => {
    if (!place) return null;
    const index = sheetAt(coarse, place.column);
    const column = (place.column - coarse.sheets[index]!.from) * FINER + finer.sheets[index]!.from;
    return { ...place, column, row: place.row * FINER };
  });
  out.forEach((place, i) => place && sheet.lay(shapeOf(i, place.shape), place.column, place.row));
  for (let round = 0, moved = true; moved && round < 3; round++) {
    moved = false;
    const order = out.flatMap((p, i) => (p ? [i] : [])).sort((a, b) => out[a]!.column - out[b]!.column);
    for (const i of order) {
      const place = out[i]!;
      const shape = shapeOf(i, place.shape);
      sheet.lift(shape, place.column, place.row);
      const found = sheet.findRoom(shape, Math.max(0, place.column - NUDGE * FINER), place.column + shape.columns);
      const next = found ? { ...place, ...found } : place;
      if (next.column < place.column) moved = true;
      sheet.lay(shape, next.column, next.row);
      out[i] = next;
    }
  }
  return out;
}

import type { CellShape } from '../raster/cells.ts';
import { CellSheet } from '../raster/cells.ts';

/** Where a part lies: which of its turned shapes, and the column and row of its lower left cell. */
export interface CellPlace {
  readonly shape: number;
  readonly column: number;
  readonly row: number;
}

/** All sheets one behind the other, with a wall between them. */
export interface Table {
  readonly columns: number;
  readonly rows: number;
  /** Column at which each sheet begins, how many it has, and which of the given ones it is. */
  readonly sheets: readonly {
    readonly from: number;
    readonly columns: number;
    readonly rows: number;
    readonly kind: number;
  }[];
  /** The table with nothing on it; copied, never laid on. */
  readonly bare: CellSheet;
}

/**
 * A table for some parts.
 *
 * @param parts shapes of each in its turns
 * @param kinds columns and rows of each kind of sheet; the last may be there several times
 * @param least sheets that there are anyway
 */
export function tableFor(
  parts: readonly (readonly CellShape[])[],
  kinds: readonly (readonly [number, number])[],
  least = 0,
): Table {
  const [along, across] = kinds.at(-1)!;
  // Boxes, not cells: a cross covers little, and yet no second one lies on its sheet.
  const cells = parts.reduce((sum, [shape]) => sum + shape!.columns * shape!.rows, 0);
  // More than twice what the parts reach over is never needed of the last kind, nor more sheets than parts.
  const needed = Math.min(parts.length, 1 + Math.ceil((2.5 * cells) / Math.max(1, along * across)));
  const many = Math.max(needed, least - kinds.length + 1) + (least > 0 ? 1 : 0);
  const all = [...kinds.slice(0, -1), ...Array.from({ length: many }, () => kinds.at(-1)!)];
  return tableOf(all.map(([columns, rows], i) => ({ columns, rows, kind: Math.min(i, kinds.length - 1) })));
}

/** Sheets one behind the other, with a wall between them, and what is beyond the narrower ones blocked. */
export function tableOf(list: readonly Omit<Table['sheets'][number], 'from'>[]): Table {
  const rows = Math.max(...list.map((sheet) => sheet.rows));
  const sheets: Table['sheets'][number][] = [];
  let from = 0;
  for (const sheet of list) {
    sheets.push({ ...sheet, from });
    from += sheet.columns + 1;
  }
  const bare = new CellSheet(
    from,
    rows,
    sheets.map((sheet) => sheet.from),
  );
  for (const sheet of sheets) {
    if (sheet.rows < rows) for (let c = 0; c < sheet.columns; c++) bare.block(sheet.from + c, sheet.rows, rows);
    bare.block(sheet.from + sheet.columns, 0, rows);
  }
  return { columns: from, rows, sheets, bare };
}

/** Which sheet of a table a column is of. */
export const sheetAt = ({ sheets }: Table, column: number): number =>
  sheets.findLastIndex(({ from }) => from <= column);

/** Column past the last one that is taken. */
export const endOf = (places: readonly (CellPlace | null)[], parts: readonly (readonly CellShape[])[]): number =>
  places.reduce((end, p, i) => (p ? Math.max(end, p.column + parts[i]![p.shape]!.columns) : end), 0);

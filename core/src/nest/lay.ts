import type { CellShape } from '../raster/cells.ts';
import type { CellPlace, Table } from './table.ts';

/** An order of parts, the largest first. */
export const bySize = (parts: readonly (readonly CellShape[])[]): number[] =>
  parts.map((_, i) => i).sort((a, b) => parts[b]![0]!.cells - parts[a]![0]!.cells || a - b);

/** An order of parts, the longest first. */
export const byLength = (parts: readonly (readonly CellShape[])[]): number[] => {
  const long = (i: number): number => Math.max(parts[i]![0]!.columns, parts[i]![0]!.rows);
  return parts.map((_, i) => i).sort((a, b) => long(b) - long(a) || a - b);
};

/** Lays parts one after the other, each where it adds least to the length. */
export function layInOrder(
  order: readonly number[],
  parts: readonly (readonly CellShape[])[],
  table: Table,
): (CellPlace | null)[] {
  const sheet = table.bare.copy();
  const places: (CellPlace | null)[] = parts.map(() => null);
  let end = 0;
  for (const i of order) {
    let best: (CellPlace & { key: number }) | null = null;
    parts[i]!.forEach((shape, s) => {
      const found = sheet.findRoom(shape);
      if (!found) return;
      const key = 1e6 * Math.max(end, found.column + shape.columns) + 1e2 * (found.column + shape.columns / 2) + found.row / table.rows; // prettier-ignore
      if (!best || key < best.key) best = { shape: s, ...found, key };
    });
    if (!best) continue;
    const { shape, column, row }: CellPlace = best;
    sheet.lay(parts[i]![shape]!, column, row);
    places[i] = { shape, column, row };
    end = Math.max(end, column + parts[i]![shape]!.columns);
  }
  return places;
}

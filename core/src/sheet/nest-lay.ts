import type { CellShape } from './cells.ts';
import type { CellPlace, Table } from './nest-table.ts';

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

/** How much a fit weighs against lying far along, and against leaving small parts for later; varied from try to try. */
export interface Taste {
  readonly along: number;
  readonly size: number;
  /** How much sooner each part is taken than it would be. */
  readonly sooner: readonly number[];
}

/**
 * Lays parts one after the other as well: of all that are left, each time the one that fits best where there is room
 * first, with the most of its edge beside others.
 *
 * @param limit column past which it is not worth going on: once what is left cannot all lie before it, `null` is given
 */
export function layByFit(
  parts: readonly (readonly CellShape[])[],
  table: Table,
  taste: Taste,
  limit: number,
): (CellPlace | null)[] | null {
  const sheet = table.bare.copy();
  const places: (CellPlace | null)[] = parts.map(() => null);
  const biggest = Math.max(...parts.map(([shape]) => shape!.cells));
  // Where each was found to fit first: as the table fills, it never fits any nearer.
  let cellsLeft = parts.reduce((sum, shapes) => sum + Math.min(...shapes.map((shape) => shape.cells)), 0);
  const left = parts.map((shapes, i) => ({ i, found: shapes.map(() => ({ column: 0, row: -1 })) }));
  while (left.length > 0) {
    let best: (CellPlace & { at: number; score: number }) | null = null;
    let nearest = Infinity;
    left.forEach(({ i, found }) =>
      found.forEach((spot, s) => {
        const shape = parts[i]![s]!;
        if (spot.row === -2) return;
        if (spot.row < 0 || !sheet.fitsAt(shape, spot.column, spot.row))
          found[s] = sheet.findRoom(shape, spot.column) ?? { column: 0, row: -2 };
        if (found[s]!.row >= 0) nearest = Math.min(nearest, found[s]!.column);
      }),
    );
    left.forEach(({ i, found }, at) =>
      found.forEach(({ column, row }, s) => {
        if (row < 0) return;
        const shape = parts[i]![s]!;
        const score =
          sheet.contactAt(shape, column, row) -
          (taste.along * (column - nearest)) / Math.sqrt(biggest) +
          taste.size * Math.sqrt(shape.cells / biggest) +
          taste.sooner[i]!;
        if (!best || score > best.score) best = { shape: s, column, row, at, score };
      }),
    );
    if (!best) break;
    // What is free before the nearest place stays free: nothing that is left fits there.
    if (cellsLeft > sheet.freeBefore(limit) - sheet.freeBefore(nearest)) return null;
    const { shape, column, row, at }: CellPlace & { at: number } = best;
    const { i } = left.splice(at, 1)[0]!;
    sheet.lay(parts[i]![shape]!, column, row);
    cellsLeft -= Math.min(...parts[i]!.map((one) => one.cells));
    places[i] = { shape, column, row };
  }
  return places;
}

/** What the first try by fit goes by. */
export const FIRST_TASTE = { along: 2.2, size: 0.7 };

/** Another taste: all anew, or the best one with a few parts sooner or later. */
export function otherTaste(best: Taste, near: boolean, random: () => number): Taste {
  if (near) {
    const sooner = [...best.sooner];
    for (let k = 0; k < 3; k++) sooner[Math.floor(random() * sooner.length)] = 0.8 * (random() - 0.5);
    return {
      along: best.along * (0.85 + 0.3 * random()),
      size: Math.max(0, best.size + 0.3 * (random() - 0.5)),
      sooner,
    };
  }
  const noise = 0.3 * random();
  return { along: 0.8 + 2.7 * random(), size: 1.4 * random(), sooner: best.sooner.map(() => noise * random()) };
}

import type { FixedPart, MovablePart } from './shapes.ts';
import { turnRings } from './shapes.ts';
import { boxOfRings } from '../plane/box.ts';
import type { CellPlace, Table } from './table.ts';
import { sheetAt } from './table.ts';
import type { LaidPart, Nesting, NestSheet } from './nesting.ts';

/** What a plan is told by. */
export interface Telling {
  /** mm. */
  readonly cell: number;
  readonly gap: number;
  readonly sheets: readonly NestSheet[];
  /** Parts that fit no sheet. */
  readonly left: readonly string[];
  readonly fixed: readonly FixedPart[];
}

/** A plan in mm, told from places in cells. */
export function planOf(
  movable: readonly MovablePart[],
  places: readonly (CellPlace | null)[],
  table: Table,
  { cell, gap, sheets, left, fixed }: Telling,
): Nesting {
  const laid: LaidPart[] = [];
  const out = [...left];
  const used = new Map<number, number>();
  for (const { laid: one, rings } of fixed) {
    laid.push(one);
    const { maxX } = boxOfRings(rings);
    used.set(one.sheet, Math.max(used.get(one.sheet) ?? 0, maxX - gap / 2));
  }
  places.forEach((place, i) => {
    const { part, shapes } = movable[i]!;
    if (!place) {
      out.push(part.id);
      return;
    }
    const s = sheetAt(table, place.column);
    // Where a shape's cells begin does not hang on their size.
    const { fromX, fromY } = shapes[place.shape]!;
    const turn = part.turns[place.shape]!;
    const box = boxOfRings(turnRings(part.rings, turn));
    const sheet = sheets[table.sheets[s]!.kind]!;
    // What tips are short of half the gap by rounding is put right here.
    const x = within(
      (place.column - table.sheets[s]!.from) * cell - fromX - gap / 2,
      -box.minX,
      sheet.alongMm - box.maxX,
    );
    const y = within(place.row * cell - fromY - gap / 2, -box.minY, sheet.acrossMm - box.maxY);
    laid.push({ id: part.id, sheet: s, turn, x, y });
    used.set(s, Math.max(used.get(s) ?? 0, x + box.maxX));
  });
  const alongUsed = Array.from({ length: 1 + Math.max(-1, ...used.keys()) }, (_, s) => used.get(s) ?? 0);
  return { laid, alongUsed, sheetIds: alongUsed.map((_, s) => sheets[table.sheets[s]!.kind]!.id), left: out };
}

const within = (value: number, least: number, most: number): number => Math.max(least, Math.min(most, value));

/** What plans are compared by: fewest left out, then fewest sheets, then the least length of the last, then of all. */
export function worthOf({ left, alongUsed, sheetIds }: Nesting, sheets: readonly NestSheet[]): number {
  const costs = (id: string | undefined): boolean => !sheets.find((sheet) => sheet.id === id)?.free;
  const open = alongUsed.filter((mm, s) => mm > 0 && costs(sheetIds[s])).length;
  const all = alongUsed.reduce((sum, mm) => sum + mm, 0);
  return 1e9 * left.length + 1e6 * open + (alongUsed.at(-1) ?? 0) + 1e-3 * all;
}

import { seeded } from '../numeric/seeded.ts';
import { EPSILON_MM } from '../numeric/tolerances.ts';
import { boxOfRings } from '../plane/box.ts';
import { offsetRings } from '../polygon/offset.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { CellShape } from '../raster/cells.ts';
import { cellShape, cellsOver } from '../raster/cells.ts';
import { areBoxes, nestBoxes } from './boxes.ts';
import { byLength, bySize, layInOrder } from './lay.ts';
import type { Nesting, NestOptions, NestPart, NestSheet } from './nesting.ts';
import { planOf, worthOf } from './plan.ts';
import { FINER, finerTable, pushTogether } from './push.ts';
import { searches } from './search.ts';
import type { FixedPart, MovablePart } from './shapes.ts';
import { cellFor, grownAsOne, placeRings, ROUND_SHARE, turnRings, wholeCells } from './shapes.ts';
import type { CellPlace, Table } from './table.ts';
import { endOf, tableFor } from './table.ts';

/**
 * mm by which outlines may stray while places are looked for: the more parts, the rougher, so that the first plan is
 * there at once. The gap is that much wider, and a hair for rounding.
 */
const strayFor = (parts: number): number => (parts > MANY ? 0.4 : 0.1);
const MANY = 40;
const ROUNDING_MM = 0.02;
/**
 * Lays parts in their true shapes on as few sheets as can be, and of those on as short a length: at once by size, then
 * better and better for as long as it is asked to go on.
 *
 * Parts that are as good as boxes are laid as boxes; see `nestBoxes`. Of all others:
 *
 * First, parts are laid by size, each as near to the beginning as it fits, in holes and between others too. Then, again
 * and again, they are laid on many partial layouts at once, of which those go on that lose the least room. At last they
 * are pushed together in finer cells. Every part is grown by half the gap and takes all cells that it touches, so that
 * parts never come nearer to each other than the gap.
 *
 * @param parts what is laid
 * @param sheets in the order in which they are filled; the last may be opened again and again
 * @param options gap and seed
 * @returns yields a plan whenever it is better than the last, and `null` whenever one may stop in between
 * @source bottom-left placement on a bit raster; `nest-beam.ts` for the search
 */
export function* nest(
  parts: readonly NestPart[],
  sheets: readonly NestSheet[],
  options: NestOptions,
): Generator<Nesting | null, void> {
  if (areBoxes(parts, sheets, options)) {
    yield* nestBoxes(parts, sheets, options);
    return;
  }
  const stray = strayFor(parts.length);
  const gap = (options.gapMm + 2 * stray + ROUNDING_MM) / (1 - 2 * ROUND_SHARE);
  const cell = wholeCells(options.cellMm ?? cellFor(parts, gap), sheets.at(-1)!.acrossMm + gap);
  const random = seeded(options.seed);
  const kindsIn = (size: number): [number, number][] => sheets.map((sheet) => cellsOf(sheet, gap, size));
  const kinds = kindsIn(cell);
  const fixed = (options.fixed ?? []).flatMap((laid): FixedPart[] => {
    const part = parts.find(({ id }) => id === laid.id);
    return part ? [{ laid, rings: placeRings(grownAsOne(part.rings, gap, stray), laid) }] : [];
  });
  const all = parts.flatMap((part) => {
    if (fixed.some(({ laid }) => laid.id === part.id)) return [];
    const rings = grownAsOne(part.rings, gap, stray);
    return [{ part, rings, turned: part.turns.map((turn) => turnRings(rings, turn)) }];
  });
  // What fits nowhere is not looked at any closer: it may be of any size.
  const fits = ({ turned }: (typeof all)[number]): boolean =>
    turned.some((rings) => {
      const [columns, rows] = cellsOver(boxOfRings(rings), cell);
      return kinds.some(([along, across]) => columns <= along && rows <= across);
    });
  const movable = all
    .filter(fits)
    .map(({ turned, ...one }): MovablePart => ({ ...one, shapes: turned.map((rings) => cellShape(rings, cell)) }));
  const left = all.filter((one) => !fits(one)).map(({ part }) => part.id);
  if (movable.length === 0 && fixed.length === 0) {
    yield { laid: [], alongUsed: [], sheetIds: [], left };
    return;
  }
  const shapes = movable.map((one) => one.shapes);
  const blocked = blockedOn(sheets, fixed, gap);
  const table = tableFor(shapes, kinds, Math.max(-1, ...fixed.map(({ laid }) => laid.sheet)) + 1);
  block(table, blocked, cell, gap);
  const told = (places: readonly (CellPlace | null)[], on: Table, size: number): Nesting =>
    planOf(movable, places, on, { cell: size, gap, sheets, left, fixed });
  if (movable.length === 0) {
    yield told([], table, cell);
    return;
  }

  // The first plan is there at once; from then on parts are pushed together.
  const sized = layInOrder(bySize(shapes), shapes, table);
  const best = { end: endOf(sized, shapes), plan: told(sized, table, cell) };
  yield best.plan;
  const finely = cell / FINER;
  const finer = finerTable(table, kindsIn(finely), best.end + 2);
  block(finer, blocked, finely, gap);
  const fineShape = finerShapes(movable, finely);
  const better = (places: readonly (CellPlace | null)[]): Nesting | null => {
    const end = endOf(places, shapes);
    // Only what may be shorter once it is pushed together is looked at.
    if (end > best.end + 1) return null;
    const plan = told(pushTogether(places, table, finer, fineShape), finer, finely);
    if (worthOf(plan, sheets) >= worthOf(best.plan, sheets) - EPSILON_MM) return null;
    best.plan = plan;
    best.end = Math.min(best.end, end);
    return plan;
  };
  yield better(sized);
  yield better(layInOrder(byLength(shapes), shapes, table));
  // What ends later than the best plan can only be shorter where pushing together helps.
  const limit = (): number =>
    best.plan.left.length > left.length ? table.columns : Math.min(table.columns, best.end + 2);
  for (const places of searches(shapes, table, limit, random, options.searches)) yield places && better(places);
}

/** What is in the way from the beginning, in the frame of a sheet: of all sheets of a kind, or of one. */
interface Blocked {
  readonly rings: readonly Ring[];
  readonly kind?: number;
  readonly sheet?: number;
}

function blockedOn(sheets: readonly NestSheet[], fixed: readonly FixedPart[], gap: number): Blocked[] {
  const beyond = sheets.flatMap(({ within, alongMm, acrossMm }, kind): Blocked[] => {
    if (!within) return [];
    const frame = Float64Array.from([-gap, -gap, alongMm + gap, -gap, alongMm + gap, acrossMm + gap, -gap, acrossMm + gap]); // prettier-ignore
    return [{ kind, rings: [frame, ...offsetRings([within], gap / 2).flatMap(ringsOf)] }];
  });
  return [...beyond, ...fixed.map(({ laid, rings }): Blocked => ({ sheet: laid.sheet, rings }))];
}

/** Takes cells out of use that something touches, wherever it lies between them. */
function block({ sheets, bare }: Table, blocked: readonly Blocked[], cell: number, gap: number): void {
  for (const { rings, kind, sheet } of blocked) {
    const shape = cellShape(rings, cell);
    const [atX, atY] = [Math.floor((shape.fromX + gap / 2) / cell), Math.floor((shape.fromY + gap / 2) / cell)];
    sheets.forEach((one, index) => {
      if (sheet !== undefined ? index !== sheet : one.kind !== kind) return;
      for (let c = 0; c < shape.columns; c++)
        for (let k = shape.byColumn[c]!; k < shape.byColumn[c + 1]!; k++)
          for (const column of [atX + c, atX + c + 1]) {
            if (column < 0 || column >= one.columns) continue;
            const from = Math.max(0, atY + shape.spans[2 * k]!);
            bare.block(one.from + column, from, Math.min(one.rows, atY + shape.spans[2 * k + 1]! + 1));
          }
    });
  }
}

/** Shapes of parts in finer cells, each made when it is first asked for. */
function finerShapes(movable: readonly MovablePart[], cell: number): (part: number, turn: number) => CellShape {
  const made = movable.map((): (CellShape | undefined)[] => []);
  return (i, turn) => {
    const { part, rings } = movable[i]!;
    return (made[i]![turn] ??= cellShape(turnRings(rings, part.turns[turn]!), cell));
  };
}

/** Columns and rows of a sheet in cells of some size. Shapes are grown by half the gap, and so are the sheets. */
const cellsOf = ({ acrossMm, alongMm }: NestSheet, gap: number, cell: number): [number, number] => [
  Math.floor((alongMm + gap) / cell + EPSILON_MM),
  Math.floor((acrossMm + gap) / cell + EPSILON_MM),
];

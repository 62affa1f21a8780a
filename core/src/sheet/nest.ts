import { seeded } from '../numeric/seeded.ts';
import type { Box } from '../plane/box.ts';
import { boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import { offsetRings } from '../polygon/offset.ts';
import { simplifyRing } from '../plane/simplify.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { unionRings } from '../polygon/boolean.ts';
import type { CellShape } from './cells.ts';
import { cellShape } from './cells.ts';
import type { Taste } from './nest-lay.ts';
import { byLength, bySize, FIRST_TASTE, layByFit, layInOrder, otherTaste } from './nest-lay.ts';
import { FINER, finerTable, pushTogether } from './nest-push.ts';
import type { CellPlace, Table } from './nest-table.ts';
import { endOf, sheetAt, tableFor } from './nest-table.ts';

/** Quarter turns counter-clockwise. */
export type Quarter = 0 | 1 | 2 | 3;

/** Something that is laid as one and moves as one. */
export interface NestPart {
  readonly id: string;
  /** Outlines of its film, outer rings and holes, mm. Other parts may lie in its holes, but not between its outlines. */
  readonly rings: readonly Ring[];
  /** Turns that its film allows: directional film is only turned by halves. */
  readonly turns: readonly Quarter[];
}

/** Something that parts are laid on. */
export interface NestSheet {
  readonly id: string;
  /** mm across the feed, where parts may lie. */
  readonly acrossMm: number;
  /** mm along the feed. */
  readonly alongMm: number;
  /** Where on it parts may lie, mm, when that is no rectangle. */
  readonly within?: Ring;
  /** Whether it is film that is used up first: opening it costs nothing. */
  readonly free?: boolean;
}

/** How parts are laid. */
export interface NestWish {
  /** mm between parts, so that scissors pass. */
  readonly gapMm: number;
  /** The same seed gives the same plans, one after the other. */
  readonly seed: number;
  /** mm. Cells that places are looked for in; finer ones take longer. Left out, it follows from the size of the parts. */
  readonly cellMm?: number;
  /** Parts that stay where they are; the others are laid round them. */
  readonly fixed?: readonly LaidPart[];
}

/** Where a part lies: turned about its own origin, then shifted; x along the feed, y across it, mm from the sheet's corner. */
export interface LaidPart {
  readonly id: string;
  /** Which sheet, in the order in which they were given; the last kind may be opened several times. */
  readonly sheet: number;
  readonly turn: Quarter;
  readonly x: number;
  readonly y: number;
}

/** A plan. */
export interface Nesting {
  readonly laid: readonly LaidPart[];
  /** mm along the feed that are taken of each sheet. */
  readonly alongUsed: readonly number[];
  /** Which of the given sheets each one is. */
  readonly sheetIds: readonly string[];
  /** Parts that fit no sheet. */
  readonly left: readonly string[];
}

/** Cells that a typical part is long, and bounds for their size, mm. */
const [CELLS_A_PART, FINEST_MM, COARSEST_MM] = [36, 0.8, 4];
/** Share of the gap that cells need not be finer than. */
const SHARE_OF_GAP = 0.2;
/**
 * mm by which outlines may stray while places are looked for: the more parts, the rougher, so that the first plan is there
 * at once. The gap is that much wider, and a hair for rounding.
 */
const strayFor = (parts: number): number => (parts > MANY ? 0.4 : 0.1);
const MANY = 40;
const HAIR_MM = 0.02;
/**
 * Lays parts in their true shapes on as few sheets as can be, and of those on as short a length: at once by size, then
 * better and better for as long as it is asked to go on.
 *
 * First, parts are laid by size, each as near to the beginning as it fits, in holes and between others too. Then, again
 * and again, of all that are left the one that fits best where there is room first, with the most of its edge beside
 * others; what counts for how much, and which parts come sooner, is varied, and what turned out best is varied on. At last
 * they are pushed together in finer cells. Every part is grown by half the gap and takes all cells that it touches, so that
 * parts never come nearer to each other than the gap.
 *
 * @param parts what is laid
 * @param sheets in the order in which they are filled; the last may be opened again and again
 * @param wish gap and seed
 * @returns yields a plan whenever it is better than the last, and `null` whenever one may stop in between
 * @source bottom-left and best-fit placement on a bit raster, with randomised restarts; cf. E. Burke et al., "A new
 *   placement heuristic for the orthogonal stock-cutting problem", 2004, for best fit
 */
export function* nest(
  parts: readonly NestPart[],
  sheets: readonly NestSheet[],
  wish: NestWish,
): Generator<Nesting | null, void> {
  const stray = strayFor(parts.length);
  const gap = wish.gapMm + 2 * stray + HAIR_MM;
  const cell = wholeCells(wish.cellMm ?? cellFor(parts, gap), sheets.at(-1)!.acrossMm + gap);
  const random = seeded(wish.seed);
  const kindsIn = (size: number): [number, number][] => sheets.map((sheet) => cellsOf(sheet, gap, size));
  const kinds = kindsIn(cell);
  const fixed = (wish.fixed ?? []).flatMap((laid): FixedPart[] => {
    const part = parts.find(({ id }) => id === laid.id);
    return part ? [{ laid, rings: placeRings(grownAsOne(part.rings, gap, stray), laid) }] : [];
  });
  const all = parts.flatMap((part) => {
    if (fixed.some(({ laid }) => laid.id === part.id)) return [];
    const rings = grownAsOne(part.rings, gap, stray);
    return [{ part, rings, shapes: part.turns.map((turn) => cellShape(turnRings(rings, turn), cell)) }];
  });
  const fits = ({ shapes }: MovablePart): boolean =>
    shapes.some((shape) => kinds.some(([along, across]) => shape.columns <= along && shape.rows <= across));
  const movable = all.filter(fits);
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
    if (worthOf(plan, sheets) >= worthOf(best.plan, sheets) - 1e-6) return null;
    best.plan = plan;
    best.end = Math.min(best.end, end);
    return plan;
  };
  yield better(sized);
  yield better(layInOrder(byLength(shapes), shapes, table));
  let taste: Taste = { ...FIRST_TASTE, sooner: shapes.map(() => 0) };
  let tasteEnd = Infinity;
  for (let round = 0; ; round++) {
    // Best fits again and again, every other time from what turned out best so far.
    const next = round === 0 ? taste : otherTaste(taste, round % 2 === 0, random);
    const places = layByFit(shapes, table, next, best.end + 2);
    if (!places) {
      yield null;
      continue;
    }
    const end = endOf(places, shapes) + 1e4 * places.filter((p) => p === null).length;
    if (end < tasteEnd) [taste, tasteEnd] = [next, end];
    yield better(places);
  }
}

/** A part that fits a sheet, with its outlines moved out by half the gap, and its shape in each turn. */
interface MovablePart {
  readonly part: NestPart;
  readonly rings: readonly Ring[];
  readonly shapes: readonly CellShape[];
}

/** A part that stays where it is, with its outlines there, moved out by half the gap. */
interface FixedPart {
  readonly laid: LaidPart;
  readonly rings: readonly Ring[];
}

const placeRings = (rings: readonly Ring[], { turn, x, y }: LaidPart): Ring[] =>
  turnRings(rings, turn).map((ring) => ring.map((v, i) => v + (i % 2 === 0 ? x : y)));

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

/** Most times that the reach doubles within which outlines of a part are put together. */
const MOST_REACHES = 7;

/**
 * Outlines moved out by half the gap. Those of a part that lie apart are put together first, so that nothing else comes to
 * lie between what is lifted with one tape: filled out as far as it takes until they are one, and drawn in again.
 */
function grownAsOne(rings: readonly Ring[], gap: number, stray: number): readonly Ring[] {
  const plain = rings.map((ring) => simplifyRing(ring, stray));
  const grown = offsetRings(plain, gap / 2);
  for (let reach = gap, k = 0; grown.length > 1 && k < MOST_REACHES; reach *= 2, k++) {
    const filled = offsetRings(plain, reach + gap / 2);
    if (filled.length === 1)
      return unionRings([...offsetRings(ringsOf(filled[0]!), -reach), ...grown].flatMap(ringsOf)).flatMap(ringsOf);
  }
  return grown.flatMap(ringsOf);
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
  Math.floor((alongMm + gap) / cell + 1e-6),
  Math.floor((acrossMm + gap) / cell + 1e-6),
];

/** What a plan is told by. */
interface Telling {
  readonly cell: number;
  readonly gap: number;
  readonly sheets: readonly NestSheet[];
  /** Parts that fit no sheet. */
  readonly left: readonly string[];
  readonly fixed: readonly FixedPart[];
}

function planOf(
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

/** Fewest left out, then fewest sheets, then the least length of the last, then of all. */
function worthOf({ left, alongUsed, sheetIds }: Nesting, sheets: readonly NestSheet[]): number {
  const costs = (id: string | undefined): boolean => !sheets.find((sheet) => sheet.id === id)?.free;
  const open = alongUsed.filter((mm, s) => mm > 0 && costs(sheetIds[s])).length;
  const all = alongUsed.reduce((sum, mm) => sum + mm, 0);
  return 1e9 * left.length + 1e6 * open + (alongUsed.at(-1) ?? 0) + 1e-3 * all;
}

const boxOfRings = (rings: readonly Ring[]): Box =>
  rings.reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);

const turnRings = (rings: readonly Ring[], turn: Quarter): Ring[] => rings.map((ring) => turnRing(ring, turn));

/** A ring turned by quarters about the origin. */
export function turnRing(ring: Ring, turn: Quarter): Ring {
  if (turn === 0) return ring;
  const out = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    const [x, y] = [ring[i]!, ring[i + 1]!];
    out[i] = turn === 1 ? -y : turn === 2 ? -x : y;
    out[i + 1] = turn === 1 ? x : turn === 2 ? -y : -x;
  }
  return out;
}

/** The nearest size of cells of which a whole number fills a width, so that what is just as wide fits too. */
const wholeCells = (cell: number, width: number): number => width / Math.max(1, Math.round(width / cell));

/** Cells in which a part of middling size is looked at in enough detail, and no more. */
function cellFor(parts: readonly NestPart[], gap: number): number {
  const sizes = parts
    .map(({ rings }) => {
      const box = boxOfCoordinates(rings[0] ?? new Float64Array(0));
      return Math.sqrt(Math.max(0, (box.maxX - box.minX) * (box.maxY - box.minY)));
    })
    .sort((a, b) => a - b);
  const middle = sizes[sizes.length >> 1] ?? 50;
  return Math.max(FINEST_MM, Math.min(COARSEST_MM, Math.max(middle / CELLS_A_PART, gap * SHARE_OF_GAP)));
}

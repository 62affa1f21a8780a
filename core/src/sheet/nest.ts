import { seeded } from '../numeric/seeded.ts';
import { boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import { offsetRings } from '../polygon/offset.ts';
import { simplifyRing } from '../plane/simplify.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { CellShape } from './cells.ts';
import { cellShape, CellSheet } from './cells.ts';

/** Where a part lies: which of its turned shapes, and the column and row of its lower left cell. */
interface CellPlace {
  readonly shape: number;
  readonly column: number;
  readonly row: number;
}

/** Quarter turns counter-clockwise. */
export type Quarter = 0 | 1 | 2 | 3;

/** Something that is laid as one and moves as one. */
export interface NestPart {
  readonly id: string;
  /** Outlines of its film, outer rings and holes, mm. What fits into a hole of it, or between its outlines, may lie there. */
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
}

/** How parts are laid. */
export interface NestWish {
  /** mm between parts, so that scissors pass. */
  readonly gapMm: number;
  /** The same seed gives the same plans, one after the other. */
  readonly seed: number;
  /** mm. Cells that places are looked for in; finer ones take longer. Left out, it follows from the size of the parts. */
  readonly cellMm?: number;
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
/** Into how many a cell is divided once parts lie, so that they are pushed together. */
const FINER = 3;
/** How far back a part is looked for a place when parts are pushed together, in cells. */
const NUDGE = 4;

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
  const grown = parts.map((part) => ({
    part,
    rings: offsetRings(
      part.rings.map((ring) => simplifyRing(ring, stray)),
      gap / 2,
    ).flatMap(ringsOf),
  }));
  const shapesAt = (size: number): CellShape[][] =>
    grown.map(({ part, rings }) =>
      part.turns.map((turn) =>
        cellShape(
          rings.map((ring) => turnRing(ring, turn)),
          size,
        ),
      ),
    );
  const coarse = shapesAt(cell);
  const kinds = sheets.map((sheet): [number, number] => cellsOf(sheet, gap, cell));
  const fits = (i: number): boolean =>
    coarse[i]!.some((shape) => kinds.some(([along, across]) => shape.columns <= along && shape.rows <= across));
  const able = parts.map((_, i) => i).filter(fits);
  const left = parts.filter((_, i) => !able.includes(i)).map(({ id }) => id);
  if (able.length === 0) {
    yield { laid: [], alongUsed: [], sheetIds: [], left };
    return;
  }
  const own = able.map((i) => coarse[i]!);
  const table = tableFor(own, kinds);
  const finely = cell / FINER;
  const fine = new FineTable(
    able.map((i) => shapesOf(grown[i]!, finely)),
    table,
    sheets.map((sheet) => cellsOf(sheet, gap, finely)),
    finely,
  );
  const movable = able.map((i) => parts[i]!);
  const plan = (places: readonly (CellPlace | null)[], on: Table, size: number): Nesting =>
    planOf(movable, own, places, on, size, sheets, left, gap);

  const best: { end: number; plan: Nesting | null } = { end: Infinity, plan: null };
  const take = (places: (CellPlace | null)[]): Nesting | null => {
    const end = endOf(places, own);
    const first = best.plan === null;
    // The first plan is there at once; from then on parts are pushed together.
    const made = first ? plan(places, table, cell) : plan(fine.pushTogether(places, Math.max(end, best.end)), fine.tableUpTo(end), finely); // prettier-ignore
    if (best.plan && worthOf(made) >= worthOf(best.plan) - 1e-6) return null;
    best.plan = made;
    best.end = Math.min(best.end, end);
    return made;
  };

  const sized = layInOrder(bySize(own), own, table);
  yield take(sized);
  yield take(sized);
  const long = layInOrder(byLength(own), own, table);
  yield endOf(long, own) <= best.end ? take(long) : null;
  let taste: Taste = { ...FIRST_TASTE, sooner: own.map(() => 0) };
  let tasteEnd = Infinity;
  for (let round = 0; ; round++) {
    // Best fits again and again, now and then from what turned out best so far.
    const next = round === 0 ? taste : otherTaste(taste, round % 2 === 0, random);
    const places = layByFit(own, table, next);
    const end = endOf(places, own) + 1e4 * places.filter((p) => p === null).length;
    if (end < tasteEnd) [taste, tasteEnd] = [next, end];
    // Only what may be better once it is pushed together is.
    yield end <= best.end + 1 ? take(places) : null;
  }
}

/** What the first try by fit goes by. */
const FIRST_TASTE = { along: 2.2, size: 0.7 };

/** Another taste: all anew, or the best one with a few parts sooner or later. */
function otherTaste(best: Taste, near: boolean, random: () => number): Taste {
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

/** A part's shapes in cells of some size, each made when it is first asked for. */
function shapesOf({ part, rings }: GrownPart, size: number): (turn: number) => CellShape {
  const made: (CellShape | undefined)[] = [];
  return (turn) =>
    (made[turn] ??= cellShape(
      rings.map((ring) => turnRing(ring, part.turns[turn]!)),
      size,
    ));
}

/** A part with its outlines moved out by half the gap. */
interface GrownPart {
  readonly part: NestPart;
  readonly rings: readonly Ring[];
}

const cellsOf = ({ acrossMm, alongMm }: NestSheet, gap: number, cell: number): [number, number] => [
  Math.floor((alongMm + gap) / cell + 1e-6),
  Math.floor((acrossMm + gap) / cell + 1e-6),
];

/** All sheets one behind the other, with a wall between them. */
interface Table {
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

function tableFor(parts: readonly (readonly CellShape[])[], kinds: readonly (readonly [number, number])[]): Table {
  const [along, across] = kinds.at(-1)!;
  const cells = parts.reduce((sum, [shape]) => sum + shape!.cells, 0);
  // More than twice what the parts cover is never needed of the last kind, nor more sheets than parts.
  const many = Math.min(parts.length, 1 + Math.ceil((2.5 * cells) / Math.max(1, along * across)));
  const all = [...kinds.slice(0, -1), ...Array.from({ length: many }, () => kinds.at(-1)!)];
  return tableOf(all.map(([columns, rows], i) => ({ columns, rows, kind: Math.min(i, kinds.length - 1) })));
}

/** Sheets one behind the other, with a wall between them, and what is beyond the narrower ones blocked. */
function tableOf(list: readonly Omit<Table['sheets'][number], 'from'>[]): Table {
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

/** Lays parts one after the other, each where it adds least to the length. */
function layInOrder(
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
interface Taste {
  readonly along: number;
  readonly size: number;
  /** How much sooner each part is taken than it would be. */
  readonly sooner: readonly number[];
}

/**
 * Lays parts one after the other as well: of all that are left, each time the one that fits best where there is room
 * first, with the most of its edge beside others.
 */
function layByFit(parts: readonly (readonly CellShape[])[], table: Table, taste: Taste): (CellPlace | null)[] {
  const sheet = table.bare.copy();
  const places: (CellPlace | null)[] = parts.map(() => null);
  const biggest = Math.max(...parts.map(([shape]) => shape!.cells));
  // Where each was found to fit first: as the table fills, it never fits any nearer.
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
    const { shape, column, row, at }: CellPlace & { at: number } = best;
    const { i } = left.splice(at, 1)[0]!;
    sheet.lay(parts[i]![shape]!, column, row);
    places[i] = { shape, column, row };
  }
  return places;
}

const endOf = (places: readonly (CellPlace | null)[], parts: readonly (readonly CellShape[])[]): number =>
  places.reduce((end, p, i) => (p ? Math.max(end, p.column + parts[i]![p.shape]!.columns) : end), 0);

const bySize = (parts: readonly (readonly CellShape[])[]): number[] =>
  parts.map((_, i) => i).sort((a, b) => parts[b]![0]!.cells - parts[a]![0]!.cells || a - b);

const byLength = (parts: readonly (readonly CellShape[])[]): number[] => {
  const long = (i: number): number => Math.max(parts[i]![0]!.columns, parts[i]![0]!.rows);
  return parts.map((_, i) => i).sort((a, b) => long(b) - long(a) || a - b);
};

/** The same table in finer cells, on which parts that lie apart are pushed together. */
class FineTable {
  private made: Table | null = null;

  constructor(
    private readonly shapes: readonly ((turn: number) => CellShape)[],
    private readonly coarse: Table,
    /** Columns and rows that each kind of sheet has in these cells. */
    private readonly kinds: readonly (readonly [number, number])[],
    readonly cell: number,
  ) {}

  /** As much of the table as what ends at a coarse column takes, and a little more. */
  tableUpTo(end: number): Table {
    if (this.made) return this.made;
    const needed = this.coarse.sheets.filter(({ from }) => from < end + 2);
    this.made = tableOf(
      needed.map(({ kind, from }, i) => {
        const [columns, rows] = this.kinds[kind]!;
        const most = i === needed.length - 1 ? (end + 2 - from) * FINER : columns;
        return { kind, rows, columns: Math.min(columns, most) };
      }),
    );
    return this.made;
  }

  /** Moves each part as near to the beginning as it fits, the nearest first, until none moves any more. */
  pushTogether(places: readonly (CellPlace | null)[], end: number): (CellPlace | null)[] {
    const table = this.tableUpTo(end);
    const sheet = table.bare.copy();
    const out = places.map((place) => {
      if (!place) return null;
      const index = sheetAt(this.coarse, place.column);
      const column = (place.column - this.coarse.sheets[index]!.from) * FINER + table.sheets[index]!.from;
      return { ...place, column, row: place.row * FINER };
    });
    const shapeOf = (i: number): CellShape => this.shapes[i]!(out[i]!.shape);
    out.forEach((place, i) => place && sheet.lay(shapeOf(i), place.column, place.row));
    for (let round = 0, moved = true; moved && round < 3; round++) {
      moved = false;
      const order = out.flatMap((p, i) => (p ? [i] : [])).sort((a, b) => out[a]!.column - out[b]!.column);
      for (const i of order) {
        const place = out[i]!;
        const shape = shapeOf(i);
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
}

/** Which sheet of a table a column is of. */
const sheetAt = ({ sheets }: Table, column: number): number => sheets.findLastIndex(({ from }) => from <= column);

function planOf(
  parts: readonly NestPart[],
  own: readonly (readonly CellShape[])[],
  places: readonly (CellPlace | null)[],
  table: Table,
  cell: number,
  sheets: readonly NestSheet[],
  left: readonly string[],
  gap: number,
): Nesting {
  const laid: LaidPart[] = [];
  const out = [...left];
  const used: number[] = [];
  places.forEach((place, i) => {
    const part = parts[i]!;
    if (!place) {
      out.push(part.id);
      return;
    }
    const s = sheetAt(table, place.column);
    // Where a shape's cells begin does not hang on their size.
    const shape = own[i]![place.shape]!;
    const turn = part.turns[place.shape]!;
    const box = part.rings.reduce((grown, ring) => boxOfCoordinates(turnRing(ring, turn), grown), EMPTY_BOX);
    const sheet = sheets[table.sheets[s]!.kind]!;
    // Shapes are grown by half the gap, and so are the sheets; what tips are short of it by rounding is put right here.
    const x = within(
      (place.column - table.sheets[s]!.from) * cell - shape.fromX - gap / 2,
      -box.minX,
      sheet.alongMm - box.maxX,
    );
    const y = within(place.row * cell - shape.fromY - gap / 2, -box.minY, sheet.acrossMm - box.maxY);
    laid.push({ id: part.id, sheet: s, turn, x, y });
    const reach = x + box.maxX;
    used[s] = Math.max(used[s] ?? 0, reach);
  });
  const alongUsed = Array.from(used, (mm) => mm ?? 0);
  return { laid, alongUsed, sheetIds: alongUsed.map((_, s) => sheets[table.sheets[s]!.kind]!.id), left: out };
}

const within = (value: number, least: number, most: number): number => Math.max(least, Math.min(most, value));

/** Fewest left out, then fewest sheets, then the least length of the last, then of all. */
function worthOf({ left, alongUsed }: Nesting): number {
  const open = alongUsed.filter((mm) => mm > 0).length;
  const all = alongUsed.reduce((sum, mm) => sum + mm, 0);
  return 1e9 * left.length + 1e6 * open + (alongUsed.at(-1) ?? 0) + 1e-3 * all;
}

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

import { EPSILON } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxHeight, boxOfRings, boxWidth } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';

/**
 * A shape in square cells, column by column: every cell that the shape touches. Two shapes whose cells are apart are
 * therefore apart themselves.
 */
export interface CellShape {
  readonly columns: number;
  readonly rows: number;
  /** Runs of cells: column, first row and how many; those first that forbid most. */
  readonly runs: Int32Array;
  /** The same runs column by column: first row and the row past the last; `byColumn` tells where those of a column begin. */
  readonly spans: Int32Array;
  readonly byColumn: Int32Array;
  readonly cells: number;
  /** Cells just outside of it: column and row of each, beside its edge. */
  readonly rim: Int32Array;
  /** mm. Where the shape's lower left cell begins. */
  readonly fromX: number;
  readonly fromY: number;
}

/** Cells that a grid over all there is may have: two metres of film each way, in half millimetres. */
const MOST_CELLS = 16_000_000;

/**
 * Size of a cell in which so much can be looked at: as fine as is wanted, unless that would fill memory.
 *
 * @param box of all that is looked at, mm
 * @param wanted mm
 */
export const cellWithin = (box: Box, wanted: number): number =>
  Math.max(wanted, Math.sqrt((boxWidth(box) * boxHeight(box)) / MOST_CELLS));

/** Columns and rows of cells that shapes are wide and high. */
export const cellsOver = (box: Box, cell: number): readonly [columns: number, rows: number] => [
  Math.max(1, Math.ceil(boxWidth(box) / cell - EPSILON)),
  Math.max(1, Math.ceil(boxHeight(box) / cell - EPSILON)),
];

/**
 * Cells that a shape touches.
 *
 * @param rings closed outlines, mm, even-odd: outer ones and holes
 * @param cell mm
 */
export function cellShape(rings: readonly Ring[], cell: number): CellShape {
  const box = boxOfRings(rings);
  const [columns, rows] = cellsOver(box, cell);
  const grid = new Uint8Array(columns * rows);
  const edges = edgesInCells(rings, cell, box.minX, box.minY);
  markEdges(grid, edges, columns, rows);
  fillInside(grid, edges, columns, rows);
  // A sliver that lies along the lines between cells is cut all the same: nothing else may lie there.
  if (!grid.includes(1)) grid.fill(1);
  const runs: [number, number, number][] = [];
  const spans: number[] = [];
  const byColumn = new Int32Array(columns + 1);
  let cells = 0;
  for (let c = 0; c < columns; c++) {
    byColumn[c] = spans.length / 2;
    for (let r = 0; r < rows; r++) {
      if (!grid[c * rows + r]) continue;
      const first = r;
      while (r < rows && grid[c * rows + r]) r++;
      runs.push([c, first, r - first]);
      spans.push(first, r);
      cells += r - first;
    }
  }
  byColumn[columns] = spans.length / 2;
  spreadOut(runs, columns);
  return {
    columns,
    rows,
    runs: Int32Array.from(runs.flat()),
    spans: Int32Array.from(spans),
    byColumn,
    cells,
    rim: rimOf(grid, columns, rows),
    fromX: box.minX,
    fromY: box.minY,
  };
}

/** Bands of columns of which the longest run comes first. */
const BANDS = 12;

/** Puts runs in an order in which the first few forbid most: the longest of each band of columns, then all by length. */
function spreadOut(runs: [number, number, number][], columns: number): void {
  runs.sort((a, b) => b[2] - a[2]);
  const first = new Map<number, [number, number, number]>();
  for (const run of runs) {
    const band = Math.floor((BANDS * run[0]) / columns);
    if (!first.has(band)) first.set(band, run);
  }
  const lead = new Set(first.values());
  const rest = runs.filter((run) => !lead.has(run));
  runs.splice(0, runs.length, ...lead, ...rest);
}

/** Cells that have one of the shape beside them and are not of it. */
function rimOf(grid: Uint8Array, columns: number, rows: number): Int32Array {
  const on = (c: number, r: number): boolean => c >= 0 && r >= 0 && c < columns && r < rows && grid[c * rows + r] === 1;
  const rim: number[] = [];
  for (let c = -1; c <= columns; c++)
    for (let r = -1; r <= rows; r++)
      if (!on(c, r) && (on(c - 1, r) || on(c + 1, r) || on(c, r - 1) || on(c, r + 1))) rim.push(c, r);
  return Int32Array.from(rim);
}

/** Edges of rings in cells from a corner, each from its left end to its right: ax, ay, bx, by one after the other. */
function edgesInCells(rings: readonly Ring[], cell: number, fromX: number, fromY: number): Float64Array {
  const edges = new Float64Array(rings.reduce((sum, ring) => sum + 2 * ring.length, 0));
  let k = 0;
  for (const ring of rings)
    for (let i = 0, n = ring.length; i < n; i += 2, k += 4) {
      const j = (i + 2) % n;
      const [left, right] = ring[i]! <= ring[j]! ? [i, j] : [j, i];
      edges[k] = (ring[left]! - fromX) / cell;
      edges[k + 1] = (ring[left + 1]! - fromY) / cell;
      edges[k + 2] = (ring[right]! - fromX) / cell;
      edges[k + 3] = (ring[right + 1]! - fromY) / cell;
    }
  return edges;
}

/** Every cell that an edge runs through. */
function markEdges(grid: Uint8Array, edges: Float64Array, columns: number, rows: number): void {
  for (let k = 0; k < edges.length; k += 4) {
    const [ax, ay, bx, by] = [edges[k]!, edges[k + 1]!, edges[k + 2]!, edges[k + 3]!];
    const slope = bx === ax ? 0 : (by - ay) / (bx - ax);
    // What runs along the line between two cells only touches them; a hair keeps it to the one that has more of it.
    const last = Math.min(columns - 1, Math.ceil(bx - EPSILON) - 1);
    for (let c = Math.max(0, Math.floor(ax + EPSILON)); c <= last; c++) {
      const p = bx === ax ? ay : ay + slope * (Math.max(ax, c) - ax);
      const q = bx === ax ? by : ay + slope * (Math.min(bx, c + 1) - ax);
      const low = Math.max(0, Math.floor(Math.min(p, q) + EPSILON));
      const high = Math.min(rows - 1, Math.ceil(Math.max(p, q) - EPSILON) - 1);
      for (let r = low; r <= high; r++) grid[c * rows + r] = 1;
    }
  }
}

/** Cells inside, by the middle of each column. */
function fillInside(grid: Uint8Array, edges: Float64Array, columns: number, rows: number): void {
  const crossings: number[][] = Array.from({ length: columns }, () => []);
  for (let k = 0; k < edges.length; k += 4) {
    const [ax, ay, bx, by] = [edges[k]!, edges[k + 1]!, edges[k + 2]!, edges[k + 3]!];
    const last = Math.min(columns - 1, Math.ceil(bx - 0.5) - 1);
    for (let c = Math.max(0, Math.ceil(ax - 0.5)); c <= last; c++)
      crossings[c]!.push(ay + ((by - ay) * (c + 0.5 - ax)) / (bx - ax));
  }
  crossings.forEach((ys, c) => {
    ys.sort((a, b) => a - b);
    for (let i = 0; i + 1 < ys.length; i += 2)
      for (let r = Math.max(0, Math.floor(ys[i]! + EPSILON)); r < Math.min(rows, Math.ceil(ys[i + 1]! - EPSILON)); r++)
        grid[c * rows + r] = 1;
  });
}

/** Sheets of cells that shapes are laid on, a bit for each cell, column by column. */
export class CellSheet {
  /** 32 cells of a column to a word. */
  private readonly words: number;
  private readonly bits: Int32Array;
  /** Columns widened downwards by powers of two, made when they are asked for: where a run of that length cannot begin. */
  private readonly widened: (Int32Array | null)[];
  private readonly widenedTo: Uint8Array;
  private readonly levels: number;
  private readonly forbidden: Int32Array;

  /**
   * @param starts columns at which sheets begin that lie one behind the other: nothing reaches from one onto the next, not
   *   even over the edge between them
   */
  constructor(
    readonly columns: number,
    readonly rows: number,
    private readonly starts: readonly number[] = [0],
  ) {
    this.words = Math.ceil(rows / 32) + 1;
    this.bits = new Int32Array(columns * this.words);
    this.levels = Math.max(1, Math.ceil(Math.log2(rows + 1)) + 1);
    this.widened = new Array<Int32Array | null>(columns).fill(null);
    this.widenedTo = new Uint8Array(columns);
    this.forbidden = new Int32Array(this.words);
  }

  /** Takes the cells of a column from one row up to, not with, another out of use. */
  block(column: number, from: number, to: number): void {
    for (let r = from; r < to; r++) this.bits[column * this.words + (r >> 5)]! |= 1 << (r & 31);
    this.widened[column] = null;
  }

  /** A sheet with the same on it. */
  copy(): CellSheet {
    const other = new CellSheet(this.columns, this.rows, this.starts);
    other.bits.set(this.bits);
    return other;
  }

  /**
   * The first free place for a shape: as near to the beginning of the sheet as can be, and there as low as can be.
   *
   * @param from column to begin at
   * @param before column that its last one has to stay before
   * @returns column and row of its lower left cell; null when there is none
   */
  findRoom(shape: CellShape, from = 0, before = this.columns): { column: number; row: number } | null {
    const { columns, rows, runs } = shape;
    const room = this.rows - rows;
    if (room < 0) return null;
    let next = this.starts.findIndex((start) => start > from);
    for (let at = from; at + columns <= before; at++) {
      if (next >= 0 && at + columns > this.starts[next]!) at = this.starts[next++]!;
      while (next >= 0 && next < this.starts.length && at >= this.starts[next]!) next++;
      if (next >= this.starts.length) next = -1;
      if (at + columns > before) break;
      const row = this.firstRow(at, runs, room);
      if (row >= 0) return { column: at, row };
    }
    return null;
  }

  /**
   * Marks where the lower left cell of a shape cannot lie in a column.
   *
   * @param bits are set, a bit for each row, from word `to` on; those of rows that are not on the sheet, too
   */
  barAt(shape: CellShape, column: number, bits: Int32Array, to: number, words: number): void {
    bits.fill(-1, to, to + words);
    const room = this.rows - shape.rows;
    const end = column + shape.columns;
    if (room < 0 || end > this.columns || this.starts.some((start) => start > column && start < end)) return;
    const used = this.forbid(column, shape.runs, room, false);
    bits.set(this.forbidden.subarray(0, used), to);
    bits[to + used - 1]! |= ~openIn(room);
  }

  /** Whether a cell is taken. */
  isTaken(column: number, row: number): boolean {
    return ((this.bits[column * this.words + (row >> 5)]! >>> (row & 31)) & 1) === 1;
  }

  private firstRow(at: number, runs: Int32Array, room: number): number {
    const used = this.forbid(at, runs, room, true);
    const open = openIn(room);
    for (let w = 0; w < used; w++) {
      const free = ~this.forbidden[w]! & (w === used - 1 ? open : -1);
      if (free !== 0) return 32 * w + (31 - Math.clz32(free & -free));
    }
    return -1;
  }

  /**
   * Collects where runs that begin at a column cannot lie.
   *
   * @param room the last row that leaves room for them
   * @param hasty whether to stop once nothing is left
   * @returns how many words it took
   */
  private forbid(at: number, runs: Int32Array, room: number, hasty: boolean): number {
    const { words, forbidden } = this;
    const used = Math.min(words, (room >> 5) + 1);
    const open = openIn(room);
    forbidden.fill(0, 0, used);
    let step = 0;
    for (let k = 0; k < runs.length; k += 3) {
      const length = runs[k + 2]!;
      const level = 31 - Math.clz32(length);
      const column = this.widenedColumn(at + runs[k]!, level);
      const base = level * words;
      orShifted(forbidden, used, column, base, words, runs[k + 1]!);
      const rest = length - (1 << level);
      if (rest > 0) orShifted(forbidden, used, column, base, words, runs[k + 1]! + rest);
      if (hasty && (step++ & 3) === 3 && allSet(forbidden, used, open)) break;
    }
    return used;
  }

  /** Where runs of 1, 2, 4 … cells cannot begin in a column, up to a power of two. */
  private widenedColumn(c: number, most: number): Int32Array {
    const { words, levels } = this;
    let made = this.widened[c];
    let level = made ? this.widenedTo[c]! : 0;
    if (made && level >= most) return made;
    if (!made) {
      made = new Int32Array(words * levels);
      for (let w = 0, at = c * words; w < words; w++) made[w] = this.bits[at + w]!;
    }
    while (level < most) {
      const [before, by] = [level * words, 1 << level];
      const [whole, shift] = [by >> 5, by & 31];
      level++;
      for (let w = 0; w < words; w++) {
        const at = before + w + whole;
        let word = made[before + w]!;
        if (w + whole < words) word |= made[at]! >>> shift;
        if (shift > 0 && w + whole + 1 < words) word |= made[at + 1]! << (32 - shift);
        made[level * words + w] = word;
      }
    }
    this.widened[c] = made;
    this.widenedTo[c] = level;
    return made;
  }

  /** Lays a shape. */
  lay(shape: CellShape, column: number, row: number): void {
    this.change(shape, column, row, true);
  }

  /** Takes a shape up again from where it lies by itself. */
  lift(shape: CellShape, column: number, row: number): void {
    this.change(shape, column, row, false);
  }

  private change({ runs }: CellShape, column: number, row: number, on: boolean): void {
    for (let k = 0; k < runs.length; k += 3) {
      const c = column + runs[k]!;
      const base = c * this.words;
      for (let r = row + runs[k + 1]!, end = r + runs[k + 2]!; r < end; r++)
        if (on) this.bits[base + (r >> 5)]! |= 1 << (r & 31);
        else this.bits[base + (r >> 5)]! &= ~(1 << (r & 31));
      this.widened[c] = null;
    }
  }

  /** Whether a shape lies free at a place. */
  fitsAt({ runs, columns, rows }: CellShape, column: number, row: number): boolean {
    if (column < 0 || row < 0 || column + columns > this.columns || row + rows > this.rows) return false;
    for (let k = 0; k < runs.length; k += 3) {
      const base = (column + runs[k]!) * this.words;
      const from = row + runs[k + 1]!;
      const to = from + runs[k + 2]! - 1;
      for (let w = from >> 5; w <= to >> 5; w++) {
        let mask = -1;
        if (w === from >> 5) mask &= -1 << (from & 31);
        if (w === to >> 5 && (to & 31) !== 31) mask &= (1 << ((to & 31) + 1)) - 1;
        if ((this.bits[base + w]! & mask) !== 0) return false;
      }
    }
    return true;
  }
}

/** Bits of the last word up to the last row that leaves room. */
const openIn = (room: number): number => ((room & 31) === 31 ? -1 : (1 << ((room & 31) + 1)) - 1);

const allSet = (bits: Int32Array, used: number, last: number): boolean => {
  for (let w = 0; w < used - 1; w++) if (bits[w] !== -1) return false;
  return (bits[used - 1]! & last) === last;
};

/** `out |= column >> by`, over the first `used` words. */
function orShifted(out: Int32Array, used: number, column: Int32Array, base: number, words: number, by: number): void {
  const [whole, shift] = [by >> 5, by & 31];
  for (let w = 0; w < used; w++) {
    const at = w + whole;
    if (at >= words) return;
    const low = column[base + at]! >>> shift;
    const high = shift === 0 || at + 1 >= words ? 0 : column[base + at + 1]! << (32 - shift);
    out[w]! |= low | high;
  }
}

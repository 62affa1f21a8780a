import { boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
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

/**
 * Cells that a shape touches.
 *
 * @param rings closed outlines, mm, even-odd: outer ones and holes
 * @param cell mm
 */
export function cellShape(rings: readonly Ring[], cell: number): CellShape {
  const box = rings.reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
  const columns = Math.max(1, Math.ceil((box.maxX - box.minX) / cell - HAIR));
  const rows = Math.max(1, Math.ceil((box.maxY - box.minY) / cell - HAIR));
  const grid = new Uint8Array(columns * rows);
  const edges = edgesInCells(rings, cell, box.minX, box.minY);
  markEdges(grid, edges, columns, rows);
  fillInside(grid, edges, columns, rows);
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

/** Share of a cell that is rounding. */
const HAIR = 1e-9;

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
    const last = Math.min(columns - 1, Math.ceil(bx - HAIR) - 1);
    for (let c = Math.max(0, Math.floor(ax + HAIR)); c <= last; c++) {
      const p = bx === ax ? ay : ay + slope * (Math.max(ax, c) - ax);
      const q = bx === ax ? by : ay + slope * (Math.min(bx, c + 1) - ax);
      const low = Math.max(0, Math.floor(Math.min(p, q) + HAIR));
      const high = Math.min(rows - 1, Math.ceil(Math.max(p, q) - HAIR) - 1);
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
      for (let r = Math.max(0, Math.floor(ys[i]! + HAIR)); r < Math.min(rows, Math.ceil(ys[i + 1]! - HAIR)); r++)
        grid[c * rows + r] = 1;
  });
}

/** How many bits of a word are set. */
function bitsIn(word: number): number {
  let n = word - ((word >>> 1) & 0x55555555);
  n = (n & 0x33333333) + ((n >>> 2) & 0x33333333);
  return (((n + (n >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}

/** Sheets of cells that shapes are laid on, a bit for each cell, column by column. */
export class CellSheet {
  /** 32 cells of a column to a word. */
  private readonly words: number;
  private readonly bits: Int32Array;
  /** Columns widened downwards by powers of two, made when they are asked for: where a run of that length cannot begin. */
  private readonly widened: (Int32Array | null)[];
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
    for (let c = 0; c < this.columns; c++) other.widened[c] = this.widened[c]!;
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

  private firstRow(at: number, runs: Int32Array, room: number): number {
    const { words, forbidden } = this;
    const used = Math.min(words, (room >> 5) + 1);
    forbidden.fill(0, 0, used);
    // Rows past the last one that leaves room for the shape.
    const tail = (room & 31) + 1;
    const open = tail === 32 ? -1 : (1 << tail) - 1;
    let step = 0;
    for (let k = 0; k < runs.length; k += 3) {
      const length = runs[k + 2]!;
      const level = 31 - Math.clz32(length);
      const column = this.widenedColumn(at + runs[k]!);
      const base = level * words;
      orShifted(forbidden, used, column, base, words, runs[k + 1]!);
      const rest = length - (1 << level);
      if (rest > 0) orShifted(forbidden, used, column, base, words, runs[k + 1]! + rest);
      if ((step++ & 3) === 3 && allSet(forbidden, used, open)) return -1;
    }
    for (let w = 0; w < used; w++) {
      const free = ~forbidden[w]! & (w === used - 1 ? open : -1);
      if (free !== 0) return 32 * w + (31 - Math.clz32(free & -free));
    }
    return -1;
  }

  /** Where runs of 1, 2, 4 … cells cannot begin in a column. */
  private widenedColumn(c: number): Int32Array {
    const known = this.widened[c];
    if (known) return known;
    const { words, levels } = this;
    const made = new Int32Array(words * levels);
    made.set(this.bits.subarray(c * words, (c + 1) * words));
    for (let level = 1; level < levels; level++) {
      const [before, here] = [(level - 1) * words, level * words];
      made.copyWithin(here, before, before + words);
      orShiftedInto(made, here, before, words, 1 << (level - 1));
    }
    this.widened[c] = made;
    return made;
  }

  /** Free cells in the columns before one. */
  freeBefore(column: number): number {
    let taken = 0;
    for (let w = 0, end = Math.min(column, this.columns) * this.words; w < end; w++) taken += bitsIn(this.bits[w]!);
    return Math.min(column, this.columns) * this.rows - taken;
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

  /** Share of a shape's edge that would have something beside it: other shapes, or the edge of the sheet. */
  contactAt({ rim }: CellShape, column: number, row: number): number {
    let beside = 0;
    for (let k = 0; k < rim.length; k += 2) {
      const [c, r] = [column + rim[k]!, row + rim[k + 1]!];
      if (c < 0 || r < 0 || r >= this.rows) beside++;
      else if (c < this.columns && (this.bits[c * this.words + (r >> 5)]! >>> (r & 31)) & 1) beside++;
    }
    return (2 * beside) / rim.length;
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

function orShiftedInto(made: Int32Array, here: number, before: number, words: number, by: number): void {
  const [whole, shift] = [by >> 5, by & 31];
  for (let w = 0; w < words; w++) {
    const at = w + whole;
    if (at >= words) return;
    const low = made[before + at]! >>> shift;
    const high = shift === 0 || at + 1 >= words ? 0 : made[before + at + 1]! << (32 - shift);
    made[here + w]! |= low | high;
  }
}

import type { NoFitMask } from '../raster/no-fit-mask.ts';
import { bitsIn, isForbiddenAt, firstOpen, firstOpenBeside, orMoved, setBits } from '../raster/no-fit-mask.ts';
import type { Kinds } from './kinds.ts';
import type { CellPlace, Table } from './table.ts';

/** A shape that was laid, and what was laid before it. */
interface Laid {
  readonly shape: number;
  readonly column: number;
  readonly row: number;
  readonly before: Laid | null;
}

/**
 * A table on which some of the parts lie. For every shape that is left it is known where it no longer fits, so that the
 * first place where it does is read off and never searched for.
 */
export interface PartialLayout {
  /** Column that all looks begin at: nothing that is left fits before it. */
  readonly from: number;
  /** Column that all parts have to stay before. */
  readonly limit: number;
  /**
   * For each shape and column, a bit for every row that its lower left cell cannot be in; then for each column, from
   * the one before the first on, a bit for every cell that is taken, with a row more on either side.
   */
  readonly bits: Int32Array;
  /** Where each shape fits first; row −1 where it fits nowhere. */
  readonly column: number[];
  readonly row: number[];
  /** Cells beside its edge there that are taken; −1 where they are not counted yet. */
  readonly touching: number[];
  /** Parts of each kind that are left, and cells that they take at least. */
  readonly left: number[];
  readonly cellsLeft: number;
  /** Free cells of each column, and of all of them from `from` on. */
  readonly freeIn: number[];
  readonly free: number;
  /** Free cells before `from`: nothing will lie there. */
  readonly lost: number;
  readonly laid: Laid | null;
  /** The same for the same shapes at the same places, in whichever order they were laid. */
  readonly mark: number;
}

/** What a partial layout would be like with one more shape laid where it fits first. */
export interface Outlook {
  readonly layout: PartialLayout;
  readonly shape: number;
  readonly from: number;
  readonly lost: number;
  readonly cellsLeft: number;
  readonly column: number[];
  readonly row: number[];
}

/** Makes partial layouts of one table, and takes back what is no longer looked at. */
export class PartialLayouts {
  private readonly words: number;
  /** Words of all columns of a shape. */
  private readonly stride: number;
  private readonly empty: Int32Array;
  private readonly spare: Int32Array[] = [];

  /** @param most column that no partial layout will reach past */
  constructor(
    private readonly all: Kinds,
    table: Table,
    most: number,
  ) {
    const { words, size } = sizeOf(all, table, most);
    this.words = words;
    this.stride = most * words;
    this.empty = new Int32Array(size).fill(-1);
    for (let c = 0; c <= most; c++) {
      const at = this.takenAt(c);
      this.empty.fill(0, at, at + words);
      setBits(this.empty, at, 0, 1);
      setBits(this.empty, at, table.rows + 1, 32 * words);
      for (let r = 0; c < most && r < table.rows; r++)
        if (table.bare.isTaken(c, r)) setBits(this.empty, at, r + 1, r + 2);
    }
    this.barAll(table, most);
  }

  /** Marks where each shape cannot lie on the bare table. */
  private barAll(table: Table, most: number): void {
    const { words, stride, empty } = this;
    // Columns from each one on that have nothing on them.
    const open = new Int32Array(most + 1);
    for (let c = most - 1; c >= 0; c--)
      open[c] = Array.from({ length: table.rows }, (_, r) => r).some((r) => table.bare.isTaken(c, r))
        ? 0
        : open[c + 1]! + 1;
    this.all.shapes.forEach((shape, s) => {
      for (let c = 0; c + shape.columns <= most; c++) {
        const at = s * stride + c * words;
        if (open[c]! < shape.columns) table.bare.barAt(shape, c, empty, at, words);
        else {
          empty.fill(0, at, at + words);
          setBits(empty, at, Math.max(0, table.rows - shape.rows + 1), 32 * words);
        }
      }
    });
  }

  /** Where the taken cells of a column begin. */
  private takenAt(column: number): number {
    return this.all.shapes.length * this.stride + (column + 1) * this.words;
  }

  /** The partial layout on which nothing lies and all parts have to stay before a column. */
  bare(limit: number): PartialLayout {
    const { all, words, stride } = this;
    const bits = this.spare.pop() ?? new Int32Array(this.empty.length);
    bits.set(this.empty);
    const freeIn = Array.from({ length: limit }, (_, c) => {
      let free = 0;
      for (let w = 0, at = this.takenAt(c); w < words; w++) free += bitsIn(~bits[at + w]!);
      return free;
    });
    const column = all.shapes.map(() => 0);
    const row = all.shapes.map(() => -1);
    all.shapes.forEach((shape, s) => {
      bits.fill(-1, s * stride + Math.max(0, limit - shape.columns + 1) * words, (s + 1) * stride);
      for (let c = 0; c < limit && row[s]! < 0; c++) {
        column[s] = c;
        row[s] = firstOpen(bits, s * stride + c * words, words);
      }
    });
    return {
      from: 0,
      limit,
      bits,
      column,
      row,
      touching: all.shapes.map(() => -1),
      left: all.kinds.map(({ parts }) => parts.length),
      cellsLeft: all.kinds.reduce((sum, { parts, cells }) => sum + parts.length * cells, 0),
      freeIn,
      free: freeIn.reduce((sum, n) => sum + n, 0),
      lost: 0,
      laid: null,
      mark: 0,
    };
  }

  /** Share of a shape's edge that has something beside it where it fits first: other shapes, or the edge of the sheet. */
  touch(layout: PartialLayout, s: number): number {
    const { beside, columns } = this.all.shapes[s]!;
    if (layout.touching[s]! < 0) {
      const { words } = this;
      const { bits } = layout;
      const [whole, shift] = [layout.row[s]! >> 5, layout.row[s]! & 31];
      const begin = this.takenAt(layout.column[s]! - 1) + whole;
      let touching = 0;
      for (let c = 0; c < columns + 2; c++) {
        const at = begin + c * words;
        for (let w = 0; w < beside.words; w++) {
          const rim = beside.bits[c * beside.words + w]!;
          if (rim === 0) continue;
          let here = bits[at + w]! >>> shift;
          if (shift > 0 && whole + w + 1 < words) here |= bits[at + w + 1]! << (32 - shift);
          touching += bitsIn(rim & here);
        }
      }
      layout.touching[s] = touching;
    }
    return layout.touching[s]! / beside.total;
  }

  /**
   * What a partial layout would be like with a shape laid where it fits first, without laying it.
   *
   * @returns null when something that is left would fit nowhere
   */
  outlook(layout: PartialLayout, shape: number): Outlook | null {
    const { kinds, shapes } = this.all;
    const one = shapes[shape]!;
    const [atColumn, atRow] = [layout.column[shape]!, layout.row[shape]!];
    const cellsLeft = layout.cellsLeft - kinds[one.kind]!.cells;
    const free = layout.free - one.cells;
    if (cellsLeft > free) return null;
    const column = layout.column.slice();
    const row = layout.row.slice();
    let nearest = layout.limit;
    for (let k = 0; k < kinds.length; k++) {
      if (layout.left[k]! <= (k === one.kind ? 1 : 0)) continue;
      let fits = false;
      for (let s = kinds[k]!.from; s < kinds[k]!.to; s++) {
        if (row[s]! < 0) continue;
        const noFit = this.all.noFit(shape, s);
        if (isForbiddenAt(noFit, column[s]! - atColumn, row[s]! - atRow))
          this.nextRoom(layout, s, noFit, atColumn, atRow, column, row);
        if (row[s]! < 0) continue;
        fits = true;
        if (column[s]! < nearest) nearest = column[s]!;
      }
      if (!fits) return null;
    }
    let lost = layout.lost;
    for (let c = layout.from; c < nearest; c++) lost += layout.freeIn[c]!;
    for (let c = Math.max(0, layout.from - atColumn); c < Math.min(one.columns, nearest - atColumn); c++)
      lost -= one.inColumn[c]!;
    // What is free where nothing that is left fits stays free.
    if (cellsLeft > free - (lost - layout.lost)) return null;
    return { layout, shape, from: nearest, lost, cellsLeft, column, row };
  }

  /** The next place of a shape that is neither barred nor in the way of what comes to lie. */
  private nextRoom(
    { bits, limit }: PartialLayout,
    s: number,
    noFit: NoFitMask,
    atColumn: number,
    atRow: number,
    column: number[],
    row: number[],
  ): void {
    const { words } = this;
    const first = atColumn + noFit.fromColumn;
    for (let c = column[s]!; c < limit; c++) {
      const at = s * this.stride + c * words;
      const found =
        c >= first + noFit.columns
          ? firstOpen(bits, at, words)
          : firstOpenBeside(bits, at, words, noFit, c - first, atRow + noFit.fromRow);
      if (found < 0) continue;
      column[s] = c;
      row[s] = found;
      return;
    }
    row[s] = -1;
  }

  /** Lays what an outlook was for. */
  follow({ layout, shape, from, lost, cellsLeft, column, row }: Outlook): PartialLayout {
    const { words, stride } = this;
    const { shapes } = this.all;
    const { limit } = layout;
    const one = shapes[shape]!;
    const [atColumn, atRow] = [layout.column[shape]!, layout.row[shape]!];
    const bits = this.spare.pop() ?? new Int32Array(this.empty.length);
    copyWords(layout.bits, bits, this.takenAt(from - 1), this.takenAt(limit + 1));
    const freeIn = layout.freeIn.slice();
    for (let c = Math.max(0, from - 1 - atColumn); c < one.columns; c++) {
      const at = this.takenAt(atColumn + c);
      for (let k = one.byColumn[c]!; k < one.byColumn[c + 1]!; k++)
        setBits(bits, at, atRow + 1 + one.spans[2 * k]!, atRow + 1 + one.spans[2 * k + 1]!);
      freeIn[atColumn + c]! -= one.inColumn[c]!;
    }
    const left = layout.left.slice();
    left[one.kind]!--;
    const touching = layout.touching.slice();
    for (let s = 0; s < shapes.length; s++) {
      const other = shapes[s]!;
      if (left[other.kind] === 0 || row[s]! < 0) continue;
      // Before the place where it fits first, nothing is asked any more.
      copyWords(layout.bits, bits, s * stride + column[s]! * words, s * stride + limit * words);
      const noFit = this.all.noFit(shape, s);
      const first = atColumn + noFit.fromColumn;
      const last = Math.min(limit, first + noFit.columns);
      const begin = Math.max(first, column[s]!) - first;
      orMoved(bits, s * stride + first * words, words, noFit, begin, last - first, atRow + noFit.fromRow);
      const [dc, dr] = [column[s]! - atColumn, row[s]! - atRow];
      const moved = column[s] !== layout.column[s] || row[s] !== layout.row[s];
      if (moved || (dc <= one.columns && dc >= -other.columns && dr <= one.rows && dr >= -other.rows)) touching[s] = -1;
    }
    const laid = { shape, column: atColumn, row: atRow, before: layout.laid };
    const free = layout.free - one.cells - (lost - layout.lost);
    return { from, limit, bits, column, row, touching, left, cellsLeft, freeIn, free, lost, laid, mark: markWith(layout, shape) }; // prettier-ignore
  }

  /** Takes partial layouts back that are no longer looked at. */
  drop(layouts: readonly PartialLayout[]): void {
    this.spare.push(...layouts.map(({ bits }) => bits));
  }

  /** Where each part lies; those that are left lie nowhere. */
  places({ laid }: PartialLayout): (CellPlace | null)[] {
    const { kinds, shapes } = this.all;
    const places = kinds.flatMap(({ parts }) => parts).map((): CellPlace | null => null);
    const used = kinds.map(() => 0);
    for (let at = laid; at; at = at.before) {
      const { kind } = shapes[at.shape]!;
      const part = kinds[kind]!.parts[used[kind]!++]!;
      places[part] = { shape: at.shape - kinds[kind]!.from, column: at.column, row: at.row };
    }
    return places;
  }
}

/** Bytes that a partial layout takes. */
export const layoutBytes = (all: Kinds, table: Table, most: number): number => 4 * sizeOf(all, table, most).size;

function sizeOf({ shapes }: Kinds, table: Table, most: number): { words: number; size: number } {
  const words = Math.ceil((table.rows + 2) / 32);
  return { words, size: words * (shapes.length * most + most + 2) };
}

/** The mark of a partial layout with one more shape laid where it fits first. */
export function markWith({ mark, column, row }: PartialLayout, shape: number): number {
  let h = Math.imul(shape + 1, 0x9e3779b1) ^ Math.imul(column[shape]! + 1, 0x85ebca6b) ^ Math.imul(row[shape]! + 1, 0xc2b2ae35); // prettier-ignore
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
  return (mark + (h ^ (h >>> 15))) | 0;
}

function copyWords(from: Int32Array, to: Int32Array, begin: number, end: number): void {
  if (begin < end) to.set(from.subarray(begin, end), begin);
}

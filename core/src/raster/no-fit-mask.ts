import type { CellShape } from './cells.ts';

/**
 * Where a shape cannot lie because of another: for every column and row of its lower left cell, from that of the other, a
 * bit that is set where they would have a cell in common.
 */
export interface NoFitMask {
  /** Column and row of the first bit. */
  readonly fromColumn: number;
  readonly fromRow: number;
  readonly columns: number;
  /** 32 rows of a column to a word. */
  readonly words: number;
  readonly bits: Int32Array;
}

/**
 * Where a shape cannot lie because of one that lies at column 0, row 0.
 *
 * @source the no-fit polygon on a raster: two runs of cells meet where one begins less than its length before the other
 */
export function noFitMaskOf(lying: CellShape, other: CellShape): NoFitMask {
  const [fromColumn, fromRow] = [1 - other.columns, 1 - other.rows];
  const columns = lying.columns - fromColumn;
  const words = Math.ceil((lying.rows - fromRow) / 32);
  const bits = new Int32Array(columns * words);
  const [under, above] = [lying.spans, other.spans];
  for (let column = 0; column < columns; column++) {
    const at = column * words;
    // Runs of rows that meet are gathered, and set at once.
    let [from, to] = [-1, -1];
    const first = Math.max(0, column + fromColumn);
    const last = Math.min(lying.columns, column + fromColumn + other.columns);
    for (let a = first; a < last; a++) {
      const b = a - column - fromColumn;
      for (let k = lying.byColumn[a]!; k < lying.byColumn[a + 1]!; k++)
        for (let m = other.byColumn[b]!; m < other.byColumn[b + 1]!; m++) {
          const low = under[2 * k]! - above[2 * m + 1]! + 1 - fromRow;
          const high = under[2 * k + 1]! - above[2 * m]! - fromRow;
          if (low <= to && high >= from) {
            if (low < from) from = low;
            if (high > to) to = high;
          } else {
            if (from < to) setBits(bits, at, from, to);
            [from, to] = [low, high];
          }
        }
    }
    if (from < to) setBits(bits, at, from, to);
  }
  return { fromColumn, fromRow, columns, words, bits };
}

/** Sets the bits of a column from one row up to, not with, another. */
export function setBits(bits: Int32Array, at: number, from: number, to: number): void {
  const last = (to - 1) >> 5;
  for (let w = from >> 5; w <= last; w++) {
    let mask = -1;
    if (w === from >> 5) mask &= -1 << (from & 31);
    if (w === last && (to & 31) !== 0) mask &= (1 << (to & 31)) - 1;
    bits[at + w]! |= mask;
  }
}

/** Whether a shape at a place, from that of another, has a cell in common with it. */
export function isForbiddenAt(
  { fromColumn, fromRow, columns, words, bits }: NoFitMask,
  column: number,
  row: number,
): boolean {
  const [c, r] = [column - fromColumn, row - fromRow];
  if (c < 0 || c >= columns || r < 0 || r >= 32 * words) return false;
  return ((bits[c * words + (r >> 5)]! >>> (r & 31)) & 1) === 1;
}

/** How many bits of a word are set. */
export function bitsIn(word: number): number {
  let n = word - ((word >>> 1) & 0x55555555);
  n = (n & 0x33333333) + ((n >>> 2) & 0x33333333);
  return (((n + (n >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}

/** The row of the first bit of a column that is not set in any of its words; −1 when all are. */
export function firstOpen(bits: Int32Array, at: number, words: number): number {
  for (let w = 0; w < words; w++) {
    const open = ~bits[at + w]!;
    if (open !== 0) return 32 * w + 31 - Math.clz32(open & -open);
  }
  return -1;
}

/**
 * Sets in columns of `words` words what is set in those of a no-fit mask.
 *
 * @param at word at which the column begins that the first of the no-fit mask falls on
 * @param from column of the no-fit mask to begin with
 * @param to the column past the last one
 * @param by rows that it is moved up by; down where that is less than 0
 */
export function orMoved(
  bits: Int32Array,
  at: number,
  words: number,
  noFit: NoFitMask,
  from: number,
  to: number,
  by: number,
): void {
  const [whole, shift, back] = [by >> 5, by & 31, 32 - (by & 31)];
  const own = noFit.bits;
  // Words of the no-fit mask that fall on words of the column: in their lower part, and in their upper part.
  const low = Math.max(0, -whole);
  const high = Math.min(noFit.words, words - whole);
  const lowUp = Math.max(0, -whole - 1);
  const highUp = shift === 0 ? 0 : Math.min(noFit.words, words - whole - 1);
  for (let c = from; c < to; c++) {
    const base = c * noFit.words;
    const onto = at + c * words + whole;
    for (let w = low; w < high; w++) bits[onto + w]! |= own[base + w]! << shift;
    for (let w = lowUp; w < highUp; w++) bits[onto + w + 1]! |= own[base + w]! >>> back;
  }
}

/**
 * The row of the first bit that is not set in a column, nor in one of a no-fit mask that is moved up by some rows.
 *
 * @param at word at which the column begins
 * @param column of the no-fit mask
 */
export function firstOpenBeside(
  bits: Int32Array,
  at: number,
  words: number,
  noFit: NoFitMask,
  column: number,
  by: number,
): number {
  const [whole, shift, back] = [by >> 5, by & 31, 32 - (by & 31)];
  const own = noFit.bits;
  const base = column * noFit.words - whole;
  for (let w = 0; w < words; w++) {
    let open = ~bits[at + w]!;
    if (open === 0) continue;
    const k = w - whole;
    if (k >= 0 && k < noFit.words) open &= ~(own[base + w]! << shift);
    if (shift > 0 && k > 0 && k <= noFit.words) open &= ~(own[base + w - 1]! >>> back);
    if (open !== 0) return 32 * w + 31 - Math.clz32(open & -open);
  }
  return -1;
}

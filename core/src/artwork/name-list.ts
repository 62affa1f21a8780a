import type { TextItem } from '../model/item.ts';
import type { NameList, NameRow } from '../model/names.ts';
import { boxHeight, boxOfRings, boxWidth, isEmptyBox } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { FontFace } from './font.ts';
import { gapAlong } from './joins.ts';
import { gapsAt } from './letter-gaps.ts';
import { ringText } from './ring-text.ts';
import { textOutlines } from './text.ts';

/** A name as it was fitted. */
export interface FittedName {
  readonly row: NameRow;
  readonly capMm: number;
  readonly letterGapMm: number;
  readonly widthMm: number;
  /** mm that it is too wide for its place; 0 when it fits. */
  readonly overMm: number;
  /** How it was made to fit. */
  readonly how: 'as is' | 'smaller' | 'closed up' | 'by hand' | 'too long';
  readonly missing: readonly string[];
}

/** Height at which a name is measured, mm: outlines grow in proportion. */
const MEASURED_AT = 20;
/** Film between two letters that are closed up stays this broad, as a share of a capital: closer, they are one blob. */
const LEAST_APART = 0.02;

/** mm that words round a circle keep from their neighbours when they are fitted to it. */
const RING_CLEAR_MM = 0.3;
/** Halvings by which the largest that fits round a circle is found, to a thousandth. */
const HALVINGS = 14;

/**
 * Fits one name to its place: as the text is set, else smaller, else closed up; what still does not fit is said. Letters of
 * a joined script may be closed up freely; others never until they touch.
 *
 * @param item the text whose place the name takes; its own size is the largest
 * @param list width, lowest capitals and how far letters may be closed; round a circle the room on it counts instead
 * @param row the name
 * @param face the font
 * @param largest height of the text's own capitals, mm
 */
export function fitName(item: TextItem, list: NameList, row: NameRow, face: FontFace, largest: number): FittedName {
  const { glyphs, missing } = textOutlines(row.name, face, MEASURED_AT);
  const box = boxOfRings(glyphs.flat());
  const perMm = isEmptyBox(box) ? 0 : boxWidth(box) / MEASURED_AT;
  const highPerMm = isEmptyBox(box) ? 0 : boxHeight(box) / MEASURED_AT;
  const cap = list.heightMm !== undefined && highPerMm > 0 && !item.ring ? Math.min(largest, list.heightMm / highPerMm) : largest; // prettier-ignore
  const gaps = Math.max(0, [...row.name].length - 1);
  const { ring } = item;
  /** mm that the name is too long. */
  const over = (capMm: number, letterGapMm: number): number =>
    ring
      ? RING_CLEAR_MM - ringText(row.name, face, capMm, letterGapMm, ring, face.joined).room
      : capMm * perMm + gaps * letterGapMm - list.widthMm;
  /** The most between two that is not too long round the circle; the lower one is known to be none. */
  const most = (low: number, high: number, overAt: (value: number) => number): number => {
    let [fits, not] = [low, high];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (fits + not) / 2;
      if (overAt(middle) <= 0) fits = middle;
      else not = middle;
    }
    return fits;
  };
  const made = (capMm: number, letterGapMm: number, how: FittedName['how']): FittedName => {
    const widthMm = capMm * perMm + gaps * letterGapMm;
    const overMm = Math.max(0, over(capMm, letterGapMm));
    return { row, capMm, letterGapMm, widthMm, overMm: overMm < 0.01 ? 0 : overMm, how, missing };
  };
  // Gaps that keep their share get smaller with the letters; those in millimetres stay.
  const gapFor = (capMm: number): number => gapsAt(item, capMm).letterGap;
  const overAt = (capMm: number): number => over(capMm, gapFor(capMm));
  if (row.capMm !== null) return made(row.capMm, gapFor(row.capMm), 'by hand');
  if (overAt(cap) <= 0) return made(cap, gapFor(cap), cap < largest ? 'smaller' : 'as is');
  const least = Math.min(cap, list.leastCapMm);
  if (overAt(least) <= 0) {
    const perCap = item.gapsAtMm === null ? perMm : perMm + (gaps * item.letterGapMm) / item.gapsAtMm;
    const inMm = item.gapsAtMm === null ? gaps * item.letterGapMm : 0;
    const smaller = ring ? most(least, cap, overAt) : (list.widthMm - inMm) / perCap;
    return made(smaller, gapFor(smaller), 'smaller');
  }
  const gap = gapFor(least);
  const apart = face.joined ? Infinity : (nearestLetters(glyphs) / MEASURED_AT - LEAST_APART) * least + gap;
  const closest = gap - Math.max(0, Math.min(list.closeMm, apart));
  if (gaps === 0 || over(least, closest) > 0) return made(least, closest, 'too long');
  const closed = ring
    ? most(closest, gap, (letterGapMm) => over(least, letterGapMm))
    : (list.widthMm - least * perMm) / gaps;
  return made(least, closed, 'closed up');
}

/** The nearest that two neighbouring letters come to each other, by the height of a capital at which they were set. */
function nearestLetters(glyphs: readonly (readonly Ring[])[]): number {
  let least = Infinity;
  for (let i = 1; i < glyphs.length; i++) least = Math.min(least, gapAlong(glyphs[i - 1]!, glyphs[i]!) ?? Infinity);
  return least;
}

/** The text with a fitted name in its place. */
export function textForName(item: TextItem, { row, capMm, letterGapMm }: FittedName): TextItem {
  return {
    ...item,
    text: row.name,
    size: { by: 'cap', mm: capMm },
    letterGapMm,
    gapsAtMm: capMm,
    pairGaps: [],
    letters: [],
  };
}

/** What one line of a pasted list says. */
export interface PastedName {
  readonly name: string;
  readonly count: number;
  readonly hand: 'right' | 'left' | null;
}

/** Most names of one list, and letters of one name. */
export const MOST_NAMES = 500;
const LONGEST_NAME = 80;

/**
 * Reads names from rows of cells: the name, and in any order after it a count and a hand. A first row that is a heading
 * is left out; so are rows without a name, which are listed.
 *
 * @param rows cells of each line
 */
export function namesFromRows(rows: readonly (readonly string[])[]): {
  names: PastedName[];
  leftOut: { line: number; why: string }[];
} {
  const names: PastedName[] = [];
  const leftOut: { line: number; why: string }[] = [];
  rows.forEach((cells, i) => {
    const [first, ...rest] = cells.map((cell) => cell.trim());
    if (!first) {
      if (rest.some(Boolean)) leftOut.push({ line: i + 1, why: 'there is no name' });
      return;
    }
    if (i === 0 && /^names?$/i.test(first)) return;
    if (names.length >= MOST_NAMES) {
      leftOut.push({ line: i + 1, why: `a list takes ${MOST_NAMES} names` });
      return;
    }
    if ([...first].length > LONGEST_NAME) {
      leftOut.push({ line: i + 1, why: `the name is longer than ${LONGEST_NAME} letters` });
      return;
    }
    let count = 1;
    let hand: PastedName['hand'] = null;
    for (const cell of rest.filter(Boolean)) {
      if (/^\d{1,3}$/.test(cell) && Number(cell) >= 1) count = Number(cell);
      else if (/^(l|left)$/i.test(cell)) hand = 'left';
      else if (/^(r|right)$/i.test(cell)) hand = 'right';
      else
        leftOut.push({ line: i + 1, why: `“${cell.slice(0, 20)}” is neither a count nor a hand; the name was taken` });
    }
    names.push({ name: first, count, hand });
  });
  return { names, leftOut };
}

/** A list without words: how they are fitted is of no account until it is given to a text. */
const NOT_FITTED = { itemId: null, widthMm: 60, leastCapMm: 8, closeMm: 1 } as const;

/**
 * The same thing twice, for either hand.
 *
 * @param first hand of the first one
 * @param newId makes ids
 */
export function pairForBothHands(first: 'right' | 'left', newId: () => string): NameList {
  const hands = [first, first === 'right' ? 'left' : 'right'] as const;
  return {
    ...NOT_FITTED,
    rows: hands.map((hand) => ({
      id: newId(),
      name: hand === 'right' ? 'Right-handed' : 'Left-handed',
      count: 1,
      hand,
      capMm: null,
      blankId: null,
    })),
  };
}

/**
 * How many a list makes that is no more than a number: one row, without words, made as the job is.
 *
 * @returns null where the list says more than that; 1 without a list
 */
export function countAlike(list: NameList | null): number | null {
  if (list === null) return 1;
  const [row, ...more] = list.rows;
  const bare = list.itemId === null && more.length === 0 && (list.columns ?? []).length === 0;
  const plain = bare && row?.hand === null && row.blankId === null;
  return plain ? row.count : null;
}

/**
 * A list that makes so many of the job, all alike.
 *
 * @param count ≥ 1; one needs no list
 * @param name that each goes by on board, guide and bench, numbered from the second on
 */
export function severalAlike(count: number, name: string, newId: () => string): NameList | null {
  if (count <= 1) return null;
  const row = { id: newId(), name, count, hand: null, capMm: null, blankId: null };
  return { ...NOT_FITTED, rows: [row] };
}

/**
 * A list in which each thing is a row of its own, so that they can differ: what a list of one number made alike, one row for
 * each; with one, two.
 *
 * @param list as it is
 * @param name that each goes by, with its number
 */
export function eachApart(list: NameList | null, name: string, newId: () => string): NameList {
  const count = Math.max(2, countAlike(list) ?? 0);
  const rows = Array.from({ length: count }, (_, i) => plainRow(newId(), `${name} ${i + 1}`));
  return { ...NOT_FITTED, rows };
}

/** One row of a list that has nothing of its own yet. */
export const plainRow = (id: string, name: string): NameRow => ({
  id,
  name,
  count: 1,
  hand: null,
  capMm: null,
  blankId: null,
});

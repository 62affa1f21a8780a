import Papa from 'papaparse';
import type { Film, FilmFinish } from '../../model/film.ts';
import { FILM_FINISHES, thicknessOf } from '../../material/film.ts';
import type { Units } from '../../measure/length.ts';
import { parseLength } from '../../measure/length.ts';
import { describeLengthProblem } from '../../measure/words.ts';
import { stockThingSchema, TACKS } from '../../document/stock-schema.ts';
import { doesNotFit, parseTable, type LeftOut } from './table.ts';
import type { Offcut, StockFilm, StockTape, StockThing } from '../../model/stock.ts';

/** Columns of the table, in their order; lengths with their unit. */
const COLUMNS = [
  'what',
  'name',
  'colour',
  'finish',
  'thickness',
  'width',
  'length',
  'bought length',
  'count',
  'price',
  'bought on',
  'direction',
  'cover sheet',
  'low at',
  'tack',
  'uses',
  'outline',
  'notes',
] as const;
type Column = (typeof COLUMNS)[number];

/**
 * Films, offcuts and tapes as a table that any spreadsheet opens. Cutters and what was booked are not in it.
 *
 * @param things of the stock
 * @returns CSV text with a header line
 */
export function writeStockCsv(things: readonly StockThing[]): string {
  const mm = (value: number): string => `${Number(value.toFixed(3))} mm`;
  const money = (value: number | null): string => (value === null ? '' : String(value));
  const yes = (value: boolean): string => (value ? 'yes' : '');
  const filmCells = ({ name, colour, finish, thicknessMm }: Film): Partial<Record<Column, string>> => ({
    name,
    colour,
    finish,
    thickness: mm(thicknessMm),
  });
  const rows = things.flatMap((thing): Partial<Record<Column, string>>[] => {
    const { notes } = thing.kind === 'booking' ? { notes: '' } : thing;
    if (thing.kind === 'film')
      return [
        {
          what: thing.form,
          ...filmCells(thing.film),
          width: mm(thing.widthMm),
          length: mm(thing.lengthMm),
          'bought length': mm(thing.boughtLengthMm),
          count: String(thing.count),
          price: money(thing.price),
          'bought on': thing.boughtOn ?? '',
          direction: yes(thing.directional),
          'cover sheet': yes(thing.coverSheet),
          'low at': thing.lowAt === null ? '' : thing.form === 'roll' ? mm(thing.lowAt) : String(thing.lowAt),
          notes,
        },
      ];
    if (thing.kind === 'offcut')
      return [
        {
          what: 'offcut',
          ...filmCells(thing.film),
          width: mm(thing.widthMm),
          length: mm(thing.lengthMm),
          price: money(thing.worth),
          'bought on': thing.boughtOn ?? '',
          direction: yes(thing.directional),
          outline: thing.outline?.join(' ') ?? '',
          notes,
        },
      ];
    if (thing.kind !== 'tape') return [];
    return [
      {
        what: 'tape',
        name: thing.name,
        width: mm(thing.widthMm),
        length: mm(thing.lengthMm),
        'bought length': mm(thing.boughtLengthMm),
        price: money(thing.price),
        'low at': thing.lowAt === null ? '' : mm(thing.lowAt),
        tack: thing.tack,
        uses: String(thing.uses),
        notes,
      },
    ];
  });
  return `${Papa.unparse(rows, { columns: [...COLUMNS], newline: '\n', escapeFormulae: true })}\n`;
}

/** Things that a table gave, and what was left out of it, in words. */
export interface StockFromCsv {
  readonly things: readonly StockThing[];
  readonly leftOut: readonly LeftOut[];
}

/** Whether a table is one of stock, by its first line. */
export const isStockCsv = (text: string): boolean =>
  /^\uFEFF?"?what"?\s*[,;\t]/i.test(text) || /[,;\t]"?what"?\s*[,;\t\r\n]/i.test(text.split('\n')[0] ?? '');

/**
 * Reads films, offcuts and tapes from a table. A line that cannot be read is left out and listed, never half taken.
 *
 * @param text CSV
 * @param unit of plain numbers without one
 * @param newId makes an id for each thing
 * @param films that are known: one of the same name is the same film
 */
export function readStockCsv(text: string, unit: Units, newId: () => string, films: readonly Film[]): StockFromCsv {
  const { columns, lines, leftOut: past } = parseTable(text);
  if (!['what', 'name', 'width', 'length'].every((column) => columns.includes(column)))
    return {
      things: [],
      leftOut: [{ line: 1, why: 'The first line has to name the columns, “what”, “name”, “width” and “length” among them.' }], // prettier-ignore
    };
  const known = new Map(films.map((film) => [film.name.toLowerCase(), film]));
  const things: StockThing[] = [];
  const leftOut: LeftOut[] = [];
  for (const { line, row } of lines) {
    const result = readRow(row, unit, newId, known);
    const why = typeof result === 'string' ? result : doesNotFit(stockThingSchema, result);
    if (why !== null) leftOut.push({ line, why });
    else if (typeof result !== 'string') {
      // Later lines of the same name are the same film; one that could not be kept names none.
      if (result.kind === 'film' || result.kind === 'offcut') known.set(result.film.name.toLowerCase(), result.film);
      things.push(result);
    }
  }
  return { things, leftOut: [...leftOut, ...past] };
}

function readRow(
  row: Record<string, string | undefined>,
  unit: Units,
  newId: () => string,
  known: ReadonlyMap<string, Film>,
): StockThing | string {
  const cell = (column: Column): string => (row[column] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  const problems: string[] = [];
  const length = (column: Column, otherwise?: number): number => {
    const typed = cell(column);
    if (!typed && otherwise !== undefined) return otherwise;
    // Rolls are bought by the metre.
    const metres = /^(\d+(?:[.,]\d+)?)\s*m$/.exec(typed)?.[1];
    if (metres) return 1000 * Number(metres.replace(',', '.'));
    const read = parseLength(typed, unit);
    if (read.ok) return read.mm;
    if (read.code === 'zero') return 0;
    problems.push(`${column}: ${describeLengthProblem(read.code, typed)}`);
    return 0;
  };
  const number = (column: Column, otherwise: number | null, whole = false): number | null => {
    const typed = cell(column).replace(',', '.');
    if (!typed) return otherwise;
    const value = Number(typed);
    if (value >= 0 && value < 1e6 && (!whole || Number.isInteger(value))) return value;
    problems.push(`${column}: “${typed.slice(0, 24)}” is no ${whole ? 'whole number' : 'number'}.`);
    return otherwise;
  };
  const isYes = (column: Column): boolean => /^(yes|y|true|1|x)$/i.test(cell(column));
  const name = cell('name');
  if (!name) return 'It has no name.';
  const what = cell('what').toLowerCase();
  const boughtOn = cell('bought on') || null;
  if (boughtOn !== null && (!/^\d{4}-\d{2}-\d{2}$/.test(boughtOn) || !isDay(boughtOn)))
    return `A day is written like 2026-03-28, not “${boughtOn.slice(0, 24)}”.`;
  const notes = cell('notes');
  const sizes = { widthMm: length('width'), lengthMm: length('length') };
  if (problems.length === 0 && (sizes.widthMm <= 0 || (sizes.lengthMm <= 0 && what !== 'roll' && what !== 'tape')))
    return 'It has no size.';
  if (what === 'tape') {
    const tack = (cell('tack').toLowerCase() || 'clear medium') as StockTape['tack'];
    if (!TACKS.includes(tack)) return `“${tack.slice(0, 24)}” is no tack in the list: ${TACKS.join(', ')}.`;
    const tape: StockTape = {
      kind: 'tape',
      id: newId(),
      name,
      tack,
      ...sizes,
      boughtLengthMm: length('bought length', sizes.lengthMm) || 1,
      price: number('price', null),
      uses: Math.max(1, number('uses', 1, true) ?? 1),
      lowAt: cell('low at') ? length('low at') : null,
      notes,
    };
    return problems[0] ?? tape;
  }
  if (what !== 'roll' && what !== 'sheet' && what !== 'offcut')
    return `“${what.slice(0, 24)}” is nothing that stock is kept of: roll, sheet, offcut or tape.`;
  const finish = (cell('finish').toLowerCase() || 'gloss permanent') as FilmFinish;
  if (!FILM_FINISHES.includes(finish as FilmFinish))
    return `“${finish.slice(0, 24)}” is no finish in the list: ${FILM_FINISHES.join(', ')}.`;
  const colour = cell('colour') || '#888888';
  if (!/^#[0-9a-f]{6}$/i.test(colour)) return `A colour is written like #C4CACD, not “${colour.slice(0, 24)}”.`;
  const film = known.get(name.toLowerCase()) ?? { id: newId(), name, colour, finish, thicknessMm: length('thickness', thicknessOf(finish)) }; // prettier-ignore
  const directional = isYes('direction');
  const thing: StockFilm | Offcut =
    what === 'offcut'
      ? {
          kind: 'offcut',
          id: newId(),
          film,
          ...sizes,
          outline: outlineOf(cell('outline')),
          boughtOn,
          directional,
          worth: number('price', null),
          notes,
        }
      : {
          kind: 'film',
          id: newId(),
          film,
          form: what,
          ...sizes,
          count: number('count', 1, true) ?? 1,
          price: number('price', null),
          boughtLengthMm: length('bought length', sizes.lengthMm) || 1,
          boughtOn,
          directional,
          coverSheet: isYes('cover sheet'),
          lowAt: !cell('low at') ? null : what === 'roll' ? length('low at') : number('low at', null),
          settings: [],
          notes,
        };
  return problems[0] ?? thing;
}

const isDay = (day: string): boolean => {
  const [, month, date] = day.split('-').map(Number);
  return month! >= 1 && month! <= 12 && date! >= 1 && date! <= 31;
};

/** An outline as it is written in a cell; null for a rectangle, or for what is none. */
function outlineOf(typed: string): number[] | null {
  const list = typed.split(/\s+/).filter(Boolean).map(Number);
  const fits = list.length >= 6 && list.length % 2 === 0 && list.length <= 20_000;
  return fits && list.every((v) => Number.isFinite(v) && Math.abs(v) <= 10_000) ? list : null;
}

import Papa from 'papaparse';
import type { Blank, ReadingName, Station, SurfaceKind } from '../../model/blank.ts';
import { isGirth } from '../../measure/readings-asked.ts';
import type { Units } from '../../measure/length.ts';
import { parseLength } from '../../measure/length.ts';
import type { Reading } from '../../model/reading.ts';
import { USUAL_THICKNESS_MM } from '../../measure/reading.ts';
import { describeLengthProblem } from '../../measure/words.ts';
import { newBlank, newShelfBlank } from '../../document/new-project.ts';
import type { ShelfBlank } from '../../model/project.ts';
import { SURFACES } from '../../document/blank-schema.ts';
import { KINDS } from '../../measure/kinds/kinds.ts';
import { shelfBlankSchema } from '../../document/schema.ts';
import { doesNotFit, parseTable, type LeftOut } from './table.ts';

/** Columns of the table, in their order; readings and widths as typed lengths, goes at one reading parted by `|`. */
const COLUMNS = [
  'name',
  'kind',
  'surface',
  'colour',
  'rim girth',
  'base girth',
  'side',
  'upright height',
  'across rim',
  'girth',
  'over the skin',
  'across',
  'hole',
  'hole from edge',
  'width',
  'height',
  'depth',
  'heights and girths',
  'heights are',
  'tape thickness',
  'film on',
  'wall thickness',
  'handle width',
  'band below rim',
  'rim clearance',
  'base clearance',
  'price',
  'notes',
] as const;
type Column = (typeof COLUMNS)[number];

const READING_COLUMNS: readonly (readonly [Column, ReadingName, Reading['how']])[] = [
  ['rim girth', 'girthRim', 'tape'],
  ['base girth', 'girthBase', 'tape'],
  ['side', 'side', 'ruler'],
  ['upright height', 'upright', 'ruler'],
  ['across rim', 'acrossRim', 'ruler'],
  ['girth', 'girth', 'tape'],
  ['over the skin', 'overCrown', 'tape'],
  ['across', 'across', 'ruler'],
  ['hole', 'hole', 'ruler'],
  ['hole from edge', 'holeIn', 'ruler'],
  ['width', 'width', 'ruler'],
  ['height', 'height', 'ruler'],
  ['depth', 'depth', 'ruler'],
];
const WIDTH_COLUMNS = [
  ['handle width', 'handleWidthMm'],
  ['band below rim', 'bandBelowRimMm'],
  ['rim clearance', 'rimClearanceMm'],
  ['base clearance', 'baseClearanceMm'],
] as const satisfies readonly (readonly [Column, keyof Blank])[];

/**
 * The shelf as a table that any spreadsheet opens. Lengths carry their unit, so that nothing is guessed on the way back.
 *
 * @param shelf blanks to write; photographs and fit checks do not go into a table
 * @returns CSV text with a header line
 */
export function writeBlanksCsv(shelf: readonly ShelfBlank[]): string {
  const mm = (value: number): string => `${Number(value.toFixed(4))} mm`;
  const rows = shelf.map(({ blank, price }): Record<Column, string> => {
    const row = Object.fromEntries(COLUMNS.map((column) => [column, ''])) as Record<Column, string>;
    for (const [column, name] of READING_COLUMNS)
      row[column] = blank.readings[name]?.takes.map((take) => mm(take.mm)).join(' | ') ?? '';
    for (const [column, key] of WIDTH_COLUMNS) row[column] = mm(blank[key]);
    const tape =
      blank.readings.girthRim ?? blank.readings.girthBase ?? blank.readings.girth ?? blank.stations[0]?.girth;
    const goes = (reading: Reading): string => reading.takes.map((take) => mm(take.mm)).join(' ~ ');
    return {
      ...row,
      name: blank.name,
      kind: blank.kind,
      surface: blank.surface,
      colour: blank.colour,
      'heights and girths': blank.stations.map(({ down, girth }) => `${goes(down)}: ${goes(girth)}`).join(' | '),
      'heights are': blank.stations.length > 0 ? blank.stationsAlong : '',
      'tape thickness': tape ? mm(tape.thicknessMm) : '',
      'film on': filmOn(blank.inside),
      'wall thickness': blank.inside?.read === 'outside' ? mm(blank.inside.wallMm) : '',
      price: price === null ? '' : String(price),
      notes: blank.notes,
    };
  });
  return `${Papa.unparse(rows, { columns: [...COLUMNS], newline: '\n', escapeFormulae: true })}\n`;
}

/** Where film goes, and for film on the inside where its girths were read. */
const FILM_ON = ['outside', 'inside', 'inside, read outside'] as const;
const filmOn = (inside: Blank['inside']): (typeof FILM_ON)[number] =>
  inside === null ? 'outside' : inside.read === 'inside' ? 'inside' : 'inside, read outside';

/** Blanks that a table gave, and what was left out of it, in words. */
export interface BlanksFromCsv {
  readonly shelf: readonly ShelfBlank[];
  readonly leftOut: readonly LeftOut[];
}

/**
 * Reads blanks from a table. Columns may come in any order, unknown ones are passed over; a line that cannot be read is
 * left out and listed, never half taken.
 *
 * @param text CSV
 * @param unit of plain numbers without one
 * @param newId makes an id for each blank
 * @param now ISO
 * @returns blanks in the order of the lines; none, with one reason, when it is no such table
 */
export function readBlanksCsv(text: string, unit: Units, newId: () => string, now: string): BlanksFromCsv {
  const { columns, lines, leftOut: past } = parseTable(text);
  if (
    !columns.includes('name') ||
    ![...READING_COLUMNS.map(([column]) => column), 'heights and girths'].some((column) => columns.includes(column))
  )
    return {
      shelf: [],
      leftOut: [{ line: 1, why: 'The first line has to name the columns, “name” and “rim girth” among them.' }],
    };
  const shelf: ShelfBlank[] = [];
  const leftOut: LeftOut[] = [];
  for (const { line, row } of lines)
    try {
      const entry = readRow(row, unit, newId(), now);
      const why = doesNotFit(shelfBlankSchema, entry);
      if (why) throw new RowProblem(why);
      shelf.push(entry);
    } catch (problem) {
      if (!(problem instanceof RowProblem)) throw problem;
      leftOut.push({ line, why: problem.message });
    }
  return { shelf, leftOut: [...leftOut, ...past] };
}

/** A line that cannot be taken; caught in this file only. */
class RowProblem extends Error {}

function readRow(row: Record<string, string | undefined>, unit: Units, id: string, now: string): ShelfBlank {
  // What a spreadsheet was kept from running as a formula carries a mark in front.
  const cell = (column: Column): string => (row[column] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  const length = (column: Column, typed: string): number => {
    const result = parseLength(typed, unit);
    if (result.ok) return result.mm;
    if (result.code === 'zero') return 0;
    throw new RowProblem(`${column}: ${describeLengthProblem(result.code, typed)}`);
  };
  const name = cell('name');
  if (!name) throw new RowProblem('It has no name.');
  const named = cell('kind').toLowerCase() || (cell('base girth') ? 'tapered' : 'straight');
  const kind = KINDS.find((known) => known === named);
  if (!kind)
    throw new RowProblem(`“${named.slice(0, 24)}” is no kind of blank that Mivet measures: ${KINDS.join(', ')}.`);
  const surface = cell('surface').toLowerCase();
  if (surface && !SURFACES.includes(surface as SurfaceKind))
    throw new RowProblem(`“${surface.slice(0, 24)}” is no surface in the list: ${SURFACES.join(', ')}.`);
  const colour = cell('colour');
  if (colour && !/^#[0-9a-f]{6}$/i.test(colour))
    throw new RowProblem(`A colour is written like #C4CACD, not “${colour.slice(0, 24)}”.`);
  const price = cell('price').replace(',', '.');
  if (price && !(Number(price) >= 0 && Number(price) < 1e6))
    throw new RowProblem(`“${price.slice(0, 24)}” is not a price.`);

  const start = newBlank(id, kind, name);
  const tape = cell('tape thickness') ? length('tape thickness', cell('tape thickness')) : USUAL_THICKNESS_MM.tape;
  if (tape > 20) throw new RowProblem('tape thickness: over 20 mm is no tape.');
  const readings = READING_COLUMNS.flatMap(([column, reading, how]): [ReadingName, Reading][] => {
    const takes = cell(column)
      .split('|')
      .map((typed) => typed.trim())
      .filter(Boolean);
    if (takes.length === 0) return [];
    const read = takes.map((typed) => ({ typed: typed.slice(0, 60), mm: length(column, typed) }));
    if (read.some((take) => take.mm === 0)) throw new RowProblem(`${column}: a reading of nothing cannot be right.`);
    return [[reading, { how, takes: read, thicknessMm: isGirth(reading) ? tape : 0 }]];
  });
  const goes = (typed: string, how: Reading['how']): Reading => ({
    how,
    takes: typed
      .split('~')
      .map((go) => go.trim())
      .filter(Boolean)
      .map((go) => ({ typed: go.slice(0, 60), mm: length('heights and girths', go) })),
    thicknessMm: how === 'tape' ? tape : 0,
  });
  const on = cell('film on').toLowerCase().replace(/\s+/g, ' ') || 'outside';
  if (!FILM_ON.some((known) => known === on))
    throw new RowProblem(`film on: “${on.slice(0, 24)}” is none of ${FILM_ON.join('; ')}.`);
  const wallMm = cell('wall thickness') ? length('wall thickness', cell('wall thickness')) : 0;
  const along = cell('heights are').toLowerCase();
  if (along && along !== 'side' && along !== 'upright')
    throw new RowProblem(`heights are: “${along.slice(0, 24)}” is neither side nor upright.`);
  const stations = cell('heights and girths')
    .split('|')
    .map((pair) => pair.trim())
    .filter(Boolean)
    .map((pair, i): Station => {
      const [down, girth] = pair.split(':');
      if (girth === undefined)
        throw new RowProblem(`heights and girths: “${pair.slice(0, 24)}” is no “height: girth”.`);
      const read = { down: goes(down!, 'ruler'), girth: goes(girth, 'tape') };
      if (read.girth.takes.some((take) => take.mm === 0))
        throw new RowProblem('heights and girths: a girth of nothing cannot be right.');
      // A first height of 0 is where the band begins, which a reading of nothing stands for.
      return {
        id: `height-${i + 1}`,
        ...read,
        down: { ...read.down, takes: read.down.takes.filter(({ mm }) => mm > 0) },
      };
    });
  const widths = WIDTH_COLUMNS.filter(([column]) => cell(column)).map(([column, key]) => [
    key,
    length(column, cell(column)),
  ]);
  const blank: Blank = {
    ...start,
    ...(surface ? { surface: surface as SurfaceKind } : {}),
    ...(colour ? { colour } : {}),
    ...Object.fromEntries(widths),
    readings: Object.fromEntries(readings),
    inside: on === 'outside' ? null : { read: on === 'inside' ? 'inside' : 'outside', wallMm },
    stations,
    stationsAlong: along === 'upright' ? 'upright' : 'side',
    notes: cell('notes'),
  };
  return { ...newShelfBlank(blank, now), price: price ? Number(price) : null };
}

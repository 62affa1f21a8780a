import Papa from 'papaparse';
import { entrySchema, OUTCOMES } from '../../document/entry-schema.ts';
import type { EntryOutcome, LogbookEntry } from '../../model/entry.ts';
import { FORMAT_VERSION } from '../../model/format.ts';
import { msOf } from '../../numeric/time.ts';
import { doesNotFit, parseTable, type LeftOut } from './table.ts';

/** Columns that people read and change; the last one has all that does not fit a cell. */
const COLUMNS = ['finished', 'title', 'blank', 'count', 'spoilt', 'minutes', 'faults', 'outcome', 'price', 'cost', 'text', 'everything'] as const; // prettier-ignore

/** Whether a table is a logbook. */
export const isLogbookCsv = (text: string): boolean => /^\uFEFF?"?finished"?[,;\t]/.test(text.slice(0, 40));

/** The logbook as a table: what people read in columns of its own, and the rest in the last one, so that nothing is lost. */
export const writeEntriesCsv = (entries: readonly LogbookEntry[]): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: entries.map((entry) => [
        entry.at,
        entry.title,
        entry.blank.name,
        entry.count,
        entry.spoilt,
        Math.round(entry.work.reduce((sum, { minutes }) => sum + minutes, 0)),
        entry.faults.map(({ kind }) => kind).join(', '),
        entry.outcome,
        entry.price ?? '',
        entry.cost ?? '',
        entry.text,
        JSON.stringify(entry),
      ]),
    },
    { escapeFormulae: true, newline: '\r\n' },
  );

/**
 * Reads a logbook from a table. What was changed in the columns that people read stands; of rows that are new only those are
 * known.
 *
 * @param newId makes an id
 * @param now ISO
 */
export function readEntriesCsv(
  text: string,
  newId: () => string,
  now: string,
): { readonly entries: LogbookEntry[]; readonly leftOut: LeftOut[] } {
  const { columns, lines, leftOut: past } = parseTable(text);
  if (!['finished', 'title'].every((column) => columns.includes(column)))
    return { entries: [], leftOut: [{ line: 1, why: 'The first line has to name the columns, “finished” and “title” among them.' }] }; // prettier-ignore
  const entries: LogbookEntry[] = [];
  const leftOut: LeftOut[] = [...past];
  for (const { line, row } of lines) {
    // A mark before what a spreadsheet would take for a formula is not part of it.
    const cell = (name: (typeof COLUMNS)[number]): string => (row[name] ?? '').replace(/^'(?=[=+\-@\t\r])/, '');
    const kept = parsed(cell('everything'));
    const number = (name: (typeof COLUMNS)[number], before: number | null): number | null => {
      const typed = cell(name).trim().replace(',', '.');
      return typed === '' ? before : Number(typed);
    };
    const outcome = cell('outcome').trim().toLowerCase();
    const bare = blankEntry(newId(), now);
    const entry = {
      ...bare,
      ...kept,
      version: FORMAT_VERSION,
      at: cell('finished').trim(),
      title: cell('title'),
      blank: { ...bare.blank, ...kept?.blank, ...(cell('blank') ? { name: cell('blank') } : {}) },
      count: number('count', 1),
      spoilt: number('spoilt', 0),
      outcome: (OUTCOMES as readonly string[]).includes(outcome) ? (outcome as EntryOutcome) : 'open',
      price: number('price', null),
      cost: number('cost', null),
      text: cell('text'),
    };
    const why = Number.isNaN(msOf(entry.at))
      ? `“${entry.at}” is no date like 2026-11-27.`
      : doesNotFit(entrySchema, entry);
    if (why === null) entries.push(entrySchema.parse(entry));
    else leftOut.push({ line, why });
  }
  return { entries, leftOut };
}

function parsed(text: string): Partial<LogbookEntry> | null {
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === 'object' && value !== null ? (value as Partial<LogbookEntry>) : null;
  } catch {
    return null;
  }
}

/** An entry with nothing in it yet. */
export const blankEntry = (id: string, now: string): LogbookEntry => ({
  format: 'mivet-entry',
  version: FORMAT_VERSION,
  id,
  at: now,
  changedAt: now,
  title: '',
  projectId: null,
  count: 1,
  spoilt: 0,
  blank: { shelfId: null, name: '', kind: 'straight', surface: 'glass', colour: '#ffffff', girthMm: null, tool: null },
  process: 'decal',
  films: [],
  tape: null,
  work: [],
  pulls: [],
  dwell: [],
  seamGapMm: null,
  placingMm: null,
  grewShare: null,
  faults: [],
  outcome: 'open',
  price: null,
  cost: null,
  text: '',
  photos: [],
  reports: [],
  askOn: null,
});

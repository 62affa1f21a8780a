import type { z } from 'zod';
import { AS_IT_FALLS, USUAL_BALLOON } from './new-project.ts';
import { PLAIN_LINES } from '../artwork/new-item.ts';
import { PLAIN_STACK } from '../stack/stack.ts';
import type { Backup, OwnFont, OwnMotif, Project, ShelfBlank, StockDocument } from './project.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import { PLAIN_SEAM } from '../wrap/job.ts';
import { FORMAT_VERSION } from './project.ts';
import { backupSchema, ownFontSchema, ownMotifSchema, projectSchema, shelfBlankSchema, stockSchema } from './schema.ts';

/** Any document that Mivet writes. */
export type MivetDocument = Project | ShelfBlank | OwnFont | OwnMotif | StockDocument | Backup;

/** Why a file was refused, in the order in which it was looked at. */
export type ReadProblem =
  | { readonly code: 'too-large'; readonly bytes: number; readonly limit: number }
  | { readonly code: 'not-json' }
  | { readonly code: 'not-mivet' }
  | { readonly code: 'newer'; readonly version: number }
  | { readonly code: 'invalid'; readonly path: string; readonly message: string };

/** A document, or why not. */
export type ReadResult =
  { readonly ok: true; readonly document: MivetDocument } | { readonly ok: false; readonly problem: ReadProblem };

/** Characters. A backup of thousands of projects stays far below this. */
const LARGEST = 50_000_000;

const SCHEMAS: { readonly [format: string]: z.ZodType<MivetDocument> } = {
  'mivet-project': projectSchema,
  'mivet-blank': shelfBlankSchema,
  'mivet-font': ownFontSchema,
  'mivet-motif': ownMotifSchema,
  'mivet-stock': stockSchema,
  'mivet-backup': backupSchema,
};

type Raw = { readonly [key: string]: unknown };

const SHELF_EXTRAS = { price: null, variantOf: null, photo: null };

/** Does something to the blank of a document, and to those of the documents in a backup (which holds no backups). */
function changeBlanks(raw: Raw, version: number, change: (blank: Raw) => Raw): Raw {
  const next = (value: unknown): unknown =>
    isRaw(value) && value['format'] !== 'mivet-backup' ? changeBlanks(value, version, change) : value;
  const many = (value: unknown): unknown => (Array.isArray(value) ? value.map(next) : value);
  return {
    ...(raw['format'] === 'mivet-blank' ? SHELF_EXTRAS : {}),
    ...raw,
    version,
    ...('blank' in raw ? { blank: isRaw(raw['blank']) ? change(raw['blank']) : raw['blank'] } : {}),
    ...(raw['format'] === 'mivet-backup' ? { projects: many(raw['projects']), shelf: many(raw['shelf']) } : {}),
  };
}

const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/** One step per old version: what version N documents need to become N + 1. Version 1 is the first. */
const MIGRATIONS: { readonly [from: number]: (raw: Raw) => Raw } = {
  // A blank knew only the day of its paper fit check; now it keeps the check itself. The shelf had no price or picture.
  1: (raw) =>
    changeBlanks(raw, 2, (blank) => {
      const kept = Object.entries(blank).filter(([key]) => key !== 'fitCheckedOn');
      return { ...Object.fromEntries(kept), fitCheck: null };
    }),
  // There were only straight and tapered blanks, without heights, choices of flattening or a log of readings.
  2: (raw) =>
    changeBlanks(raw, 3, (blank) => ({
      ...blank,
      stations: [],
      stationsAlong: 'side',
      flattening: AS_IT_FALLS,
      balloon: USUAL_BALLOON,
      readingLog: [],
    })),
  // A wrap had one straight seam, and nothing was cut to spare.
  3: (raw) =>
    changeProjects(raw, 4, (project) => ({
      names: null,
      ...project,
      seam: { ...PLAIN_SEAM, ...(isRaw(project['seam']) ? project['seam'] : {}) },
      items: Array.isArray(project['items'])
        ? project['items'].map((item: unknown) =>
            isRaw(item) ? { spares: 0, acts: NO_ACTS, ...(item['type'] === 'text' ? PLAIN_LINES : {}), ...item } : item,
          )
        : project['items'],
    })),
  // A list of names was always for one text on one blank; masks had no bridges; nothing of one's own was kept.
  4: (raw) =>
    changeProjects(raw['format'] === 'mivet-backup' ? { fonts: [], motifs: [], ...raw } : raw, 5, (project) => ({
      otherBlanks: [],
      ...project,
      names: changedNames(project['names']),
      items: Array.isArray(project['items'])
        ? project['items'].map((item: unknown) =>
            isRaw(item) && isRaw(item['acts']) ? { ...item, acts: { bridgeMm: 0, ...item['acts'] } } : item,
          )
        : project['items'],
    })),
  // What the film is for was not kept, cast film was always reckoned warm, and limits were nobody's own.
  5: (raw) =>
    changeProjects(raw['format'] === 'mivet-backup' ? { limits: {}, ...raw } : raw, 6, (project) => ({
      process: 'decal',
      warm: true,
      ...project,
      ...(isRaw(project['carried']) ? { carried: { limits: {}, ...project['carried'] } } : {}),
    })),
  // Films lay whole on each other and were lined up by hand; there was no stock, and nobody counted blanks.
  6: (raw) =>
    changeBlankDocuments(
      changeProjects(raw['format'] === 'mivet-backup' ? { stock: [], ...raw } : raw, 7, (project) => ({
        stack: { ...PLAIN_STACK, marks: byHandAll(project['films']) },
        laid: [],
        ...project,
        ...(isRaw(project['carried']) ? { carried: { stock: [], ...project['carried'] } } : {}),
      })),
      (document) => ({ inStock: null, ...document }),
    ),
};

/** Every film lined up by hand, so that an older project is planned as it was. */
function byHandAll(films: unknown): Record<string, 'by hand'> {
  const ids = Array.isArray(films)
    ? films.flatMap((f: unknown) => (isRaw(f) && typeof f['id'] === 'string' ? [f['id']] : []))
    : [];
  return Object.fromEntries(ids.map((id) => [id, 'by hand']));
}

/** Does something to a shelf blank, and to those in a backup. */
function changeBlankDocuments(raw: Raw, change: (document: Raw) => Raw): Raw {
  if (raw['format'] === 'mivet-blank') return change(raw);
  const { shelf } = raw;
  if (raw['format'] !== 'mivet-backup' || !Array.isArray(shelf)) return raw;
  return { ...raw, shelf: shelf.map((one: unknown) => (isRaw(one) ? change(one) : one)) };
}

function changedNames(names: unknown): unknown {
  if (!isRaw(names) || !Array.isArray(names['rows'])) return names;
  return { ...names, rows: names['rows'].map((row: unknown) => (isRaw(row) ? { blankId: null, ...row } : row)) };
}

/** Does something to a project, and to those in a backup; every document in it moves on to the version. */
function changeProjects(raw: Raw, version: number, change: (project: Raw) => Raw): Raw {
  const moved = changeBlanks(raw, version, (blank) => blank);
  const next = (value: unknown): unknown =>
    isRaw(value) && value['format'] === 'mivet-project' ? change(value) : value;
  if (moved['format'] === 'mivet-backup' && Array.isArray(moved['projects']))
    return { ...moved, projects: moved['projects'].map(next) };
  return next(moved) as Raw;
}

/**
 * Reads a project, blank or backup from text. Older versions are brought up to date; newer ones are refused.
 *
 * @param text JSON
 */
export function readDocument(text: string): ReadResult {
  if (text.length > LARGEST) return { ok: false, problem: { code: 'too-large', bytes: text.length, limit: LARGEST } };
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return { ok: false, problem: { code: 'not-json' } };
  }
  return checkDocument(raw);
}

/** As `readDocument`, for an object that is already parsed. */
export function checkDocument(raw: unknown): ReadResult {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return { ok: false, problem: { code: 'not-mivet' } };
  let document = raw as Raw;
  const { format, version } = document;
  const schema = typeof format === 'string' && Object.hasOwn(SCHEMAS, format) ? SCHEMAS[format] : undefined;
  // Whole and from 1: what is counted up to the newest version must be able to get there.
  if (!schema || !Number.isSafeInteger(version) || (version as number) < 1)
    return { ok: false, problem: { code: 'not-mivet' } };
  const from = version as number;
  if (from > FORMAT_VERSION) return { ok: false, problem: { code: 'newer', version: from } };
  for (let v = from; v < FORMAT_VERSION; v++) document = MIGRATIONS[v]?.(document) ?? document;
  const parsed = schema.safeParse(document);
  if (parsed.success) return { ok: true, document: parsed.data };
  const issue = parsed.error.issues[0]!;
  return { ok: false, problem: { code: 'invalid', path: issue.path.join('.') || '(top)', message: issue.message } };
}

/** Why a file was refused, in words. */
export function describeReadProblem(problem: ReadProblem): string {
  switch (problem.code) {
    case 'too-large':
      return `The file is too large: ${problem.bytes} characters, at most ${problem.limit} are taken.`;
    case 'not-json':
      return 'The file is not JSON: it was cut short or is of another kind.';
    case 'not-mivet':
      return 'The file is not a Mivet project, blank, font, motif, piece of stock or backup.';
    case 'newer':
      return `The file was written by a newer Mivet (format ${problem.version}); this one reads up to ${FORMAT_VERSION}. Update Mivet; the file is untouched.`;
    case 'invalid':
      return `The file does not fit its format at ${problem.path}: ${problem.message}.`;
  }
}

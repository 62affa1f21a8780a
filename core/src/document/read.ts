import { fileIssueWords } from './keepable-words.ts';
import type { z } from 'zod';
import type { LogbookEntry } from '../model/entry.ts';
import type { Backup, OwnFont, OwnMotif, Project, ShelfBlank, StockDocument } from '../model/project.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import { STEPS } from './versions/index.ts';
import { bringUp, type Raw } from './versions/walk.ts';
import { backupSchema, projectSchema, shelfBlankSchema, stockSchema } from './schema.ts';
import { entrySchema } from './entry-schema.ts';
import { ownFontSchema, ownMotifSchema } from './own-schema.ts';

/** Any document that Mivet writes. */
export type MivetDocument = Project | ShelfBlank | OwnFont | OwnMotif | StockDocument | LogbookEntry | Backup;

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

/** Characters of one document; a backup with pictures and fonts is a ZIP, in which each is a file of its own. */
const LARGEST = 200_000_000;

const SCHEMAS: { readonly [format: string]: z.ZodType<MivetDocument> } = {
  'mivet-project': projectSchema,
  'mivet-blank': shelfBlankSchema,
  'mivet-font': ownFontSchema,
  'mivet-motif': ownMotifSchema,
  'mivet-stock': stockSchema,
  'mivet-entry': entrySchema,
  'mivet-backup': backupSchema,
};

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
  const document = raw as Raw;
  const { format, version } = document;
  const schema = typeof format === 'string' && Object.hasOwn(SCHEMAS, format) ? SCHEMAS[format] : undefined;
  // Whole and from 1: what is counted up to the newest version must be able to get there.
  if (!schema || !Number.isSafeInteger(version) || (version as number) < 1)
    return { ok: false, problem: { code: 'not-mivet' } };
  const from = version as number;
  if (from > FORMAT_VERSION) return { ok: false, problem: { code: 'newer', version: from } };
  const parsed = schema.safeParse(bringUp(document, FORMAT_VERSION, STEPS));
  if (parsed.success) return { ok: true, document: parsed.data };
  const issue = parsed.error.issues[0]!;
  return {
    ok: false,
    problem: { code: 'invalid', path: issue.path.join('.') || '(top)', message: fileIssueWords(issue) },
  };
}

/** Why a file was refused, in words. */
export function describeReadProblem(problem: ReadProblem): string {
  switch (problem.code) {
    case 'too-large':
      return `The file is too large: ${problem.bytes} characters, at most ${problem.limit} are taken.`;
    case 'not-json':
      return 'The file is not JSON: it was cut short or is of another kind.';
    case 'not-mivet':
      return 'The file is not a Mivet project, blank, font, motif, piece of stock, entry of the logbook or backup.';
    case 'newer':
      return `The file was written by a newer Mivet (format ${problem.version}); this one reads up to ${FORMAT_VERSION}. Update Mivet; the file is untouched.`;
    case 'invalid':
      return `The file does not fit its format at ${problem.path}: ${problem.message}. It was changed by hand, or damaged on its way.`;
  }
}

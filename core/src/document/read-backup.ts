import type { Backup, KeptCopy, RecordStore, Unreadable } from '../model/project.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import { checkDocument, describeReadProblem, type MivetDocument, type ReadProblem } from './read.ts';
import { benchPhotoSchema, ownLimitsSchema, ownSettingsSchema } from './own-schema.ts';
import { unreadableSchema } from './schema.ts';
import { isRaw, type Raw } from './versions/walk.ts';

/** A backup as far as it could be read, or why it could not at all. */
export type BackupResult =
  { readonly ok: true; readonly backup: Backup } | { readonly ok: false; readonly problem: ReadProblem };

/** The lists of a backup, and the format of what is in them. */
const LISTS = {
  projects: 'mivet-project',
  shelf: 'mivet-blank',
  fonts: 'mivet-font',
  motifs: 'mivet-motif',
  stock: 'mivet-stock',
  entries: 'mivet-entry',
} as const satisfies { readonly [store in Exclude<RecordStore, 'copies'>]: MivetDocument['format'] };

/** A backup with nothing in it. */
export const emptyBackup = (writtenAt: string): Backup => ({
  format: 'mivet-backup',
  version: FORMAT_VERSION,
  writtenAt,
  projects: [],
  shelf: [],
  fonts: [],
  motifs: [],
  stock: [],
  limits: {},
  copies: [],
  settings: {},
  photos: [],
  entries: [],
  unreadable: [],
});

/** What a record calls itself, as far as that can be told. */
export function nameOfRecord(raw: unknown): string {
  if (!isRaw(raw)) return 'something without a name';
  const inside = [raw, raw['document'], raw['blank'], raw['thing']].filter(isRaw);
  const film = inside.map((one) => one['film']).filter(isRaw);
  const named = [...inside, ...film].map((one) => one['name']).find((name) => typeof name === 'string' && name !== '');
  return String(named ?? raw['id'] ?? 'something without a name').slice(0, 200);
}

/** A record that cannot be read, with its name and the reason. */
export function unreadableOf(store: RecordStore, id: string, raw: unknown, problem: ReadProblem): Unreadable {
  return {
    store,
    id: id.slice(0, 400),
    name: nameOfRecord(raw),
    why: describeReadProblem(problem).slice(0, 2000),
    raw,
  };
}

/**
 * Reads a backup record by record: one that does not fit is listed with its name and the reason, and carried along as it
 * is; the others are read.
 *
 * @param raw the backup, parsed
 */
export function readBackup(raw: unknown): BackupResult {
  if (!isRaw(raw) || raw['format'] !== 'mivet-backup') return { ok: false, problem: { code: 'not-mivet' } };
  // Everything but its lists is that of an empty one, so that it stands or falls by its version alone.
  const head = checkDocument({
    ...emptyBackup(String(raw['writtenAt'] ?? '').slice(0, 40)),
    version: raw['version'],
  });
  if (!head.ok) return head;
  const unreadable: Unreadable[] = listOf(raw['unreadable']).flatMap((one) => {
    const parsed = unreadableSchema.safeParse(one);
    return parsed.success ? [parsed.data] : [];
  });
  const read = <K extends keyof typeof LISTS>(store: K): Backup[K] =>
    listOf(raw[store]).flatMap((one) => {
      const result = checkDocument(withVersion(one, raw));
      if (result.ok && result.document.format === LISTS[store]) return [result.document as Backup[K][number]];
      unreadable.push(unreadableOf(store, idOf(one), one, result.ok ? { code: 'not-mivet' } : result.problem));
      return [];
    }) as unknown as Backup[K];
  const copies = listOf(raw['copies']).flatMap((one): KeptCopy[] => {
    const document = isRaw(one) ? one['document'] : null;
    const at = isRaw(one) ? String(one['at']).slice(0, 40) : '';
    const result = checkDocument(withVersion(document, raw));
    if (result.ok && result.document.format === 'mivet-project') return [{ at, document: result.document }];
    unreadable.push(unreadableOf('copies', idOf(document), one, result.ok ? { code: 'not-mivet' } : result.problem));
    return [];
  });
  const limits = ownLimitsSchema.safeParse(raw['limits'] ?? {});
  const settings = ownSettingsSchema.safeParse(raw['settings'] ?? {});
  const { writtenAt } = head.document as Backup;
  return {
    ok: true,
    backup: {
      ...emptyBackup(writtenAt),
      projects: read('projects'),
      shelf: read('shelf'),
      fonts: read('fonts'),
      motifs: read('motifs'),
      stock: read('stock'),
      entries: read('entries'),
      copies,
      limits: limits.success ? limits.data : {},
      settings: settings.success ? settings.data : {},
      photos: listOf(raw['photos']).flatMap((one) => benchPhotoSchema.safeParse(one).data ?? []),
      unreadable,
    },
  };
}

const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
const idOf = (raw: unknown): string => {
  if (!isRaw(raw)) return '';
  const blank = raw['blank'];
  return String(raw['id'] ?? (isRaw(blank) ? blank['id'] : '') ?? '');
};
/** What carries no version of its own has that of the backup. */
const withVersion = (one: unknown, { version }: Raw): unknown =>
  isRaw(one) && one['version'] === undefined ? { ...one, version } : one;

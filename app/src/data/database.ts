import {
  checkDocument,
  compareBackup,
  describeReadProblem,
  sameValue,
  stockDocument,
  unreadableOf,
  type Backup,
  type CountedBlank,
  type KeptCopy,
  type KeptRecords,
  type LogbookEntry,
  type MivetDocument,
  type OwnFont,
  type OwnMotif,
  type Project,
  type RecordStanding,
  type ShelfBlank,
  type ShelfChange,
  type StockDocument,
  type StockThing,
  type Unreadable,
} from '@mivet/core';
import { bytesOfDataUrl } from './data-url.ts';
import { DoesNotFit, NotWritten, OlderTabOpen } from './refused.ts';
import { deleteDB, openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';

/** A kept project with the count of its saves, by which two tabs notice each other. */
export interface StoredProject {
  readonly id: string;
  readonly revision: number;
  readonly document: Project;
}

interface StoredSnapshot {
  readonly key?: number;
  readonly projectId: string;
  readonly at: string;
  readonly document: Project;
}

/** A photograph that was taken at the bench. */
export interface StoredPhoto {
  readonly id: string;
  readonly projectId: string;
  /** ISO. */
  readonly at: string;
  /** What kind of picture, and its bytes. */
  readonly type: string;
  readonly bytes: Uint8Array;
}

interface Schema extends DBSchema {
  projects: { key: string; value: StoredProject; indexes: { changedAt: string } };
  shelf: { key: string; value: ShelfBlank };
  fonts: { key: string; value: OwnFont };
  motifs: { key: string; value: OwnMotif };
  stock: { key: string; value: StockDocument };
  entries: { key: string; value: LogbookEntry; indexes: { at: string } };
  photos: { key: string; value: StoredPhoto; indexes: { projectId: string } };
  snapshots: { key: number; value: StoredSnapshot; indexes: { projectId: string } };
}

/** What is kept besides projects, and the format of its documents. */
const LIBRARY = {
  shelf: 'mivet-blank',
  fonts: 'mivet-font',
  motifs: 'mivet-motif',
  stock: 'mivet-stock',
  entries: 'mivet-entry',
} as const;
const LIBRARY_STORES = Object.keys(LIBRARY) as LibraryStore[];

/** A shelf in the library. */
export type LibraryStore = keyof typeof LIBRARY;

/** What lies on a shelf of the library. */
export type Kept<S extends LibraryStore> = Schema[S]['value'];

/** Documents for several shelves at once. */
export type LibraryDocuments = { readonly [S in LibraryStore]?: readonly Kept<S>[] };

const NAME = 'mivet';
/** A save counts as done only when it is on the disk: without this a browser that is killed can lose what it reported. */
const ON_DISK = { durability: 'strict' } as const;
/** Snapshots kept per project. */
const SNAPSHOTS = 20;

const VERSION = 6;

/**
 * Makes the stores and indexes that are not there yet, whichever version the database comes from. A later version adds
 * what it needs and leaves alone what is there.
 */
export function makeStores(
  db: Pick<IDBPDatabase<Schema>, 'createObjectStore' | 'objectStoreNames'>,
  change: Pick<IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>, 'objectStore'>,
): void {
  const lacks = (store: keyof Schema & string): boolean => !db.objectStoreNames.contains(store as never);
  if (lacks('projects')) db.createObjectStore('projects', { keyPath: 'id' });
  if (lacks('shelf')) db.createObjectStore('shelf', { keyPath: 'blank.id' });
  if (lacks('snapshots'))
    db.createObjectStore('snapshots', { keyPath: 'key', autoIncrement: true }).createIndex('projectId', 'projectId');
  if (lacks('photos')) db.createObjectStore('photos', { keyPath: 'id' }).createIndex('projectId', 'projectId');
  for (const store of ['fonts', 'motifs', 'stock'] as const)
    if (lacks(store)) db.createObjectStore(store, { keyPath: 'id' });
  if (lacks('entries')) db.createObjectStore('entries', { keyPath: 'id' }).createIndex('at', 'at');
  const projects = change.objectStore('projects');
  if (!projects.indexNames.contains('changedAt')) projects.createIndex('changedAt', 'document.changedAt');
}

let opening: Promise<IDBPDatabase<Schema>> | null = null;
const NEWER =
  'A newer Mivet has taken over what is kept in this browser. What was saved here is safe. Reload this page to go on; what was changed since then, save to a file first.';

function open(): Promise<IDBPDatabase<Schema>> {
  opening ??= new Promise((resolve, reject) => {
    openDB<Schema>(NAME, VERSION, {
      upgrade: (db, _from, _to, change) => makeStores(db, change),
      blocked() {
        reject(new OlderTabOpen('Mivet is open in another tab that was loaded earlier. Close that tab, then reload.'));
      },
      // A newer Mivet in another tab may have it; what is asked for after that is told so. One that was deleted is made anew.
      blocking(_from, to, event) {
        (event.target as IDBDatabase).close();
        opening = to === null ? null : Promise.reject(new OlderTabOpen(NEWER));
        opening?.catch(() => undefined);
      },
      terminated() {
        opening = null;
      },
    }).then(resolve, (problem) =>
      reject(problem instanceof DOMException && problem.name === 'VersionError' ? new OlderTabOpen(NEWER) : problem),
    );
  });
  opening.catch(() => (opening = null));
  return opening;
}

/**
 * Changes stores, all of it or nothing: what goes wrong half way takes back what was changed before it.
 *
 * @throws NotWritten where the browser could not write it
 */
async function allOrNothing<const Names extends readonly StoreNames<Schema>[], T>(
  stores: Names,
  change: (tx: IDBPTransaction<Schema, Names, 'readwrite'>) => Promise<T>,
): Promise<T> {
  const tx = (await open()).transaction(stores, 'readwrite', ON_DISK);
  // It is waited for below; where the disk ends it, the change is told of that as well.
  tx.done.catch(() => undefined);
  try {
    const changed = await change(tx);
    await tx.done;
    return changed;
  } catch (problem) {
    try {
      tx.abort();
    } catch {
      // The disk has ended it.
    }
    throw problem instanceof DOMException ? new NotWritten(problem) : problem;
  }
}

/** What was read from a store, and what of it could not be: that is left alone and named, never deleted. */
export interface Read<T> {
  readonly kept: readonly T[];
  readonly unreadable: readonly Unreadable[];
}

/**
 * Reads all projects, in turns: those that were changed last come first, and are there before the rest has been taken
 * from the disk. All are as they were at one moment.
 */
export async function* readProjectsInTurns(atOnce: number): AsyncGenerator<Read<Project>> {
  const store = (await open()).transaction('projects').store;
  const newest = (await store.index('changedAt').getAllKeys()).reverse().slice(0, atOnce);
  const first = Promise.all(newest.map((id) => store.get(id)));
  const all = store.getAll();
  // It is waited for below; where it fails sooner, that is heard there.
  all.catch(() => undefined);
  yield readProjects((await first).filter((row) => row !== undefined));
  const told = new Set(newest);
  const rest = (await all).filter(({ id }) => !told.has(id));
  // Nothing is known of what stands in a row before it was checked.
  const changed = ({ document }: { readonly document: unknown }): string =>
    String((document as { changedAt?: unknown } | null)?.changedAt ?? '');
  rest.sort((a, b) => (changed(a) < changed(b) ? 1 : changed(a) > changed(b) ? -1 : 0));
  for (let i = 0; i < rest.length; i += atOnce) yield readProjects(rest.slice(i, i + atOnce));
}

function readProjects(rows: readonly StoredProject[]): Read<Project> {
  const { kept, unreadable } = readAll(rows, 'mivet-project', ({ id, document }) => ({ store: 'projects', id, raw: document })); // prettier-ignore
  return { kept, unreadable };
}

/** Reads all kept copies of all projects, oldest first. */
export async function readCopies(): Promise<Read<KeptCopy>> {
  const rows = await (await open()).getAll('snapshots');
  const read = readAll(rows, 'mivet-project', (row) => ({
    store: 'copies',
    id: row.projectId,
    raw: row.document,
    whole: { at: row.at, document: row.document },
  }));
  const at = new Map(rows.map((row) => [row.document as unknown, row.at]));
  return { ...read, kept: read.pairs.map(([raw, document]) => ({ at: at.get(raw) ?? '', document })) };
}

interface Found {
  readonly store: Unreadable['store'];
  readonly id: string;
  readonly raw: unknown;
  /** What is carried along when it cannot be read, if more than that. */
  readonly whole?: unknown;
}

function readAll<R, F extends MivetDocument['format']>(
  rows: readonly R[],
  format: F,
  of: (row: R) => Found,
): Read<Extract<MivetDocument, { format: F }>> & {
  readonly pairs: readonly (readonly [raw: unknown, document: Extract<MivetDocument, { format: F }>])[];
} {
  const pairs: [unknown, Extract<MivetDocument, { format: F }>][] = [];
  const unreadable: Unreadable[] = [];
  for (const row of rows) {
    const { store, id, raw, whole = raw } = of(row);
    const result = checkDocument(raw);
    if (result.ok && result.document.format === format)
      pairs.push([raw, result.document as Extract<MivetDocument, { format: F }>]);
    else
      unreadable.push({
        ...unreadableOf(store, String(id), raw, result.ok ? { code: 'not-mivet' } : result.problem),
        raw: whole,
      });
  }
  return { kept: pairs.map(([, document]) => document), unreadable, pairs };
}

/** Reads one project with its revision; null when there is none or it does not fit the format. */
export async function readProject(id: string): Promise<StoredProject | null> {
  const row = await (await open()).get('projects', id);
  const document = row ? checkedProject(row.document)[0] : undefined;
  return row && document ? { ...row, document } : null;
}

function checkedProject(raw: unknown): Project[] {
  const result = checkDocument(raw);
  return result.ok && result.document.format === 'mivet-project' ? [result.document] : [];
}

/** How a save went. */
export type SaveOutcome =
  { readonly ok: true; readonly revision: number } | { readonly ok: false; readonly why: 'changed-elsewhere' };

/**
 * Saves a project unless someone else saved it since `revision`.
 *
 * @param revision the one that this document was read or last saved with; 0 for a new one
 * @throws DoesNotFit when a new one could not be read again
 */
export async function writeProject(document: Project, revision: number): Promise<SaveOutcome> {
  // Later ones were held to the format change by change.
  if (revision === 0) mustFit(document, 'mivet-project');
  return allOrNothing(['projects'], async (tx) => {
    const kept = tx.objectStore('projects');
    const now = await kept.get(document.id);
    if (now && now.revision !== revision) return { ok: false, why: 'changed-elsewhere' };
    const next = { id: document.id, revision: revision + 1, document };
    await kept.put(next);
    return { ok: true, revision: next.revision };
  });
}

/** Keeps a copy of a project as it is now; the oldest beyond twenty go. */
export async function writeSnapshot(document: Project, at: string): Promise<void> {
  await allOrNothing(['snapshots'], async (tx) => {
    const copies = tx.objectStore('snapshots');
    await copies.add({ projectId: document.id, at, document });
    const keys = await copies.index('projectId').getAllKeys(document.id);
    for (const key of keys.slice(0, Math.max(0, keys.length - SNAPSHOTS))) await copies.delete(key);
  });
}

/** Copies of a project, newest first. */
export async function readSnapshots(projectId: string): Promise<{ at: string; document: Project }[]> {
  const rows = await (await open()).getAllFromIndex('snapshots', 'projectId', projectId);
  return rows.reverse().flatMap((row) => checkedProject(row.document).map((document) => ({ at: row.at, document })));
}

/** Keeps a photograph that was taken at the bench. */
export async function writePhoto(photo: StoredPhoto): Promise<void> {
  await allOrNothing(['photos'], (tx) => tx.objectStore('photos').put(photo));
}

/** A photograph; null when it is not there. */
export const readPhoto = async (id: string): Promise<StoredPhoto | null> =>
  (await (await open()).get('photos', id)) ?? null;

/** All photographs, of one project or of all. */
export async function readPhotos(projectId?: string): Promise<readonly StoredPhoto[]> {
  const db = await open();
  return projectId === undefined ? db.getAll('photos') : db.getAllFromIndex('photos', 'projectId', projectId);
}

/** Deletes a project with its copies, and its photographs but for those that the logbook shows. */
export async function deleteProject(id: string): Promise<void> {
  await allOrNothing(['projects', 'snapshots', 'photos', 'entries'], async (tx) => {
    await tx.objectStore('projects').delete(id);
    const shown = new Set((await tx.objectStore('entries').getAll()).flatMap(({ photos }) => photos));
    for (const key of await tx.objectStore('photos').index('projectId').getAllKeys(id))
      if (!shown.has(key)) await tx.objectStore('photos').delete(key);
    for (const key of await tx.objectStore('snapshots').index('projectId').getAllKeys(id))
      await tx.objectStore('snapshots').delete(key);
  });
}

/** Reads a shelf of the library; what an older version kept is brought up to date. */
export async function readLibrary<S extends LibraryStore>(store: S): Promise<Read<Kept<S>>> {
  const rows: unknown[] = await (await open()).getAll(store);
  const { kept, unreadable } = readAll(rows, LIBRARY[store], (raw) => ({ store, id: keyOf(store, raw), raw }));
  return { kept, unreadable } as Read<Kept<S>>;
}

/** How many entries of a long logbook are shown before the rest is read, and how many of the rest are read at once. */
const [SHOWN_FIRST, AT_ONCE] = [24, 200];

/** Reads the logbook: the newest of it at once, then all of it from the beginning in turns. */
export async function* readLogbook(): AsyncGenerator<Read<LogbookEntry>> {
  const check = (rows: readonly unknown[]): Read<LogbookEntry> => {
    const { kept, unreadable } = readAll(rows, 'mivet-entry', (raw) => ({ store: 'entries', id: keyOf('entries', raw), raw })); // prettier-ignore
    return { kept, unreadable };
  };
  const db = await open();
  const store = db.transaction('entries').store;
  const newest: unknown[] = [];
  if (store.indexNames.contains('at'))
    for (let at = await store.index('at').openCursor(null, 'prev'); at && newest.length < SHOWN_FIRST; at = await at.continue()) newest.push(at.value); // prettier-ignore
  yield check(newest);
  for (let from: string | null = null; ;) {
    const range = from === null ? null : IDBKeyRange.lowerBound(from, true);
    const rows: readonly unknown[] = await db.getAll('entries', range, AT_ONCE);
    yield check(rows);
    if (rows.length < AT_ONCE) return;
    from = keyOf('entries', rows.at(-1));
  }
}

const keyOf = (store: LibraryStore, raw: unknown): string => {
  const { id, blank } = raw as { id?: unknown; blank?: { id?: unknown } };
  return String((store === 'shelf' ? blank?.id : id) ?? '');
};

/** One document of the library; null when it is not there or does not fit the format. */
export async function readKept<S extends LibraryStore>(store: S, id: string): Promise<Kept<S> | null> {
  const row: unknown = await (await open()).get(store, id);
  return checkedKept(store, row)[0] ?? null;
}

function checkedKept<S extends LibraryStore>(store: S, raw: unknown): Kept<S>[] {
  const result = checkDocument(raw);
  return result.ok && result.document.format === LIBRARY[store] ? [result.document as Kept<S>] : [];
}

/** Takes something off a shelf of the library. */
export async function deleteKept(store: LibraryStore, id: string): Promise<void> {
  await (await open()).delete(store, id);
}

/** Takes a record that cannot be read out of its store for good. */
export async function deleteUnreadable({ store, id, raw }: Unreadable): Promise<void> {
  const db = await open();
  if (store !== 'copies') return db.delete(store, id);
  const at = (raw as { at?: unknown }).at;
  for (const row of await db.getAllFromIndex('snapshots', 'projectId', id))
    if (row.at === at && row.key !== undefined) await db.delete('snapshots', row.key);
}

/**
 * Refuses a document that could not be read again.
 *
 * @throws DoesNotFit with the place
 */
function mustFit(document: MivetDocument, format: MivetDocument['format']): void {
  const result = checkDocument(document);
  if (result.ok && result.document.format === format) return;
  throw new DoesNotFit(result.ok ? 'It is of another kind.' : describeReadProblem(result.problem));
}

/**
 * Puts many documents in at once, all or none; existing ones with the same id are replaced.
 *
 * @param only with `missing`, existing ones stay as they are
 * @returns revisions of the projects, by id
 * @throws DoesNotFit when one could not be read again; nothing is written then
 */
export async function writeAll(
  projects: readonly Project[],
  library: LibraryDocuments,
  only: 'all' | 'missing' = 'all',
): Promise<ReadonlyMap<string, number>> {
  for (const project of projects) mustFit(project, 'mivet-project');
  for (const store of LIBRARY_STORES) for (const document of library[store] ?? []) mustFit(document, LIBRARY[store]);
  return allOrNothing(['projects', ...LIBRARY_STORES], async (tx) => {
    const kept = tx.objectStore('projects');
    const revisions = new Map<string, number>();
    await Promise.all(
      projects.map(async (document) => {
        const now = await kept.get(document.id);
        if (now && only === 'missing') return;
        const revision = (now?.revision ?? 0) + 1;
        revisions.set(document.id, revision);
        await kept.put({ id: document.id, revision, document });
      }),
    );
    for (const store of LIBRARY_STORES)
      for (const document of library[store] ?? [])
        if (only === 'all' || !(await tx.objectStore(store).getKey(keyOf(store, document))))
          await tx.objectStore(store).put(document as never);
    return revisions;
  });
}

/**
 * Puts each record of a backup beside what is kept here.
 *
 * @param records of the backup, as they are written
 */
export async function compareWithBackup(records: KeptRecords): Promise<RecordStanding[]> {
  const [projects, shelf, fonts, motifs, stock, entries] = await Promise.all([
    allProjects(),
    readLibrary('shelf'),
    readLibrary('fonts'),
    readLibrary('motifs'),
    readLibrary('stock'),
    readLibrary('entries'),
  ]);
  return compareBackup(records, {
    projects,
    shelf: shelf.kept,
    fonts: fonts.kept,
    motifs: motifs.kept,
    stock: stock.kept,
    entries: entries.kept,
  });
}
async function allProjects(): Promise<Project[]> {
  const all: Project[] = [];
  for await (const { kept } of readProjectsInTurns(200)) all.push(...kept);
  return all;
}

/**
 * Brings everything in a backup back in one go, all or none. What a project was before it is kept as a copy of it; what
 * could not be read is put back as it is, unless something is there in its place.
 *
 * @param now ISO
 * @returns revisions of the projects, by id
 */
export async function restoreAll(
  { projects, shelf, fonts, motifs, stock, entries, copies, photos, unreadable }: Backup,
  now: string,
): Promise<ReadonlyMap<string, number>> {
  const pictures = photos.map(({ data, ...rest }) => ({ ...rest, ...bytesOfDataUrl(data) }));
  return allOrNothing(['projects', 'snapshots', 'photos', ...LIBRARY_STORES], async (tx) => {
    for (const picture of pictures) await tx.objectStore('photos').put(picture);
    const [kept, snapshots] = [tx.objectStore('projects'), tx.objectStore('snapshots')];
    const revisions = new Map<string, number>();
    for (const document of projects) {
      const before = await kept.get(document.id);
      if (before && !sameValue(before.document, document))
        await snapshots.add({ projectId: document.id, at: now, document: before.document });
      const revision = (before?.revision ?? 0) + 1;
      revisions.set(document.id, revision);
      await kept.put({ id: document.id, revision, document });
    }
    const library: LibraryDocuments = { shelf, fonts, motifs, stock, entries };
    for (const store of LIBRARY_STORES)
      for (const document of library[store] ?? []) await tx.objectStore(store).put(document as never);
    const there = new Set((await snapshots.getAll()).map((row) => `${row.projectId} ${row.at}`));
    for (const { at, document } of copies)
      if (!there.has(`${document.id} ${at}`)) await snapshots.add({ projectId: document.id, at, document });
    for (const one of unreadable) {
      if (one.store === 'copies') {
        const copy = one.raw as { at?: string; document?: Project } | null;
        if (copy?.document && !there.has(`${one.id} ${copy.at}`))
          await snapshots.add({ projectId: one.id, at: String(copy.at), document: copy.document });
      } else if (one.store === 'projects') {
        if (one.id !== '' && !(await kept.get(one.id)))
          await kept.put({ id: one.id, revision: 1, document: one.raw as Project });
      } else if (
        one.id !== '' &&
        keyOf(one.store, one.raw ?? {}) === one.id &&
        !(await tx.objectStore(one.store).get(one.id))
      )
        await tx.objectStore(one.store).put(one.raw as never);
    }
    return revisions;
  });
}

/**
 * Changes the stock in one go: what lies there now, with the blanks that are counted, is handed over and what becomes of it
 * comes back, so that two tabs never take the same film.
 *
 * @param change works out what is put and removed; null to leave everything as it is
 * @param now ISO
 */
export async function changeStock(
  change: (things: readonly StockThing[], blanks: readonly CountedBlank[]) => ShelfChange | null,
  now: string,
): Promise<StockThing[]> {
  return allOrNothing(['stock', 'shelf'], async (tx) => {
    const [stock, shelf] = [tx.objectStore('stock'), tx.objectStore('shelf')];
    const rows = (await stock.getAll()).flatMap((row) => checkedKept('stock', row));
    const blanks = (await shelf.getAll()).flatMap((row) => checkedKept('shelf', row));
    const counted = blanks.flatMap(({ blank: { id, name }, inStock }) => (inStock === null ? [] : [{ id, name, count: inStock }])); // prettier-ignore
    const wanted = change(
      rows.map(({ thing }) => thing),
      counted,
    );
    // What could not be read again ends the whole change, before anything of it is there.
    for (const thing of wanted?.put ?? []) mustFit(stockDocument(thing, now), 'mivet-stock');
    for (const id of wanted?.remove ?? []) await stock.delete(id);
    for (const thing of wanted?.put ?? []) await stock.put(stockDocument(thing, now));
    for (const { id, by } of wanted?.blanks ?? []) {
      const entry = blanks.find(({ blank }) => blank.id === id);
      // Counting that was switched off meanwhile stays off.
      if (entry && entry.inStock !== null)
        await shelf.put({ ...entry, inStock: Math.max(0, entry.inStock + by), changedAt: now });
    }
    const gone = new Set([...(wanted?.remove ?? []), ...(wanted?.put ?? []).map(({ id }) => id)]);
    return [...rows.map(({ thing }) => thing).filter(({ id }) => !gone.has(id)), ...(wanted?.put ?? [])];
  });
}

/** Empties the database; for tests. */
export async function forgetEverything(): Promise<void> {
  (await opening?.catch(() => null))?.close();
  opening = null;
  await deleteDB(NAME);
}

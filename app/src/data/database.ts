import {
  checkDocument,
  stockDocument,
  type CountedBlank,
  type OwnFont,
  type OwnMotif,
  type Project,
  type ShelfBlank,
  type ShelfChange,
  type StockDocument,
  type StockThing,
} from '@mivet/core';
import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';

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

interface Schema extends DBSchema {
  projects: { key: string; value: StoredProject };
  shelf: { key: string; value: ShelfBlank };
  fonts: { key: string; value: OwnFont };
  motifs: { key: string; value: OwnMotif };
  stock: { key: string; value: StockDocument };
  snapshots: { key: number; value: StoredSnapshot; indexes: { projectId: string } };
}

/** What is kept besides projects, and the format of its documents. */
const LIBRARY = { shelf: 'mivet-blank', fonts: 'mivet-font', motifs: 'mivet-motif', stock: 'mivet-stock' } as const;
const LIBRARY_STORES = Object.keys(LIBRARY) as LibraryStore[];

/** A shelf in the library. */
export type LibraryStore = keyof typeof LIBRARY;

/** What lies on a shelf of the library. */
export type Kept<S extends LibraryStore> = Schema[S]['value'];

/** Documents for several shelves at once. */
export type LibraryDocuments = { readonly [S in LibraryStore]?: readonly Kept<S>[] };

/** Another tab still runs an older Mivet and keeps the database for itself. */
export class OlderTabOpen extends Error {}

const NAME = 'mivet';
/** A save counts as done only when it is on the disk: without this a browser that is killed can lose what it reported. */
const ON_DISK = { durability: 'strict' } as const;
/** Snapshots kept per project. */
const SNAPSHOTS = 20;

let opening: Promise<IDBPDatabase<Schema>> | null = null;

function open(): Promise<IDBPDatabase<Schema>> {
  opening ??= new Promise((resolve, reject) => {
    openDB<Schema>(NAME, 3, {
      upgrade(db, from) {
        if (from < 1) {
          db.createObjectStore('projects', { keyPath: 'id' });
          db.createObjectStore('shelf', { keyPath: 'blank.id' });
          const snapshots = db.createObjectStore('snapshots', { keyPath: 'key', autoIncrement: true });
          snapshots.createIndex('projectId', 'projectId');
        }
        if (from < 2) {
          db.createObjectStore('fonts', { keyPath: 'id' });
          db.createObjectStore('motifs', { keyPath: 'id' });
        }
        db.createObjectStore('stock', { keyPath: 'id' });
      },
      blocked() {
        reject(new OlderTabOpen('Mivet is open in another tab that was loaded earlier. Close that tab, then reload.'));
      },
      // A newer Mivet in another tab may have it; what is asked for after that is told so.
      blocking(_from, _to, event) {
        (event.target as IDBDatabase).close();
      },
      terminated() {
        opening = null;
      },
    }).then(resolve, reject);
  });
  opening.catch(() => (opening = null));
  return opening;
}

/** Reads all projects. Documents that do not fit the format are left alone and counted, never deleted. */
export async function readProjects(): Promise<{ projects: Project[]; unreadable: number }> {
  const rows = await (await open()).getAll('projects');
  const projects = rows.flatMap((row) => checkedProject(row.document));
  return { projects, unreadable: rows.length - projects.length };
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
 */
export async function writeProject(document: Project, revision: number): Promise<SaveOutcome> {
  const tx = (await open()).transaction('projects', 'readwrite', ON_DISK);
  const now = await tx.store.get(document.id);
  if (now && now.revision !== revision) {
    await tx.done;
    return { ok: false, why: 'changed-elsewhere' };
  }
  const next = { id: document.id, revision: revision + 1, document };
  await tx.store.put(next);
  await tx.done;
  return { ok: true, revision: next.revision };
}

/** Keeps a copy of a project as it is now; the oldest beyond twenty go. */
export async function writeSnapshot(document: Project, at: string): Promise<void> {
  const tx = (await open()).transaction('snapshots', 'readwrite', ON_DISK);
  await tx.store.add({ projectId: document.id, at, document });
  const keys = await tx.store.index('projectId').getAllKeys(document.id);
  for (const key of keys.slice(0, Math.max(0, keys.length - SNAPSHOTS))) await tx.store.delete(key);
  await tx.done;
}

/** Copies of a project, newest first. */
export async function readSnapshots(projectId: string): Promise<{ at: string; document: Project }[]> {
  const rows = await (await open()).getAllFromIndex('snapshots', 'projectId', projectId);
  return rows.reverse().flatMap((row) => checkedProject(row.document).map((document) => ({ at: row.at, document })));
}

/** Deletes a project and its copies. */
export async function deleteProject(id: string): Promise<void> {
  const tx = (await open()).transaction(['projects', 'snapshots'], 'readwrite', ON_DISK);
  await tx.objectStore('projects').delete(id);
  for (const key of await tx.objectStore('snapshots').index('projectId').getAllKeys(id))
    await tx.objectStore('snapshots').delete(key);
  await tx.done;
}

/** Reads a shelf of the library; what an older version kept is brought up to date. */
export async function readLibrary<S extends LibraryStore>(store: S): Promise<Kept<S>[]> {
  const rows: unknown[] = await (await open()).getAll(store);
  return rows.flatMap((row) => checkedKept(store, row));
}

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

/** Puts many documents in at once, all or none; existing ones with the same id are replaced. */
export async function writeAll(projects: readonly Project[], library: LibraryDocuments): Promise<void> {
  const tx = (await open()).transaction(['projects', ...LIBRARY_STORES], 'readwrite', ON_DISK);
  const kept = tx.objectStore('projects');
  await Promise.all(
    projects.map(async (document) => {
      const now = await kept.get(document.id);
      await kept.put({ id: document.id, revision: (now?.revision ?? 0) + 1, document });
    }),
  );
  for (const store of LIBRARY_STORES)
    for (const document of library[store] ?? []) await tx.objectStore(store).put(document as never);
  await tx.done;
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
  const tx = (await open()).transaction(['stock', 'shelf'], 'readwrite', ON_DISK);
  const [stock, shelf] = [tx.objectStore('stock'), tx.objectStore('shelf')];
  const rows = (await stock.getAll()).flatMap((row) => checkedKept('stock', row));
  const blanks = (await shelf.getAll()).flatMap((row) => checkedKept('shelf', row));
  const counted = blanks.flatMap(({ blank: { id, name }, inStock }) => (inStock === null ? [] : [{ id, name, count: inStock }])); // prettier-ignore
  const wanted = change(
    rows.map(({ thing }) => thing),
    counted,
  );
  for (const id of wanted?.remove ?? []) await stock.delete(id);
  for (const thing of wanted?.put ?? []) await stock.put(stockDocument(thing, now));
  for (const { id, by } of wanted?.blanks ?? []) {
    const entry = blanks.find(({ blank }) => blank.id === id);
    // Who has stopped counting meanwhile is not made to count again.
    if (entry && entry.inStock !== null)
      await shelf.put({ ...entry, inStock: Math.max(0, entry.inStock + by), changedAt: now });
  }
  await tx.done;
  const gone = new Set([...(wanted?.remove ?? []), ...(wanted?.put ?? []).map(({ id }) => id)]);
  return [...rows.map(({ thing }) => thing).filter(({ id }) => !gone.has(id)), ...(wanted?.put ?? [])];
}

/** Empties the database; for tests. */
export async function forgetEverything(): Promise<void> {
  (await opening)?.close();
  opening = null;
  await deleteDB(NAME);
}

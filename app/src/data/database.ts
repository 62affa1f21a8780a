import { checkDocument, type Project, type ShelfBlank } from '@mivet/core';
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
  snapshots: { key: number; value: StoredSnapshot; indexes: { projectId: string } };
}

const NAME = 'mivet';
/** A save counts as done only when it is on the disk: without this a browser that is killed can lose what it reported. */
const ON_DISK = { durability: 'strict' } as const;
/** Snapshots kept per project. */
const SNAPSHOTS = 20;

let opening: Promise<IDBPDatabase<Schema>> | null = null;

function open(): Promise<IDBPDatabase<Schema>> {
  opening ??= openDB<Schema>(NAME, 1, {
    upgrade(db) {
      db.createObjectStore('projects', { keyPath: 'id' });
      db.createObjectStore('shelf', { keyPath: 'blank.id' });
      db.createObjectStore('snapshots', { keyPath: 'key', autoIncrement: true }).createIndex('projectId', 'projectId');
    },
    terminated() {
      opening = null;
    },
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

/** Reads the shelf; what an older version kept is brought up to date. */
export async function readShelf(): Promise<ShelfBlank[]> {
  const rows: unknown[] = await (await open()).getAll('shelf');
  return rows.flatMap((row) => {
    const result = checkDocument(row);
    return result.ok && result.document.format === 'mivet-blank' ? [result.document] : [];
  });
}

/** Takes a blank off the shelf. */
export async function deleteShelfBlank(id: string): Promise<void> {
  await (await open()).delete('shelf', id);
}

/** Puts many documents in at once, all or none; existing ones with the same id are replaced. */
export async function writeAll(projects: readonly Project[], shelf: readonly ShelfBlank[]): Promise<void> {
  const tx = (await open()).transaction(['projects', 'shelf'], 'readwrite', ON_DISK);
  for (const document of projects) {
    const now = await tx.objectStore('projects').get(document.id);
    await tx.objectStore('projects').put({ id: document.id, revision: (now?.revision ?? 0) + 1, document });
  }
  for (const blank of shelf) await tx.objectStore('shelf').put(blank);
  await tx.done;
}

/** Empties the database; for tests. */
export async function forgetEverything(): Promise<void> {
  (await opening)?.close();
  opening = null;
  await deleteDB(NAME);
}

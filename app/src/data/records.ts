import type { KeptCopy, LogbookEntry, Project, Unreadable } from '@mivet/core';
import type * as Database from './database.ts';
import type { RecordReply, RecordRequest } from './record-jobs.ts';
import { DoesNotFit, OlderTabOpen } from './refused.ts';

/**
 * What is kept in this browser, as the stores ask for it. Much at once is read, checked and written in a worker; single
 * records on the page, where what checks them is loaded when the first of them is wanted.
 */

type D = typeof Database;

let loading: Promise<D> | null = null;
/** The database on the page; where it could not be loaded it is tried again the next time. */
function here(): Promise<D> {
  loading ??= import('./database.ts').catch((problem: unknown) => {
    loading = null;
    throw problem;
  });
  return loading;
}

interface Waiting {
  readonly part: (part: never) => void;
  readonly done: (value: never) => void;
  readonly failed: (problem: Error) => void;
}
const waiting = new Map<number, Waiting>();
let worker: Worker | null = null;
let nextId = 1;

function start(): Worker {
  const started = new Worker(new URL('./records.worker.ts', import.meta.url), { type: 'module' });
  started.onmessage = ({ data }: MessageEvent<RecordReply>) => {
    const call = waiting.get(data.id);
    if (!call) return;
    if ('part' in data) return call.part(data.part as never);
    waiting.delete(data.id);
    if ('value' in data) call.done(data.value as never);
    else call.failed(problemOf(data));
  };
  started.onerror = () => {
    started.terminate();
    if (worker === started) worker = null;
    for (const call of waiting.values()) call.failed(new Error('What is kept could not be read just now.'));
    waiting.clear();
  };
  return started;
}

const problemOf = ({ failed, message }: Extract<RecordReply, { failed: string }>): Error =>
  failed === 'does not fit'
    ? new DoesNotFit(message)
    : failed === 'older tab'
      ? new OlderTabOpen(message)
      : new Error(message);

/** Has the worker loaded, before anything is asked of it. */
export function warmRecords(): void {
  worker ??= start();
}

type Ask = RecordRequest extends infer R ? (R extends { readonly id: number } ? Omit<R, 'id'> : never) : never;

function ask<T, P = never>(request: Ask, part: (part: P) => void = () => undefined): Promise<T> {
  worker ??= start();
  const id = nextId++;
  return new Promise<T>((done, failed) => {
    waiting.set(id, { part, done, failed });
    worker!.postMessage({ ...request, id });
  });
}

/**
 * Reads all projects, the newest first.
 *
 * @param first is told the newest of them as soon as they are there
 */
export async function readProjects(
  first: (newest: readonly Project[]) => void = () => undefined,
): Promise<Database.Read<Project>> {
  const kept: Project[] = [];
  const unreadable = await ask<readonly Unreadable[], readonly Project[]>({ does: 'readProjects' }, (part) => {
    kept.push(...part);
    if (kept.length === part.length) first(part);
  });
  return { kept, unreadable };
}

/** Reads one project with its revision; null when there is none or it does not fit the format. */
export const readProject: D['readProject'] = (projectId) => ask({ does: 'readProject', projectId });

/** Reads a shelf of the library; what an older version kept is brought up to date. */
export const readLibrary = <S extends Database.LibraryStore>(store: S): Promise<Database.Read<Database.Kept<S>>> =>
  ask({ does: 'readLibrary', store });

/** Reads all kept copies of all projects, oldest first. */
export const readCopies = (): Promise<Database.Read<KeptCopy>> => ask({ does: 'readCopies' });

/**
 * Reads the logbook.
 *
 * @param first is told the newest of it as soon as they are there
 * @returns all of it, in no order
 */
export async function readLogbook(
  first: (newest: Database.Read<LogbookEntry>) => void,
): Promise<Database.Read<LogbookEntry>> {
  const parts: Database.Read<LogbookEntry>[] = [];
  await ask<null, Database.Read<LogbookEntry>>({ does: 'readLogbook' }, (part) => {
    if (parts.push(part) === 1) first(part);
  });
  const all = parts.slice(1);
  return { kept: all.flatMap(({ kept }) => kept), unreadable: all.flatMap(({ unreadable }) => unreadable) };
}

/** Puts each record of a backup beside what is kept here. */
export const compareWithBackup: D['compareWithBackup'] = ({ projects, shelf, fonts, motifs, stock, entries }) =>
  ask({ does: 'compareWithBackup', records: { projects, shelf, fonts, motifs, stock, entries } });

/**
 * Puts many documents in at once, all or none; existing ones with the same id are replaced.
 *
 * @param only with `missing`, existing ones stay as they are
 * @returns revisions of the projects, by id
 * @throws DoesNotFit when one could not be read again; nothing is written then
 */
export const writeAll: D['writeAll'] = (projects, library, only = 'all') =>
  ask({ does: 'writeAll', projects, library, only });

export const writeProject: D['writeProject'] = async (...given) => (await here()).writeProject(...given);
export const deleteProject: D['deleteProject'] = async (...given) => (await here()).deleteProject(...given);
export const readSnapshots: D['readSnapshots'] = async (...given) => (await here()).readSnapshots(...given);
export const writeSnapshot: D['writeSnapshot'] = async (...given) => (await here()).writeSnapshot(...given);
export const readPhoto: D['readPhoto'] = async (...given) => (await here()).readPhoto(...given);
export const readPhotos: D['readPhotos'] = async (...given) => (await here()).readPhotos(...given);
export const writePhoto: D['writePhoto'] = async (...given) => (await here()).writePhoto(...given);
export const deleteKept: D['deleteKept'] = async (...given) => (await here()).deleteKept(...given);
export const deleteUnreadable: D['deleteUnreadable'] = async (...given) => (await here()).deleteUnreadable(...given);
export const restoreAll: D['restoreAll'] = async (...given) => (await here()).restoreAll(...given);
export const changeStock: D['changeStock'] = async (...given) => (await here()).changeStock(...given);

export type { LibraryDocuments, LibraryStore, StoredProject } from './database.ts';

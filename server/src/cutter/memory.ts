import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import process from 'node:process';
import type { CutterLoad, CutterState, SentLoad } from '@mivet/core/cutter';
import { z } from 'zod';
import type { CutterMemory } from './machine.ts';

/** Where the cutter keeps what it knows. */
export interface CutterKeeping {
  readonly read: () => CutterMemory | null;
  readonly keep: (memory: CutterMemory) => void;
  /** Lets somebody else have the folder. */
  readonly leave: () => void;
}

/** Another server works with the folder. */
export class FolderInUse extends Error {}

const memorySchema = z.object({
  state: z.object({
    // Older files do not count.
    turn: z.number().default(0),
    machine: z.object({ widthMm: z.number(), longestMm: z.number() }),
    bladeMm: z.number(),
    bladeLastsMm: z.number(),
    faster: z.number(),
    loads: z.array(z.unknown()),
    lost: z.array(z.string()).optional(),
  }),
});
const loadSchema = z.looseObject({
  id: z.string(),
  title: z.string(),
  state: z.string(),
  doneS: z.number(),
  totalS: z.number(),
  doneMm: z.number(),
  totalMm: z.number(),
  pass: z.number(),
  sentAt: z.string(),
  strips: z.array(z.unknown()),
});
/** A load as it was sent; older files held its pen movements alone. */
const sentSchema = z.union([
  z.array(z.string()),
  z.looseObject({
    id: z.string(),
    hpgl: z.array(z.string()),
    sentAt: z.string(),
    totalS: z.number(),
    totalMm: z.number(),
  }),
]);
type Sent = Omit<CutterLoad, 'state' | 'why' | 'pass' | 'doneS' | 'doneMm' | 'changedAt'> & Pick<SentLoad, 'hpgl'>;

/**
 * Keeps the cutter's memory in a folder: the state in a small file, each load that was sent in a file of its own, written
 * once. Every file is written whole beside its place and then put there, so that a server that is killed leaves the one
 * before or the one after, never half of one. What cannot be read is put aside, and said; it costs nothing else.
 *
 * @param folder is made when it is not there
 * @throws FolderInUse when another server that is still running works with it
 */
export function keepIn(folder: string): CutterKeeping {
  mkdirSync(folder, { recursive: true });
  takeFolder(folder);
  const file = join(folder, 'cutter.json');
  const loadFile = (id: string): string => join(folder, `load-${encodeURIComponent(id)}.json`);
  const there = new Set(
    readdirSync(folder).flatMap((name) => {
      const id = /^load-(.+)\.json$/.exec(name)?.[1];
      return id === undefined ? [] : [decodeURIComponent(id)];
    }),
  );

  function readSent(id: string): z.infer<typeof sentSchema> | null {
    if (!there.has(id)) return null;
    const read = sentSchema.safeParse(parsed(loadFile(id)));
    if (read.success) return read.data;
    putAside(folder, `load-${encodeURIComponent(id)}`);
    there.delete(id);
    return null;
  }

  return {
    read: () => {
      const lost: string[] = [];
      const raw = existsSync(file) ? memorySchema.safeParse(parsed(file)) : null;
      if (raw && !raw.success) {
        putAside(folder, 'cutter');
        lost.push('The cutter’s list could not be read. Loads that were sent wait again; what the blade has cut counts anew.'); // prettier-ignore
      }
      if (!raw?.success && there.size === 0) return lost.length > 0 ? { state: null, sent: {}, lost } : null;
      const sent: Record<string, readonly string[]> = {};
      const loads: CutterLoad[] = [];
      for (const one of raw?.success ? raw.data.state.loads : []) {
        const load = loadSchema.safeParse(one);
        if (!load.success) {
          lost.push('A load of the list could not be read and was left out. Send it again if it was not cut.');
          continue;
        }
        const known = load.data as unknown as CutterLoad;
        const over =
          known.state === 'done' ||
          known.state === 'taken out' ||
          (known.state === 'refused' && known.why?.code !== 'empty-board');
        const pens = over ? null : readSent(known.id);
        if (pens) sent[known.id] = Array.isArray(pens) ? pens : pens.hpgl;
        else if (!over) lost.push(`The pen movements of “${known.title}” could not be read. Send it again.`);
        loads.push(pens || over ? known : { ...known, state: 'refused', why: { code: 'lost' } });
      }
      // Without its list, what was sent is still there by itself.
      if (!raw?.success)
        for (const id of there) {
          const found = readSent(id);
          if (!found || Array.isArray(found)) continue;
          const { hpgl, ...load } = found as unknown as Sent;
          sent[id] = hpgl;
          loads.push({ ...load, state: 'waiting', why: null, pass: 1, doneS: 0, doneMm: 0, changedAt: load.sentAt });
        }
      const state = raw?.success ? ({ ...raw.data.state, loads } as CutterState) : null;
      return { state, sent, lost, ...(state === null ? { found: loads } : {}) };
    },
    keep: ({ state, sent }) => {
      if (!state) return;
      for (const load of state.loads) {
        const hpgl = sent[load.id];
        if (!hpgl || there.has(load.id)) continue;
        put(loadFile(load.id), JSON.stringify({ ...load, hpgl }));
        there.add(load.id);
      }
      put(file, JSON.stringify({ state }));
      // What is over needs no pen movements any more.
      for (const id of there)
        if (!(id in sent)) {
          rmIfThere(loadFile(id));
          there.delete(id);
        }
    },
    leave: () => rmIfThere(join(folder, LOCK)),
  };
}

const LOCK = 'cutter.lock';

/** Marks the folder as this process's, unless another that still runs has it. */
function takeFolder(folder: string): void {
  const lock = join(folder, LOCK);
  for (let attempt = 0; attempt < 3; attempt++) {
    try {
      writeFileSync(lock, String(process.pid), { flag: 'wx' });
      process.once('exit', () => rmIfThere(lock, String(process.pid)));
      return;
    } catch (problem) {
      if ((problem as NodeJS.ErrnoException).code !== 'EEXIST') throw problem;
      const owner = Number(readFileSync(lock, 'utf8'));
      if (owner === process.pid) return;
      if (isRunning(owner))
        throw new FolderInUse(`Another Mivet server (process ${owner}) works with ${folder}. Stop it first, or give this one a folder of its own with MIVET_DATA.`); // prettier-ignore
      // Its owner was killed.
      rmIfThere(lock);
    }
  }
  throw new FolderInUse(`Other Mivet servers are starting on ${folder}. Nothing was changed; try again.`);
}

function isRunning(pid: number): boolean {
  if (!Number.isSafeInteger(pid) || pid <= 0) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (problem) {
    return (problem as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** Writes a file whole, beside its place and then into it. */
function put(file: string, text: string): void {
  const beside = `${file}.new`;
  const handle = openSync(beside, 'w');
  try {
    writeFileSync(handle, text);
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
  renameSync(beside, file);
}

function parsed(file: string): unknown {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as unknown;
  } catch {
    return undefined;
  }
}

/** Puts a file that cannot be read aside under a name that is free. */
function putAside(folder: string, name: string): void {
  let free = join(folder, `${name}.unreadable.json`);
  for (let n = 2; existsSync(free); n++) free = join(folder, `${name}.unreadable-${n}.json`);
  renameSync(join(folder, `${name}.json`), free);
}

function rmIfThere(file: string, only?: string): void {
  try {
    if (only === undefined || readFileSync(file, 'utf8') === only) unlinkSync(file);
  } catch (problem) {
    if ((problem as NodeJS.ErrnoException).code !== 'ENOENT') throw problem;
  }
}

/** Keeps nothing beyond the life of the server. */
export const KEEP_NOTHING: CutterKeeping = { read: () => null, keep: () => undefined, leave: () => undefined };

import { toRaw } from 'vue';
import type { CloserPart, CoreJobs, CoreReply, CoreRequest, ShapePicture } from './protocol.ts';

let worker: Worker | null = null;
let nextId = 1;
interface Waiting {
  readonly resolve: (output: never) => void;
  readonly reject: (problem: Error) => void;
  readonly onPart: ((part: never) => void) | undefined;
  part: ShapePicture | CloserPart | null;
}
const waiting = new Map<number, Waiting>();

/** A call that was given up because something newer is wanted. */
export class CallGivenUp extends Error {}

/** How a call is made. */
export interface CallOptions {
  /** Time after which the worker is stopped and started anew: for what a stranger's file may ask of it. */
  readonly limitMs?: number;
  /** Gives the call up where it may be left off; it is refused with `CallGivenUp`. */
  readonly signal?: AbortSignal;
  /** Told what is there before the rest. */
  readonly onPart?: (part: ShapePicture) => void;
  /** Whether it waits until nobody waits for anything else, and makes room again when somebody does. */
  readonly later?: boolean;
}

/** Calls that wait for a quiet moment, in order; the one under way is begun anew when it has to make room. */
const later: { readonly begin: (signal: AbortSignal) => Promise<void> }[] = [];
let roomFor: AbortController | null = null;
/** Calls under way that somebody waits for. */
let urgent = 0;

async function nextLater(): Promise<void> {
  if (urgent > 0 || roomFor !== null || later.length === 0) return;
  roomFor = new AbortController();
  const call = later.shift()!;
  await call.begin(roomFor.signal).catch((problem: unknown) => {
    if (problem instanceof CallGivenUp) later.unshift(call);
  });
  roomFor = null;
  void nextLater();
}

function start(): Worker {
  const started = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  started.onmessage = ({ data }: MessageEvent<CoreReply>) => {
    const call = waiting.get(data.id);
    if ('part' in data) {
      if (call) call.part = data.part;
      call?.onPart?.(data.part as never);
      return;
    }
    waiting.delete(data.id);
    if (data.ok) call?.resolve((call.part ? { ...call.part, ...data.output } : data.output) as never);
    else call?.reject(data.givenUp ? new CallGivenUp() : new Error(data.message));
  };
  started.onerror = () => stop('The worker stopped. Your work is saved; try once more.');
  return started;
}

function stop(why: string): void {
  worker?.terminate();
  worker = null;
  for (const call of waiting.values()) call.reject(new Error(why));
  waiting.clear();
}

/**
 * Has the core do a job in its worker.
 *
 * @param job name of the job
 * @param input its input; must be plain data
 * @param options how long it may take, and how it is given up
 */
export function askCore<K extends keyof CoreJobs>(
  job: K,
  input: CoreJobs[K]['input'],
  { later: waits = false, ...options }: CallOptions = {},
): Promise<CoreJobs[K]['output']> {
  if (!waits) {
    urgent++;
    roomFor?.abort();
    return ask(job, input, options).finally(() => {
      urgent--;
      void nextLater();
    });
  }
  return new Promise((resolve, reject) => {
    const begin = (signal: AbortSignal): Promise<void> =>
      ask(job, input, { ...options, signal }).then(resolve, (problem: unknown) => {
        if (problem instanceof CallGivenUp) throw problem;
        reject(problem as Error);
      });
    later.push({ begin });
    void nextLater();
  });
}

function ask<K extends keyof CoreJobs>(
  job: K,
  input: CoreJobs[K]['input'],
  { limitMs, signal, onPart }: Omit<CallOptions, 'later'>,
): Promise<CoreJobs[K]['output']> {
  worker ??= start();
  const id = nextId++;
  const answer = new Promise<CoreJobs[K]['output']>((resolve, reject) => {
    waiting.set(id, { resolve, reject, onPart, part: null });
    worker!.postMessage({ id, job, input: plain(input) });
  });
  signal?.addEventListener('abort', () => {
    if (waiting.has(id)) worker?.postMessage({ giveUp: id } satisfies CoreRequest);
  });
  if (limitMs === undefined) return answer;
  const timer = setTimeout(() => {
    if (waiting.has(id)) stop('It took too long and was stopped. Your work is saved.');
  }, limitMs);
  return answer.finally(() => clearTimeout(timer));
}

/**
 * Has a plan made better in a worker of its own, which is there for as long as one watches.
 *
 * @param input of the job
 * @param onPart told whenever it is better
 * @returns stops it
 */
export function watchCloser(
  input: CoreJobs['closer']['input'],
  onPart: (part: CloserPart) => void,
  onEnd: (problem: string | null) => void,
): () => void {
  const apart = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  apart.onmessage = ({ data }: MessageEvent<CoreReply>) => {
    if ('part' in data) onPart(data.part as CloserPart);
    else {
      apart.terminate();
      onEnd(data.ok ? null : data.message);
    }
  };
  apart.onerror = () => onEnd('The worker stopped. The plan stays as it is.');
  apart.postMessage({ id: 1, job: 'closer', input: plain(input) } satisfies CoreRequest);
  return () => apart.terminate();
}

/** Starts the worker before the first job, while the page is still being put together. */
export function warmCore(): void {
  worker ??= start();
}

/** Proxies cannot be posted; documents are replaced whole, so unwrapping the top levels is enough. */
function plain<T>(input: T): T {
  const raw = toRaw(input);
  if (typeof raw !== 'object' || raw === null) return raw;
  return Object.fromEntries(Object.entries(raw).map(([key, value]) => [key, toRaw(value)])) as T;
}

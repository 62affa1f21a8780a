import { toRaw } from 'vue';
import type {
  CloserPart,
  CoreJobs,
  CoreReply,
  CoreRequest,
  LayPart,
  LentFont,
  LookPart,
  TogetherPart,
} from './protocol.ts';
import type { ShapeViewModel, WayLaid } from '@mivet/core';

let worker: Worker | null = null;
let nextId = 1;
interface Waiting {
  readonly request: CoreRequest;
  readonly resolve: (output: never) => void;
  readonly reject: (problem: Error) => void;
  readonly onPart: ((part: never) => void) | undefined;
  readonly limitMs: number;
  part: ShapeViewModel | CloserPart | TogetherPart | LookPart | LayPart | WayLaid | null;
  /** Stops the time limit, which runs while the worker works on the call. */
  timer: (() => void) | null;
}
const waiting = new Map<number, Waiting>();

/** Rejection of a call that was cancelled because something newer is wanted. */
export class CallGivenUp extends Error {}

/** Rejection of a call that exceeded its time limit. */
export class TookTooLong extends Error {}

/** Abort reason for work that is of no use any more: if it does not stop by itself, its worker is terminated. */
export const LEFT = 'left';

/**
 * ms that a job may take once the worker is at it. Long past what real work needs on a slow machine; what a stranger's file
 * asks for is held tighter by the caller.
 */
const LIMIT_MS: { readonly [K in keyof CoreJobs]: number } = {
  examine: 20_000,
  drawing: 30_000,
  trace: 30_000,
  font: 30_000,
  parts: 10_000,
  seen: 15_000,
  silhouette: 30_000,
  closer: 600_000,
  fixes: 120_000,
  look: 600_000,
  layFilm: 60_000,
  layWays: 120_000,
  marks: 60_000,
  batch: 60_000,
  send: 60_000,
  files: 120_000,
  together: 300_000,
  togetherFiles: 300_000,
  togetherGuide: 120_000,
  plan: 600_000,
  stepPictures: 30_000,
  shopping: 30_000,
  learn: 120_000,
  packBackup: 600_000,
  readBackup: 600_000,
};

/** ms that an abandoned call has to stop by itself before its worker is terminated. */
const GRACE_MS = 800;

/** How a call is made. */
export interface CallOptions<K extends keyof CoreJobs = 'examine'> {
  /** ms that it may take, when that is less than is usual for the job. */
  readonly limitMs?: number;
  /** Gives the call up where it may be left off; it is refused with `CallGivenUp`. Aborted with `LEFT`, it ends by force. */
  readonly signal?: AbortSignal;
  /** Told what is there before the rest. */
  readonly onPart?: (part: K extends 'together' | 'plan' ? TogetherPart : ShapeViewModel) => void;
  /** Low priority: starts when no other call is pending, and restarts after any that comes in meanwhile. */
  readonly later?: boolean;
}

/** Low-priority calls, in order; the running one restarts when it has to yield. */
const later: { readonly begin: (signal: AbortSignal) => Promise<void> }[] = [];
let roomFor: AbortController | null = null;
/** Number of running calls of normal priority. */
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

let lent: readonly LentFont[] = [];

/** Has workers set words in fonts that the browser does not keep, for as long as the page is open. */
export function lendFonts(fonts: readonly LentFont[]): void {
  const given = fonts.map(({ id, data }) => ({ id, data }));
  lent = [...lent, ...given];
  worker?.postMessage({ lend: given } satisfies CoreRequest);
}

/** A worker of the core, with the fonts that it cannot read by itself. */
function newWorker(): Worker {
  const made = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  if (lent.length > 0) made.postMessage({ lend: lent } satisfies CoreRequest);
  return made;
}

function start(): Worker {
  const started = newWorker();
  started.onmessage = ({ data }: MessageEvent<CoreReply>) => {
    const call = waiting.get(data.id);
    if (!call) return;
    if ('begun' in data) {
      call.timer ??= afterAwake(call.limitMs, () => endByForce(data.id, new TookTooLong(TOO_LONG)));
      return;
    }
    if ('part' in data) {
      call.part = data.part;
      call.onPart?.(data.part as never);
      return;
    }
    forget(data.id, call);
    if (data.ok) call.resolve((call.part ? { ...call.part, ...data.output } : data.output) as never);
    else call.reject(data.givenUp ? new CallGivenUp() : new Error(data.message));
  };
  started.onerror = () => {
    worker?.terminate();
    worker = null;
    for (const [id, call] of [...waiting]) {
      forget(id, call);
      call.reject(new Error('The worker stopped. Your work is saved; try once more.'));
    }
  };
  return started;
}

/** ms between two looks at how long a job has been worked at. */
const LOOK_MS = 1000;

/**
 * Acts after some ms in which the page was awake: a device that was asleep for an hour has not worked for one.
 *
 * @returns stops it
 */
function afterAwake(ms: number, act: () => void): () => void {
  let left = ms;
  let timer: ReturnType<typeof setTimeout>;
  const look = (): void => {
    const part = Math.min(LOOK_MS, left);
    timer = setTimeout(() => {
      left -= part;
      if (left > 0) look();
      else act();
    }, part);
  };
  look();
  return () => clearTimeout(timer);
}

const TOO_LONG = 'It took too long and was stopped. Your work is saved.';

function forget(id: number, call: Waiting): void {
  call.timer?.();
  waiting.delete(id);
}

/** Stops the worker for the sake of one call; all others are asked of a new one. */
function endByForce(id: number, why: Error): void {
  const call = waiting.get(id);
  if (!call) return;
  forget(id, call);
  worker?.terminate();
  worker = start();
  call.reject(why);
  for (const other of waiting.values()) {
    other.timer?.();
    other.timer = null;
    worker.postMessage(other.request);
  }
}

/**
 * Has the core do a job in its worker.
 *
 * @param job name of the job
 * @param input its input; must be plain data
 * @param options how long it may take, and how it is given up
 * @throws CallGivenUp when it was given up, TookTooLong when it took longer than it may
 */
export function askCore<K extends keyof CoreJobs>(
  job: K,
  input: CoreJobs[K]['input'],
  { later: waits = false, ...options }: CallOptions<K> = {},
): Promise<CoreJobs[K]['output']> {
  if (!waits) {
    urgent++;
    roomFor?.abort(LEFT);
    return ask(job, input, options).finally(() => {
      urgent--;
      void nextLater();
    });
  }
  const own = options.signal;
  return new Promise((resolve, reject) => {
    const begin = (room: AbortSignal): Promise<void> =>
      ask(job, input, { ...options, signal: own ? AbortSignal.any([room, own]) : room }).then(
        resolve,
        (problem: unknown) => {
          // Where only the room was wanted it is begun again.
          if (problem instanceof CallGivenUp && !own?.aborted) throw problem;
          reject(problem as Error);
        },
      );
    later.push({ begin });
    void nextLater();
  });
}

function ask<K extends keyof CoreJobs>(
  job: K,
  input: CoreJobs[K]['input'],
  { limitMs = LIMIT_MS[job], signal, onPart }: Omit<CallOptions<K>, 'later'>,
): Promise<CoreJobs[K]['output']> {
  if (signal?.aborted) return Promise.reject(new CallGivenUp());
  worker ??= start();
  const id = nextId++;
  const request = { id, job, input: plain(input) } as CoreRequest;
  const answer = new Promise<CoreJobs[K]['output']>((resolve, reject) => {
    waiting.set(id, { request, resolve, reject, onPart, limitMs, part: null, timer: null });
    worker!.postMessage(request);
  });
  signal?.addEventListener('abort', () => {
    if (!waiting.has(id)) return;
    worker?.postMessage({ giveUp: id } satisfies CoreRequest);
    if (signal.reason === LEFT) setTimeout(() => endByForce(id, new CallGivenUp()), GRACE_MS);
  });
  return answer;
}

/** Jobs that are worked at in a worker of their own, with what they tell on the way. */
interface Apart {
  readonly closer: CloserPart;
  readonly look: LookPart;
  readonly layFilm: LayPart;
  readonly layWays: WayLaid;
}

/**
 * Works at something in a worker of its own, which lives for as long as the user watches.
 *
 * @param input of the job
 * @param onPart told whenever there is something new
 * @param onEnd told when it is done, or why it is not
 * @returns stops it
 */
export function watchApart<K extends keyof Apart>(
  job: K,
  input: CoreJobs[K]['input'],
  onPart: (part: Apart[K]) => void,
  onEnd: (problem: string | null) => void,
): () => void {
  const apart = newWorker();
  apart.onmessage = ({ data }: MessageEvent<CoreReply>) => {
    if ('begun' in data) return;
    if ('part' in data) onPart(data.part as Apart[K]);
    else {
      apart.terminate();
      onEnd(data.ok ? null : data.message);
    }
  };
  apart.onerror = () => onEnd('The worker stopped. What was there stays as it is.');
  apart.postMessage({ id: 1, job, input: plain(input) } as CoreRequest);
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

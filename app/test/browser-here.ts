import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { readFile } from 'node:fs/promises';
import { cwd } from 'node:process';
import { afterEach, beforeEach, vi } from 'vitest';
import { dropTimers, watchTimers } from './page-timers.ts';
import { catchSaved } from './saved-files.ts';

/** What runs behind a worker: hears messages, and tells some. */
type Serve = (message: unknown) => unknown;

const SERVES: readonly (readonly [name: string, (tell: (message: unknown) => void) => Promise<Serve>])[] = [
  ['core.worker', async (tell) => (await import('../src/workers/serve-core.ts')).serveCore(tell) as Serve],
  ['records.worker', async (tell) => (await import('../src/data/record-jobs.ts')).serveRecords(tell) as Serve],
];

/**
 * Stands in for the browser's workers, which the machine of the tests lacks: what runs behind them, and what calls them, are
 * the app's own. Messages are copied both ways, one after the other, as a browser does.
 */
class WorkerHere {
  onmessage: ((event: { readonly data: unknown }) => void) | null = null;
  onerror: (() => void) | null = null;
  #ended = false;
  readonly #given: number[] = [];
  readonly #serve: Promise<Serve>;

  constructor(url: URL) {
    const serves = SERVES.find(([name]) => url.href.includes(name));
    if (!serves) throw new Error(`The tests have nothing that stands in for ${url.href}.`);
    // Loaded with the first worker, after a test has said what stands in for what.
    this.#serve = serves[1]((message) => this.#tell(structuredClone(message)));
  }

  postMessage(request: object): void {
    const data = structuredClone(request);
    if ('id' in data) this.#given.push(data.id as number);
    void this.#serve.then((serve) => (this.#ended ? undefined : serve(data)));
  }

  terminate(): void {
    this.#ended = true;
    // It cannot be killed here; what it was given it lays down as soon as it looks up.
    void this.#serve.then((serve) => this.#given.forEach((giveUp) => void serve({ giveUp })));
  }

  #tell(data: unknown): void {
    setTimeout(() => {
      if (!this.#ended) this.onmessage?.({ data });
    });
  }
}

const ROOT = cwd();

/** Files that ship with the app, from where they lie. */
async function fetchHere(url: string): Promise<Response> {
  const path = url.replace(/^\/@fs/, '').replace(/\?.*$/, '');
  return new Response(await readFile(path.startsWith(ROOT) ? path : `${ROOT}${path}`));
}

vi.stubGlobal('Worker', WorkerHere);
vi.stubGlobal('fetch', fetchHere);

watchTimers();
// One worker goes through many files of tests: each begins with a browser that keeps nothing yet.
localStorage.clear();
sessionStorage.clear();
for (const { name } of await indexedDB.databases()) {
  const db = await openDB(name!);
  for (const store of db.objectStoreNames) await db.clear(store);
  db.close();
}

beforeEach(catchSaved);
afterEach(dropTimers);

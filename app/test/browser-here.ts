import 'fake-indexeddb/auto';
import { readFile } from 'node:fs/promises';
import { cwd } from 'node:process';
import { beforeEach, vi } from 'vitest';
import type { CoreReply, CoreRequest } from '../src/workers/protocol.ts';
import { catchSaved } from './saved-files.ts';

/**
 * Stands in for the browser's worker, which the machine of the tests lacks: what runs behind it, and what calls it, are the
 * app's own. Messages are copied both ways, one after the other, as a browser does.
 */
class WorkerHere {
  onmessage: ((event: { readonly data: CoreReply }) => void) | null = null;
  onerror: (() => void) | null = null;
  #ended = false;
  readonly #given: number[] = [];
  // Loaded with the first worker, after a test has said what stands in for what.
  readonly #serve = import('../src/workers/serve-core.ts').then(({ serveCore }) =>
    serveCore((message) => this.#tell(structuredClone(message))),
  );

  postMessage(request: CoreRequest): void {
    const data = structuredClone(request);
    if ('id' in data) this.#given.push(data.id);
    void this.#serve.then((serve) => (this.#ended ? undefined : serve(data)));
  }

  terminate(): void {
    this.#ended = true;
    // It cannot be killed here; what it was given it lays down as soon as it looks up.
    void this.#serve.then((serve) => this.#given.forEach((giveUp) => void serve({ giveUp })));
  }

  #tell(data: CoreReply): void {
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

beforeEach(catchSaved);

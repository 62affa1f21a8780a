import { findSilhouette, learnFrom, partsViewModel, STARTING_MATERIALS } from '@mivet/core';
import { openBackup, packBackup } from './backup-jobs.ts';
import { type Call, GivenUp } from './call.ts';
import { files, send, shopping } from './file-jobs.ts';
import { fontSample, fontsOf } from './fonts.ts';
import { batch, closer, examine, fixes, LastProject, marks, seen, stepPicturesOf } from './project-jobs.ts';
import { layFilm, layWaysOf, look } from './film-jobs.ts';
import { plan } from './plan-jobs.ts';
import { together, togetherFiles, togetherGuide } from './together-jobs.ts';
import type { CoreAnswer, CoreJobs, CoreReply, CoreRequest } from './protocol.ts';

type Handlers = {
  readonly [K in keyof CoreJobs]: (
    input: CoreJobs[K]['input'],
    call: Call,
    last: LastProject,
  ) => CoreAnswer<K> | Promise<CoreAnswer<K>>;
};

const HANDLERS: Handlers = {
  examine,
  seen,
  fixes,
  look,
  layFilm,
  layWays: layWaysOf,
  marks,
  batch,
  closer,
  files,
  send,
  together,
  togetherFiles,
  togetherGuide,
  plan,
  shopping,
  learn: ({ entries }) => learnFrom(entries, STARTING_MATERIALS),
  stepPictures: stepPicturesOf,
  parts: async ({ item }) => partsViewModel(item, await fontsOf([item])),
  font: ({ bytes }) => fontSample(bytes),
  drawing: async (input) => (await import('./read-drawing.ts')).readDrawing(input),
  trace: async (input) => (await import('./read-drawing.ts')).readTrace(input),
  packBackup: ({ backup }) => packBackup(backup),
  readBackup: ({ bytes }) => openBackup(bytes),
  silhouette: ({ raster, axis, far }) => findSilhouette(raster, { axis, far }),
};

/**
 * Serves the worker's jobs. Jobs run one at a time except where they await something.
 *
 * @param reply posts a message to the caller
 * @returns handler of incoming messages
 */
export function serveCore(reply: (message: CoreReply) => void): (request: CoreRequest) => Promise<void> {
  const givenUp = new Set<number>();
  const last = new LastProject();
  return async (request) => {
    if ('giveUp' in request) {
      givenUp.add(request.giveUp);
      return;
    }
    const { id, job, input } = request;
    const call: Call = { givenUp: () => givenUp.has(id), part: (part) => reply({ id, part }) };
    reply({ id, begun: true });
    try {
      const handler = HANDLERS[job] as
        ((input: unknown, call: Call, last: LastProject) => Promise<CoreAnswer<keyof CoreJobs>>) | undefined;
      if (!handler) throw new Error(`The worker has no job called ${String(job)}.`);
      reply({ id, ok: true, output: await handler(input, call, last) });
    } catch (problem) {
      const message = problem instanceof Error ? problem.message : String(problem);
      reply({ id, ok: false, message, givenUp: problem instanceof GivenUp });
    }
    givenUp.delete(id);
  };
}

import { partsViewModel } from '@mivet/core';
import { type Call, GivenUp } from './call.ts';
import { borrowFonts, fontSample, fontsOf } from './fonts.ts';
import { batch, closer, examine, fixes, LastProject, marks, seen, stepPicturesOf } from './project-jobs.ts';
import type { CoreAnswer, CoreJobs, CoreReply, CoreRequest } from './protocol.ts';

type Handlers = {
  readonly [K in keyof CoreJobs]: (
    input: CoreJobs[K]['input'],
    call: Call,
    last: LastProject,
  ) => CoreAnswer<K> | Promise<CoreAnswer<K>>;
};

/** What every project needs is there at once; the rest is loaded when it is first asked for. */
const HANDLERS: Handlers = {
  examine,
  seen,
  fixes,
  marks,
  batch,
  closer,
  stepPictures: stepPicturesOf,
  parts: async ({ item }) => partsViewModel(item, await fontsOf([item])),
  font: ({ bytes }) => fontSample(bytes),
  look: async (input, call) => (await import('./film-jobs.ts')).look(input, call),
  layFilm: async (input, call) => (await import('./film-jobs.ts')).layFilm(input, call),
  layWays: async (input, call) => (await import('./film-jobs.ts')).layWaysOf(input, call),
  files: async (input, call, last) => (await import('./file-jobs.ts')).files(input, call, last),
  send: async (input, call, last) => (await import('./file-jobs.ts')).send(input, call, last),
  shopping: async (input) => (await import('./file-jobs.ts')).shopping(input),
  together: async (input, call) => (await import('./together-jobs.ts')).together(input, call),
  togetherFiles: async (input, call) => (await import('./together-jobs.ts')).togetherFiles(input, call),
  togetherGuide: async (input) => (await import('./together-jobs.ts')).togetherGuide(input),
  plan: async (input, call) => (await import('./plan-jobs.ts')).plan(input, call),
  learn: async (input) => (await import('./plan-jobs.ts')).learn(input),
  drawing: async (input) => (await import('./read-drawing.ts')).readDrawing(input),
  trace: async (input) => (await import('./read-drawing.ts')).readTrace(input),
  silhouette: async (input) => (await import('./read-drawing.ts')).silhouette(input),
  packBackup: async ({ backup }) => (await import('./backup-jobs.ts')).packBackup(backup),
  readBackup: async ({ bytes }) => (await import('./backup-jobs.ts')).openBackup(bytes),
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
    if ('lend' in request) {
      borrowFonts(request.lend);
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

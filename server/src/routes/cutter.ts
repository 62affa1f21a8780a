import type { CutterState, HeadNews } from '@mivet/core/cutter';
import express, { Router, type Request, type Response } from 'express';
import { z } from 'zod';
import { CutterMachine } from '../cutter/machine.ts';
import type { CutterKeeping } from '../cutter/memory.ts';

const short = z.string().max(200);
const mm = z.number().min(-10).max(20_000);
const loadSchema = z.object({
  id: z.uuid(),
  title: short,
  projectId: short,
  number: z.number().int().min(1).max(10_000),
  board: z.object({ label: short, widthMm: mm, lengthMm: mm }),
  strips: z
    .array(
      z.object({ name: short, colour: z.string().regex(/^#[0-9a-fA-F]{6}$/), from: mm, to: mm, low: mm, high: mm }),
    )
    .min(1)
    .max(200),
  hpgl: z.array(z.string().max(20_000_000)).min(1).max(200),
});
const pass = z.number().int().min(1).max(1000);
const actSchema = z.discriminatedUnion('do', [
  z.object({ do: z.literal('load'), filmOnBoard: z.boolean() }),
  z.object({ do: z.literal('start'), pass }),
  z.object({ do: z.literal('stop') }),
  z.object({ do: z.literal('came off clean') }),
  z.object({ do: z.literal('cut again'), pass }),
  z.object({ do: z.literal('take out') }),
]);

/** ms between two steps of the head. */
const STEP_MS = 100;
/** ms after which a browser is told that the line is still there. */
const QUIET_MS = 10_000;

/** The simulated cutter's addresses, and how to switch it off. */
export interface CutterRoutes {
  readonly router: Router;
  readonly switchOff: () => void;
}

/**
 * A simulated cutter on this machine only: loads come in, lie in it, are cut, and all listeners are notified.
 *
 * @param keeping where it keeps what it knows
 * @param faster how many times faster than a real one it begins to work
 */
export function cutterRoutes(keeping: CutterKeeping, faster: number): CutterRoutes {
  const listeners = new Set<Response>();
  const machine = new CutterMachine(
    {
      keep: keeping.keep,
      now: () => new Date().toISOString(),
      tell: (news) => {
        for (const listener of listeners) write(listener, news);
      },
    },
    keeping.read(),
    faster,
  );
  let last = performance.now();
  const clock = setInterval(() => {
    const now = performance.now();
    machine.pass((now - last) / 1000);
    last = now;
  }, STEP_MS);
  const quiet = setInterval(() => {
    for (const listener of listeners) listener.write(': still here\n\n');
  }, QUIET_MS);

  const router = Router();
  router.use(onlyHere);
  router.get('/', (_request, response) => {
    response.set('Cache-Control', 'no-store').json(machine.state);
  });
  router.get('/events', (request, response) => {
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', Connection: 'keep-alive' });
    response.write('retry: 1000\n\n');
    write(response, { state: machine.state });
    listeners.add(response);
    request.on('close', () => listeners.delete(response));
  });
  router.get('/loads/:id/strokes', (request, response) => {
    const strokes = machine.strokes(String(request.params['id']));
    if (!strokes) response.status(404).json({ message: 'The cutter does not know this load any more.' });
    else response.set('Cache-Control', 'no-store').json(strokes.map(({ points }) => [...points]));
  });
  router.use(express.json({ limit: '40mb' }));
  router.post('/loads', async (request, response) => {
    const load = loadSchema.safeParse(request.body);
    if (!load.success) return unfit(response, load.error);
    const done = await machine.send(load.data);
    answer(response, done, machine.state);
  });
  router.post('/loads/:id', (request, response) => {
    const act = actSchema.safeParse(request.body);
    if (!act.success) return unfit(response, act.error);
    answer(response, machine.act(String(request.params['id']), act.data), machine.state);
  });
  router.post('/blade', (_request, response) => {
    machine.newBlade();
    answer(response, { ok: true }, machine.state);
  });
  router.post('/lost-read', (_request, response) => {
    machine.lostRead();
    answer(response, { ok: true }, machine.state);
  });
  router.post('/pace', (request, response) => {
    const pace = z.object({ faster: z.number().min(0.1).max(10_000) }).safeParse(request.body);
    if (!pace.success) return unfit(response, pace.error);
    machine.workFaster(pace.data.faster);
    answer(response, { ok: true }, machine.state);
  });
  router.use((problem: Error & { status?: number }, _request: Request, response: Response, _next: () => void) => {
    const words = problem.status === 413 ? 'That is more than a cutter takes at once.' : 'That could not be read.';
    response.status(problem.status ?? 400).json({ message: words });
  });
  return {
    router,
    switchOff: () => {
      clearInterval(clock);
      clearInterval(quiet);
      for (const listener of listeners) listener.end();
      keeping.leave();
    },
  };
}

/** Somebody at another machine, or a page from elsewhere, has nothing to do with the cutter. */
function onlyHere(request: Request, response: Response, next: () => void): void {
  const from = request.socket.remoteAddress ?? '';
  const host = (request.headers.host ?? '').replace(/:\d+$/, '');
  const here = /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/.test(from);
  const named = ['127.0.0.1', 'localhost', '[::1]'].includes(host);
  const { origin } = request.headers;
  const own = origin === undefined || origin === `http://${request.headers.host}`;
  if (here && named && own) next();
  else response.status(403).json({ message: 'The cutter is worked from the machine that it stands beside.' });
}

function answer(response: Response, done: { ok: true } | { ok: false; why: string }, state: CutterState): void {
  if (done.ok) response.json(state);
  else response.status(409).json({ message: done.why, state });
}

/** Only Mivet itself sends anything: what does not fit was sent by another version of it, or by something else. */
function unfit(response: Response, problem: z.ZodError): void {
  const { path } = problem.issues[0]!;
  const where = path.length > 0 ? ` at “${path.join('.')}”` : '';
  response.status(400).json({
    message: `The cutter does not understand what was sent${where}. Nothing was changed. Reload the page, so that both are of one version.`,
  });
}

function write(response: Response, news: { state: CutterState } | { head: HeadNews }): void {
  const [event, data] = 'state' in news ? ['state', news.state] : ['head', news.head];
  response.write(`event: ${event as string}\ndata: ${JSON.stringify(data)}\n\n`);
}

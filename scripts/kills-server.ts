// npm run kills:server -- [--times 100] [--seed 1]: the server is killed at a random moment of its work; what it answered for is
// there afterwards, once, and nothing is half-written.
import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import type { CutterLoad, CutterState } from '@mivet/core';
import { root } from './app-server.ts';
import { chanceOf } from './fuzz/cases.ts';

const PORT = 5194;
/** ms at most between the start of the work and the kill. */
const LONGEST_MS = 700;
/** Loads that are not over at a time: more are not sent. */
const MOST_LOADS = 5;
const { values } = parseArgs({ options: { times: { type: 'string', default: '100' }, seed: { type: 'string', default: '1' } } }); // prettier-ignore
const times = Number(values.times);
const chance = chanceOf(Number(values.seed));
const data = mkdtempSync(join(tmpdir(), 'mivet-kills-server-'));
const address = `http://127.0.0.1:${PORT}/api/cutter`;
const wrong: string[] = [];

/** How far a load has come: it never goes back by itself. */
const FAR: { readonly [state in CutterLoad['state']]?: number } = { waiting: 0, loaded: 1, 'corner test': 2, cutting: 2, stopped: 2 }; // prettier-ignore
const farOf = ({ state }: CutterLoad): number => FAR[state] ?? 3;

async function start(): Promise<ChildProcess> {
  const env = { ...process.env, PORT: String(PORT), MIVET_DATA: data, MIVET_CUTTER_FASTER: '60' };
  const server = spawn(process.execPath, ['server/dist/main.js', '--demo'], { cwd: root, env, stdio: 'ignore' });
  for (let attempt = 0; attempt < 1000; attempt++) {
    if (await state()) return server;
    await new Promise((done) => setTimeout(done, 20));
  }
  throw new Error('The server did not answer within twenty seconds.');
}
const state = (): Promise<CutterState | null> =>
  fetch(address).then(
    async (answer) => (answer.ok ? ((await answer.json()) as CutterState) : null),
    () => null,
  );
/** What it answered; null when it was gone before it did. */
const tell = (path: string, body: unknown): Promise<CutterState | null> =>
  fetch(address + path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) })
    .then(async (answer) => (answer.ok ? ((await answer.json()) as CutterState) : null))
    .catch(() => null);

let sent = 0;
const newLoad = (): object => {
  sent += 1;
  const square = (mm: number): string =>
    `IN;SP1;PU0,0;PD0,${mm * 40};PD${mm * 40},${mm * 40};PD${mm * 40},0;PD0,0;PU0,0;`;
  return {
    id: `load-${sent}`,
    title: `Kill ${sent}`,
    projectId: `p-${sent}`,
    number: 1,
    board: { label: 'Board', widthMm: 290, lengthMm: 295 },
    strips: [{ name: 'Reed', colour: '#336699', from: 0, to: 120, low: 0, high: 120 }],
    hpgl: [square(20 + chance.below(80))],
  };
};

/** Does one thing that may be done now; what is answered for is noted. */
async function work(acknowledged: Map<string, number>): Promise<void> {
  const now = await state();
  if (!now) return;
  const open = now.loads.filter((load) => farOf(load) < 3);
  const one = open.length > 0 ? chance.of(open) : null;
  const answer =
    !one || (open.length < MOST_LOADS && chance.next() < 0.3)
      ? await tell('/loads', newLoad())
      : await tell(`/loads/${one.id}`, chance.of([{ do: 'load', filmOnBoard: true }, { do: 'start', pass: one.pass }, { do: 'stop' }, { do: 'came off clean' }, { do: 'take out' }])); // prettier-ignore
  for (const load of answer?.loads ?? [])
    acknowledged.set(load.id, Math.max(acknowledged.get(load.id) ?? 0, farOf(load)));
}

spawnSync(`${root}node_modules/.bin/vite`, ['build', 'server', '--logLevel', 'error'], { cwd: root, stdio: 'inherit' });
let server = await start();
try {
  for (let time = 1; time <= times; time++) {
    const acknowledged = new Map<string, number>();
    for (const load of (await state())?.loads ?? []) acknowledged.set(load.id, farOf(load));
    const gone = new Promise((done) => server.once('exit', done));
    setTimeout(() => server.kill('SIGKILL'), chance.next() * LONGEST_MS);
    while (server.exitCode === null && server.signalCode === null) await work(acknowledged);
    await gone;
    server = await start();
    const loads = (await state())?.loads ?? [];
    if (new Set(loads.map(({ id }) => id)).size < loads.length) wrong.push(`kill ${time}: a load is there twice`);
    for (const [id, far] of acknowledged) {
      const there = loads.find((load) => load.id === id);
      // What is over goes from the list in time, the oldest first.
      if (!there && far < 3) wrong.push(`kill ${time}: ${id} is gone`);
      if (there && farOf(there) < far) wrong.push(`kill ${time}: ${id} went back to “${there.state}”`);
      if (there && !(there.doneMm >= 0 && there.doneMm <= there.totalMm + 1e-6)) wrong.push(`kill ${time}: ${id} is cut by ${there.doneMm} of ${there.totalMm} mm`); // prettier-ignore
    }
    if (time % 20 === 0) process.stdout.write(`${time} kills, ${wrong.length} wrong\n`);
  }
} finally {
  server.kill('SIGKILL');
  rmSync(data, { recursive: true, force: true });
}
for (const one of wrong) process.stdout.write(`${one}\n`);
process.stdout.write(`${times - new Set(wrong.map((one) => one.split(':')[0])).size} of ${times} kills lost nothing that was answered for; ${sent} loads\n`); // prettier-ignore
process.exitCode = wrong.length > 0 ? 1 : 0;

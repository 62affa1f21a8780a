// npm run fuzz -- [--cases 2000] [--seed 1] [--only svg]: what strangers' files may hold, read by whatever reads them.
import { type ChildProcess, fork } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { chanceOf } from './cases.ts';
import { TARGETS } from './targets.ts';

/** ms that a case may take; what takes longer is a hang. */
const LIMIT_MS = 8000;
/**
 * ms after which what reads it gives it up by itself and says so: `stores/incoming.ts`, `core-client.ts`, `cli/src/main.ts`.
 * What is given up so is counted apart; it is no hang, and nothing was read.
 */
const GIVEN_UP_MS = new Map([
  ['svg', 8000],
  ['dxf', 8000],
  ['font', 8000],
  ['picture', 30_000],
  ['project', 20_000],
  ['command line', 120_000],
]);
const { values } = parseArgs({ options: { cases: { type: 'string', default: '2000' }, seed: { type: 'string', default: '1' }, only: { type: 'string' }, keep: { type: 'string', default: 'fuzz-finds' } } }); // prettier-ignore
const [cases, seed] = [Number(values.cases), Number(values.seed)];
const chosen = TARGETS.flatMap((target, i) => (!values.only || target.name === values.only ? [i] : []));
const lots = chosen.flatMap((i) => Array.from({ length: TARGETS[i]!.weight }, () => i));

type Answer = { wrong: string | null; ms: number; heap: number } | { ready: true };
const done = new Map<string, number>();
const finds = new Map<string, { target: number; seed: number; wrong: string; count: number }>();
const givenUp = new Map<string, number>();
let next = 0;
let slowest = 0;

function note(target: number, caseSeed: number, wrong: string): void {
  // One of a kind: what is said, without its numbers and names, and where.
  const kind = `${TARGETS[target]!.name}: ${wrong.split('\n').slice(0, 2).join(' ').replace(/\d+/g, '#').slice(0, 160)}`;
  const known = finds.get(kind);
  finds.set(kind, known ? { ...known, count: known.count + 1 } : { target, seed: caseSeed, wrong, count: 1 });
}

/** One that reads case by case; a new one takes over where it hangs or falls. */
function worker(): Promise<void> {
  return new Promise((over) => {
    let child: ChildProcess;
    let timer: ReturnType<typeof setTimeout>;
    let at: { target: number; seed: number } | null = null;
    const give = (): void => {
      if (next >= cases) {
        child.removeAllListeners();
        child.kill();
        over();
        return;
      }
      const caseSeed = seed * 1_000_003 + next++;
      at = { target: lots[caseSeed % lots.length]!, seed: caseSeed };
      const { name } = TARGETS[at.target]!;
      const patience = GIVEN_UP_MS.get(name);
      timer = setTimeout(() => {
        if (patience === undefined) note(at!.target, at!.seed, `it took longer than ${LIMIT_MS / 1000} s`);
        else givenUp.set(name, (givenUp.get(name) ?? 0) + 1);
        child.removeAllListeners();
        child.kill('SIGKILL');
        begin();
      }, patience ?? LIMIT_MS);
      child.send(at);
    };
    const begin = (): void => {
      child = fork(fileURLToPath(new URL('./child.ts', import.meta.url)), { execArgv: ['--import', 'tsx', '--max-old-space-size=1500'], stdio: ['ignore', 'ignore', 'ignore', 'ipc'] }); // prettier-ignore
      child.on('message', (answer: Answer) => {
        if (!('ready' in answer) && at) {
          clearTimeout(timer);
          const { name } = TARGETS[at.target]!;
          done.set(name, (done.get(name) ?? 0) + 1);
          slowest = Math.max(slowest, answer.ms);
          if (answer.wrong) note(at.target, at.seed, answer.wrong);
          if (next % 1000 === 0) process.stdout.write(`${next} of ${cases}, ${finds.size} finds\n`);
        }
        give();
      });
      child.on('exit', () => {
        clearTimeout(timer);
        if (at) note(at.target, at.seed, 'the process fell');
        begin();
      });
    };
    begin();
  });
}

await Promise.all(Array.from({ length: Math.max(1, cpus().length) }, worker));
for (const [name, count] of [...done].sort()) process.stdout.write(`${name.padEnd(14)} ${count}\n`);
for (const [name, count] of givenUp)
  process.stdout.write(
    `${name.padEnd(14)} ${count} given up after ${GIVEN_UP_MS.get(name)! / 1000} s, in words, as the product does\n`,
  );
for (const [kind, { target, seed: caseSeed, wrong, count }] of finds) {
  mkdirSync(values.keep, { recursive: true });
  const made = TARGETS[target]!.make(chanceOf(caseSeed));
  const file = join(values.keep, `${TARGETS[target]!.name.replace(/ /g, '-')}-${caseSeed}.bin`);
  writeFileSync(file, made);
  process.stdout.write(`\n${count} × ${kind}\n${wrong}\n→ ${file}\n`);
}
process.stdout.write(`${[...done.values()].reduce((a, b) => a + b, 0)} cases, ${finds.size} kinds of finds, slowest ${slowest.toFixed(0)} ms\n`); // prettier-ignore
process.exitCode = finds.size > 0 ? 1 : 0;

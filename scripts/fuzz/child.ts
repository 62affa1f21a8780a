import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import process from 'node:process';
import { chanceOf } from './cases.ts';
import { TARGETS } from './targets.ts';

const folder = mkdtempSync(join(tmpdir(), 'mivet-fuzz-'));
const file = join(folder, 'case.json');
const write = (text: string): string => {
  writeFileSync(file, text);
  return file;
};
const KEYS = Object.getOwnPropertyNames(Object.prototype).join();

/** Does one case of a target after the other, as it is told, and says how each went. */
process.on('message', ({ target, seed }: { target: number; seed: number }) => {
  void (async () => {
    const { make, read } = TARGETS[target]!;
    const chance = chanceOf(seed);
    const began = performance.now();
    let wrong: string | null = null;
    try {
      await read(make(chance), chance, write);
      if (Object.getOwnPropertyNames(Object.prototype).join() !== KEYS)
        throw new Error('every object has something new');
    } catch (problem) {
      wrong =
        problem instanceof Error
          ? (problem.stack ?? problem.message).split('\n').slice(0, 5).join('\n')
          : String(problem);
    }
    process.send!({ wrong, ms: performance.now() - began, heap: process.memoryUsage().heapUsed });
  })();
});
process.send!({ ready: true });

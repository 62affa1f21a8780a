import { fork } from 'node:child_process';
import process from 'node:process';
import { fileURLToPath } from 'node:url';

/** s that a command may take: what real work needs on a slow machine, many times over. */
const LIMIT_S = Number(process.env['MIVET_LIMIT_S'] ?? 120) || 120;

const atWork = fork(fileURLToPath(new URL('./at-work.ts', import.meta.url)), process.argv.slice(2), {
  stdio: 'inherit',
});
const limit = setTimeout(() => {
  process.stderr.write(`mivet: It took longer than ${LIMIT_S} s and was stopped. Files that were written by then are whole. Look for what makes it so heavy, or give it longer with MIVET_LIMIT_S=SECONDS.\n`); // prettier-ignore
  process.exitCode = 2;
  atWork.kill('SIGKILL');
}, 1000 * LIMIT_S);
atWork.once('exit', (code) => {
  clearTimeout(limit);
  process.exitCode ??= code ?? 2;
});

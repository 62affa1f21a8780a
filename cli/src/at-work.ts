import process from 'node:process';
import { run } from './run.ts';

/** Does a command in a process of its own, so that `main.ts` can give it up. */
try {
  process.exitCode = await run(process.argv.slice(2), {
    out: (text) => process.stdout.write(text),
    err: (text) => process.stderr.write(text),
  });
} catch (problem) {
  const detail = problem instanceof Error ? (problem.stack ?? problem.message) : String(problem);
  process.stderr.write(`mivet: Something in the file is not as it should be, and Mivet did not foresee it. Nothing that you have was changed.\nFor whoever mends it: ${detail}\n`); // prettier-ignore
  process.exitCode = 2;
}

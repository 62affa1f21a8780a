// npm run -s mivet -- …: the command line, with paths meant from where it was called.
import { spawnSync } from 'node:child_process';
import process from 'node:process';
import { root, tool } from './setup.mjs';

const cwd = process.env['INIT_CWD'] ?? process.cwd();
const done = spawnSync(tool('tsx'), [`${root}cli/src/main.ts`, ...process.argv.slice(2)], { cwd, stdio: 'inherit' });
process.exit(done.status ?? 2);

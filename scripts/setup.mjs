// Installs what the repository needs, once, and again when the lock file changes. Imported or run by every command.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import process from 'node:process';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));

/** Runs a command in the repository; ends the process with its code when it fails. */
export function must(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.error) {
    process.stderr.write(`${command} cannot be run: ${done.error.message}\n`);
    process.exit(1);
  }
  if (done.status !== 0) process.exit(done.status ?? 1);
}

const stampFile = `${root}node_modules/.mivet-installed`;
const stamp = createHash('sha256')
  .update(readFileSync(`${root}package-lock.json`))
  .digest('hex');
const installed = existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp;
if (!installed) {
  const major = Number(process.versions.node.split('.')[0]);
  if (major < 20) {
    process.stderr.write(`Mivet needs Node 20 or newer; this is ${process.versions.node}.\n`);
    process.exit(1);
  }
  process.stderr.write('Installing packages, once…\n');
  must('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'], {
    env: { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
    stdio: ['ignore', 2, 2],
  });
  writeFileSync(stampFile, stamp);
}

/** Path of a tool that a package installed. */
export const tool = (name) => `${root}node_modules/.bin/${name}`;

import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';

/** The folder of the whole project. */
export const root = fileURLToPath(new URL('..', import.meta.url));

/** The app as it is delivered, on a server of its own with the demo. */
export interface AppServer {
  readonly base: string;
  /** ms from its start until it answered. */
  readonly startedMs: number;
  readonly stop: () => void;
}

/**
 * Builds the app and starts a server for it.
 *
 * @param port that nothing else has
 * @throws Error where it does not answer within ten seconds
 */
export async function serveApp(port: number): Promise<AppServer> {
  for (const part of ['app', 'server'])
    spawnSync(`${root}node_modules/.bin/vite`, ['build', part, '--logLevel', 'error'], { cwd: root, stdio: 'inherit' });
  const from = performance.now();
  const env = { ...process.env, PORT: String(port), MIVET_DATA: mkdtempSync(join(tmpdir(), 'mivet-served-')) };
  const server = spawn(process.execPath, ['server/dist/main.js', '--demo'], { cwd: root, env, stdio: 'ignore' });
  const base = `http://127.0.0.1:${port}`;
  for (let attempt = 0; attempt < 1000; attempt++) {
    const up = await fetch(`${base}/api/config`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (up) return { base, startedMs: performance.now() - from, stop: () => void server.kill('SIGKILL') };
    await new Promise((done) => setTimeout(done, 10));
  }
  server.kill('SIGKILL');
  throw new Error(`The server did not answer at ${base} within ten seconds.`);
}

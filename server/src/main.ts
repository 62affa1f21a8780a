import type { Server } from 'node:http';
import process from 'node:process';
import { fileURLToPath } from 'node:url';
import { FolderInUse, keepIn, type CutterKeeping } from './cutter/memory.ts';
import { cutterRoutes } from './routes/cutter.ts';
import { makeServer } from './serve.ts';

const HOST = process.env['HOST'] ?? '127.0.0.1';
const FIRST_PORT = Number(process.env['PORT'] ?? 5180);
const folder = fileURLToPath(new URL('../../app/dist', import.meta.url));
const demo = process.argv.includes('--demo');
const dataFolder = process.env['MIVET_DATA'] ?? fileURLToPath(new URL('../data', import.meta.url));
const faster = Number(process.env['MIVET_CUTTER_FASTER'] ?? 1);
const cutter = cutterRoutes(keepingOf(dataFolder), Number.isFinite(faster) && faster > 0 ? faster : 1);

/** The cutter's memory; a folder that another server works with ends this one, before anything is served. */
function keepingOf(data: string): CutterKeeping {
  try {
    return keepIn(data);
  } catch (problem) {
    if (!(problem instanceof FolderInUse)) throw problem;
    process.stderr.write(`${problem.message}\n`);
    process.exit(1);
  }
}
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => process.exit(0));

/** Listens on the first free port from `port` on; a port that was asked for by name is taken or refused. */
function listen(port: number): void {
  const server: Server = makeServer({ folder, demo, cutter }).listen(port, HOST);
  server.once('error', (problem: NodeJS.ErrnoException) => {
    if (problem.code === 'EADDRINUSE' && !process.env['PORT'] && port < FIRST_PORT + 20) listen(port + 1);
    else {
      process.stderr.write(`Mivet cannot listen on ${HOST}:${port}: ${problem.message}\n`);
      process.exitCode = 1;
    }
  });
  server.once('listening', () => process.stdout.write(`Mivet is at http://${HOST}:${port}/\n`));
}
listen(FIRST_PORT);

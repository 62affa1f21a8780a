// npm run demo: installs, builds, starts the server with the demo data and prints the address.
import process from 'node:process';
import { must, tool } from './setup.mjs';

must(tool('vite'), ['build', 'app', '--logLevel', 'warn']);
must(tool('vite'), ['build', 'server', '--logLevel', 'warn']);
must(process.execPath, ['server/dist/main.js', '--demo', ...process.argv.slice(2)]);

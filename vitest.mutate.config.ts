import process from 'node:process';
import { defineConfig } from 'vitest/config';

// Tests near the rules that are changed; laws and whole jobs would take days.
const rooms = (process.env['MUTATE_ROOMS'] || 'material proof stack seam pieces load bench').split(' ');
export default defineConfig({
  test: { testTimeout: 40_000, include: rooms.map((room) => `core/src/${room}/**/*.test.ts`) },
});

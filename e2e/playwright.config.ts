import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

const PORT = 5199;

export default defineConfig({
  testDir: '.',
  testMatch: '**/*.e2e.ts',
  outputDir: './results',
  // Speed is measured in benches; a flow has time on the slowest machine too.
  timeout: 150_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  retries: 0,
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // Saved files are read by the tests; nothing of a run should come from an older one's cache.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        // A page of a test lives for seconds: the last stage of compiling would take more time than it gives back.
        '--js-flags=--no-turbofan',
      ],
    },
  },
  webServer: {
    command: `npx tsx ../server/src/main.ts --demo`,
    env: { PORT: String(PORT), MIVET_DATA: mkdtempSync(join(tmpdir(), 'mivet-e2e-')), MIVET_CUTTER_FASTER: '60' },
    url: `http://127.0.0.1:${PORT}/api/config`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});

import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Browser } from '@playwright/test';

/** A browser of its own on a profile of its own, which can be killed; the port that it chose stands in the profile. */
export async function startBrowser(profile: string): Promise<{ browser: Browser; kill: () => Promise<void> }> {
  const portFile = join(profile, 'DevToolsActivePort');
  rmSync(portFile, { force: true });
  const started = spawn(
    '/usr/bin/chromium',
    [
      '--headless=new',
      '--no-sandbox',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      'about:blank',
    ],
    { stdio: 'ignore', detached: true },
  );
  const kill = async (): Promise<void> => {
    const gone = new Promise((done) => started.once('exit', done));
    process.kill(-started.pid!, 'SIGKILL');
    await gone;
    await new Promise((done) => setTimeout(done, 300));
  };
  for (let attempt = 0; ; attempt++) {
    try {
      const port = readFileSync(portFile, 'utf8').split('\n')[0];
      return { browser: await chromium.connectOverCDP(`http://127.0.0.1:${port}`), kill };
    } catch (problem) {
      if (attempt > 240) {
        await kill();
        throw problem;
      }
      await new Promise((done) => setTimeout(done, 250));
    }
  }
}

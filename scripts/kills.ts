// npm run kills -- [--times 100] [--seed 1]: the browser is killed at a random moment of the work; nothing older than a
// second may be lost, and nothing may be half-written.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import { checkDocument, type Project } from '@mivet/core';
import type { Page } from '@playwright/test';
import { startBrowser } from '../e2e/support/killable.ts';
import { recordsOf } from '../e2e/support/records.ts';
import { serveApp } from './app-server.ts';
import { chanceOf } from './fuzz/cases.ts';

/** ms for which a change may not be on the disk yet. */
const MAY_BE_LOST_MS = 1000;
/** ms at most between the first change and the kill. */
const LONGEST_MS = 2500;

const { values } = parseArgs({ options: { times: { type: 'string', default: '100' }, seed: { type: 'string', default: '1' } } }); // prettier-ignore
const times = Number(values.times);
const chance = chanceOf(Number(values.seed));
const server = await serveApp(5196);
const profile = mkdtempSync(join(tmpdir(), 'mivet-kills-'));
const wrong: string[] = [];
let youngest = 0;

/** The number that the words of the project end in, and everything that is wrong with what is kept. */
function lastKept(rows: readonly { document: unknown }[], time: number): number {
  if (rows.length === 0) wrong.push(`kill ${time}: no project is left`);
  for (const { document } of rows) {
    const read = checkDocument(document);
    if (!read.ok) wrong.push(`kill ${time}: a project cannot be read: ${JSON.stringify(read.problem)}`);
  }
  const project = rows.find(({ document }) => (document as Project).id === 'demo-tumbler')?.document as Project;
  const words = project.items.find((item) => item.type === 'text');
  return Number(/(\d+)$/.exec(words?.type === 'text' ? words.text : '')?.[1] ?? -1);
}

/** A new page of the running browser at the project that is worked on. */
async function opened(path = '/project/demo-tumbler/artwork'): Promise<Page> {
  const page = await running.browser.contexts()[0]!.newPage();
  await page.goto(`${server.base}${path}`);
  return page;
}

let n = 0;
let running = await startBrowser(profile);
const first = await opened('/projects');
await first.getByRole('link', { name: /Stroke seat/ }).waitFor();
await first.waitForTimeout(1500);
const projects = (await recordsOf(first, 'projects')).length;
try {
  for (let time = 1; time <= times; time++) {
    const page = await opened();
    await page
      .getByRole('button', { name: /STROKE|OAR/ })
      .first()
      .click();
    const words = page.getByLabel('Words', { exact: true });
    await words.waitFor();
    const made: { n: number; at: number }[] = [];
    const end = performance.now() + chance.next() * LONGEST_MS;
    while (performance.now() < end) {
      n += 1;
      await words.fill(`OAR ${n}`);
      made.push({ n, at: performance.now() });
      await page.waitForTimeout(chance.below(160));
    }
    const killedAt = performance.now();
    await running.kill();
    running = await startBrowser(profile);
    // What the page had no time to save is taken up when the project is opened.
    const again = await opened();
    await again
      .getByRole('button', { name: /STROKE|OAR/ })
      .first()
      .waitFor();
    await again.waitForTimeout(300);
    const rows = await recordsOf<{ document: unknown }>(again, 'projects');
    if (rows.length !== projects) wrong.push(`kill ${time}: ${rows.length} projects of ${projects}`);
    const kept = lastKept(rows, time);
    const lost = made.filter((one) => one.n > kept);
    const oldest = lost.length > 0 ? killedAt - lost[0]!.at : 0;
    youngest = Math.max(youngest, oldest);
    if (oldest > MAY_BE_LOST_MS) wrong.push(`kill ${time}: a change of ${oldest.toFixed(0)} ms before is lost`);
    await again.close();
    if (time % 10 === 0) process.stdout.write(`${time} kills, ${wrong.length} wrong\n`);
  }
} finally {
  await running.kill().catch(() => undefined);
  server.stop();
  rmSync(profile, { recursive: true, force: true });
}
for (const one of wrong) process.stdout.write(`${one}\n`);
process.stdout.write(`${times - new Set(wrong.map((one) => one.split(':')[0])).size} of ${times} kills lost nothing older than a second; the oldest change that was lost was made ${youngest.toFixed(0)} ms before\n`); // prettier-ignore
process.exitCode = wrong.length > 0 ? 1 : 0;

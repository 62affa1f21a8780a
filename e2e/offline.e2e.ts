import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { expect, test, type Page } from '@playwright/test';
import { keepIn } from '../server/src/cutter/memory.ts';
import { cutterRoutes } from '../server/src/routes/cutter.ts';
import { makeServer } from '../server/src/serve.ts';
import { download, goTo, openDemo, saved, setField, text, unzip } from './support/app.ts';

test.use({ serviceWorkers: 'allow' });

/** Waits until everything is there that is needed without a connection. */
const keptForOffline = (page: Page): Promise<void> =>
  expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state))
    .toBe('activated');

test('without a connection everything works; what is sent to the cutter waits, also through a reload, and goes once', async ({
  page,
  context,
}) => {
  await openDemo(page, 'demo-fleet-bottle', 'cut');
  const toCutter = page.getByRole('button', { name: 'Send to the cutter' });
  await expect(toCutter).toBeEnabled();
  await keptForOffline(page);
  await page.reload();
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'One load' })).toBeVisible();
  await expect(toCutter).toBeEnabled();
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  expect(text(files[Object.keys(files).find((name) => name.endsWith('.svg'))!])).toContain('<path');
  await toCutter.click();
  await expect(page.getByText(/One load waits here to be sent/)).toBeVisible();
  await goTo(page, 'Proof');
  await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
  await page.goto('/practice');
  await expect(page.getByRole('heading', { level: 1, name: 'Practice' })).toBeVisible();
  await page.goto('/project/demo-fleet-bottle/cut');
  await expect(toCutter).toBeEnabled();
  await context.setOffline(false);
  // It went by itself, and the cutter has it once.
  await expect
    .poll(() =>
      page.evaluate(
        async () =>
          ((await (await fetch('/api/cutter')).json()) as { loads: { title: string }[] }).loads.filter(({ title }) =>
            title.includes('Boats'),
          ).length,
      ),
    ) // prettier-ignore
    .toBe(1);
  await toCutter.click();
  await expect(page.getByText(/waits? here to be sent/)).toHaveCount(0);
  await expect(page.getByText('These loads are with the cutter already; they were not sent again.')).toBeVisible();
});

test('a newer version waits until it is taken, and what was done is there afterwards', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'mivet-app-'));
  const data = mkdtempSync(join(tmpdir(), 'mivet-cutter-'));
  cpSync('app/dist', folder, { recursive: true });
  const cutter = cutterRoutes(keepIn(data), 60);
  const server = makeServer({ folder, demo: true, cutter }).listen(0, '127.0.0.1');
  try {
    await new Promise((listening) => server.once('listening', listening));
    const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
    await page.goto(`${base}/project/demo-mug/measure`);
    await keptForOffline(page);
    await page.reload();
    await setField(page, 'Name of the project', 'Mugs, first words');
    const newer = `${readFileSync(join(folder, 'sw.js'), 'utf8')}\n// newer\n`;
    writeFileSync(join(folder, 'sw.js'), newer);
    writeFileSync(join(folder, 'sw.js.br'), brotliCompressSync(newer));
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update());
    const notice = page.getByText('A newer Mivet is ready.');
    await expect(notice).toBeVisible();
    await setField(page, 'Name of the project', 'Mugs, last words');
    await page.getByRole('button', { name: 'Reload' }).click();
    await expect(notice).toHaveCount(0);
    await expect(page.getByRole('textbox', { name: 'Name of the project' })).toHaveValue('Mugs, last words');
    await saved(page);
  } finally {
    server.close();
    server.closeAllConnections();
    cutter.switchOff();
    for (const made of [folder, data]) rmSync(made, { recursive: true, force: true });
  }
});

import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { openDemo, saved, visit } from './support/app.ts';
import { startBrowser } from './support/killable.ts';

/** Gives what is kept so much room, in bytes; as much as there is where nothing is said. */
async function room(page: Page, bytes?: number): Promise<void> {
  const line = await page.context().newCDPSession(page);
  await line.send('Storage.overrideQuotaForOrigin', {
    origin: new URL(page.url()).origin,
    ...(bytes === undefined ? {} : { quotaSize: bytes }),
  });
}

/** Everything that the browser has written of what pages note in it. */
function notedOnDisk(profile: string): string {
  const folder = join(profile, 'Default', 'Local Storage', 'leveldb');
  return readdirSync(folder)
    .filter((name) => /\.(log|ldb)$/.test(name))
    .map((name) => readFileSync(join(folder, name), 'latin1'))
    .join('');
}

test('on a full disk the work goes on, is said not to be kept, and is kept as soon as there is room', async ({
  page,
}) => {
  await openDemo(page, 'demo-mug', 'artwork');
  await page.getByRole('button', { name: 'Tansy' }).click();
  await room(page, 1);
  const words = page.getByLabel('Words', { exact: true });
  const full = page.getByRole('alert').filter({ hasText: 'could not be kept in this browser; the disk may be full' });
  // A browser looks at its room now and then only.
  let n = 0;
  await expect(async () => {
    await words.fill(`Sorrel ${++n}`);
    await expect(full).toBeVisible({ timeout: 2500 });
  }).toPass();
  await expect(page.getByText(/^Saved \d\d:\d\d$/)).toBeHidden();
  await words.fill('Sorrel B');
  // A new project is made, worked on and listed all the same.
  await visit(page, '/projects');
  await page.getByRole('article').first().getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByRole('heading', { name: /\(copy\)/ })).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'could not be kept' })).toBeVisible();
  // Another project is open: its file would not be the one that is missing.
  await page.getByRole('heading', { name: 'Cox’s goblet' }).click();
  const missing = page.getByRole('alert').filter({ hasText: 'could not be kept' });
  await expect(missing.getByRole('button', { name: 'Save to a file' })).toHaveCount(0);
  await missing.getByRole('link', { name: 'Open it' }).click();
  await expect(missing.getByRole('button', { name: 'Save to a file' })).toBeVisible();
  await visit(page, '/projects');
  await room(page);
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: /\(copy\)/ })).toBeVisible();
  await page.goto('/project/demo-mug/artwork');
  await expect(page.getByRole('button', { name: 'Sorrel B' })).toBeVisible();
});

test('a database that was damaged opens, says what is gone, and a backup is a step away', async ({ baseURL }) => {
  const profile = mkdtempSync(join(tmpdir(), 'mivet-damaged-'));
  let { browser, kill } = await startBrowser(profile);
  try {
    const page = await browser.contexts()[0]!.newPage();
    await page.goto(`${baseURL}/projects`);
    await expect(page.getByRole('heading', { name: 'Stroke seat’s tumbler' })).toBeVisible();
    await page.waitForFunction(() => localStorage.getItem('mivet-demo-seen') !== null);
    const kept = await page.getByRole('article').count();
    await page.goto(`${baseURL}/project/demo-tumbler/artwork`);
    await page.getByLabel('Words or a name').fill('COXSWAIN');
    await page.getByRole('button', { name: 'Place it' }).click();
    await saved(page);
    // The browser writes what is noted beside the database seconds later: a kill before that is another story.
    await expect
      .poll(() => notedOnDisk(profile), { timeout: 90_000 })
      .toMatch(new RegExp(`mivet-kept.{0,6}${kept}`, 's'));
    await kill();

    const folder = join(profile, 'Default', 'IndexedDB');
    const store = readdirSync(folder).find((name) => name.includes('127.0.0.1') && name.endsWith('.leveldb'))!;
    for (const file of readdirSync(join(folder, store)))
      if (/^(MANIFEST|CURRENT)|\.(log|ldb)$/.test(file)) writeFileSync(join(folder, store, file), 'not what it was');

    ({ browser, kill } = await startBrowser(profile));
    const again = await browser.contexts()[0]!.newPage();
    await again.goto(`${baseURL}/projects`);
    await expect(again.getByText(/projects that were kept in this browser are not here any more/)).toContainText(
      String(kept),
    );
    await again.getByRole('link', { name: 'To the backups' }).click();
    await expect(again.getByRole('heading', { name: 'Backup' })).toBeVisible();
    // What is made from now on is kept.
    await again.getByRole('button', { name: 'Load the demo' }).click();
    await again.goto(`${baseURL}/project/demo-tumbler/artwork`);
    await expect(again.getByRole('button', { name: 'COXSWAIN' })).toHaveCount(0);
  } finally {
    await kill().catch(() => undefined);
    rmSync(profile, { recursive: true, force: true });
  }
});

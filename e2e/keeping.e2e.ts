import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { expect, test } from '@playwright/test';
import { startBrowser } from './support/killable.ts';
import { download, goTo, openDemo, openProjects, saved, setField, storeLike } from './support/app.ts';

test('a browser that is killed has lost nothing that it said was saved', async ({ baseURL }) => {
  const profile = mkdtempSync(join(tmpdir(), 'mivet-kill-'));
  let { browser, kill } = await startBrowser(profile);
  try {
    const page = await browser.contexts()[0]!.newPage();
    await page.goto(`${baseURL}/projects`);
    await expect(page.getByRole('heading', { name: 'Stroke seat’s tumbler' })).toBeVisible();
    await page.goto(`${baseURL}/project/demo-tumbler/artwork`);
    await page.getByLabel('Words or a name').fill('COXSWAIN');
    await page.getByRole('button', { name: 'Place it' }).click();
    await page.getByLabel('Words', { exact: true }).fill('COX 1');
    await saved(page);
    await kill();

    ({ browser, kill } = await startBrowser(profile));
    const again = await browser.contexts()[0]!.newPage();
    await again.goto(`${baseURL}/project/demo-tumbler/artwork`);
    await expect(again.getByRole('button', { name: 'COX 1' })).toBeVisible();
  } finally {
    await kill().catch(() => undefined);
    rmSync(profile, { recursive: true, force: true });
  }
});

test('a reload keeps the work, and undo and redo go through it', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'artwork');
  await page.getByRole('button', { name: 'Tansy' }).click();
  await setField(page, 'Width', '40 mm');
  await expect(page.getByText(/pieces?, 40 × /)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/pieces?, 49\.2 × /)).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByText(/pieces?, 40 × /)).toBeVisible();
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Tansy' }).click();
  await expect(page.getByText(/pieces?, 40 × /)).toBeVisible();
});

test('a change made in the last moment before the page is left is there afterwards', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'artwork');
  await page.getByRole('button', { name: 'Tansy' }).click();
  await page.getByLabel('Words', { exact: true }).fill('Sorrel');
  // What stands in a field that nobody has left counts too.
  await page.getByRole('textbox', { name: 'Width', exact: true }).fill('40');
  await page.goto('/shelf');
  await page.goto('/project/demo-mug/artwork');
  await page.getByRole('button', { name: 'Sorrel' }).click();
  await expect(page.getByText(/pieces?, 40 × /)).toBeVisible();
});

test('words that are not added yet wait through other stops and a reload', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'log');
  const note = page.getByLabel('What you want to remember');
  await note.fill('Squeegee twice at the handle');
  await goTo(page, 'Artwork');
  await page.getByLabel('Words or a name').fill('MEADOWSWEET');
  await goTo(page, 'Log');
  await expect(note).toHaveValue('Squeegee twice at the handle');
  await page.reload();
  await page.getByRole('button', { name: 'Add to the log' }).click();
  await expect(note).toHaveValue('');
  await expect(page.getByText('Squeegee twice at the handle')).toBeVisible();
  await page.reload();
  await expect(note).toHaveValue('');
  await goTo(page, 'Artwork');
  await expect(page.getByLabel('Words or a name')).toHaveValue('MEADOWSWEET');
});

test('a second tab sees what the first one saved', async ({ page, context }) => {
  await openDemo(page, 'demo-mug', 'artwork');
  const other = await context.newPage();
  await other.goto('/project/demo-mug/artwork');
  await expect(other.getByRole('button', { name: 'Tansy' })).toBeVisible();
  await page.getByRole('button', { name: 'Tansy' }).click();
  await page.getByLabel('Words', { exact: true }).fill('Bryony');
  await expect(other.getByRole('button', { name: 'Bryony' })).toBeVisible();
});

/** Records of a backup by what they are, out of its ZIP. */
function backupIn(bytes: Uint8Array): { [kind: string]: { id: string }[] } {
  const kinds: { [kind: string]: { id: string }[] } = {};
  for (const [name, file] of Object.entries(unzipSync(new Uint8Array(bytes))).sort()) {
    const kind = /^(\w+)\/\d+\.json$/.exec(name)?.[1];
    if (kind) (kinds[kind] ??= []).push(JSON.parse(strFromU8(file)));
  }
  return kinds;
}

test('a backup brings everything back as it was', async ({ page }) => {
  await openProjects(page);
  await page.getByRole('link', { name: 'My way' }).click();
  const written = readFileSync(await (await download(page, 'Write a backup')).path());
  const before = backupIn(written);
  expect(before.projects).toHaveLength(14);
  await page.getByRole('link', { name: 'Projects', exact: true }).click();
  for (const name of [
    /Crew mug/,
    /Stroke seat/,
    /goblet/,
    /Lane 3/,
    /pot/,
    /Bow-seat/,
    /balloon/,
    /Pair/,
    /Crest/,
    /Boats/,
    /Heron/,
    /beakers/,
    /flag glasses/,
    /Prize box/,
  ]) {
    const card = page.getByRole('article').filter({ has: page.getByRole('heading', { name }) });
    await card.getByRole('button', { name: 'Delete' }).click();
    await card.getByRole('button', { name: 'Delete' }).click();
  }
  await expect(page.getByText('What do you have in your hand?')).toBeVisible();
  await page.getByRole('link', { name: 'My way' }).click();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: written });
  const dialog = page.getByRole('dialog', { name: 'Restore a backup' });
  await expect(dialog.getByText('14 new')).toBeVisible();
  await dialog.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByText(/: 14 projects are back/)).toBeVisible();
  const after = backupIn(readFileSync(await (await download(page, 'Write a backup')).path()));
  const byId = (list: { id: string }[]): { id: string }[] => [...list].sort((a, b) => a.id.localeCompare(b.id));
  expect(byId(after.projects!)).toEqual(byId(before.projects!));
  expect(byId(after.stock!)).toEqual(byId(before.stock!));
  // A part of it: what was deleted comes back, what was changed since stays beside what it was.
  await page.getByRole('link', { name: 'Projects', exact: true }).click();
  const heron = page.getByRole('article').filter({ has: page.getByRole('heading', { name: /Heron/ }) });
  await heron.getByRole('button', { name: 'Delete' }).click();
  await heron.getByRole('button', { name: 'Delete' }).click();
  await expect(heron).toHaveCount(0);
  await storeLike(page, 'demo-prize', (document) => ({ ...document, id: 'demo-prize', name: 'Prize box, two lids' }));
  await page.reload();
  await page.getByRole('link', { name: 'My way' }).click();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: written });
  await expect(dialog.getByText('1 new, 12 the same as here, 1 differs')).toBeVisible();
  for (const kind of ['Blanks', 'Stock', 'Logbook', 'How you work']) await dialog.getByRole('checkbox', { name: kind }).uncheck(); // prettier-ignore
  await dialog.getByRole('combobox', { name: /^Prize box.*: keep$/ }).selectOption('Both');
  await expect(dialog.getByText('2 come back. Nothing that is here is deleted.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Restore' }).click();
  await page.getByRole('link', { name: 'Projects', exact: true }).click();
  await expect(heron).toHaveCount(1);
  await expect(page.getByRole('heading', { name: 'Prize box, two lids' })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Prize box.*\(from backup\)$/ })).toBeVisible();
  await page.getByRole('link', { name: 'My way' }).click();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'holiday.json', mimeType: 'application/json', buffer: Buffer.from('{"a":1}') });
  await expect(
    page.getByText(
      'holiday.json: The file is not a Mivet project, blank, font, motif, piece of stock, entry of the logbook or backup. Nothing was changed.',
    ),
  ).toBeVisible();
});

test('what an older version kept in this browser opens as it is', async ({ page }) => {
  await openProjects(page);
  // As version 1 wrote them: a day in the place of the fit check, and no price, picture or other colour on the shelf.
  await page.evaluate(async () => {
    const open = indexedDB.open('mivet');
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
    const tx = db.transaction(['projects', 'shelf'], 'readwrite');
    for (const name of ['projects', 'shelf']) {
      const all = tx.objectStore(name).getAll();
      all.onsuccess = () => {
        for (const row of all.result) {
          const document = name === 'projects' ? row.document : row;
          document.version = 1;
          for (const key of ['fitCheck', 'stations', 'stationsAlong', 'flattening', 'balloon', 'readingLog'])
            Reflect.deleteProperty(document.blank, key);
          document.blank.fitCheckedOn = null;
          delete document.price;
          delete document.variantOf;
          delete document.photo;
          tx.objectStore(name).put(row);
        }
      };
    }
    await new Promise((done) => (tx.oncomplete = done));
    db.close();
  });
  await page.goto('/shelf');
  await expect(page.getByRole('article')).toHaveCount(12);
  await page.getByRole('button', { name: 'Change Crew mug' }).click();
  await expect(page.getByLabel('Cost each')).toHaveValue('');
  await page.goto('/project/demo-tumbler/flat');
  await expect(page.getByRole('button', { name: 'It is wrapped' })).toBeVisible();
  await expect(page.getByText('276.0 mm along the rim edge', { exact: true })).toBeVisible();
});

test('notes in the log stay with the project', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'log');
  await page.getByLabel('What you want to remember').fill('Second strip lifted at the lap');
  await page.locator('.choice').getByText('So-so', { exact: true }).click();
  await page.getByRole('button', { name: 'Add to the log' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByText('Second strip lifted at the lap')).toBeVisible();
  await goTo(page, 'Measure');
});

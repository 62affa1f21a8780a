import { expect, test, type Page } from '@playwright/test';
import { Buffer } from 'node:buffer';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { download, goTo, openDemo, setField, unzip } from './support/app.ts';
import { demoProjects } from '../app/src/demo/demo.ts';
import { cutFilms, partsOf, pathPoints, pathsIn, toTemplate } from './support/rewrap.ts';

/** A font of the person's own: any file serves, and this one is at hand. */
const quill = readFileSync(
  createRequire(import.meta.url).resolve('@fontsource/zilla-slab/files/zilla-slab-latin-600-normal.woff'),
);

/** Brings the font in for the words that are selected. */
async function bringQuill(page: Page): Promise<void> {
  await page.locator('input[type=file]').first().setInputFiles({ name: 'quill.woff', mimeType: 'font/woff', buffer: quill }); // prettier-ignore
  await expect(page.getByText('Each letter is a piece of its own.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Quill');
  await page.getByLabel('Where it is from', { exact: true }).fill('Cut by a friend');
  await page.getByLabel('May you use it?').selectOption('Yes, I may');
  await page.getByRole('button', { name: 'Add the font' }).click();
  await expect(page.getByLabel('Font', { exact: true })).toHaveValue(/^own-/);
}

/** Drops a file on the page. */
async function dropFile(page: Page, name: string, content: string): Promise<void> {
  const dataTransfer = await page.evaluateHandle(
    ([named, text]) => {
      const carried = new DataTransfer();
      carried.items.add(new File([text], named, { type: 'application/json' }));
      return carried;
    },
    [name, content] as const,
  );
  await page.locator('main').dispatchEvent('drop', { dataTransfer });
}

/** Heights on the template of all outlines that are cut, mm. */
async function cutHeights(page: Page): Promise<number[]> {
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  return cutFilms(files)
    .flatMap(({ svg }) => partsOf(svg))
    .flatMap(({ svg }) => pathsIn(svg).map((d) => ({ svg, d })))
    .flatMap(({ svg, d }) => d.split(/(?=M)/).map((one) => pathPoints(one).map((p) => toTemplate(svg, p)[1])))
    .map((ys) => Math.max(...ys) - Math.min(...ys));
}

test('a font of one’s own is kept with its source, cuts the words, and travels in the project’s file', async ({
  page,
}) => {
  await openDemo(page, 'demo-pair', 'artwork');
  await page.getByRole('button', { name: 'COX' }).click();
  await bringQuill(page);
  await setField(page, 'Capital height', '20 mm');
  await goTo(page, 'Cut');
  // X is flat above and below: 20 mm as asked, on both mugs; O stands over a little on both sides.
  const heights = await cutHeights(page);
  expect(heights.filter((h) => Math.abs(h - 20) < 0.05)).toHaveLength(2);

  // After a reload it is still there, and the file that is saved brings it along.
  await page.reload();
  await goTo(page, 'Log');
  const saved = JSON.parse(readFileSync(await (await download(page, 'Save to a file')).path(), 'utf8')) as {
    carried: { fonts: { name: string; source: string; rights: string; data: string }[] };
  };
  expect(saved.carried.fonts).toMatchObject([{ name: 'Quill', source: 'Cut by a friend', rights: 'allowed' }]);
  expect(Buffer.from(saved.carried.fonts[0]!.data, 'base64').equals(quill)).toBe(true);
});

test('where a browser keeps nothing, a font of one’s own sets and cuts words all the same', async ({ page }) => {
  // As in a private window of some browsers, for the page and for each of its workers.
  const refuses = "IDBFactory.prototype.open = () => { throw new DOMException('not allowed', 'SecurityError'); };";
  await page.addInitScript(refuses);
  await page.route(/\.worker-[^/]*\.js$/, async (route) => {
    const script = await route.fetch();
    await route.fulfill({ response: script, body: `${refuses}\n${await script.text()}` });
  });
  await page.goto('/projects');
  await expect(page.getByText('This browser does not let Mivet keep anything').first()).toBeVisible();
  const pair = demoProjects(new Date().toISOString()).find(({ id }) => id === 'demo-pair')!;
  await dropFile(page, 'pair.json', JSON.stringify(pair));
  await page.getByRole('article').getByRole('heading', { name: pair.name }).click();
  await goTo(page, 'Artwork');
  await page.getByRole('button', { name: 'COX' }).click();
  await bringQuill(page);
  await setField(page, 'Capital height', '20 mm');
  await goTo(page, 'Cut');
  // X, on both mugs.
  expect((await cutHeights(page)).filter((h) => Math.abs(h - 20) < 0.05)).toHaveLength(2);

  // On a page that knows nothing of it yet, the file brings it along, and it is not missing there either.
  const save = page.getByRole('alert').getByRole('button', { name: 'Save to a file' });
  const [written] = await Promise.all([page.waitForEvent('download'), save.click()]);
  const file = readFileSync(await written.path(), 'utf8');
  await page.goto('/projects');
  await dropFile(page, 'again.json', file);
  await page.getByRole('article').getByRole('heading', { name: pair.name }).click();
  await goTo(page, 'Cut');
  expect((await cutHeights(page)).filter((h) => Math.abs(h - 20) < 0.05)).toHaveLength(2);
});

test('a drawing is kept among the motifs, and comes to rest on the rim line and in front when it is dragged', async ({
  page,
}) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  const otter =
    '<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="10mm" viewBox="0 0 40 10"><rect width="20" height="10" fill="#0f4c5c"/><rect x="30" width="1" height="1" fill="#0f4c5c"/></svg>';
  await page.locator('input[type=file]').first().setInputFiles({ name: 'otter.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(otter) }); // prettier-ignore
  await expect(page.getByText('Leave off one speck')).toBeVisible();
  await page.getByLabel('Add to my motifs').check();
  await page.getByRole('button', { name: 'Place it' }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  // Found again by its name, after a reload, and placed with one click.
  await page.reload();
  await page.getByLabel('Find a motif').fill('otter');
  await page.getByRole('button', { name: 'otter', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'otter' })).toBeVisible();

  const piece = page.locator('svg.flat [data-item]').last();
  const box = (await piece.boundingBox())!;
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  // Up until the guides say that its top is on the rim line.
  const held = page.locator('.said .held', { hasText: 'top on rim line' });
  for (let y = from.y; y > from.y - 400 && (await held.count()) === 0; y -= 2) {
    await page.mouse.move(from.x + 1, y);
    await page.waitForTimeout(20);
  }
  await expect(held).toBeVisible();
  await expect(page.locator('.guides')).toContainText('9.0 mm');
  await expect(page.locator('.said')).toContainText('at the front');
  await page.mouse.up();
  await expect(page.locator('.guides')).toHaveCount(0);
  await expect(page.getByLabel('Centred')).toHaveValue('front');
  // 15 mm from the drinking edge, of which the band leaves off six.
  await page.getByRole('radiogroup', { name: 'Counted from' }).getByText('rim', { exact: true }).click();
  await expect(page.getByLabel('Top below the rim line')).toHaveValue('9.0 mm');
});

import { expect, test, type Page } from '@playwright/test';
import { barriers } from './support/axe.ts';
import { download, goTo, openDemo, setField, text, unzip } from './support/app.ts';

/** Corners of the outline that has most of them in the files that are cut. */
async function corners(page: Page): Promise<number> {
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  const cut = Object.entries(files).filter(([name]) => /load.*\.svg$/.test(name)).map(([, bytes]) => text(bytes)); // prettier-ignore
  const outlines = cut.flatMap((svg) => [...svg.matchAll(/ d="([^"]+)"/g)].map(([, data]) => data!));
  return Math.max(...outlines.map((data) => (data.match(/[MLHVACQ]/gi) ?? []).length));
}

test('a star on a ball passes the forecast, tents when it is laid by computation, and lies with the slits that are found', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await openDemo(page, 'demo-lane', 'artwork');
  await page.getByRole('button', { name: '3', exact: true }).first().click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await page.getByLabel('Find a motif').fill('star');
  await page.getByRole('button', { name: 'Star', exact: true }).click();
  await setField(page, 'Width', '44 mm');
  await expect(page.getByRole('radio', { name: /^Deep water/ })).toBeChecked();
  await goTo(page, 'Cut');
  const before = await corners(page);
  await goTo(page, 'Proof');
  await expect(page.getByText('The star tents where it lies')).toBeVisible({ timeout: 90_000 });
  const card = page.getByRole('article').filter({ hasText: 'The star tents where it lies' });
  await expect(card).toContainText('This took the place of the forecast');

  // It is seen laid, in two ways side by side: from one end it tents far more.
  await card.getByRole('button', { name: 'See it laid' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Beside it').selectOption('From one end');
  const tallest = dialog.getByText(/the tallest by/);
  await expect(tallest).toHaveCount(2, { timeout: 60_000 });
  await expect(dialog.getByText(/Laying it|more finely/)).toHaveCount(0, { timeout: 60_000 });
  const [best, worst] = (await tallest.allTextContents()).map((said) => Number(/by ([\d.]+)/.exec(said)![1]));
  expect(worst!).toBeGreaterThan(2 * best!);
  expect(await barriers(page, 'all', '.modal')).toEqual([]);

  // Pressed by hand at three of its points first, it tents more than from its middle; slit in time, less.
  await dialog.getByLabel('Beside it').selectOption('Nothing beside it');
  await dialog.getByText('By your strokes').click();
  const pad = dialog.getByRole('application', { name: /^The sheet, flat/ });
  const box = (await pad.boundingBox())!;
  for (const [x, y] of [
    [0.5, 0.15],
    [0.1, 0.4],
    [0.72, 0.85],
  ] as const) {
    // prettier-ignore
    await page.mouse.move(box.x + x * box.width, box.y + y * box.height);
    await page.mouse.down();
    await page.mouse.move(box.x + x * box.width + 12, box.y + y * box.height, { steps: 3 });
    await page.mouse.up();
  }
  const tallestNow = async (): Promise<number> => {
    const working = await dialog.getByText(/Laying it|more finely/).count();
    return working > 0 ? NaN : Number(/by ([\d.]+)/.exec((await tallest.textContent())!)![1]);
  };
  await expect.poll(tallestNow).toBeGreaterThan(1.5 * best!);
  const spoilt = await tallestNow();
  for (let i = 0; i < 3; i += 1) await dialog.getByRole('button', { name: 'Take back' }).click();
  // By keys: down where the thumb was last, and lifted: begun at one point only.
  await pad.press('Space');
  await pad.press('ArrowUp');
  await pad.press('Space');
  await expect.poll(tallestNow).toBeLessThan(spoilt);
  await dialog.getByRole('radiogroup').getByText('From one end').click();
  await expect.poll(tallestNow).toBe(worst!);
  await dialog.getByLabel(/^Its \d+ slits/).selectOption('Open from the start');
  await expect.poll(tallestNow).toBeLessThan(worst!);
  await dialog.getByRole('button', { name: 'Close' }).click();
  // The bench shows where air will stand.
  await goTo(page, 'Bench');
  await page.getByRole('button', { name: 'Go to: Press from the middle out' }).first().click();
  await expect(page.getByText('Expect air here: leave it a way out to the edge')).toBeVisible();
  await goTo(page, 'Proof');

  const slit = card.getByRole('button', { name: /^Slit it \d+ times/ });
  const count = Number(/(\d+) times/.exec((await slit.textContent())!)![1]);
  await slit.click();
  await expect(page.getByText('The star tents where it lies')).toBeHidden();
  await expect(page.getByText(/will fail$/)).toBeHidden({ timeout: 90_000 });
  await goTo(page, 'Cut');
  const after = await corners(page);
  // Each slit is a notch: its two lips and its point.
  expect(after - before).toBeGreaterThanOrEqual(2 * count);
});

test('letters that go on together on one sheet of tape are held by it, and lie worse than each by itself', async ({
  page,
}) => {
  await openDemo(page, 'demo-cup', 'proof');
  await page.getByRole('button', { name: 'See it laid' }).first().click({ timeout: 90_000 });
  const dialog = page.getByRole('dialog');
  const said = dialog.locator('figcaption');
  await expect(said).toContainText('Nothing stands off.');
  await expect(said).not.toContainText('more finely');
  await dialog.getByText('All of it on its tape').click();
  await expect(said).toContainText(/place stands off, the tallest by 0\.1 mm/);
  await expect(dialog.getByRole('img', { name: /^On the blank, from its middle outwards/ })).toBeVisible();
});

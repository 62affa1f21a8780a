import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
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
  await expect(tallest).toHaveCount(2);
  await expect(dialog.getByText(/Laying it|more finely/)).toHaveCount(0, { timeout: 60_000 });
  const [best, worst] = (await tallest.allTextContents()).map((said) => Number(/by ([\d.]+)/.exec(said)![1]));
  expect(worst!).toBeGreaterThan(2 * best!);
  const { violations } = await new AxeBuilder({ page }).include('.modal').withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await dialog.getByRole('button', { name: 'Close' }).click();

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

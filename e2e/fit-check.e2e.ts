import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { download, goTo, openDemo, saved, setField } from './support/app.ts';
import { pathPoints } from './support/rewrap.ts';

/** Width and height of the outline in the template file that the app writes, mm. */
async function writtenOutline(page: Page): Promise<[number, number]> {
  const file = await download(page, 'Save as SVG');
  const svg = readFileSync(await file.path(), 'utf8');
  const points = pathPoints(/id="outline" d="([^"]+)"/.exec(svg)![1]!);
  const span = (of: 0 | 1): number => Math.max(...points.map((p) => p[of])) - Math.min(...points.map((p) => p[of]));
  return [span(0), span(1)];
}
const see = (page: Page, group: string, option: string): Promise<void> =>
  page.getByRole('radiogroup', { name: group }).getByText(option, { exact: true }).click();

test('a fit paper that stops short puts the girth right, in the template that is written', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'flat');
  await expect(page.getByRole('heading', { name: 'A plain rectangle' })).toBeVisible();
  // The mean of 259, 259 and 10 3/16 in, less a tape of 0.4 mm, plus a film of 0.07 mm, less a handle of 22 mm.
  const girth = (259 + 259 + 258.7625) / 3 - Math.PI * 0.4 + Math.PI * 0.07;
  const before = await writtenOutline(page);
  expect(before[0]).toBeCloseTo(girth - 22, 2);
  expect(before[1]).toBeCloseTo(86, 2);

  const [sheet] = await Promise.all([
    page.waitForEvent('popup'),
    page.getByRole('button', { name: 'Print the fit paper' }).click(),
  ]);
  expect(sheet.url()).toMatch(/^blob:/);
  await expect(page.getByText('Opened for printing. Print at 100 %.')).toBeVisible();
  await page.getByRole('button', { name: 'It is wrapped' }).click();
  await see(page, 'At the rim, the ends', 'stop short');
  await setField(page, 'At the rim, by', '1/16 in');
  await see(page, 'At the base, the ends', 'stop short');
  await setField(page, 'At the base, by', '1.5875');
  await see(page, 'In front, the rim edge is', 'below it');
  await setField(page, 'In front, by', '0,8 mm');
  await expect(page.getByText('The way round is 1.6 mm more than the reading said.')).toBeVisible();
  await expect(page.getByText('The way down the side is 0.8 mm more than the reading said.')).toBeVisible();
  await page.getByRole('button', { name: 'Take these sizes' }).click();
  await expect(page.getByText('Checked on the cup')).toBeVisible();
  await saved(page);
  await page.reload();

  await expect(page.getByText('Checked on the cup')).toBeVisible();
  const after = await writtenOutline(page);
  expect(after[0] - before[0]).toBeCloseTo(1.5875, 2);
  expect(after[1] - before[1]).toBeCloseTo(0.8, 2);

  // Another go at a reading, and the check no longer counts until it is taken back or undone.
  await goTo(page, 'Measure');
  await expect(page.getByText('From the paper fit check')).toBeVisible();
  await page.getByRole('textbox', { name: 'Round the rim end of the band' }).fill('259.4');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The paper fit check no longer counts')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('From the paper fit check')).toBeVisible();
});

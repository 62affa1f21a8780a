import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { download, openProjects, setField } from './support/app.ts';

test('a shelf is searched, priced, written as a table, and a table comes in with its bad lines named', async ({
  page,
}) => {
  await openProjects(page);
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await page.getByRole('button', { name: 'Change Steel tumbler' }).click();
  await page.getByLabel('Cost each').fill('6,50');
  await page.getByLabel('Photograph', { exact: true }).setInputFiles('docs/screenshots/bench-phone.png');
  await expect(page.getByAltText('The blank as photographed')).toBeVisible();
  await page.getByRole('button', { name: 'Other colour' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Steel tumbler, other colour');
  await setField(page, 'Name', 'Steel tumbler, claret');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('article')).toHaveCount(13);
  await page.getByRole('searchbox', { name: 'Find a blank' }).fill('claret');
  await expect(page.getByRole('article')).toHaveCount(1);

  const table = readFileSync(await (await download(page, 'Save as a table')).path(), 'utf8');
  const lines = table.trim().split('\n');
  expect(lines).toHaveLength(14);
  const tumbler = lines.find((line) => line.startsWith('Steel tumbler,'))!;
  // Three goes at the rim: 10 7/8 in, 276 mm and 27.6 cm.
  expect(tumbler).toContain('276.225 mm | 276 mm | 276 mm');
  expect(tumbler).toContain(',6.5,');

  const bringIn = (name: string, text: string): Promise<void> =>
    page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await bringIn('more.csv', 'name,kind,rim girth,side\nQuay mug,straight,10 1/4,95 mm\nBall,spherical,250,\n');
  await expect(page.getByText('more.csv: 1 blank on the shelf. Line 3: “spherical” is no kind')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find a blank' }).fill('quay');
  // 10 1/4 in less the 0.4 mm tape: 260.35 − 1.26.
  await expect(page.getByRole('article')).toContainText('259.1 mm round');

  await page.reload();
  await expect(page.getByRole('article')).toHaveCount(14);
  await page.getByRole('button', { name: /^New project on Steel tumbler, claret/ }).click();
  await expect(page.getByRole('heading', { name: 'Artwork', exact: true })).toBeVisible();
});

import { expect, test } from '@playwright/test';
import { openProjects, read } from './support/app.ts';

const RIM = 'Round the rim end of the band';

test('bad readings get a clear line beside the field and break nothing', async ({ page }) => {
  const problems: string[] = [];
  page.on('pageerror', (error) => problems.push(error.message));
  await openProjects(page);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('button', { name: /^Tapered/ }).click();
  for (const [typed, says] of [
    ['', 'Nothing typed yet'],
    ['0', 'A reading of nothing'],
    ['-12', 'never below zero'],
    ['about a hand', 'is not a length'],
    ['1e9', 'is not a length'],
    ['1000000000', 'over ten metres'],
    ['10 3/0', 'is not a length'],
  ] as const) {
    await read(page, RIM, typed);
    await expect(page.getByText(says)).toBeVisible();
    await expect(page.getByRole('textbox', { name: RIM })).toHaveAttribute('aria-invalid', 'true');
  }
  await read(page, RIM, '276');
  await read(page, 'Round the base end of the band', '68');
  // 68 mm is the distance across: 68π = 213.6 mm.
  await expect(page.getByText('This looks like the distance across, not round')).toBeVisible();
  await page.getByRole('button', { name: 'Take 213.6 mm' }).click();
  await read(page, 'Down the side of the band', '168');
  await expect(page.getByText('This looks like the distance across, not round')).toBeHidden();
  await expect(page.getByText('167.7 mm straight up')).toBeVisible();
  expect(problems).toEqual([]);
});

test('repeat readings are averaged and a far-off one is noticed', async ({ page }) => {
  await openProjects(page);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('button', { name: /^Straight/ }).click();
  await read(page, RIM, '260');
  await page.getByRole('button', { name: RIM }).click();
  await read(page, RIM, '261');
  await expect(page.getByText('260.5 mm')).toBeVisible();
  await read(page, RIM, '27.4 cm');
  await expect(page.getByText('Your readings here are far apart')).toBeVisible();
  await page.getByRole('button', { name: 'Remove 27.4 cm' }).click();
  await expect(page.getByText('Your readings here are far apart')).toBeHidden();
});

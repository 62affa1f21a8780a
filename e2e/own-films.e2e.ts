import { expect, test } from '@playwright/test';
import { download, goTo, openDemo, text, unzip } from './support/app.ts';
import { cutFilms } from './support/rewrap.ts';

test('a film of one’s own is noted where it is chosen, cut from, kept with the project, and found in Stock', async ({
  page,
}) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  await page.getByRole('button', { name: 'STROKE' }).click();
  await page.getByRole('button', { name: 'New film' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Plum');
  await dialog.getByLabel('Colour').fill('#7a1f5c');
  await dialog.getByLabel('Finish').selectOption('glitter');
  await dialog.getByRole('button', { name: /^(Add|Save)$/ }).click();
  const plum = page.getByRole('radio', { name: /^Plum\b/ });
  await expect(plum).toHaveAttribute('aria-checked', 'true');
  await expect(plum).toContainText('glitter');
  await expect(plum).toContainText('5.00 m left');

  await goTo(page, 'Cut');
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  expect(cutFilms(files).map(({ film }) => film)).toContain('plum');
  expect(text(files['load-1.dxf'])).toContain('film-plum');
  expect(text(files['guide-1.svg'])).toContain('#7a1f5c');

  // In Stock it is as any other; changed there, the project says so and keeps its own until told otherwise.
  await page.goto('/stock');
  await page.getByRole('button', { name: 'Change Plum' }).click();
  await page.getByRole('dialog').getByLabel('Colour').fill('#20603a');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^(Add|Save)$/ })
    .click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.goto('/project/demo-tumbler/artwork');
  await page.getByRole('button', { name: 'STROKE' }).click();
  await expect(page.getByText('In Stock it is Plum, dark green, glitter by now')).toBeVisible();
  await page.getByRole('button', { name: 'Use it as it is in Stock' }).click();
  await expect(page.getByText('In Stock it is Plum')).toBeHidden();
  await expect(page.getByRole('radio', { name: /^Plum\b.*dark green/ })).toHaveAttribute('aria-checked', 'true');
});

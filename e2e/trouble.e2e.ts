import { expect, test } from '@playwright/test';
import { download, goTo, openDemo, saved, storeLike, unzip } from './support/app.ts';
import { cutFilms, pathsIn } from './support/rewrap.ts';

test('a part that is pressed is dropped, kept, judged and not cut', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'artwork');
  await page.getByRole('button', { name: /^All \d+ motifs$/ }).click();
  await page.getByRole('button', { name: 'Laurel', exact: true }).click();
  // On a film of its own, so that it fuses with nothing.
  await page.getByRole('radio', { name: /^Chalk/ }).click();
  await page.getByRole('button', { name: 'Drop parts' }).click();
  const parts = page.getByRole('group', { name: /^Parts of it/ }).getByRole('button');
  await expect(parts.nth(2)).toBeVisible();
  const many = await parts.count();
  const cut = async (): Promise<number> => {
    await goTo(page, 'Cut');
    const files = await unzip(await download(page, 'Whole job as ZIP'));
    const paths = cutFilms(files).flatMap(({ svg }) => pathsIn(svg));
    return paths.join('').split('M').length - 1;
  };
  const before = await cut();
  await goTo(page, 'Artwork');
  await page.getByRole('button', { name: 'Drop parts' }).click();
  await parts.nth(1).click();
  await expect(page.getByText('1 dropped.')).toBeVisible();
  await saved(page);
  // Eight mugs, one part less on each.
  expect(before - (await cut())).toBe(8);
  await page.reload();
  await goTo(page, 'Artwork');
  await page.getByRole('button', { name: 'Laurel' }).first().click();
  await expect(page.getByText(`${many} parts. Press those to drop. 1 dropped.`)).toBeVisible();
});

test('a project that is too heavy holds nothing up, says what is heavy, and opens without being judged', async ({
  page,
}) => {
  await openDemo(page, 'demo-tumbler', 'measure');
  await storeLike(page, 'demo-tumbler', (document) => {
    const words = document.items.find(({ type }) => type === 'text');
    const items = Array.from({ length: 20 }, (_, i) => ({ ...words, id: `w${i}`, text: 'MANY WORDS', size: { by: 'cap', mm: 3 }, repeat: { mode: 'spaced', count: 200 } })); // prettier-ignore
    return { ...document, id: 'heavy', name: 'Confetti', items };
  });
  await page.goto('/project/heavy/artwork');
  await page.waitForTimeout(2000);
  // Another project is there at once, though the heavy one is still being worked out.
  await page.getByRole('link', { name: 'Projects', exact: true }).click();
  await page.getByRole('heading', { name: 'Stroke seat’s tumbler' }).click();
  await goTo(page, 'Proof');
  await expect(page.getByText('The readings agree')).toBeVisible({ timeout: 15_000 });
  await page.goto('/project/heavy/proof');
  await expect(page.getByText(/“MANY WORDS” 200 times comes to 1800 outlines, 19 more like it/)).toBeVisible({ timeout: 60_000 }); // prettier-ignore
  await expect(page.getByText('The readings agree')).toHaveCount(0);
  await page.getByRole('button', { name: 'Open without judging' }).click();
  await expect(page.getByText(/^Shown without “MANY WORDS”/).first()).toBeVisible({ timeout: 60_000 });
  await expect(page.locator('[data-item] .piece').first()).toBeAttached({ timeout: 60_000 });
});

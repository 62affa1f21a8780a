import { expect, test } from '@playwright/test';
import { boxAtRest, goTo, openDemo, setField } from './support/app.ts';

test('a finding is ringed, its fix works, and an accepted one stays accepted until its numbers change', async ({
  page,
}) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  await page.getByRole('button', { name: 'STROKE' }).click();
  await setField(page, 'Top below the rim line', '2');
  await goTo(page, 'Proof');
  await expect(page.getByRole('heading', { name: 'One thing to look at' })).toBeVisible();
  const finding = page.getByRole('article').filter({ hasText: 'too near the rim' });
  await finding.getByRole('button', { name: /Look at this/ }).click();
  await expect(page.locator('path.ring')).toBeVisible();

  await finding.getByRole('button', { name: 'Accept it' }).click();
  await finding.getByLabel('Why it is all right').fill('A vase, nobody drinks from it');
  await finding.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Ready to cut' })).toBeVisible();
  await goTo(page, 'Artwork');
  await setField(page, 'Top below the rim line', '4');
  await goTo(page, 'Proof');
  await expect(page.getByRole('heading', { name: 'One thing to look at' })).toBeVisible();

  // The band starts 6 mm below the drinking edge and film keeps 15 mm off it: 9 mm on the band, 5 more than now.
  await page.getByRole('button', { name: 'Move down 5.0 mm' }).click();
  await expect(page.getByRole('heading', { name: 'Ready to cut' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'One thing to look at' })).toBeVisible();
});

test('dragging on the flat moves the item on the side, and the numbers follow', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  const letter = page.locator('[data-item="demo-stroke"] .piece').first();
  // The stage settles when the seam window has come in.
  await expect(page.getByRole('region', { name: 'Seam window' })).toBeVisible();
  const box = await boxAtRest(letter);
  const [x, y] = [box.x + 5, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 30, { steps: 6 });
  await page.mouse.up();
  const field = page.getByRole('textbox', { name: 'Top below the rim line' });
  await expect(field).not.toHaveValue('42.0 mm');
  const moved = parseFloat(await field.inputValue());
  expect(moved).toBeGreaterThan(50);
  // Straight down: it still faces the front.
  await expect(page.getByLabel('Centred')).toHaveValue('front');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'STROKE' }).click();
  await expect(field).toHaveValue('42.0 mm');
});

test('the pointer over the flat marks the same spot on the blank, and keys work without a mouse', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  const flat = page.getByRole('img', { name: /Flat template/ });
  const box = (await flat.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await expect(page.locator('g.spot')).toBeVisible();
  await page.getByRole('button', { name: 'STROKE' }).click();
  await page.getByRole('heading', { name: 'STROKE', exact: true }).click();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('textbox', { name: 'Top below the rim line' })).toHaveValue('52.0 mm');
  await page.keyboard.press('4');
  await expect(page).toHaveURL(/proof$/);
  await page.keyboard.press('?');
  await expect(page.getByText('Turn the blank 15°')).toBeVisible();
});

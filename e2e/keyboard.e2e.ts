import { readFileSync } from 'node:fs';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { pathsIn } from './support/rewrap.ts';

/** Times that Tab is pressed at most on the way to something. */
const FAR = 90;

/** Goes to something with Tab alone; backwards where that is how it is reached. */
async function reach(page: Page, what: Locator): Promise<void> {
  await what.waitFor();
  const there = (): Promise<boolean> => what.evaluate((element) => element === document.activeElement);
  for (let i = 0; i < FAR; i++) {
    if (await there()) break;
    await page.keyboard.press('Tab');
  }
  expect(await there(), `${String(what)} is reached by Tab`).toBe(true);
  // Whoever goes by keys sees where they are.
  const ring = await what.evaluate((element) => {
    const { outlineStyle, outlineWidth, boxShadow } = getComputedStyle(element);
    return (outlineStyle !== 'none' && parseFloat(outlineWidth) > 0) || boxShadow !== 'none';
  });
  expect(ring, `${String(what)} shows that it is focused`).toBe(true);
}

test('a cup is measured, filled, judged, cut and begun at the bench without a mouse', async ({ page }) => {
  await page.route('**/api/config', (route) => route.fulfill({ json: { demo: false } }));
  await page.goto('/projects');
  const button = (name: string | RegExp): Locator => page.getByRole('button', { name, exact: true }).first();
  const press = async (what: Locator, key = 'Enter'): Promise<void> => {
    await reach(page, what);
    await page.keyboard.press(key);
  };
  const type = async (label: string, keys: string): Promise<void> => {
    await reach(page, page.getByRole('textbox', { name: label }));
    await page.keyboard.type(keys);
  };
  await type('Name of the project', 'Tansy’s cup');
  await press(button(/^Tapered/));
  for (const [label, keys] of [
    ['Round the rim end of the band', '276'],
    ['Round the base end of the band', '216'],
    ['Down the side of the band', '168'],
  ] as const) {
    await type(label, keys);
    await page.keyboard.press('Enter');
  }
  const guide = page.getByRole('region', { name: 'Your first job' });
  await expect(guide).toContainText('Measured.');
  await press(guide.getByRole('link', { name: 'Go on to Artwork' }));
  await type('Words or a name', 'Tansy');
  await press(button('Place it'));
  await press(button('Done'));
  await press(button('Wave'));
  await expect(page.getByText('Closes at the seam')).toBeVisible();
  await press(guide.getByRole('link', { name: 'Go on to Proof' }));
  await expect(page.getByRole('heading', { name: /Ready to cut|to look at/ })).toBeVisible();
  await press(guide.getByRole('link', { name: 'Go on to Cut' }));
  const [saved] = await Promise.all([page.waitForEvent('download'), press(button('Write cut files'))]);
  expect(saved.suggestedFilename()).toMatch(/^tansys-cup.*\.svg$/);
  const paths = pathsIn(readFileSync(await saved.path(), 'utf8'));
  // Six letters and their holes, and the wave.
  expect(paths.length).toBeGreaterThanOrEqual(2);
  await press(page.getByRole('navigation', { name: 'Stops of the project' }).getByRole('link', { name: 'Bench' }));
  await expect(page.getByRole('heading', { level: 1, name: 'Lay everything out' })).toBeVisible();
  await press(page.getByRole('button', { name: 'Done, next' }));
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Lay everything out');
  await press(page.getByRole('link', { name: 'Projects', exact: true }));
  await expect(page.getByRole('heading', { name: 'Tansy’s cup' })).toBeVisible();
});

import { expect, test, type Locator } from '@playwright/test';
import { text, unzip } from './support/app.ts';
import { pathsIn } from './support/rewrap.ts';

/** s that a person takes: to find and press a thing, to press a key, to lay the tape and read it. */
const PACE = { press: 3, key: 0.35, tape: 15 };

test('a newcomer measures a tapered cup in inches and has cut files in 25 clicks and three minutes, led by the slip', async ({
  page,
}) => {
  await page.route('**/api/config', (route) => route.fulfill({ json: { demo: false } }));
  await page.goto('/projects');
  let [clicks, seconds] = [0, 0];
  const press = async (what: Locator): Promise<void> => {
    await what.click();
    clicks += 1;
    seconds += PACE.press;
  };
  const type = async (keys: string): Promise<void> => {
    await page.keyboard.type(keys);
    seconds += keys.length * PACE.key;
  };
  const button = (name: string | RegExp): Locator => page.getByRole('button', { name, exact: true }).first();
  const guide = page.getByRole('region', { name: 'Your first job' });

  await press(page.getByText('inch', { exact: true }));
  await press(page.getByLabel('Name of the project'));
  await type('Rowan’s cup');
  await press(button(/^Tapered/));
  await expect(page.getByLabel('Name of the project')).toHaveValue('Rowan’s cup');
  await expect(guide).toContainText('Begin with the readings');
  // Each reading is asked for by itself after the one before.
  for (const [label, keys] of [
    ['Round the rim end of the band', '10 7/8'],
    ['Round the base end of the band', '8 1/2'],
    ['Down the side of the band', '6 5/8'],
  ] as const) {
    await press(page.getByRole('textbox', { name: label }));
    await type(keys);
    await page.keyboard.press('Enter');
    seconds += PACE.tape;
  }
  await expect(guide).toContainText('Measured.');
  await press(guide.getByRole('link', { name: 'Go on to Artwork' }));
  await expect(guide).toContainText('Type a name, or press a motif');
  await press(page.getByLabel('Words or a name'));
  await type('Rowan');
  await press(button('Place it'));
  await press(button('Done'));
  await press(button('Wave'));
  await expect(page.getByText('Closes at the seam')).toBeVisible();
  await press(guide.getByRole('link', { name: 'Go on to Proof' }));
  // Nothing of it stands in the way.
  await expect(page.getByRole('heading', { name: /Ready to cut|to look at/ })).toBeVisible();
  await press(guide.getByRole('link', { name: 'Go on to Cut' }));
  await expect(guide).toContainText('Write cut files');
  const [saved] = await Promise.all([page.waitForEvent('download'), press(button('Write cut files'))]);
  expect(clicks).toBeLessThanOrEqual(25);
  expect(seconds).toBeLessThanOrEqual(180);

  // A name and a band that runs round, at the girths that were read.
  const name = saved.suggestedFilename();
  expect(name).toMatch(/^rowans-cup.*\.(svg|zip)$/);
  if (name.endsWith('.zip')) {
    const files = await unzip(saved);
    expect(Object.values(files).flatMap((bytes) => pathsIn(text(bytes))).length).toBeGreaterThanOrEqual(2);
  }
  // Whoever has cut once is not led again, unless asked for.
  await expect(guide).toBeHidden();
  await page.getByRole('button', { name: 'Help', exact: true }).click();
  await page.getByRole('button', { name: 'Guide me through a job' }).click();
  await expect(guide).toBeVisible();
});

test('the tour walks through the demo in five stops, and help opens at the stop one is on', async ({ page }) => {
  await page.route('**/api/config', (route) => route.fulfill({ json: { demo: false } }));
  await page.goto('/projects');
  await page.getByRole('button', { name: 'Tour of the demo, five stops' }).click();
  const tour = page.getByRole('region', { name: 'Tour' });
  for (const [i, stop] of ['Measure', 'Flat', 'Artwork', 'Proof', 'Cut'].entries()) {
    await expect(tour).toContainText(`Tour, ${i + 1} of 5`);
    await expect(page).toHaveURL(new RegExp(`/project/demo-tumbler/${stop.toLowerCase()}$`));
    await page.getByRole('button', { name: 'Help', exact: true }).click();
    const help = page.getByRole('dialog', { name: stop });
    await expect(help).toBeVisible();
    await expect(help.getByRole('listitem').first()).toBeVisible();
    await help.getByRole('button', { name: 'Close' }).click();
    await expect(help).toBeHidden();
    await tour.getByRole('button', { name: i < 4 ? 'Next stop' : 'Done' }).click();
  }
  await expect(tour).toBeHidden();
});

test('About says where data lives and under which licences everything ships', async ({ page }) => {
  await page.goto('/about');
  await expect(page.getByRole('heading', { name: 'Where your data lives' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^vue 3\.\d+\.\d+ MIT$/ })).toBeVisible();
  expect(await page.getByRole('row').count()).toBeGreaterThan(30);
});

import { expect, test } from '@playwright/test';
import { download, openDemo, openProjects } from './support/app.ts';
import { untilStep } from './support/bench.ts';
import { readFileSync } from 'node:fs';

test('the logbook shows what it has taught; what is accepted changes the minutes at the bench, and is put back', async ({
  page,
}) => {
  await openDemo(page, 'demo-tumbler', 'bench');
  await page.goto('/logbook');
  await expect(page.getByText(/\d+ things since/)).toBeVisible();
  const taught = page.getByRole('complementary', { name: 'What it has taught' });
  const piece = taught.getByRole('listitem').filter({ hasText: 'Weeding, each piece or counter' });
  await expect(piece).toContainText('60 times seen');
  // Who made this book up took 0.34 min for each piece.
  const told = Number(/(\d\.\d+) min/.exec((await piece.locator('strong').textContent())!)![1]);
  expect(told).toBeGreaterThan(0.29);
  expect(told).toBeLessThan(0.41);

  // Slower by half than what everybody begins with: the guide takes longer, says whose pace it is, and goes back.
  const minutes = async (): Promise<number> => {
    await page.goto('/project/demo-mug/bench');
    const words = page.getByText(/about \d+ min of work/);
    return Number(/about (\d+) min/.exec((await words.textContent({ timeout: 60_000 }))!)![1]);
  };
  const before = await minutes();
  await page.goto('/logbook');
  await piece.getByRole('button', { name: 'Use: Weeding, each piece or counter' }).click();
  await expect(page.getByText('From now on: weeding, each piece or counter, from 60 times seen.')).toBeVisible();
  const after = await minutes();
  expect(after).toBeGreaterThan(before);
  await expect(page.getByText('at your own pace, from 60 times seen')).toBeVisible();
  await page.goto('/logbook');
  await piece.getByRole('button', { name: 'Put back: Weeding, each piece or counter' }).click();
  expect(await minutes()).toBe(before);
  await expect(page.getByText('at your own pace')).toBeHidden();
});

test('entries are found, completed by hand, told of later, held side by side, and written as a table', async ({
  page,
}) => {
  await openProjects(page);
  await page.goto('/logbook');
  const entries = page.getByRole('region', { name: 'Entries' });
  await page.getByRole('button', { name: 'Write one', exact: true }).click();
  const entry = page.getByRole('complementary', { name: 'The entry' });
  await expect(entry.getByRole('heading', { name: 'Something I made' })).toBeVisible();
  await entry.getByLabel('What became of it').selectOption('sold');
  await entry.getByLabel('Price got').fill('18,5');
  await entry.getByLabel('Price got').press('Tab');
  await entry.getByLabel('Kind', { exact: true }).selectOption('bubble');
  const blank = entry.getByRole('application');
  const box = (await blank.boundingBox())!;
  await blank.click({ position: { x: box.width * 0.75, y: box.height * 0.9 } });
  await expect(entry.getByRole('listitem').filter({ hasText: 'bubble' })).toContainText('on the right, near the base');
  await blank.focus();
  await page.keyboard.press('Enter');
  await expect(entry.getByRole('listitem').filter({ hasText: 'bubble' }).nth(1)).toContainText(
    'in front, half way down',
  );
  await entry.getByLabel('How many').fill('12');
  await entry.getByRole('button', { name: 'Note it' }).click();
  await expect(entry.getByText('12 washes: held')).toBeVisible();

  await page.getByLabel('Find in the logbook').fill('something made bubble');
  await expect(entries.getByRole('listitem')).toHaveCount(1);
  await page.getByLabel('Find in the logbook').fill('');
  await page.getByLabel('What became of it').first().selectOption('redone');
  for (const row of await entries.getByRole('listitem').all()) await expect(row).toContainText('redone');
  await page.getByLabel('What became of it').first().selectOption('all');
  await entries.getByRole('checkbox').nth(0).check();
  await entries.getByRole('checkbox').nth(1).check();
  await page.getByRole('button', { name: 'Compare the two' }).click();
  const side = page.getByRole('dialog');
  await expect(side.getByRole('row').filter({ hasText: 'Price got' })).toContainText('18.5');
  await side.getByRole('button', { name: 'Close' }).last().click();

  const file = await download(page, 'Save as CSV');
  const text = readFileSync((await file.path())!, 'utf8');
  expect(text.split('\r\n').length).toBeGreaterThan(60);
  expect(text).toContain('Something I made');
});

test('what is made again like an entry is a project of its own on the same blank', async ({ page }) => {
  await openProjects(page);
  await page.goto('/logbook');
  const first = page.getByRole('region', { name: 'Entries' }).getByRole('listitem').first();
  const title = (await first.getByRole('button').first().textContent())!.trim();
  await first.getByRole('button', { name: 'Again like this' }).click();
  await expect(page.getByRole('navigation', { name: 'Stops of the project' })).toBeVisible();
  await expect(page.getByLabel('Name of the project')).toHaveValue(new RegExp(`^${title}`));
});

test('from a date to a finished flask and its entry; the next one of that coat goes by what was learnt, and says so', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.clock.install({ time: new Date('2026-12-01T09:00:00') });
  await openProjects(page);
  await page.getByRole('article').filter({ hasText: 'Crest on the flask' }).getByRole('button', { name: 'Hand-over' }).click(); // prettier-ignore
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Day').fill('2026-12-04');
  await dialog.getByLabel('Time').fill('12:00');
  await dialog.getByLabel('For', { exact: true }).selectOption('order');
  await dialog.getByLabel('Price').fill('34');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toBeHidden();
  await page.goto('/calendar');
  await expect(page.getByRole('button', { name: 'Crest on the flask', exact: true })).toBeVisible({ timeout: 60_000 });

  // Four minutes at every step; the coat is fast after 62 minutes, and lifts after 78.
  await page.goto('/project/demo-crest-flask/bench');
  const strip = page.getByRole('heading', { level: 1, name: 'Strip the coat' });
  let looked = false;
  await untilStep(page, 'All done', async () => {
    await page.clock.fastForward('00:04:00');
    if (looked || !(await strip.isVisible())) return;
    looked = true;
    await page.getByRole('button', { name: 'Start the wait' }).click();
    await page.clock.fastForward('01:02:00');
    await page.getByRole('button', { name: 'Not yet: 15 min more' }).click();
    await page.clock.fastForward('00:16:00');
  });
  expect(looked).toBe(true);
  await page.getByLabel('What fought you').fill('The corners of the crest');
  await page.getByRole('button', { name: 'Write it into the log' }).click();
  await page.getByRole('link', { name: 'See it in the logbook' }).click();
  const entry = page.getByRole('complementary', { name: 'The entry' });
  await expect(entry.getByRole('heading', { name: 'Crest on the flask' })).toBeVisible();
  await expect(entry).toContainText(/Coated flask, .*at the bench/);
  await expect(entry.getByLabel('What became of it')).toHaveValue('sold');
  await expect(entry.getByLabel('Price got')).toHaveValue('34');
  await entry.getByLabel('Ends apart by').fill('0');
  await entry.getByLabel('Ends apart by').press('Tab');
  await expect(entry.getByLabel('Ends apart by')).toHaveValue('0.0 mm');
  await entry.getByLabel('Kind of film').selectOption('gloss permanent');
  await entry.getByLabel('Pulled by, %').fill('1,2');
  await entry.getByRole('button', { name: 'Note the pull' }).click();
  await expect(entry.getByText('gloss permanent, 1.2 % longer: lay flat')).toBeVisible();

  // Half-way between the look that found it fast and the one that found it loose: 70 min, near an hour's start.
  await entry.getByRole('button', { name: 'Close the entry' }).click();
  const taught = page.getByRole('complementary', { name: 'What it has taught' });
  const dwell = taught.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Use: Dwell of stripper on #2f4a63' }) }); // prettier-ignore
  await expect(dwell).toContainText('1 time seen');
  const words = (await dwell.locator('strong').textContent())!;
  const [, hours, minutes] = /(?:(\d+) h)? ?(?:(\d+) min)?/.exec(words)!;
  const learnt = 60 * Number(hours ?? 0) + Number(minutes ?? 0);
  expect(learnt).toBeGreaterThan(60);
  expect(learnt).toBeLessThan(79);
  await dwell.getByRole('button', { name: /^Use:/ }).click();

  await page.goto('/projects');
  const card = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Crest on the flask' }) });
  await card.getByRole('button', { name: 'Copy', exact: true }).click();
  await page.getByRole('heading', { name: 'Crest on the flask (copy)' }).click();
  await page.getByRole('navigation', { name: 'Stops of the project' }).getByRole('link', { name: 'Measure' }).click();
  await expect(page.getByText('Last time on this blank')).toBeVisible();
  await expect(page.getByText(/Crest on the flask, .*: sold/)).toBeVisible();
  await page.getByRole('navigation', { name: 'Stops of the project' }).getByRole('link', { name: 'Bench' }).click();
  await page.getByRole('button', { name: 'Go to: Strip the coat' }).click();
  await expect(page.getByText(/learnt from 1 coat of this colour/)).toBeVisible();
  // Not the hour that everybody begins with, but the early end of what is to be expected, in quarters of an hour.
  await expect(page.getByText(/^Wait (15|30|45) min$/)).toBeVisible();
});

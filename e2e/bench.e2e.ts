import { readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { download, goTo, openDemo, saved, storeLike, text, unzip } from './support/app.ts';
import { barriers } from './support/axe.ts';
import { untilStep } from './support/bench.ts';
import { cutFilms, partsOf, pathsIn } from './support/rewrap.ts';

test('a coat is looked at three times, by the clock on the wall, through a reload, and its dwell is known the next time', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-10-03T09:00:00Z') });
  await openDemo(page, 'demo-crest-flask', 'bench');
  await untilStep(page, 'Strip the coat');
  await page.getByRole('button', { name: 'Start the wait' }).click();
  await expect(page.getByRole('timer')).toContainText(/59:5\d|1 h 0 min/);
  // On every page the wait is there, and what it is.
  await saved(page);
  await page.goto('/shelf');
  const tray = page.getByRole('complementary', { name: 'What is waiting' });
  await expect(tray).toContainText(/Stripper at work: look at it\s*59:[0-5]\d/);
  await tray.getByRole('button').click();
  await tray.getByRole('link', { name: /Stripper at work.*Crest on the flask/ }).click();
  await expect(page.getByRole('heading', { name: 'Strip the coat' })).toBeVisible();
  await page.clock.fastForward('01:02:00');
  await expect(page.getByRole('timer')).toHaveText('The wait is over.');
  await expect(page.getByText('Crest on the flask: stripper at work, time to look.')).toBeVisible();
  const notYet = page.getByRole('button', { name: 'Not yet: 15 min more' });
  await notYet.click();
  await expect(page.getByText(/Give it a quarter of an hour more/)).toBeVisible();
  await expect(page.getByRole('timer')).toContainText(/14:5\d left/);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Strip the coat' })).toBeVisible();
  await expect(page.getByRole('timer')).toContainText(/14:[345]\d left/);
  await page.clock.fastForward('00:16:00');
  await notYet.click();
  await page.clock.fastForward('00:16:00');
  // 62, then 16 and 16 minutes later: it lifts after 94 minutes, with every look stamped.
  await page.getByRole('button', { name: 'Done, next' }).click();
  await expect(page.getByRole('heading', { name: 'Rinse it' })).toBeVisible();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByText(/\d\d:\d\d no · \d\d:\d\d no · \d\d:\d\d yes/)).toBeVisible();
  await saved(page);
  // Another one of that coat: looked at first a quarter of an hour's step before that.
  await page.goto('/projects');
  const card = page.locator('article, li, .card').filter({ has: page.getByRole('heading', { name: 'Crest on the flask' }) }).last(); // prettier-ignore
  await card.getByRole('button', { name: 'Copy', exact: true }).click();
  await page.getByRole('heading', { name: 'Crest on the flask (copy)' }).click();
  await goTo(page, 'Bench');
  await untilStep(page, 'Strip the coat');
  await expect(page.getByText(/Coats of this colour took 9[45] min \(1 time\)/)).toBeVisible();
  await page.getByRole('button', { name: 'Look first after 90 min' }).click();
  await expect(page.getByRole('timer')).toContainText(/1 h (29|30) min left/);
});

test('a tapered wrap in two panels is taped twice, laid panel by panel, and cut in two', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'flat');
  await page.getByRole('radiogroup', { name: 'How many panels' }).getByText('2', { exact: true }).click();
  await goTo(page, 'Bench');
  await untilStep(page, 'Lay 2 panels, the front one first');
  await page.getByRole('button', { name: 'Why this, why here' }).click();
  await expect(page.getByText('It is cut in 2 panels.')).toBeVisible();
  await expect(page.getByText(/^It comes after “Hang it on the marks”/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^The middle first|^Then to/ })).toBeVisible();
  await goTo(page, 'Cut');
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  const parts = cutFilms(files).flatMap(({ svg }) => partsOf(svg).map(({ part }) => part));
  expect([...new Set(parts)].sort()).toEqual(['panel-1', 'panel-2']);
});

test('fourteen mugs go step by step; one is spoilt, is cut again by itself and comes through; a change of the project tells what it means', async ({
  page,
}) => {
  await openDemo(page, 'demo-cup', 'cut');
  const whole = async (): Promise<number> => {
    const files = await unzip(await download(page, 'Whole job as ZIP'));
    return cutFilms(files).reduce((sum, { svg }) => sum + pathsIn(svg).length, 0);
  };
  const many = page.getByRole('textbox', { name: 'How many to make' });
  await many.fill('14');
  await many.press('Enter');
  await expect(page.getByText(/^\d+ pieces/)).toBeVisible();
  await page.waitForTimeout(1500);
  const fourteen = await whole();
  await goTo(page, 'Bench');
  const grid = page.getByRole('region', { name: 'What is done on each' });
  await expect(grid.getByRole('row')).toHaveCount(15);
  await untilStep(page, /^Clean the (glass|blank)$/);
  await expect(page.getByText(/^1 of 14/)).toBeVisible();
  for (let i = 0; i < 8; i += 1) await page.getByRole('button', { name: /^Done, next/ }).click();
  await expect(page.getByText(/^9 of 14/)).toBeVisible();
  await expect(grid.getByRole('button', { name: /^Clean the .* 8: done$/ })).toBeVisible();
  await page.getByRole('button', { name: 'All 14 done' }).click();
  await expect(grid.getByRole('button', { name: /^Clean the .*: done$/ })).toHaveCount(14);
  // The ninth tears: it alone is open again, and is cut alone.
  await grid.getByRole('button', { name: /^What to do with .* 9$/ }).click();
  await page.getByRole('menuitem', { name: 'Make this one again' }).click();
  await expect(grid.getByRole('button', { name: /^Clean the .*: done$/ })).toHaveCount(13);
  const again = await download(page, 'Cut this one again');
  expect(again.suggestedFilename()).toMatch(/again-.*9\.svg$/);
  const svg = readFileSync(await again.path(), 'utf8');
  expect(pathsIn(svg)).toHaveLength(fourteen / 14);
  await expect(page.getByRole('button', { name: 'Cut this one again' })).toHaveCount(0);
  // Another put aside is passed by.
  await grid.getByRole('button', { name: /^What to do with .* 3$/ }).click();
  await page.getByRole('menuitem', { name: 'Put it aside' }).click();
  await expect(grid.getByText('put aside')).toBeVisible();
  // Words that are made larger have been taped in another size.
  await goTo(page, 'Artwork');
  await page.getByRole('textbox', { name: 'How many to make' }).fill('13');
  await page.getByRole('textbox', { name: 'How many to make' }).press('Enter');
  await goTo(page, 'Bench');
  await expect(page.getByText('The project was changed after you had done this:')).toBeVisible();
  await page.getByRole('button', { name: 'It stays as it is' }).first().click();
});

test('seven films come together, six by squares and one by hand, and the squares go before it is laid', async ({
  page,
}) => {
  await openDemo(page, 'demo-flags', 'cut');
  await storeLike(page, 'demo-tumbler', (document) => {
    const words = document.items.find(({ type }) => type === 'text') as unknown as { placement: object };
    const films = Array.from({ length: 7 }, (_, i) => ({
      ...document.films[0],
      id: `film-${i}`,
      name: `Film ${i + 1}`,
    }));
    const items = films.map(({ id }, i) => ({ ...words, id: `w${i}`, film: id, text: 'HHH', size: { by: 'cap', mm: 40 - 3 * i }, placement: { ...words.placement, facing: 'front', from: 'middle', mm: 0 } })); // prettier-ignore
    const marks = Object.fromEntries(films.map(({ id }, i) => [id, i === 3 ? 'by hand' : 'marks']));
    const stack = { ...document.stack, build: 'full', order: films.map(({ id }) => id), marks, lay: 'flat', levels: 'once' }; // prettier-ignore
    return { ...document, id: 'seven', name: 'Seven films', films, items, stack, laid: [] };
  });
  await page.goto('/project/seven/bench');
  await expect(page.getByText(/^\d+ steps, about/)).toBeVisible();
  const titles = await page.getByRole('listitem').getByRole('checkbox').evaluateAll((boxes) => boxes.map((box) => box.closest('li')!.textContent!.trim())); // prettier-ignore
  const layers = titles.filter((title) => title.startsWith('Layer '));
  expect(layers).toEqual(Array.from({ length: 6 }, (_, i) => `Layer ${i + 2} of 7: Film ${i + 2}`));
  const [squares, clean] = ['Cut the squares away', 'Clean the blank'].map((title) => titles.findIndex((one) => one.startsWith(title))); // prettier-ignore
  expect(squares).toBeGreaterThan(0);
  expect(squares).toBeLessThan(clean!);
  await untilStep(page, 'Layer 3 of 7: Film 3');
  await expect(page.getByText(/put squares on squares/)).toBeVisible();
  await untilStep(page, 'Layer 4 of 7: Film 4');
  await expect(page.getByText(/slide and aim over a slip of baking parchment/)).toBeVisible();
  await expect(page.getByText(/put squares on squares/)).toHaveCount(0);
});

test.describe('with a finger', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('a step is answered no, noted with a photograph, mended with its number, and goes on; the key for it is the same', async ({
    page,
  }) => {
    await openDemo(page, 'demo-tumbler', 'bench');
    const next = page.getByRole('button', { name: 'Done, next' });
    await next.tap();
    await expect(page.getByRole('heading', { name: 'Lay the film on the board' })).toBeVisible();
    await page.getByRole('button', { name: 'No', exact: true }).tap();
    await expect(page.getByText(/^Lift it and lay it again/)).toBeVisible();
    await page.getByRole('button', { name: 'Note or photograph' }).tap();
    await page.getByRole('textbox', { name: 'Note', exact: true }).fill('The board was damp.');
    await page.locator('input[type=file][capture]').setInputFiles('docs/screenshots/bench.png');
    await page.getByRole('button', { name: 'Keep', exact: true }).tap();
    await expect(page.getByRole('img', { name: 'The board was damp.' })).toBeVisible();
    const small = await page.getByRole('img', { name: 'The board was damp.' }).evaluate((img: HTMLImageElement) => Math.max(img.naturalWidth, img.naturalHeight)); // prettier-ignore
    expect(small).toBe(720);
    await untilStep(page, 'Lay one end and go round');
    await page.getByRole('button', { name: 'Went wrong' }).tap();
    await page.getByRole('button', { name: 'Film goes over the rim' }).tap();
    await page.getByRole('button', { name: 'Clear of the rim: 15.0 mm → 18.0 mm' }).tap();
    await expect(page.getByText(/^Changed: clear of the rim/)).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).tap();
    await page.waitForTimeout(600);
    // Large enough for a finger, and to be read at arm's length.
    for (const name of ['Back', 'Went wrong', /^Done, next/]) {
      const box = (await page.getByRole('button', { name }).boundingBox())!;
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
    }
    const letters = await page.locator('article .body').evaluate((p) => parseFloat(getComputedStyle(p).fontSize));
    expect(letters).toBeGreaterThanOrEqual(20);
    await goTo(page, 'Log');
    await page.waitForTimeout(400);
    await expect(page.getByText(/film goes over the rim\. Clear of the rim: 15\.0 mm → 18\.0 mm/i).first()).toBeAttached(); // prettier-ignore
  });
});

test('the bench by keyboard alone', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'bench');
  await expect(page.getByRole('heading', { level: 1, name: 'Lay everything out' })).toBeVisible();
  await page.locator('body').press(' ');
  await expect(page.getByRole('heading', { level: 1, name: 'Lay the film on the board' })).toBeVisible();
  await page.locator('body').press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1, name: /^Cut the film/ })).toBeVisible();
  await page.locator('body').press('ArrowLeft');
  await page.locator('body').press('w');
  await expect(page.getByRole('heading', { name: 'When it goes wrong' })).toBeVisible();
  await page.waitForTimeout(800);
  expect(await barriers(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'When it goes wrong' })).toHaveCount(0);
  // Nothing that lies on the artwork was moved by the arrows.
  await expect(page.getByRole('checkbox', { name: 'Lay everything out' })).toBeChecked();
});

test('a run is taken along as one file, is worked at from the disk, and its results come back', async ({
  page,
  context,
}) => {
  await openDemo(page, 'demo-crest-flask', 'bench');
  const file = await download(page, 'Save for the phone');
  const path = join(tmpdir(), `along-${Date.now()}.html`);
  await file.saveAs(path);
  const phone = await context.newPage();
  const requests: string[] = [];
  phone.on('request', (request) => requests.push(request.url()));
  await phone.setViewportSize({ width: 390, height: 844 });
  await phone.goto(`file://${path}`);
  await expect(phone.getByRole('heading', { name: 'Lay everything out' })).toBeVisible();
  await phone.getByRole('checkbox').first().check();
  for (let i = 0; i < 2; i += 1) await phone.getByRole('button', { name: 'Done, next' }).click();
  await expect(phone.getByRole('heading', { name: /^Cut the film/ })).toBeVisible();
  await expect(phone.getByRole('img')).toHaveCount(0);
  await phone.getByRole('button', { name: 'No', exact: true }).click();
  await phone.getByRole('textbox', { name: 'Note' }).fill('One step deeper came clean.');
  await phone.getByLabel('Photograph').setInputFiles('docs/screenshots/bench.png');
  await phone.getByRole('button', { name: 'Keep the note' }).click();
  await expect(phone.getByText('One step deeper came clean. (photograph)')).toBeVisible();
  // It is kept in two places; either is enough.
  for (const forget of [() => undefined, () => localStorage.clear()]) {
    await phone.evaluate(forget);
    await phone.reload();
    await expect(phone.getByText('One step deeper came clean. (photograph)')).toBeVisible();
  }
  await phone.getByRole('button', { name: 'Done, next' }).click();
  const results = await download(phone, 'Save the results');
  expect(requests.filter((url) => !url.startsWith('file:') && !url.startsWith('data:') && !url.startsWith('blob:'))).toEqual([]); // prettier-ignore
  const written = JSON.parse(text(new Uint8Array(readFileSync(await results.path())))) as { bench: { doneSteps: string[] } }; // prettier-ignore
  expect(written.bench.doneSteps).toHaveLength(4);

  const take = page.locator('section[aria-label="Take along"] input[type=file]');
  await take.setInputFiles(await results.path());
  await expect(page.getByText('“Crest on the flask”: 4 ticks and 1 photograph taken in.')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /^Cut the film/ })).toBeChecked();
  await page.getByRole('button', { name: /^Go to: Cut the film/ }).click();
  await expect(page.getByRole('img', { name: 'One step deeper came clean.' })).toBeVisible();
  await expect(page.getByText(/\d\d:\d\d no · \d\d:\d\d yes/)).toBeVisible();
  // Twice is once.
  await take.setInputFiles(await results.path());
  await expect(page.getByText(/\d\d:\d\d no · \d\d:\d\d yes$/)).toBeVisible();
});

import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { download, goTo, openDemo, openProjects, unzip, visit } from './support/app.ts';
import { barriers } from './support/axe.ts';
import { untilStep } from './support/bench.ts';

/** What is opened on a view before it is judged. */
const OPENED: { readonly [view: string]: string } = {
  '/shelf': 'Change Steel tumbler',
  '/project/demo-cup/flat': 'It is wrapped',
  '/stock': 'Change Deep water',
  '/project/demo-heron/cut': 'Film stack',
};
const VIEWS = [
  '/',
  '/projects',
  '/calendar',
  '/logbook',
  '/practice',
  '/practice/lay-wrap?task=1',
  '/practice/read-tape?task=1',
  '/practice/press-film?task=2',
  '/shelf',
  '/stock',
  '/my-way',
  '/together?projects=demo-mug,demo-lane',
  '/project/demo-heron/cut',
  '/project/demo-mug/bench',
  '/project/demo-cup/measure',
  '/project/demo-cup/flat',
  '/project/demo-lane/measure',
  '/glossary',
  '/about',
  '/project/demo-lane/flat',
  '/project/demo-lane/proof',
  '/project/demo-fleet-bottle/proof',
  '/project/demo-mug/cut',
  '/project/demo-mug/artwork',
  ...['measure', 'flat', 'artwork', 'proof', 'cut', 'bench', 'log'].map((s) => `/project/demo-tumbler/${s}`),
];

/** A desk, a tablet, a desk at twice the size, and a phone. */
const WIDTHS = [
  ['1280 px', 1280, 800],
  ['768 px', 768, 1024],
  ['1280 px at 200 %', 640, 400],
  ['390 px', 390, 844],
] as const;

/** Labels that made people stop; what they are called now is in their place. */
const STOPPED_AT = [
  ...['Leave it', 'Take away', 'Take out', 'Take off for good', 'Take it back', 'Good enough', 'Lay it closer'],
  ...['Plan it anew', 'Arrange anew', 'Capitals are high', 'Between letters', 'Line to line', 'Only shapes others'],
  ...['Film is what is', 'Up to which grey', 'How alike the ground is', 'Evened out', 'Specks left out', 'Times round'],
  ...['From one to the next', 'Room for scissors', 'Run on past the start', 'Blade has cut', 'A blade lasts'],
  ...[
    'Low under',
    'not to be told',
    'Put it in',
    'Put film in',
    'Put tape in',
    'Bring blanks in',
    'Stand there',
    'Nobody counts',
  ],
  ...['It costs', 'Gloves and such', 'Reckoned by', 'Daylight', 'As the device', 'Film keeps off', 'is wide by'],
  ...[
    'is thick by',
    'Round there',
    'Round it then',
    'Opens by',
    'Add a go',
    'three goes',
    'As usual',
    'As the font has it',
  ],
  ...['What you are judged by', 'What goes on it', 'Below nothing', 'Film that stays', 'Comes round', 'Has cut'],
  ...['Reaches under by', 'Capitals at least', 'Letters stand on', 'Its middle above', 'planned anew', 'At an angle'],
];

/** Views in lots, so that what a machine has of workers shares them; each is opened once and looked at in every way. */
const LOTS = [0, 1, 2, 3].map((lot) => VIEWS.filter((_, i) => i % 4 === lot));
for (const [lot, views] of LOTS.entries())
  test(`every view is accessible and lies well at every width, in both themes, and speaks plainly in inches, lot ${lot + 1} of ${LOTS.length}`, async ({
    page,
  }) => {
    test.setTimeout(300_000);
    await openProjects(page);
    await page.evaluate(() => localStorage.setItem('mivet-theme', 'system'));
    await page.reload();
    // Colours are judged as they come to rest, however slowly they would get there.
    await page.addStyleTag({
      content: '*, ::before, ::after { transition: none !important; animation: none !important }',
    });
    const found: string[] = [];
    for (const view of views) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await visit(page, view);
      for (const [at, width, height] of WIDTHS) {
        await page.setViewportSize({ width, height });
        // On a phone the slip is another one, with nothing opened on it.
        const fresh = width === 1280 || (width === 390 && view.includes('/project/'));
        if (OPENED[view] && fresh)
          await page
            .getByRole('button', { name: OPENED[view] })
            .or(page.getByRole('tab', { name: OPENED[view] }))
            .click();
        // Pictures arrive a little later than their view.
        await page.waitForTimeout(width === 1280 ? 1000 : 400);
        if (width < 1280)
          found.push(...(await onceAtRest(() => outOfPlace(page))).map((fault) => `${view} ${at}: ${fault}`));
        // A tablet shows what a desk shows, otherwise laid out: in the colours that were judged there.
        if (width === 768)
          found.push(...(await barriers(page, 'all but colours')).map((fault) => `${view} ${at}: ${fault}`));
        if (width !== 1280 && width !== 390) continue;
        for (const theme of ['light', 'dark'] as const) {
          await page.emulateMedia({ colorScheme: theme });
          await expect(page.locator('html')).toHaveAttribute('data-bs-theme', theme === 'dark' ? 'dim' : 'light');
          // Nothing but its colours is another in the dark.
          const rules = theme === 'dark' ? 'colours' : 'all';
          for (const fault of await barriers(page, rules)) found.push(`${view} ${at} ${theme}: ${fault}`);
        }
        if (width === 1280) found.push(...(await wordsInInches(page)).map((fault) => `${view}: ${fault}`));
      }
    }
    expect(found).toEqual([]);
  });

/** What is found once the page has come to rest: nothing, or what is still there after some seconds. */
async function onceAtRest(find: () => Promise<string[]>): Promise<string[]> {
  let found: string[] = [];
  await expect
    .poll(async () => (found = await find()).length, { timeout: 20_000 })
    .toBe(0)
    .catch(() => undefined);
  return found;
}

/** What runs out of the page, what is cut, and what lies over each other at the width that it has. */
async function outOfPlace(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const faults: string[] = [];
    const over = [document.documentElement.scrollWidth - window.innerWidth, document.documentElement.scrollHeight - window.innerHeight]; // prettier-ignore
    // The page itself never scrolls away from under its bar; its parts do.
    if (over[0]! > 0 || over[1]! > 0) faults.push(`runs out by ${over.join(' and ')} px`);
    const heads = document.querySelectorAll('h1').length;
    if (heads !== 1) faults.push(`${heads} level-one headings`);
    // The strip shows its words whole.
    for (const label of document.querySelectorAll('nav.strip .label'))
      if (label.scrollWidth > label.clientWidth + 1) faults.push(`cut in the strip: ${label.textContent}`);
    const [blank, flat, keys] = ['section[aria-label="On the blank"]', 'section[aria-label="Laid flat"]', '.stage-keys'].map((one) => document.querySelector(one)?.getBoundingClientRect()); // prettier-ignore
    if (!blank || !flat || !keys) return faults;
    const lap = (a: DOMRect, b: DOMRect): boolean =>
      a.x < b.right - 1 && b.x < a.right - 1 && a.y < b.bottom - 1 && b.y < a.bottom - 1;
    if (lap(blank, flat)) faults.push('the blank lies over the flat');
    if (lap(keys, flat)) faults.push('keys of the stage lie over the flat');
    return faults;
  });
}

/** Labels that make people stop, and whatever is told in millimetres while one works in inches. */
async function wordsInInches(page: Page): Promise<string[]> {
  // What is folded away counts as well.
  for (const folded of await page.locator('aside button[aria-expanded=false]').all())
    await folded.click({ timeout: 300 }).catch(() => undefined);
  // As another tab chooses it: a dialog over the page may stay open.
  const unit = (chosen: 'mm' | 'in'): Promise<void> =>
    page.evaluate((newValue) => {
      localStorage.setItem('mivet-unit', newValue);
      dispatchEvent(new StorageEvent('storage', { key: 'mivet-unit', newValue, storageArea: localStorage }));
    }, chosen);
  await unit('in');
  await expect(page.getByRole('radio', { name: 'inch', includeHidden: true }).first()).toBeChecked();
  const faults = await onceAtRest(() => metricOrUnclear(page));
  await unit('mm');
  return faults;
}

async function metricOrUnclear(page: Page): Promise<string[]> {
  const said = await page.evaluate(() =>
    [
      document.body.innerText,
      ...[...document.querySelectorAll('[aria-label], [title], [placeholder]')].flatMap((one) =>
        ['aria-label', 'title', 'placeholder'].map((name) => one.getAttribute(name) ?? ''),
      ),
    ].join('\n'),
  );
  const stopped = STOPPED_AT.filter((label) => said.includes(label));
  // A reading stays as it was typed, in whatever unit; what it comes to is in inches.
  const metric = said
    .split('\n')
    .filter((line) => /\d\s?(mm|cm|cm²|mm²|m)\b/.test(line))
    .filter((line) => !/^(Remove )?\d+(\.\d+)? (cm|mm)$/.test(line.trim()));
  return [...stopped.map((label) => `says “${label}”`), ...metric.map((line) => `metric: ${line}`)];
}

test('the bench works on a phone, one step a screen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, 'demo-tumbler', 'bench');
  await expect(page.getByRole('heading', { name: 'Lay everything out' })).toBeVisible();
  await expect(page.getByText(/step 1 of 2\d/)).toBeVisible();
  // What is laid out is ticked, and stays so.
  const tape = page.getByRole('checkbox', { name: /^Transfer tape, [\d.]+ × [\d.]+ mm or larger/ });
  await tape.check();
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(overflow).toBeLessThanOrEqual(0);
  const next = page.getByRole('button', { name: 'Done, next' });
  const box = (await next.boundingBox())!;
  expect(box.height).toBeGreaterThanOrEqual(48);
  expect(box.y + box.height).toBeLessThanOrEqual(844);
  // What comes before film is laid: cut, weeded, taped, put together.
  await untilStep(page, 'Clean the blank');
  await page.getByRole('button', { name: 'Start the wait' }).click();
  await expect(page.getByRole('timer')).toContainText(/2:5\d left/);
  await page.reload();
  await expect(page.getByRole('timer')).toContainText(/2:[45]\d left/);
  // The next step hangs on the wait: one is asked before going past it.
  await next.click();
  await expect(page.getByText('The wait is not over')).toBeVisible();
  await page.getByRole('button', { name: 'Go on all the same' }).click();
  await expect(page.getByRole('heading', { name: 'Mark where it goes' })).toBeVisible();
});

test('on a phone the slip comes up over the work, which follows it, and a menu holds what the bar has no room for', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, 'demo-tumbler', 'artwork');
  const slip = page.getByRole('complementary', { name: 'Words, motifs, drawings' });
  await slip.getByRole('button', { name: 'STROKE' }).click();
  const capitals = slip.getByRole('textbox', { name: 'Capital height' });
  await capitals.fill('20');
  await capitals.press('Enter');
  await expect(capitals).toHaveValue('20.0 mm');
  // The blank stays in sight above the sheet.
  const [blank, sheet] = await Promise.all([page.locator('section[aria-label="On the blank"]').boundingBox(), slip.boundingBox()]); // prettier-ignore
  expect(sheet!.y).toBeGreaterThan(blank!.y + 200);
  expect(sheet!.y + sheet!.height).toBeCloseTo(844, 0);
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('menuitem', { name: /^Undo: / }).click();
  await expect(capitals).toHaveValue('17.0 mm');
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('menuitem', { name: 'Work in inches' }).click();
  await expect(capitals).toHaveValue('43/64 in');
  // Down it leaves the whole screen to the work, and stays down at the next stop.
  await slip.getByRole('button', { name: 'Close' }).click();
  await expect(slip).toBeHidden();
  await goTo(page, 'Flat');
  const bar = page.getByRole('button', { name: 'Template', exact: true });
  await expect(bar).toHaveAttribute('aria-expanded', 'false');
  await bar.click();
  await expect(page.getByRole('complementary', { name: 'Template' })).toContainText('A true arc');
});

test('the printed template that the app writes is at true scale', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'cut');
  await expect(page.getByRole('heading', { name: 'One load' })).toBeVisible();
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  const folder = mkdtempSync(join(tmpdir(), 'mivet-pdf-'));
  writeFileSync(join(folder, 't.pdf'), files['template.pdf']!);
  // 254 dots an inch are ten a millimetre.
  execFileSync('pdftoppm', ['-r', '254', '-gray', '-f', '1', '-l', '1', join(folder, 't.pdf'), join(folder, 't')]);
  const ruler = rulerLength(readFileSync(join(folder, 't-1.pgm')));
  // 4 in between the middles of its end strokes, which are half a point (0.176 mm) wide; 0.1 % of that is 0.1 mm.
  expect(Math.abs(ruler - (101.6 + 0.176))).toBeLessThan(0.1016);
});

/** Length in mm of the longest dark run in the lower part of a grey picture at ten dots a millimetre: the ruler's line (4 in). */
function rulerLength(pgm: Buffer): number {
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(pgm.subarray(0, 60).toString('latin1'))!;
  const width = Number(head[1]);
  const height = Number(head[2]);
  const pixels = pgm.subarray(head[0].length);
  let longest = 0;
  for (let y = Math.floor(height * 0.85); y < height; y++) {
    let run = 0;
    for (let x = 0; x < width; x++) {
      run = pixels[y * width + x]! < 160 ? run + 1 : 0;
      longest = Math.max(longest, run);
    }
  }
  return longest / 10;
}

test('metallised film and a board that is too small are said at Cut', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  await page.getByRole('button', { name: 'STROKE' }).click();
  await page.getByRole('radio', { name: /^Brass/ }).click();
  await goTo(page, 'Cut');
  await expect(page.getByText('Peel the cover sheet off Brass')).toBeVisible();
  await page.getByLabel('Cutter takes').selectOption('small');
  await expect(page.getByText('Deep water')).not.toHaveCount(0);
  await goTo(page, 'Measure');
});

test('no print has a millimetre where one works in inches, but on the ruler that checks its scale', async ({
  page,
}) => {
  await openProjects(page);
  await page.evaluate(() => {
    localStorage.setItem('mivet-unit', 'in');
    localStorage.setItem('mivet-paper', 'letter');
  });
  for (const job of ['demo-mug', 'demo-tumbler']) {
    await page.goto(`/project/${job}/cut`);
    const files = await unzip(await download(page, 'Whole job as ZIP'));
    const folder = mkdtempSync(join(tmpdir(), 'mivet-prints-'));
    for (const [file, bytes] of Object.entries(files).filter(([name]) => name.endsWith('.pdf'))) {
      writeFileSync(join(folder, file), bytes);
      const said = execFileSync('pdftotext', ['-layout', join(folder, file), '-'], { encoding: 'utf8' });
      expect(said, file).toMatch(/\d in\b/);
      expect(said.replace(/\b100 mm\b/g, '').match(/\d\s?(mm|cm|m)\b/g), `${job} ${file}`).toBeNull();
      // Letter is 8.5 × 11 in: 612 × 792 pt.
      expect(execFileSync('pdfinfo', [join(folder, file)], { encoding: 'utf8' })).toMatch(/Page size:\s+(612 x 792|792 x 612) pts/); // prettier-ignore
    }
    const guide = new TextDecoder().decode(files['guide-1.svg']);
    const told = [...guide.matchAll(/<text[^>]*>([^<]*)</g)].map(([, text]) => text!);
    expect(told.some((text) => /\d in across/.test(text))).toBe(true);
    expect(told.filter((text) => /\d mm\b/.test(text))).toEqual([]);
    // Each name can be told on the board.
    if (job === 'demo-mug') expect(told).toEqual(expect.arrayContaining(['Tansy', 'Rosalind']));
  }
});

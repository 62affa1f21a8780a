import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { download, goTo, openProjects, setField, unzip } from './support/app.ts';
import { cutFilms, partsOf, pathPoints, pathsIn } from './support/rewrap.ts';

/** mm. The coated flask as the tape read it, 228 mm, less the tape’s own thickness of 0.4 mm all round. */
const GIRTH = 228 - Math.PI * 0.4;

async function newOn(page: Page, blank: string): Promise<void> {
  await openProjects(page);
  await page.getByRole('button', { name: 'New project' }).click();
  await page
    .getByRole('button', { name: new RegExp(`^New project on ${blank}`) })
    .first()
    .click();
}
async function placeWords(page: Page, words: string): Promise<void> {
  await page.getByLabel('Words or a name').fill(words);
  await page.getByRole('button', { name: 'Place it' }).click();
}
const boxOf = (
  d: string,
): { width: number; height: number; minX: number; minY: number; maxX: number; maxY: number } => {
  const points = pathPoints(d);
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { width: maxX - minX, height: maxY - minY, minX, minY, maxX, maxY };
};
async function cut(page: Page) {
  await goTo(page, 'Cut');
  await expect(page.getByRole('heading', { name: 'One load' })).toBeVisible();
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  return { files, paths: cutFilms(files).flatMap(({ svg }) => pathsIn(svg)) };
}

test('words fill a box that is kept under a name, and one letter is raised and sized by itself', async ({ page }) => {
  await newOn(page, 'Can-shaped glass');
  await placeWords(page, 'III');
  await page.getByRole('checkbox', { name: 'As large as a box takes' }).check();
  await setField(page, 'Box width', '80 mm');
  await setField(page, 'Box height', '24 mm');
  await page.getByLabel('Name of the box').fill('Glass, front');
  await page.getByRole('button', { name: 'Save box' }).click();
  await expect(page.getByLabel('Kept boxes')).toHaveValue('Glass, front');

  await page.getByRole('button', { name: /^I, / }).nth(1).click();
  await setField(page, 'Raised', '6 mm');
  await expect(page.getByText('“I” by itself')).toBeVisible();
  const { paths } = await cut(page);
  const boxes = paths.map(boxOf).filter(({ height }) => height > 10);
  expect(boxes).toHaveLength(3);
  // Whatever is done to its letters, all of the word is as high as its box: the raised one too.
  const high = Math.max(...boxes.map(({ maxY }) => maxY)) - Math.min(...boxes.map(({ minY }) => minY));
  const wide = Math.max(...boxes.map(({ maxX }) => maxX)) - Math.min(...boxes.map(({ minX }) => minX));
  expect(Math.abs(Math.min(high, wide) - 24) < 0.05 || Math.abs(Math.max(high, wide) - 24) < 0.05).toBe(true);

  // The next cup of the kind takes the same box.
  await newOn(page, 'Can-shaped glass');
  await placeWords(page, 'COX');
  await page.getByRole('checkbox', { name: 'As large as a box takes' }).check();
  await page.getByLabel('Kept boxes').selectOption('Glass, front');
  await expect(page.getByLabel('Box height')).toHaveValue('24.0 mm');
});

test('a mask over the whole side leaves nothing to tape off; one with a border says what, with its sizes', async ({
  page,
}) => {
  await newOn(page, 'Coated flask');
  await page.getByRole('button', { name: 'Anchor', exact: true }).click();
  await setField(page, 'Width', '40 mm');
  await page.getByRole('button', { name: 'Done' }).click();
  const reach = page.getByRole('radiogroup', { name: 'How far the mask reaches' });
  await reach.getByText('All round', { exact: true }).click();
  await page.getByRole('button', { name: 'The design itself' }).click();
  const whole = await cut(page);
  const plate = whole.paths.map(boxOf).sort((a, b) => b.width * b.height - a.width * a.height)[0]!;
  const [short, long] = [plate.width, plate.height].sort((a, b) => a - b) as [number, number];
  // Film of 0.07 to 0.08 mm: its middle lies half of that further out.
  expect(short).toBeCloseTo(150, 1);
  expect(Math.abs(long - GIRTH - Math.PI * 0.075)).toBeLessThan(0.05);
  expect(partsOf(cutFilms(whole.files)[0]!.svg)).toHaveLength(1);
  await goTo(page, 'Bench');
  await expect(page.getByText('Strip the coat').first()).toBeVisible();
  await expect(page.getByText('Tape off what the mask leaves bare')).toHaveCount(0);

  await newOn(page, 'Coated flask');
  await page.getByRole('button', { name: 'Anchor', exact: true }).click();
  await setField(page, 'Width', '40 mm');
  await page.getByRole('button', { name: 'Done' }).click();
  await reach.getByText('Border', { exact: true }).click();
  await page.getByRole('button', { name: 'The design itself' }).click();
  const border = await cut(page);
  const small = border.paths.map(boxOf).sort((a, b) => b.width * b.height - a.width * a.height)[0]!;
  // 40 mm of anchor and 12 on either side.
  expect(Math.min(Math.abs(small.width - 64), Math.abs(small.height - 64))).toBeLessThan(0.1);
  await goTo(page, 'Bench');
  await expect(page.getByText('Tape off what the mask leaves bare').first()).toBeVisible();
  const other = Math.abs(small.width - 64) < 0.1 ? small.height : small.width;
  const high = Math.round(((150 - other) / 2) * 10) / 10;
  const guide = join(mkdtempSync(join(tmpdir(), 'mivet-')), 'bench.pdf');
  writeFileSync(guide, border.files['bench.pdf']!);
  const said = execFileSync('pdftotext', [guide, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');
  // All round the flask with the film on it, and half of what the plate leaves of its height.
  const [, wide, tall] = /([\d.]+) × ([\d.]+) mm above it, all round/.exec(said)!;
  expect(Math.abs(Number(wide) - GIRTH)).toBeLessThan(0.5);
  expect(Math.abs(Number(tall) - high)).toBeLessThan(0.15);
});

test('an oval flask: the flat stays what its girth makes it, and its broad side shows more in one glance', async ({
  page,
}) => {
  await newOn(page, 'Coated flask');
  await goTo(page, 'Measure');
  const shape = page.getByRole('radiogroup', { name: 'What it looks like from above' });
  await expect(shape.getByRole('radio', { name: 'Round' })).toBeChecked();
  await shape.getByText('Oval', { exact: true }).click();
  await setField(page, 'Width, across the front', '90 mm');
  await setField(page, 'Depth, front to back', '30 mm');
  // An ellipse of 90 × 30 is 200.5 mm round: π · 60 · (1 + 0.75/(10 + √3.25)).
  await expect(page.getByText('Width and depth do not agree with the girth')).toBeVisible();
  await expect(page.getByText(/They would be 200\.5 mm round, but 226\.7 mm was read/)).toBeVisible();
  await setField(page, 'Depth, front to back', '50 mm');
  await expect(page.getByText('Width and depth do not agree with the girth')).toBeHidden();
  await expect(page.getByText('227.0 mm round the rim, 150.0 mm down the side')).toBeVisible();
});

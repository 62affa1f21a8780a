import { expect, test } from '@playwright/test';
import { goTo, openDemo, openProjects, setField, unzip } from './support/app.ts';
import { cutFilms, partsOf, pathPoints, pathsIn, toTemplate } from './support/rewrap.ts';

const drawing = (body: string): { name: string; mimeType: string; buffer: Buffer } => ({
  name: 'pennant.svg',
  mimeType: 'image/svg+xml',
  buffer: Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="40mm" viewBox="0 0 80 40">${body}</svg>`,
  ),
});

test('a drawing in two colours comes in, is placed on the films chosen, and is cut at its size', async ({ page }) => {
  const problems: string[] = [];
  page.on('pageerror', (error) => problems.push(error.message));
  await openDemo(page, 'demo-mug', 'artwork');
  const file = page.locator('input[type=file][accept*="svg"]');
  await file.setInputFiles(drawing('<script>alert(1)</script>'));
  await expect(page.getByText('Nothing in the drawing can be cut')).toBeVisible();
  await file.setInputFiles(
    drawing(
      '<rect x="10" y="10" width="20" height="20" fill="#e0623a"/><path d="M50 10h20v20h-20z" fill="#0f4c5c"/><text x="3" y="9">Cox</text>',
    ),
  );
  await expect(page.getByRole('heading', { name: 'Import a drawing' })).toBeVisible();
  await expect(page.getByText('words that are still type')).toBeVisible();
  // Matched all at once: each colour is one of the films.
  await expect(page.getByLabel('Film for orange #e0623a')).toContainText('Ensign');
  await expect(page.getByLabel('Film for dark teal #0f4c5c')).toContainText('Deep water');
  await page.getByLabel('Film for dark teal #0f4c5c').click();
  await page.getByRole('menuitem', { name: /^Reed\b.*olive green.*gloss permanent/ }).click();
  await page.getByLabel('Where it is from').fill('own pencil');
  await page.getByRole('textbox', { name: 'Width', exact: true }).fill('30 mm');
  await page.getByRole('textbox', { name: 'Width', exact: true }).press('Tab');
  await page.getByRole('button', { name: 'Place it' }).click();
  await expect(page.getByText('one of 2 colours; they move and grow together')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'pennant, dark teal' })).toBeVisible();

  await goTo(page, 'Cut');
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Whole job as ZIP' }).click(),
  ]);
  const files = await unzip(zip);
  const reed = cutFilms(files).find(({ film }) => film === 'reed')!;
  const tansy = partsOf(reed.svg).find(({ part }) => part === 'tansy')!;
  const xs = pathsIn(tansy.svg).flatMap((d) => pathPoints(d).map((p) => toTemplate(tansy.svg, p)[0]));
  // 60 mm of drawing on 30 mm: its squares of 20 mm are 10 mm on the mug.
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(10, 1);
  expect(problems).toEqual([]);
});

test('bow numbers come round a lid in a ring, with ornaments between, and are cut about its middle', async ({
  page,
}) => {
  await openProjects(page);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('button', { name: /^New project on Tumbler lid/ }).click();
  await page.getByLabel('Words or a name').fill('BOW 7');
  await page.getByRole('button', { name: 'Place it' }).click();
  await page.locator('.choice').getByText('In a ring', { exact: true }).click();
  await setField(page, 'Capital height', '9 mm');
  await setField(page, 'Ring diameter', '56 mm');
  await page.getByRole('button', { name: 'One more round' }).click();
  await page.getByRole('button', { name: 'One more round' }).click();
  await page.getByLabel('Between them').selectOption('Anchor');
  await expect(page.getByText(/are left between them/)).toBeVisible();
  await goTo(page, 'Cut');
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Whole job as ZIP' }).click(),
  ]);
  const files = await unzip(zip);
  const cut = cutFilms(files)[0]!.svg;
  // Back on the template: letters stand on a circle of 28 mm about the lid's middle, 44 mm below its top, and are 9 mm high.
  const radii = pathsIn(cut).flatMap((d) =>
    pathPoints(d).map((p) => {
      const [x, y] = toTemplate(cut, p);
      return Math.hypot(x, y + 44);
    }),
  );
  // A round letter dips a little under the line that flat ones stand on.
  expect(Math.min(...radii)).toBeGreaterThan(27.8);
  expect(Math.max(...radii)).toBeLessThan(28 + 9.6);
  expect(Math.max(...radii)).toBeGreaterThan(28 + 8.8);
  // Too large a word is told, not cut silently.
  await goTo(page, 'Artwork');
  for (let i = 0; i < 9; i++) await page.getByRole('button', { name: 'One more round' }).click();
  await expect(page.getByText(/They run into each other/)).toBeVisible();
});

test('stars are scattered over a tumbler on three films, clear of the name, and none is cut by the seam', async ({
  page,
}) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  await page.getByLabel('Find a motif').fill('star');
  await page.getByRole('button', { name: 'Star', exact: true }).click();
  await setField(page, 'Width', '9 mm');
  await page.locator('.choice').getByText('Scattered', { exact: true }).click();
  await setField(page, 'How many', '24');
  await page
    .getByRole('button', { name: /^Brass\b/ })
    .first()
    .click();
  await expect(page.getByText('24 spread out, running on across the seam; none is cut by it.')).toBeVisible();
  await page.getByRole('button', { name: 'Shuffle' }).click();
  await expect(page.getByText('Arrangement 2')).toBeVisible();
  await expect(page.getByText('24 pieces')).toBeVisible();
  await goTo(page, 'Proof');
  await expect(page.getByText(/The seam cuts the star/)).toBeHidden();
  await goTo(page, 'Artwork');
  await setField(page, 'How many', '200');
  await expect(page.getByText(/of 200 found room/)).toBeVisible();
});

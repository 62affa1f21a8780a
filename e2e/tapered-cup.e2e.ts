import { expect, test } from '@playwright/test';
import { download, goTo, openProjects, read, setField, text, unzip } from './support/app.ts';
import { arcLengths, cutFilms, pathPoints, pathsIn, rewrap, type SurfaceSpot, toTemplate } from './support/rewrap.ts';

test('a cup measured in inches gives files whose seam closes and whose words hold their height', async ({ page }) => {
  await openProjects(page);
  await page.locator('.choice').getByText('inch', { exact: true }).click();
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('button', { name: /^Tapered/ }).click();
  await read(page, 'Round the rim end of the band', '10 7/8');
  await read(page, 'Round the base end of the band', '8 1/2 in');
  await read(page, 'Down the side of the band', '6.625"');
  await expect(page.getByText('Expect the seam within')).toBeVisible();

  await goTo(page, 'Artwork');
  await page.getByLabel('Words or a name').fill('HELM');
  await page.getByRole('button', { name: 'Place it' }).click();
  await page.getByRole('radiogroup', { name: 'Counted from' }).getByText('rim', { exact: true }).click();
  await setField(page, 'Capital height', '5/8');
  await setField(page, 'Top below the rim line', '1 1/2');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('button', { name: 'Wave', exact: true }).click();
  await page.getByRole('radio', { name: /^Shallows/ }).click();
  await expect(page.getByText('Closes at the seam')).toBeVisible();

  await goTo(page, 'Cut');
  await expect(page.getByText('2 strips of film side by side')).toBeVisible();
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  expect(Object.keys(files).sort()).toEqual([
    'bench.pdf',
    'guide-1.svg',
    'load-1.dxf',
    'load-1.hpgl',
    'load-1.svg',
    'proof.pdf',
    'report.json',
    'template.dxf',
    'template.pdf',
    'template.svg',
  ]);

  // By hand: a 0.4 mm tape takes off 0.4π, a film of 0.07 mm adds 0.07π.
  const girth = (inches: number): number => inches * 25.4 - 0.4 * Math.PI + 0.07 * Math.PI;
  const [rim, base, side] = [girth(10.875), girth(8.5), 6.625 * 25.4];
  const spots = (name: string): SurfaceSpot[][] => {
    const { svg } = cutFilms(files).find(({ film }) => film === name)!;
    return pathsIn(svg).map((d) => pathPoints(d).map((p) => rewrap(toTemplate(svg, p), rim, base, side)));
  };

  const wave = spots('shallows');
  expect(wave).toHaveLength(1);
  const atSeam = (sign: number): number[] =>
    wave[0]!
      .filter((s) => Math.abs(s.azimuth - sign * Math.PI) < 1e-4)
      .map((s) => s.slant)
      .sort((a, b) => a - b);
  const left = atSeam(-1);
  const right = atSeam(1);
  expect(left.length).toBeGreaterThanOrEqual(2);
  expect(Math.abs(left[0]! - right[0]!)).toBeLessThan(0.05);
  expect(Math.abs(left.at(-1)! - right.at(-1)!)).toBeLessThan(0.05);
  // The wave's own height was not touched: 24 mm, its lowest point 12 mm above the base line.
  const slants = wave[0]!.map((s) => s.slant);
  expect(Math.abs(Math.max(...slants) - (side - 12))).toBeLessThan(0.05);
  expect(Math.abs(Math.min(...slants) - (side - 36))).toBeLessThan(0.05);

  // Four letters, tops 1 1/2 in below the rim line, flat feet 5/8 in further down.
  const letters = spots('deep-water');
  expect(letters).toHaveLength(4);
  for (const letter of letters) {
    const heights = letter.map((s) => s.slant);
    expect(Math.abs(Math.min(...heights) - 38.1)).toBeLessThan(0.05);
    expect(Math.abs(Math.max(...heights) - (38.1 + 15.875))).toBeLessThan(0.05);
  }

  const outline = /id="outline" d="([^"]+)"/.exec(text(files['template.svg']))![1]!;
  const [baseArc, rimArc] = arcLengths(outline);
  expect(Math.abs(rimArc! - rim)).toBeLessThan(0.01);
  expect(Math.abs(baseArc! - base)).toBeLessThan(0.01);
  const report = JSON.parse(text(files['report.json']));
  expect(report.template.rimLength).toBeCloseTo(rim, 6);
});

test('from a shelf blank to cut files takes no more than twelve clicks', async ({ page }) => {
  await openProjects(page);
  let clicks = 0;
  const click = async (name: string | RegExp): Promise<void> => {
    await page.getByRole('button', { name }).first().click();
    clicks += 1;
  };
  await click('New project');
  await click('New project on Steel tumbler');
  await page.getByLabel('Words or a name').click();
  clicks += 1;
  await page.keyboard.type('Rowan');
  await click('Place it');
  await goTo(page, 'Cut');
  clicks += 1;
  const file = await download(page, 'Write cut files');
  clicks += 1;
  expect(file.suggestedFilename()).toBe('steel-tumbler-load-1.svg');
  expect(clicks).toBeLessThanOrEqual(12);
});

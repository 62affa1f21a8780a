import { expect, test, type Page } from '@playwright/test';
import { download, goTo, openProjects, setField, text, unzip } from './support/app.ts';
import {
  cutFilms,
  dxfVertices,
  partsOf,
  pathPoints,
  pathsIn,
  rewrap,
  type SurfaceSpot,
  toTemplate,
} from './support/rewrap.ts';

/** By hand: means of the readings, a 0.4 mm tape off and a 0.07 mm film on, each π times. */
const RIM = (276.225 + 276 + 276) / 3 - 0.33 * Math.PI;
const BASE = (214 + 214.3125) / 2 - 0.33 * Math.PI;
const SIDE = 168;
const girthAt = (slant: number): number => RIM + ((BASE - RIM) * slant) / SIDE;
const spot = (p: [number, number]): SurfaceSpot => rewrap(p, RIM, BASE, SIDE);

async function openTumbler(page: Page): Promise<void> {
  await openProjects(page);
  await page
    .getByRole('link', { name: /Stroke seat’s tumbler/ })
    .first()
    .click();
  await goTo(page, 'Artwork');
}
async function addMotif(page: Page, name: string): Promise<void> {
  await page.getByLabel('Find a motif').fill(name);
  await page.locator('.motifs button').first().click();
}
const round = (page: Page, mode: string): Promise<void> =>
  page.getByRole('radiogroup', { name: 'How often round the blank' }).getByText(mode, { exact: true }).click();

test('a border, a repeat and a scatter on a tapered cup close at a seam that wanders between the pieces', async ({
  page,
}) => {
  await openTumbler(page);
  await addMotif(page, 'buoy');
  await round(page, 'Spaced');
  await setField(page, 'Width', '12 mm');
  await page.getByRole('spinbutton', { name: 'How many' }).fill('8');
  await page.getByRole('spinbutton', { name: 'How many' }).press('Tab');
  await page.getByRole('combobox', { name: 'Centred' }).selectOption('angle');
  await setField(page, 'Right of the front by', '900 mm');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await addMotif(page, 'star');
  await round(page, 'Scattered');
  await setField(page, 'Width', '8 mm');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page
    .getByRole('radiogroup', { name: 'How the seam runs' })
    .getByText('Between pieces', { exact: true })
    .click();
  await setField(page, 'Ends lap by', '0');
  await expect(page.getByText('Only the band that runs all round is cut; it closes.')).toBeVisible();

  await goTo(page, 'Cut');
  const files = await unzip(await download(page, 'Whole job as ZIP'));

  // The outline: apart from the rim and base edges it is two ends, and each falls on the other a whole turn on.
  const outline = dxfVertices(text(files['template.dxf']), 'template')[0]!.map(spot);
  const inside = outline.filter((s) => s.slant > 0.2 && s.slant < SIDE - 0.2);
  const right = inside.filter((s) => s.azimuth > 0).sort((a, b) => a.slant - b.slant);
  const corners = outline.filter((s) => s.slant <= 0.2 || s.slant >= SIDE - 0.2);
  const end = (list: SurfaceSpot[], sign: number): SurfaceSpot[] =>
    [...list, ...corners.filter((s) => Math.sign(s.azimuth) === sign)].sort((a, b) => a.slant - b.slant);
  const [leftEnd, rightEnd] = [
    end(
      inside.filter((s) => s.azimuth < 0),
      -1,
    ),
    end(right, 1),
  ];
  const azimuthOf = (list: SurfaceSpot[], slant: number): number => {
    const k = Math.max(
      1,
      list.findIndex((s) => s.slant >= slant - 1e-9),
    );
    const [a, b] = [list[k - 1]!, list[k]!];
    return a.azimuth + ((b.azimuth - a.azimuth) * (slant - a.slant)) / (b.slant - a.slant || 1);
  };
  for (const s of leftEnd) {
    const miss = (azimuthOf(rightEnd, s.slant) - 2 * Math.PI - s.azimuth) * (girthAt(s.slant) / (2 * Math.PI));
    expect(Math.abs(miss), `the ends at ${s.slant.toFixed(1)} mm`).toBeLessThan(0.05);
  }

  // The films: what one end of a wave has at a height, the other has at the same height; nothing else reaches the ends.
  const onEnd = (s: SurfaceSpot, list: SurfaceSpot[]): boolean =>
    Math.abs(s.azimuth - azimuthOf(list, s.slant)) * (girthAt(s.slant) / (2 * Math.PI)) < 0.02;
  const films = cutFilms(files);
  let [cut, pieces] = [0, 0];
  for (const { part, svg } of films.flatMap((film) => partsOf(film.svg))) {
    for (const d of pathsIn(svg)) {
      const spots = pathPoints(d).map((p) => spot(toTemplate(svg, p)));
      const left = spots.filter((s) => onEnd(s, leftEnd)).map((s) => s.slant);
      const rightSlants = spots.filter((s) => onEnd(s, rightEnd)).map((s) => s.slant);
      pieces += 1;
      if (left.length === 0 && rightSlants.length === 0) continue;
      cut += 1;
      for (const pick of [Math.min, Math.max])
        expect(Math.abs(pick(...left) - pick(...rightSlants)), `${part} at the seam`).toBeLessThan(0.05);
    }
  }
  // Two waves are cut; eight buoys of two parts, six letters and the stars that found room are whole.
  expect(cut).toBe(2);
  expect(pieces).toBeGreaterThanOrEqual(2 + 16 + 6 + 4);
});

test('a wrap in three panels gives each its own files, and their film adds up', async ({ page }) => {
  await openTumbler(page);
  await page.getByRole('radiogroup', { name: 'How many panels' }).getByText('3', { exact: true }).click();
  await setField(page, 'Ends lap by', '0');
  await goTo(page, 'Flat');
  await expect(page.getByRole('img', { name: /panel 1 of 3, panel 2 of 3, panel 3 of 3/ })).toBeVisible();
  await goTo(page, 'Cut');
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  const own = cutFilms(files).filter(({ film }) => film.startsWith('deep-water'));
  const parts = own.flatMap(({ svg }) => partsOf(svg).map(({ part }) => part));
  expect(parts.sort()).toEqual(['panel-1', 'panel-2', 'panel-3']);
  // Each panel spans a third of the way round at every height: 120°.
  const outlines = dxfVertices(text(files['template.dxf']), 'template');
  expect(outlines).toHaveLength(3);
  for (const outline of outlines) {
    const xs = outline.map(([x]) => x);
    const chord = Math.max(...xs) - Math.min(...xs);
    // The chord of a third of the rim: the arc less its bow, by the sector's angle.
    const k = (RIM - BASE) / (2 * Math.PI * SIDE);
    expect(chord).toBeCloseTo((RIM / (Math.PI * k)) * Math.sin((Math.PI * k) / 3), 1);
  }
});

test('a list of names is pasted, fitted, set by hand where it must be, and cut name by name', async ({ page }) => {
  await openProjects(page);
  await page
    .getByRole('link', { name: /Crew mugs with names/ })
    .first()
    .click();
  await goTo(page, 'Artwork');
  await page.getByRole('button', { name: '8 names to make' }).click();
  await page.getByLabel('One per line; a count and a hand may follow').fill('Wilhelmina Ottoline, 2, left\nAsh');
  await page.getByRole('button', { name: 'Add names' }).click();
  await expect(page.getByText('2 names added.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'All names on the blank' }).getByRole('listitem')).toHaveCount(10);
  await expect(page.getByText('One does not fit')).toBeVisible();
  await page.getByRole('textbox', { name: 'Capitals of Wilhelmina Ottoline' }).fill('5 mm');
  await page.getByRole('textbox', { name: 'Capitals of Wilhelmina Ottoline' }).press('Tab');
  await expect(page.getByText('All fit.')).toBeVisible();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await goTo(page, 'Cut');
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  const named = cutFilms(files).flatMap(({ film, svg }) => (film === 'deep-water' ? partsOf(svg) : []));
  expect(named).toHaveLength(11);
  expect(named.filter(({ part }) => part.includes('wilhelmina-ottoline'))).toHaveLength(2);
  // The longest that were fitted are exactly 58 mm wide on the straight side.
  const { svg } = named.find(({ part }) => part.includes('rosalind'))!;
  const xs = pathsIn(svg).flatMap((d) => pathPoints(d).map((p) => toTemplate(svg, p)[0]));
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(58, 1);
});

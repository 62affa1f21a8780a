import { expect, test, type Page } from '@playwright/test';
import { download, goTo, openProjects, unzip } from './support/app.ts';
import { cutFilms, pathPoints, pathsIn } from './support/rewrap.ts';

/** mm. The can-shaped glass as the tape read it, 236 mm, less the tape’s own thickness of 0.4 mm all round. */
const GIRTH = 236 - Math.PI * 0.4;

const svg = (inner: string, width: number, height: number): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">${inner}</svg>`;

async function newOn(page: Page, blank: string): Promise<void> {
  await openProjects(page);
  await page.getByRole('button', { name: 'New project' }).click();
  await page
    .getByRole('button', { name: new RegExp(`^New project on ${blank}`) })
    .first()
    .click();
}
const bringIn = (page: Page, name: string, text: string): Promise<void> =>
  page
    .locator('.slip input[type=file]')
    .first()
    .setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) });
const choose = (page: Page, group: string, label: string): Promise<void> =>
  page.getByRole('radiogroup', { name: group }).getByText(label, { exact: true }).click();
const sizeOf = (d: string): [number, number] => {
  const points = pathPoints(d);
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
};
async function cut(page: Page) {
  await goTo(page, 'Cut');
  await expect(page.getByRole('heading', { name: /loads?$/ }).first()).toBeVisible();
  return cutFilms(await unzip(await download(page, 'Whole job as ZIP')));
}

/** A plate from edge to edge of its page of 200 × 40, three panels on it, and squares for lining up in both colours. */
const marks = (colour: string): string => [[2, 1], [190, 33]].map(([x, y]) => `<rect x="${x}" y="${y}" width="5" height="5" fill="${colour}"/>`).join(''); // prettier-ignore
const BAND = svg(
  `<rect y="12" width="200" height="16" fill="#0f4c5c"/><path d="M20 14h20v12h-20z M80 14h20v12h-20z M140 14h20v12h-20z" fill="#d8412f"/>${marks('#0f4c5c')}${marks('#d8412f')}`,
  200,
  40,
);

test('a drawing goes once round by its page: it closes to a hundredth of a millimetre, without its own squares', async ({
  page,
}) => {
  await newOn(page, 'Can-shaped glass');
  await bringIn(page, 'band.svg', BAND);
  await expect(page.getByRole('checkbox', { name: /Use Mivet’s own squares.*the 2 that came/ })).toBeChecked();
  await choose(page, 'What is sized and placed', 'Its page');
  await choose(page, 'Size of the drawing', 'Once round');
  await page.getByRole('button', { name: 'Place it' }).click();
  await expect(page.getByText('Closes at the seam')).toBeVisible();
  const films = await cut(page);
  const [band, panels] = [/^deep/, /^ensign/].map((film) => films.filter((one) => film.test(one.film)).flatMap(({ svg: text }) => pathsIn(text).map(sizeOf))); // prettier-ignore
  // Film of 0.07 mm lies with its middle half of that further out: π × 0.07 more.
  const round = GIRTH + Math.PI * 0.07;
  const long = band!.map((size) => Math.max(...size)).sort((a, b) => b - a)[0]!;
  expect(Math.abs(long - round)).toBeLessThan(0.01);
  const wide = band!.map((size) => Math.min(...size)).sort((a, b) => b - a)[0]!;
  expect(Math.abs(wide - (16 * GIRTH) / 200)).toBeLessThan(0.02);
  // Three panels of 20 by 12 on 200: no square of the drawing is among them, Mivet's own are 6 mm.
  const large = panels!.filter((size) => Math.max(...size) > 7);
  expect(large).toHaveLength(3);
  // They lie on the first film: their own middle is 0.07 + 0.035 mm further out than the glass.
  const panel = (20 * (GIRTH + 2 * Math.PI * 0.105)) / 200;
  for (const size of large) expect(Math.abs(Math.max(...size) - panel)).toBeLessThan(0.01);
});

/** A flag of 16 × 10 with a round field in it. */
const FLAG = svg('<rect x="4" y="5" width="16" height="10" fill="#d8412f"/><circle cx="12" cy="10" r="3" fill="#0f4c5c"/>', 24, 20); // prettier-ignore

test('a drawing of two films is scattered: it fills the gaps, and one copy is turned, sized and pinned by itself', async ({
  page,
}) => {
  await newOn(page, 'Can-shaped glass');
  await bringIn(page, 'flag.svg', FLAG);
  // As it was drawn, first of all.
  await expect(page.getByRole('textbox', { name: 'Width', exact: true })).toHaveValue('16.0 mm');
  await page.getByRole('button', { name: 'Place it' }).click();
  await choose(page, 'How often round the blank', 'Scattered');
  await page.getByRole('checkbox', { name: /^Fill the gaps/ }).check();
  const spread = async (): Promise<number> =>
    Number(/^\d+/.exec(await page.getByText(/^\d+ spread out/).innerText())?.[0]);
  // Circles of 18.87 mm with 3 between them on 231 × 92 mm: four rows of ten, as close as they come; 70 % of that.
  await expect.poll(spread).toBeGreaterThanOrEqual(28);
  const many = await spread();

  await page.getByRole('button', { name: 'The next one' }).click();
  await expect(page.getByText(`1 of ${many}`)).toBeVisible();
  const set = async (label: string, value: string): Promise<void> => {
    const field = page.getByRole('textbox', { name: label, exact: true });
    await field.fill(value);
    await field.press('Enter');
  };
  await set('Size, %', '50');
  await set('Turned, °', '90');
  await expect(page.getByRole('checkbox', { name: /^Stays here/ })).toBeChecked();
  await page.getByRole('button', { name: 'Shuffle' }).click();
  await expect(page.getByRole('textbox', { name: 'How many', exact: true })).toHaveValue(String(many));

  const films = await cut(page);
  const sizes = (film: RegExp) => films.filter((one) => film.test(one.film)).flatMap(({ svg: text }) => pathsIn(text).map(sizeOf)); // prettier-ignore
  const flags = sizes(/^ensign/).filter(([w, h]) => Math.abs(w - h) > 1);
  const fields = sizes(/^deep/).filter(([w, h]) => Math.abs(w - h) < 0.1 && Math.abs(w - 6.1) > 0.02);
  expect(flags.length).toBeLessThanOrEqual(many);
  expect(flags.filter(([w, h]) => Math.abs(Math.max(w, h) - 8) < 0.05 && Math.abs(Math.min(w, h) - 5) < 0.05)).toHaveLength(1); // prettier-ignore
  expect(flags.filter(([w, h]) => Math.abs(Math.max(w, h) - 16) < 0.05)).toHaveLength(flags.length - 1);
  expect(fields.filter(([w]) => Math.abs(w - 3) < 0.05)).toHaveLength(1);
});

import { expect, test } from '@playwright/test';
import { download, goTo, openDemo, unzip } from './support/app.ts';
import { cutFilms, partsOf, pathPoints, pathsIn } from './support/rewrap.ts';

test('things of one list differ in motif and film: each row is cut of its own, under its own name', async ({
  page,
}) => {
  await openDemo(page, 'demo-beaker', 'artwork');
  await page.getByRole('button', { name: 'Make several that differ' }).click();
  await page.getByLabel('Name Cox’s beaker 1').fill('Tansy');
  await page.getByLabel('Name Cox’s beaker 1').press('Enter');
  const differ = page.getByRole('button', { name: 'Let it differ in' });
  await differ.click();
  await page.getByRole('menuitem', { name: /^Motif: Buoy, .*orange|^Motif: Buoy, red/ }).click();
  await differ.click();
  await page.getByRole('menuitem', { name: /^Film: Buoy, .*teal|^Film: Buoy, dark/ }).click();

  // Tansy has an anchor in place of the upper buoys, and the other one chalk in place of the lower ones' film.
  await page.getByRole('button', { name: /^Motif: .*for Tansy$/ }).click();
  await page.getByRole('menuitem', { name: 'Anchor' }).click();
  await page.getByRole('button', { name: /^Film: .*for Cox’s beaker 2$/ }).click();
  await page.getByRole('menuitem', { name: /^Chalk/ }).click();
  await expect(page.getByRole('button', { name: /^Film: .*for Cox’s beaker 2$/ })).toContainText('Chalk');

  await goTo(page, 'Cut');
  await expect(page.getByText(/pieces, 3 films/)).toBeVisible();
  const films = cutFilms(await unzip(await download(page, 'Whole job as ZIP')));
  const parts = (film: RegExp): { part: string; svg: string }[] =>
    films.filter((one) => film.test(one.film)).flatMap(({ svg }) => partsOf(svg));
  const [red, teal, chalk] = [parts(/^ensign|red/), parts(/^deep/), parts(/^chalk/)];
  const names = (of: typeof red): string[] => of.map(({ part }) => part.split('-')[0]!).sort();
  expect(names(red)).toEqual(['cox', 'cox', 'cox', 'tansy', 'tansy', 'tansy']);
  expect(names(teal)).toEqual(['tansy', 'tansy', 'tansy']);
  expect(names(chalk)).toEqual(['cox', 'cox', 'cox']);

  // The anchor is no larger than the buoy whose place it takes, and as large as fits there.
  const sizeOf = ({ svg }: { svg: string }): [number, number] => {
    const points = pathsIn(svg).flatMap(pathPoints);
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
    return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)].sort((a, b) => a - b) as [
      number,
      number,
    ];
  };
  const [anchor, buoy] = ['tansy', 'cox'].map((name) => sizeOf(red.find(({ part }) => part.startsWith(name))!));
  expect(anchor![1]).toBeLessThan(buoy![1] + 0.1);
  expect(Math.min(buoy![0] - anchor![0], buoy![1] - anchor![1])).toBeLessThan(0.1);
});

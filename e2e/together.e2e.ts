import { expect, test } from '@playwright/test';
import { download, openProjects, text, unzip } from './support/app.ts';
import { cutFilms, pathsIn } from './support/rewrap.ts';

interface Report {
  readonly loads: readonly {
    readonly strips: readonly {
      readonly film: string;
      readonly from: number;
      readonly to: number;
      readonly parts: readonly { readonly project: string; readonly row: string }[];
    }[];
  }[];
  readonly projects: readonly {
    readonly project: string;
    readonly pieces: number;
    readonly films: readonly { readonly film: string; readonly areaMm2: number }[];
  }[];
}

test('projects are cut together: common strips and files, a share for each, booked once and undone', async ({
  page,
}) => {
  await openProjects(page);
  await page.getByRole('link', { name: 'Cut together' }).click();
  await expect(page.getByText('on one day: their films share boards')).toBeVisible();
  for (const name of ['Crew mugs with names', 'Lane 3 ball', 'Heron on the can glass'])
    await page.getByRole('checkbox', { name }).check();
  // Three of the films are shared: alone the three projects take three loads.
  await expect(page.getByRole('heading', { name: 'One load' })).toBeVisible({ timeout: 60_000 });
  await expect(page).toHaveURL(/projects=demo-mug,demo-lane,demo-heron/);

  const files = await unzip(await download(page, 'Write cut files'));
  expect(Object.keys(files).sort()).toEqual(['guide-1.svg', 'load-1.svg', 'report.json']);
  const report = JSON.parse(text(files['report.json'])) as Report;
  const strips = report.loads.flatMap((load) => load.strips);
  const water = strips.find(({ film }) => film === 'Deep water')!;
  // Eight names, the lane's number and the heron lie on the one strip of it, from so far to so far.
  expect([...new Set(water.parts.map(({ project }) => project))].sort()).toEqual([
    'Crew mugs with names',
    'Heron on the can glass',
    'Lane 3 ball',
  ]);
  expect(water.parts).toHaveLength(10);
  for (const { film, svg } of cutFilms(files)) {
    const strip = strips.find((one) => one.film.toLowerCase().replace(/ /g, '-') === film)!;
    const xs = pathsIn(svg).flatMap((d) => [...d.matchAll(/[ML](-?[\d.]+) /g)].map(([, x]) => Number(x)));
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(strip.from + 2.9);
    expect(Math.max(...xs)).toBeLessThanOrEqual(strip.to - 2.9);
  }
  expect(text(files['guide-1.svg'])).toContain('>Rosalind<');
  // Every piece that is cut is somebody's.
  const cut = cutFilms(files).reduce((sum, { svg }) => sum + pathsIn(svg).length, 0);
  expect(report.projects.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(cut);

  // One guide: the film that three share is weeded in one go, and a tick is there in each of them.
  await page.getByRole('tab', { name: 'Bench' }).click();
  const guide = page.getByRole('region', { name: 'One guide for all' });
  const weed = guide.getByRole('checkbox', { name: /^Weed Deep water: Crew mugs with names, Heron on the can glass and Lane 3 ball/ }); // prettier-ignore
  await expect(guide.getByText('Lane 3 ball: 1 piece stays')).toBeVisible();
  await weed.check();
  await expect(guide.getByText(/; 1 done/)).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'Bench' }).click({ timeout: 60_000 });
  await expect(weed).toBeChecked();
  await page.getByRole('tab', { name: 'Loads' }).click();

  // One booking; each project tells its share, and undoing it puts all back.
  await page.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByText('Booked: film and tape are off the shelf')).toBeVisible();
  await page.goto('/project/demo-heron/cut');
  await expect(page.getByText(/together with Crew mugs with names and Lane 3 ball/)).toBeVisible();
  await page.goto('/project/demo-lane/bench');
  await expect(page.getByRole('checkbox', { name: /^Weed Deep water/ })).toBeChecked();
  await page.goto('/stock');
  const booked = page.locator('.row-line').filter({ hasText: 'Crew mugs with names, Lane 3 ball and Heron' });
  await booked.getByRole('button', { name: 'Undo booking' }).click();
  await expect(booked).toHaveCount(0);
  await page.goto('/project/demo-heron/cut');
  await expect(page.getByRole('button', { name: 'Book it', exact: true })).toBeVisible();
  await expect(page.getByText(/together with Crew mugs/)).toHaveCount(0);
  // Undone elsewhere, they can be booked together as if they never were.
  await page.goto('/together?projects=demo-mug,demo-lane,demo-heron');
  await expect(page.getByRole('button', { name: 'Book it', exact: true })).toBeEnabled({ timeout: 60_000 });
  await page.goto('/project/demo-heron/cut');

  // From a project's Cut one gets here with it chosen; one that cannot be cut is named and left out.
  await page.getByRole('link', { name: 'Cut it with other projects' }).click();
  await expect(page.getByRole('checkbox', { name: 'Heron on the can glass' })).toBeChecked();
});

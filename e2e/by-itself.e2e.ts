import { expect, test } from '@playwright/test';
import { download, goTo, openProjects, unzip } from './support/app.ts';
import { untilStep } from './support/bench.ts';
import { cutFilms, pathPoints, pathsIn } from './support/rewrap.ts';

test('boats round a tumbler are cut and laid one by one: whole across the seam, each by its own shape', async ({
  page,
}) => {
  await openProjects(page);
  await page.getByRole('button', { name: 'New project' }).click();
  await page
    .getByRole('button', { name: /^New project on Steel tumbler/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Boat', exact: true }).click();
  await page
    .getByRole('radiogroup', { name: 'How often round the blank' })
    .getByText('Spaced', { exact: true })
    .click();
  await page
    .getByRole('textbox', { name: 'How many' })
    .or(page.getByRole('spinbutton', { name: 'How many' }))
    .first()
    .fill('6');
  await page.keyboard.press('Enter');
  const laid = page.getByRole('radiogroup', { name: 'How it is cut and laid' });
  await expect(laid.getByRole('radio', { name: 'With the whole' })).toBeChecked();

  const cut = async (): Promise<{ parts: string[]; lengths: number[] }> => {
    await goTo(page, 'Cut');
    await expect(page.getByRole('heading', { name: 'One load' })).toBeVisible();
    const files = await unzip(await download(page, 'Whole job as ZIP'));
    const films = cutFilms(files);
    const lengths = films.flatMap(({ svg }) =>
      pathsIn(svg).map((d) => {
        const points = pathPoints(d);
        return points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);
      }),
    );
    await goTo(page, 'Artwork');
    return {
      parts: films.flatMap(({ svg }) => [...svg.matchAll(/data-part="([^"]+)"/g)].map(([, part]) => part!)),
      lengths,
    };
  };
  // As one wrap, the boat at the back is cut in two by the seam.
  const whole = await cut();
  expect(whole.parts).toEqual([]);
  expect(whole.lengths.length).toBeGreaterThan(6);

  await laid.getByText('By itself', { exact: true }).click();
  await expect(page.getByText('6 figures, each cut by its own shape')).toBeVisible();
  const single = await cut();
  expect(single.parts.sort()).toEqual([1, 2, 3, 4, 5, 6].map((n) => `boat-no-${n}`));
  expect(single.lengths).toHaveLength(6);
  // All alike, wherever they lie on the taper: the blade goes as far round one boat as round the next.
  expect(Math.max(...single.lengths) - Math.min(...single.lengths)).toBeLessThan(0.2);

  // Nothing is said of a seam or of the fit; at the bench each has its place.
  await goTo(page, 'Proof');
  await expect(page.getByText(/seam cuts|was not tried on paper/)).toHaveCount(0);
  await goTo(page, 'Bench');
  await untilStep(page, 'Lay the 6 figures one by one');
  const first = page.getByRole('listitem').filter({ hasText: 'Boat no 1' });
  await expect(first).toContainText(/top .* below the rim, middle in front/);
});

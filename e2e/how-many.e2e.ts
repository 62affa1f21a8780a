import { expect, test } from '@playwright/test';
import { download, goTo, openDemo, text, unzip } from './support/app.ts';
import { cutFilms, partsOf, pathsIn } from './support/rewrap.ts';

test('four of something without names are made by a number, each cut, named, costed and counted at the bench', async ({
  page,
}) => {
  await openDemo(page, 'demo-tumbler', 'cut');
  await expect(page.getByRole('heading', { name: 'One load' })).toBeVisible();
  const one = await unzip(await download(page, 'Whole job as ZIP'));
  const many = page.getByRole('textbox', { name: 'How many to make' });
  await many.fill('4');
  await many.press('Enter');
  await expect(page.getByText(/^32 pieces, 3 films/)).toBeVisible();
  const four = await unzip(await download(page, 'Whole job as ZIP'));

  // Of each film four times what one takes, under the blank's name.
  for (const film of ['deep-water', 'shallows', 'ensign']) {
    const count = (all: { [name: string]: Uint8Array }): number =>
      cutFilms(all).reduce((sum, one) => sum + (one.film.startsWith(film) ? pathsIn(one.svg).length : 0), 0);
    expect(count(four), film).toBe(4 * count(one));
  }
  const ensign = cutFilms(four).filter(({ film }) => film.startsWith('ensign'));
  const parts = ensign.flatMap(({ svg }) => partsOf(svg).map(({ part }) => part));
  expect(parts.sort()).toEqual(['steel-tumbler', 'steel-tumbler-2', 'steel-tumbler-3', 'steel-tumbler-4']);
  const guides = Object.keys(four).filter((name) => name.startsWith('guide-'));
  expect(guides.map((name) => text(four[name])).join('')).toContain('>Steel tumbler 4<');

  await goTo(page, 'Bench');
  await expect(page.getByRole('button', { name: /^Clean the blank, 4 of them, Steel tumbler 4: open/ })).toBeVisible();
  await goTo(page, 'Artwork');
  await expect(many).toHaveValue('4');
  await many.fill('1');
  await many.press('Enter');
  await goTo(page, 'Bench');
  await expect(page.getByRole('checkbox', { name: /^Clean the blank(?!, 4)/ })).toBeVisible();
});

import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { download, openDemo, setField } from './support/app.ts';

test('cut lines are written for a cutter that reads pen movements, with a test cut first and the waste parted', async ({
  page,
}) => {
  await openDemo(page, 'demo-cup', 'cut');
  await page.getByText('How the files are written').click();
  await page.locator('.choice').getByText('HPGL', { exact: true }).click();
  await page.getByRole('checkbox', { name: 'Test cut first' }).check();
  // Round three letters there are three millimetres of film: no room for a mark, and it is said.
  await expect(page.getByText('No room for it on Hull')).toBeVisible();
  await page.goto('/project/demo-tumbler/cut');
  await page.getByText('How the files are written').click();
  // The choice is kept on this device.
  await expect(page.getByRole('radio', { name: 'HPGL' })).toBeChecked();
  await setField(page, 'Weeding lines every', '60');
  await setField(page, 'Overcut', '0.5');
  await expect(page.locator('path.extra').first()).toHaveAttribute('d', /^M/);
  await page.getByText('One film at a time').click();
  const file = await download(page, 'Shallows, load 1');
  expect(file.suggestedFilename()).toMatch(/cut-1-shallows\.hpgl$/);
  const text = readFileSync(await file.path(), 'utf8');
  expect(text).toMatch(/^IN;\nSP\d;\nPU/);
  // 40 units a millimetre: whole numbers, all of them within the board of 290 × 295 less its margin of 3.
  const numbers = [...text.matchAll(/P[UD]([\d,]+)/g)].map(([, list]) => list!.split(',').map(Number));
  const drawn = [...text.matchAll(/PD([\d,]+)/g)].map(([, list]) => list!.split(',').map(Number));
  expect(numbers.flat().every(Number.isInteger)).toBe(true);
  const xs = drawn.flatMap((list) => list.filter((_, i) => i % 2 === 0));
  const ys = drawn.flatMap((list) => list.filter((_, i) => i % 2 === 1));
  expect(Math.max(...xs) / 40).toBeLessThanOrEqual(292);
  expect(Math.max(...ys) / 40).toBeLessThanOrEqual(287);
  expect(Math.min(...xs, ...ys) / 40).toBeGreaterThanOrEqual(3);
  // The square of the mark, 3 mm wide, comes first; then the triangle round it, 10 mm wide.
  const wide = (list: number[]): number => {
    const x = list.filter((_, i) => i % 2 === 0);
    return (Math.max(...x) - Math.min(...x)) / 40;
  };
  expect(wide(drawn[0]!)).toBeCloseTo(3, 1);
  expect(wide(drawn[1]!)).toBeCloseTo(10, 1);
});

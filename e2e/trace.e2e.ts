import { expect, test } from '@playwright/test';
import { Buffer } from 'node:buffer';
import { download, goTo, openDemo, setField, unzip } from './support/app.ts';
import { cutFilms, partsOf, pathPoints, pathsIn, toTemplate } from './support/rewrap.ts';

test('a picture is traced, tuned while it is looked at, placed and cut at its size', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'artwork');
  await page.getByRole('button', { name: '8 names to make' }).click();
  await page.getByRole('button', { name: 'Make it for one name only' }).click();
  // A ring, 160 px outside and 80 px inside, on paper, with a speck beside it.
  const url = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 200;
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#f4f1e8';
    pen.fillRect(0, 0, 200, 200);
    pen.fillStyle = '#14283c';
    pen.beginPath();
    pen.arc(100, 100, 80, 0, 2 * Math.PI);
    pen.arc(100, 100, 40, 0, 2 * Math.PI, true);
    pen.fill();
    pen.fillRect(8, 8, 3, 3);
    return canvas.toDataURL('image/png');
  });
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'ring.png', mimeType: 'image/png', buffer: Buffer.from(url.split(',')[1]!, 'base64') });
  // Its outer and its inner outline, and the speck.
  await expect(page.getByText('3 outlines in one colour.')).toBeVisible();
  await page.getByLabel('Ignore specks under').fill('3');
  await expect(page.getByText('2 outlines in one colour.')).toBeVisible();
  await page.getByRole('button', { name: 'Use these outlines' }).click();
  await setField(page, 'Width', '40 mm');
  await page.getByRole('button', { name: 'Place it' }).click();
  await expect(page.getByRole('heading', { name: 'ring' })).toBeVisible();
  await goTo(page, 'Cut');
  const files = await unzip(await download(page, 'Whole job as ZIP'));
  // What is traced is the ring, not its paper: 160 px are 40 mm, and its hole is 20.
  const widths = cutFilms(files)
    .flatMap(({ svg }) => partsOf(svg))
    .flatMap(({ svg }) => pathsIn(svg).map((d) => ({ svg, d })))
    .flatMap(({ svg, d }) =>
      d
        .split(/(?=M)/)
        .map((one) => pathPoints(one).map((p) => toTemplate(svg, p)[0]))
        .map((xs) => Math.max(...xs) - Math.min(...xs)),
    );
  // A quarter of a millimetre is one pixel.
  expect(widths.some((w) => Math.abs(w - 40) < 0.25)).toBe(true);
  expect(widths.some((w) => Math.abs(w - 20) < 0.25)).toBe(true);
});

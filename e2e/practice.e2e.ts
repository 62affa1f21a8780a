import { expect, test } from '@playwright/test';

test('a tape is read wrong as it lies, and right once it is level and seen from the front; the score is kept', async ({
  page,
}) => {
  await page.goto('/practice');
  await page.getByRole('link', { name: 'Begin: Read a tape' }).click();
  await expect(page.getByRole('heading', { name: 'Read a tape' })).toBeVisible();
  const glass = page.getByRole('img', { name: /The zero line of the tape lies over/ });
  const shown = async (): Promise<number> => Number(/over ([\d.]+) mm/.exec((await glass.getAttribute('aria-label'))!)![1]); // prettier-ignore
  const settle = async (mm: number): Promise<void> => {
    await page.getByLabel('It reads').fill(String(mm));
    await page.getByLabel('It reads').press('Tab');
    await page.getByRole('button', { name: 'Take it' }).click();
  };
  const value = (says: string) => page.locator('.row-line', { hasText: says }).locator('strong');

  const first = await shown();
  await settle(first);
  await expect(page.getByText(/The tape ran askew|Seen from aside/)).toBeVisible();
  const truth = parseFloat((await value('It is').textContent())!);
  // What one is off by is what stays open or laps.
  const seam = parseFloat((await value(first > truth ? 'The ends would lap by' : 'The seam would gape by').textContent())!); // prettier-ignore
  expect(Math.abs(seam - Math.abs(first - truth))).toBeLessThan(0.06);

  await page.getByRole('button', { name: 'The same again' }).click();
  await page.getByRole('slider', { name: 'Turn the mug' }).fill('0');
  await page.getByRole('slider', { name: 'Push the tape' }).fill('0');
  expect(Math.abs((await shown()) - truth)).toBeLessThan(0.06);
  await settle(await shown());
  await expect(value('Score')).toHaveText('100 of 100');
  await page.reload();
  await page.getByRole('link', { name: 'All of them' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Read a tape' })).toContainText('best 100, last 100');
  // Two goes at the first task: what comes next is the second, not the third.
  await page.getByRole('link', { name: 'Read a tape', exact: true }).click();
  await page.getByRole('slider', { name: 'Turn the mug' }).fill('0');
  await page.getByRole('slider', { name: 'Push the tape' }).fill('0');
  const second = await shown();
  await page.goto('/practice/read-tape?task=2');
  await page.getByRole('slider', { name: 'Turn the mug' }).fill('0');
  await page.getByRole('slider', { name: 'Push the tape' }).fill('0');
  expect(await shown()).toBe(second);
});

test('a seam is led through a pattern, by keyboard and by hand, and cuts what it crosses', async ({ page }) => {
  await page.goto('/practice/find-seam?task=2');
  const grips = page.getByRole('slider');
  await expect(grips).toHaveCount(5);
  await page.getByRole('button', { name: 'Cut here' }).click();
  // Straight down the middle: the chords of the circles that it crosses.
  const [cut, pieces] = await page.locator('svg circle[fill]').evaluateAll((all) => {
    const spots = all.map((one) => ['cx', 'cy', 'r'].map((name) => Number(one.getAttribute(name))));
    const hit = spots.filter(([x, , r]) => Math.abs(x!) < r!);
    const side = Number(document.querySelector('rect.sheet')!.getAttribute('height'));
    const chord = ([x, y, r]: number[]): number => {
      const half = Math.sqrt(r! ** 2 - x! ** 2);
      return Math.min(side, y! + half) - Math.max(0, y! - half);
    };
    return [hit.reduce((sum, one) => sum + chord(one), 0), hit.length];
  });
  const value = (says: string) => page.locator('.row-line', { hasText: says }).locator('strong');
  expect(Math.abs(parseFloat((await value('Film cut by your seam').textContent())!) - cut!)).toBeLessThan(0.3);
  await expect(value('Pieces that it goes through')).toHaveText(String(pieces));
  await expect(value('The finder’s own cuts')).toHaveText('0.0 mm');

  await page.getByRole('button', { name: 'The same again' }).click();
  await grips.first().focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(grips.first()).toHaveAttribute('aria-valuenow', '6');
  const box = (await grips.nth(2).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  expect(Number(await grips.nth(2).getAttribute('aria-valuenow'))).toBeGreaterThan(10);
  await page.getByRole('button', { name: 'Cut here' }).click();
  expect(parseFloat((await value('Longer than the side by').textContent())!)).toBeGreaterThan(0);
});

test('one of five things fails, as the proof finds it, and no other', async ({ page }) => {
  await page.goto('/practice/spot-failing?task=3');
  const scores: string[] = [];
  for (const letter of 'ABCDE') {
    await page.getByLabel('The one that will fail').locator('label', { hasText: letter }).click();
    await page.getByRole('button', { name: 'Ask Proof' }).click();
    scores.push((await page.locator('.row-line', { hasText: 'Score' }).locator('strong').textContent())!);
    await page.getByRole('button', { name: 'The same again' }).click();
  }
  expect(scores.filter((score) => score === '100 of 100')).toHaveLength(1);
  await expect(page.getByRole('img', { name: 'Scores, the latest last' })).toBeVisible();
});

test('a wrap is pressed on a taper by hand: begun askew its ends step, begun true they meet', async ({ page }) => {
  await page.goto('/practice/press-film?task=1');
  const sheet = page.getByRole('img', { name: /^The sheet, flat/ });
  const pressAll = async (): Promise<void> => {
    await expect(sheet).toBeVisible();
    const box = (await sheet.boundingBox())!;
    // Strokes down the sheet, from its middle to both ends.
    for (const off of [0, 1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6, -6, 7, -7, 8, -8, 9, -9, 10, -10, 11, -11, 12, -12]) {
      const x = box.x + box.width * (0.5 + 0.0225 * off);
      await page.mouse.move(x, box.y + 2);
      await page.mouse.down();
      await page.mouse.move(x, box.y + box.height - 2, { steps: 8 });
      await page.mouse.up();
    }
    await expect(page.getByText('100 % is on. Nothing stands off.')).toBeVisible();
    await page.getByRole('button', { name: 'It is on' }).click();
  };
  const value = (says: string) => page.locator('.row-line', { hasText: says }).locator('strong');
  await pressAll();
  const [askew, step] = [parseFloat((await value('You started off true by').textContent())!), parseFloat((await value('The ends step by').textContent())!)]; // prettier-ignore
  // The rim is 290.5 mm round: its ends lie that far apart along the arc of the flat, and less far straight across it.
  expect(step).toBeGreaterThan(0.6 * 290.5 * Math.sin((askew * Math.PI) / 180));
  expect(step).toBeLessThan(290.5 * Math.sin((askew * Math.PI) / 180));
  await expect(page.getByText(/The far end (climbs|sinks)/)).toBeVisible();

  await page.getByRole('button', { name: 'The same again' }).click();
  await page.getByRole('slider', { name: 'Turn the sheet' }).fill('0');
  await pressAll();
  await expect(page.getByText('The ends meet')).toBeVisible();
  await expect(value('Score')).toHaveText('100 of 100');

  // By keys: the thumb stands in the middle and presses there.
  await page.goto('/practice/press-film?task=2');
  await page.getByRole('application').press('Space');
  await expect(page.getByText(/^[1-9]\d? % is on/)).toBeVisible();
  await page.getByRole('button', { name: 'Lift it and begin again' }).click();
  await expect(page.getByText('0 % is on. Nothing stands off.')).toBeVisible();
});

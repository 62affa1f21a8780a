import { expect, test, type Locator, type Page } from '@playwright/test';
import { boxAtRest, openDemo, visit } from './support/app.ts';

/** The middle of a piece of the flat, px, once the stage has settled. */
async function middleOf(page: Page, item: string, nth = 0): Promise<{ x: number; y: number }> {
  await expect(page.getByRole('region', { name: 'Seam window' })).toBeVisible();
  const box = await boxAtRest(page.locator(`[data-item="${item}"] .piece`).nth(nth));
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

const centre = async (of: Locator): Promise<{ x: number; y: number }> => {
  const box = (await of.boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

interface Reach {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Reach of all pieces of an item as they rest on the flat, px. */
const restingReach = (page: Page, item: string): Promise<Reach> =>
  page.locator(`[data-item="${item}"] .piece`).evaluateAll((pieces) => {
    const boxes = pieces.map((one) => one.getBoundingClientRect());
    const of = (side: keyof Reach, most: typeof Math.min): number => most(...boxes.map((box) => box[side]));
    return { left: of('left', Math.min), top: of('top', Math.min), right: of('right', Math.max), bottom: of('bottom', Math.max) }; // prettier-ignore
  });

/** Reach of what is held over the flat, px, by what is painted there. */
const heldReach = (page: Page): Promise<Reach> =>
  page.locator('section[aria-label="Laid flat"] canvas').evaluate((canvas: HTMLCanvasElement) => {
    const { width, height } = canvas;
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height);
    const [xs, ys]: [number[], number[]] = [[], []];
    for (let i = 0; i < width * height; i++)
      if (data[4 * i + 3]! > 127) {
        xs.push(i % width);
        ys.push(Math.floor(i / width));
      }
    const { x, y } = canvas.getBoundingClientRect();
    const least = (all: number[]): number => all.reduce((a, b) => Math.min(a, b), Infinity);
    const most = (all: number[]): number => all.reduce((a, b) => Math.max(a, b), -Infinity);
    return { left: x + least(xs), top: y + least(ys), right: x + most(xs) + 1, bottom: y + most(ys) + 1 };
  });

test('a drag may begin in a counter, tells distances as it goes, and leaves what it moved where it was let go', async ({
  page,
}) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  // The O of STROKE: its middle is bare.
  const { x, y } = await middleOf(page, 'demo-stroke', 3);
  const before = await restingReach(page, 'demo-stroke');
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.keyboard.down('Alt');
  await page.mouse.move(x + 24, y - 10, { steps: 6 });
  // It is under the hand, and nowhere else: as far as it was moved, with a line of half of 7 px about it.
  await expect(page.locator('[data-item="demo-stroke"] .piece')).toHaveCount(0);
  const held = await heldReach(page);
  for (const [side, by, out] of [
    ['left', 24, -3.5],
    ['top', -10, -3.5],
    ['right', 24, 3.5],
    ['bottom', -10, 3.5],
  ] as const)
    expect(Math.abs(held[side] - (before[side] + by + out)), side).toBeLessThan(4);
  const said = page.locator('.said');
  await expect(said).toContainText(/\d+\.\d mm right of the front/);
  const [, wide, high] = (await said.innerText()).match(/room here: ([\d.]+) × ([\d.]+) mm/)!.map(Number);
  const gaps = (await page.locator('.guides text').allTextContents()).map((t) => parseFloat(t));
  expect(gaps).toHaveLength(4);
  await page.mouse.up();
  await page.keyboard.up('Alt');
  // How far its top was from the rim is how far it is now.
  await expect(page.getByRole('textbox', { name: 'Top below the rim line' })).toHaveValue(`${gaps[0]!.toFixed(1)} mm`);
  const size = (await page.getByText(/^\d+ pieces, /).innerText()).match(/, ([\d.]+) × ([\d.]+) mm/)!;
  // What is free is itself with the gaps about it; the rim keeps some of the upper one to itself.
  expect(Math.abs(wide! - (Number(size[1]) + gaps[2]! + gaps[3]!))).toBeLessThan(1);
  expect(high!).toBeLessThan(Number(size[2]) + gaps[0]! + gaps[1]!);
});

test('several are selected with Shift, move as one, are kept together and deleted together', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  const wave = await middleOf(page, 'demo-ripple');
  const words = page.getByRole('button', { name: 'STROKE' });
  const top = page.getByRole('textbox', { name: 'Top below the rim line' });
  const done = page.getByRole('button', { name: 'Done', exact: true });
  await words.click();
  await expect(top).toHaveValue('42.0 mm');
  await page.keyboard.down('Shift');
  await page.mouse.click(wave.x, wave.y);
  await page.keyboard.up('Shift');
  await expect(page.getByRole('heading', { name: '2 selected' })).toBeVisible();
  // The wave runs all round; from the top of the words, at 42 mm, to its foot it is most of the side's 168.
  const high = page.getByRole('textbox', { name: 'Height of all' });
  const before = parseFloat(await high.inputValue());
  expect(before).toBeGreaterThan(80);
  // Made a tenth less high, the words are a tenth smaller: capitals of 17 mm become 15.3.
  await high.fill(`${(before * 0.9).toFixed(2)} mm`);
  await high.press('Enter');
  await expect(high).toHaveValue(`${(before * 0.9).toFixed(1)} mm`);
  await done.click();
  await words.click();
  await expect(page.getByRole('textbox', { name: 'Capital height' })).toHaveValue('15.3 mm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(top).toHaveValue('42.0 mm');
  await page.keyboard.down('Shift');
  await page.mouse.click(wave.x, wave.y);
  await page.keyboard.up('Shift');
  await page.keyboard.press('Shift+ArrowDown');
  await page.getByRole('button', { name: 'Keep together' }).click();
  await done.click();
  await words.click();
  await expect(top).toHaveValue('52.0 mm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(top).toHaveValue('42.0 mm');
  // And gone together.
  await page.mouse.move(wave.x, wave.y);
  await page.keyboard.down('Shift');
  await page.mouse.click(wave.x, wave.y);
  await page.keyboard.up('Shift');
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(words).toBeHidden();
  await expect(page.getByRole('button', { name: /^Wave, 9 joined/ })).toHaveCount(1);
});

test('words are placed in lines from the first field', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'artwork');
  const field = page.getByLabel('Words or a name');
  await field.fill('Stroke');
  await field.press('End');
  await field.press('Shift+Enter');
  await field.pressSequentially('seat');
  await field.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Words', exact: true })).toHaveValue('Stroke\nseat');
});

test('what is typed counts when a drawing is pressed, and a press moves nothing', async ({ page }) => {
  await openDemo(page, 'demo-tumbler', 'artwork');
  const wave = await middleOf(page, 'demo-ripple');
  /** Presses as a hand does that trembles. */
  const press = async ({ x, y }: { x: number; y: number }): Promise<void> => {
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 2, y - 2, { steps: 2 });
    await page.mouse.up();
  };
  const words = page.getByRole('button', { name: 'STROKE' });
  const capital = page.getByRole('textbox', { name: 'Capital height' });
  const slip = page.locator('aside.slip');
  await words.click();
  await capital.fill('15.3');
  await press(wave);
  await expect(slip.getByRole('heading', { name: 'Wave' })).toBeVisible();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await words.click();
  await expect(capital).toHaveValue('15.3 mm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(capital).toHaveValue('17.0 mm');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  // Of two letters, one is turned while the other is pressed.
  const letter = (name: string): Locator => slip.getByRole('button', { name: new RegExp(`^${name}, `) });
  await letter('T').click();
  await slip.getByRole('textbox', { name: 'Turned, °' }).fill('5');
  await press(await centre(letter('K')));
  await expect(slip.getByRole('textbox', { name: 'Turned, °' })).toHaveValue('0');
  await press(await centre(letter('T')));
  await expect(slip.getByRole('textbox', { name: 'Turned, °' })).toHaveValue('5');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  // A girth that was measured (380, less π × 0.4 mm of tape) is not drawn anew by pressing it, only by dragging it.
  await visit(page, '/project/demo-landing/measure');
  const grip = page.getByRole('slider', { name: /^Height 2:/ });
  await expect(grip).toHaveAttribute('aria-valuenow', '379');
  // What is typed is a reading of the height that was asked for, whichever is pressed next: the mean of 402 and 404, less tape.
  await page.getByText('Read girth 1 once more').click();
  await page.getByRole('textbox', { name: 'Girth here' }).fill('404');
  const at = await centre(grip);
  await press(at);
  await expect(page.getByRole('slider', { name: /^Height 1:/ })).toHaveAttribute('aria-valuenow', '402');
  await expect(page.getByRole('slider', { name: /^Height 1:/ })).toHaveAttribute('aria-valuetext', /^401\.7 mm round/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(grip).toHaveAttribute('aria-valuenow', '379');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x + 12, at.y, { steps: 4 });
  await page.mouse.up();
  await expect(grip).not.toHaveAttribute('aria-valuenow', '379');
  // Drawn wider, it is as far down as it was read; moved by a key, as wide as it was drawn.
  await expect(grip).toHaveAttribute('aria-valuetext', /, 45\.0 mm down$/);
  const drawn = (await grip.getAttribute('aria-valuetext'))!.split(',')[0]!;
  await grip.press('ArrowDown');
  await expect(grip).toHaveAttribute('aria-valuetext', `${drawn}, 46.0 mm down`);
});

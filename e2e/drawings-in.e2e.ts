import { expect, test } from '@playwright/test';
import { readSvgDrawing } from '../core/src/io/svg/art/read.ts';
import { DRAWING_CASES } from '../core/test/lab/drawing-cases.ts';
import { apart, paintedInBrowser, PX_PER_MM, spreadOf } from '../core/test/lab/drawings.ts';

/** Two parts in a thousand, of the area and of how it is spread. */
const TOLERANCE = 0.002;

const shown = DRAWING_CASES.filter(({ lists }) => !lists);
for (const part of [0, 1, 2, 3])
  test(`drawings are taken as the browser paints them, part ${part + 1} of 4`, async ({ page }) => {
    expect(DRAWING_CASES.length).toBeGreaterThan(200);
    await page.goto('about:blank');
    for (const { name, svg } of shown.filter((_, i) => i % 4 === part)) {
      const read = readSvgDrawing(svg);
      if (!read.ok) throw new Error(`${name}: ${read.problem.code}`);
      const painted = await page.evaluate(paintedInBrowser, { svg, width: 60, height: 40, per: PX_PER_MM });
      expect.soft(apart(spreadOf(read.asDrawn ?? read.drawing), painted), name).toBeLessThan(TOLERANCE);
    }
  });

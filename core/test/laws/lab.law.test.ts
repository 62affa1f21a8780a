import { describe, expect, it } from 'vitest';
import { LAB_CLASSES } from '../lab/classes.ts';

/** The short version of `npm run lab`: fewer samples of each class, the same tolerances. */
describe('the lab', () => {
  it.each(LAB_CLASSES)('$name', async ({ samples, tolerance, measure }) => {
    let measured = 0;
    for (let i = 0; i < samples.short; i++) {
      const off = await measure(i);
      if (off === null) continue;
      measured += 1;
      expect(off, `sample ${i}`).toBeLessThanOrEqual(tolerance);
    }
    // Refusals are no proof of anything.
    expect(measured).toBeGreaterThan(samples.short / 3);
  });
});

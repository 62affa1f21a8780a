import type { Thing } from '../core/test/photo.ts';

/** True shapes of the things in the two sample photographs, radius in mm by mm down from the top. */
export const SAMPLE_THINGS: Record<'goblet' | 'pot', Thing> = {
  // Widest where the sine is 1: 34 + 8.5 = 42.5 mm, 267.0 round, 43 mm down.
  goblet: { height: 96, radiusAt: (down) => 34 + 8.5 * Math.sin((Math.PI * (down + 12)) / 110) },
  // A rim of 66 mm, 414.7 round, 18 mm deep, over a side that runs from 63 in to 46.
  pot: { height: 130, radiusAt: (down) => (down < 18 ? 66 : 63 - 17 * ((down - 18) / 112) ** 1.7) },
};

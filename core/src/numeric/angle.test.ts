import { describe, expect, it } from 'vitest';
import { nearFront, wholeTurns } from './angle.ts';

describe('angles', () => {
  it('are brought within half a turn of the front by whole turns', () => {
    const quarter = Math.PI / 2;
    expect([0, 1, 3, 4, 5, -1, -3, 9].map((quarters) => nearFront(quarters * quarter) / quarter)).toEqual([
      0,
      1,
      expect.closeTo(-1, 12),
      expect.closeTo(0, 12),
      expect.closeTo(1, 12),
      -1,
      expect.closeTo(1, 12),
      expect.closeTo(1, 12),
    ]);
    expect(wholeTurns(13)).toBeCloseTo(4 * Math.PI, 12);
  });
});

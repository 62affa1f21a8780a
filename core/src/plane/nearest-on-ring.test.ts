import { describe, expect, it } from 'vitest';
import { nearestOnRing } from './nearest-on-ring.ts';

describe('the nearest spot of a ring', () => {
  const box = [0, 0, 10, 0, 10, 6, 0, 6];

  it('lies square across from an edge, or is a corner', () => {
    expect(nearestOnRing(box, 3, 1)).toEqual({ x: 3, y: 0 });
    expect(nearestOnRing(box, 9, 3)).toEqual({ x: 10, y: 3 });
    expect(nearestOnRing(box, 13, 10)).toEqual({ x: 10, y: 6 });
    // On the edge that closes it.
    expect(nearestOnRing(box, -2, 5)).toEqual({ x: 0, y: 5 });
  });

  it('is the first of two that are as near', () => {
    expect(nearestOnRing(box, 5, 3)).toEqual({ x: 5, y: 0 });
    expect(nearestOnRing([0, 6, 0, 0, 10, 0, 10, 6 - 1e-8], 5, 3)).toEqual({ x: 5, y: 0 });
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { polygonArea } from './polygon.ts';
import { strokeArea, type StrokeShape } from './stroke.ts';

const shape = (more: Partial<StrokeShape> = {}): StrokeShape => ({
  join: 'miter',
  cap: 'butt',
  miterLimit: 4,
  ...more,
});
const area = (points: readonly number[], closed: boolean, width: number, more: Partial<StrokeShape> = {}): number =>
  strokeArea([Float64Array.from(points)], [closed], width, shape(more)).reduce((sum, p) => sum + polygonArea(p), 0);

describe('strokeArea', () => {
  it('of a straight line is its length by its width, and what its ends add', () => {
    expect(area([0, 0, 30, 40], false, 2)).toBeCloseTo(100, 2);
    expect(area([0, 0, 30, 40], false, 2, { cap: 'square' })).toBeCloseTo(104, 2);
    expect(area([0, 0, 30, 40], false, 2, { cap: 'round' })).toBeCloseTo(100 + Math.PI, 1);
  });

  it('of a square frame leaves the middle open, with mitred, cut or rounded corners', () => {
    const square = [0, 0, 20, 0, 20, 20, 0, 20];
    // Outer 24², inner 16²; bevels take half a 2 × 2 square off each corner, rounds the rest of a quarter circle.
    expect(area(square, true, 4)).toBeCloseTo(24 * 24 - 16 * 16, 3);
    expect(area(square, true, 4, { join: 'bevel' })).toBeCloseTo(24 * 24 - 16 * 16 - 4 * 2, 3);
    expect(area(square, true, 4, { join: 'round' })).toBeCloseTo(24 * 24 - 16 * 16 - 4 * (4 - Math.PI), 0);
    expect(strokeArea([Float64Array.from(square)], [true], 4, shape())[0]!.holes).toHaveLength(1);
  });

  it('grows with the width and takes any line', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 4, maxLength: 24 }),
        fc.boolean(),
        (numbers, closed) => {
          const points = numbers.slice(0, numbers.length - (numbers.length % 2));
          const [thin, broad] = [1, 3].map((width) => area(points, closed, width, { join: 'round', cap: 'round' }));
          expect(broad!).toBeGreaterThanOrEqual(thin! - 1e-6);
        },
      ),
    );
  });
});

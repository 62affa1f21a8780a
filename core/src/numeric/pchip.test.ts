import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pchip } from './pchip.ts';

const rising = fc
  .array(fc.tuple(fc.double({ min: 0.5, max: 20, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true })), {
    minLength: 2,
    maxLength: 9,
  })
  .map((steps) => {
    let [x, y] = [0, 0];
    return steps.map(([dx, dy]) => [(x += dx), (y += dy)] as const);
  });

describe('pchip', () => {
  it('goes through its points and rises where they rise', () => {
    fc.assert(
      fc.property(rising, fc.boolean(), (points, down) => {
        const xs = points.map(([x]) => x);
        const ys = points.map(([, y]) => (down ? -y : y));
        const curve = pchip(xs, ys);
        xs.forEach((x, i) => expect(curve.value(x)).toBeCloseTo(ys[i]!, 9));
        for (let i = 0; i < 60; i++) {
          const x = xs[0]! + ((xs.at(-1)! - xs[0]!) * i) / 60;
          expect((down ? -1 : 1) * curve.slope(x)).toBeGreaterThanOrEqual(-1e-9);
        }
      }),
    );
  });

  it('is a straight line through points on one, inside and beyond', () => {
    const curve = pchip([0, 3, 4, 10], [5, 11, 13, 25]);
    for (const x of [-2, 0, 1.7, 3.5, 9, 12]) {
      expect(curve.value(x)).toBeCloseTo(5 + 2 * x, 12);
      expect(curve.slope(x)).toBeCloseTo(2, 12);
    }
  });

  it('has a slope that is the derivative of its value', () => {
    const curve = pchip([0, 20, 35, 60, 90], [40, 47, 50, 44, 30]);
    for (let x = 1; x < 90; x += 3.1)
      expect((curve.value(x + 1e-5) - curve.value(x - 1e-5)) / 2e-5).toBeCloseTo(curve.slope(x), 5);
    // A turning point stays one: no bump above the highest point.
    expect(Math.max(...Array.from({ length: 91 }, (_, x) => curve.value(x)))).toBe(50);
  });

  it('refuses what is no row of points', () => {
    expect(() => pchip([1], [1])).toThrow(RangeError);
    expect(() => pchip([0, 1], [1])).toThrow(RangeError);
    expect(() => pchip([0, 2, 2], [1, 2, 3])).toThrow(RangeError);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { balloonHalfLength, spheroidGaussian, spheroidOver } from './spheroid.ts';

const size = fc.double({ min: 20, max: 400, noNaN: true });

describe('a spheroid', () => {
  it('of equal axes is a ball', () => {
    fc.assert(
      fc.property(size, fc.double({ min: -1.5, max: 1.5, noNaN: true }), (radius, latitude) => {
        expect(spheroidGaussian(radius, radius, latitude) * radius * radius).toBeCloseTo(1, 12);
        expect(spheroidOver(radius, radius)).toBeCloseTo(Math.PI * radius, 9);
      }),
    );
  });

  it('bends all over by 4π, whatever its length', () => {
    // Gauss and Bonnet: ∫K dA = 4π, with dA = 2π a cos β √(a² sin²β + c² cos²β) dβ.
    fc.assert(
      fc.property(size, fc.double({ min: 0.6, max: 1.9, noNaN: true }), (a, ratio) => {
        const c = a * ratio;
        const steps = 4000;
        let sum = 0;
        for (let i = 0; i < steps; i++) {
          const b = -Math.PI / 2 + (Math.PI * (i + 0.5)) / steps;
          sum +=
            spheroidGaussian(a, c, b) * 2 * Math.PI * a * Math.cos(b) * Math.hypot(a * Math.sin(b), c * Math.cos(b));
        }
        expect((sum * Math.PI) / steps).toBeCloseTo(4 * Math.PI, 4);
      }),
      { numRuns: 30 },
    );
  });

  it('is found again from its girth and the length over its skin', () => {
    fc.assert(
      fc.property(size, fc.double({ min: 0.35, max: 2.5, noNaN: true }), (radius, ratio) => {
        const half = radius * ratio;
        expect(balloonHalfLength(radius, spheroidOver(radius, half))! / half).toBeCloseTo(1, 6);
      }),
    );
    expect(balloonHalfLength(100, 180)).toBeNull();
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { balloonHalfLength, latitudeAtArc, meridianArc, spheroidGaussian, spheroidOver } from './spheroid.ts';

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

  it('has a meridian as long as an angle on a ball, and as half its way over to the crown', () => {
    // 40 mm of radius and half a radian: 20 mm. The ellipse of 40 and 20 has a girth of 193.769 mm (Ramanujan).
    expect(meridianArc(40, 40, 0.5)).toBeCloseTo(20, 9);
    expect(meridianArc(40, 20, -Math.PI / 2)).toBeCloseTo(-193.769 / 4, 3);
    expect(latitudeAtArc(40, 40, -10)).toBeCloseTo(-0.25, 9);
    expect(latitudeAtArc(50, 50, 1000)).toBeCloseTo(Math.PI / 2, 9);
    fc.assert(
      fc.property(size, size, fc.double({ min: -1.5, max: 1.5, noNaN: true }), (a, c, latitude) => {
        expect(latitudeAtArc(a, c, meridianArc(a, c, latitude))).toBeCloseTo(latitude, 8);
        expect(meridianArc(a, c, Math.PI / 2)).toBeCloseTo(spheroidOver(a, c) / 2, 1);
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

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bandDevelopment } from './conic-band.ts';
import { coneDevelopment } from './cone.ts';
import { profileOf, type ProfileStation } from './profile.ts';

const GIVE = { stretch: 0.025, squeeze: 0.01 };
const spot = fc.tuple(fc.double({ min: -3.1, max: 3.1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }));
/** Stations on a ball of radius R between two latitudes, degrees, down from the upper one. */
function onBall(radius: number, from: number, to: number, count: number, along: 'side' | 'upright'): ProfileStation[] {
  return Array.from({ length: count }, (_, i) => {
    const latitude = ((from + ((to - from) * i) / (count - 1)) * Math.PI) / 180;
    const top = (from * Math.PI) / 180;
    return {
      girth: 2 * Math.PI * radius * Math.cos(latitude),
      down: along === 'side' ? radius * (top - latitude) : radius * (Math.sin(top) - Math.sin(latitude)),
    };
  });
}

describe('profileOf', () => {
  it('is the cylinder for one girth all the way, by heights or along the side', () => {
    for (const along of ['side', 'upright'] as const) {
      const profile = profileOf(
        [0, 20, 55, 92].map((down) => ({ down, girth: 258 })),
        along,
      );
      expect(profile.sideLength).toBeCloseTo(92, 9);
      expect(profile.radiusAt(40)).toBeCloseTo(258 / (2 * Math.PI), 12);
      expect(profile.gaussianAt(40)).toBeCloseTo(0, 12);
    }
  });

  it('is the cone for two stations: same side, same radii, same flat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 150, max: 400, noNaN: true }),
        fc.double({ min: 150, max: 400, noNaN: true }),
        fc.double({ min: 60, max: 250, noNaN: true }),
        spot,
        (girthRim, girthBase, upright, [azimuth, part]) => {
          const step = (girthRim - girthBase) / (2 * Math.PI);
          const side = Math.hypot(upright, step);
          const profile = profileOf(
            [
              { down: 10, girth: girthRim },
              { down: 10 + upright, girth: girthBase },
            ],
            'upright',
          );
          expect(profile.sideLength).toBeCloseTo(side, 7);
          expect(profile.slopeAt(part * side)).toBeCloseTo(-step / side, 9);
          expect(Math.abs(profile.gaussianAt(part * side))).toBeLessThan(1e-12);
          const { development, band } = bandDevelopment(profile, GIVE);
          expect(band.load).toBeLessThan(1e-6);
          const a = development.forward(azimuth, part * side);
          const b = coneDevelopment({ girthRim, girthBase, side }).forward(azimuth, part * side);
          expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(1e-5);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('follows a ball through nine stations, however they were taken', () => {
    for (const along of ['side', 'upright'] as const) {
      const profile = profileOf(onBall(60, 50, -50, 9, along), along);
      // A hundred degrees of a circle of 60 mm.
      expect(Math.abs(profile.sideLength / ((60 * 100 * Math.PI) / 180) - 1)).toBeLessThan(0.003);
      const middle = profile.sideLength / 2;
      expect(profile.radiusAt(middle)).toBeCloseTo(60, 2);
      expect(profile.slopeAt(middle)).toBeCloseTo(0, 3);
      for (const part of [0.3, 0.5, 0.7]) {
        const gaussian = profile.gaussianAt(part * profile.sideLength) * 60 * 60;
        expect(gaussian, `${along} at ${part}`).toBeGreaterThan(0.8);
        expect(gaussian, `${along} at ${part}`).toBeLessThan(1.2);
      }
    }
  });

  it('bends the other way on a neck', () => {
    const neck = profileOf(
      [180, 150, 140, 150, 180].map((girth, i) => ({ down: 15 * i, girth })),
      'upright',
    );
    expect(neck.gaussianAt(neck.sideLength / 2)).toBeLessThan(0);
  });

  it('refuses stations out of order, girths of nothing, and sides too short for their girths', () => {
    expect(() =>
      profileOf(
        [
          { down: 0, girth: 200 },
          { down: 0, girth: 210 },
        ],
        'upright',
      ),
    ).toThrow(RangeError);
    expect(() =>
      profileOf(
        [
          { down: 0, girth: 200 },
          { down: 30, girth: 0 },
        ],
        'upright',
      ),
    ).toThrow(RangeError);
    expect(() =>
      profileOf(
        [
          { down: 0, girth: 100 },
          { down: 10, girth: 300 },
        ],
        'side',
      ),
    ).toThrow('faster');
    expect(() => profileOf([], 'side')).toThrow(RangeError);
  });
});

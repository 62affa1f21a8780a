import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ballPatch } from './ball-patch.ts';
import { neededGive } from './film-strain.ts';

const girth = fc.double({ min: 100, max: 1200, noNaN: true });
const spot = fc.record({
  azimuth: fc.double({ min: -3, max: 3, noNaN: true }),
  latitude: fc.double({ min: -1.4, max: 1.4, noNaN: true }),
});
const solid = (radius: number, { azimuth, latitude }: { azimuth: number; latitude: number }): number[] => [
  radius * Math.cos(latitude) * Math.sin(azimuth),
  radius * Math.sin(latitude),
  radius * Math.cos(latitude) * Math.cos(azimuth),
];

describe('ballPatch', () => {
  it('keeps every distance from its middle, and comes back', () => {
    fc.assert(
      fc.property(girth, spot, spot, (around, centre, at) => {
        const radius = around / (2 * Math.PI);
        const [a, b] = [solid(radius, centre), solid(radius, at)];
        const chord = Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);
        const distance = 2 * radius * Math.asin(Math.min(1, chord / (2 * radius)));
        fc.pre(distance < 3 * radius);
        const patch = ballPatch(around, centre);
        const flat = patch.forward(at.azimuth, at.latitude);
        expect(Math.hypot(flat.x, flat.y)).toBeCloseTo(distance, 6);
        const back = patch.inverse(flat.x, flat.y)!;
        const c = solid(radius, back);
        expect(Math.hypot(c[0]! - b[0]!, c[1]! - b[1]!, c[2]! - b[2]!)).toBeLessThan(1e-6 * around);
      }),
    );
  });

  it('has the strain of its closed form, measured on the ball', () => {
    fc.assert(
      fc.property(
        girth,
        spot,
        fc.double({ min: 0.05, max: 1.2, noNaN: true }),
        fc.double({ min: 0, max: 6.2, noNaN: true }),
        (around, centre, part, bearing) => {
          const radius = around / (2 * Math.PI);
          const patch = ballPatch(around, centre);
          const distance = part * radius;
          const on = (angle: number): number[] =>
            solid(radius, patch.inverse(distance * Math.cos(angle), distance * Math.sin(angle))!);
          const h = 1e-4;
          const [a, b] = [on(bearing - h), on(bearing + h)];
          const onBall = Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);
          expect(onBall / (2 * h * distance) - 1).toBeCloseTo(patch.hoopAt(distance), 5);
        },
      ),
    );
  });

  it('needs at its edge what the rule for a disk says', () => {
    // 31 mm on an 80 mm ball: a²/6R² of 15.5 and 40 is 2.5 %.
    const patch = ballPatch(Math.PI * 80, { azimuth: 0, latitude: 0.3 });
    expect(-patch.hoopAt(15.5)).toBeCloseTo(neededGive(1 / 1600, { width: 31, fill: 1 }), 3);
    expect(patch.hoopAt(0)).toBeCloseTo(0, 15);
    expect(patch.hoopAt(1e-3)).toBeLessThan(0);
  });

  it('ends at the other side of the ball, and wants a ball', () => {
    const patch = ballPatch(200, { azimuth: 0, latitude: 0 });
    expect(patch.inverse(101, 0)).toBeNull();
    expect(patch.inverse(0, 0)).toEqual({ azimuth: 0, latitude: 0 });
    expect(patch.forward(0, 0)).toEqual({ x: 0, y: 0 });
    expect(() => ballPatch(0, { azimuth: 0, latitude: 0 })).toThrow(RangeError);
  });
});

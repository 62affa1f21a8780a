import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { simplifyRing } from './simplify.ts';

const circle = (n: number, r: number): Float64Array =>
  Float64Array.from(Array.from({ length: n }, (_, i) => [r * Math.cos((2 * Math.PI * i) / n), r * Math.sin((2 * Math.PI * i) / n)]).flat()); // prettier-ignore

/** Distance from a point to the nearest edge of a ring. */
const away = (x: number, y: number, ring: Float64Array): number => {
  let least = Infinity;
  for (let i = 0, n = ring.length; i < n; i += 2) {
    const [ax, ay] = [ring[i]!, ring[i + 1]!];
    const [dx, dy] = [ring[(i + 2) % n]! - ax, ring[(i + 3) % n]! - ay];
    const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
    least = Math.min(least, Math.hypot(ax + t * dx - x, ay + t * dy - y));
  }
  return least;
};

describe('simplifyRing', () => {
  it('keeps corners and drops what lies between them on a line', () => {
    const square = Float64Array.from([0, 0, 5, 0, 10, 0, 10, 10, 4, 10, 0, 10, 0, 3]);
    expect([...simplifyRing(square, 0.01)]).toEqual([0, 0, 10, 0, 10, 10, 0, 10]);
  });

  it('strays from no point by more than the tolerance, and takes fewer points the wider that is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 2, noNaN: true }), fc.integer({ min: 12, max: 400 }), (tolerance, n) => {
        const ring = circle(n, 30);
        const less = simplifyRing(ring, tolerance);
        for (let i = 0; i < ring.length; i += 2)
          expect(away(ring[i]!, ring[i + 1]!, less)).toBeLessThanOrEqual(tolerance + 1e-9);
      }),
    );
    // A chord of angle α strays by r(1 − cos α/2): 0.3 mm of 30 take 23 chords; halving them may take up to twice as many.
    const chords = simplifyRing(circle(720, 30), 0.3).length / 2;
    expect(chords).toBeGreaterThanOrEqual(23);
    expect(chords).toBeLessThanOrEqual(46);
  });

  it('leaves a triangle, and does not let a sliver vanish', () => {
    const triangle = Float64Array.from([0, 0, 1, 0, 0, 1]);
    expect(simplifyRing(triangle, 5)).toBe(triangle);
    expect(simplifyRing(circle(12, 0.01), 5).length).toBeGreaterThanOrEqual(6);
  });
});

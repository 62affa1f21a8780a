import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitRing } from './fit.ts';
import { flattenPath } from './flatten.ts';
import { arcCentre, arcSweep, pathFromRing } from './path.ts';

const circle = (radius: number, steps: number): Float64Array =>
  Float64Array.from({ length: 2 * steps }, (_, i) => {
    const a = (2 * Math.PI * Math.floor(i / 2)) / steps;
    return radius * (i % 2 ? Math.sin(a) : Math.cos(a));
  });

describe('fitRing', () => {
  it('keeps the corners of a square and writes four lines', () => {
    const path = fitRing(Float64Array.from([0, 0, 5, 0, 10, 0, 10, 10, 0, 10]));
    expect(path.segments.map((s) => s.kind)).toEqual(['line', 'line', 'line', 'line']);
    expect(path.segments.map((s) => [s.to.x, s.to.y])).toEqual([
      [10, 0],
      [10, 10],
      [0, 10],
      [0, 0],
    ]);
  });

  it('replaces a circle by few cubics that stay within the tolerance', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 60, noNaN: true }), (radius) => {
        const path = fitRing(circle(radius, 360), 0.03);
        expect(path.segments.length).toBeLessThanOrEqual(10);
        const back = flattenPath(path, 0.001);
        for (let i = 0; i < back.length; i += 2)
          // The chords of 360 points dip by r(1 − cos 0.5°) = 0.00004 r on top of the tolerance.
          expect(Math.abs(Math.hypot(back[i]!, back[i + 1]!) - radius)).toBeLessThan(0.03 + 0.00004 * radius);
      }),
      { numRuns: 40 },
    );
  });

  it('leaves a fixed point exactly where it is', () => {
    const ring = circle(20, 90);
    const path = fitRing(ring, 0.05, (i) => i === 17);
    const ends = [path.start, ...path.segments.map((s) => s.to)];
    expect(ends.some((p) => p.x === ring[34] && p.y === ring[35])).toBe(true);
  });
});

describe('flattenPath', () => {
  it('follows a half circle arc to the error asked for', () => {
    const arc = { kind: 'arc', radius: 10, large: false, ccw: true, to: { x: -10, y: 0 } } as const;
    const points = flattenPath({ start: { x: 10, y: 0 }, segments: [arc], closed: false }, 0.01);
    for (let i = 0; i < points.length; i += 2) expect(Math.hypot(points[i]!, points[i + 1]!)).toBeCloseTo(10, 9);
    expect(points[3]).toBeGreaterThan(0);
    expect(arcSweep({ x: 10, y: 0 }, arc)).toBeCloseTo(Math.PI, 9);
    expect(arcCentre({ x: 10, y: 0 }, arc).y).toBeCloseTo(0, 9);
  });

  it('does not repeat the start of a closed ring', () => {
    const ring = Float64Array.from([0, 0, 4, 0, 4, 4]);
    expect(flattenPath(pathFromRing(ring))).toEqual(ring);
  });
});

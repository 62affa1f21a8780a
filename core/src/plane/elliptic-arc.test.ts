import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arcToCubics } from './elliptic-arc.ts';
import { flattenPath } from './flatten.ts';

describe('arcToCubics', () => {
  it('stays on the ellipse that it is of, through its own ends', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(1, 80), number(1, 80), number(-3, 3), number(-3, 3), number(-6, 6), (a, b, turn, first, sweep) => {
        fc.pre(Math.abs(sweep) > 0.05);
        // Chosen by its centre and angles: where it starts and ends follows.
        const at = (t: number) => {
          const [p, q] = [a * Math.cos(t), b * Math.sin(t)];
          return { x: 7 + Math.cos(turn) * p - Math.sin(turn) * q, y: -4 + Math.sin(turn) * p + Math.cos(turn) * q };
        };
        const [start, to] = [at(first), at(first + sweep)];
        const segments = arcToCubics(start, [a, b], turn, Math.abs(sweep) > Math.PI, sweep > 0, to);
        const points = flattenPath({ start, segments, closed: false }, 1e-4);
        let turned = 0;
        let before = first;
        for (let i = 0; i < points.length; i += 2) {
          const [x, y] = [points[i]! - 7, points[i + 1]! + 4];
          const [p, q] = [Math.cos(turn) * x + Math.sin(turn) * y, Math.cos(turn) * y - Math.sin(turn) * x];
          expect(Math.abs(Math.hypot(p / a, q / b) - 1)).toBeLessThan(1e-6);
          const now = Math.atan2(q / b, p / a);
          turned += Math.atan2(Math.sin(now - before), Math.cos(now - before));
          before = now;
        }
        expect(turned).toBeCloseTo(sweep, 5);
      }),
    ); // prettier-ignore
  });

  it('enlarges radii that do not reach, and is a line or nothing where there is no arc', () => {
    const [one, ...more] = arcToCubics({ x: 0, y: 0 }, [1, 1], 0, false, true, { x: 10, y: 0 });
    const points = flattenPath({ start: { x: 0, y: 0 }, segments: [one!, ...more], closed: false }, 1e-4);
    for (let i = 0; i < points.length; i += 2) expect(Math.hypot(points[i]! - 5, points[i + 1]!)).toBeCloseTo(5, 6);
    expect(arcToCubics({ x: 0, y: 0 }, [0, 4], 0, false, true, { x: 10, y: 0 })).toEqual([
      { kind: 'line', to: { x: 10, y: 0 } },
    ]);
    expect(arcToCubics({ x: 3, y: 3 }, [4, 4], 0, true, true, { x: 3, y: 3 })).toEqual([]);
  });
});

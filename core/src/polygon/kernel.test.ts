import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { POLYGON_GRID_PER_MM } from '../numeric/tolerances.ts';
import { intersectRings, subtractRings, unionRings } from './boolean.ts';
import type { Polygon, Ring } from './polygon.ts';
import { polygonArea, ringArea, ringsOf } from './polygon.ts';

const grid = 1 / POLYGON_GRID_PER_MM;
const nudge = fc.integer({ min: -2, max: 2 }).map((steps) => steps * grid);
const area = (polygons: readonly Polygon[]): number => polygons.reduce((sum, p) => sum + polygonArea(p), 0);

/** A block with a notch in its top and a bar across it that touches both tips, up to two grid steps too high or low. */
const notchAndBar = fc
  .record({
    turn: fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
    tips: fc.tuple(nudge, nudge, nudge),
    bar: fc.tuple(nudge, nudge),
  })
  .map(({ turn, tips, bar }) => {
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const onGrid = (value: number): number => Math.round(value * POLYGON_GRID_PER_MM) * grid;
    const turned = (points: [number, number][]): Ring =>
      Float64Array.from(points.flatMap(([x, y]) => [onGrid(cos * x - sin * y), onGrid(sin * x + cos * y)]));
    return {
      block: turned([
        [0, 0],
        [10, 0],
        [10 + tips[0], 10 + tips[1]],
        [5, 2],
        [0, 10 + tips[2]],
      ]),
      bar: turned([
        [-2, 10 + bar[0]],
        [12, 10 + bar[1]],
        [12, 14],
        [-2, 14],
      ]),
    };
  });

describe('what touches within the grid', () => {
  it('keeps a notch of 40 mm² open under a bar that just touches its tips', () => {
    fc.assert(
      fc.property(notchAndBar, ({ block, bar }) => {
        // Overlaps are two grid steps deep at most: 14 mm × 0.2 µm.
        expect(Math.abs(area(unionRings([block, bar])) - ringArea(block) - ringArea(bar))).toBeLessThan(0.01);
      }),
      { numRuns: 3000 },
    );
  });

  it('takes nothing from a block that the bar only touches', () => {
    fc.assert(
      fc.property(notchAndBar, ({ block, bar }) => {
        expect(Math.abs(area(subtractRings([block], [bar])) - ringArea(block))).toBeLessThan(0.01);
      }),
      { numRuns: 3000 },
    );
  });
});

describe('what crosses itself', () => {
  it('shares as much with another as it loses to it', () => {
    // A figure whose outline meets another's corner at (0, 20), where three edges run within a grid step of each other.
    const figure = [
      [10, 20, 5, 30, 12.5, 7.5, 0, 0, 12.5, 22.5, 0, 20],
      [7.5, 20, 22.5, 2.5, 0, 0],
    ].map((ring) => Float64Array.from(ring));
    const other = [Float64Array.from([15, 0, 0, 20, 5, 30, 10, 15])];
    const left = area(unionRings(figure)) - area(subtractRings(figure, other));
    expect(area(intersectRings(figure, other))).toBeCloseTo(left, 2);
    // Its corner between (0, 20), (8.33, 20) and (7.81, 21.56): half of 8.33 × 1.56 mm.
    const corner = [Float64Array.from([0, 20, 8.3333, 20, 7.8125, 21.5625])];
    expect(area(intersectRings(intersectRings(figure, other).flatMap(ringsOf), corner))).toBeCloseTo(6.51, 2);
  });
});

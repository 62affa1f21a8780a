import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { intersectRings, subtractRings, unionRings } from './boolean.ts';
import { offsetRings } from './offset.ts';
import type { Polygon, Ring } from './polygon.ts';
import { polygonArea, ringArea, ringContains, ringsOf } from './polygon.ts';

const area = (parts: readonly Polygon[]): number => parts.reduce((sum, part) => sum + polygonArea(part), 0);

/** Points on a coarse grid: edges and corners coincide, lines cross themselves, and points come twice or in a row. */
const coarse = fc.integer({ min: 0, max: 12 }).map((v) => v * 2.5);
const fine = fc.double({ min: 0, max: 30, noNaN: true });
const ringOf = (coordinate: fc.Arbitrary<number>): fc.Arbitrary<Ring> =>
  fc
    .array(fc.tuple(coordinate, coordinate), { minLength: 3, maxLength: 14 })
    .map((points) => Float64Array.from(points.flat()));
const shape = fc.array(fc.oneof(ringOf(coarse), ringOf(fine)), { minLength: 1, maxLength: 4 });
/** What the grid of a hundred-thousandth of a millimetre, and dust that is left out, may take from an area of 900 mm². */
const NEAR = 0.02;

describe('areas of outlines that are combined', () => {
  it('add up, whatever the outlines do: A and B are their union and what they share', () => {
    fc.assert(
      fc.property(shape, shape, (a, b) => {
        const [A, B] = [area(unionRings(a)), area(unionRings(b))];
        // Non-zero fill of two inputs together would let rings that turn the other way take each other away.
        const both = area(unionRings([...unionRings(a), ...unionRings(b)].flatMap(ringsOf)));
        const shared = area(intersectRings(a, b));
        expect(both).toBeCloseTo(A + B - shared, 1);
        expect(area(subtractRings(a, b))).toBeCloseTo(A - shared, 1);
        expect(Math.abs(shared - area(intersectRings(b, a)))).toBeLessThan(NEAR);
        expect(shared).toBeLessThanOrEqual(Math.min(A, B) + NEAR);
      }),
      { numRuns: 300 },
    );
  });

  it('are those of clean film: outer rings one way, holes the other and inside, and clean again is the same', () => {
    fc.assert(
      fc.property(shape, (rings) => {
        const parts = unionRings(rings);
        for (const { outer, holes } of parts) {
          expect(ringArea(outer)).toBeGreaterThan(0);
          for (const hole of holes) expect(ringArea(hole)).toBeLessThan(0);
        }
        expect(Math.abs(area(unionRings(parts.flatMap(ringsOf))) - area(parts))).toBeLessThan(NEAR);
      }),
      { numRuns: 300 },
    );
  });

  it('hold for what is cut away and put back, and for what is very small', () => {
    fc.assert(
      fc.property(shape, shape, fc.constantFrom(1, 0.1, 0.02), (a, b, scale) => {
        const [small, other] = [a, b].map((rings) => rings.map((ring) => ring.map((v) => v * scale)));
        const left = subtractRings(small!, other!).flatMap(ringsOf);
        const shared = intersectRings(small!, other!).flatMap(ringsOf);
        expect(Math.abs(area(unionRings([...left, ...shared])) - area(unionRings(small!)))).toBeLessThan(NEAR);
        expect(area(intersectRings(left, other!))).toBeLessThan(NEAR);
      }),
      { numRuns: 200 },
    );
  });
});

describe('outlines that cover nothing', () => {
  it('are taken as nothing, also where they run back on themselves over and over', () => {
    const flat = [0, 0.1041, 0, 0, 0.0119, 0, 0.0503, 0, 0, 0];
    for (const ring of [flat, [0, 0, 5, 0, 2, 0, 9, 0], [1, 1, 1, 1, 1, 1], [0, 0, 3, 3]])
      expect(unionRings([Float64Array.from(ring)])).toEqual([]);
    // A square with a spike of ten millimetres on one side is the square.
    expect(area(unionRings([Float64Array.of(0, 0, 4, 0, 14, 0, 4, 0, 4, 4, 0, 4)]))).toBeCloseTo(16, 6);
  });
});

describe('outlines that are moved', () => {
  it('grow and shrink with the distance, and shrinking what was grown leaves nothing out', () => {
    fc.assert(
      fc.property(shape, fc.double({ min: 0.1, max: 3, noNaN: true }), (rings, by) => {
        const film = unionRings(rings);
        const clean = film.flatMap(ringsOf);
        const [less, more] = [offsetRings(clean, -by), offsetRings(clean, by)];
        expect(area(less)).toBeLessThanOrEqual(area(film) + NEAR);
        expect(area(more)).toBeGreaterThanOrEqual(area(film) - NEAR);
        const closed = offsetRings(more.flatMap(ringsOf), -by);
        // Corners that are rounded stray by a hundredth of a millimetre along what may be a metre of outline.
        expect(area(subtractRings(clean, closed.flatMap(ringsOf)))).toBeLessThan(2);
      }),
      { numRuns: 120 },
    );
  });

  it('leave film further than the distance from where film was alone', () => {
    fc.assert(
      fc.property(ringOf(fine), fine, fine, (ring, x, y) => {
        const film = unionRings([ring]);
        const inside = film.some(
          (part) => ringContains(part.outer, x, y) && !part.holes.some((h) => ringContains(h, x, y)),
        );
        const thin = offsetRings(film.flatMap(ringsOf), -0.5);
        // What is left after thinning was film before.
        if (thin.some((part) => ringContains(part.outer, x, y) && !part.holes.some((h) => ringContains(h, x, y))))
          expect(inside).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

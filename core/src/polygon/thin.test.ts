import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unionRings } from './boolean.ts';
import { offsetRings } from './offset.ts';
import type { Polygon, Ring } from './polygon.ts';
import { polygonArea, ringsOf } from './polygon.ts';
import { thinPlaces } from './thin.ts';

const bar = (x: number, y: number, w: number, h: number): Ring =>
  Float64Array.of(x, y, x + w, y, x + w, y + h, x, y + h);
const one = (...rings: Ring[]): Polygon => unionRings(rings)[0]!;

describe('thinPlaces', () => {
  it('measures a stroke between two blocks, and the blocks are none', () => {
    const dumbbell = one(bar(0, 0, 10, 10), bar(10, 4.6, 12, 0.8), bar(22, 0, 10, 10));
    const [place, ...more] = thinPlaces(dumbbell, 1, 1);
    expect(place!.width).toBeCloseTo(0.8, 6);
    expect(place!.at[0]).toBeCloseTo(16, 0);
    expect(place!.at[1]).toBeCloseTo(5, 6);
    // Seen from either side it is the same stroke, of half its film each.
    expect(place!.area).toBeCloseTo((0.8 * 12) / 2, 0);
    expect(more.every(({ width }) => Math.abs(width - 0.8) < 1e-6)).toBe(true);
    expect(thinPlaces(dumbbell, 0.79, 0)).toEqual([]);
  });

  it('sees the thin wall of a ring, and nothing in a thick one', () => {
    const circle = (r: number, way: 1 | -1): Ring =>
      Float64Array.from(Array.from({ length: 120 }, (_, i) => [r * Math.cos((way * i * Math.PI) / 60), r * Math.sin((way * i * Math.PI) / 60)]).flat()); // prettier-ignore
    const ring = (wall: number): Polygon => ({ outer: circle(8, 1), holes: [circle(8 - wall, -1)] });
    expect(thinPlaces(ring(0.7), 1, 1)[0]!.width).toBeCloseTo(0.7, 1);
    expect(thinPlaces(ring(1.1), 1, 1)).toEqual([]);
  });

  it('finds what a film of less hold finds on any film that holds less, whatever tapers round it', () => {
    // A leaf of 11 mm: a lens whose waist is 0.9 mm wide, running out to a tip at either end.
    const leaf = (waist: number): Polygon => ({
      outer: Float64Array.from(
        [1, -1].flatMap((side) =>
          Array.from({ length: 60 }, (_, i) => {
            const x = side * (-5.5 + (11 * i) / 60);
            return [x, (-side * waist * Math.cos((Math.PI * x) / 11)) / 2];
          }).flat(),
        ),
      ),
      holes: [],
    });
    const told = (waist: number, limit: number): boolean => thinPlaces(leaf(waist), limit, 1).length > 0;
    expect([told(0.9, 1), told(0.9, 1.5), told(0.9, 2), told(0.9, 3)]).toEqual([true, true, true, true]);
    for (const waist of [0.3, 0.6, 0.9, 1.4])
      for (const limit of [1.1, 1.3, 1.8, 2.5, 4]) expect(told(waist, limit * waist)).toBe(true);
  });

  it('sees the web between the corner of a hole and an edge, and between two holes', () => {
    const hole = (...points: number[]): Float64Array => Float64Array.from(points);
    // The tip of a triangle 0.4 mm under the edge of a plate, and its mirror image beside it.
    const tip = hole(0, 19.6, 4, 8, -4, 8);
    const plate = (...holes: Float64Array[]): Polygon => ({ outer: bar(-30, 0, 60, 20), holes });
    expect(thinPlaces(plate(tip), 1, 1)[0]!.width).toBeCloseTo(0.4, 9);
    expect(thinPlaces(plate(tip), 1, 1)[0]!.at[1]).toBeCloseTo(19.8, 9);
    expect(thinPlaces(plate(tip), 0.39, 1)).toEqual([]);
    expect(thinPlaces(plate(hole(-3, 10, -10, 6, -10, 14), hole(-2.5, 10, 4, 14, 4, 6)), 1, 1)[0]!.width).toBeCloseTo(
      0.5,
      9,
    );
  });

  it('takes the tips of a star for corners, not for strokes', () => {
    const star = Float64Array.from(
      Array.from({ length: 10 }, (_, i) => {
        const r = i % 2 ? 4.6 : 12;
        return [r * Math.sin((i * Math.PI) / 5), r * Math.cos((i * Math.PI) / 5)];
      })
        .reverse()
        .flat(),
    );
    expect(thinPlaces(one(star), 1, 1)).toEqual([]);
  });

  it('agrees with moving the outlines in by half the limit, on random outlines', () => {
    const at = fc.double({ min: 0, max: 24, noNaN: true });
    const length = fc.double({ min: 4, max: 14, noNaN: true });
    const size = fc.oneof(
      fc.double({ min: 0.3, max: 0.85, noNaN: true }),
      fc.double({ min: 1.15, max: 3, noNaN: true }),
    );
    const stroke = fc.tuple(at, at, length, size, fc.boolean()).map(([x, y, l, w, upright]) => (upright ? bar(x, y, w, l) : bar(x, y, l, w))); // prettier-ignore
    fc.assert(
      fc.property(fc.array(stroke, { minLength: 1, maxLength: 6 }), (strokes) => {
        for (const part of unionRings(strokes)) {
          const found = thinPlaces(part, 1, 1.5);
          // What is gone after moving in by half a millimetre and out again, but for rounded corners, was narrower than one.
          const opened = offsetRings(offsetRings(ringsOf(part), -0.5).flatMap(ringsOf), 0.5);
          const lost = polygonArea(part) - opened.reduce((sum, p) => sum + polygonArea(p), 0);
          const corners = part.outer.length + part.holes.reduce((sum, hole) => sum + hole.length, 0);
          // Each stroke may be crossed by all others and come in as many stretches; one of them has its share.
          const stretches = strokes.length ** 2;
          if (lost > 3.2 * stretches + 0.06 * corners) expect(found.length).toBeGreaterThan(0);
          if (lost < 0.5) expect(found).toEqual([]);
          for (const { width } of found) expect(width).toBeLessThan(1);
        }
      }),
      { numRuns: 100 },
    );
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { intersectRings, subtractRings, unionRings } from '../../src/polygon/boolean.ts';
import { offsetRings } from '../../src/polygon/offset.ts';
import { polygonArea, ringArea, ringContains, ringsOf, type Polygon, type Ring } from '../../src/polygon/polygon.ts';

/** A star-shaped ring: always simple, any number of points. */
const ring = fc
  .record({
    x: fc.double({ min: -40, max: 40, noNaN: true }),
    y: fc.double({ min: -40, max: 40, noNaN: true }),
    radii: fc.array(fc.double({ min: 3, max: 30, noNaN: true }), { minLength: 3, maxLength: 14 }),
  })
  .map(({ x, y, radii }): Ring => {
    const out = new Float64Array(2 * radii.length);
    radii.forEach((r, i) => {
      const angle = (2 * Math.PI * i) / radii.length;
      out[2 * i] = x + r * Math.cos(angle);
      out[2 * i + 1] = y + r * Math.sin(angle);
    });
    return out;
  });

const area = (polygons: readonly Polygon[]): number => polygons.reduce((sum, p) => sum + polygonArea(p), 0);
/** Rounding to the grid moves edges by up to 0.1 µm; perimeters here stay under 2 m. */
const SLACK = 2000 * 1e-4 + 1e-2;

describe('laws of the outline acts', () => {
  it('|A ∪ B| + |A ∩ B| = |A| + |B|', () => {
    fc.assert(
      fc.property(ring, ring, (a, b) => {
        const sum = area(unionRings([a, b])) + area(intersectRings([a], [b]));
        expect(Math.abs(sum - area(unionRings([a])) - area(unionRings([b])))).toBeLessThan(SLACK);
      }),
    );
  });

  it('|A − B| = |A| − |A ∩ B|, and nothing of it lies in B', () => {
    fc.assert(
      fc.property(ring, ring, (a, b) => {
        const left = subtractRings([a], [b]);
        expect(Math.abs(area(left) - area(unionRings([a])) + area(intersectRings([a], [b])))).toBeLessThan(SLACK);
        expect(area(intersectRings(left.flatMap(ringsOf), [b], 'evenodd'))).toBeLessThan(SLACK);
      }),
    );
  });

  it('the order of the operands changes nothing', () => {
    fc.assert(
      fc.property(ring, ring, ring, (a, b, c) => {
        expect(Math.abs(area(unionRings([a, b, c])) - area(unionRings([c, a, b])))).toBeLessThan(1e-6 + SLACK / 100);
      }),
    );
  });

  it('outer rings turn counter-clockwise and holes clockwise', () => {
    const plate = Float64Array.from([0, 0, 10, 0, 10, 10, 0, 10]);
    const hole = Float64Array.from([3, 3, 3, 7, 7, 7, 7, 3]);
    const [polygon] = unionRings([plate, hole], 'evenodd');
    expect(ringArea(polygon!.outer)).toBeCloseTo(100, 6);
    expect(ringArea(polygon!.holes[0]!)).toBeCloseTo(-16, 6);
    expect(polygonArea(polygon!)).toBeCloseTo(84, 6);
    expect(ringContains(polygon!.outer, 5, 5)).toBe(true);
    expect(ringContains(polygon!.outer, 11, 5)).toBe(false);
  });

  it('survives rings that cross themselves, coincide or are too small to see', () => {
    const bow = Float64Array.from([0, 0, 10, 10, 10, 0, 0, 10]);
    const speck = Float64Array.from([0, 0, 1e-6, 0, 0, 1e-6]);
    // Two triangles of 25 mm² meet at the crossing.
    expect(area(unionRings([bow, bow, speck], 'nonzero'))).toBeCloseTo(50, 3);
    expect(unionRings([new Float64Array(0), speck])).toEqual([]);
  });
});

describe('laws of moved outlines', () => {
  const grown = fc.double({ min: 0.1, max: 4, noNaN: true });

  it('outwards and back again covers all that was there, and adds only in sharp inner corners', () => {
    fc.assert(
      fc.property(ring, grown, (a, by) => {
        const out = offsetRings([a], by);
        const back = offsetRings(out.flatMap(ringsOf), -by);
        // Rounded outwards to 0.01 mm: what is missing is at most that along the edge.
        expect(area(subtractRings([a], back.flatMap(ringsOf)))).toBeLessThan(0.02 * 700);
        expect(area(out)).toBeGreaterThan(area(unionRings([a])));
      }),
    );
  });

  it('inwards stays inside, and outwards of what is convex adds perimeter and corners', () => {
    fc.assert(
      fc.property(ring, grown, (a, by) => {
        const inner = offsetRings([a], -by);
        expect(area(subtractRings(inner.flatMap(ringsOf), [a]))).toBeLessThan(SLACK);
      }),
    );
    // Steiner: |A ⊕ d| = |A| + P·d + π·d² for a convex outline.
    const triangle = Float64Array.from([0, 0, 30, 0, 0, 40]);
    expect(area(offsetRings([triangle], 3))).toBeCloseTo(600 + 120 * 3 + Math.PI * 9, 0);
  });

  it('take rings that cross themselves, coincide or are too small to see', () => {
    const bow = Float64Array.from([0, 0, 10, 10, 10, 0, 0, 10]);
    const speck = Float64Array.from([0, 0, 1e-6, 0, 0, 1e-6]);
    expect(area(offsetRings([bow, bow, speck], 1))).toBeGreaterThan(50);
    expect(offsetRings([speck, new Float64Array(0)], -1)).toEqual([]);
  });
});

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

describe('what is left of film nearly cut away', () => {
  it('keep a hole that fills its film to a hair, whose edge lies outside it by rounding', () => {
    const triangle = Float64Array.of(9.0712, 0, 1.9019, 3.3177, -0.0045, -6.6195);
    const nearly = Float64Array.of(0.0111, -6.608, 9.0515, -0.0143, 9.0602, 0.0011, 9.0586, 0.0058, 1.9237, 3.3075, 1.9063, 3.3077, 1.8982, 3.2984, 0, -6.5958, 0.0035, -6.6103); // prettier-ignore
    expect(area(subtractRings([triangle], [nearly]))).toBeCloseTo(38.7838 - 38.7823, 3);
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

describe('laws of nasty outlines', () => {
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

describe('nasty outlines that are moved', () => {
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

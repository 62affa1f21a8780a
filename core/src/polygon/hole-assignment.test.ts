import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unionRings } from './boolean.ts';
import { nestRings } from './hole-assignment.ts';
import type { Ring } from './polygon.ts';
import { polygonArea } from './polygon.ts';

const square = (x: number, y: number, size: number): Ring =>
  Float64Array.from([x, y, x + size, y, x + size, y + size, x, y + size]);
const hole = (x: number, y: number, size: number): Ring =>
  Float64Array.from([x, y, x, y + size, x + size, y + size, x + size, y]);

describe('nesting of rings', () => {
  it('gives holes in a row to the one outer ring, through each other', () => {
    const row = Array.from({ length: 20 }, (_, i) => hole(1 + 2 * i, 1, 1));
    const [polygon, ...none] = nestRings([...row, Float64Array.from([0, 0, 41, 0, 41, 3, 0, 3])]);
    expect(none).toEqual([]);
    expect(polygon!.holes).toHaveLength(20);
    expect(polygonArea(polygon!)).toBeCloseTo(41 * 3 - 20, 9);
  });

  it('keeps an island in a hole as a film of its own, with its own hole', () => {
    const polygons = nestRings([square(0, 0, 30), hole(5, 5, 20), square(10, 10, 10), hole(13, 13, 4)]);
    expect(polygons.map((p) => p.holes.length)).toEqual([1, 1]);
    expect(polygons.map(polygonArea)).toEqual([900 - 400, 100 - 16]);
  });

  it('does not mistake an island in a bent hole for the film round the hole', () => {
    // From the middle of the slanted edge, (44, 69), the ray crosses the hole's own arm (x from 20 to 12) and the island.
    const bent = Float64Array.from([10, 50, 78, 88, 20, 88, 20, 65, 12, 65, 12, 95, 90, 95, 90, 50]);
    const polygons = nestRings([square(14, 67, 4), bent, square(0, 0, 100)]);
    expect(polygons.map((p) => [p.outer[0], p.holes.length])).toEqual([
      [14, 0],
      [0, 1],
    ]);
  });

  it('keeps a hole of any shape in the film round it, whichever way it points', () => {
    const corners = fc.array(fc.double({ min: 2, max: 9, noNaN: true }), { minLength: 3, maxLength: 8 });
    const turn = fc.double({ min: 0, max: 6.3, noNaN: true });
    const shear = fc.double({ min: -5, max: 5, noNaN: true });
    fc.assert(
      fc.property(corners, turn, shear, fc.boolean(), (radii, angle, lean, wide) => {
        const star = Float64Array.from(
          radii.flatMap((r, i) => {
            const at = (2 * Math.PI * i) / radii.length;
            const [x, y] = [r * Math.cos(at) + lean * r * Math.sin(at), -r * Math.sin(at)];
            return [x * Math.cos(angle) - y * Math.sin(angle), x * Math.sin(angle) + y * Math.cos(angle)];
          }),
        );
        const [x, y] = wide ? [90, 60] : [60, 90];
        const [film, ...none] = nestRings([star, Float64Array.from([-x, -y, x, -y, x, y, -x, y])]);
        expect(none).toEqual([]);
        expect(film!.holes).toEqual([star]);
      }),
      { numRuns: 400 },
    );
  });

  it('leaves dust and holes without film out', () => {
    expect(nestRings([square(0, 0, 0.001), hole(50, 50, 2)])).toEqual([]);
  });

  it('does the same for a line of letters upright and lying', () => {
    for (const lying of [true, false]) {
      const at = (i: number, inset: number): [number, number] =>
        lying ? [9 * i + inset, inset] : [inset, 9 * i + inset];
      const line = Array.from({ length: 50 }, (_, i) => [square(...at(i, 0), 10), hole(...at(i, 3), 4)]).flat();
      const [chain, ...none] = unionRings(line);
      expect(none).toEqual([]);
      // 50 squares of 100 mm² that share 49 strips of 1 × 10 mm, each with a window of 16 mm².
      expect(polygonArea(chain!)).toBeCloseTo(50 * 100 - 49 * 10 - 50 * 16, 3);
    }
  });
});

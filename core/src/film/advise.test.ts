import { describe, expect, it } from 'vitest';
import { polygonArea, type Polygon } from '../polygon/polygon.ts';
import { bestOrders, fewestSlits, largestFlat, layWhole, withSlits } from './advise.ts';
import { usualOrders } from './lay.ts';
import { meshOf } from './sheet.ts';
import { ballSide, coneSide } from './side.ts';

const disk = (radius: number, n = 64): Polygon => ({ outer: Float64Array.from({ length: 2 * n }, (_, i) => radius * (i % 2 ? Math.sin : Math.cos)((2 * Math.PI * (i >> 1)) / n)), holes: [] }); // prettier-ignore
const GIVES = { stretch: 0.015, squeeze: 0.005 };
const BALL = { side: ballSide(40), gives: GIVES, slant: 0 };
const CUP = { side: coneSide({ girthRim: 260, girthBase: 220, side: 100 }), gives: GIVES, slant: 50 };

describe('what the simulated film advises', () => {
  it('a disk on a ball is laid from its middle, and from one end last', () => {
    const tried = bestOrders(meshOf(disk(13), 2), BALL);
    expect(tried[0]!.order.name).toBe('centre out');
    expect(tried.at(-1)!.order.name).toBe('one end');
    expect(tried.every(({ laid }) => laid.rested)).toBe(true);
  });

  it('the largest disk that lies flat is as large as its edge may be pushed together', () => {
    // Held along its spokes its edge is pushed by a²/6R², free by a²/8R²: 0.005 between 6.9 and 8 mm. A tent counts a
    // twentieth past that, and the worst triangle of so coarse a mesh sees up to an eighth more than there is.
    const radius = 10 * largestFlat(disk(10), BALL)!;
    expect(radius).toBeGreaterThan(6.9 * 0.94);
    expect(radius).toBeLessThan(8 * 1.05);
    // Film that takes four times as much lies twice as large.
    const softer = 10 * largestFlat(disk(10), { ...BALL, gives: { stretch: 0.06, squeeze: 0.02 } })!;
    expect(softer / radius).toBeGreaterThan(1.85);
    expect(softer / radius).toBeLessThan(2.15);
  });

  it('on what unrolls any size lies flat', () => {
    expect(largestFlat(disk(10), CUP, 0.5, 3)).toBe(3);
  });

  it('the fewest slits do, and one fewer do not, however deep', () => {
    const [piece, limit] = [disk(14), 1];
    const found = fewestSlits(piece, BALL, limit)!;
    expect(found.map.excessMm2).toBeLessThanOrEqual(limit);
    expect(found.count).toBeGreaterThan(3);
    for (const deep of [0.5, 0.7, 0.85]) {
      const fewer = meshOf(withSlits(piece, found.count - 1, deep)!.piece, 2);
      expect(layWhole(fewer, BALL, usualOrders(fewer, 12)[0]!).map.excessMm2).toBeGreaterThan(limit);
    }
  });

  it('slits take nothing off but a hair', () => {
    const slit = withSlits(disk(14), 8, 0.7)!;
    expect(slit.depth).toBeCloseTo(9.8, 9);
    // Eight wedges, 9.8 long; 0.02 broad a tenth of the radius past the edge, at the edge seven eighths of that.
    expect(polygonArea(disk(14)) - polygonArea(slit.piece)).toBeCloseTo((8 * 9.8 * 0.0175) / 2, 2);
    // Past the middle they take it apart.
    expect(withSlits(disk(14), 3, 1.2)).toBeNull();
  });
});

import { describe, expect, it } from 'vitest';
import { polygonArea, type Polygon } from '../polygon/polygon.ts';
import {
  bestOrders,
  fewestSlits,
  largestFlat,
  layWhole,
  lookCloser,
  lookWhole,
  tallestOf,
  withCare,
} from './advise.ts';
import { withSlits } from '../pieces/even-slits.ts';
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
    // Held along its spokes its edge is pushed by a²/6R², free by a²/8R²: 0.005 between 6.9 and 8 mm. A tent of
    // 0.03 mm is 0.00025 past that, a twentieth, and the worst triangle of so coarse a mesh sees up to an eighth more than there is.
    const radius = 10 * largestFlat(disk(10), BALL, 0.03)!;
    expect(radius).toBeGreaterThan(6.9 * 0.94);
    expect(radius).toBeLessThan(8 * 1.05);
    // Film that takes four times as much lies twice as large.
    const softer = 10 * largestFlat(disk(10), { ...BALL, gives: { stretch: 0.06, squeeze: 0.02 } }, 0.06)!;
    expect(softer / radius).toBeGreaterThan(1.85);
    expect(softer / radius).toBeLessThan(2.15);
  });

  it('on what unrolls any size lies flat', () => {
    expect(largestFlat(disk(10), CUP, 0.01, 0.5, 3)).toBe(3);
  });

  it('the fewest slits do, and two fewer do not, however deep', () => {
    const [piece, limit] = [disk(14), 0.1];
    const found = fewestSlits(piece, BALL, limit)!;
    expect(tallestOf(found.map)).toBeLessThanOrEqual(limit);
    expect(found.count).toBeGreaterThan(3);
    // One fewer is within what a mesh sees amiss.
    for (const deep of [0.5, 0.7, 0.85]) {
      const fewer = meshOf(withSlits(piece, { ...found, count: found.count - 2, deep })!.piece, 2);
      expect(tallestOf(layWhole(fewer, BALL, usualOrders(fewer, 12)[0]!).map)).toBeGreaterThan(limit);
    }
  });

  it('a first look comes soon and a fine one follows; what tents is told with its size and its slits', () => {
    const told = [...lookCloser(disk(14), BALL, 0.1)];
    // A breadth of 28 mm in six, then in fourteen.
    expect(told[0]!.look!.edgeMm).toBeCloseTo(28 / 6, 1);
    expect(told.flatMap(({ look }) => look ?? []).at(-1)!.edgeMm).toBeCloseTo(2, 1);
    expect(told.every(({ share }, i) => i === 0 || share >= told[i - 1]!.share - 1e-9)).toBe(true);
    const look = lookWhole(disk(14), BALL, 0.1);
    expect(look.orders.filter(({ pulled }) => pulled === 0).map(({ way }) => way)).toEqual(['centre out', 'middle line first', 'one end']); // prettier-ignore
    expect(look.orders[0]).toMatchObject({ way: 'centre out', pulled: expect.closeTo(0.97 * 0.015, 9) });
    expect(look.orders[0]!.tallestMm).toBeGreaterThan(0.1);
    expect(look.tents[0]!.heightMm).toBe(look.orders[0]!.tallestMm);
    // Pulled by 0.01455 its edge may be 0.01955 too long: a²/6R² is that at 13.7 mm.
    expect(14 * look.largest!).toBeGreaterThan(13.7 * 0.93);
    expect(14 * look.largest!).toBeLessThan(13.7 * 1.07);
    expect(look.slits!.tallestMm).toBeLessThanOrEqual(0.1);
    // What lies flat has nothing to be mended.
    expect(lookWhole(disk(6), BALL, 0.1)).toMatchObject({ largest: null, slits: null, tents: [] });
  });

  it('a star that tents lies with the slits that were found, laid anew with another mesh', () => {
    const star: Polygon = { outer: Float64Array.from({ length: 20 }, (_, i) => (i % 4 < 2 ? 20 : 9) * (i % 2 ? Math.sin : Math.cos)(Math.PI / 2 + (Math.PI * (i >> 1)) / 5)), holes: [] }; // prettier-ignore
    const on = withCare({ ...BALL, side: ballSide(36) });
    const { slits, orders } = lookWhole(star, on, 0.1);
    expect(orders[0]!.tallestMm).toBeGreaterThan(0.15);
    const sheet = meshOf(withSlits(star, slits!)!.piece, 2.4, 0.4);
    expect(tallestOf(bestOrders(sheet, on)[0]!.map)).toBeLessThan(0.13);
  });

  it('a disk that is pulled as it is laid ends pulled in its middle and pushed at its edge, as far as both say', () => {
    // Pulled by 0.8 %. Its middle is pulled by a²/16R² = 0.0039 more, where it is not held; its edge is a²/6R² = 0.0104 too long
    // where it is held along its spokes, so much less than half as much is left to be pushed.
    const { map } = layWhole(meshOf(disk(10), 1), { ...BALL, pulled: 0.008 }, usualOrders(meshOf(disk(10), 1), 12)[0]!);
    expect(map.most.pull).toBeGreaterThan(0.008);
    expect(map.most.pull).toBeLessThan(0.008 + 0.0039);
    expect(map.most.push).toBeGreaterThan(0);
    expect(map.most.push).toBeLessThan(0.0104 * 1.2 - 0.008);
    expect(map.tents).toEqual([]);
  });

  it('slits take nothing off but a hair', () => {
    const slit = withSlits(disk(14), { count: 8, deep: 0.7, turn: Math.PI / 2 })!;
    expect(slit.depthMm).toBeCloseTo(9.8, 9);
    // Eight wedges, 9.8 long and 0.02 broad at the edge.
    expect(polygonArea(disk(14)) - polygonArea(slit.piece)).toBeCloseTo((8 * 9.8 * 0.02) / 2, 1.5);
    // Past the middle they take it apart.
    expect(withSlits(disk(14), { count: 3, deep: 1.2, turn: 0 })).toBeNull();
  });
});

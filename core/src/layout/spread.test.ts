import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { enclosingCircle, convexOutline } from '../plane/enclosing.ts';
import { coverCircles } from './cover-circles.ts';
import { shortWay } from './scatter.ts';
import { spreadSpots, type SpreadField, type SpreadKind } from './spread.ts';

const disk = (d: number, count: number, more: Partial<SpreadKind> = {}): SpreadKind => ({
  count,
  circles: [{ x: 0, y: 0, r: d / 2 }],
  turns: [0, 0],
  sizes: [1, 1],
  ...more,
});
const can: SpreadField = { period: 250, gap: 3, taken: [], x: [-124.5, 124.5], y: [10, 90], past: false };
/** Disks with half their gap round each, in rows as close as they come, counted by hand. */
const hexagonal = (d: number, gap: number, length: number, height: number): number => {
  const pitch = d + gap;
  const rows = 1 + Math.floor((height - d) / (pitch * Math.sqrt(0.75)) + 1e-9);
  return rows * Math.floor(length / pitch);
};

describe('things spread over a side', () => {
  it('keep the gap between any two, from what is there and from the edges, whatever their kinds, turns and sizes', () => {
    const oar: SpreadKind = { count: 8, circles: [-9, -3, 3, 9].map((y) => ({ x: 0, y, r: 3.5 })), turns: [-3, 3], sizes: [0.7, 1.2] }; // prettier-ignore
    fc.assert(
      fc.property(fc.nat(1e6), fc.boolean(), (seed, fill) => {
        const field = { ...can, taken: [{ x: [-20, 25], y: [20, 40] } as const], y: [10, 60] as const };
        const kinds = [disk(12, 10, { sizes: [0.5, 1] }), oar];
        const spots = spreadSpots(field, kinds, seed, [], fill);
        if (!fill) expect(spots.length).toBe(18);
        const circles = spots.map(
          ({ kind, x, y, turn, size }) =>
          kinds[kind]!.circles.map((c) => ({ x: x + size * (c.x * Math.cos(turn) - c.y * Math.sin(turn)), y: y - size * (c.x * Math.sin(turn) + c.y * Math.cos(turn)), r: c.r * size })), // prettier-ignore
        );
        circles.forEach((own, i) => {
          for (const a of own) {
            expect(Math.min(a.y - a.r - 10, 60 - a.y - a.r, 124.5 - Math.abs(a.x) - a.r)).toBeGreaterThan(-1e-5);
            const [dx, dy] = [Math.max(0, Math.abs(a.x - 2.5) - 22.5), Math.max(0, Math.abs(a.y - 30) - 10)];
            expect(Math.hypot(dx, dy) - a.r).toBeGreaterThan(3 - 1e-5);
            for (const other of circles.slice(0, i))
              for (const b of other)
                expect(Math.hypot(shortWay(a.x - b.x, 250), a.y - b.y) - a.r - b.r).toBeGreaterThan(3 - 1e-5);
          }
        });
        for (const { turn, size, kind } of spots) {
          expect(size).toBeGreaterThanOrEqual(kinds[kind]!.sizes[0]);
          expect(size).toBeLessThanOrEqual(kinds[kind]!.sizes[1]);
          expect(Math.abs(turn)).toBeLessThanOrEqual(3);
        }
        expect(spreadSpots(field, kinds, seed, [], fill)).toEqual(spots);
      }),
      { numRuns: 3 },
    );
  });

  it.each([
    [12, 3],
    [20, 2],
    [8, 4],
  ])('fill a field with at least seven tenths of what rows of disks would get: %i mm, %i apart', (d, gap) => {
    // prettier-ignore
    for (const seed of [1, 2]) {
      const spots = spreadSpots({ ...can, gap }, [disk(d, 1)], seed, [], true);
      expect(spots.length / hexagonal(d, gap, 249, 80)).toBeGreaterThan(0.7);
    }
  });

  it('are as many as are wanted where that many fit at all, and all that fit where not', () => {
    const most = hexagonal(12, 3, 249, 80);
    expect(most).toBe(96);
    expect(spreadSpots(can, [disk(12, 60)], 4)).toHaveLength(60);
    const full = spreadSpots(can, [disk(12, 500)], 4);
    expect(full.length).toBeLessThanOrEqual(most * 1.05);
    expect(spreadSpots({ ...can, y: [40, 45] }, [disk(12, 3)], 4)).toEqual([]);
    expect(spreadSpots({ ...can, y: [40, 45], past: true }, [disk(12, 3)], 4)).toHaveLength(3);
    // A round face of 60 mm holds seven disks of 18 at the most.
    const face: SpreadField = { period: null, gap: 1, taken: [], x: [-30, 30], y: [0, 60], inside: (x, y) => 30 - Math.hypot(x, y - 30), past: false }; // prettier-ignore
    const on = spreadSpots(face, [disk(18, 20)], 2);
    expect(on.length).toBeGreaterThanOrEqual(4);
    for (const { x, y } of on) expect(Math.hypot(x, y - 30)).toBeLessThanOrEqual(21 + 1e-5);
  });

  it('do not fill a field with what is nothing', () => {
    const nothing = disk(12, 1, { circles: [] });
    expect(spreadSpots(can, [{ ...nothing, count: 0 }], 1, [], true)).toEqual([]);
    const spots = spreadSpots(can, [{ ...nothing, count: 0 }, disk(20, 1)], 1, [], true);
    expect(spots.every(({ kind }) => kind === 1)).toBe(true);
    expect(spots.length).toBeGreaterThan(20);
  });

  it('leave what is kept where it is, and count it', () => {
    const kept = [{ kind: 0, x: 5, y: 50, turn: 0, size: 1 }, { kind: 0, x: 60, y: 30, turn: 1, size: 1.5 }]; // prettier-ignore
    const spots = spreadSpots(can, [disk(12, 30)], 9, kept);
    expect(spots.slice(0, 2)).toEqual(kept);
    expect(spots).toHaveLength(30);
    expect(spreadSpots(can, [disk(12, 30)], 10, kept).slice(0, 2)).toEqual(kept);
    expect(spreadSpots(can, [disk(12, 30)], 10, kept)[5]).not.toEqual(spots[5]);
  });
});

describe('circles round shapes', () => {
  const ring = (...v: number[]): Float64Array => Float64Array.from(v);

  it('are one for what is round or square, a row for what is long, and cover every corner', () => {
    const round = Float64Array.from({ length: 128 }, (_, i) => (i % 2 ? Math.sin : Math.cos)((Math.floor(i / 2) * Math.PI) / 32) * 7); // prettier-ignore
    expect(coverCircles([round])).toHaveLength(1);
    expect(coverCircles([round])[0]!.r).toBeCloseTo(7, 9);
    const [square] = coverCircles([ring(0, 0, 10, 0, 10, 10, 0, 10)]);
    expect(square).toMatchObject({ x: 5, y: 5 });
    expect(square!.r).toBeCloseTo(Math.SQRT2 * 5, 9);
    const oar = coverCircles([ring(0, 0, 60, 0, 60, 6, 0, 6)]);
    expect(oar.length).toBeGreaterThanOrEqual(5);
    // Slabs of a strip 60 × 6: circles hardly wider than half their diagonal, none as large as the strip is long.
    expect(Math.max(...oar.map(({ r }) => r))).toBeLessThan(8);
    for (const [x, y] of [[0, 0], [60, 0], [60, 6], [0, 6], [30, 0], [17, 6]]) expect(oar.some((c) => Math.hypot(c.x - x!, c.y - y!) <= c.r + 1e-6)).toBe(true); // prettier-ignore
    expect(coverCircles([])).toEqual([]);
  });

  it('are the smallest round their points', () => {
    expect(enclosingCircle([[3, 4]])).toEqual({ x: 3, y: 4, r: 0 });
    expect(enclosingCircle([[0, 0], [6, 8], [3, 4]])).toEqual({ x: 3, y: 4, r: 5 }); // prettier-ignore
    // A triangle with a right angle lies in the circle over its long side.
    const right = enclosingCircle([[0, 0], [6, 0], [0, 8]]); // prettier-ignore
    expect([right.x, right.y, right.r].map((v) => Math.round(v * 1e6) / 1e6)).toEqual([3, 4, 5]);
    expect(convexOutline([[0, 0], [4, 0], [2, 1], [4, 4], [0, 4], [2, 0]])).toEqual([[0, 0], [4, 0], [4, 4], [0, 4]]); // prettier-ignore
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apart } from '../../test/nesting.ts';
import type { Box } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import { deepestOf, sectionOf, tellingHeight, type Layer } from '../stack/depth.ts';
import { MARK_CLEAR_MM, MARK_MM, placeMarks } from '../stack/registration/places.ts';
import { layersOf } from './order.ts';
import { supportedPieces } from '../stack/support.ts';

const box = (x0: number, y0: number, x1: number, y1: number): Ring =>
  Float64Array.from([x0, y0, x1, y0, x1, y1, x0, y1]);
const boxOf = ([minX, minY, maxX, , , maxY]: Ring): Box => ({ minX: minX!, minY: minY!, maxX: maxX!, maxY: maxY! });

describe('layersOf', () => {
  it('has films as the artwork has them, but for those whose place was chosen', () => {
    expect(layersOf(['a', 'b', 'a', 'c'], { order: [] })).toEqual(['a', 'b', 'c']);
    expect(layersOf(['a', 'b', 'c'], { order: ['c', 'b', 'a'] })).toEqual(['c', 'b', 'a']);
    // One that was not chosen stays above what it stood above.
    expect(layersOf(['a', 'b', 'c'], { order: ['c', 'a', 'gone'] })).toEqual(['c', 'a', 'b']);
  });

  it('keeps every film once, whatever was chosen', () => {
    const films = fc.array(fc.constantFrom<string>('a', 'b', 'c', 'd', 'e'));
    fc.assert(
      fc.property(films, fc.uniqueArray(fc.constantFrom<string>('a', 'b', 'c', 'x')), (used, order) => {
        const layers = layersOf(used, { order });
        expect([...layers].sort()).toEqual([...new Set(used)].sort());
        const chosen = order.filter((film) => used.includes(film));
        expect(layers.filter((film) => chosen.includes(film))).toEqual(chosen);
      }),
    );
  });
});

describe('the deepest place', () => {
  const layers: Layer[] = [
    { layer: 'a', thicknessMm: 0.07, rings: [box(0, 0, 100, 100)] },
    { layer: 'b', thicknessMm: 0.18, rings: [box(20, 20, 60, 60)] },
    { layer: 'c', thicknessMm: 0.06, rings: [box(50, 50, 90, 90)] },
    { layer: 'd', thicknessMm: 0.05, rings: [box(80, 0, 95, 20)] },
  ];

  it('is where films add up to most, not where most films are somewhere', () => {
    // a, b and c share 10 × 10 mm.
    const deepest = deepestOf(layers)!;
    expect(deepest.layers).toEqual(['a', 'b', 'c']);
    expect(deepest.thicknessMm).toBeCloseTo(0.31, 9);
    expect(deepest.areaMm2).toBeCloseTo(100, 2);
    expect([deepest.x, deepest.y].every((v) => v > 50 && v < 60)).toBe(true);
    // Thick film on thick film beats two thin ones more.
    const thin = deepestOf([...layers, { layer: 'e', thicknessMm: 0.2, rings: [box(82, 2, 90, 10)] }])!;
    expect(thin.layers).toEqual(['a', 'd', 'e']);
    expect(deepestOf([])).toBeNull();
    // A shared edge is no overlap.
    expect(deepestOf([layers[1]!, { ...layers[1]!, layer: 'f', rings: [box(60, 20, 90, 60)] }])!.layers).toHaveLength(
      1,
    );
  });

  it('is cut through by a section that meets each film where it lies', () => {
    expect(sectionOf(layers, 55).map(({ spans }) => spans)).toEqual([[[0, 100]], [[20, 60]], [[50, 90]], []]);
    // Between 50 and 60 three films are met.
    expect(tellingHeight(layers.slice(0, 3))).toBeGreaterThan(50);
    expect(tellingHeight(layers.slice(0, 3))).toBeLessThan(60);
    const holed: Layer = { layer: 'h', thicknessMm: 0.1, rings: [box(0, 0, 30, 30), Float64Array.from([10, 10, 10, 20, 20, 20, 20, 10])] }; // prettier-ignore
    expect(sectionOf([holed], 15)[0]!.spans).toEqual([[0, 10], [20, 30]]); // prettier-ignore
  });

  it('tells pieces that lie on film, or right beside it, from those that float', () => {
    const piece = (x: number): { outer: Ring; holes: Ring[] } => ({ outer: box(x, 0, x + 5, 5), holes: [] });
    const film = [{ outer: box(0, 0, 10, 10), holes: [] }];
    expect(supportedPieces([piece(0), piece(10.5), piece(12.5), piece(-5.9)], film)).toEqual([true, true, false, true]);
    expect(supportedPieces([piece(0)], [])).toEqual([false]);
    // Twenty metres of film fill no memory: they are looked at more coarsely.
    const vast = { outer: Float64Array.from([0, 0, 20_000, 0, 20_000, 20_000, 0, 20_000]), holes: [] };
    const beyond = { outer: Float64Array.from([20_100, 0, 40_000, 0, 40_000, 20_000]), holes: [] };
    expect(supportedPieces([vast, piece(0), beyond], [vast])).toEqual([true, true, false]);
  });
});

describe('placeMarks', () => {
  it('costs nothing in a notch that every layer has, and all round a design that fills its box', () => {
    // An L leaves a notch of 60 × 60.
    const notched = Float64Array.from([0, 0, 120, 0, 120, 40, 40, 40, 40, 120, 0, 120]);
    const layer = { layer: 'a', box: boxOf(box(0, 0, 120, 120)) };
    const marks = placeMarks([layer], [notched])!;
    expect(marks.extra['a']).toBe(0);
    // A full rectangle, 100 × 50: a short side holds no two marks far enough apart. One beside each, 2 mm away, costs
    // 16 × 50, two beside a long one 8 × 100; a millimetre more where places lie 2 mm apart.
    const full = placeMarks([{ layer: 'a', box: boxOf(box(0, 0, 100, 50)) }], [box(0, 0, 100, 50)])!;
    expect(full.extra['a']).toBeGreaterThanOrEqual(800);
    expect(full.extra['a']).toBeLessThanOrEqual(1000);
    expect(placeMarks([], [])).toBeNull();
  });

  it('lies on the right and above where that is cheapest', () => {
    // Two layers that end together on the right, 60 high: marks there make each wider by 8 mm and up to 3 more; on the left the
    // narrower one would grow by 70, and above one another's length is too short to hold a turn.
    const [long, short] = [box(0, 0, 101.5, 60), box(60, 0, 101.5, 60)];
    const turn = (ring: Float64Array): Float64Array => ring.map((_, i) => ring[i ^ 1]!);
    for (const rings of [
      [long, short],
      [turn(long), turn(short)],
    ]) {
      const { extra } = placeMarks(rings.map((ring, i) => ({ layer: String(i), box: boxOf(ring) })), rings)!; // prettier-ignore
      const grown = Object.values(extra).reduce((sum, mm2) => sum + mm2, 0);
      expect(grown).toBeGreaterThanOrEqual(2 * 8 * 60);
      expect(grown).toBeLessThanOrEqual(2 * 11 * 60);
    }
  });

  it('keeps clear of all film, far enough apart to hold a turn as well, and reckons what strips grow by', () => {
    const side = fc.integer({ min: 8, max: 90 });
    const layer = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }), side, side);
    fc.assert(
      fc.property(fc.array(layer, { minLength: 2, maxLength: 5 }), (list) => {
        const rings = list.map(([x, y, w, h]) => box(x, y, x + w, y + h));
        const layers = rings.map((ring, i) => ({ layer: String(i), box: boxOf(ring) }));
        const { at, extra } = placeMarks(layers, rings)!;
        const squares = at.map(([x, y]) => box(x, y, x + MARK_MM, y + MARK_MM));
        for (const square of squares)
          for (const ring of rings) expect(apart([square], [ring])).toBeGreaterThanOrEqual(MARK_CLEAR_MM - 1e-9);
        const all = rings.flatMap((ring) => [...ring]);
        const wide = Math.max(...all.filter((_, i) => i % 2 === 0)) - Math.min(...all.filter((_, i) => i % 2 === 0));
        expect(Math.hypot(at[0]![0] - at[1]![0], at[0]![1] - at[1]![1])).toBeGreaterThanOrEqual(0.45 * wide - 1e-9);
        layers.forEach(({ layer, box: b }) => {
          const x = [b.minX, b.maxX, ...squares.flatMap((s) => [s[0]!, s[2]!])];
          const y = [b.minY, b.maxY, ...squares.flatMap((s) => [s[1]!, s[5]!])];
          const grown = (Math.max(...x) - Math.min(...x)) * (Math.max(...y) - Math.min(...y));
          expect(extra[layer]).toBeCloseTo(grown - (b.maxX - b.minX) * (b.maxY - b.minY), 6);
        });
      }),
      { numRuns: 40 },
    );
  });
});

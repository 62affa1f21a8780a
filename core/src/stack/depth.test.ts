import { describe, expect, it } from 'vitest';
import type { Ring } from '../polygon/polygon.ts';
import type { Layer } from './depth.ts';
import { deepestOf, sectionOf, tellingHeight } from './depth.ts';
import { supportedPieces } from './support.ts';

const box = (x: number, y: number, w: number, h: number): Ring => Float64Array.from([x, y, x + w, y, x + w, y + h, x, y + h]); // prettier-ignore
const hole = (...at: [number, number, number, number]): Ring => {
  const [x, y, w, h] = at;
  return Float64Array.from([x, y, x, y + h, x + w, y + h, x + w, y]);
};
const layer = (film: string, thicknessMm: number, ...rings: Ring[]): Layer => ({ layer: film, thicknessMm, rings });

describe('the deepest place of a stack', () => {
  it('is where film is thickest, not where most films lie', () => {
    const layers = [
      layer('a', 0.1, box(0, 0, 40, 20)),
      layer('b', 0.1, box(10, 5, 10, 10)),
      layer('c', 0.18, box(30, 0, 10, 20)),
      layer('d', 0.05, box(12, 5, 6, 10)),
    ];
    // a, b and d: 0.25; a and c: 0.28.
    const found = deepestOf(layers)!;
    expect(found).toMatchObject({ layers: ['a', 'c'], thicknessMm: expect.closeTo(0.28, 9), x: 35 });
    expect(found.areaMm2).toBeCloseTo(200, 6);
    const thin = deepestOf([...layers.slice(0, 2), layer('c', 0.12, box(30, 0, 10, 20)), layers[3]!])!;
    expect(thin).toMatchObject({ layers: ['a', 'b', 'd'], thicknessMm: expect.closeTo(0.25, 9), x: 15 });
    expect(thin.areaMm2).toBeCloseTo(60, 6);
    expect(thin.y).toBeGreaterThan(5);
    expect(thin.y).toBeLessThan(15);
  });

  it('is of more films where it is as thick, and where these lie on each other the furthest', () => {
    const layers = [layer('a', 0.1, box(0, 0, 40, 20)), layer('b', 0.1, box(0, 0, 5, 20)), layer('c', 0.05, box(20, 0, 9, 20)), layer('d', 0.05, box(20, 0, 9, 20))]; // prettier-ignore
    expect(deepestOf(layers)).toMatchObject({ layers: ['a', 'c', 'd'], x: 24.5 });
    const twoSpots = [layer('a', 0.1, box(0, 0, 40, 20)), layer('b', 0.1, box(2, 5, 3, 10), box(20, 5, 12, 10))];
    expect(deepestOf(twoSpots)).toMatchObject({ x: 26 });
    expect(deepestOf(twoSpots)!.areaMm2).toBeCloseTo(150, 6);
  });

  it('is no place where edges only meet, nor through a hole; nothing has none', () => {
    const meeting = [layer('a', 0.1, box(0, 0, 20, 20)), layer('b', 0.1, box(19.95, 0, 20, 20))];
    expect(deepestOf(meeting)!.layers).toHaveLength(1);
    expect(deepestOf([layer('a', 0.1, box(0, 0, 20, 20)), layer('b', 0.1, box(19.85, 0, 20, 20))])!.layers).toHaveLength(2); // prettier-ignore
    const through = [layer('a', 0.1, box(0, 0, 40, 40), hole(10, 10, 20, 20)), layer('b', 0.1, box(12, 12, 16, 16))];
    expect(deepestOf(through)!.layers).toHaveLength(1);
    // Two pieces of one film that lap are one film there.
    expect(deepestOf([layer('a', 0.1, box(0, 0, 20, 20), box(10, 0, 20, 20))])!.thicknessMm).toBe(0.1);
    expect([deepestOf([]), deepestOf([layer('a', 0.1)])]).toEqual([null, null]);
  });
});

describe('a section through the stack', () => {
  it('has each film from where to where it lies, holes left open, laps told once', () => {
    const layers = [layer('a', 0.1, box(0, 0, 40, 40), hole(10, 10, 20, 20)), layer('b', 0.07, box(5, 0, 10, 15), box(12, 0, 10, 15))]; // prettier-ignore
    expect(sectionOf(layers, 12)).toEqual([
      { layer: 'a', thicknessMm: 0.1, spans: [[0, 10], [30, 40]] },
      { layer: 'b', thicknessMm: 0.07, spans: [[5, 22]] },
    ]); // prettier-ignore
    expect(sectionOf(layers, 20)[1]!.spans).toEqual([]);
    expect(sectionOf(layers, 5)[0]!.spans).toEqual([[0, 40]]);
  });

  it('is told most by where it meets most films, and of those most of the one that it meets least', () => {
    const layers = [layer('a', 0.1, box(0, 0, 40, 40)), layer('b', 0.1, box(0, 10, 5, 5), box(0, 30, 25, 5)), layer('c', 0.1, box(0, 0, 40, 4))]; // prettier-ignore
    // All three lie nowhere at one height; a and b at 30 … 35 for 25 mm, a and c at 0 … 4 for 40.
    const y = tellingHeight(layers);
    expect(y).toBeGreaterThan(0);
    expect(y).toBeLessThan(4);
    const two = tellingHeight(layers.slice(0, 2));
    expect(two).toBeGreaterThan(30);
    expect(two).toBeLessThan(35);
    expect(tellingHeight([])).toBe(0);
  });
});

describe('what lies on film below', () => {
  const on = (x: number, y: number, size = 4): boolean => supportedPieces([{ outer: box(x, y, size, size), holes: [] }], [{ outer: box(0, 0, 20, 20), holes: [hole(5, 5, 10, 10)] }])[0]!; // prettier-ignore

  it('is what touches it, or lies beside it within a millimetre', () => {
    expect([on(1, 1), on(19, 8), on(20.4, 8), on(8, -4.4)]).toEqual([true, true, true, true]);
    expect([on(22, 8), on(8, -6), on(-6, 8), on(8, 22), on(90, 90), on(-90, -90)]).toEqual([false, false, false, false, false, false]); // prettier-ignore
    // In the middle of its hole, three millimetres from every edge.
    expect([on(8, 8), on(6, 8)]).toEqual([false, true]);
  });

  it('is nothing where there is none', () => {
    expect(supportedPieces([{ outer: box(0, 0, 4, 4), holes: [] }], [])).toEqual([false]);
  });
});

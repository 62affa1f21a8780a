import { describe, expect, it } from 'vitest';
import { withSlits } from '../pieces/even-slits.ts';
import type { Polygon } from '../polygon/polygon.ts';
import { layWhole, type LaidOn, withCare } from './advise.ts';
import { orderOfStrokes, type OwnWay, type Stroke, warmedBy } from './by-hand.ts';
import { orderBy } from './lay.ts';
import { meshOf, type Sheet } from './sheet.ts';
import { layingShown } from './show.ts';
import { ballSide, coneSide } from './side.ts';

const disk = (radius: number, n = 72): Polygon => ({ outer: Float64Array.from({ length: 2 * n }, (_, i) => radius * (i % 2 ? Math.sin : Math.cos)((2 * Math.PI * (i >> 1)) / n)), holes: [] }); // prettier-ignore
const GIVES = { stretch: 0.015, squeeze: 0.005 };
const BALL: LaidOn = { side: ballSide(40), gives: GIVES, slant: 0 };
const press = (...points: [number, number][]): Stroke => ({ does: 'press', points });
const way = (reach: number, ...strokes: Stroke[]): OwnWay => ({ strokes, reach });
const excess = (sheet: Sheet, on: LaidOn, order = orderBy('centre out', sheet, 10, Math.hypot)): number =>
  layWhole(sheet, on, order).map.excessMm2;

describe('strokes of one’s own', () => {
  const flat = Float64Array.from([0, 0, 10, 0, 20, 0, 30, 0, 0, 9, 30, 9, 15, 30]);

  it('press what a thumb goes over, one after another, then what lies beside, outwards', () => {
    const { step, steps } = orderOfStrokes({ flat }, way(4, press([0, 0], [30, 0])));
    // Spots 2 mm apart: on at 0, then from 6, 16 and 26 mm; 9 mm beside is two reaches off, 30 mm above 15 seven.
    expect([...step]).toEqual([0, 1, 2, 3, 4, 4, 5]);
    expect(steps).toBe(6);
    expect([...orderOfStrokes({ flat }, way(4, press([30, 0], [0, 0]))).step].slice(0, 4)).toEqual([3, 2, 1, 0]);
    // What is on stays: a second stroke over it changes nothing.
    expect(orderOfStrokes({ flat }, way(4, press([0, 0], [30, 0]), press([30, 0]))).step).toEqual(step);
    // By spots that are pressed singly, in the order in which they are.
    expect([...orderOfStrokes({ flat }, way(4, press([20, 0]), press([0, 0]))).step].slice(0, 3)).toEqual([1, 2, 0]);
  });

  it('without any, go out from the middle of the box; very many are taken together', () => {
    const { step } = orderOfStrokes({ flat }, way(5));
    const away = [...step.keys()].map((i) => Math.hypot(flat[2 * i]! - 15, flat[2 * i + 1]! - 15));
    const sorted = [...step.keys()].sort((a, b) => away[a]! - away[b]!).map((i) => step[i]!);
    expect(sorted).toEqual([...sorted].sort((a, b) => a - b));
    const long = Float64Array.from({ length: 400 }, (_, i) => (i % 2 ? 0 : i));
    const many = orderOfStrokes({ flat: long }, way(1, press([0, 0], [400, 0])));
    expect(many.steps).toBe(48);
    expect(Math.max(...many.step)).toBe(47);
    expect([...many.step]).toEqual([...many.step].sort((a, b) => a - b));
  });

  it('from the rim round to the other side tent a disk more than from its middle', () => {
    const sheet = meshOf(disk(15), 2);
    const across = orderOfStrokes(sheet, way(4, press([-15, 0], [15, 0])));
    const spoilt = orderOfStrokes(sheet, way(4, press([-15, 0]), press([15, 0]), press([0, 15]), press([0, -15])));
    expect(excess(sheet, BALL, spoilt)).toBeGreaterThan(2 * excess(sheet, BALL, across));
  });
});

describe('film that is warmed in parts', () => {
  const sheet = meshOf(disk(15), 2);
  const warm = { stretch: 0.05, squeeze: 0.005 };
  const at = (where: (x: number, y: number) => boolean): LaidOn => ({ ...BALL, gives: { ...GIVES, warm: { at: where, ...warm } } }); // prettier-ignore

  it('gives what it gives warm there, and cold beside', () => {
    const [cold, all] = [excess(sheet, BALL), excess(sheet, { ...BALL, gives: warm })];
    expect(
      excess(
        sheet,
        at(() => false),
      ),
    ).toBe(cold);
    expect(
      excess(
        sheet,
        at(() => true),
      ),
    ).toBe(all);
  });

  it('is as long pulled as cold: warm where it was stroked before it was pulled', () => {
    const asked: number[] = [];
    const held = withCare(at((x, y) => (asked.push(Math.hypot(x, y)), x > 0)));
    layWhole(sheet, held, orderBy('centre out', sheet, 10, Math.hypot));
    // Asked of the flat as it was, not of the longer one.
    expect(Math.max(...asked)).toBeLessThan(15);
    const pulled = held.pulled!;
    expect(pulled).toBeCloseTo(0.97 * 0.015, 12);
    expect(excess(sheet, held)).toBeLessThan(
      excess(
        sheet,
        at(() => false),
      ),
    );
  });

  it('is where strokes warm it, within a reach of them', () => {
    const warmed = warmedBy(way(5, press([0, 0]), { does: 'warm', points: [[10, 0], [20, 0]] }))!; // prettier-ignore
    expect([warmed(10, 0), warmed(15, 4.8), warmed(24.9, 0), warmed(15, 5.2), warmed(4, 0)]).toEqual([true, true, true, false, false]); // prettier-ignore
    expect(warmedBy(way(5, press([0, 0])))).toBeNull();
  });
});

describe('slits that are opened as it is laid', () => {
  it('help no more than none while they are shut, most when they are open from the start', () => {
    const slit = withSlits(disk(15), { count: 8, deep: 0.7, turn: 0.3 })!.piece;
    const [whole, cut] = [meshOf(disk(15), 2), meshOf(slit, 2)];
    const [none, start, half, never] = [excess(whole, BALL), excess(cut, BALL), excess(cut, { ...BALL, opens: 0.5 }), excess(cut, { ...BALL, opens: 1 })]; // prettier-ignore
    expect(Math.abs(never / none - 1)).toBeLessThan(0.1);
    expect(start).toBeLessThan(0.5 * never);
    expect(half).toBeGreaterThan(start);
    expect(half).toBeLessThan(never);
  });
});

describe('a sheet that is begun askew', () => {
  it('has its far end off by the chord of what it is turned, where the side unrolls', () => {
    const piece: Polygon = { outer: Float64Array.from([-30, -10, 30, -10, 30, 10, -30, 10]), holes: [] };
    const cup = { side: coneSide({ girthRim: 270, girthBase: 200, side: 100 }), gives: GIVES, slant: 50 };
    const farOf = (off: number): number => {
      const { steps } = layingShown(piece, cup, 'centre out', 'coarse', off);
      for (;;) {
        const step = steps.next();
        if (step.done) return step.value.farMm;
      }
    };
    expect(farOf(0)).toBe(0);
    // Corners are √(30² + 10²) from the middle: 2·√1000·sin(off/2).
    for (const off of [0.01, 0.03]) expect(farOf(off)).toBeCloseTo(2 * Math.sqrt(1000) * Math.sin(off / 2), 2);
  });
});

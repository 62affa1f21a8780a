import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Polygon } from '../polygon/polygon.ts';
import { coneDevelopment, seamStep } from '../surface/cone.ts';
import { allOrders, type Begun, type LayOrder, layInOrder, orderBy, relaxed, usualOrders } from './lay.ts';
import { membraneOf } from './membrane.ts';
import { meshOf, type Sheet, SheetProblem } from './sheet.ts';
import { ballSide, coneSide, type TurnedSide } from './side.ts';
import { mapOf } from './tents.ts';

const ROUND_ENOUGH = 96;
const disk = (radius: number, n = ROUND_ENOUGH): Polygon => ({ outer: Float64Array.from({ length: 2 * n }, (_, i) => radius * (i % 2 ? Math.sin : Math.cos)((2 * Math.PI * (i >> 1)) / n)), holes: [] }); // prettier-ignore
const box = (w: number, h: number): Polygon => ({ outer: Float64Array.from([-w / 2, -h / 2, w / 2, -h / 2, w / 2, h / 2, -w / 2, h / 2]), holes: [] }); // prettier-ignore
const HERE: Begun = { flat: [0, 0], azimuth: 0, slant: 0, askew: 0 };
const GIVES = { stretch: 0.015, squeeze: 0.005 };
/** Film that only stretches and is only pushed together, for what elastic plates do. */
const ELASTIC = { stretch: 1, squeeze: 1 };

function lay(sheet: Sheet, side: TurnedSide, order: LayOrder, begun = HERE, gives = GIVES) {
  const laying = layInOrder(sheet, side, gives, begun, order);
  for (;;) {
    const next = laying.next();
    if (next.done) return { ...next.value, map: mapOf(sheet, next.value.membrane, next.value.at) };
  }
}
const relaxedMap = (sheet: Sheet, side: TurnedSide) => {
  const laid = relaxed(sheet, side, ELASTIC, HERE);
  expect(laid.rested).toBe(true);
  return mapOf(sheet, laid.membrane, laid.at);
};

describe('a piece as a mesh', () => {
  it('keeps its area, its holes and its slits', () => {
    const hole = disk(4).outer.map((v, i, all) => all[i % 2 ? all.length - i : all.length - 2 - i] ?? v);
    const ring = meshOf({ outer: disk(12).outer, holes: [hole] }, 2);
    const area = membraneOf(ring, ballSide(40), GIVES, 40).areas.reduce((sum, one) => sum + one, 0);
    // A polygon of 96 corners: n/2·r²·sin(2π/n).
    expect(area).toBeCloseTo(48 * (144 - 16) * Math.sin(Math.PI / 48), 6);
    const slit: Polygon = { outer: Float64Array.from([-10, -10, -0.005, -10, 0, 0, 0.005, -10, 10, -10, 10, 10, -10, 10]), holes: [] }; // prettier-ignore
    const { flat, edges } = meshOf(slit, 2);
    for (let e = 0; e < edges.length; e += 2) {
      const [a, b] = [edges[e]!, edges[e + 1]!];
      const across = flat[2 * a]! * flat[2 * b]! < -1e-9 && flat[2 * a + 1]! < -1 && flat[2 * b + 1]! < -1;
      expect(across).toBe(false);
    }
  });

  it('is refused where it has no area, or would be too many', () => {
    expect(() => meshOf({ outer: Float64Array.from([0, 0, 10, 0, 20, 0]), holes: [] }, 1)).toThrow(SheetProblem);
    expect(() => meshOf(disk(500), 0.5)).toThrow(SheetProblem);
    expect(() => meshOf(disk(5), 0)).toThrow(RangeError);
  });
});

describe('the energy of a sheet', () => {
  it('has the slope that it says, pulled, pushed and past both', () => {
    const sheet = meshOf(disk(10, 40), 3);
    for (const side of [ballSide(40), coneSide({ girthRim: 270, girthBase: 200, side: 100 })]) {
      const membrane = membraneOf(sheet, side, GIVES, 40);
      const counts = new Uint8Array(sheet.triangles.length / 3).fill(1);
      const at = Float64Array.from(sheet.flat, (v, i) => (i % 2 ? 5 - v * 1.02 + 0.2 * Math.sin(i) : v + 0.1 * Math.cos(3 * i))); // prettier-ignore
      const [slope, spare] = [new Float64Array(at.length), new Float64Array(at.length)];
      membrane.energy(at, slope, counts);
      for (let i = 0; i < at.length; i++) {
        const d = 1e-5;
        const before = at[i]!;
        at[i] = before + d;
        const up = membrane.energy(at, spare, counts);
        at[i] = before - d;
        const down = membrane.energy(at, spare, counts);
        at[i] = before;
        expect(Math.abs((up - down) / (2 * d) - slope[i]!)).toBeLessThan(1e-5);
      }
    }
  });
});

describe('on what unrolls', () => {
  const spec = { girthRim: 270, girthBase: 200, side: 100 };
  const cone = coneDevelopment(spec);
  const wrap = (reach: number): Polygon => {
    const along = Array.from({ length: 61 }, (_, i) => -reach + (2 * reach * i) / 60);
    const edge = (slant: number, way: readonly number[]): number[] => way.flatMap((u) => { const p = cone.forward(u, slant); return [p.x, p.y]; }); // prettier-ignore
    return { outer: Float64Array.from([...edge(100, along), ...edge(0, [...along].reverse())]), holes: [] };
  };

  it('every order that starts true ends without strain, and nothing is off', () => {
    const sheet = meshOf(wrap(3), 9);
    for (const order of allOrders(sheet, 10)) {
      const { at, membrane, map } = lay(sheet, coneSide(spec), order);
      expect(Math.max(map.most.pull, map.most.push), order.name).toBeLessThan(1e-4);
      for (let i = 0; i < sheet.flat.length / 2; i++) {
        const exact = cone.onward(sheet.flat[2 * i]!, sheet.flat[2 * i + 1]!)!;
        expect(Math.abs(at[2 * i]! / membrane.round - exact.azimuth) * 40).toBeLessThan(0.02);
        expect(Math.abs(at[2 * i + 1]! - exact.slant)).toBeLessThan(0.02);
      }
      expect(map.tents).toEqual([]);
    }
  });

  it('one that starts askew steps at its ends as the exact map says', () => {
    const sheet = meshOf(wrap(Math.PI), 9);
    const over100 = 1;
    const order = usualOrders(sheet, 10)[0]!;
    const { at, map } = lay(sheet, coneSide(spec), order, { ...HERE, askew: Math.atan(over100 / 100) });
    const corner = (sign: 1 | -1): number => {
      const p = cone.forward(sign * Math.PI, 0);
      return [...Array(sheet.flat.length / 2).keys()].reduce((a, b) => (Math.hypot(sheet.flat[2 * b]! - p.x, sheet.flat[2 * b + 1]! - p.y) < Math.hypot(sheet.flat[2 * a]! - p.x, sheet.flat[2 * a + 1]! - p.y) ? b : a)); // prettier-ignore
    };
    const step = at[2 * corner(-1) + 1]! - at[2 * corner(1) + 1]!;
    expect(Math.abs(step - seamStep(spec, over100))).toBeLessThan(0.05);
    expect(map.most.push).toBeLessThan(1e-4);
  });
});

describe('on a ball', () => {
  const [R, ball] = [40, ballSide(40)];

  it('a disk and a strip that slide are squeezed at their edges and pulled in their middles as plates are', () => {
    // Without Poisson's effect: a²/8R² round the edge, a²/16R² in the middle; of a strip w²/12R² and w²/24R².
    const small = relaxedMap(meshOf(disk(10, 80), 1.2), ball);
    expect(small.most.push / (100 / 8 / R ** 2)).toBeGreaterThan(0.95);
    expect(small.most.push / (100 / 8 / R ** 2)).toBeLessThan(1.1);
    expect(small.most.pull / (100 / 16 / R ** 2)).toBeGreaterThan(0.95);
    expect(small.most.pull / (100 / 16 / R ** 2)).toBeLessThan(1.05);
    const strip = relaxedMap(meshOf(box(80, 14), 1.75), ball);
    expect(strip.most.push / (196 / 12 / R ** 2)).toBeGreaterThan(0.9);
    expect(strip.most.push / (196 / 12 / R ** 2)).toBeLessThan(1.1);
    expect(strip.most.pull / (196 / 24 / R ** 2)).toBeGreaterThan(0.9);
    expect(strip.most.pull / (196 / 24 / R ** 2)).toBeLessThan(1.1);
  });

  it('comes out the same however the mesh is turned, and nearer to what it should with a finer one', () => {
    const energyOf = (edge: number, turned: number): number => relaxed(meshOf(disk(12), edge, turned), ball, ELASTIC, HERE).energy; // prettier-ignore
    const [coarse, middle, fine] = [energyOf(4, 0), energyOf(2, 0), energyOf(1, 0)];
    expect(Math.abs(energyOf(2, 0.4) / middle - 1)).toBeLessThan(0.02);
    // Halving the edge takes most of the rest of the error away.
    expect(Math.abs(fine - middle)).toBeLessThan(0.6 * Math.abs(middle - coarse));
  });

  it('a disk from one side has many times the film too much that it has from its middle', () => {
    const sheet = meshOf(disk(15), 2);
    const [centre, end] = usualOrders(sheet, 12).map((order) => lay(sheet, ball, order).map);
    expect(end!.excessMm2).toBeGreaterThan(3 * centre!.excessMm2);
    expect(end!.tents[0]!.height).toBeGreaterThan(centre!.tents[0]!.height);
    // Tents of a disk from its middle run out to its edge: the worst lie past where a relaxed disk takes it.
    expect(centre!.most.push).toBeGreaterThan(GIVES.squeeze);
  });

  it('from the middle is never worse than from one side, on convex pieces', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 16, noNaN: true }),
        fc.double({ min: 0.6, max: 1, noNaN: true }),
        fc.integer({ min: 3, max: 9 }),
        (radius, flatter, corners) => {
          // prettier-ignore
          const outer = disk(radius, corners).outer.map((v, i) => (i % 2 ? v * flatter : v));
          const sheet = meshOf({ outer, holes: [] }, radius / 5);
          const [centre, end] = usualOrders(sheet, 8).map((order) => lay(sheet, ball, order).map.excessMm2);
          expect(centre).toBeLessThanOrEqual(end! + 0.02);
        },
      ),
      { numRuns: 12, seed: 5 },
    );
  });

  it('slits make it no worse', () => {
    const petals = (count: number): Polygon => {
      const outer = Array.from({ length: count }, (_, k) => {
        const [from, to] = [(2 * Math.PI * k) / count, (2 * Math.PI * (k + 1)) / count];
        const arc = Array.from({ length: 9 }, (__, i) => from + 0.002 + ((to - from - 0.004) * i) / 8);
        return [4 * Math.cos(from), 4 * Math.sin(from), ...arc.flatMap((turn) => [15 * Math.cos(turn), 15 * Math.sin(turn)])]; // prettier-ignore
      });
      return { outer: Float64Array.from(outer.flat()), holes: [] };
    };
    const excessOf = (piece: Polygon): number => {
      const sheet = meshOf(piece, 2);
      return lay(sheet, ball, orderBy('centre out', sheet, 8, Math.hypot)).map.excessMm2;
    };
    const whole = excessOf(disk(15));
    expect(excessOf(petals(5))).toBeLessThan(whole);
    expect(excessOf(petals(8))).toBeLessThan(0.5 * whole);
  });
});

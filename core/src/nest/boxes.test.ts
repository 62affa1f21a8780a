import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { laidRings } from '../../test/nesting.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import { reverseRing } from '../polygon/polygon.ts';
import { areBoxes, isBox, nestBoxes } from './boxes.ts';
import { nest } from './nest.ts';
import type { Nesting, NestOptions, NestPart, NestSheet, Quarter } from './nesting.ts';

const rect = (w: number, h: number, x = 0, y = 0): Float64Array => Float64Array.from([x, y, x + w, y, x + w, y + h, x, y + h]); // prettier-ignore
const part = (id: string, w: number, h: number, turns: Quarter[] = [0, 1, 2, 3]): NestPart => ({ id, rings: [rect(w, h, 7, -5)], turns }); // prettier-ignore
function best(parts: readonly NestPart[], sheets: readonly NestSheet[], options: Partial<NestOptions> = {}): Nesting {
  let plan: Nesting | null = null;
  for (const step of nestBoxes(parts, sheets, { gapMm: 0, seed: 1, searches: 40, ...options })) plan = step ?? plan;
  return plan!;
}

describe('parts as good as boxes', () => {
  it('are those that cover their box to within three hundredths, on plain sheets with nothing fixed', () => {
    const cut = (mm: number): NestPart => ({ id: 'c', rings: [Float64Array.from([0, 0, 10, 0, 10, 10 - mm, 10 - mm, 10, 0, 10])], turns: [0] }); // prettier-ignore
    // A corner of m mm takes m² / 2 of 100.
    expect([isBox(cut(2.4)), isBox(cut(2.5))]).toEqual([true, false]);
    expect(isBox({ rings: [rect(20, 20), reverseRing(rect(4, 4, 8, 8))] })).toBe(false);
    const sheet = { id: 's', acrossMm: 100, alongMm: 100 };
    const options = { gapMm: 0, seed: 1 };
    expect(areBoxes([part('a', 5, 5)], [sheet], options)).toBe(true);
    expect(areBoxes([part('a', 5, 5), cut(5)], [sheet], options)).toBe(false);
    expect(areBoxes([part('a', 5, 5)], [{ ...sheet, within: rect(50, 50) }], options)).toBe(false);
    expect(areBoxes([part('a', 5, 5)], [sheet], { ...options, fixed: [{ id: 'a', sheet: 0, turn: 0, x: 0, y: 0 }] })).toBe(false); // prettier-ignore
  });

  it('keep the gap, lie on their sheets as their film may be turned, and none is lost', () => {
    const side = fc.integer({ min: 5, max: 60 });
    const some = fc.array(fc.tuple(side, side, fc.boolean()), { minLength: 1, maxLength: 14 });
    fc.assert(
      fc.property(some, fc.constantFrom(0, 3, 6), fc.integer({ min: 1, max: 99 }), (sizes, gapMm, seed) => {
        const parts = sizes.map(([w, h, turns], i) => part(`p${i}`, w, h, turns ? [0, 1, 2, 3] : [0, 2]));
        const sheets = [{ id: 'offcut', acrossMm: 40, alongMm: 50 }, { id: 'board', acrossMm: 58, alongMm: 130 }]; // prettier-ignore
        const plan = best(parts, sheets, { gapMm, seed, searches: 2 });
        expect([...plan.laid.map(({ id }) => id), ...plan.left].sort()).toEqual(parts.map(({ id }) => id).sort());
        // Left out is only what is larger than either sheet, as it may lie.
        const fits = ([w, h, turns]: [number, number, boolean]): boolean => h <= 58 || (turns && w <= 58);
        expect(plan.left).toHaveLength(sizes.filter((one) => !fits(one)).length);
        const boxes = laidRings(parts, plan).map(({ sheet, rings }) => ({ sheet, ...boxOfCoordinates(rings[0]!) }));
        boxes.forEach((a, i) => {
          const on = sheets.find(({ id }) => id === plan.sheetIds[a.sheet])!;
          expect(Math.min(a.minX, a.minY)).toBeGreaterThan(-1e-6);
          expect(a.maxX).toBeLessThanOrEqual(Math.min(on.alongMm, plan.alongUsed[a.sheet]!) + 1e-6);
          expect(a.maxY).toBeLessThanOrEqual(on.acrossMm + 1e-6);
          for (const b of boxes.slice(i + 1).filter(({ sheet }) => sheet === a.sheet)) {
            const away = Math.max(b.minX - a.maxX, a.minX - b.maxX, b.minY - a.maxY, a.minY - b.maxY);
            expect(away).toBeGreaterThanOrEqual(gapMm - 1e-6);
          }
        });
      }),
      { numRuns: 80 },
    );
  });

  it('fill what they were cut from: sheets divided with straight cuts, to nine tenths and more', () => {
    // Three sheets of 280 × 280 cut up into 25 each, as a saw would: the most that any plan can do is three.
    let state = 11;
    const random = (): number => (state = (state * 48271) % 2147483647) / 2147483647;
    const cutUp = (w: number, h: number, into: number): [number, number][] => {
      if (into === 1) return [[w, h]];
      const first = Math.floor(into / 2);
      const share = first / into + 0.2 * (random() - 0.5);
      return w > h
        ? [...cutUp(w * share, h, first), ...cutUp(w * (1 - share), h, into - first)]
        : [...cutUp(w, h * share, first), ...cutUp(w, h * (1 - share), into - first)];
    };
    const parts = [0, 1, 2].flatMap((s) => cutUp(280, 280, 25).map(([w, h], i) => part(`${s}-${i}`, w, h)));
    const plan = best(parts, [{ id: 'board', acrossMm: 280, alongMm: 280 }]);
    expect(plan.left).toEqual([]);
    // Three and a bit: on the fourth no more lies than a third of a sheet.
    expect(plan.alongUsed.length).toBeLessThanOrEqual(4);
    const taken = plan.alongUsed.reduce((sum, mm) => sum + mm, 0);
    expect(3 * 280).toBeGreaterThanOrEqual(0.9 * taken);
  });

  it('are laid so by the nest itself, and the same each time', () => {
    const parts = Array.from({ length: 12 }, (_, i) => part(`p${i}`, 20 + i, 30 - i));
    const sheets = [{ id: 'board', acrossMm: 90, alongMm: 200 }];
    const options = { gapMm: 2, seed: 4, searches: 3 };
    const plans = [...nest(parts, sheets, options)];
    expect(plans).toEqual([...nestBoxes(parts, sheets, options)]);
    expect(plans.filter(Boolean).length).toBeGreaterThan(0);
    // It ends by itself where nothing better is found.
    expect([...nestBoxes([part('a', 10, 10)], sheets, { gapMm: 2, seed: 1 })].length).toBe(400);
  });
});

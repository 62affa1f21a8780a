import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../numeric/seeded.ts';
import type { CellShape } from '../raster/cells.ts';
import { cellShape } from '../raster/cells.ts';
import { worthOf } from './plan.ts';
import { searches } from './search.ts';
import { cellFor, grownAsOne, ROUND_SHARE, wholeCells } from './shapes.ts';
import { boxOfRings } from '../plane/box.ts';
import type { Table } from './table.ts';
import { endOf, tableOf } from './table.ts';
import type { Nesting, NestSheet } from './nesting.ts';

const box = (x: number, y: number, width: number, high: number): Float64Array =>
  Float64Array.from([x, y, x + width, y, x + width, y + high, x, y + high]);
const bar = (width: number, high: number): CellShape => cellShape([box(0, 0, width, high)], 1);

describe('searches', () => {
  const sheet = (columns: number, rows: number): Table => tableOf([{ kind: 0, columns, rows }]);
  const all = (shapes: readonly (readonly CellShape[])[], table: Table, limit: number, times: number, seed = 1) =>
    [...searches(shapes, table, () => limit, seeded(seed), times)].filter((places) => places !== null);

  it('lay every part once, apart from all others, and before the limit', () => {
    const size = fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }));
    fc.assert(
      fc.property(fc.array(size, { minLength: 1, maxLength: 9 }), fc.integer(), (sizes, seed) => {
        const shapes = sizes.map(([w, h]) => [bar(w, h), bar(h, w)]);
        const table = sheet(90, 12);
        // A column each, one behind the other, would do.
        const limit = sizes.reduce((sum, [w, h]) => sum + Math.max(w, h), 0);
        const found = all(shapes, table, limit, 2, seed);
        expect(found.length).toBeGreaterThan(0);
        for (const places of found) {
          const bare = table.bare.copy();
          expect(places).toHaveLength(sizes.length);
          places.forEach((place, i) => {
            const shape = shapes[i]![place!.shape]!;
            expect(bare.fitsAt(shape, place!.column, place!.row)).toBe(true);
            bare.lay(shape, place!.column, place!.row);
          });
          expect(endOf(places, shapes)).toBeLessThanOrEqual(limit);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('find the way that leaves nothing free, and none where there is not room enough', () => {
    // 4 × 10, 6 × 10, 10 × 3 and 10 × 7 on a sheet that is 10 wide: 20 long, and nothing is wasted.
    const shapes = [bar(4, 10), bar(6, 10), bar(10, 3), bar(10, 7)].map((shape) => [shape]);
    const best = Math.min(...all(shapes, sheet(40, 10), 40, 3).map((places) => endOf(places, shapes)));
    expect(best).toBe(20);
    expect(all(shapes, sheet(40, 10), 19, 3)).toEqual([]);
  });

  it('try orders where layouts would take too much room, and lay all parts then as well', () => {
    // 40 different bars on 6000 by 6000 cells: a partial layout of those would take 181 MB.
    const shapes = Array.from({ length: 40 }, (_, i) => [bar(60 + i, 1500)]);
    const found = all(shapes, sheet(6000, 6000), 6000, 2);
    expect(found).toHaveLength(2);
    for (const places of found) {
      expect(places.every((place) => place !== null)).toBe(true);
      // Four lie across the sheet, so that ten rows of them are no longer than the ten longest.
      expect(endOf(places, shapes)).toBeLessThanOrEqual(10 * 99);
    }
  });
});

describe('grownAsOne', () => {
  it('moves an outline out by half the gap, as far as round corners allow', () => {
    const gap = 6;
    const { minX, minY, maxX, maxY } = boxOfRings(grownAsOne([box(0, 0, 20, 10)], gap, 0.1));
    for (const [found, wanted] of [[-minX, 3], [-minY, 3], [maxX, 23], [maxY, 13]] as const) {
      expect(found).toBeGreaterThan(wanted - gap * ROUND_SHARE - 1e-3);
      expect(found).toBeLessThan(wanted + 1e-3);
    } // prettier-ignore
  });

  it('makes one outline of what lies apart, and is worked out once for the same outlines', () => {
    const pair = [box(0, 0, 40, 40), box(100, 0, 40, 40)];
    const grown = grownAsOne(pair, 2, 0.1);
    expect(grown).toHaveLength(1);
    // Between the two, at half their height, is film of the part now: the box of what is there spans both.
    expect(boxOfRings(grown).maxX).toBeCloseTo(141, 0);
    expect(grownAsOne([...pair], 2, 0.1)).toBe(grown);
    expect(grownAsOne(pair, 4, 0.1)).not.toBe(grown);
    expect(grownAsOne([pair[0]!], 2, 0.1)).not.toBe(grown);
    expect(grownAsOne([], 2, 0.1)).toEqual([]);
  });
});

describe('cells', () => {
  it('are a whole number across a sheet, and as fine as a middling part asks within bounds', () => {
    expect(wholeCells(3, 100)).toBeCloseTo(100 / 33, 9);
    expect(wholeCells(500, 100)).toBe(100);
    const square = (mm: number): { id: string; rings: Float64Array[]; turns: [0] } => ({ id: 'q', rings: [box(0, 0, mm, mm)], turns: [0] }); // prettier-ignore
    // 90 mm by 45 cells; a gap of 15 asks for a fifth of it; never finer than 0.8 mm, nor coarser than 4.
    expect(cellFor([square(90)], 0)).toBeCloseTo(2, 9);
    expect(cellFor([square(90)], 15)).toBeCloseTo(3, 9);
    expect(cellFor([square(9)], 0)).toBe(0.8);
    expect(cellFor([square(900)], 0)).toBe(4);
  });
});

describe('worthOf', () => {
  const sheets: NestSheet[] = [{ id: 'offcut', acrossMm: 50, alongMm: 100, free: true }, { id: 'roll', acrossMm: 300, alongMm: 1000 }]; // prettier-ignore
  const plan = (left: string[], ...used: [string, number][]): Nesting => ({ laid: [], left, alongUsed: used.map(([, mm]) => mm), sheetIds: used.map(([id]) => id) }); // prettier-ignore
  it('puts nothing left out before fewer sheets, those before length, and offcuts cost no sheet', () => {
    const worth = (...of: Parameters<typeof plan>): number => worthOf(plan(...of), sheets);
    expect(worth([], ['roll', 900], ['roll', 900])).toBeLessThan(worth(['a'], ['roll', 10]));
    expect(worth([], ['roll', 900])).toBeLessThan(worth([], ['roll', 10], ['roll', 10]));
    expect(worth([], ['roll', 99])).toBeLessThan(worth([], ['roll', 100]));
    expect(worth([], ['offcut', 90], ['roll', 40])).toBeLessThan(worth([], ['roll', 50]));
  });
});

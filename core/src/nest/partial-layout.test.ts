import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { CellShape } from '../raster/cells.ts';
import { cellShape } from '../raster/cells.ts';
import { isForbiddenAt, noFitMaskOf } from '../raster/no-fit-mask.ts';
import { PartialLayouts } from './partial-layout.ts';
import { kindsOf } from './kinds.ts';
import { tableOf } from './table.ts';

const box = (x: number, y: number, width: number, high: number): Float64Array =>
  Float64Array.from([x, y, x + width, y, x + width, y + high, x, y + high]);

/** Shapes of a few boxes, higher than a word has bits now and then. */
const shape = fc
  .array(
    fc.tuple(
      fc.integer({ min: 0, max: 6 }),
      fc.integer({ min: 0, max: 40 }),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 1, max: 9 }),
    ),
    { minLength: 1, maxLength: 3 },
  ) // prettier-ignore
  .map((boxes) =>
    cellShape(
      boxes.map(([x, y, width, high]) => box(x, y, width, high)),
      1,
    ),
  );

const cellsOf = ({ runs }: CellShape): [number, number][] =>
  Array.from({ length: runs.length / 3 }, (_, k) =>
    Array.from({ length: runs[3 * k + 2]! }, (_, r): [number, number] => [runs[3 * k]!, runs[3 * k + 1]! + r]),
  ).flat();

describe('noFitMaskOf', () => {
  it('is set just where two shapes have a cell in common', () => {
    fc.assert(
      fc.property(shape, shape, (lying, other) => {
        const noFit = noFitMaskOf(lying, other);
        const taken = new Set(cellsOf(lying).map(String));
        const cells = cellsOf(other);
        for (let c = -other.columns - 1; c <= lying.columns + 1; c++)
          for (let r = -other.rows - 33; r <= lying.rows + 33; r++) {
            const meet = cells.some(([x, y]) => taken.has(String([x + c, y + r])));
            expect(isForbiddenAt(noFit, c, r)).toBe(meet);
          }
      }),
      { numRuns: 40 },
    );
  });
});

describe('PartialLayouts', () => {
  it('knows at each step where every shape fits first, what it touches there and what is lost', () => {
    const sets = fc.array(shape, { minLength: 2, maxLength: 7 });
    fc.assert(
      fc.property(
        sets,
        fc.array(fc.nat(), { minLength: 7, maxLength: 7 }),
        fc.integer({ min: 9, max: 20 }),
        (set, picks, first) => {
          // Two sheets, the first lower than the second, and a cell out of use on that.
          const table = tableOf([{ kind: 0, columns: first, rows: 50 }, { kind: 1, columns: 40, rows: 70 }]); // prettier-ignore
          table.bare.block(first + 5, 10, 11);
          const all = kindsOf(set.map((one) => [one]));
          const limit = first + 30;
          const layouts = new PartialLayouts(all, table, first + 35);
          const sheet = table.bare.copy();
          let layout = layouts.bare(limit);
          for (const pick of picks) {
            const open = all.shapes.flatMap(({ kind }, s) => (layout.left[kind]! > 0 ? [s] : []));
            if (open.length === 0) break;
            let nearest = limit;
            for (const s of open) {
              const found = sheet.findRoom(all.shapes[s]!, 0, limit);
              expect(layout.row[s]).toBe(found?.row ?? -1);
              if (!found) continue;
              expect(layout.column[s]).toBe(found.column);
              nearest = Math.min(nearest, found.column);
              // What is beside it is taken, a wall, or off the sheet; past the limit nothing counts.
              const { rim } = all.shapes[s]!;
              let beside = 0;
              for (let k = 0; k < rim.length; k += 2) {
                const [c, r] = [found.column + rim[k]!, found.row + rim[k + 1]!];
                if (c < 0 || r < 0 || r >= 70 || (c < limit && sheet.isTaken(c, r))) beside++;
              }
              expect(layouts.touch(layout, s)).toBeCloseTo((2 * beside) / rim.length, 12);
            }
            expect(layout.from).toBe(nearest);
            let lost = 0;
            for (let c = 0; c < nearest; c++) for (let r = 0; r < 70; r++) if (!sheet.isTaken(c, r)) lost++;
            expect(layout.lost).toBe(lost);
            const s = open[pick % open.length]!;
            const place = sheet.findRoom(all.shapes[s]!, 0, limit);
            const look = place ? layouts.outlook(layout, s) : null;
            if (!place || !look) break;
            sheet.lay(all.shapes[s]!, place.column, place.row);
            const next = layouts.follow(look);
            layouts.drop([layout]);
            layout = next;
            if (layout.cellsLeft === 0) break;
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('takes parts of one shape for one kind, and lays each of them once', () => {
    const square = cellShape([box(0, 0, 4, 4)], 1);
    const bar = cellShape([box(0, 0, 2, 8)], 1);
    const all = kindsOf([[square], [bar], [square]]);
    expect(all.kinds.map(({ parts }) => parts)).toEqual([[0, 2], [1]]);
    const layouts = new PartialLayouts(all, tableOf([{ kind: 0, columns: 20, rows: 8 }]), 20);
    let layout = layouts.bare(20);
    for (const s of [0, 1, 0]) layout = layouts.follow(layouts.outlook(layout, s)!);
    // Two squares of 4 × 4 lie one above the other, or one behind a bar of 2 × 8 and the other square.
    const places = layouts.places(layout).map((place) => [place!.column, place!.row]);
    expect(new Set(places.map(String))).toEqual(new Set(['0,0', '0,4', '4,0']));
    expect(layout.left).toEqual([0, 0]);
  });
});

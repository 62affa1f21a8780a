import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ringContains } from '../polygon/polygon.ts';
import { cellShape, CellSheet, cellWithin, type CellShape } from './cells.ts';

const rectangle = (x: number, y: number, width: number, high: number): Float64Array =>
  Float64Array.from([x, y, x + width, y, x + width, y + high, x, y + high]);

/** Cells of a shape as a plain grid, `grid[column][row]`. */
const gridOf = ({ columns, rows, runs }: CellShape): boolean[][] => {
  const grid = Array.from({ length: columns }, () => new Array<boolean>(rows).fill(false));
  for (let k = 0; k < runs.length; k += 3)
    for (let r = 0; r < runs[k + 2]!; r++) grid[runs[k]!]![runs[k + 1]! + r] = true;
  return grid;
};

describe('cellWithin', () => {
  it('is as fine as is wanted up to two metres square in half millimetres, and no grid is larger', () => {
    const over = (wide: number, high: number): number => cellWithin({ minX: 0, minY: 0, maxX: wide, maxY: high }, 0.5);
    expect([over(100, 80), over(2000, 2000), over(4000, 4000), over(20_000, 20_000)]).toEqual([0.5, 0.5, 1, 5]);
    // Long and narrow fits in as it is.
    expect(over(20_000, 150)).toBe(0.5);
  });
});

describe('cellShape', () => {
  it('takes just the cells of a rectangle that lies on the grid, and one more where it does not', () => {
    // 3 × 2 cells of 2 mm; with half a cell over, 4 × 3.
    expect(cellShape([rectangle(10, -4, 6, 4)], 2)).toMatchObject({
      columns: 3,
      rows: 2,
      cells: 6,
      fromX: 10,
      fromY: -4,
    });
    expect(cellShape([rectangle(0, 0, 7, 5)], 2)).toMatchObject({ columns: 4, rows: 3, cells: 12 });
  });

  it('leaves a hole open, but for the cells that its edge runs through', () => {
    // 10 × 10 cells with a hole from 2 to 8: 100 − 36.
    expect(cellShape([rectangle(0, 0, 10, 10), rectangle(2, 2, 6, 6)], 1).cells).toBe(64);
    // From 2.5 to 7.5 the edge runs through cells 2 and 7: four by four stay open.
    expect(cellShape([rectangle(0, 0, 10, 10), rectangle(2.5, 2.5, 5, 5)], 1).cells).toBe(84);
  });

  it('takes every cell in which there is a point of the shape', () => {
    const corner = fc.tuple(fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true }));
    fc.assert(
      fc.property(corner, corner, corner, fc.double({ min: 0.5, max: 3, noNaN: true }), (a, b, c, cell) => {
        const ring = Float64Array.from([...a, ...b, ...c]);
        const shape = cellShape([ring], cell);
        const grid = gridOf(shape);
        for (let s = 0; s <= 1; s += 0.09)
          for (let t = 0; t <= 1 - s; t += 0.09) {
            const [x, y] = [a[0] + s * (b[0] - a[0]) + t * (c[0] - a[0]), a[1] + s * (b[1] - a[1]) + t * (c[1] - a[1])];
            if (!ringContains(ring, x, y)) continue;
            const [column, row] = [(x - shape.fromX) / cell, (y - shape.fromY) / cell];
            // What lies on the line between two cells is of either.
            if (Math.min(column % 1, 1 - (column % 1), row % 1, 1 - (row % 1)) < 1e-6) continue;
            expect(grid[Math.floor(column)]![Math.floor(row)]).toBe(true);
          }
      }),
      { numRuns: 200 },
    );
  });
});

describe('CellSheet', () => {
  const shape = fc
    .array(fc.tuple(fc.integer({ min: 0, max: 6 }), fc.integer({ min: 0, max: 45 }), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 9 })), { minLength: 1, maxLength: 3 }) // prettier-ignore
    .map((boxes) => cellShape(boxes.map(([x, y, width, high]) => rectangle(x, y, width, high)), 1)); // prettier-ignore

  it('keeps the place of a sliver without width, and lays nothing else on it', () => {
    // Along the line between the first two columns, three cells and a half high.
    const sliver = cellShape([Float64Array.of(1, 0, 1, 3.5, 1, 2)], 1);
    expect([sliver.cells, sliver.columns, sliver.rows]).toEqual([4, 1, 4]);
    const sheet = new CellSheet(3, 10);
    sheet.lay(sliver, 0, 0);
    expect(sheet.findRoom(sliver)).toEqual({ column: 0, row: 4 });
  });

  it('finds the first free place that a search of every cell finds, past word borders and walls too', () => {
    fc.assert(
      fc.property(
        fc.array(shape, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 8, max: 20 }),
        (shapes, first) => {
          // Two sheets one behind the other: 70 rows are more than two words.
          const [columns, rows] = [45, 70];
          const sheet = new CellSheet(columns, rows, [0, first + 1]);
          sheet.block(first, 0, rows);
          const taken = Array.from({ length: columns }, (_, c) => new Array<boolean>(rows).fill(c === first));
          for (const one of shapes) {
            const grid = gridOf(one);
            const free = (column: number, row: number): boolean =>
              (column + one.columns <= first || column > first) &&
              grid.every((cells, c) => cells.every((on, r) => !on || !taken[column + c]![row + r]));
            let expected: { column: number; row: number } | null = null;
            for (let c = 0; c + one.columns <= columns && !expected; c++)
              for (let r = 0; r + one.rows <= rows && !expected; r++) if (free(c, r)) expected = { column: c, row: r };
            const found = sheet.findRoom(one);
            expect(found).toEqual(expected);
            if (!found) continue;
            expect(sheet.fitsAt(one, found.column, found.row)).toBe(true);
            sheet.lay(one, found.column, found.row);
            expect(sheet.fitsAt(one, found.column, found.row)).toBe(false);
            grid.forEach((cells, c) =>
              cells.forEach((on, r) => on && (taken[found.column + c]![found.row + r] = true)),
            );
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('is free again where a shape was taken up, and a copy is not', () => {
    const sheet = new CellSheet(10, 40);
    const bar = cellShape([rectangle(0, 0, 10, 35)], 1);
    sheet.lay(bar, 0, 0);
    const copy = sheet.copy();
    sheet.lift(bar, 0, 0);
    expect(sheet.findRoom(bar)).toEqual({ column: 0, row: 0 });
    expect(copy.findRoom(bar)).toBeNull();
  });
});

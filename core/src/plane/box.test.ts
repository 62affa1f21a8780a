import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boxesTouch,
  boxOfCoordinates,
  EMPTY_BOX,
  isEmptyBox,
  joinBoxes,
  touchingBunches,
  touchingPairs,
} from './box.ts';

const side = fc.integer({ min: 0, max: 60 });
const box = fc
  .tuple(side, side, fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 }))
  .map(([x, y, w, h]) => ({
    minX: x,
    minY: y,
    maxX: x + w,
    maxY: y + h,
  }));

describe('boxes', () => {
  it('grow over coordinates and join', () => {
    expect(isEmptyBox(EMPTY_BOX)).toBe(true);
    expect(isEmptyBox(boxOfCoordinates([]))).toBe(true);
    const a = boxOfCoordinates([3, 4, -1, 9]);
    expect(a).toEqual({ minX: -1, minY: 4, maxX: 3, maxY: 9 });
    expect(joinBoxes(a, EMPTY_BOX)).toEqual(a);
    expect(boxOfCoordinates([10, 0], a)).toEqual({ minX: -1, minY: 0, maxX: 10, maxY: 9 });
  });

  it('touch at an edge, and within a gap', () => {
    const a = { minX: 0, minY: 0, maxX: 10, maxY: 10 };
    const b = { minX: 10, minY: 3, maxX: 12, maxY: 5 };
    expect(boxesTouch(a, b)).toBe(true);
    const far = { ...b, minX: 11.5 };
    expect(boxesTouch(a, far)).toBe(false);
    expect(boxesTouch(a, far, 1.5)).toBe(true);
  });

  it('are paired as by looking at every pair', () => {
    fc.assert(
      fc.property(fc.array(box, { maxLength: 40 }), (boxes) => {
        const found: string[] = [];
        touchingPairs(boxes, (a, b) => found.push([a, b].sort((x, y) => x - y).join()));
        const all = boxes.flatMap((a, i) => boxes.flatMap((b, j) => (i < j && boxesTouch(a, b) ? [`${i},${j}`] : [])));
        expect(found.sort()).toEqual(all.sort());
      }),
    );
  });

  it('come in bunches that never touch each other, each box once', () => {
    fc.assert(
      fc.property(fc.array(box, { maxLength: 40 }), (boxes) => {
        const bunches = touchingBunches(boxes);
        expect(bunches.flat().sort((a, b) => a - b)).toEqual(boxes.map((_, i) => i));
        bunches.forEach((bunch, b) => {
          for (const i of bunch) {
            for (const other of bunches.slice(b + 1))
              for (const j of other) expect(boxesTouch(boxes[i]!, boxes[j]!)).toBe(false);
            // Within a bunch there is a way from each to the first: each touches another one.
            if (bunch.length > 1) expect(bunch.some((j) => j !== i && boxesTouch(boxes[i]!, boxes[j]!))).toBe(true);
          }
        });
      }),
    );
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOARDS, boardById } from './board.ts';
import { planLoads, type FilmBlock } from './load.ts';

const block = (film: string, width: number, height: number): FilmBlock => ({
  film,
  part: '',
  box: { minX: -width / 2, maxX: width / 2, minY: -height, maxY: 0 },
});
const square = boardById('square');

describe('planLoads', () => {
  it('lays three films side by side with whole-millimetre marks', () => {
    const plan = planLoads([block('a', 240, 50), block('b', 100.2, 30), block('c', 60, 60)], square);
    expect(plan.loads).toHaveLength(1);
    // Each takes its height plus two blade margins of 3 mm along the feed; 6 mm of scissors room between.
    expect(plan.loads[0]!.strips.map((s) => [s.from, s.to])).toEqual([
      [3, 59],
      [65, 101],
      [107, 173],
    ]);
    expect(plan.loads[0]!.strips.map((s) => s.turned)).toEqual([true, true, false]);
  });

  it('starts a new load when the board is full and lists what fits no way round', () => {
    const plan = planLoads([block('a', 200, 200), block('b', 200, 200), block('c', 400, 20)], square);
    expect(plan.loads.map((l) => l.strips.map((s) => s.film))).toEqual([['a'], ['b']]);
    expect(plan.tooLarge).toEqual([{ film: 'c', longMm: 406, shortMm: 26 }]);
    expect(planLoads([block('c', 400, 20)], boardById('long')).tooLarge).toEqual([]);
  });

  it('keeps every film on the board, apart from the others, and its matrix inside its strip', () => {
    const size = fc.double({ min: 5, max: 280, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(size, size), { maxLength: 8 }), fc.constantFrom(...BOARDS), (sizes, board) => {
        const blocks = sizes.map(([w, h], i) => block(String(i), w, h));
        const plan = planLoads(blocks, board);
        expect(plan.loads.flatMap((l) => l.strips).length + plan.tooLarge.length).toBe(blocks.length);
        for (const { strips } of plan.loads)
          strips.forEach((s, i) => {
            expect(s.from).toBeGreaterThanOrEqual(i === 0 ? board.marginMm : strips[i - 1]!.to + board.gapMm);
            expect(s.to).toBeLessThanOrEqual(board.lengthMm - board.marginMm);
            expect(s.across).toBeLessThanOrEqual(board.widthMm - 2 * board.marginMm);
            const { box } = blocks[Number(s.film)]!;
            const [a, b, c, d, e, f] = s.matrix;
            for (const [x, y] of [
              [box.minX, box.minY],
              [box.maxX, box.minY],
              [box.maxX, box.maxY],
              [box.minX, box.maxY],
            ] as const) {
              const [px, py] = [a * x + c * y + e, b * x + d * y + f];
              expect(px).toBeGreaterThanOrEqual(s.from + 3 - 1e-9);
              expect(px).toBeLessThanOrEqual(s.to - 3 + 1e-9);
              expect(py).toBeGreaterThanOrEqual(board.marginMm + 3 - 1e-9);
              expect(py).toBeLessThanOrEqual(board.marginMm + s.across - 3 + 1e-9);
            }
          });
      }),
    );
  });
});

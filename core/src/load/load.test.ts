import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOARDS, boardById } from './boards.ts';
import { mirroredStrip, planLoads, sharedOut } from './load.ts';
import { type FilmBlock } from './blocks.ts';
import { type PartOnBoard } from '../model/laid.ts';

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
    expect(plan.loads[0]!.strips.map((s) => s.parts[0]!.turned)).toEqual([true, true, false]);
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
            const [a, b, c, d, e, f] = s.parts[0]!.matrix;
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

describe('planLoads with many parts of a film', () => {
  it('nests them on one strip, each with the matrix that takes it there, clear of the others and of the edge', () => {
    const names = [60, 40, 52, 35].map((width, i): FilmBlock => ({ ...block('a', width, 18), part: `n${i}` }));
    const plan = planLoads([...names, block('b', 100, 30)], square);
    expect(plan.loads).toHaveLength(1);
    const [a, b] = plan.loads[0]!.strips;
    expect([a!.parts.length, b!.parts.length]).toEqual([4, 1]);
    // Side by side across the board, 278 mm of it, four names take less of its length than one beside the other would.
    expect(a!.to - a!.from).toBeLessThan(4 * 24);
    const boxes = a!.parts.map(({ part, matrix: [p, q, r, s, e, f] }) => {
      const { minX, minY, maxX, maxY } = names.find((n) => n.part === part)!.box;
      const corners = [[minX, minY], [maxX, maxY]].map(([x, y]) => [p * x! + r * y! + e, q * x! + s * y! + f]); // prettier-ignore
      const [xs, ys] = [corners.map(([x]) => x!), corners.map(([, y]) => y!)];
      return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
    });
    boxes.forEach((box, i) => {
      expect(box.x0).toBeGreaterThan(a!.from + 3 - 1e-6);
      expect(box.x1).toBeLessThan(a!.to - 3 + 1e-6);
      expect(box.y0).toBeGreaterThan(square.marginMm + 3 - 1e-6);
      expect(box.y1).toBeLessThan(square.marginMm + a!.across - 3 + 1e-6);
      for (const other of boxes.slice(i + 1)) {
        const apart = Math.max(box.x0 - other.x1, other.x0 - box.x1, box.y0 - other.y1, other.y0 - box.y1);
        expect(apart).toBeGreaterThan(square.gapMm - 1e-3);
      }
    });
  });
  it('turns directional film by halves only', () => {
    const long = [0, 1].map((i): FilmBlock => ({ ...block('m', 120, 20), part: `p${i}`, directional: true }));
    for (const strip of planLoads(long, square).loads.flatMap((load) => load.strips))
      for (const { turned } of strip.parts) expect(turned).toBe(false);
  });
});

describe('mirroredStrip', () => {
  it('mirrors what is on a strip within its film, and twice is as it was', () => {
    const [strip] = planLoads([block('a', 60, 18)], square).loads[0]!.strips;
    const mirrored = mirroredStrip(strip!, square);
    const at = ({ matrix: [, b, , d, , f] }: PartOnBoard, x: number, y: number): number => b * x + d * y + f;
    // Turned a quarter, 60 mm of it reach across: what was so far from one edge of the film is so far from the other.
    for (const [x, y] of [
      [-30, -18],
      [30, 0],
      [7, -5],
    ] as const)
      // prettier-ignore
      expect(at(mirrored.parts[0]!, x, y)).toBeCloseTo(2 * square.marginMm + strip!.across - at(strip!.parts[0]!, x, y), 9);
    expect(mirrored).toMatchObject({ from: strip!.from, to: strip!.to, across: strip!.across });
    const back = mirroredStrip(mirrored, square).parts[0]!.matrix;
    strip!.parts[0]!.matrix.forEach((value, i) => expect(back[i]).toBeCloseTo(value, 9));
  });
});

describe('sharing strips out over loads', () => {
  const room = { ...square, lengthMm: 295, marginMm: 3, gapMm: 6 };

  it('fills loads over all of them where that saves one, and leaves the order alone where it does not', () => {
    // 122 + 6 + 115 = 243 of 289; 233 has a board of its own.
    expect(sharedOut([122, 233, 115], room)).toEqual([[0, 2], [1]]);
    expect(sharedOut([100, 100, 50, 200], room)).toEqual([[0, 1, 2], [3]]);
    expect(sharedOut([140, 149, 140], room)).toEqual([[0, 2], [1]]);
    expect(sharedOut([150, 150, 150], room)).toEqual([[0], [1], [2]]);
  });

  it('never puts more on a board than it takes, loses nothing, and needs no more loads than one after the other', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 289 }), { maxLength: 14 }), (lengths) => {
        const loads = sharedOut(lengths, room);
        expect(loads.flat().sort((a, b) => a - b)).toEqual(lengths.map((_, i) => i));
        for (const load of loads)
          expect(load.reduce((sum, i) => sum + lengths[i]!, 6 * (load.length - 1))).toBeLessThanOrEqual(289);
        let [turns, end] = [0, Infinity];
        for (const length of lengths) {
          if (end + 6 + length > 289) [turns, end] = [turns + 1, -6];
          end += 6 + length;
        }
        expect(loads.length).toBeLessThanOrEqual(turns);
      }),
    );
  });

  it('gives every strip a load of its own where film runs through without a board', () => {
    expect(sharedOut([20, 30, 10], boardById('backed'))).toEqual([[0], [1], [2]]);
  });
});

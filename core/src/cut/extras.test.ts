import { describe, expect, it } from 'vitest';
import { boardById } from '../load/boards.ts';
import type { Strip } from '../load/load.ts';
import { flattenPath } from '../plane/flatten.ts';
import { pathLength } from '../plane/path-length.ts';
import type { Path } from '../plane/path.ts';
import { circlePath, pathFromRing } from '../plane/path.ts';
import { PLAIN_CUT, withExtras } from './extras.ts';
import type { CutPiece } from './order.ts';

const board = boardById('square');
/** 120 mm of film along the board, 80 across, from 3. */
const strip: Strip = { film: 'a', from: 3, to: 123, across: 80, offcut: null, outline: null, used: { along: 120, across: 80 }, parts: [] }; // prettier-ignore
const square = (x: number, y: number, mm: number): Path => pathFromRing([x, y, x + mm, y, x + mm, y + mm, x, y + mm]);
const pieces: CutPiece[] = [
  { pieceId: 'ring', paths: [circlePath({ x: 40, y: 40 }, 8, false), circlePath({ x: 40, y: 40 }, 15, true)] },
  { pieceId: 'square', paths: [square(80, 30, 20)] },
];
const extrasOf = (options: Partial<typeof PLAIN_CUT>, of = pieces): CutPiece[] => withExtras(of, strip, board, { ...PLAIN_CUT, ...options }); // prettier-ignore

describe('withExtras', () => {
  it('adds nothing that was not asked for', () => expect(extrasOf({})).toEqual(pieces));

  it('cuts a square in a triangle first, on the film and clear of every piece', () => {
    const [mark] = extrasOf({ testMark: true });
    expect(mark!.pieceId).toBe('test-mark');
    const points = mark!.paths.flatMap((path) => [...flattenPath(path)]);
    const [xs, ys] = [points.filter((_, i) => i % 2 === 0), points.filter((_, i) => i % 2 === 1)];
    // In the corner of the film, a millimetre in from its edges: 3 + 1 both ways.
    expect([Math.min(...xs), Math.min(...ys)]).toEqual([4, 4]);
    // Where film takes the corners, along an edge; where it takes all, nowhere.
    const corners = [square(3, 3, 20), square(3, 63, 20), square(103, 3, 20), square(103, 63, 20)];
    const crowded = corners.map((path, i) => ({ pieceId: `c${i}`, paths: [path] }));
    const aside = extrasOf({ testMark: true }, crowded)[0]!.paths[1]!.start;
    expect(aside.x).toBeGreaterThan(23);
    const full = [{ pieceId: 'full', paths: [pathFromRing([3, 3, 123, 3, 123, 83, 3, 83])] }];
    expect(extrasOf({ testMark: true }, full)).toEqual(full);
  });

  it('parts the waste by lines that stay a millimetre off every piece', () => {
    const lines = extrasOf({ weedingMm: 40 }).at(-1)!;
    expect(lines.pieceId).toBe('weeding');
    // 118 mm in three parts and 78 mm in two: two lines across, one along, broken where the pieces are.
    for (const { start, segments, closed } of lines.paths) {
      const end = segments[0]!.to;
      expect(closed).toBe(false);
      for (let t = 0; t <= 1; t += 0.01) {
        const [x, y] = [start.x + (end.x - start.x) * t, start.y + (end.y - start.y) * t];
        expect(Math.hypot(x - 40, y - 40)).toBeGreaterThan(15.98);
        expect(Math.max(80 - x, x - 100, 30 - y, y - 50)).toBeGreaterThan(0.98);
        expect(x > 3 && x < 123 && y > 3 && y < 83).toBe(true);
      }
    }
    const along = lines.paths.filter((p) => p.start.y === p.segments[0]!.to.y);
    // At half the height, 43: from the edge to the ring, from the ring to the square, from the square to the edge.
    expect(along).toHaveLength(3);
  });

  it('runs on past the start of an outline by the over-cut', () => {
    const long = extrasOf({ overcutMm: 2 });
    long.forEach((piece, i) =>
      piece.paths.forEach((path, k) => expect(pathLength(path)).toBeCloseTo(pathLength(pieces[i]!.paths[k]!) + 2, 1)),
    );
  });
});

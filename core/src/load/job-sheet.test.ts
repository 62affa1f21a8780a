import { describe, expect, it } from 'vitest';
import { STARTING_FILMS } from '../material/film.ts';
import { pathFromRing } from '../plane/path.ts';
import { boardById } from './boards.ts';
import type { CuttablePiece } from '../pieces/cuttable.ts';
import { planJob } from './job-sheet.ts';

const plate = (
  id: string,
  film: string,
  x: number,
  y: number,
  width: number,
  high: number,
  hole = 0,
): CuttablePiece => ({
  id,
  film,
  part: '',
  flatBox: { minX: x, minY: y, maxX: x + width, maxY: y + high },
  flat: {
    outer: Float64Array.from([x, y, x + width, y, x + width, y + high, x, y + high]),
    holes: [],
  },
  areaMm2: width * high - hole * hole,
  paths: [
    pathFromRing([x, y, x + width, y, x + width, y + high, x, y + high]),
    ...(hole
      ? [pathFromRing([x + 1, y + 1, x + 1, y + 1 + hole, x + 1 + hole, y + 1 + hole, x + 1 + hole, y + 1])]
      : []),
  ],
});

describe('planJob', () => {
  const board = boardById('square');

  it('adds up pieces, counters, film and cutting by film, in the order of the stack', () => {
    const sheet = planJob(
      [
        plate('a', 'ensign', 0, 0, 40, 10, 4),
        plate('b', 'deep-water', 0, 20, 100, 20),
        plate('c', 'ensign', 50, 0, 50, 10),
      ],
      STARTING_FILMS,
      board,
    );
    expect(sheet.needs.map((n) => [n.film.id, n.pieces, n.counters, n.areaMm2, n.cutMm])).toEqual([
      ['ensign', 2, 1, 384 + 500, expect.closeTo(100 + 16 + 120, 6)],
      ['deep-water', 1, 0, 2000, expect.closeTo(240, 6)],
    ]);
    // Strips are as wide as the pieces and 3 mm all round; turned where that takes less of the board: 16 × 106, 26 × 106.
    expect(sheet.plan.loads).toHaveLength(1);
    expect(sheet.plan.loads[0]!.strips.map((s) => [s.to - s.from, s.across, s.parts[0]!.turned])).toEqual([
      [16, 106, true],
      [26, 106, true],
    ]);
    expect(sheet.use).toBeCloseTo((884 + 2000) / (16 * 106 + 26 * 106), 9);
  });

  it('lists what is too large and does not count its film as used', () => {
    const sheet = planJob(
      [plate('a', 'reed', 0, 0, 400, 300), plate('b', 'chalk', 0, 0, 20, 20)],
      STARTING_FILMS,
      board,
    );
    expect(sheet.plan.tooLarge).toEqual([{ film: 'reed', longMm: 406, shortMm: 306 }]);
    expect(sheet.use).toBeCloseTo(400 / (26 * 26), 9);
  });

  it('has nothing to plan for no pieces, and skips films that it does not know', () => {
    const sheet = planJob([plate('a', 'gone', 0, 0, 10, 10)], STARTING_FILMS, board);
    expect(sheet).toMatchObject({ needs: [], use: 0, plan: { loads: [], tooLarge: [] } });
  });
});

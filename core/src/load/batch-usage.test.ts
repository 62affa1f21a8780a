import { describe, expect, it } from 'vitest';
import type { NameRow } from '../model/names.ts';
import type { CuttablePiece } from '../pieces/cuttable.ts';
import { STARTING_FILMS } from '../material/film.ts';
import { batchUsage, blanksFor } from './batch-usage.ts';
import { boardById } from './boards.ts';
import { planJob } from './job-sheet.ts';
import { NO_STOCK } from './supply.ts';

describe('blanksFor', () => {
  const row = (id: string, count: number, blankId: string | null): NameRow => ({ id, name: id, count, hand: 'right', capMm: null, blankId }); // prettier-ignore
  const names = (...rows: NameRow[]): { itemId: null; widthMm: number; leastCapMm: number; closeMm: number; rows: NameRow[] } => ({ itemId: null, widthMm: 50, leastCapMm: 8, closeMm: 0, rows }); // prettier-ignore

  it('is one of the blank that the project was begun with, or none when that is on no shelf', () => {
    expect(blanksFor({ names: null, shelfBlankId: 'mug' })).toEqual([{ id: 'mug', count: 1 }]);
    expect(blanksFor({ names: null, shelfBlankId: null })).toEqual([]);
  });

  it('counts a list by what each is made on', () => {
    const list = names(row('a', 3, null), row('b', 2, 'glass'), row('c', 1, null), row('d', 0, 'pot'));
    expect(blanksFor({ names: list, shelfBlankId: 'mug' })).toEqual([{ id: 'mug', count: 4 }, { id: 'glass', count: 2 }]); // prettier-ignore
    expect(blanksFor({ names: list, shelfBlankId: null })).toEqual([{ id: 'glass', count: 2 }]);
  });
});

describe('batchUsage', () => {
  const piece = (x: number): CuttablePiece => ({ film: 'deep-water', part: '', areaMm2: 40 * 30, paths: [], flat: { outer: Float64Array.from([x, -30, x + 40, -30, x + 40, 0, x, 0]), holes: [] }, flatBox: { minX: x, maxX: x + 40, minY: -30, maxY: 0 } }) as unknown as CuttablePiece; // prettier-ignore

  it('plans everything together as often as it is made, and lifts each with its own tape', () => {
    const job = { films: STARTING_FILMS };
    const once = planJob([piece(0)], job.films, boardById('square'), NO_STOCK);
    const single = batchUsage(job, [piece(0)], once, NO_STOCK, 1);
    expect(single.sheet).toBe(once);
    // 40 × 30 with 10 mm to hold it by all round.
    expect(single.tapeMm2).toBe(60 * 50);
    const six = batchUsage(job, [piece(0)], once, NO_STOCK, 6);
    expect(six.tapeMm2).toBe(6 * 60 * 50);
    const parts = six.sheet.plan.loads
      .flatMap((load) => load.strips)
      .flatMap((strip) => strip.parts.map(({ part }) => part));
    expect(parts.sort()).toEqual(['', 'piece-again-2', 'piece-again-3', 'piece-again-4', 'piece-again-5', 'piece-again-6']); // prettier-ignore
    // Nested together they take less of the board than six times one.
    const along = (sheet: typeof once): number => sheet.plan.loads.flatMap((l) => l.strips).reduce((sum, s) => sum + s.used.along * s.used.across, 0); // prettier-ignore
    expect(along(six.sheet)).toBeLessThan(6 * along(once) * 1.3);
    const named = batchUsage(job, [{ ...piece(0), part: 'wren' }], once, NO_STOCK, 2);
    expect(named.sheet.needs[0]!.pieces).toBe(2);
    expect(named.sheet.plan.loads[0]!.strips[0]!.parts.map(({ part }) => part).sort()).toEqual([
      'wren',
      'wren-again-2',
    ]);
  });
});

import { describe, expect, it } from 'vitest';
import { makeCutter, makeOffcut, makeStockFilm } from '../../test/stock.ts';
import { STARTING_FILMS } from '../material/film.ts';
import type { StockTape } from '../model/stock.ts';
import { BOARDS, boardById } from './boards.ts';
import { boardWords } from '../measure/board-words.ts';
import { leftOf, lotsOf, offcutRing, offcutsOf, pricePerMm2, runsLow, supplyOf, yearsSince } from './supply.ts';

const shallows = STARTING_FILMS[1]!;
const tape: StockTape = { kind: 'tape', id: 'tape', name: 'Roll', tack: 'clear medium', widthMm: 300, lengthMm: 1000, boughtLengthMm: 5000, price: 9, uses: 3, lowAt: 1000, notes: '' }; // prettier-ignore

describe('what lies on the shelf', () => {
  it('is sorted into film, offcuts and cutters; offcuts only where they are to be used', () => {
    const things = [makeStockFilm(), makeOffcut(), tape, makeCutter()];
    const supply = supplyOf(things, '2026-05-04');
    expect(supply.films.map(({ id }) => id)).toEqual(['roll']);
    expect(supply.offcuts.map(({ id }) => id)).toEqual(['offcut']);
    expect(supply.cutters.map(({ id }) => id)).toEqual(['cutter']);
    expect(supply.today).toBe('2026-05-04');
    expect(supplyOf(things, '', false)).toMatchObject({ films: [{ id: 'roll' }], offcuts: [] });
  });

  it('is counted in mm of all rolls, or in sheets', () => {
    expect(leftOf(makeStockFilm({ count: 2, lengthMm: 5000 }))).toBe(10_000);
    expect(leftOf(makeStockFilm({ form: 'sheet', count: 7, lengthMm: 305 }))).toBe(7);
  });

  it('runs low under what is wanted, not at it; what nobody set a mark for never does', () => {
    expect(runsLow({ ...tape, lengthMm: 999 })).toBe(true);
    expect(runsLow(tape)).toBe(false);
    expect(runsLow({ ...tape, lengthMm: 0, lowAt: null })).toBe(false);
    expect(runsLow(makeStockFilm({ form: 'sheet', count: 3, lowAt: 3 }))).toBe(false);
    expect([makeOffcut(), makeCutter()].map(runsLow)).toEqual([false, false]);
  });

  it('cost what was paid over its area: as bought, or what an offcut is worth', () => {
    // 9 for 300 × 5000 mm; 0.48 for 120 × 200.
    expect(pricePerMm2(tape)).toBeCloseTo(6e-6, 15);
    expect(pricePerMm2(makeOffcut())).toBeCloseTo(2e-5, 15);
    expect(pricePerMm2(makeStockFilm({ price: null }))).toBeNull();
    expect(pricePerMm2(makeStockFilm({ price: 0 }))).toBe(0);
    expect(pricePerMm2(makeStockFilm({ boughtLengthMm: 0 }))).toBeNull();
  });

  it('is taken the oldest first; what is empty, or another film, is not', () => {
    const lot = (id: string, boughtOn: string | null, count = 1) => makeStockFilm({ id, boughtOn, count });
    const films = [lot('new', '2026-04-01'), lot('b', '2025-04-01'), lot('a', '2025-04-01'), lot('unknown', null), lot('empty', '2020-01-01', 0), makeStockFilm({ id: 'other', film: shallows })]; // prettier-ignore
    expect(lotsOf(supplyOf(films, ''), 'deep-water').map(({ id }) => id)).toEqual(['unknown', 'a', 'b', 'new']);
  });

  it('has its offcuts ordered by size, and by name where they are as large', () => {
    const offcuts = [makeOffcut({ id: 'large' }), makeOffcut({ id: 'b', widthMm: 50, lengthMm: 60 }), makeOffcut({ id: 'a', widthMm: 60, lengthMm: 50 }), makeOffcut({ id: 'other', film: shallows, widthMm: 10 })]; // prettier-ignore
    expect(offcutsOf(supplyOf(offcuts, ''), 'deep-water').map(({ id }) => id)).toEqual(['a', 'b', 'large']);
  });

  it('has an outline: its own, or a rectangle as long as it lies along the feed', () => {
    expect([...offcutRing(makeOffcut())]).toEqual([0, 0, 200, 0, 200, 120, 0, 120]);
    expect([...offcutRing(makeOffcut({ outline: [0, 0, 9, 0, 0, 9] }))]).toEqual([0, 0, 9, 0, 0, 9]);
  });

  it('ages by years, months and days', () => {
    expect(yearsSince('2025-02-01', '2026-05-01')).toBeCloseTo(1.25, 9);
    expect(yearsSince('2026-05-01', '2026-05-04')).toBeCloseTo(3 / 365.25, 9);
    expect([yearsSince('', '2026-05-04'), yearsSince('2026-05-04', ''), yearsSince(null, '')]).toEqual([
      null,
      null,
      null,
    ]);
  });
});

describe('boards', () => {
  it('are called by their sizes, smallest first, with room for the rollers and the scissors', () => {
    for (const board of BOARDS) {
      expect(boardWords(board, 'mm')).toBe(`${board.label}, ${board.widthMm} × ${board.lengthMm} mm`);
      expect([board.marginMm, board.gapMm]).toEqual([3, 6]);
    }
    // 290 mm are 11.417 in, 26.7 sixty-fourths past the eleven; 295 mm are 11.614, 39.3 of them.
    expect(boardWords(BOARDS[1]!, 'in')).toBe('Board, 11 27/64 × 11 39/64 in');
    const areas = BOARDS.map(({ widthMm, lengthMm }) => widthMm * lengthMm);
    expect(areas).toEqual([...areas].sort((a, b) => a - b));
    // Backed film runs through by itself.
    expect(BOARDS.filter(({ alone }) => alone).map(({ id }) => id)).toEqual(['backed']);
  });

  it('are one’s own before those that everyone has, and the usual one when nobody knows it', () => {
    const own = { ...boardById('small'), id: 'long', label: 'Mine' };
    expect(boardById('long', [own]).label).toBe('Mine');
    expect(boardById('long')).toMatchObject({ widthMm: 290, lengthMm: 600 });
    expect(boardById('lost', [own])).toMatchObject({ id: 'square', widthMm: 290, lengthMm: 295 });
  });
});

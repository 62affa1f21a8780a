import { describe, expect, it } from 'vitest';
import { makeCutter, makeOffcut, makeStockFilm } from '../../test/stock.ts';
import { STARTING_FILMS } from '../material/film.ts';
import type { Booking, StockTape, StockThing } from '../model/stock.ts';
import type { Allocation } from './allocation.ts';
import { boardById } from './boards.ts';
import type { BookingResult, ShelfChange, ToBook } from './booking.ts';
import { bookPlan, describeBookingProblem, takeBack } from './booking.ts';
import type { Leftover } from './leftover.ts';

const [deep, shallows] = [STARTING_FILMS[0]!, STARTING_FILMS[1]!];
const tape: StockTape = { kind: 'tape', id: 'tape', name: 'Roll', tack: 'clear medium', widthMm: 300, lengthMm: 1000, boughtLengthMm: 5000, price: 9, uses: 3, lowAt: null, notes: '' }; // prettier-ignore
const sheets = makeStockFilm({ id: 'sheets', film: shallows, form: 'sheet', count: 3, widthMm: 305, lengthMm: 305, boughtLengthMm: 305, price: 2 }); // prettier-ignore
const SHELF: readonly StockThing[] = [makeStockFilm(), sheets, makeOffcut({ id: 'scrap' }), makeCutter(), tape];

const off = (from: Allocation['from'], lengthMm = 100, film = deep.id): Allocation => ({ film, load: 1, strip: 0, from, lengthMm, widthMm: 50 }); // prettier-ignore
const roll = { kind: 'roll', id: 'roll' } as const;
const left = (of: string | null, change: Partial<Leftover> = {}): Leftover => ({ film: deep.id, lengthMm: 100, widthMm: 60, outline: null, of, ...change }); // prettier-ignore
const toBook = (strips: Allocation[], born: Leftover[] = [], change: Partial<ToBook> = {}): ToBook => {
  let ids = 0;
  return {
    plan: { board: boardById('square'), loads: [{ number: 1, strips: [] }] },
    usage: { strips, born, films: [{ film: deep.id, areaMm2: 900, cost: 0.5, rollMm: 0, sheets: 0, short: 0 }] },
    films: STARTING_FILMS,
    projectId: 'project',
    title: 'Job',
    cutMm: 2000,
    at: '2026-05-04T10:00:00.000Z',
    newId: () => `new-${ids++}`,
    ...change,
  };
};
const changeOf = (result: BookingResult): ShelfChange => {
  if (!result.ok) throw new Error(result.problem.code);
  return result.change;
};
const put = (result: BookingResult, id: string): StockThing | undefined => changeOf(result).put.find((t) => t.id === id); // prettier-ignore
const bookingOf = (result: BookingResult): Booking => changeOf(result).put.find((t) => t.kind === 'booking')!;

describe('what is booked', () => {
  it('goes off the roll strip by strip; a roll of under a millimetre is none', () => {
    expect(put(bookPlan(SHELF, toBook([off(roll, 100), off(roll, 40)])), 'roll')).toMatchObject({ lengthMm: 4860, count: 1 }); // prettier-ignore
    expect(put(bookPlan(SHELF, toBook([off(roll, 4999)])), 'roll')).toMatchObject({ lengthMm: 1, count: 1 });
    expect(put(bookPlan(SHELF, toBook([off(roll, 4999.5)])), 'roll')).toMatchObject({ lengthMm: 0.5, count: 0 });
    expect(put(bookPlan(SHELF, toBook([off(roll, 5000)])), 'roll')).toMatchObject({ lengthMm: 0, count: 0 });
  });

  it('goes off the stack of sheets one by one, and takes whole offcuts', () => {
    const sheet = off({ kind: 'sheet', id: 'sheets' }, 100, shallows.id);
    expect(put(bookPlan(SHELF, toBook([sheet, sheet])), 'sheets')).toMatchObject({ count: 1, lengthMm: 305 });
    const scrap = changeOf(bookPlan(SHELF, toBook([off({ kind: 'offcut', id: 'scrap' })])));
    expect(scrap.remove).toEqual(['scrap']);
    expect(scrap.put.map(({ id }) => id)).not.toContain('scrap');
  });

  it('is nothing of a rest, nor of film that nobody knows of', () => {
    const change = changeOf(bookPlan(SHELF, toBook([off({ kind: 'rest', id: 'roll' }), off({ kind: 'unknown' })])));
    expect(change.remove).toEqual([]);
    expect(change.put.map(({ kind }) => kind)).toEqual(['cutter', 'booking']);
  });

  it('is not booked at all when film is gone, is another thing by now, or is too little', () => {
    const gone = { ok: false, problem: { code: 'gone', name: 'Deep water' } };
    const little = { ok: false, problem: { code: 'too-little', name: 'Deep water' } };
    expect(bookPlan(SHELF.slice(1), toBook([off(roll)]))).toEqual(gone);
    expect(bookPlan([{ ...tape, id: 'roll' }], toBook([off(roll)]))).toEqual(gone);
    expect(bookPlan(SHELF, toBook([off(roll, 5000.1)]))).toEqual(little);
    expect(bookPlan([makeStockFilm({ count: 0 })], toBook([off(roll)]))).toEqual(little);
    const sheet = off({ kind: 'sheet', id: 'sheets' }, 100, shallows.id);
    expect(bookPlan(SHELF, toBook([sheet, sheet, sheet, sheet]))).toMatchObject({ problem: { code: 'too-little', name: 'Shallows' } }); // prettier-ignore
    // A film that is in no list is called by its id.
    expect(bookPlan([], toBook([off(roll, 10, 'own')]))).toMatchObject({ problem: { code: 'gone', name: 'own' } });
  });

  it('bears offcuts that are worth what was paid for them, as old and directional as what they were cut from', () => {
    const source = makeStockFilm({ directional: true });
    const [born] = changeOf(bookPlan([source], toBook([off(roll)], [left('roll')]))).put.filter((t) => t.kind === 'offcut'); // prettier-ignore
    // 30 for 300 × 5000 mm: 2e-5 a mm², and 6000 mm² of it.
    expect(born).toEqual({ kind: 'offcut', id: 'new-0', film: deep, widthMm: 60, lengthMm: 100, outline: null, boughtOn: '2026-03-01', directional: true, worth: expect.closeTo(0.12, 9), notes: 'From Job' }); // prettier-ignore
    const ofOffcut = put(bookPlan(SHELF, toBook([], [left('scrap')])), 'new-0');
    expect(ofOffcut).toMatchObject({ worth: expect.closeTo(0.12, 9), directional: false });
    // What nobody knows the price or the roll of has none; what lies in a ring was paid for with it.
    expect(put(bookPlan([makeStockFilm({ price: null })], toBook([], [left('roll')])), 'new-0')).toMatchObject({ worth: null }); // prettier-ignore
    expect(put(bookPlan(SHELF, toBook([], [left(null)])), 'new-0')).toMatchObject({ worth: null, boughtOn: null, directional: false }); // prettier-ignore
    expect(put(bookPlan(SHELF, toBook([], [left('tape')])), 'new-0')).toMatchObject({ worth: null, boughtOn: null });
    const ring = put(bookPlan(SHELF, toBook([], [left('roll', { outline: [0, 0, 9, 0, 0, 9] })])), 'new-0');
    expect(ring).toMatchObject({ worth: 0, outline: [0, 0, 9, 0, 0, 9] });
    // An unlisted film bears nothing.
    expect(changeOf(bookPlan(SHELF, toBook([], [left('roll', { film: 'own' })]))).put.some((t) => t.kind === 'offcut')).toBe(false); // prettier-ignore
  });

  it('wears the blade of the cutter whose board it is, and no other', () => {
    expect(put(bookPlan(SHELF, toBook([])), 'cutter')).toMatchObject({ bladeMm: 3000 });
    const other = makeCutter({ board: boardById('long') });
    expect(changeOf(bookPlan([other], toBook([]))).put.map(({ kind }) => kind)).toEqual(['booking']);
  });

  it('takes tape only off a roll of it, never below nothing', () => {
    const allocated = (id: string, lengthMm: number) => bookPlan(SHELF, toBook([], [], { tape: { id, lengthMm } }));
    expect(put(allocated('tape', 300), 'tape')).toMatchObject({ lengthMm: 700 });
    expect(put(allocated('tape', 1300), 'tape')).toMatchObject({ lengthMm: 0 });
    expect(put(allocated('roll', 300), 'roll')).toBeUndefined();
    expect(put(bookPlan(SHELF, toBook([])), 'tape')).toBeUndefined();
  });

  it('is written down with what was used, cut and made', () => {
    const blanks = [{ id: 'mug', count: 2 }, { id: 'none', count: 1 }]; // prettier-ignore
    const booked = bookPlan(SHELF, toBook([off(roll)], [], { blanks }), [{ id: 'mug', name: 'Mug', count: 1 }, { id: 'none', name: 'None', count: 0 }]); // prettier-ignore
    expect(bookingOf(booked)).toEqual({
      kind: 'booking',
      id: 'new-0',
      at: '2026-05-04T10:00:00.000Z',
      projectId: 'project',
      title: 'Job',
      used: [{ film: deep, areaMm2: 900, cost: 0.5 }],
      loads: 1,
      cutMm: 2000,
      blanks: [{ id: 'mug', name: 'Mug', count: 1 }],
      before: [makeStockFilm(), makeCutter()],
      after: [makeStockFilm({ lengthMm: 4900 }), makeCutter({ bladeMm: 3000 })],
    });
    expect(changeOf(booked).blanks).toEqual([{ id: 'mug', by: -1 }]);
    expect(bookingOf(bookPlan(SHELF, toBook([])))).not.toHaveProperty('blanks');
  });
});

describe('what is taken back', () => {
  /** The shelf after a change. */
  const changed = (things: readonly StockThing[], { put: list, remove }: ShelfChange): StockThing[] => {
    const gone = new Set([...remove, ...list.map(({ id }) => id)]);
    return [...things.filter(({ id }) => !gone.has(id)), ...list];
  };
  const all = toBook([off(roll, 400), off({ kind: 'sheet', id: 'sheets' }, 100, shallows.id), off({ kind: 'offcut', id: 'scrap' })], [left('roll')], { tape: { id: 'tape', lengthMm: 300 }, blanks: [{ id: 'mug', count: 2 }] }); // prettier-ignore
  const booked = bookPlan(SHELF, all, [{ id: 'mug', name: 'Mug', count: 9 }]);
  const booking = bookingOf(booked);
  const after = changed(SHELF, changeOf(booked));
  const also = (id: string, change: object): StockThing[] => after.map((t) => (t.id === id ? ({ ...t, ...change } as StockThing) : t)); // prettier-ignore
  const back = (things: readonly StockThing[], id: string) => put(takeBack(things, booking), id);

  it('gives back lengths, counts, blade and tape on top of what happened since', () => {
    expect(changeOf(takeBack(after, booking)).remove).toEqual([booking.id, 'new-0']);
    expect(changeOf(takeBack(after, booking)).blanks).toEqual([{ id: 'mug', by: 2 }]);
    expect(back(also('roll', { lengthMm: 1000 }), 'roll')).toMatchObject({ lengthMm: 1400, count: 1 });
    expect(back(also('sheets', { count: 1 }), 'sheets')).toMatchObject({ count: 2, lengthMm: 305 });
    expect(back(also('cutter', { bladeMm: 5000 }), 'cutter')).toMatchObject({ bladeMm: 3000 });
    // A new blade was put in since: it has not gone less than nothing.
    expect(back(also('cutter', { bladeMm: 100 }), 'cutter')).toMatchObject({ bladeMm: 0 });
    expect(back(also('tape', { lengthMm: 50 }), 'tape')).toMatchObject({ lengthMm: 350 });
    expect(back(after, 'scrap')).toEqual(makeOffcut({ id: 'scrap' }));
  });

  it('makes a roll of what comes back, when it was used up or is gone', () => {
    expect(back(also('roll', { lengthMm: 0, count: 0 }), 'roll')).toMatchObject({ lengthMm: 400, count: 1 });
    const without = (id: string): StockThing[] => after.filter((t) => t.id !== id);
    expect(back(without('roll'), 'roll')).toMatchObject({ lengthMm: 5000, count: 1 });
    expect(back(without('sheets'), 'sheets')).toMatchObject({ count: 1 });
    expect([back(without('cutter'), 'cutter'), back(without('tape'), 'tape')]).toEqual([undefined, undefined]);
  });

  it('is not when an offcut that it bore is used or changed', () => {
    const refused = { ok: false, problem: { code: 'used-since', name: 'Deep water' } };
    expect(takeBack(after.filter(({ id }) => id !== 'new-0'), booking)).toEqual(refused); // prettier-ignore
    expect(takeBack(also('new-0', { widthMm: 20 }), booking)).toEqual(refused);
  });

  it('says why not, and that nothing was done', () => {
    const said = (['gone', 'too-little', 'used-since'] as const).map((code) => describeBookingProblem({ code, name: 'Reed' })); // prettier-ignore
    for (const text of said) expect(text).toMatch(/Reed.*Nothing was/);
    expect(new Set(said).size).toBe(3);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeCutter, makeOffcut, makeStockFilm } from '../../test/stock.ts';
import { STARTING_FILMS } from '../material/film.ts';
import { boardById } from './boards.ts';
import { bookPlan, takeBack, type ShelfChange, type ToBook } from './booking.ts';
import { planLoads, type LoadPlan } from './load.ts';
import { type FilmBlock } from './blocks.ts';
import type { StockTape, StockThing, Supply } from '../model/stock.ts';
import { NO_STOCK, pricePerMm2, runsLow, supplyOf, yearsSince } from './supply.ts';
import { allocateFilm } from './usage.ts';
import { carryingTapes, tapeArea, tapeLength } from './tape-usage.ts';

const [deep, shallows] = [STARTING_FILMS[0]!, STARTING_FILMS[1]!];
const square = boardById('square');
const block = (part: string, width: number, height: number, change: Partial<FilmBlock> = {}): FilmBlock => ({
  film: deep.id,
  part,
  box: { minX: 0, minY: 0, maxX: width, maxY: height },
  ...change,
});
const supply = (...things: StockThing[]): Supply => supplyOf(things, '2026-05-04');
const taken = (blocks: FilmBlock[], from: Supply): ReturnType<typeof allocateFilm> & { plan: LoadPlan } => {
  const plan = planLoads(blocks, square, from);
  return { plan, ...allocateFilm(plan, from, blocks) };
};

describe('offcuts in a plan', () => {
  it('come first, the smallest that holds everything', () => {
    const small = makeOffcut({ id: 'small', widthMm: 40, lengthMm: 60 });
    const fits = makeOffcut({ id: 'fits', widthMm: 60, lengthMm: 120 });
    const large = makeOffcut({ id: 'large' });
    const { plan } = taken([block('', 100, 50)], supply(small, large, fits, makeStockFilm()));
    // 100 × 50 and 3 mm all round: 106 × 56. The whole offcut lies on the board, turned so that it takes less of it.
    expect(plan.loads[0]!.strips).toMatchObject([
      { offcut: 'fits', from: 3, to: 63, across: 120, used: { along: 56, across: 106 } },
    ]);
    // Turned a quarter it would fit, but not with a direction.
    const upright = makeOffcut({ id: 'upright', widthMm: 110, lengthMm: 60 });
    expect(taken([block('', 100, 50)], supply(upright)).plan.loads[0]!.strips[0]!.offcut).toBe('upright');
    const directional = [block('', 100, 50, { directional: true })];
    expect(taken(directional, supply(upright)).plan.loads[0]!.strips[0]!.offcut).toBeNull();
  });

  it('hold what they can of many parts, and film is cut for the rest only', () => {
    const parts = [block('a', 60, 40), block('b', 60, 40), block('c', 200, 100)];
    const { plan } = taken(parts, supply(makeOffcut({ id: 'o', widthMm: 60, lengthMm: 150 }), makeStockFilm()));
    const strips = plan.loads.flatMap((load) => load.strips);
    expect(strips.map((s) => [s.offcut, s.parts.map(({ part }) => part).sort()])).toEqual([
      ['o', ['a', 'b']],
      [null, ['c']],
    ]);
  });

  it('that are large enough but too narrow for any part are left in the box', () => {
    const narrow = makeOffcut({ id: 'narrow', widthMm: 30, lengthMm: 280 });
    const { plan } = taken([block('a', 60, 40), block('b', 60, 40)], supply(narrow, makeStockFilm()));
    expect(plan.loads[0]!.strips.map((s) => [s.offcut, s.parts.length])).toEqual([[null, 2]]);
  });

  it('of an odd shape hold parts only where there is film', () => {
    // An L: 100 × 100 with its upper right quarter gone.
    const odd = makeOffcut({ id: 'odd', widthMm: 100, lengthMm: 100, outline: [0, 0, 100, 0, 100, 45, 45, 45, 45, 100, 0, 100] }); // prettier-ignore
    const { plan } = taken([block('a', 80, 30), block('b', 30, 40)], supply(odd, makeStockFilm()));
    expect(plan.loads[0]!.strips.map((s) => s.offcut)).toEqual(['odd']);
    const boxes = plan.loads[0]!.strips[0]!.parts.map(({ part, matrix: [a, b, c, d, e, f] }) => {
      const [w, h] = part === 'a' ? [80, 30] : [30, 40];
      const xs = [e, e + a * w + c * h].sort((p, q) => p - q);
      const ys = [f, f + b * w + d * h].sort((p, q) => p - q);
      return { part, x: xs.map((x) => x - 3), y: ys.map((y) => y - 3) };
    });
    // 3 mm from every edge of the film: low in the long arm, or left in the upright one.
    for (const { x, y } of boxes) {
      expect(Math.min(x[0]!, y[0]!)).toBeGreaterThanOrEqual(3 - 1e-6);
      expect(Math.max(x[1]!, y[1]!)).toBeLessThanOrEqual(97 + 1e-6);
      expect(y[1]! <= 42 + 1e-6 || x[1]! <= 42 + 1e-6).toBe(true);
    }
  });
});

describe('allocateFilm', () => {
  it('cuts a strip off the roll where that takes least of its length, and keeps the rest', () => {
    // 246 × 50 lies turned: 56 along, 252 across. Of the roll, 300 wide, 56 mm go; 56 × 48 stays, worth keeping.
    const { strips, films, born } = taken([block('', 246, 50)], supply(makeStockFilm()));
    expect(strips).toMatchObject([{ from: { kind: 'roll', id: 'roll' }, lengthMm: 56, widthMm: 252 }]);
    expect(born).toMatchObject([{ lengthMm: 56, widthMm: 48, of: 'roll' }]);
    expect(films[0]!.areaMm2).toBeCloseTo(56 * 300 - 56 * 48, 6);
    // 30 for 5 m of 300 mm: 0.02 for a thousand square millimetres.
    expect(films[0]!.cost).toBeCloseTo(56 * 252 * 2e-5, 9);
    expect(films[0]!.rollMm).toBe(56);
  });

  it('makes the next strip from what is left of the first', () => {
    const blocks = [block('', 246, 40), block('', 40, 40, { film: shallows.id }), block('', 34, 34, { film: shallows.id, part: 'two' })]; // prettier-ignore
    const sheets = makeStockFilm({ id: 'sheet', film: shallows, form: 'sheet', widthMm: 100, lengthMm: 100, boughtLengthMm: 100, count: 2, price: 1 }); // prettier-ignore
    const { strips, films, born } = taken(blocks, supply(makeStockFilm(), sheets));
    expect(strips.map(({ from }) => from.kind)).toEqual(['roll', 'sheet']);
    // Both squares nest on one strip of the sheet: 46 with the blade's margins, and beside each other, with room for
    // scissors, 40 + 6 + 34 + 6 = 86, or a little more where places lie in cells.
    expect(strips[1]!.lengthMm).toBe(46);
    expect(strips[1]!.widthMm).toBeGreaterThanOrEqual(86);
    expect(strips[1]!.widthMm).toBeLessThanOrEqual(89);
    // The largest rest: 54 × 100 behind it. The other, 46 × 12, is too narrow to keep.
    expect(born.filter(({ film }) => film === shallows.id)).toMatchObject([{ lengthMm: 100, widthMm: 54 }]);
    const two = films.find(({ film }) => film === shallows.id)!;
    expect(two).toMatchObject({ sheets: 1, short: 0 });
    expect(two.cost).toBeCloseTo(1 - 0.54, 9);
  });

  it('says what there is too little of, and knows nothing of film that is not kept', () => {
    const empty = makeStockFilm({ lengthMm: 20 });
    expect(taken([block('', 200, 50)], supply(empty)).films[0]).toMatchObject({ short: 1, cost: null });
    expect(taken([block('', 200, 50)], NO_STOCK).films[0]).toMatchObject({ short: 0, cost: null });
    expect(taken([block('', 200, 50)], NO_STOCK).strips[0]!.from).toEqual({ kind: 'unknown' });
  });

  it('keeps the middle of a ring by its outline, unless something lies in it', () => {
    const ring = (r: number, turn: 1 | -1): Float64Array =>
      Float64Array.from({ length: 144 }, (_, i) => {
        const angle = (turn * 2 * Math.PI * (i >> 1)) / 72;
        return 60 + r * (i % 2 === 0 ? Math.cos(angle) : Math.sin(angle));
      });
    const lid = block('', 120, 120, { rings: [ring(60, 1), ring(45, -1)] });
    const { born } = taken([lid], supply(makeStockFilm()));
    const [middle] = born.filter(({ outline }) => outline);
    expect(middle).toMatchObject({ lengthMm: expect.closeTo(88, 1), widthMm: expect.closeTo(88, 1), of: 'roll' });
    // A disk of 44 mm: every point of its outline lies that far from its middle.
    for (let i = 0; i < middle!.outline!.length; i += 2)
      expect(Math.hypot(middle!.outline![i]! - 44, middle!.outline![i + 1]! - 44)).toBeCloseTo(44, 1);
    const filled = { ...lid, rings: [...lid.rings!, ring(10, 1)] };
    expect(taken([filled], supply(makeStockFilm())).born.filter(({ outline }) => outline)).toEqual([]);
  });
});

describe('stock', () => {
  it('knows what runs low, what a piece of it cost and how old it is', () => {
    expect(runsLow(makeStockFilm({ lengthMm: 499 }))).toBe(true);
    expect(runsLow(makeStockFilm({ lengthMm: 500 }))).toBe(false);
    expect(runsLow(makeStockFilm({ lengthMm: 1, lowAt: null }))).toBe(false);
    expect(runsLow(makeStockFilm({ form: 'sheet', count: 2, lowAt: 3 }))).toBe(true);
    expect(pricePerMm2(makeStockFilm())).toBeCloseTo(30 / 1_500_000, 15);
    expect(pricePerMm2(makeOffcut({ worth: null }))).toBeNull();
    expect(yearsSince('2024-05-04', '2026-05-04')).toBeCloseTo(2, 6);
    expect(yearsSince(null, '2026-05-04')).toBeNull();
  });
});

describe('booking', () => {
  const things: StockThing[] = [
    makeStockFilm(),
    makeStockFilm({ id: 'sheets', film: shallows, form: 'sheet', widthMm: 305, lengthMm: 305, boughtLengthMm: 305, count: 3, price: 2 }), // prettier-ignore
    makeOffcut({ id: 'scrap', film: shallows }),
    makeCutter(),
  ];
  let ids = 0;
  const toBook = (blocks: FilmBlock[], from: readonly StockThing[]): ToBook => {
    const plan = planLoads(blocks, square, supplyOf(from, ''));
    const usage = allocateFilm(plan, supplyOf(from, ''), blocks);
    return { plan, usage, films: STARTING_FILMS, projectId: 'p', title: 'Job', cutMm: 2000, at: '2026-05-04T10:00:00.000Z', newId: () => `new-${ids++}` }; // prettier-ignore
  };
  const applied = (from: readonly StockThing[], { put, remove }: ShelfChange): StockThing[] => {
    const gone = new Set([...remove, ...put.map(({ id }) => id)]);
    return [...from.filter(({ id }) => !gone.has(id)), ...put];
  };
  const book = (blocks: FilmBlock[], from = things): StockThing[] => {
    const booked = bookPlan(from, toBook(blocks, from));
    if (!booked.ok) throw new Error(booked.problem.code);
    return applied(from, booked.change);
  };
  const sorted = (list: readonly StockThing[]): StockThing[] => [...list].sort((a, b) => a.id.localeCompare(b.id));

  it('takes film off the shelf, puts offcuts there, and counts the blade', () => {
    const after = book([block('', 246, 50), block('', 100, 50, { film: shallows.id })]);
    expect(after.find(({ id }) => id === 'roll')).toMatchObject({ lengthMm: 5000 - 56 });
    // Turned on the board the scrap is 120 by 200. 106 × 56 of it are used; 14 × 200 or 120 × 144 stays: the second is
    // larger, and the other bit, 14 × 56, too narrow to keep.
    expect(after.some(({ id }) => id === 'scrap')).toBe(false);
    const offcuts = after.filter((t) => t.kind === 'offcut').map((o) => [o.film.id, o.lengthMm, o.widthMm, o.boughtOn]);
    expect(offcuts.filter(([film]) => film === shallows.id)).toEqual([[shallows.id, 144, 120, '2026-03-01']]);
    expect(offcuts).toContainEqual([deep.id, 56, 48, '2026-03-01']);
    expect(after.find((t) => t.kind === 'cutter')).toMatchObject({ bladeMm: 3000 });
    const [booking] = after.filter((t) => t.kind === 'booking');
    expect(booking).toMatchObject({ title: 'Job', loads: 1, cutMm: 2000 });
  });

  it('counts blanks down by what is made, never below none, and back up again', () => {
    const what = { ...toBook([block('', 100, 50)], things), blanks: [{ id: 'mug', count: 8 }, { id: 'cup', count: 5 }, { id: 'uncounted', count: 1 }] }; // prettier-ignore
    const booked = bookPlan(things, what, [{ id: 'mug', name: 'Mug', count: 24 }, { id: 'cup', name: 'Cup', count: 3 }]); // prettier-ignore
    if (!booked.ok) throw new Error(booked.problem.code);
    expect(booked.change.blanks).toEqual([{ id: 'mug', by: -8 }, { id: 'cup', by: -3 }]); // prettier-ignore
    const after = applied(things, booked.change);
    const back = takeBack(
      after,
      after.find((t) => t.kind === 'booking')!,
    );
    expect(back).toMatchObject({
      ok: true,
      change: {
        blanks: [
          { id: 'mug', by: 8 },
          { id: 'cup', by: 3 },
        ],
      },
    });
  });

  it('takes tape off its roll as far as there is some, and gives it back', () => {
    const blocks = [block('', 100, 50), block('b', 60, 20)];
    // With 10 mm to hold it by: 120 × 70 and 80 × 40 mm, three times used, off a roll of 300: 11 600 / 900 = 12.9.
    const roll: StockTape = { kind: 'tape', id: 'tape', name: 'Roll', tack: 'clear medium', widthMm: 300, lengthMm: 1000, boughtLengthMm: 1000, price: 9, uses: 3, lowAt: null, notes: '' }; // prettier-ignore
    const lengthMm = tapeLength(roll, tapeArea(blocks));
    expect(lengthMm).toBe(13);
    for (const [there, left] of [
      [1000, 1000 - lengthMm],
      [5, 0],
    ] as const) {
      // prettier-ignore
      const shelf = [...things, { ...roll, lengthMm: there }];
      const booked = bookPlan(shelf, { ...toBook(blocks, shelf), tape: { id: 'tape', lengthMm } });
      if (!booked.ok) throw new Error(booked.problem.code);
      const after = applied(shelf, booked.change);
      expect(after.find(({ id }) => id === 'tape')).toMatchObject({ lengthMm: left });
      const back = takeBack(after, after.find((t) => t.kind === 'booking') as never);
      if (!back.ok) throw new Error(back.problem.code);
      expect(applied(after, back.change).find(({ id }) => id === 'tape')).toMatchObject({ lengthMm: there });
    }
    const other: StockTape = { ...roll, id: 'a', price: null };
    expect(carryingTapes([other, { ...roll, id: 'b', tack: 'painter’s strips' }, roll])).toEqual([roll, other]);
  });

  it('is not done twice from the same film, nor from film that is gone', () => {
    const what = toBook([block('', 100, 50, { film: shallows.id })], things);
    const booked = bookPlan(things, what);
    if (!booked.ok) throw new Error();
    expect(bookPlan(applied(things, booked.change), what)).toEqual({ ok: false, problem: { code: 'gone', name: 'Shallows' } }); // prettier-ignore
    const large = toBook([block('', 246, 50)], things);
    const used = things.map((t) => (t.id === 'roll' ? makeStockFilm({ lengthMm: 10 }) : t));
    expect(bookPlan(used, large)).toMatchObject({ ok: false, problem: { code: 'too-little' } });
  });

  it('is taken back on top of what happened since, but not over an offcut that is used', () => {
    const first = book([block('', 246, 50)]);
    const second = book([block('', 246, 60)], first);
    const one = second.find((t) => t.kind === 'booking' && t.before.some((b) => b.kind === 'film' && b.lengthMm === 5000)); // prettier-ignore
    const back = takeBack(second, one as never);
    if (!back.ok) throw new Error(back.problem.code);
    expect(applied(second, back.change).find(({ id }) => id === 'roll')).toMatchObject({ lengthMm: 5000 - 66 });
    const used = first.filter((t) => t.kind !== 'offcut' || t.id === 'scrap');
    const booking = first.find((t) => t.kind === 'booking')!;
    expect(takeBack(used, booking as never)).toMatchObject({ ok: false, problem: { code: 'used-since' } });
  });

  it('taken back leaves the shelf as it was, and never makes film', () => {
    const size = fc.integer({ min: 5, max: 270 });
    const films = fc.constantFrom(deep.id, shallows.id);
    fc.assert(
      fc.property(fc.array(fc.tuple(size, size, films), { minLength: 1, maxLength: 6 }), (list) => {
        const blocks = list.map(([w, h, film], i) => block(`p${i}`, w, h, { film }));
        const what = toBook(blocks, things);
        if (what.usage.films.some(({ short }) => short > 0)) return;
        const booked = bookPlan(things, what);
        if (!booked.ok) throw new Error(booked.problem.code);
        const after = applied(things, booked.change);
        const lying = (shelf: readonly StockThing[], film: string): number =>
          shelf.reduce((sum, t) => {
            if (t.kind === 'film' && t.film.id === film) return sum + t.count * t.widthMm * t.lengthMm;
            return t.kind === 'offcut' && t.film.id === film ? sum + t.widthMm * t.lengthMm : sum;
          }, 0);
        for (const { film, areaMm2 } of what.usage.films) {
          expect(lying(things, film) - lying(after, film)).toBeCloseTo(areaMm2, 3);
          // What is cut is never more than what went.
          const cut = blocks.filter((b) => b.film === film && what.plan.loads.some(({ strips }) => strips.some((s) => s.film === film && s.parts.some(({ part }) => part === b.part)))); // prettier-ignore
          expect(areaMm2).toBeGreaterThan(cut.reduce((sum, b) => sum + b.box.maxX * b.box.maxY, 0));
        }
        const booking = after.find((t) => t.kind === 'booking')!;
        const back = takeBack(after, booking as never);
        if (!back.ok) throw new Error(back.problem.code);
        expect(sorted(applied(after, back.change))).toEqual(sorted(things));
      }),
      { numRuns: 60 },
    );
  });
});

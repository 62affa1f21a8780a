import { describe, expect, it } from 'vitest';
import { makeOffcut, makeStockFilm } from '../../test/stock.ts';
import { STARTING_FILMS } from '../material/film.ts';
import type { StockThing } from '../model/stock.ts';
import type { FilmBlock } from './blocks.ts';
import type { Strip } from './load.ts';
import { supplyOf } from './supply.ts';
import type { FilmUsage } from './usage.ts';
import { allocateFilm } from './usage.ts';

const [deep, shallows] = [STARTING_FILMS[0]!, STARTING_FILMS[1]!];
/** A strip so long along the board and so wide across it. */
const strip = (along: number, across: number, change: Partial<Strip> = {}): Strip => ({
  film: deep.id,
  from: 3,
  to: 3 + along,
  across,
  offcut: null,
  outline: null,
  used: { along, across },
  parts: [],
  ...change,
});
const allocated = (strips: Strip[], things: StockThing[], blocks: FilmBlock[] = []): FilmUsage =>
  allocateFilm({ loads: strips.map((one, i) => ({ number: i + 1, strips: [one] })) }, supplyOf(things, ''), blocks);
const sheet = (change = {}) => makeStockFilm({ id: 'sheet', form: 'sheet', widthMm: 200, lengthMm: 300, boughtLengthMm: 300, count: 2, price: 6, ...change }); // prettier-ignore

describe('film off a roll', () => {
  it('is cut so that least of its length goes, turned where that helps, along its direction where it has one', () => {
    expect(allocated([strip(120, 50)], [makeStockFilm()]).strips).toEqual([
      { film: deep.id, load: 1, strip: 0, from: { kind: 'roll', id: 'roll' }, lengthMm: 50, widthMm: 120 },
    ]);
    const along = { kind: 'roll', id: 'roll' };
    const directional = makeStockFilm({ directional: true });
    expect(allocated([strip(120, 50)], [directional]).strips[0]).toMatchObject({ from: along, lengthMm: 120, widthMm: 50 }); // prettier-ignore
    const block: FilmBlock = {
      film: deep.id,
      part: '',
      box: { minX: 0, minY: 0, maxX: 9, maxY: 9 },
      directional: true,
    };
    expect(allocated([strip(120, 50)], [makeStockFilm()], [block]).strips[0]).toMatchObject({ lengthMm: 120 });
    // The direction of another film is no concern of this one.
    expect(allocated([strip(120, 50)], [makeStockFilm()], [{ ...block, film: shallows.id }]).strips[0]).toMatchObject({ lengthMm: 50 }); // prettier-ignore
    const other = makeStockFilm({ id: 'other', film: shallows, directional: true });
    expect(allocated([strip(120, 50)], [makeStockFilm(), other]).strips[0]).toMatchObject({ lengthMm: 50 });
  });

  it('is all of its width and all that is left of it, to the millimetre, and not more', () => {
    const roll = makeStockFilm({ lengthMm: 100, widthMm: 80 });
    expect(allocated([strip(80, 100)], [roll]).films[0]).toMatchObject({ rollMm: 100, short: 0 });
    expect(allocated([strip(100, 80)], [{ ...roll, directional: true }]).films[0]).toMatchObject({
      rollMm: 100,
      short: 0,
    });
    expect(allocated([strip(101, 81)], [roll]).films[0]).toMatchObject({ rollMm: 0, short: 1 });
    // Turned would take 60 mm of length, but no roll is 90 wide.
    expect(allocated([strip(60, 90)], [roll]).films[0]).toMatchObject({ rollMm: 90, short: 0 });
    // What the first took is not there for the second.
    const two = allocated([strip(80, 60), strip(80, 60)], [roll]);
    expect(two.strips.map(({ from }) => from.kind)).toEqual(['roll', 'unknown']);
    expect(two.films[0]).toMatchObject({ rollMm: 60, short: 1, cost: null });
    // 80 × 60 of the roll’s width of 80, and the other as it is wanted.
    expect(two.films[0]!.areaMm2).toBe(2 * 80 * 60);
  });

  it('comes off what was bought first, and off the next when that is too short', () => {
    const [old, fresh] = [makeStockFilm({ id: 'old', boughtOn: '2024-01-01', lengthMm: 40 }), makeStockFilm({ id: 'fresh' })]; // prettier-ignore
    const from = allocated([strip(100, 30), strip(280, 60)], [fresh, old]).strips.map(
      (s) => 'id' in s.from && s.from.id,
    );
    expect(from).toEqual(['old', 'fresh']);
    const none = makeStockFilm({ id: 'none', boughtOn: '2020-01-01', count: 0 });
    expect(allocated([strip(100, 30)], [none, fresh]).strips[0]!.from).toEqual({ kind: 'roll', id: 'fresh' });
  });
});

describe('film of sheets', () => {
  it('is a corner of one; the largest rest is kept, and what it cost goes with it', () => {
    // A sheet of 300 × 200 for 6: 1e-4 a mm². 220 × 60 of it leaves 300 × 140, or 80 × 200 and 220 × 140: the first.
    const { strips, born, films } = allocated([strip(220, 60)], [sheet()]);
    expect(strips[0]).toMatchObject({ from: { kind: 'sheet', id: 'sheet' }, lengthMm: 220, widthMm: 60 });
    expect(born).toEqual([
      { film: deep.id, lengthMm: 300, widthMm: 140, outline: null, of: 'sheet' },
      { film: deep.id, lengthMm: 80, widthMm: 60, outline: null, of: 'sheet' },
    ]);
    expect(films).toEqual([
      { film: deep.id, areaMm2: 13_200, cost: expect.closeTo(1.32, 9), rollMm: 0, sheets: 1, short: 0 },
    ]);
  });

  it('lies turned where it only fits so, and all of a sheet may go', () => {
    expect(allocated([strip(150, 250)], [sheet()]).strips[0]).toMatchObject({ lengthMm: 250, widthMm: 150 });
    expect(allocated([strip(150, 250)], [sheet({ directional: true })]).strips[0]!.from).toEqual({ kind: 'unknown' });
    expect(allocated([strip(200, 300)], [sheet()])).toMatchObject({ born: [], films: [{ sheets: 1, cost: 6 }] });
    expect(allocated([strip(201, 300)], [sheet()]).films[0]).toMatchObject({ sheets: 0, short: 1 });
    expect(allocated([strip(200, 301)], [sheet()]).films[0]).toMatchObject({ sheets: 0, short: 1 });
  });

  it('are there as many as are counted', () => {
    const whole = strip(300, 200);
    const { strips, films } = allocated([whole, whole, whole], [sheet()]);
    expect(strips.map(({ from }) => from.kind)).toEqual(['sheet', 'sheet', 'unknown']);
    expect(films[0]).toMatchObject({ sheets: 2, short: 1 });
  });
});

describe('film of what is left over', () => {
  it('is the smallest rest that holds it, turned where it must be, before anything new is begun', () => {
    // The first leaves 300 × 140 and 80 × 60 of its sheet; 55 × 75 fits the smaller one turned, 100 × 100 the larger.
    const { strips, films, born } = allocated([strip(220, 60), strip(55, 75), strip(100, 100)], [sheet()]);
    expect(strips.map(({ from }) => from)).toEqual([
      { kind: 'sheet', id: 'sheet' },
      { kind: 'rest', id: 'sheet' },
      { kind: 'rest', id: 'sheet' },
    ]);
    expect(strips[1]).toMatchObject({ lengthMm: 55, widthMm: 75 });
    // Of 300 × 140, 200 × 140 stays whole; 100 × 40 beside it is worth keeping too.
    expect(born.map(({ lengthMm, widthMm }) => [lengthMm, widthMm])).toEqual([[200, 140], [100, 40]]); // prettier-ignore
    expect(films[0]!.areaMm2).toBe(60_000 - 200 * 140 - 100 * 40);
    expect(films[0]!.cost).toBeCloseTo((60_000 - 200 * 140 - 100 * 40) * 1e-4, 9);
  });

  it('is never of another film', () => {
    const other = strip(50, 50, { film: shallows.id });
    expect(allocated([strip(220, 60), other], [sheet()]).strips[1]!.from).toEqual({ kind: 'unknown' });
    // Nobody knows of the other film, so none is missing.
    expect(allocated([other], [sheet()]).films).toEqual([
      { film: shallows.id, areaMm2: 2500, cost: null, rollMm: 0, sheets: 0, short: 0 },
    ]);
  });

  it('of an offcut is what is not taken of it, as it lay on the board', () => {
    const offcut = makeOffcut({ widthMm: 120, lengthMm: 200, worth: 2.4 });
    // On the board turned: 120 along, 200 across; 100 × 60 is taken and 120 × 140 stays whole, 20 × 60 is too narrow.
    const on = strip(120, 200, { offcut: 'offcut', used: { along: 100, across: 60 } });
    const { strips, born, films } = allocated([on], [offcut, makeStockFilm()]);
    expect(strips[0]).toMatchObject({ from: { kind: 'offcut', id: 'offcut' }, lengthMm: 200, widthMm: 120 });
    expect(born).toEqual([{ film: deep.id, lengthMm: 140, widthMm: 120, outline: null, of: 'offcut' }]);
    expect(films[0]).toMatchObject({ areaMm2: 24_000 - 120 * 140, short: 0 });
    expect(films[0]!.cost).toBeCloseTo((24_000 - 120 * 140) * 1e-4, 9);
    // One that is gone is nothing to cut from.
    expect(allocated([on], [makeStockFilm()]).strips[0]!.from).toEqual({ kind: 'roll', id: 'roll' });
  });

  it('of an odd offcut is nothing: all of its film goes', () => {
    const odd = makeOffcut({ widthMm: 100, lengthMm: 100, outline: [0, 0, 100, 0, 0, 100] });
    const on = strip(100, 100, { offcut: 'offcut', used: { along: 20, across: 20 } });
    expect(allocated([on], [odd])).toMatchObject({ born: [], films: [{ areaMm2: 5000 }] });
  });
});

describe('the inside of a ring', () => {
  const square = (x: number, y: number, side: number, turn: 1 | -1): Float64Array => {
    const corners = [[x, y], [x + side, y], [x + side, y + side], [x, y + side]]; // prettier-ignore
    return Float64Array.from((turn === 1 ? corners : corners.reverse()).flat());
  };
  const frame = (inner: number, change: Partial<FilmBlock> = {}): FilmBlock => ({
    film: deep.id,
    part: 'frame',
    box: { minX: 0, minY: 0, maxX: 150, maxY: 150 },
    rings: [square(0, 0, 150, 1), square(20, 20, inner, -1)],
    ...change,
  });
  const at = (part: string, x: number, y: number) => ({ part, turned: false, matrix: [1, 0, 0, 1, x, y] }) as const;
  const middles = (blocks: FilmBlock[], parts: Strip['parts']) =>
    allocated([strip(290, 290, { parts })], [makeStockFilm()], blocks).born.filter(({ outline }) => outline !== null);

  it('is kept a millimetre clear all round, where it is large enough', () => {
    expect(middles([frame(62)], [at('frame', 10, 10)])).toEqual([
      { film: deep.id, lengthMm: 60, widthMm: 60, outline: expect.anything(), of: 'roll' },
    ]);
    const outline = middles([frame(62)], [at('frame', 10, 10)])[0]!.outline!;
    expect([...outline].sort((a, b) => a - b)).toEqual([0, 0, 0, 0, 60, 60, 60, 60]);
    // 50 mm less 1 mm all round is 48: 2304 mm², under 2500.
    expect(middles([frame(50)], [at('frame', 10, 10)])).toEqual([]);
    // 52 less 2 is 50: just worth it.
    expect(middles([frame(52)], [at('frame', 10, 10)])).toHaveLength(1);
  });

  it('is not there when another part or piece lies in it, and is when that lies elsewhere', () => {
    const small = (part: string): FilmBlock => ({ film: deep.id, part, box: { minX: 0, minY: 0, maxX: 20, maxY: 20 }, rings: [square(0, 0, 20, 1)] }); // prettier-ignore
    const both = [frame(100), small('dot')];
    // The opening lies from 30 to 130 on the board.
    expect(middles(both, [at('frame', 10, 10), at('dot', 60, 60)])).toEqual([]);
    for (const [x, y] of [
      [131, 60],
      [9, 60],
      [60, 131],
      [60, 9],
    ] as const)
      // prettier-ignore
      expect(middles(both, [at('frame', 10, 10), at('dot', x, y)]), `${x}, ${y}`).toHaveLength(1);
    for (const [x, y] of [
      [129, 60],
      [11, 60],
      [60, 129],
      [60, 11],
    ] as const)
      // prettier-ignore
      expect(middles(both, [at('frame', 10, 10), at('dot', x, y)]), `${x}, ${y}`).toHaveLength(0);
    const filled = frame(100, { rings: [square(0, 0, 150, 1), square(20, 20, 100, -1), square(50, 50, 30, 1)] });
    expect(middles([filled], [at('frame', 10, 10)])).toEqual([]);
    const beside = frame(100, { rings: [square(0, 0, 150, 1), square(20, 20, 100, -1), square(125, 50, 20, 1)] });
    expect(middles([beside], [at('frame', 10, 10)])).toHaveLength(1);
    // A part of another film by the same name is not on this strip.
    expect(middles([{ ...small('frame'), film: shallows.id }, frame(100)], [at('frame', 10, 10)])).toHaveLength(1);
  });

  it('turns with its part, and what is no ring has none', () => {
    const dot = (x: number, y: number): FilmBlock => ({ film: deep.id, part: 'dot', box: { minX: x, minY: y, maxX: x + 9, maxY: y + 9 } }); // prettier-ignore
    const turned = { part: 'frame', turned: true, matrix: [0, 1, -1, 0, 160, 10] } as const;
    // A quarter turn sends 20 … 120 along to 160 − 120 … 160 − 20.
    expect(middles([frame(100), dot(0, 0)], [turned, at('dot', 136, 60)])).toEqual([]);
    expect(middles([frame(100), dot(0, 0)], [turned, at('dot', 30, 60)])).toHaveLength(1);
    expect(middles([dot(0, 0)], [at('dot', 10, 10)])).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import type { Ring } from '../polygon/polygon.ts';
import type { Aim } from './cheapest-way.ts';
import { cheapestWay, STEEPEST } from './cheapest-way.ts';
import type { Grid } from './film-grid.ts';
import { filmAt, foldGrid, nearAt, rasterise } from './film-grid.ts';
import { pullTaut } from './pull-taut.ts';

// A side of one millimetre and of one millimetre radius: five rows of 0.25 mm, and 2π/0.1 makes 63 columns.
const STEP = (2 * Math.PI) / 63;
/** A rectangle between two columns, and two slants in mm. */
const box = (from: number, to: number, top: number, foot: number): Ring => Float64Array.from([from * STEP, foot, to * STEP, foot, to * STEP, top, from * STEP, top]); // prettier-ignore
const hole = (...[from, to, top, foot]: [number, number, number, number]): Ring => Float64Array.from([from * STEP, foot, from * STEP, top, to * STEP, top, to * STEP, foot]); // prettier-ignore
const grid = (clearance: number, ...groups: Ring[][]): Grid => rasterise({ side: 1, radiusAt: () => 1, groups }, clearance, 1); // prettier-ignore
const columns = (cells: Uint8Array, row: number): number[] => [...cells.subarray(row * 63, row * 63 + 63)].flatMap((v, c) => (v ? [c] : [])); // prettier-ignore
const range = (from: number, to: number): number[] => Array.from({ length: to - from + 1 }, (_, i) => from + i);

describe('film on the rows of a side', () => {
  it('is laid on every row from its upper edge to just before its lower one', () => {
    const { rows, columns: count, height, step, film } = grid(0, [box(10, 20, 0.25, 0.75)]);
    expect([rows, count, height, step]).toEqual([5, 63, 0.25, STEP]);
    expect(range(0, 4).map((row) => columns(film, row))).toEqual([[], range(10, 20), range(10, 20), [], []]);
    // Between two columns it touches none.
    expect(columns(grid(0, [box(10.2, 10.8, 0, 1)]).film, 1)).toEqual([]);
    expect(columns(grid(0, [box(10.2, 12.8, 0, 1)]).film, 1)).toEqual([11, 12]);
  });

  it('goes on round the back, also all the way, and past both edges', () => {
    expect(columns(grid(0, [box(-3, 2, 0, 1)]).film, 2)).toEqual([0, 1, 2, 60, 61, 62]);
    expect(columns(grid(0, [box(61, 64, 0, 1)]).film, 2)).toEqual([0, 1, 61, 62]);
    expect(columns(grid(0, [box(58, 62, 0, 1)]).film, 2)).toEqual(range(58, 62));
    expect(columns(grid(0, [box(66, 70, 0, 1)]).film, 2)).toEqual(range(3, 7));
    expect(columns(grid(0, [box(0, 63, 0, 1)]).film, 2)).toEqual(range(0, 62));
    const over = grid(0, [box(5, 6, -3, 4)]);
    expect(range(0, 4).map((row) => columns(over.film, row))).toEqual(Array(5).fill([5, 6]));
  });

  it('leaves holes open and counts laps once', () => {
    const ring = grid(0, [box(10, 20, 0, 1), hole(13, 17, 0, 1)]);
    expect(columns(ring.film, 2)).toEqual([10, 11, 12, 13, 17, 18, 19, 20]);
    const lapped = grid(0, [box(10, 14, 0, 1)], [box(13, 18, 0, 1)]);
    expect(columns(lapped.film, 2)).toEqual(range(10, 18));
    expect(Math.max(...lapped.film)).toBe(1);
  });

  it('is widened by the clearance on the blank itself, along the rows and across them', () => {
    const { near, film } = grid(0.3, [box(10, 20, 0.25, 0.5)]);
    expect(range(0, 4).map((row) => columns(film, row).length)).toEqual([0, 11, 0, 0, 0]);
    // On its own row by 0.3/0.0997 = 3.008 columns; a row away by √(0.3² − 0.25²) = 0.166 mm, 1.66 columns; its lower
    // corners lie on the third row, which is 3.008 from each of them; from there it is 0.25 to the fourth.
    expect(range(0, 4).map((row) => columns(near, row))).toEqual([range(9, 21), range(7, 23), range(7, 23), [9, 10, 11, 19, 20, 21], []]); // prettier-ignore
    // On twice the radius it is half as many columns of twice the width in rad.
    const wide = rasterise({ side: 1, radiusAt: () => 2, groups: [[box(10, 20, 0, 1)]] }, 0.3, 1);
    expect(wide.columns).toBe(126);
    const closed = [...wide.near.subarray(0, 126)].flatMap((v, c) => (v ? [c] : []));
    expect([closed[0], closed.at(-1)]).toEqual([17, 43]);
    // A point between two rows closes the rows beside it.
    const dot = grid(0.2, [box(10, 10.5, 0.55, 0.6)]);
    expect([columns(dot.film, 2), columns(dot.near, 2).length > 0, columns(dot.near, 1)]).toEqual([[], true, []]);
  });

  it('is coarser on large sides, and divides evenly among seams', () => {
    // 300 × 2π·60 mm would be 4.5 million places: √(113097/20000) = 2.38 times as far apart.
    const large = rasterise({ side: 300, radiusAt: () => 60, groups: [] }, 1, 3);
    expect(large.columns % 3).toBe(0);
    expect(large.height).toBeCloseTo(0.25 * Math.sqrt((300 * 120 * Math.PI) / 20000), 2);
    expect(large.step * 60).toBeCloseTo(0.1 * Math.sqrt((300 * 120 * Math.PI) / 20000), 2);
    const folded = foldGrid(grid3([box(1, 2, 0, 1)], [box(22, 23, 0, 1)], [box(43, 44, 0, 1)]), 3);
    expect([folded.columns, folded.rows]).toEqual([21, 5]);
    expect([...folded.film.subarray(21, 42)]).toEqual([0, 3, 3, ...Array(18).fill(0)]);
    expect(foldGrid(large, 1)).toBe(large);
  });
  const grid3 = (...groups: Ring[][]): Grid => rasterise({ side: 1, radiusAt: () => 1, groups }, 0, 3);

  it('is looked up by row and column, whole turns on too', () => {
    const made = grid(0.3, [box(10, 20, 0.25, 0.5)]);
    expect([filmAt(made, 1, 10), filmAt(made, 1, 9.6), filmAt(made, 1, 9.4), filmAt(made, 1, 10 - 63), filmAt(made, 1, 20 + 126)]).toEqual([1, 1, 0, 1, 1]); // prettier-ignore
    expect([nearAt(made, 0, 9), nearAt(made, 0, 8), nearAt(made, 0, 9 - 63)]).toEqual([1, 0, 1]);
  });
});

// Rows 2 mm apart, 64 columns on 10 mm radius: 0.98 mm apart, so that 60° are three of them a row.
const RADIUS = 10;
const plain = (rows: number, change: Partial<Grid> = {}): Grid => ({ rows, columns: 64, height: 2, step: (2 * Math.PI) / 64, film: new Uint8Array(rows * 64), near: new Uint8Array(rows * 64), ...change }); // prettier-ignore
const at = (rows: number, cells: readonly [row: number, from: number, to: number][], value = 1): Uint8Array => {
  const out = new Uint8Array(rows * 64);
  for (const [row, from, to] of cells) out.fill(value, row * 64 + from, row * 64 + to + 1);
  return out;
};
const field = { side: 16, radiusAt: () => RADIUS, groups: [] };
const home = (column: number, change: Partial<Aim> = {}): Aim => ({ azimuth: (column * 2 * Math.PI) / 64, reach: null, pull: 0.001, ...change }); // prettier-ignore
const wayOf = (grid_: Grid, aim: Aim, clear = true): number[] | null => {
  const way = cheapestWay(field, grid_, aim, clear);
  return way && [...way];
};

describe('the cheapest way from rim to base', () => {
  it('is straight down where it is at home, counted on from there', () => {
    expect(wayOf(plain(5), home(20))).toEqual([20, 20, 20, 20, 20]);
    expect(wayOf(plain(5), home(-32))).toEqual([-32, -32, -32, -32, -32]);
    expect(wayOf(plain(5), home(70))).toEqual([70, 70, 70, 70, 70]);
  });

  it('goes round what is closed, by no more than it has to and no steeper than 60°', () => {
    const near = at(9, [[4, 17, 22]]);
    const way = wayOf(plain(9, { near }), home(20))!;
    expect(way[4]).toBe(23);
    way.slice(1).forEach((column, i) => expect(Math.abs(column - way[i]!)).toBeLessThanOrEqual(3));
    expect(STEEPEST).toBeCloseTo(Math.sqrt(3), 12);
    // What closes a whole row closes every way; so does what lies too far aside for the rows that there are.
    expect(wayOf(plain(9, { near: at(9, [[4, 0, 63]]) }), home(20))).toBeNull();
    // From the one gap to the other it is 12 columns in four rows: three a row; 13 are too many.
    const gaps = (second: number): Uint8Array => at(9, [[2, 0, 19], [2, 21, 63], [6, 0, second - 1], [6, second + 1, 63]]); // prettier-ignore
    expect(wayOf(plain(9, { near: gaps(32) }), home(20))).toEqual([20, 20, 20, 23, 26, 29, 32, 32, 32]);
    expect(wayOf(plain(9, { near: gaps(33) }), home(20))).toBeNull();
    // Round the back there is no end.
    const back = at(9, [
      [4, 0, 1],
      [4, 60, 63],
    ]);
    expect(wayOf(plain(9, { near: back }), home(0))![4]).toBe(2);
    expect(wayOf(plain(9, { near: back }), home(64))![4]).toBe(66);
  });

  it('stays within its reach, and goes home when nothing pulls it away', () => {
    const near = at(9, [[4, 15, 25]]);
    const five = (5 * 2 * Math.PI) / 64 + 1e-9;
    expect(wayOf(plain(9, { near }), home(20, { reach: five }))).toBeNull();
    expect(wayOf(plain(9, { near }), home(20, { reach: (6.1 * 2 * Math.PI) / 64 }))![4]).toBe(26 - 12);
    const wide = wayOf(plain(40, { near: at(40, [[2, 15, 25]]) }), home(20, { pull: 0.1 }))!;
    expect(wide.at(-1)).toBe(20);
    // A pull so weak that a slant way costs more leaves it where it passed.
    expect(wayOf(plain(9, { near: at(9, [[4, 17, 22]]) }), home(20, { pull: 1e-5 }))).toEqual(Array(9).fill(23));
  });

  it('cuts the least film where it has to, and of equals goes where it is at home', () => {
    // A ring of film of two rows, thinner at one place: one row.
    const film = at(9, [[3, 0, 63], [4, 0, 39], [4, 44, 63]]); // prettier-ignore
    const way = wayOf(plain(9, { film, near: film }), home(20), false)!;
    expect([40, 41, 42, 43]).toContain(way[4]);
    const even = at(9, [[3, 0, 63]]);
    expect(wayOf(plain(9, { film: even, near: even }), home(20), false)).toEqual(Array(9).fill(20));
    // What counts twice, as on two panels laid on one another, costs twice.
    const twice = at(9, [[3, 0, 39]], 2);
    twice.fill(1, 3 * 64 + 40, 3 * 64 + 64);
    expect(wayOf(plain(9, { film: twice, near: twice }), home(35), false)![3]).toBe(40);
    // Near film is dearer than free.
    expect(wayOf(plain(9, { near: at(9, [[4, 17, 22]]) }), home(20, { pull: 0 }), false)![4]).not.toBe(20);
  });
});

describe('a way that is pulled taut', () => {
  const taut = (grid_: Grid, way: number[], clear = true) => {
    const { slants, azimuths } = pullTaut(field, grid_, Int32Array.from(way), clear);
    return slants.map((slant, i) => [slant, Math.round((azimuths[i]! * 64) / (2 * Math.PI))]);
  };

  it('is straight as far as it stays clear', () => {
    expect(taut(plain(9), [20, 21, 20, 21, 22, 23, 24, 26, 28])).toEqual([[0, 20], [16, 28]]); // prettier-ignore
    // Round the corner of what is closed it keeps a point.
    const near = at(9, [[4, 17, 22]]);
    expect(taut(plain(9, { near }), [20, 20, 20, 21, 23, 21, 20, 20, 20])).toEqual([[0, 20], [8, 23], [16, 20]]); // prettier-ignore
    // Between two columns both have to be clear.
    const beside = at(9, [[4, 23, 23]]);
    expect(taut(plain(9, { near: beside }), [20, 20, 20, 21, 22, 23, 24, 25, 25]).length).toBeGreaterThan(2);
    expect(taut(plain(2), [20, 20])).toEqual([[0, 20], [2, 20]]); // prettier-ignore
  });

  it('is no steeper than 60°', () => {
    // Steps of four columns are 3.93 mm over 2: kept as they came, each by itself.
    expect(taut(plain(4), [20, 24, 28, 32])).toEqual([[0, 20], [2, 24], [4, 28], [6, 32]]); // prettier-ignore
    expect(taut(plain(4), [20, 23, 26, 29])).toEqual([[0, 20], [6, 29]]); // prettier-ignore
  });

  it('cuts no more film than it did where it has to cut', () => {
    const film = at(9, [[3, 0, 63], [4, 0, 39], [4, 44, 63]]); // prettier-ignore
    const way = [36, 37, 38, 39, 40, 39, 38, 37, 36];
    // Straight down column 36 it would run through both rows of film.
    expect(taut(plain(9, { film }), way, false)).toContainEqual([8, 40]);
    expect(taut(plain(9, { film: at(9, [[3, 0, 63]]) }), way, false)).toEqual([[0, 36], [16, 36]]); // prettier-ignore
  });
});

import { STARTING_FILMS } from '../src/material/film.ts';
import type { Offcut, StockCutter, StockFilm } from '../src/model/stock.ts';
import { boardById } from '../src/load/boards.ts';
import { USUAL_PACE } from '../src/cut/pace.ts';

/** A roll of the first film, 300 mm wide and 5 m long, bought for 30. */
export const makeStockFilm = (change: Partial<StockFilm> = {}): StockFilm => ({
  kind: 'film',
  id: 'roll',
  film: STARTING_FILMS[0]!,
  form: 'roll',
  widthMm: 300,
  lengthMm: 5000,
  count: 1,
  price: 30,
  boughtLengthMm: 5000,
  boughtOn: '2026-03-01',
  directional: false,
  coverSheet: false,
  lowAt: 500,
  settings: [],
  notes: '',
  ...change,
});

/** An offcut of the first film, 120 × 200 mm, a part of such a roll. */
export const makeOffcut = (change: Partial<Offcut> = {}): Offcut => ({
  kind: 'offcut',
  id: 'offcut',
  film: STARTING_FILMS[0]!,
  widthMm: 120,
  lengthMm: 200,
  outline: null,
  boughtOn: '2026-03-01',
  directional: false,
  worth: 0.48,
  notes: '',
  ...change,
});

export const makeCutter = (change: Partial<StockCutter> = {}): StockCutter => ({
  kind: 'cutter',
  id: 'cutter',
  board: boardById('square'),
  onBoard: true,
  pace: USUAL_PACE,
  bladeMm: 1000,
  bladeLastsMm: 400_000,
  notes: '',
  ...change,
});

import {
  BOARDS,
  STARTING_FILMS,
  stockDocument,
  USUAL_PACE,
  type Film,
  type StockDocument,
  type StockFilm,
  type StockThing,
} from '@mivet/core';

/** The rowing club's box of film: rolls, sheets, scraps, tapes and two cutters. */
export function demoStock(now: string): StockDocument[] {
  /** A day some months ago. */
  const ago = (months: number): string => {
    const day = new Date(now);
    day.setUTCMonth(day.getUTCMonth() - months);
    return day.toISOString().slice(0, 10);
  };
  const film = (id: string): Film => STARTING_FILMS.find((f) => f.id === id)!;
  const lot = (id: string, change: Partial<StockFilm> & Pick<StockFilm, 'form'>): StockFilm => ({
    kind: 'film',
    id: `demo-${id}`,
    film: film(id),
    widthMm: 305,
    lengthMm: 305,
    count: 1,
    price: null,
    boughtLengthMm: 305,
    boughtOn: ago(3),
    directional: false,
    coverSheet: false,
    lowAt: null,
    settings: [],
    notes: '',
    ...change,
  });
  const roll = (id: string, lengthMm: number, price: number, change: Partial<StockFilm> = {}): StockFilm =>
    lot(id, { form: 'roll', widthMm: 300, lengthMm, boughtLengthMm: 5000, price, lowAt: 600, ...change });
  const sheets = (id: string, count: number, price: number, change: Partial<StockFilm> = {}): StockFilm =>
    lot(id, { form: 'sheet', count, price, lowAt: 2, ...change });
  const set = (words: string): Pick<StockFilm, 'settings'> => ({ settings: [{ cutter: 'demo-cutter-square', words }] });
  const offcut = (id: string, of: string, lengthMm: number, widthMm: number, months: number | null): StockThing => ({
    kind: 'offcut',
    id: `demo-offcut-${id}`,
    film: film(of),
    widthMm,
    lengthMm,
    outline: null,
    boughtOn: months === null ? null : ago(months),
    directional: false,
    worth: null,
    notes: '',
  });
  const lidMiddle = Array.from({ length: 48 }, (_, i) => {
    const angle = (2 * Math.PI * (i >> 1)) / 24;
    return Number((40 + 40 * (i % 2 === 0 ? Math.cos(angle) : Math.sin(angle))).toFixed(2));
  });
  const things: StockThing[] = [
    roll('deep-water', 3420, 24, set('blade 3, pressure 8, speed 5')),
    roll('shallows', 2150, 24),
    sheets('ensign', 4, 1.9),
    sheets('reed', 1, 1.9),
    roll('chalk', 4300, 22),
    sheets('night', 6, 1.6),
    sheets('brass', 3, 3.4, { directional: true, coverSheet: true, ...set('blade 4, pressure 12, slow') }),
    roll('hull', 1800, 41, { boughtLengthMm: 3000 }),
    offcut('ensign', 'ensign', 140, 82, 5),
    offcut('reed', 'reed', 305, 64, null),
    offcut('night', 'night', 120, 48, 9),
    { ...(offcut('chalk', 'chalk', 80, 80, 2) as StockThing & { kind: 'offcut' }), outline: lidMiddle, notes: 'Middle of a lid ring' }, // prettier-ignore
    {
      kind: 'tape',
      id: 'demo-tape-clear',
      name: 'Clear roll',
      tack: 'clear medium',
      widthMm: 300,
      lengthMm: 6200,
      boughtLengthMm: 10_000,
      price: 18,
      uses: 3,
      lowAt: 1000,
      notes: '',
    },
    {
      kind: 'tape',
      id: 'demo-tape-paper',
      name: 'Paper roll',
      tack: 'paper low-tack',
      widthMm: 150,
      lengthMm: 700,
      boughtLengthMm: 20_000,
      price: 14,
      uses: 1,
      lowAt: 1000,
      notes: 'For fresh paint and balloons',
    },
    ...BOARDS.slice(0, 3).map((board): StockThing => ({
      kind: 'cutter',
      id: `demo-cutter-${board.id}`,
      board,
      onBoard: true,
      pace: USUAL_PACE,
      bladeMm: board.id === 'square' ? 128_000 : 0,
      bladeLastsMm: 400_000,
      notes: '',
    })),
  ];
  return things.map((thing) => stockDocument(thing, now));
}

import { USUAL_PACE, type Film, type Offcut, type StockCutter, type StockFilm, type StockTape } from '@mivet/core';

const today = (): string => new Date().toISOString().slice(0, 10);

/** A roll as it is mostly bought. */
export const newStockFilm = (): StockFilm => ({
  kind: 'film',
  id: crypto.randomUUID(),
  film: { id: crypto.randomUUID(), name: '', colour: '#0F4C5C', finish: 'gloss permanent', thicknessMm: 0.07 },
  form: 'roll',
  widthMm: 300,
  lengthMm: 5000,
  count: 1,
  price: null,
  boughtLengthMm: 5000,
  boughtOn: today(),
  directional: false,
  coverSheet: false,
  lowAt: null,
  settings: [],
  notes: '',
});

/** A scrap of some film, of unknown age. */
export const newOffcut = (film: Film): Offcut => ({
  kind: 'offcut',
  id: crypto.randomUUID(),
  film,
  widthMm: 100,
  lengthMm: 150,
  outline: null,
  boughtOn: null,
  directional: false,
  worth: null,
  notes: '',
});

export const newTape = (): StockTape => ({
  kind: 'tape',
  id: crypto.randomUUID(),
  name: '',
  tack: 'clear medium',
  widthMm: 300,
  lengthMm: 10_000,
  boughtLengthMm: 10_000,
  price: null,
  uses: 1,
  lowAt: null,
  notes: '',
});

export function newCutter(): StockCutter {
  const id = crypto.randomUUID();
  return {
    kind: 'cutter',
    id,
    board: { id, label: '', widthMm: 290, lengthMm: 295, marginMm: 3, gapMm: 6 },
    onBoard: true,
    pace: USUAL_PACE,
    bladeMm: 0,
    bladeLastsMm: 400_000,
    notes: '',
  };
}

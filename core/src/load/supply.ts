import type { Offcut, StockFilm, StockTape, StockThing, Supply } from '../model/stock.ts';
import type { Ring } from '../polygon/polygon.ts';

/** Nothing is known of what lies on the shelf: film is taken to be there, as large as the board. */
export const NO_STOCK: Supply = { films: [], offcuts: [], cutters: [], today: '' };

/** The part of the stock that plans are made from. */
export const supplyOf = (things: readonly StockThing[], today: string, useOffcuts = true): Supply => ({
  films: things.filter((t) => t.kind === 'film'),
  offcuts: useOffcuts ? things.filter((t) => t.kind === 'offcut') : [],
  cutters: things.filter((t) => t.kind === 'cutter'),
  today,
});

/** mm of roll, or sheets, that are left. */
export const leftOf = (film: StockFilm): number => (film.form === 'roll' ? film.count * film.lengthMm : film.count);

/** Whether it is time to buy. */
export function runsLow(thing: StockThing): boolean {
  if (thing.kind === 'film') return thing.lowAt !== null && leftOf(thing) < thing.lowAt;
  return thing.kind === 'tape' && thing.lowAt !== null && thing.lengthMm < thing.lowAt;
}

/** What a mm² of it cost; null when not known. */
export function pricePerMm2(thing: StockFilm | Offcut | StockTape): number | null {
  if (thing.kind === 'offcut') return thing.worth === null ? null : thing.worth / (thing.widthMm * thing.lengthMm);
  const whole = thing.widthMm * thing.boughtLengthMm;
  return thing.price === null || whole <= 0 ? null : thing.price / whole;
}

/** Film of one kind, what is older first, so that it is used up; film of unknown age counts as the oldest. */
export const lotsOf = (supply: Supply, filmId: string): StockFilm[] =>
  supply.films
    .filter(({ film, count }) => film.id === filmId && count > 0)
    .sort((a, b) => (a.boughtOn ?? '').localeCompare(b.boughtOn ?? '') || a.id.localeCompare(b.id));

/** Offcuts of a film, the smallest first. */
export const offcutsOf = (supply: Supply, filmId: string): Offcut[] =>
  supply.offcuts
    .filter(({ film }) => film.id === filmId)
    .sort((a, b) => a.widthMm * a.lengthMm - b.widthMm * b.lengthMm || a.id.localeCompare(b.id));

/** Years between two days; null when one is not known. */
export function yearsSince(day: string | null, today: string): number | null {
  const at = (text: string): number => {
    const [y, m, d] = text.split('-').map(Number);
    return y! + (m! - 1) / 12 + (d! - 1) / 365.25;
  };
  return day === null || day === '' || today === '' ? null : at(today) - at(day);
}

/** The outline of an offcut, mm from its corner. */
export const offcutRing = ({ outline, widthMm, lengthMm }: Offcut): Ring =>
  Float64Array.from(outline ?? [0, 0, lengthMm, 0, lengthMm, widthMm, 0, widthMm]);

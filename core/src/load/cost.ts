import type { FilmUse } from './usage.ts';

/** Rates that a job is priced by, in the user's own currency. */
export interface CostRates {
  /** For one hour of work. */
  readonly hour: number;
  /** Gloves, alcohol, baking parchment and the like, for each piece. */
  readonly consumables: number;
  /** Price of the blank; 0 when it is the customer's. */
  readonly blank: number;
  /** Minutes of work for each piece, the cutter's own time left out. */
  readonly minutes: number;
  /** Minutes that a batch takes once, however many are made. */
  readonly minutesOnce: number;
  /** Price of transfer tape for a mm², and how often a piece of it is used. */
  readonly tapePerMm2: number;
  readonly tapeUses: number;
  /** Share that is put on top of what it costs: 0.4 for 40 %. */
  readonly margin: number;
  /** For film of which no price is known, for a mm². */
  readonly filmPerMm2: number;
}

/** What a batch costs, by what it is for. */
export interface Cost {
  readonly film: number;
  readonly tape: number;
  readonly blanks: number;
  readonly consumables: number;
  readonly work: number;
  readonly total: number;
  readonly price: number;
  /** The same for one piece. */
  readonly each: { readonly cost: number; readonly price: number };
  /** Films of which no price is known: priced at the usual rate. */
  readonly unpriced: readonly string[];
}

/**
 * What a batch costs: film by what is taken off the stock for good, so that waste is shared by area; tape by its area and
 * how often it is used; the rest by piece.
 *
 * @param count pieces that are made
 * @param films what is taken for all of them
 * @param tapeMm2 area of tape that lifts all of them, mm²
 */
export function costOf(count: number, films: readonly FilmUse[], tapeMm2: number, rates: CostRates): Cost {
  const film = films.reduce((sum, { cost, areaMm2 }) => sum + (cost ?? areaMm2 * rates.filmPerMm2), 0);
  const tape = (tapeMm2 * rates.tapePerMm2) / rates.tapeUses;
  const blanks = count * rates.blank;
  const consumables = count * rates.consumables;
  const work = ((rates.minutesOnce + count * rates.minutes) / 60) * rates.hour;
  const total = film + tape + blanks + consumables + work;
  const price = total * (1 + rates.margin);
  return {
    film,
    tape,
    blanks,
    consumables,
    work,
    total,
    price,
    each: { cost: total / count, price: price / count },
    unpriced: films.filter(({ cost }) => cost === null).map(({ film: id }) => id),
  };
}

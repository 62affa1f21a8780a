import type { Offcut, StockFilm, Supply } from '../model/stock.ts';
import { ringArea } from '../polygon/polygon.ts';
import type { Allocation } from './allocation.ts';
import type { FilmBlock } from './blocks.ts';
import type { Leftover } from './leftover.ts';
import { isWorthKeeping, restsOf } from './leftover.ts';
import type { LoadPlan, Strip } from './load.ts';
import { ringMiddles } from './ring-middles.ts';
import { lotsOf, offcutRing, offcutsOf, pricePerMm2 } from './supply.ts';

/** What a plan takes off the shelf, film by film. */
export interface FilmUse {
  readonly film: string;
  /** mm² that are gone for good: cut off, less what is kept of it. */
  readonly areaMm2: number;
  /** What that cost; null when a price is not known. */
  readonly cost: number | null;
  /** mm of roll that are cut off, and sheets that are begun. */
  readonly rollMm: number;
  readonly sheets: number;
  /** Strips that there is no film for on the shelf. */
  readonly short: number;
}

/** What a plan takes, and what it leaves. */
export interface FilmUsage {
  readonly strips: readonly Allocation[];
  readonly films: readonly FilmUse[];
  readonly born: readonly Leftover[];
}

/** What is left over while strips are cut off one after the other. */
interface Rest {
  readonly film: string;
  readonly length: number;
  readonly width: number;
  readonly of: string | null;
  readonly price: number | null;
}

/** A strip that film is wanted for: how long and wide, and whether it may be cut turned. */
interface Wanted {
  readonly film: string;
  readonly length: number;
  readonly width: number;
  readonly turns: boolean;
}

type From = Pick<Allocation, 'from' | 'lengthMm' | 'widthMm'>;

/**
 * Where the film of every strip is cut off: the rest of what is taken already first, then what was bought first; off a roll
 * so that least of its length goes, off a sheet so that the largest rest stays.
 *
 * @param plan loads
 * @param supply what lies on the shelf
 * @param blocks parts as they were laid, for what can be kept of the inside of rings
 */
export function allocateFilm(
  { loads }: Pick<LoadPlan, 'loads'>,
  supply: Supply,
  blocks: readonly FilmBlock[],
): FilmUsage {
  const shelf = new CuttingTable(supply);
  const strips = loads.flatMap((load) =>
    load.strips.map((strip, index): Allocation => {
      const { film, used } = strip;
      const offcut = strip.offcut === null ? undefined : offcutsOf(supply, film).find((o) => o.id === strip.offcut);
      const wanted = { film, length: used.along, width: used.across, turns: !isDirectional(strip, blocks, supply) };
      const from = offcut
        ? shelf.fromOffcut(wanted, offcut, strip.to - strip.from)
        : (shelf.fromRest(wanted) ?? shelf.fromLot(wanted) ?? shelf.fromNowhere(wanted));
      return { film, load: load.number, strip: index, ...from };
    }),
  );
  const middles = loads.flatMap((load) =>
    load.strips.flatMap((strip) => ringMiddles(strip, blocks, strips, load.number)),
  );
  return { strips, films: shelf.films(), born: [...shelf.leftovers(), ...middles] };
}

/** The table that film is cut on: what is taken off the shelf, what is left of it, and what that comes to. */
class CuttingTable {
  readonly #supply: Supply;
  readonly #left: Map<string, StockFilm>;
  readonly #sums = new Map<
    string,
    { area: number; cost: number | null; rollMm: number; sheets: number; short: number }
  >();
  #rests: Rest[] = [];

  constructor(supply: Supply) {
    this.#supply = supply;
    this.#left = new Map(supply.films.map((lot) => [lot.id, lot]));
  }

  /** A whole offcut lies on the board; what is not taken of it is cut off again. */
  fromOffcut({ film, length, width }: Wanted, offcut: Offcut, along: number): From {
    const { id, lengthMm, widthMm, outline } = offcut;
    const price = pricePerMm2(offcut);
    this.#pay(film, outline ? Math.abs(ringArea(offcutRing(offcut))) : lengthMm * widthMm, price);
    // It may lie turned on the board.
    const [long, wide] = Math.ceil(lengthMm) === along ? [lengthMm, widthMm] : [widthMm, lengthMm];
    if (!outline) this.#keepRests(film, [long, wide], [length, width], id, price);
    return { from: { kind: 'offcut', id }, lengthMm, widthMm };
  }

  /** The smallest rest of what is cut already that holds it. */
  fromRest(wanted: Wanted): From | null {
    const [rest] = this.#rests
      .filter((one) => one.film === wanted.film && lying(wanted, one.length, one.width) !== null)
      .sort((a, b) => a.length * a.width - b.length * b.width);
    if (!rest) return null;
    this.#rests = this.#rests.filter((one) => one !== rest);
    this.#pay(wanted.film, rest.length * rest.width, rest.price);
    this.#keepRests(
      wanted.film,
      [rest.length, rest.width],
      lying(wanted, rest.length, rest.width)!,
      rest.of,
      rest.price,
    );
    return { from: { kind: 'rest', id: rest.of }, lengthMm: wanted.length, widthMm: wanted.width };
  }

  /** Off a roll or a sheet, what was bought first. */
  fromLot(wanted: Wanted): From | null {
    for (const { id } of lotsOf(this.#supply, wanted.film)) {
      const lot = this.#left.get(id)!;
      const from =
        lot.count === 0 ? null : lot.form === 'roll' ? this.#offRoll(wanted, lot) : this.#offSheet(wanted, lot);
      if (from) return from;
    }
    return null;
  }

  /** There is none, or none is known. */
  fromNowhere({ film, length, width }: Wanted): From {
    if (this.#supply.films.some((lot) => lot.film.id === film)) this.#sum(film).short += 1;
    this.#pay(film, length * width, null);
    return { from: { kind: 'unknown' }, lengthMm: length, widthMm: width };
  }

  films(): FilmUse[] {
    return [...this.#sums].map(([film, { area, ...rest }]) => ({ film, areaMm2: area, ...rest }));
  }

  leftovers(): Leftover[] {
    return this.#rests.map(({ film, length, width, of }) => ({
      film,
      lengthMm: Math.max(length, width),
      widthMm: Math.min(length, width),
      outline: null,
      of,
    }));
  }

  /** Straight or turned: whichever takes less off the roll. */
  #offRoll({ film, length, width, turns }: Wanted, lot: StockFilm): From | null {
    const ways: [number, number][] = turns ? [[length, width], [width, length]] : [[length, width]]; // prettier-ignore
    const [way] = ways.filter(([l, w]) => w <= lot.widthMm && l <= lot.lengthMm).sort((a, b) => a[0] - b[0]);
    if (!way) return null;
    const [l, w] = way;
    const price = pricePerMm2(lot);
    this.#left.set(lot.id, { ...lot, lengthMm: lot.lengthMm - l });
    this.#sum(film).rollMm += l;
    this.#pay(film, l * lot.widthMm, price);
    this.#keep(film, l, lot.widthMm - w, lot.id, price);
    return { from: { kind: 'roll', id: lot.id }, lengthMm: l, widthMm: w };
  }

  #offSheet(wanted: Wanted, lot: StockFilm): From | null {
    const way = lying(wanted, lot.lengthMm, lot.widthMm);
    if (!way) return null;
    const price = pricePerMm2(lot);
    this.#left.set(lot.id, { ...lot, count: lot.count - 1 });
    this.#sum(wanted.film).sheets += 1;
    this.#pay(wanted.film, lot.lengthMm * lot.widthMm, price);
    this.#keepRests(wanted.film, [lot.lengthMm, lot.widthMm], way, lot.id, price);
    return { from: { kind: 'sheet', id: lot.id }, lengthMm: way[0], widthMm: way[1] };
  }

  #keepRests(
    film: string,
    [long, wide]: [number, number],
    [l, w]: [number, number],
    of: string | null,
    price: number | null,
  ): void {
    for (const [length, width] of restsOf(long, wide, l, w)) this.#keep(film, length, width, of, price);
  }

  #keep(film: string, length: number, width: number, of: string | null, price: number | null): void {
    if (!isWorthKeeping(length, width)) return;
    this.#rests.push({ film, length, width, of, price });
    this.#pay(film, -length * width, price);
  }

  #pay(film: string, area: number, price: number | null): void {
    const sum = this.#sum(film);
    sum.area += area;
    sum.cost = sum.cost === null || price === null ? null : sum.cost + area * price;
  }

  #sum(film: string): { area: number; cost: number | null; rollMm: number; sheets: number; short: number } {
    const known = this.#sums.get(film) ?? { area: 0, cost: 0, rollMm: 0, sheets: 0, short: 0 };
    this.#sums.set(film, known);
    return known;
  }
}

/** How a strip lies on a rectangle that holds it, straight if it can; null when it does not fit. */
function lying({ length, width, turns }: Wanted, long: number, wide: number): [number, number] | null {
  if (length <= long && width <= wide) return [length, width];
  return turns && width <= long && length <= wide ? [width, length] : null;
}

const isDirectional = ({ film }: Strip, blocks: readonly FilmBlock[], supply: Supply): boolean =>
  blocks.some((block) => block.film === film && block.directional) ||
  supply.films.some((lot) => lot.film.id === film && lot.directional);

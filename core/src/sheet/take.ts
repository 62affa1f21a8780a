import type { Film } from '../artwork/film.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringArea } from '../polygon/polygon.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import type { FilmBlock, LoadPlan, Strip } from './load.ts';
import { boxOnBoard } from './load.ts';
import type { Offcut, StockFilm, Supply } from './stock.ts';
import { lotsOf, offcutsOf, pricePerMm2 } from './stock.ts';

/** A leftover that is worth keeping: a rectangle, or what lies inside a ring. */
export interface Leftover {
  readonly film: string;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly outline: readonly number[] | null;
  /** Film on the shelf, or offcut, that it was cut from; null when that is not known. */
  readonly of: string | null;
}

/** Where the film of one strip comes from. */
export interface Taking {
  readonly film: string;
  readonly load: number;
  /** Which strip of the load, from 0. */
  readonly strip: number;
  readonly from:
    | { readonly kind: 'roll' | 'sheet' | 'offcut'; readonly id: string }
    /** The rest of what is taken for an earlier strip. */
    | { readonly kind: 'rest'; readonly id: string | null }
    | { readonly kind: 'unknown' };
  /** mm to cut off: along the roll, or of the sheet; and across. */
  readonly lengthMm: number;
  readonly widthMm: number;
}

/** What a plan takes off the shelf, film by film. */
export interface FilmTaken {
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
export interface Takings {
  readonly strips: readonly Taking[];
  readonly films: readonly FilmTaken[];
  readonly born: readonly Leftover[];
}

/** mm and mm². Smaller leftovers are not worth their place in the box. */
const [SMALLEST_SIDE_MM, SMALLEST_MM2] = [30, 2500];
/** mm by which what is kept of the inside of a ring stays clear of it. */
const RING_CLEAR_MM = 1;

interface Rest {
  readonly film: string;
  readonly length: number;
  readonly width: number;
  readonly of: string | null;
  readonly price: number | null;
}

/**
 * Where the film of every strip is cut off: the rest of what is taken already first, then what was bought first; off a roll
 * so that least of its length goes, off a sheet so that the largest rest stays.
 *
 * @param plan loads
 * @param supply what lies on the shelf
 * @param blocks parts as they were laid, for what can be kept of the inside of rings
 */
export function takeOff({ loads }: Pick<LoadPlan, 'loads'>, supply: Supply, blocks: readonly FilmBlock[]): Takings {
  const left = new Map(supply.films.map((lot) => [lot.id, { ...lot }]));
  let rests: Rest[] = [];
  const strips: Taking[] = [];
  const films = new Map<string, { area: number; cost: number | null; rollMm: number; sheets: number; short: number }>();
  const of = (film: string): { area: number; cost: number | null; rollMm: number; sheets: number; short: number } => {
    const known = films.get(film) ?? { area: 0, cost: 0, rollMm: 0, sheets: 0, short: 0 };
    films.set(film, known);
    return known;
  };
  const pay = (film: string, area: number, price: number | null): void => {
    const sum = of(film);
    sum.area += area;
    sum.cost = sum.cost === null || price === null ? null : sum.cost + area * price;
  };
  const keep = (film: string, length: number, width: number, id: string | null, price: number | null): void => {
    if (!isWorthKeeping(length, width)) return;
    rests.push({ film, length, width, of: id, price });
    pay(film, -length * width, price);
  };
  for (const load of loads)
    load.strips.forEach((strip, index) => {
      const { film } = strip;
      const told = (from: Taking['from'], lengthMm: number, widthMm: number): void => {
        strips.push({ film, load: load.number, strip: index, from, lengthMm, widthMm });
      };
      const offcut = strip.offcut === null ? undefined : offcutsOf(supply, film).find((o) => o.id === strip.offcut);
      const [length, width] = [strip.used.along, strip.used.across];
      if (offcut) {
        const price = pricePerMm2(offcut);
        pay(film, Math.abs(ringAreaOf(offcut)), price);
        // It may lie turned on the board.
        const turned = Math.ceil(offcut.lengthMm) !== strip.to - strip.from;
        const [long, wide] = turned ? [offcut.widthMm, offcut.lengthMm] : [offcut.lengthMm, offcut.widthMm];
        if (!offcut.outline)
          for (const [l, w] of restsOf(long, wide, length, width)) keep(film, l, w, offcut.id, price);
        told({ kind: 'offcut', id: offcut.id }, offcut.lengthMm, offcut.widthMm);
        return;
      }
      const turns = !isDirectional(strip, blocks, supply);
      const fits = (l: number, w: number): boolean =>
        (length <= l && width <= w) || (turns && width <= l && length <= w);
      const [rest] = rests
        .filter((one) => one.film === film && fits(one.length, one.width))
        .sort((a, b) => a.length * a.width - b.length * b.width);
      if (rest) {
        rests = rests.filter((one) => one !== rest);
        pay(film, rest.length * rest.width, rest.price);
        const [l, w] = length <= rest.length && width <= rest.width ? [length, width] : [width, length];
        for (const [restL, restW] of restsOf(rest.length, rest.width, l, w))
          keep(film, restL, restW, rest.of, rest.price);
        told({ kind: 'rest', id: rest.of }, length, width);
        return;
      }
      for (const known of lotsOf(supply, film)) {
        const lot = left.get(known.id)!;
        const price = pricePerMm2(known);
        if (lot.form === 'roll') {
          // Straight or turned: whichever takes less off the roll.
          const ways = [[length, width], ...(turns ? [[width, length]] : [])] as [number, number][];
          const [way] = ways.filter(([l, w]) => w <= lot.widthMm && l <= lot.lengthMm).sort((a, b) => a[0] - b[0]);
          if (!way || lot.count === 0) continue;
          const [l, w] = way;
          left.set(lot.id, { ...lot, lengthMm: lot.lengthMm - l });
          of(film).rollMm += l;
          pay(film, l * lot.widthMm, price);
          keep(film, l, lot.widthMm - w, lot.id, price);
          told({ kind: 'roll', id: lot.id }, l, w);
          return;
        }
        if (lot.count < 1 || !fits(lot.lengthMm, lot.widthMm)) continue;
        left.set(lot.id, { ...lot, count: lot.count - 1 });
        of(film).sheets += 1;
        pay(film, lot.lengthMm * lot.widthMm, price);
        const [l, w] = length <= lot.lengthMm && width <= lot.widthMm ? [length, width] : [width, length];
        for (const [restL, restW] of restsOf(lot.lengthMm, lot.widthMm, l, w)) keep(film, restL, restW, lot.id, price);
        told({ kind: 'sheet', id: lot.id }, l, w);
        return;
      }
      if (lotsOf(supply, film).length > 0 || supply.films.some((lot) => lot.film.id === film)) of(film).short += 1;
      pay(film, length * width, null);
      told({ kind: 'unknown' }, length, width);
    });
  const born: Leftover[] = rests.map(({ film, length, width, of: id }) => ({
    film,
    lengthMm: Math.max(length, width),
    widthMm: Math.min(length, width),
    outline: null,
    of: id,
  }));
  for (const load of loads)
    for (const strip of load.strips) born.push(...ringMiddles(strip, blocks, strips, load.number));
  return {
    strips,
    born,
    films: [...films].map(([film, { area, cost, rollMm, sheets, short }]) => ({
      film,
      areaMm2: area,
      cost,
      rollMm,
      sheets,
      short,
    })),
  };
}

const isWorthKeeping = (length: number, width: number): boolean =>
  Math.min(length, width) >= SMALLEST_SIDE_MM && length * width >= SMALLEST_MM2;

const ringAreaOf = ({ outline, lengthMm, widthMm }: Offcut): number =>
  outline ? ringArea(Float64Array.from(outline)) : lengthMm * widthMm;

const isDirectional = ({ film }: Strip, blocks: readonly FilmBlock[], supply: Supply): boolean =>
  blocks.some((block) => block.film === film && block.directional) ||
  supply.films.some((lot) => lot.film.id === film && lot.directional);

/** What stays of a rectangle when another is cut from its corner by straight cuts: the way that leaves the largest. */
function restsOf(length: number, width: number, l: number, w: number): [number, number][] {
  const ways: [number, number][][] = [
    [[length - l, width], [l, width - w]], // prettier-ignore
    [[length, width - w], [length - l, w]], // prettier-ignore
  ];
  const largest = (way: [number, number][]): number => Math.max(...way.map(([a, b]) => a * b));
  return largest(ways[0]!) >= largest(ways[1]!) ? ways[0]! : ways[1]!;
}

/** What lies inside of rings and is large enough to be kept, by its true outline; nothing else may be cut from it. */
function ringMiddles(strip: Strip, blocks: readonly FilmBlock[], taken: readonly Taking[], load: number): Leftover[] {
  const laid = strip.parts.flatMap((one) => {
    const block = blocks.find((b) => b.film === strip.film && b.part === one.part);
    return block ? [{ one, block, box: boxOnBoard(block, one.matrix) }] : [];
  });
  const source = taken.find((t) => t.load === load && t.film === strip.film);
  const of = source && 'id' in source.from ? source.from.id : null;
  return laid.flatMap(({ block }, i) =>
    (block.rings ?? []).flatMap((ring): Leftover[] => {
      // Outer rings run counter-clockwise, holes clockwise.
      if (ringArea(ring) > -SMALLEST_MM2) return [];
      const inner = boxOfCoordinates(ring);
      const [one] = laid.slice(i, i + 1);
      const [a, b, c, d, e, f] = one!.one.matrix;
      const onBoard = boxOfCoordinates(ring.map((_, k) => (k % 2 === 0 ? a * ring[k]! + c * ring[k + 1]! + e : b * ring[k - 1]! + d * ring[k]! + f))); // prettier-ignore
      const busy = laid.some(
        ({ box }, k) =>
          k !== i &&
          box.minX < onBoard.maxX &&
          box.maxX > onBoard.minX &&
          box.minY < onBoard.maxY &&
          box.maxY > onBoard.minY,
      );
      // Pieces of the same part may lie inside as well.
      const filled = (block.rings ?? []).some(
        (other) => other !== ring && ringArea(other) > 0 && isInside(other, ring),
      );
      const [wide, high] = [inner.maxX - inner.minX - 2 * RING_CLEAR_MM, inner.maxY - inner.minY - 2 * RING_CLEAR_MM];
      if (busy || filled || !isWorthKeeping(wide, high)) return [];
      const middle = [(inner.minX + inner.maxX) / 2, (inner.minY + inner.maxY) / 2];
      // Drawn in towards its middle: by at least the clearance for what bulges out everywhere.
      const outline = [...ring].map((v, k) => {
        const half = k % 2 === 0 ? wide / 2 : high / 2;
        const before = half + RING_CLEAR_MM;
        return Number((half + ((v - middle[k % 2]!) * half) / before).toFixed(2));
      });
      return [{ film: strip.film, lengthMm: wide, widthMm: high, outline, of }];
    }),
  );
}

function isInside(ring: Ring, of: Ring): boolean {
  const [x, y] = [ring[0]!, ring[1]!];
  let inside = false;
  for (let i = 0, j = of.length - 2; i < of.length; j = i, i += 2)
    if (
      of[i + 1]! > y !== of[j + 1]! > y &&
      x < ((of[j]! - of[i]!) * (y - of[i + 1]!)) / (of[j + 1]! - of[i + 1]!) + of[i]!
    )
      inside = !inside;
  return inside;
}

/** What a film is short of, when one lot is not enough. */
export const shortOf = ({ films }: Takings): readonly FilmTaken[] => films.filter(({ short }) => short > 0);

/** The price of film that is new, by any lot of it; null when none is known. */
export const filmPrice = (lots: readonly StockFilm[], film: Film): number | null =>
  lots
    .filter((lot) => lot.film.id === film.id)
    .map(pricePerMm2)
    .find((price) => price !== null) ?? null;

import type { Board } from '../model/board.ts';
import type { KeptFilm, Lot, PartOnBoard } from '../model/laid.ts';
import type { Offcut, Supply } from '../model/stock.ts';
import { seeded } from '../numeric/seeded.ts';
import { EPSILON, EPSILON_MM } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxHeight, boxOfCoordinates, boxWidth } from '../plane/box.ts';
import type { FilmBlock } from './blocks.ts';
import type { LotStep, Room } from './lot.ts';
import { BLADE_MARGIN_MM, isOfBoxes, lotsOfFilm } from './lot.ts';
import { NO_STOCK, offcutsOf } from './supply.ts';

/**
 * A strip of film on the board, with all that is cut from it. The board frame has x along the feed and y across it, both
 * from the board's corner, mm.
 */
export interface Strip {
  readonly film: string;
  /** It covers the board from here to here along the feed, whole mm. */
  readonly from: number;
  readonly to: number;
  /** How far it reaches across the board from its margin, whole mm. */
  readonly across: number;
  /** The offcut that it is; null when it is cut to size. */
  readonly offcut: string | null;
  /** Its outline where it is no rectangle, x and y in mm from its corner. */
  readonly outline: readonly number[] | null;
  /** mm of it that are taken, along and across; the rest of an offcut stays one. */
  readonly used: { readonly along: number; readonly across: number };
  readonly parts: readonly PartOnBoard[];
}

/** A strip with everything on it mirrored within its own film, which stays where it lies: for the inside of glass. */
export function mirroredStrip(strip: Strip, { marginMm }: Board): Strip {
  const across = 2 * marginMm + strip.across;
  const parts = strip.parts.map((one): PartOnBoard => {
    const [a, b, c, d, e, f] = one.matrix;
    return { ...one, matrix: [a, -b, c, -d, e, across - f] };
  });
  return { ...strip, parts };
}

/** One trip through the cutter. */
export interface Load {
  readonly number: number;
  readonly strips: readonly Strip[];
}

/** Loads in order, and films that do not fit the board either way round. */
export interface LoadPlan {
  readonly board: Board;
  readonly loads: readonly Load[];
  readonly tooLarge: readonly { readonly film: string; readonly longMm: number; readonly shortMm: number }[];
}

/** A plan that can be made better, and what it is kept by. */
export interface PlanStep {
  readonly plan: LoadPlan;
  readonly kept: readonly KeptFilm[];
}

/** Searches for a film of so many parts: all of it is done before a picture is shown. */
const searchesFor = (parts: number): number => (parts > 12 ? 1 : 2);
/** Of so many parts only the first plan is looked at. */
const MANY_PARTS = 21;
/** Orders of films that are tried to fill up boards that are begun: at first, and while one asks for better plans. */
const [FIRST_ORDERS, MORE_ORDERS] = [6, 60];
/** mm along a board under which nothing is begun on what is left of it. */
const LEAST_REST_MM = 20;

/**
 * Lays each film's parts on boards as strips side by side, in the order of the stack. A film of one part lies turned a
 * quarter where that takes less of the board's length; several parts are nested in their true shapes on one strip, or on as
 * few loads as they take. Offcuts that hold it come first.
 *
 * @param blocks parts, those of a film one after the other or not
 * @param board what the cutter takes
 * @param supply what film there is
 * @param kept how films were laid before; used as far as it was for the same
 * @returns loads with whole-millimetre from–to marks; what fits no board either way is listed, never dropped silently
 */
export function planLoads(
  blocks: readonly FilmBlock[],
  board: Board,
  supply: Supply = NO_STOCK,
  kept: readonly KeptFilm[] = [],
): LoadPlan {
  return arrange(laidFilms(blocks, { board, supply, kept }), board);
}

/** A film with how it is laid. */
type LaidFilm = { readonly own: readonly FilmBlock[] } & LotStep;

/** What films are laid by. */
interface Laying {
  readonly board: Board;
  readonly supply: Supply;
  readonly kept: readonly KeptFilm[];
}

/**
 * Every film laid by itself; where that takes more loads than their length asks for, films begin on what others left of
 * their boards, if that takes fewer.
 */
function laidFilms(blocks: readonly FilmBlock[], laying: Laying): readonly LaidFilm[] {
  const films = filmsOf(blocks);
  let best: readonly LaidFilm[] = films.map((own) => keptAs(own, laying) ?? { own, ...firstLots(own, laying, []) });
  const isFull = (): boolean => loadsOf(best, laying) <= loadsAsked(best, laying);
  if (isFull()) return best;
  let orders = 0;
  for (const filled of fillings(best, laying, 1, 1)) {
    if (!filled) continue;
    if (loadsOf(filled, laying) < loadsOf(best, laying)) best = filled;
    if (++orders >= FIRST_ORDERS || isFull()) break;
  }
  return best;
}

const keptAs = (own: readonly FilmBlock[], { board, supply, kept }: Laying): LaidFilm | null => {
  const known = keptFor(own, board, supply, kept);
  return known && { own, lots: known.lots, left: [] };
};

/** A film as it is laid at once, on what is left of boards first. @param rests mm along boards that are begun */
function firstLots(
  own: readonly FilmBlock[],
  { board, supply }: Laying,
  rests: readonly number[],
  seed = 1,
  times = 1,
): LotStep {
  let best: LotStep = { lots: [], left: own };
  const options = { gapMm: board.gapMm, searches: times * searchesFor(own.length), seed };
  for (const step of lotsOfFilm(own, { ...roomFor(own, board, supply), rests }, options)) {
    best = step ?? best;
    if (step && own.length >= MANY_PARTS && !isOfBoxes(own)) break;
  }
  return best;
}

const loadsOf = (films: readonly LaidFilm[], { board }: Laying): number => arrange(films, board).loads.length;

/** Loads that the length of all strips asks for at least. */
function loadsAsked(films: readonly LaidFilm[], { board }: Laying): number {
  const room = board.lengthMm - 2 * board.marginMm + board.gapMm;
  return Math.ceil(alongOf(films).reduce((sum, mm) => sum + mm + board.gapMm, 0) / room - EPSILON);
}

const alongOf = (films: readonly LaidFilm[]): number[] => films.flatMap(({ lots }) => lots.map((lot) => lot.along));

/**
 * The same films laid one after the other in one order after the other, each beginning on what is left of the boards so far.
 * What was put where it lies, and what is one part, stays. In shapes that are no boxes one order takes its time: only the
 * first is tried.
 *
 * @param times how much is searched for each film of boxes
 */
function* fillings(
  apart: readonly LaidFilm[],
  laying: Laying,
  seed: number,
  times: number,
): Generator<readonly LaidFilm[] | null, void> {
  const { board } = laying;
  const stays = (film: LaidFilm): boolean => film.own.length === 1 || keptAs(film.own, laying) !== null;
  if (board.alone || apart.every(stays)) return;
  const random = seeded(seed);
  const room = board.lengthMm - 2 * board.marginMm;
  const moving = apart.filter((film) => !stays(film));
  const quick = moving.every(({ own }) => isOfBoxes(own));
  const orders = quick ? MORE_ORDERS : 1;
  for (let round = 0; round < orders; round++) {
    const order = round === 0 ? moving : shuffled(moving, random);
    const laid = new Map<LaidFilm, LaidFilm>(apart.filter(stays).map((film) => [film, film]));
    for (const film of order) {
      const lengths = alongOf([...laid.values()]);
      const rests = sharedOut(lengths, board)
        .map((load) => Math.floor(room - load.reduce((sum, at) => sum + lengths[at]! + board.gapMm, 0)))
        .filter((mm) => mm >= LEAST_REST_MM)
        .sort((a, b) => b - a);
      laid.set(film, { own: film.own, ...firstLots(film.own, laying, rests, seed + round, quick ? times : 1) });
      yield null;
    }
    yield apart.map((film) => laid.get(film)!);
  }
}

function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const keys = new Map(list.map((one) => [one, random()]));
  return [...list].sort((a, b) => keys.get(a)! - keys.get(b)!);
}

/**
 * The same plan, improved step by step for as long as the caller keeps asking.
 *
 * @param seed another one looks elsewhere
 * @returns yields a plan whenever it is better than the last, and `null` whenever one may stop in between; ends by itself
 *   when nothing is left to try
 */
export function* betterLoads(
  blocks: readonly FilmBlock[],
  board: Board,
  supply: Supply,
  kept: readonly KeptFilm[],
  seed: number,
): Generator<PlanStep | null, void> {
  const laying = { board, supply, kept };
  let best = laidFilms(blocks, laying);
  const told = (): PlanStep => ({
    plan: arrange(best, board),
    kept: best.map(({ own, lots }) => ({ film: own[0]!.film, of: signOf(own, board, supply), lots })),
  });
  yield told();
  const take = (films: readonly LaidFilm[]): PlanStep | null => {
    if (worthOfFilms(films, board) >= worthOfFilms(best, board) - EPSILON_MM) return null;
    best = films;
    return told();
  };
  for (const filled of fillings(best, laying, seed, 3)) {
    if (loadsOf(best, laying) <= loadsAsked(best, laying)) break;
    yield filled && take(filled);
  }
  const searches = best.map(({ own, lots }) =>
    own.length > 1 ? lotsOfFilm(own, roomFor(own, board, supply), { gapMm: board.gapMm, seed, like: lots }) : null,
  );
  for (let going = true; going;) {
    going = false;
    for (const [i, steps] of searches.entries()) {
      const step = steps?.next();
      if (!step || step.done) continue;
      going = true;
      yield step.value && take(best.map((film, k) => (k === i ? { own: film.own, ...step.value! } : film)));
    }
  }
}

/** Fewest parts left out, then fewest loads, then fewest newly cut strips, then least total length. */
const worthOfFilms = (films: readonly LaidFilm[], board: Board): number =>
  1e7 * arrange(films, board).loads.length + films.reduce((sum, film) => sum + lengthOf(film), 0);

/** Of one film: fewest parts left out, then fewest newly cut strips, then least total length. */
const lengthOf = ({ lots, left }: LotStep): number =>
  1e9 * left.length + lots.reduce((sum, lot) => sum + (lot.offcut === null ? 1e5 : 0) + lot.used.along, 0);

const filmsOf = (blocks: readonly FilmBlock[]): FilmBlock[][] =>
  [...new Set(blocks.map((block) => block.film))].map((film) => blocks.filter((block) => block.film === film));

/** What of a film there is: its offcuts, and how large a strip of it may be. */
function roomFor(own: readonly FilmBlock[], board: Board, supply: Supply): Room {
  const film = own[0]!.film;
  const [along, across] = [board.lengthMm - 2 * board.marginMm, board.widthMm - 2 * board.marginMm];
  // As it is bought: what is short of it is another matter.
  const lots = supply.films.filter((lot) => lot.film.id === film);
  const most = (of: 'boughtLengthMm' | 'widthMm'): number => Math.max(0, ...lots.map((lot) => lot[of])) || Infinity;
  return {
    along: Math.min(along, Math.floor(most('boughtLengthMm'))),
    across: Math.min(across, Math.floor(most('widthMm'))),
    offcuts: offcutsOf(supply, film)
      .map((offcut) => (own[0]!.directional ? offcut : lyingShort(offcut, across)))
      .filter((o) => Math.ceil(o.lengthMm) <= along && Math.ceil(o.widthMm) <= across),
  };
}

/** An offcut as it takes least of the board's length. */
function lyingShort(offcut: Offcut, across: number): Offcut {
  const { widthMm, lengthMm, outline } = offcut;
  const turned = outline === null && lengthMm > widthMm && Math.ceil(lengthMm) <= across;
  return turned ? { ...offcut, widthMm: lengthMm, lengthMm: widthMm } : offcut;
}

function keptFor(own: readonly FilmBlock[], board: Board, supply: Supply, kept: readonly KeptFilm[]): KeptFilm | null {
  const known = kept.find(({ film }) => film === own[0]!.film);
  if (!known || known.of !== signOf(own, board, supply)) return null;
  const there = new Set(offcutsOf(supply, known.film).map(({ id }) => id));
  return known.lots.every((lot) => lot.offcut === null || there.has(lot.offcut)) ? known : null;
}

/** What a way to lay a film hangs on: its parts by their sizes and outlines, and what they lie on. */
export function signOf(own: readonly FilmBlock[], board: Board, supply: Supply): string {
  const { along, across } = roomFor(own, board, supply);
  const parts = own.map(({ part, box, rings, directional }) => {
    const sum = (rings ?? []).reduce((total, ring) => total + ring.reduce((s, v, i) => s + v * ((i % 7) + 1), 0), 0);
    const sizes = [boxWidth(box), boxHeight(box), sum, rings?.length ?? 0];
    return `${part}:${sizes.map((v) => v.toFixed(1)).join(',')}${directional ? 'd' : ''}`;
  });
  return `${along}x${across}/${board.gapMm}/${board.marginMm}|${parts.join('|')}`;
}

function arrange(
  films: readonly { own: readonly FilmBlock[]; lots: readonly Lot[]; left: readonly FilmBlock[] }[],
  board: Board,
): LoadPlan {
  const tooLarge: LoadPlan['tooLarge'][number][] = [];
  for (const { own, left } of films)
    for (const block of left) {
      const sizes = [Math.ceil(boxWidth(block.box)), Math.ceil(boxHeight(block.box))].map(
        (mm) => mm + 2 * BLADE_MARGIN_MM,
      );
      tooLarge.push({ film: own[0]!.film, longMm: Math.max(...sizes), shortMm: Math.min(...sizes) });
    }
  const lots = films.flatMap(({ own, lots: cut }) => cut.map((lot) => ({ film: own[0]!.film, lot })));
  const loads = sharedOut(
    lots.map(({ lot }) => lot.along),
    board,
  ).map((places, i): Load => {
    let end = board.marginMm - board.gapMm;
    const strips = places.map((place): Strip => {
      const { film, lot } = lots[place]!;
      const from = end + board.gapMm;
      end = from + lot.along;
      const parts = lot.parts.map((one): PartOnBoard => {
        const [a, b, c, d, e, f] = one.matrix;
        return { ...one, matrix: [a, b, c, d, e + from, f + board.marginMm] };
      });
      const { across, offcut, outline, used } = lot;
      return { film, from, to: end, across, offcut, outline, used, parts };
    });
    return { number: i + 1, strips };
  });
  return { board, loads, tooLarge };
}

/**
 * Shares strips out over loads: one after the other, or, where that saves a load, the longest first into the first load that
 * still has room for it. Strips keep their order within a load, and so do loads by their first strips.
 *
 * @param lengths of the strips along the board, mm
 * @returns for each load the places of its strips
 */
export function sharedOut(lengths: readonly number[], board: Board): number[][] {
  if (board.alone) return lengths.map((_, i) => [i]);
  const room = board.lengthMm - 2 * board.marginMm;
  const used = (load: readonly number[]): number =>
    load.reduce((sum, i) => sum + lengths[i]!, 0) + board.gapMm * Math.max(0, load.length - 1);
  const fits = (load: readonly number[], i: number): boolean =>
    load.length === 0 || used(load) + board.gapMm + lengths[i]! <= room + EPSILON;
  const inTurn: number[][] = [];
  const packed: number[][] = [];
  const put = (loads: number[][], load: number[] | undefined, i: number): void => {
    if (load && fits(load, i)) load.push(i);
    else loads.push([i]);
  };
  lengths.forEach((_, i) => put(inTurn, inTurn.at(-1), i));
  const longestFirst = lengths.map((_, i) => i).sort((a, b) => lengths[b]! - lengths[a]! || a - b);
  for (const i of longestFirst) put(packed, packed.find((load) => fits(load, i)), i); // prettier-ignore
  if (packed.length >= inTurn.length) return inTurn;
  return packed.map((load) => load.sort((a, b) => a - b)).sort((a, b) => a[0]! - b[0]!);
}

/** Box of a part where its matrix puts it. */
export function boxOnBoard({ box, rings }: FilmBlock, [a, b, c, d, e, f]: PartOnBoard['matrix']): Box {
  const corners = [box.minX, box.minY, box.maxX, box.minY, box.maxX, box.maxY, box.minX, box.maxY];
  // Quarters and mirrors only: the box of the outlines is the outline of the box.
  const points = rings && rings.length === 0 ? [] : corners;
  const moved: number[] = [];
  for (let i = 0; i < points.length; i += 2)
    moved.push(a * points[i]! + c * points[i + 1]! + e, b * points[i]! + d * points[i + 1]! + f);
  return boxOfCoordinates(moved);
}

import type { EvenSlits, Looked, LookedOrder, WayToLay } from '../model/looked.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import { nearestOnRing } from '../plane/nearest-on-ring.ts';
import { simplifyRing } from '../plane/simplify.ts';
import { middleOf, withSlits } from '../pieces/even-slits.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { polygonArea } from '../polygon/polygon.ts';
import { type Begun, type Laid, layInOrder, type LayNews, type LayOrder, usualOrders } from './lay.ts';
import type { FilmGives } from './membrane.ts';
import { meshOf, meshOnTape, type Sheet } from './sheet.ts';
import { isOnTape, type OnTape } from './taped.ts';
import type { TurnedSide } from './side.ts';
import { type LaidMap, mapOf } from './tents.ts';

/** What a piece is laid on, and what its film gives. */
export interface LaidOn {
  readonly side: TurnedSide;
  readonly gives: FilmGives;
  /** mm down the side at which the middle of the piece comes to lie, and rad round. */
  readonly slant: number;
  readonly azimuth?: number;
  /** mm; the spot of its flat that comes to lie there; left out, the middle of its box. */
  readonly flat?: readonly [x: number, y: number];
  /** rad by which its flat is turned against upright there. */
  readonly askew?: number;
  /** Fraction by which it is pulled, evenly, as it is laid; left out, it is laid as it comes. */
  readonly pulled?: number;
  /** Share of the steps after which its hair slits are opened; left out, they are open. */
  readonly opens?: number;
}

/** A piece as it came to lie in one order. */
export interface Tried {
  readonly order: LayOrder;
  /** Fraction by which it was pulled. */
  readonly pulled: number;
  readonly laid: Laid;
  readonly map: LaidMap;
}

/** Steps in which a piece is laid. */
export const STEPS = 12;
/** How finely a piece is meshed, as a share of its smaller breadth: at first, for what is tried often, and at last. */
const [COARSE, OFTEN, FINE] = [6, 10, 14] as const;
/** Share of what a film may be pulled that careful hands pull it by. */
const PULLED = 0.97;
/** About how many points a piece is given at most. */
const MOST_POINTS = 1200;
/** How near the largest size is found, as a share of it. */
const NEAR = 0.01;
/** Steps in which a size comes down that does not hold in a fine mesh. */
const SMALLER = 0.96;
/** Fewest and most slits that are tried, and how deep, as shares of the way to the middle. */
const [FEWEST, MOST] = [2, 24];
const DEPTHS = [0.5, 0.7, 0.85] as const;
/** Share of an edge of the mesh by which an outline may be straightened. */
const STRAIGHT = 0.04;
/** Tents that are told. */
const TOLD = 12;

/** Lays a sheet in an order, to its end. */
export function layWhole(sheet: Sheet, on: LaidOn, order: LayOrder): Tried {
  return toTheEnd(laying(sheet, on, order));
}

/** An order as it is followed there: with its slits opened when they are. */
export const followed = (order: LayOrder, { opens }: LaidOn): LayOrder =>
  opens === undefined ? order : { ...order, opens: Math.round(opens * order.steps) };

function* laying(sheet: Sheet, on: LaidOn, order: LayOrder): Generator<LayNews, Tried> {
  const { sheet: held, gives, pulled } = asPulled(sheet, on);
  const laid = yield* layInOrder(held, on.side, gives, begunOn(held, on), followed(order, on));
  return { order, pulled, laid, map: mapOf(sheet, laid.membrane, laid.at, undefined, pulled) };
}

/**
 * A sheet as hands hold it that pull it evenly: larger by so much, with so much less to be pulled and more to be pushed
 * before it slackens.
 */
export function asPulled(
  sheet: Sheet,
  { gives, pulled = 0 }: LaidOn,
): { readonly sheet: Sheet; readonly gives: FilmGives; readonly pulled: number } {
  // prettier-ignore
  if (pulled === 0) return { sheet, gives, pulled };
  const by = 1 + pulled;
  const left = <T extends FilmGives>(of: T): T => ({ ...of, stretch: of.stretch - pulled, squeeze: of.squeeze + pulled }); // prettier-ignore
  const tape = gives.tape && left(gives.tape);
  const warm = gives.warm && { ...gives.warm, ...left({ stretch: gives.warm.stretch, squeeze: gives.warm.squeeze }), at: (x: number, y: number) => gives.warm!.at(x / by, y / by) }; // prettier-ignore
  return {
    sheet: { ...sheet, flat: sheet.flat.map((v) => v * by) },
    gives: { ...left(gives), ...(tape && { tape }), ...(warm && { warm }) },
    pulled,
  };
}

/** The same, pulled as far as careful hands do. */
export const withCare = (on: LaidOn): LaidOn => ({ ...on, pulled: PULLED * on.gives.stretch });

function toTheEnd<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** The middle of a sheet goes where it is aimed. */
export function begunOn(
  { flat }: Pick<Sheet, 'flat'>,
  { slant, azimuth = 0, askew = 0, flat: spot, pulled = 0 }: LaidOn,
): Begun {
  // prettier-ignore
  if (spot) return { flat: [spot[0] * (1 + pulled), spot[1] * (1 + pulled)], azimuth, slant, askew };
  const { minX, maxX, minY, maxY } = boxOfCoordinates(flat);
  return { flat: [(minX + maxX) / 2, (minY + maxY) / 2], azimuth, slant, askew };
}

/** A piece, or several on their tape, as a mesh, and its edges, mm. @throws SheetProblem */
export const meshFor = (
  piece: Polygon | OnTape,
  how: 'coarse' | 'by hand' | 'fine',
): { readonly sheet: Sheet; readonly edge: number } => {
  const fineness = { coarse: COARSE, 'by hand': OFTEN, fine: FINE }[how];
  if (!isOnTape(piece)) return sheetOf(piece, fineness);
  const edge = edgeFor(piece.tape, fineness);
  const straight = ({ outer, holes }: Polygon): Polygon => ({ outer: simplifyRing(outer, STRAIGHT * edge), holes: holes.map((hole) => simplifyRing(hole, STRAIGHT * edge)) }); // prettier-ignore
  return { sheet: meshOnTape({ tape: piece.tape, films: piece.films.map(straight) }, edge), edge };
};

/** A sheet laid in each of the usual orders, the one that tents least first. */
export const bestOrders = (sheet: Sheet, on: LaidOn): Tried[] =>
  usualOrders(sheet, STEPS)
    .map((order) => layWhole(sheet, on, order))
    .sort(better);

/** mm. Tents that differ by less are as tall as each other. */
const AS_TALL = 0.005;
/** Which of two tents less: the tallest tent counts, then how much is too long. */
export const better = (a: Tried, b: Tried): number => {
  const taller = tallestOf(a.map) - tallestOf(b.map);
  return Math.abs(taller) > AS_TALL ? taller : a.map.excessMm2 - b.map.excessMm2;
};

/** mm that the tallest tent of a piece stands off. */
export const tallestOf = ({ tents }: LaidMap): number => tents[0]?.height ?? 0;

/** How fine a mesh a piece is given, mm. @param fineness edges across its smaller breadth */
function edgeFor(piece: Polygon, fineness: number): number {
  const { minX, maxX, minY, maxY } = boxOfCoordinates(piece.outer);
  // A triangle has 0.43 of its edge's square, and there are two of them to a point.
  const least = Math.sqrt(polygonArea(piece) / MOST_POINTS / 0.87);
  return Math.max(0.2, least, Math.min(maxX - minX, maxY - minY) / fineness);
}

/** A piece as a mesh, its outline no finer than that can tell. @throws SheetProblem */
function sheetOf(piece: Polygon, fineness: number): { sheet: Sheet; edge: number } {
  const edge = edgeFor(piece, fineness);
  const straight = (ring: Ring): Ring => simplifyRing(ring, STRAIGHT * edge);
  return {
    sheet: meshOf({ outer: straight(piece.outer), holes: piece.holes.map(straight) }, edge, 0, 'spanned'),
    edge,
  };
}

const scaled = ({ outer, holes }: Polygon, by: number): Polygon => ({
  outer: outer.map((v) => v * by),
  holes: holes.map((hole) => hole.map((v) => v * by)),
});

/**
 * The largest size at which a piece lies flat, laid from its middle.
 *
 * @param limitMm that its tallest tent may stand off
 * @returns the factor on its size, between `least` and `most`; `most` where it lies flat even then, null where it tents at
 *   `least` already
 */
export function largestFlat(piece: Polygon, on: LaidOn, limitMm: number, least = 0.1, most = 4): number | null {
  return toTheEnd(findLargest(piece, on, limitMm, least, most));
}

function* findLargest(
  piece: Polygon,
  on: LaidOn,
  limitMm: number,
  least: number,
  most: number,
): Generator<null, number | null> {
  // prettier-ignore
  const lies = (by: number, fineness: number = OFTEN): boolean => {
    const { sheet } = sheetOf(scaled(piece, by), fineness);
    return tallestOf(layWhole(sheet, on, usualOrders(sheet, STEPS)[0]!).map) <= limitMm;
  };
  if (!lies(least)) return null;
  if (lies(most) && lies(most, FINE)) return most;
  let [low, high] = [least, most];
  while (high - low > NEAR * low) {
    yield null;
    const middle = Math.sqrt(low * high);
    if (lies(middle)) low = middle;
    else high = middle;
  }
  // What a coarse look promises has to hold in a fine one.
  for (let by = low; by > least; by *= SMALLER) {
    yield null;
    if (lies(by, FINE)) return by;
  }
  return null;
}

/** Slits that take a piece's tents under a limit. */
export interface FoundSlits extends EvenSlits {
  /** mm from the edge inwards. */
  readonly depthMm: number;
  readonly piece: Polygon;
  readonly map: LaidMap;
}

/**
 * The fewest even slits from the edge of a piece towards its middle with which none of its tents stands off farther. They
 * begin where its edge is nearest to its middle, at an inner corner, or at its top.
 *
 * @param limitMm that its tallest tent may stand off
 * @returns null where even the most do not do
 */
export function fewestSlits(piece: Polygon, on: LaidOn, limitMm: number): FoundSlits | null {
  return toTheEnd(findSlits(piece, on, limitMm));
}

function* findSlits(piece: Polygon, on: LaidOn, limitMm: number): Generator<null, FoundSlits | null> {
  const tried = (slits: EvenSlits, fineness: number): FoundSlits | null => {
    const slit = withSlits(piece, slits);
    if (!slit) return null;
    const { sheet } = sheetOf(slit.piece, fineness);
    const { map } = layWhole(sheet, on, usualOrders(sheet, STEPS)[0]!);
    return tallestOf(map) <= limitMm ? { ...slits, depthMm: slit.depthMm, piece: slit.piece, map } : null;
  };
  const turns = [...new Set([innerTurn(piece), Math.PI / 2])];
  for (let count = FEWEST; count <= MOST; count++)
    for (const deep of DEPTHS)
      for (const turn of turns) {
        yield null;
        const slits = { count, deep, turn };
        // What a coarse look promises has to hold in a fine one.
        const found = tried(slits, OFTEN) && tried(slits, FINE);
        if (found) return found;
      }
  return null;
}

/** rad to the spot of the outline that is nearest to the middle. */
function innerTurn(piece: Polygon): number {
  const { x, y } = middleOf(piece);
  const near = nearestOnRing(piece.outer, x, y);
  return Math.atan2(near.y - y, near.x - x);
}

/** News while a piece is looked at: a first answer soon, then how far it is. */
export interface LookNews {
  readonly share: number;
  /** What is known so far; coarse until the last. */
  readonly look: Omit<Looked, 'of'> | null;
}

/**
 * Looks closely at a piece: lays it in the usual orders, coarsely and then finely, and where it tents looks for the largest
 * size that lies flat and for the fewest slits.
 *
 * @param limitMm that a tent may stand off and still count as lying flat
 * @throws SheetProblem
 */
export function* lookCloser(piece: Polygon, on: LaidOn, limitMm: number): Generator<LookNews, Omit<Looked, 'of'>> {
  const first = meshFor(piece, 'coarse');
  const told = ({ sheet, edge }: { sheet: Sheet; edge: number }, tried: readonly Tried[]): Omit<Looked, 'of'> => {
    const { flat } = begunOn(sheet, on);
    return {
      edgeMm: edge,
      orders: tried.map(orderTold),
      tents: tried[0]!.map.tents.slice(0, TOLD).map(({ middle: [x, y], length, direction, height, area }) => ({
        ...{ x: x - flat[0], y: y - flat[1], lengthMm: length, direction, heightMm: height, areaMm2: area },
      })),
      largest: null,
      slits: null,
    };
  };
  const lies = ({ map }: Tried): boolean => tallestOf(map) <= limitMm;
  yield { share: 0.05, look: told(first, bestOrders(first.sheet, on)) };
  const fine = meshFor(piece, 'fine');
  const orders = usualOrders(fine.sheet, STEPS);
  const layings = [...orders.map((order) => [order, on] as const), ...orders.map((order) => [order, withCare(on)] as const)]; // prettier-ignore
  const tried: Tried[] = [];
  for (const [order, held] of layings) {
    // What lies as it comes need not be pulled.
    if (held !== on && tried.some(lies)) break;
    const steps = laying(fine.sheet, held, order);
    for (;;) {
      const step = steps.next();
      if (step.done) {
        tried.push(step.value);
        break;
      }
      yield { share: 0.05 + (0.55 * (tried.length + (step.value.step + 1) / step.value.steps)) / layings.length, look: null }; // prettier-ignore
    }
  }
  tried.sort(better);
  const look = told(fine, tried);
  if (lies(tried[0]!)) return look;
  yield { share: 0.6, look };
  const careful = withCare(on);
  const largest = yield* counted(findLargest(piece, careful, limitMm, 0.3, 1), 0.6, 0.7, 7);
  yield { share: 0.7, look: { ...look, largest } };
  const slits = yield* counted(findSlits(piece, careful, limitMm), 0.7, 1, (MOST - FEWEST) * DEPTHS.length);
  return {
    ...look,
    largest,
    slits: slits && { count: slits.count, deep: slits.deep, turn: slits.turn, depthMm: slits.depthMm, tallestMm: tallestOf(slits.map) }, // prettier-ignore
  };
}

/** The same in one. */
export const lookWhole = (piece: Polygon, on: LaidOn, limitMm: number): Omit<Looked, 'of'> =>
  toTheEnd(lookCloser(piece, on, limitMm));

/** Steps of a search told as shares. */
function* counted<T>(steps: Generator<null, T>, from: number, to: number, about: number): Generator<LookNews, T> {
  for (let done = 1; ; done++) {
    const step = steps.next();
    if (step.done) return step.value;
    yield { share: from + (to - from) * Math.min(1, done / about), look: null };
  }
}

const orderTold = ({ order, map, pulled }: Tried): LookedOrder => ({
  way: order.name as WayToLay,
  pulled,
  tents: map.tents.length,
  tallestMm: tallestOf(map),
  tentedMm2: map.tentedMm2,
  pull: map.most.pull,
  push: map.most.push,
});

import type { Polygon, Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { subtractRings } from '../polygon/boolean.ts';
import { type Begun, type Laid, layInOrder, type LayOrder, usualOrders } from './lay.ts';
import type { FilmGives } from './membrane.ts';
import { meshOf, type Sheet } from './sheet.ts';
import type { TurnedSide } from './side.ts';
import { type LaidMap, mapOf } from './tents.ts';

/** What a piece is laid on, and what its film gives. */
export interface LaidOn {
  readonly side: TurnedSide;
  readonly gives: FilmGives;
  /** mm down the side at which the middle of the piece comes to lie. */
  readonly slant: number;
}

/** A piece as it came to lie in one order. */
export interface Tried {
  readonly order: LayOrder;
  readonly laid: Laid;
  readonly map: LaidMap;
}

/** Steps in which a piece is laid. */
const STEPS = 12;
/** How finely a piece is meshed, as a share of its smaller breadth. */
const FINENESS = 14;
/** How near the largest size is found, as a share of it. */
const NEAR = 0.01;
/** Fewest and most slits that are tried, and how deep, as shares of the way to the middle. */
const [FEWEST, MOST] = [3, 24];
const DEPTHS = [0.5, 0.7, 0.85] as const;
/** mm. A slit is a notch so narrow. */
const SLIT_MM = 0.02;

/** Lays a sheet in an order, to its end. */
export function layWhole(sheet: Sheet, { side, gives, slant }: LaidOn, order: LayOrder): Tried {
  const laying = layInOrder(sheet, side, gives, begunAt(sheet, slant), order);
  for (;;) {
    const next = laying.next();
    if (next.done) return { order, laid: next.value, map: mapOf(sheet, next.value.membrane, next.value.at, gives) };
  }
}

/** The middle of a sheet goes where it is aimed. */
function begunAt({ flat }: Sheet, slant: number): Begun {
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 0; i < flat.length; i += 2) {
    [minX, maxX] = [Math.min(minX, flat[i]!), Math.max(maxX, flat[i]!)];
    [minY, maxY] = [Math.min(minY, flat[i + 1]!), Math.max(maxY, flat[i + 1]!)];
  }
  return { flat: [(minX + maxX) / 2, (minY + maxY) / 2], azimuth: 0, slant, askew: 0 };
}

/** A sheet laid in each of the usual orders, the one with the least film too much first. */
export const bestOrders = (sheet: Sheet, on: LaidOn): Tried[] =>
  usualOrders(sheet, STEPS)
    .map((order) => layWhole(sheet, on, order))
    .sort((a, b) => a.map.excessMm2 - b.map.excessMm2);

/** How fine a mesh a piece is given, mm. */
function edgeFor(piece: Polygon): number {
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 0; i < piece.outer.length; i += 2) {
    [minX, maxX] = [Math.min(minX, piece.outer[i]!), Math.max(maxX, piece.outer[i]!)];
    [minY, maxY] = [Math.min(minY, piece.outer[i + 1]!), Math.max(maxY, piece.outer[i + 1]!)];
  }
  return Math.max(0.2, Math.min(maxX - minX, maxY - minY) / FINENESS);
}

const scaled = ({ outer, holes }: Polygon, by: number): Polygon => ({
  outer: outer.map((v) => v * by),
  holes: holes.map((hole) => hole.map((v) => v * by)),
});

/**
 * The largest size at which a piece lies flat, laid from its middle.
 *
 * @returns the factor on its size, between `least` and `most`; `most` where it lies flat even then, null where it tents at
 *   `least` already
 */
export function largestFlat(piece: Polygon, on: LaidOn, least = 0.1, most = 4): number | null {
  const edge = edgeFor(piece);
  const lies = (by: number): boolean => {
    const sheet = meshOf(scaled(piece, by), edge * by);
    return layWhole(sheet, on, usualOrders(sheet, STEPS)[0]!).map.tents.length === 0;
  };
  if (!lies(least)) return null;
  if (lies(most)) return most;
  let [low, high] = [least, most];
  while (high - low > NEAR * low) {
    const middle = Math.sqrt(low * high);
    if (lies(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/** Slits that take a piece's tents under a limit. */
export interface FoundSlits {
  readonly count: number;
  /** mm from the edge inwards. */
  readonly depth: number;
  readonly piece: Polygon;
  readonly map: LaidMap;
}

/**
 * The fewest even slits from the edge of a piece towards its middle with which it has no more than so much film too much.
 *
 * @param limitMm2 of film too much
 * @returns null where even the most do not do
 */
export function fewestSlits(piece: Polygon, on: LaidOn, limitMm2: number): FoundSlits | null {
  const edge = edgeFor(piece);
  for (let count = FEWEST; count <= MOST; count++)
    for (const deep of DEPTHS) {
      const slit = withSlits(piece, count, deep);
      if (!slit) continue;
      const sheet = meshOf(slit.piece, edge);
      const { map } = layWhole(sheet, on, usualOrders(sheet, STEPS)[0]!);
      if (map.excessMm2 <= limitMm2) return { count, depth: slit.depth, piece: slit.piece, map };
    }
  return null;
}

/** A piece with even slits from its edge, so deep; null where they would take it apart. */
export function withSlits(
  piece: Polygon,
  count: number,
  deep: number,
): { readonly piece: Polygon; readonly depth: number } | null {
  // prettier-ignore
  const { outer } = piece;
  let [x0, y0, reach] = [0, 0, 0];
  for (let i = 0; i < outer.length; i += 2) {
    x0 += outer[i]! / (outer.length / 2);
    y0 += outer[i + 1]! / (outer.length / 2);
  }
  for (let i = 0; i < outer.length; i += 2) reach = Math.max(reach, Math.hypot(outer[i]! - x0, outer[i + 1]! - y0));
  const notches = Array.from({ length: count }, (_, k): Ring => {
    const turn = Math.PI / 2 + (2 * Math.PI * k) / count;
    const [cos, sin, half] = [Math.cos(turn), Math.sin(turn), SLIT_MM / 2];
    const at = (along: number, aside: number): number[] => [x0 + along * cos - aside * sin, y0 + along * sin + aside * cos]; // prettier-ignore
    return Float64Array.from([...at(reach * (1 - deep), 0), ...at(reach * 1.1, -half), ...at(reach * 1.1, half)]);
  });
  const [one, ...others] = subtractRings(ringsOf(piece), notches);
  return one && others.length === 0 ? { piece: one, depth: reach * deep } : null;
}

import { boxOfCoordinates } from '../plane/box.ts';
import { minimise } from '../numeric/minimise.ts';
import { type Lips, lipsOf, pressTogether } from './lips.ts';
import type { FilmGives, Membrane } from './membrane.ts';
import { membraneOf } from './membrane.ts';
import type { Sheet } from './sheet.ts';
import type { TurnedSide } from './side.ts';

/** How a sheet is begun: a spot of its flat, where that comes to lie, and by how much it is askew. */
export interface Begun {
  /** mm on the flat. */
  readonly flat: readonly [x: number, y: number];
  /** rad round, mm down. */
  readonly azimuth: number;
  readonly slant: number;
  /** rad, counter-clockwise as seen from outside. */
  readonly askew: number;
}

/** A way to lay: which points are pressed on one after another, and for how much they count. */
export interface LayOrder {
  readonly name: string;
  /** For each point of the sheet the step in which it is pressed on, from 0. */
  readonly step: Uint16Array;
  readonly steps: number;
  /** Step from which hair slits are open: until then their lips lie side by side, as in a sheet that is not slit. */
  readonly opens?: number;
  /** Whether what is pressed on away from all that lies already sticks there, as under a thumb. */
  readonly sticks?: boolean;
}

/** A sheet as it lies: mm round at the membrane's radius, and mm down, by turns. */
export interface Laid {
  readonly at: Float64Array;
  readonly membrane: Membrane;
  readonly energy: number;
  /** Whether every step came to rest. */
  readonly rested: boolean;
}

/** News while a sheet is laid: which step is done, and where the points are. */
export interface LayNews {
  readonly step: number;
  readonly steps: number;
  readonly at: Float64Array;
}

/** Slope, as a share of the stiffness times a mm, at which a step is at rest. */
const RESTS = 1e-6;
/** How many lying points tell how a sheet is turned where no neighbours do. */
const NEAREST = 6;
/** Rounds that a step is given. */
const ROUNDS = 600;

/**
 * Lays a sheet in an order. What is pressed on in a step finds its rest by itself, with what was pressed on before held
 * fast; then it is fast as well. What hangs free is carried along as a stiff sheet would be: it starts each step where its
 * nearest pressed neighbour, by the way that lies there, would have it.
 *
 * @param begun where it starts; true when `askew` is 0
 * @returns a step at a time, at last how it lies
 */
export function* layInOrder(
  sheet: Sheet,
  side: TurnedSide,
  gives: FilmGives,
  begun: Begun,
  order: LayOrder,
): Generator<LayNews, Laid> {
  const hand = handLaying(sheet, side, gives, begun, order.sticks);
  for (let step = 0; step < order.steps; step++) {
    const fresh: number[] = [];
    for (let i = 0; i < order.step.length; i++) if (order.step[i]! <= step) fresh.push(i);
    if (hand.press(fresh, step >= (order.opens ?? 0))) yield { step, steps: order.steps, at: hand.at.slice() };
  }
  const { at, membrane } = hand;
  return { at, membrane, energy: hand.energy(), rested: hand.rested() };
}

/** A sheet that is laid by hand: what is pressed on finds its rest, and stays. */
export interface HandLaying {
  /** Where its points are; of those that hang, where a stiff sheet had them last. */
  readonly at: Float64Array;
  /** 1 for each point that is pressed on. */
  readonly pressed: Uint8Array;
  readonly membrane: Membrane;
  /**
   * Presses points on; those that are on already stay.
   *
   * @param open whether hair slits are open; left out, they are
   * @returns whether anything was left to be pressed
   */
  press(points: readonly number[], open?: boolean): boolean;
  energy(): number;
  /** Whether every step came to rest. */
  rested(): boolean;
}

/** Begins to lay a sheet: see `layInOrder`. @param sticks see `LayOrder` */
export function handLaying(sheet: Sheet, side: TurnedSide, gives: FilmGives, begun: Begun, sticks = false): HandLaying {
  const points = sheet.flat.length / 2;
  const round = Math.max(1e-6, side.radiusAt(begun.slant));
  const membrane = membraneOf(sheet, side, gives, round);
  const at = new Float64Array(2 * points);
  const [fast, pressed] = [new Uint8Array(points), new Uint8Array(points)];
  const counts = new Uint8Array(sheet.triangles.length / 3);
  const neighbours = neighboursOf(sheet);
  let lips: Lips | null = null;
  let [energy, rested] = [0, true];
  return {
    at,
    pressed,
    membrane,
    energy: () => energy,
    rested: () => rested,
    press: (wanted, open = true) => {
      for (const i of wanted) pressed[i] = 1;
      const shut = open ? null : (lips ??= lipsOf(sheet, begun.askew));
      if (shut) pressTogether(shut, pressed);
      const fresh: number[] = [];
      for (let i = 0; i < points; i++) if (pressed[i] && !fast[i]) fresh.push(i);
      if (fresh.length === 0) return false;
      swing(sheet, side, membrane, begun, fast, fresh, neighbours, at);
      for (let t = 0; t < counts.length; t++)
        counts[t] = [0, 1, 2].every((k) => pressed[sheet.triangles[3 * t + k]!]) ? 1 : 0;
      const rest = restOf(membrane, at, fresh, counts, shut);
      energy = rest.value;
      rested &&= rest.converged;
      holdFast(sheet, counts, fast, sticks);
      return true;
    },
  };
}

/**
 * Lets a whole sheet find its rest at once, as if it slid on the side without friction. No point is held: a shift and a turn
 * cost nothing.
 */
export function relaxed(sheet: Sheet, side: TurnedSide, gives: FilmGives, begun: Begun): Laid {
  const all = { name: 'all at once', step: new Uint16Array(sheet.flat.length / 2), steps: 1 };
  const laying = layInOrder(sheet, side, gives, begun, all);
  for (;;) {
    const next = laying.next();
    if (next.done) return next.value;
  }
}

/**
 * Holds fast what hangs by an edge on what is fast already; of the first step, its largest part. What hangs by a corner could
 * still swing, and what is pressed on somewhere else hangs on nothing yet: both are put anew with the next ones, but where it
 * sticks.
 */
function holdFast({ triangles, sides, edges }: Sheet, counts: Uint8Array, fast: Uint8Array, sticks: boolean): void {
  // Of parts that hang together by their edges, one triangle stands for all.
  const root = Int32Array.from(counts, (_, t) => t);
  const find = (t: number): number => {
    while (root[t] !== t) t = root[t] = root[root[t]!]!;
    return t;
  };
  const bySide = new Int32Array(edges.length / 2).fill(-1);
  const held = new Set<number>();
  for (let t = 0; t < counts.length; t++)
    if (counts[t])
      for (let k = 0; k < 3; k++) {
        const side = sides[3 * t + k]!;
        if (bySide[side]! >= 0) root[find(t)] = find(bySide[side]!);
        bySide[side] = t;
      }
  const sizes = new Map<number, number>();
  for (let t = 0; t < counts.length; t++) {
    if (!counts[t]) continue;
    sizes.set(find(t), (sizes.get(find(t)) ?? 0) + 1);
    if (sticks || [0, 1, 2].filter((k) => fast[triangles[3 * t + k]!]).length > 1) held.add(find(t));
  }
  if (held.size === 0 && sizes.size > 0) held.add([...sizes].reduce((a, b) => (b[1] > a[1] ? b : a))[0]);
  for (let t = 0; t < counts.length; t++)
    if (counts[t] && held.has(find(t))) for (let k = 0; k < 3; k++) fast[triangles[3 * t + k]!] = 1;
}

/** Moves the fresh points to their rest, all others held; what lies on a lip that is shut goes with the other one. */
function restOf(
  membrane: Membrane,
  at: Float64Array,
  all: readonly number[],
  counts: Uint8Array,
  shut: Lips | null,
): { readonly value: number; readonly converged: boolean } {
  const fresh = shut ? all.filter((i) => shut.across[i]! < 0) : all;
  const led = shut ? all.filter((i) => shut.across[i]! >= 0) : [];
  const free = new Float64Array(2 * fresh.length);
  const slope = new Float64Array(at.length);
  fresh.forEach((i, k) => {
    free[2 * k] = at[2 * i]!;
    free[2 * k + 1] = at[2 * i + 1]!;
  });
  const put = (from: Float64Array): void => {
    fresh.forEach((i, k) => {
      at[2 * i] = from[2 * k]!;
      at[2 * i + 1] = from[2 * k + 1]!;
    });
    for (const i of led)
      for (let c = 0; c < 2; c++) at[2 * i + c] = at[2 * shut!.across[i]! + c]! + shut!.behind[2 * i + c]!;
  };
  const found = minimise(
    (where, out) => {
      put(where);
      const value = membrane.energy(at, slope, counts);
      for (const i of led) for (let c = 0; c < 2; c++) slope[2 * shut!.across[i]! + c]! += slope[2 * i + c]!;
      for (let k = 0; k < fresh.length; k++) {
        out[2 * k] = slope[2 * fresh[k]!]!;
        out[2 * k + 1] = slope[2 * fresh[k]! + 1]!;
      }
      return value;
    },
    free,
    RESTS,
    ROUNDS,
  );
  put(free);
  return found;
}

/**
 * Puts fresh points where a stiff sheet would have them: each from its nearest point that lies already, along the side, turned
 * as the sheet is turned there; the first of all from where it is begun.
 */
function swing(
  sheet: Sheet,
  side: TurnedSide,
  { round }: Membrane,
  begun: Begun,
  fast: Uint8Array,
  fresh: readonly number[],
  neighbours: readonly (readonly number[])[],
  at: Float64Array,
): void {
  // prettier-ignore
  const { flat } = sheet;
  /** Walks a flat way along the side from a spot, in short straight pieces, keeping its direction true. */
  const walk = (azimuth: number, slant: number, heading: number, way: number): readonly [number, number] => {
    const parts = Math.max(1, Math.ceil(way / 2));
    const step = way / parts;
    let [a, v, h] = [azimuth, slant, heading];
    for (let i = 0; i < parts; i++) {
      // By Clairaut a straight way keeps r·cos h: dh/ds = −cos h·r′/r. Half a step to find the middle, then all by it.
      const turnHere = (-Math.cos(h) * side.slopeAt(v)) / side.radiusAt(v);
      const half = h + (turnHere * step) / 2;
      const middle = v - (Math.sin(half) * step) / 2;
      const r = side.radiusAt(middle);
      const bend = (-Math.cos(half) * side.slopeAt(middle)) / r;
      a += (Math.cos(half) * step) / r;
      v -= Math.sin(half) * step;
      h += bend * step;
    }
    return [a, v];
  };
  const lying = new Set<number>();
  for (let i = 0; i < fast.length; i++) if (fast[i]) lying.add(i);
  const put = (i: number, [azimuth, slant]: readonly [number, number]): void => {
    at[2 * i] = azimuth * round;
    at[2 * i + 1] = slant;
  };
  if (lying.size === 0) {
    for (const i of fresh) {
      const [dx, dy] = [flat[2 * i]! - begun.flat[0], flat[2 * i + 1]! - begun.flat[1]];
      put(i, walk(begun.azimuth, begun.slant, Math.atan2(dy, dx) + begun.askew, Math.hypot(dx, dy)));
    }
    return;
  }
  /** The nearest that lie already, where neighbours do not. */
  const nearTo = (i: number): number[] => {
    const away = (j: number): number => Math.hypot(flat[2 * j]! - flat[2 * i]!, flat[2 * j + 1]! - flat[2 * i + 1]!);
    return [...lying].filter((j) => j !== i).sort((a, b) => away(a) - away(b)).slice(0, NEAREST); // prettier-ignore
  };
  /** rad by which the sheet is turned where a point lies, by its neighbours that lie. */
  const turnAt = (i: number): number => {
    let [sin, cos] = [0, 0];
    const own = neighbours[i]!.filter((j) => lying.has(j));
    for (const j of own.length > 1 ? own : nearTo(i)) {
      const [fx, fy] = [flat[2 * j]! - flat[2 * i]!, flat[2 * j + 1]! - flat[2 * i + 1]!];
      const r = side.radiusAt((at[2 * i + 1]! + at[2 * j + 1]!) / 2);
      const [sx, sy] = [((at[2 * j]! - at[2 * i]!) / round) * r, -(at[2 * j + 1]! - at[2 * i + 1]!)];
      sin += fx * sy - fy * sx;
      cos += fx * sx + fy * sy;
    }
    return sin === 0 && cos === 0 ? begun.askew : Math.atan2(sin, cos);
  };
  // From the front outwards, so that each hangs on one that is put already.
  const left = new Set(fresh);
  let front = fresh.filter((i) => neighbours[i]!.some((j) => lying.has(j)));
  if (front.length === 0) front = [...fresh];
  while (left.size > 0) {
    const placed: number[] = [];
    for (const i of front) {
      if (!left.has(i)) continue;
      let [nearest, best] = [-1, Infinity];
      const looked = neighbours[i]!.some((j) => lying.has(j)) ? neighbours[i]! : lying;
      for (const j of looked) {
        if (!lying.has(j)) continue;
        const way = Math.hypot(flat[2 * i]! - flat[2 * j]!, flat[2 * i + 1]! - flat[2 * j + 1]!);
        if (way < best) [nearest, best] = [j, way];
      }
      const [dx, dy] = [flat[2 * i]! - flat[2 * nearest]!, flat[2 * i + 1]! - flat[2 * nearest + 1]!];
      put(i, walk(at[2 * nearest]! / round, at[2 * nearest + 1]!, Math.atan2(dy, dx) + turnAt(nearest), best));
      placed.push(i);
    }
    for (const i of placed) {
      lying.add(i);
      left.delete(i);
    }
    front = [...left].filter((i) => neighbours[i]!.some((j) => lying.has(j)));
    if (front.length === 0) front = [...left];
  }
}

/** Points that each point of a sheet is joined to by an edge. */
export function neighboursOf({ flat, edges }: Sheet): number[][] {
  const list: number[][] = Array.from({ length: flat.length / 2 }, () => []);
  for (let e = 0; e < edges.length; e += 2) {
    list[edges[e]!]!.push(edges[e + 1]!);
    list[edges[e + 1]!]!.push(edges[e]!);
  }
  return list;
}

/** A way to lay by how far points are from something: near ones first, in so many steps. */
export function orderBy(name: string, sheet: Sheet, steps: number, far: (x: number, y: number) => number): LayOrder {
  const points = sheet.flat.length / 2;
  const away = Array.from({ length: points }, (_, i) => far(sheet.flat[2 * i]!, sheet.flat[2 * i + 1]!));
  const [least, most] = [Math.min(...away), Math.max(...away)];
  const step = Uint16Array.from(away, (d) => Math.min(steps - 1, Math.floor((steps * (d - least)) / Math.max(1e-9, most - least)))); // prettier-ignore
  return { name, step, steps };
}

/** The usual ways: from the middle of the sheet outwards, from one end, along its middle line first. */
export const usualOrders = (sheet: Sheet, steps: number): readonly LayOrder[] => allOrders(sheet, steps).slice(0, 3);

/** The same, and in two halves: a line down its middle, then to one side, then to the other. */
export function allOrders(sheet: Sheet, steps: number): readonly LayOrder[] {
  const { flat } = sheet;
  const { minX, maxX, minY, maxY } = boxOfCoordinates(flat);
  const [x0, y0] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const wide = maxX - minX >= maxY - minY;
  return [
    orderBy('centre out', sheet, steps, (x, y) => Math.hypot(x - x0, y - y0)),
    orderBy('one end', sheet, steps, (x, y) => (wide ? x - minX : maxY - y)),
    orderBy('middle line first', sheet, steps, (x, y) => Math.abs(wide ? y - y0 : x - x0)),
    // Across the longer way, one half behind the other; the line down the middle is the first of both.
    orderBy('two halves', sheet, steps, (x, y) => {
      const [aside, half] = wide ? [x - x0, (maxX - minX) / 2] : [y0 - y, (maxY - minY) / 2];
      // A hair less, so that the end of the one half still comes before the other.
      return aside <= half / steps ? Math.max(0, -0.999 * aside) : half + aside;
    }),
  ];
}

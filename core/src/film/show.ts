import type { WayToLay } from '../model/looked.ts';
import type { Polygon } from '../polygon/polygon.ts';
import { asPulled, begunOn, followed, type LaidOn, meshFor, STEPS } from './advise.ts';
import { orderOfStrokes, type OwnWay } from './by-hand.ts';
import { allOrders, layInOrder, type LayNews, type LayOrder, neighboursOf } from './lay.ts';
import { membraneOf } from './membrane.ts';
import type { Sheet } from './sheet.ts';
import type { TurnedSide } from './side.ts';
import type { OnTape } from './taped.ts';
import { type LaidMap, mapOf, standsOff } from './tents.ts';

/** Where a sheet is in the middle of its laying, to be drawn. */
export interface LayFrame {
  /** Three coordinates a point, mm: x to the right of who looks at the front, y up, z towards them; the axis is x = z = 0. */
  readonly at: Float32Array;
  /** mm by which each point stands off the side where it tents. */
  readonly off: Float32Array;
  /** Whether each point is pressed on; the others hang. */
  readonly pressed: Uint8Array;
  /** By triangle: pulled above zero, pushed below it, as shares of what the film gives; past −1 it tents. */
  readonly strain: Float32Array;
}

/** The form of a side, to be drawn: heights and radii, from the top down, mm. */
export interface SideOutline {
  readonly heights: Float32Array;
  readonly radii: Float32Array;
}

/** mm between the places at which heights are summed up. */
const STEP_MM = 0.25;

/** How high each spot of a side is: the way down summed up, mm below `from`. */
function heightsOf(side: TurnedSide, from: number, to: number): (slant: number) => number {
  const count = Math.max(2, Math.ceil((to - from) / STEP_MM));
  const step = (to - from) / count;
  const heights = new Float64Array(count + 1);
  for (let i = 0; i < count; i++) {
    const slope = Math.max(-1, Math.min(1, side.slopeAt(from + (i + 0.5) * step)));
    heights[i + 1] = heights[i]! - Math.sqrt(1 - slope * slope) * step;
  }
  return (slant) => {
    const at = Math.max(0, Math.min(count - 1e-9, (slant - from) / step));
    const i = Math.floor(at);
    return heights[i]! + (heights[i + 1]! - heights[i]!) * (at - i);
  };
}

/** Draws a sheet on its side, step by step. */
export interface Shower {
  readonly outline: SideOutline;
  /**
   * @param at where its points are: mm round at the membrane's radius, mm down
   * @param pressed those of them that are pressed on
   */
  frame(at: Float64Array, pressed: Uint8Array): LayFrame;
  /** @param pressed as of `frame`; left out, all are */
  map(at: Float64Array, pressed?: Uint8Array): LaidMap;
}

/**
 * How a sheet is drawn on its side.
 *
 * @param around mm of side that are drawn above and below it
 */
export function showerOf(sheet: Sheet, on: LaidOn, around = 45): Shower {
  const { side, slant } = on;
  const { sheet: held, gives, pulled } = asPulled(sheet, on);
  const { flat } = held;
  const triangles = filmOf(held);
  const points = flat.length / 2;
  const round = Math.max(1e-6, side.radiusAt(slant));
  const membrane = membraneOf(held, side, gives, round);
  const begun = begunOn(held, on);
  let reach = 0;
  for (let i = 1; i < flat.length; i += 2) reach = Math.max(reach, Math.abs(flat[i]! - begun.flat[1]));
  const [from, to] = drawnPart(side, slant - reach - around, slant + reach + around, slant);
  const heightAt = heightsOf(side, from, to);
  const middle = heightAt(slant);
  const next = neighboursOf(sheet);

  const of = Array.from(held.tape.keys()).filter((t) => !held.tape[t]);
  const frame = (at: Float64Array, pressed: Uint8Array): LayFrame => {
    const spots = new Float32Array(3 * points);
    const put = (i: number): void => {
      const [azimuth, v] = [at[2 * i]! / round, at[2 * i + 1]!];
      const r = side.radiusAt(v);
      spots.set([r * Math.sin(azimuth), heightAt(v) - middle, r * Math.cos(azimuth)], 3 * i);
    };
    for (let i = 0; i < points; i++) if (pressed[i]) put(i);
    hang(flat, at, round, side, pressed, spots, begun, next);
    const map = membraneMap(at, pressed);
    const off = new Float32Array(points);
    const strain = new Float32Array(triangles.length / 3);
    for (let t = 0; t < strain.length; t++) {
      const own = [triangles[3 * t]!, triangles[3 * t + 1]!, triangles[3 * t + 2]!];
      if (!own.every((i) => pressed[i])) continue;
      const which = of[t]!;
      const push = map.push[which]! / (membrane.squeezes[which]! - pulled);
      const pull = map.pull[which]! / (membrane.stretches[which]! + pulled);
      strain[t] = -push > pull ? push : pull;
      for (const i of own) off[i] = Math.max(off[i]!, standsOff(map.excess[of[t]!]!));
    }
    return { at: spots, off, pressed, strain };
  };
  const membraneMap = (at: Float64Array, pressed: Uint8Array): LaidMap =>
    mapOf(sheet, membrane, at, (t) => [0, 1, 2].every((k) => pressed[held.triangles[3 * t + k]!]), pulled);
  const rows = 64;
  const heights = new Float32Array(rows + 1);
  const radii = new Float32Array(rows + 1);
  for (let i = 0; i <= rows; i++) {
    const v = from + ((to - from) * i) / rows;
    heights[i] = heightAt(v) - middle;
    radii[i] = Math.max(0, side.radiusAt(v));
  }
  return {
    outline: { heights, radii },
    frame,
    map: (at, pressed = new Uint8Array(points).fill(1)) => membraneMap(at, pressed),
  };
}

/** Triangles of film, three points each: without the tape that spans holes. */
const filmOf = ({ triangles, tape }: Sheet): Uint32Array => triangles.filter((_, i) => !tape[Math.floor(i / 3)]);

/** As much of a side as has a radius: a ball ends at its poles. */
function drawnPart(side: TurnedSide, from: number, to: number, middle: number): [number, number] {
  const end = (towards: number): number => {
    const steps = 200;
    for (let i = 1; i <= steps; i++) {
      const v = middle + ((towards - middle) * i) / steps;
      if (side.radiusAt(v) <= 0.5) return middle + ((towards - middle) * (i - 1)) / steps;
    }
    return towards;
  };
  return [end(from), end(to)];
}

/** Draws what is not pressed on as a stiff sheet: straight on from the nearest point that is, by the way that it leaves there. */
function hang(
  flat: Float64Array,
  at: Float64Array,
  round: number,
  side: TurnedSide,
  pressed: Uint8Array,
  spots: Float32Array,
  begun: { readonly flat: readonly [number, number]; readonly azimuth: number; readonly slant: number; readonly askew: number }, // prettier-ignore
  next: readonly (readonly number[])[],
): void {
  const points = pressed.length;
  /** Nearest pressed point, by way of the mesh; −1 for none. */
  const from = new Int32Array(points).fill(-1);
  let front: number[] = [];
  for (let i = 0; i < points; i++)
    if (pressed[i]) {
      from[i] = i;
      front.push(i);
    }
  const whole = front.length === 0;
  while (front.length > 0) {
    const later: number[] = [];
    for (const i of front)
      for (const j of next[i]!)
        if (from[j] === -1) {
          from[j] = from[i]!;
          later.push(j);
        }
    front = later;
  }
  const turnAt = (i: number): number => {
    let [sin, cos] = [0, 0];
    for (const j of next[i]!) {
      if (!pressed[j]) continue;
      const [fx, fy] = [flat[2 * j]! - flat[2 * i]!, flat[2 * j + 1]! - flat[2 * i + 1]!];
      const r = side.radiusAt((at[2 * i + 1]! + at[2 * j + 1]!) / 2);
      const [sx, sy] = [((at[2 * j]! - at[2 * i]!) / round) * r, at[2 * i + 1]! - at[2 * j + 1]!];
      sin += fx * sy - fy * sx;
      cos += fx * sx + fy * sy;
    }
    return sin === 0 && cos === 0 ? begun.askew : Math.atan2(sin, cos);
  };
  const frames = new Map<number, { readonly o: readonly number[]; readonly e: readonly number[]; readonly u: readonly number[]; readonly turn: number; readonly x: number; readonly y: number }>(); // prettier-ignore
  const frameAt = (i: number) => {
    const known = frames.get(i);
    if (known) return known;
    const [azimuth, v] = whole ? [begun.azimuth, begun.slant] : [at[2 * i]! / round, at[2 * i + 1]!];
    const k = Math.max(-1, Math.min(1, side.slopeAt(v)));
    const rise = Math.sqrt(1 - k * k);
    const r = side.radiusAt(v);
    const made = {
      o: whole ? [r * Math.sin(azimuth), 0, r * Math.cos(azimuth)] : [...spots.subarray(3 * i, 3 * i + 3)],
      e: [Math.cos(azimuth), 0, -Math.sin(azimuth)],
      // Up along the side: against the way in which the slant grows.
      u: [-k * Math.sin(azimuth), rise, -k * Math.cos(azimuth)],
      turn: whole ? begun.askew : turnAt(i),
      x: whole ? begun.flat[0] : flat[2 * i]!,
      y: whole ? begun.flat[1] : flat[2 * i + 1]!,
    };
    frames.set(i, made);
    return made;
  };
  for (let i = 0; i < points; i++) {
    if (pressed[i]) continue;
    const { o, e, u, turn, x, y } = frameAt(from[i]!);
    const [dx, dy] = [flat[2 * i]! - x, flat[2 * i + 1]! - y];
    const [across, up] = [dx * Math.cos(turn) - dy * Math.sin(turn), dx * Math.sin(turn) + dy * Math.cos(turn)];
    for (let c = 0; c < 3; c++) spots[3 * i + c] = o[c]! + across * e[c]! + up * u[c]!;
  }
}

/** A laying that is drawn: its steps, and what comes of them. */
export interface ShownLaying {
  readonly frames: readonly LayFrame[];
  readonly map: LaidMap;
  /** mm by which its far end lands beside where it belongs; 0 where it is begun true. */
  readonly farMm: number;
}

/** Lays a sheet in an order and draws each step, the sheet as it is held first. */
function* showLaying(
  sheet: Sheet,
  on: LaidOn,
  off: number,
  order: LayOrder,
  shower: Shower,
): Generator<LayNews, ShownLaying> {
  const points = sheet.flat.length / 2;
  const frames = [shower.frame(new Float64Array(2 * points), new Uint8Array(points))];
  const { sheet: held, gives } = asPulled(sheet, on);
  const begun = begunOn(held, on);
  const steps = layInOrder(held, on.side, gives, begun, order);
  for (;;) {
    const step = steps.next();
    if (step.done) {
      const { at, membrane } = step.value;
      const map = shower.map(at);
      if (off === 0) return { frames, map, farMm: 0 };
      const aimed = yield* layInOrder(held, on.side, gives, { ...begun, askew: begun.askew - off }, order);
      const far = farthest(held, begun.flat);
      const r = on.side.radiusAt(aimed.at[2 * far + 1]!) / membrane.round;
      return {
        frames,
        map,
        farMm: Math.hypot((at[2 * far]! - aimed.at[2 * far]!) * r, at[2 * far + 1]! - aimed.at[2 * far + 1]!),
      };
    }
    const { step: now, at } = step.value;
    frames.push(
      shower.frame(
        at,
        Uint8Array.from(order.step, (own) => (own <= now ? 1 : 0)),
      ),
    );
    yield step.value;
  }
}

/** The point of a sheet that is farthest from a spot. */
function farthest({ flat }: Sheet, [x, y]: readonly [number, number]): number {
  let [best, away] = [0, -1];
  for (let i = 0; i < flat.length; i += 2) {
    const far = Math.hypot(flat[i]! - x, flat[i + 1]! - y);
    if (far > away) [best, away] = [i / 2, far];
  }
  return best;
}

/**
 * A piece, or several on their tape, laid in one of the usual orders, or in strokes of somebody's own, to be drawn.
 *
 * @param how fine its mesh is
 * @param off rad by which it is begun beside how it should be turned
 * @returns its points and triangles of film, what it is laid on, and its steps
 * @throws SheetProblem
 */
export function layingShown(
  piece: Polygon | OnTape,
  on: LaidOn,
  way: WayToLay | OwnWay,
  how: 'coarse' | 'fine',
  off = 0,
): {
  readonly flat: Float64Array;
  readonly triangles: Uint32Array;
  readonly outline: SideOutline;
  readonly steps: Generator<LayNews, ShownLaying>;
} {
  const { sheet } = meshFor(piece, how);
  const held = { ...on, askew: (on.askew ?? 0) + off };
  const shower = showerOf(sheet, held);
  const order = typeof way === 'string' ? allOrders(sheet, STEPS).find(({ name }) => name === way)! : orderOfStrokes(sheet, way); // prettier-ignore
  return {
    flat: sheet.flat,
    triangles: filmOf(sheet),
    outline: shower.outline,
    steps: showLaying(sheet, held, off, followed(order, on), shower),
  };
}

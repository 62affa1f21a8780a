import { bestOrders, begunOn, type LaidOn, meshFor, tallestOf } from '../film/advise.ts';
import { handLaying, type HandLaying } from '../film/lay.ts';
import type { Sheet } from '../film/sheet.ts';
import { type LayFrame, showerOf, type SideOutline } from '../film/show.ts';
import { ballSide, coneSide } from '../film/side.ts';
import { filmGive, STARTING_MATERIALS } from '../material/materials.ts';
import { SEAM_STEP_MM } from '../bench/laying-style.ts';
import { formatLength, type Units } from '../measure/length.ts';
import type { WayToLay } from '../model/looked.ts';
import { WAYS_SAID } from '../proof/findings/wrinkle.ts';
import { resampleRing } from '../plane/resample.ts';
import type { Polygon } from '../polygon/polygon.ts';
import { coneDevelopment, type ConeSpec } from '../surface/cone.ts';
import { drawFor, inSteps, type Judged, scoreOf } from './judged.ts';
import { MOST_ASKEW } from './lay-wrap.ts';

/** A sheet of film and what it is to be laid on. */
export interface PressTask {
  readonly seed: number;
  /** What it is: a wrap for a cup, or a figure for a ball. */
  readonly what: 'wrap' | 'disk' | 'star';
  readonly cone: ConeSpec | null;
  /** mm round the ball. */
  readonly girth: number | null;
  readonly piece: Polygon;
  readonly on: LaidOn;
  /** rad that it hangs askew when it is picked up. */
  readonly hangs: number;
  /** mm. How far a thumb presses. */
  readonly thumb: number;
}

/** mm of tent beside the best from which nothing is won, and up to which nothing is lost. */
const [FAR_MM, FINE_MM] = [0.8, 0.05];
/** mm of step from which nothing is won. */
const FAR_STEP_MM = 10;
/** Share of a sheet that may be left unpressed by a hair here and there. */
const LEFT = 0.002;
/** Breadths of a thumb across a sheet. */
const THUMBS = 7;
const GIVES = filmGive(STARTING_MATERIALS, 'gloss permanent', false);

/** A sheet to be pressed on: at every other seed a wrap on a taper, else a disk or a star on a ball. */
export function makePressFilm(seed: number): PressTask {
  const draw = drawFor('press-film', seed);
  const hangs = (draw.either(1.2, 3) * Math.PI) / 180;
  if (seed % 2 === 1) {
    const [top, base] = [draw.between(80, 94), draw.between(58, 74)];
    const cone = { girthRim: inSteps(Math.PI * top, 0.5), girthBase: inSteps(Math.PI * base, 0.5), side: inSteps(draw.between(60, 80), 0.5) }; // prettier-ignore
    const piece = wrapOf(cone);
    return { seed, what: 'wrap', cone, girth: null, piece, on: { side: coneSide(cone), gives: GIVES, slant: slantOfMiddle(cone, piece) }, hangs, thumb: cone.side / 4 }; // prettier-ignore
  }
  const girth = inSteps(draw.between(220, 300), 5);
  const ball = girth / (2 * Math.PI);
  const what = draw.of(['disk', 'star'] as const);
  // Large enough to tent where it is pressed on carelessly, small enough to lie where it is not.
  const radius = inSteps(ball * (what === 'disk' ? draw.between(0.19, 0.24) : draw.between(0.42, 0.5)), 0.5);
  const piece: Polygon = { outer: what === 'disk' ? roundOf(radius, 48, () => 1) : roundOf(radius, 10, (i) => (i % 2 ? 0.45 : 1)), holes: [] }; // prettier-ignore
  return { seed, what, cone: null, girth, piece, on: { side: ballSide(ball), gives: GIVES, slant: 0 }, hangs, thumb: (2 * radius) / THUMBS }; // prettier-ignore
}

const roundOf = (radius: number, n: number, share: (i: number) => number): Float64Array =>
  Float64Array.from({ length: 2 * n }, (_, k) => {
    const turn = Math.PI / 2 + (2 * Math.PI * (k >> 1)) / n;
    return radius * share(k >> 1) * (k % 2 ? Math.sin(turn) : Math.cos(turn));
  });

/** The flat of a whole wrap. */
function wrapOf(cone: ConeSpec): Polygon {
  const flat = coneDevelopment(cone);
  const corners = Float64Array.from([-Math.PI, -cone.side, Math.PI, -cone.side, Math.PI, 0, -Math.PI, 0]);
  return { outer: resampleRing(corners, (azimuth, up, out) => flat.forwardInto(azimuth, -up, out)), holes: [] };
}

/** mm down the side at which the middle of a wrap's box lies. */
function slantOfMiddle(cone: ConeSpec, { outer }: Polygon): number {
  let [minY, maxY] = [Infinity, -Infinity];
  for (let i = 1; i < outer.length; i += 2) [minY, maxY] = [Math.min(minY, outer[i]!), Math.max(maxY, outer[i]!)];
  return coneDevelopment(cone).onward(0, (minY + maxY) / 2)!.slant;
}

/** A sheet in somebody's hands. */
export interface Pressing {
  readonly sheet: Sheet;
  readonly triangles: Uint32Array;
  readonly outline: SideOutline;
  /** Presses on what lies within a thumb of a spot of the flat. @returns whether anything was left to be pressed there */
  press(x: number, y: number): boolean;
  /** As it is now, to be drawn. */
  frame(): LayFrame;
  /** Share of it that is not pressed on yet. */
  left(): number;
  /** mm that its tallest tent stands off. */
  tallest(): number;
  /** mm by which the ends of a wrap step past each other at the rim; null for anything else. */
  step(): number | null;
}

/**
 * Takes a sheet into the hands.
 *
 * @param askew rad that it is turned about its middle before anything is pressed
 */
export function takeUp({ piece, on, thumb, cone }: PressTask, askew: number): Pressing {
  const { sheet } = meshFor(piece, 'by hand');
  const held = { ...on, askew };
  const shower = showerOf(sheet, held);
  const hand: HandLaying = handLaying(sheet, on.side, on.gives, begunOn(sheet, held), true);
  const { flat, triangles } = sheet;
  const near = (x: number, y: number): number => {
    let [best, at] = [Infinity, 0];
    for (let i = 0; i < flat.length; i += 2) {
      const away = Math.hypot(flat[i]! - x, flat[i + 1]! - y);
      if (away < best) [best, at] = [away, i / 2];
    }
    return at;
  };
  const corners = cone && ([-Math.PI, Math.PI] as const).map((u) => coneDevelopment(cone).forward(u, 0)).map(({ x, y }) => near(x, y)); // prettier-ignore
  return {
    sheet,
    triangles,
    outline: shower.outline,
    press: (x, y) => {
      const under: number[] = [];
      for (let i = 0; i < flat.length; i += 2)
        if (Math.hypot(flat[i]! - x, flat[i + 1]! - y) <= thumb) under.push(i / 2);
      return under.some((i) => !hand.pressed[i]) && hand.press(under);
    },
    frame: () => shower.frame(hand.at, hand.pressed.slice()),
    left: () => {
      let [off, all] = [0, 0];
      for (let t = 0; t < hand.membrane.areas.length; t++) {
        all += hand.membrane.areas[t]!;
        if (![0, 1, 2].every((k) => hand.pressed[triangles[3 * t + k]!])) off += hand.membrane.areas[t]!;
      }
      return off / all;
    },
    tallest: () => tallestOf(shower.map(hand.at, hand.pressed)),
    step: () => corners && hand.at[2 * corners[0]! + 1]! - hand.at[2 * corners[1]! + 1]!,
  };
}

/** Judges how a sheet was pressed on; null while some of it still hangs. */
export function judgePressFilm(task: PressTask, pressing: Pressing, askew: number, units: Units): Judged | null {
  if (pressing.left() > LEFT) return null;
  const [best] = bestOrders(pressing.sheet, task.on);
  const [tallest, least, step] = [pressing.tallest(), tallestOf(best!.map), pressing.step()];
  const say = (mm: number): string => formatLength(Math.abs(mm), units);
  const tents = { says: 'Its tallest tent', value: say(tallest), bad: tallest > least + FINE_MM };
  const atBest = { says: `At best, laid ${WAYS_SAID[best!.order.name as WayToLay]}`, value: say(least), bad: false };
  if (step !== null) {
    const unnoticed = Math.abs(step) <= SEAM_STEP_MM;
    const came = [{ says: 'You started off true by', value: `${((180 / Math.PI) * Math.abs(askew)).toFixed(1)}°`, bad: !unnoticed }, { says: 'The ends step by', value: say(step), bad: !unnoticed }, tents]; // prettier-ignore
    const score = Math.min(scoreOf(Math.abs(step), SEAM_STEP_MM, FAR_STEP_MM), scoreOf(tallest - least, FINE_MM, FAR_MM)); // prettier-ignore
    return unnoticed
      ? { score, came, why: ['The ends meet', 'On a taper every order lays it without a wrinkle, as long as it is started true.'], tryThis: null } // prettier-ignore
      : { score, came, why: [step > 0 ? 'The far end climbs' : 'The far end sinks', 'No order of pressing puts right what was off true at the start: the sheet runs on as it was begun, and does not wrinkle to say so.'], tryThis: 'Lift it, turn it until its edge runs with the rim, and only then press its middle on.' }; // prettier-ignore
  }
  const score = scoreOf(tallest - least, FINE_MM, FAR_MM);
  const came = [tents, atBest];
  if (tallest <= least + FINE_MM)
    return { score, came, why: ['As flat as it can be', 'What was pressed on first has spread what is too long evenly to all edges.'], tryThis: null }; // prettier-ignore
  return {
    score,
    came,
    why: ['It tents', 'What is pressed on stays. Where the last of it came between parts that were fast already, it had nowhere left to go.'], // prettier-ignore
    tryThis: 'Press the very middle on first, then go round and round outwards, never from one side across.',
  };
}

/** rad. Farthest that it is turned before it is pressed on. */
export const MOST_TURN = MOST_ASKEW;

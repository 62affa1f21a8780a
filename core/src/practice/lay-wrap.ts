import { SEAM_STEP_MM } from '../bench/laying-style.ts';
import { formatLength, trueOver, type Units } from '../measure/length.ts';
import type { Point } from '../plane/point.ts';
import { coneDevelopment, type ConeSpec, taperOf, trueOver100 } from '../surface/cone.ts';
import type { SurfacePoint } from '../surface/development.ts';
import { drawFor, inSteps, type Judged, scoreOf } from './judged.ts';

/** Where a wrap is pressed on first. */
export type LaidFrom = 'one end' | 'the middle';

/** A cup and a wrap for it. */
export interface LayTask {
  readonly seed: number;
  readonly cone: ConeSpec;
  /** How many waves the border on it has. */
  readonly waves: number;
  /** rad by which the sheet hangs askew when it is picked up. */
  readonly hangs: number;
}

/** rad. Farthest that a sheet is turned. */
export const MOST_ASKEW = (8 * Math.PI) / 180;
/** mm of step from which nothing is won. */
const FAR_MM = 10;

/** A cup to be wrapped. */
export function makeLayWrap(seed: number): LayTask {
  const draw = drawFor('lay-wrap', seed);
  const [top, base] = [draw.between(80, 94), draw.between(56, 74)];
  return {
    seed,
    cone: {
      girthRim: inSteps(Math.PI * top, 0.5),
      girthBase: inSteps(Math.PI * base, 0.5),
      side: inSteps(draw.between(84, 112), 0.5),
    },
    waves: draw.of([9, 11, 13]),
    hangs: (draw.either(1.6, 4) * Math.PI) / 180,
  };
}

/** Where spots of the sheet come to lie: on the flat of the cup, and on the cup itself. */
export interface Laid {
  /** On the flat, mm. @param u rad round on the sheet @param v mm down it */
  flat(u: number, v: number): Point;
  /** On the cup; null past the tip of its cone. */
  on(u: number, v: number): SurfacePoint | null;
}

/**
 * A sheet that is pressed on askew and then runs on as it must.
 *
 * @param tilt rad, counter-clockwise on the flat as seen from outside: the far end climbs
 * @param from where it was pressed on: the upper corner of its left end, or the middle of its rim edge
 * @source film that is not stretched keeps its flat: on the cup's own development it is the true flat turned about the spot
 *   that was right
 */
export function layAskew(cone: ConeSpec, tilt: number, from: LaidFrom): Laid {
  const surface = coneDevelopment(cone);
  const pivot = surface.forward(from === 'one end' ? -Math.PI : 0, 0);
  const [sin, cos] = [Math.sin(tilt), Math.cos(tilt)];
  const flat = (u: number, v: number): Point => {
    const { x, y } = surface.forward(u, v);
    const [dx, dy] = [x - pivot.x, y - pivot.y];
    return { x: pivot.x + cos * dx - sin * dy, y: pivot.y + sin * dx + cos * dy };
  };
  return {
    flat,
    on: (u, v) => {
      const { x, y } = flat(u, v);
      return surface.onward(x, y, 1.9 * Math.PI);
    },
  };
}

/** mm by which the ends step past each other at the rim: how far the right one lies above the left one. */
export function stepAtSeam(cone: ConeSpec, tilt: number, from: LaidFrom): number {
  const laid = layAskew(cone, tilt, from);
  const [left, right] = [laid.on(-Math.PI, 0), laid.on(Math.PI, 0)];
  return left && right ? left.slant - right.slant : NaN;
}

/** mm by which an end stands off the line at the rim, at its worst. */
export function offLineAtWorst(cone: ConeSpec, tilt: number, from: LaidFrom): number {
  const laid = layAskew(cone, tilt, from);
  return Math.max(...[-Math.PI, Math.PI].map((u) => Math.abs(laid.on(u, 0)?.slant ?? Infinity)));
}

/** Judges how true a sheet was pressed on. */
export function judgeLayWrap({ cone }: LayTask, tilt: number, from: LaidFrom, units: Units): Judged {
  const step = stepAtSeam(cone, tilt, from);
  const over = trueOver(units);
  const say = (mm: number): string => formatLength(Math.abs(mm), units);
  const sayOver = (over100: number): string =>
    `${formatLength((Math.abs(over100) * over.mm) / 100, units)} over ${over.words}`;
  const unnoticed = Math.abs(step) <= SEAM_STEP_MM;
  const came = [
    { says: 'You started off true by', value: sayOver(100 * Math.tan(tilt)), bad: false },
    { says: 'The ends step by', value: say(step), bad: !unnoticed },
    { says: 'To go unnoticed', value: sayOver(trueOver100(cone, SEAM_STEP_MM)), bad: false },
  ];
  const score = scoreOf(Math.abs(step), SEAM_STEP_MM, FAR_MM);
  if (unnoticed)
    return { score, came, why: ['The ends meet', `A step under ${formatLength(SEAM_STEP_MM, units)} is seen by nobody who does not look for it.`], tryThis: null }; // prettier-ignore
  const times = cone.girthRim / cone.side;
  const grows = `The end that you pressed on is ${say(cone.side)} long, and the way round ${times.toFixed(1)} times that: what is off at the start has grown by as much at the far end.`; // prettier-ignore
  const worst = offLineAtWorst(cone, tilt, from);
  return {
    score,
    came,
    why: [step > 0 ? 'The far end climbs' : 'The far end sinks', grows],
    tryThis:
      from === 'one end'
        ? `Hang the middle on the front mark and lay two halves: the same hand steps by ${say(stepAtSeam(cone, tilt, 'the middle'))} still, but no end strays from the line by more than ${say(offLineAtWorst(cone, tilt, 'the middle'))} instead of ${say(worst)}, and the rim’s long edge shows it before anything is pressed.` // prettier-ignore
        : `Sight along the whole rim edge on both sides before you press: over ${say(cone.girthRim / 2)} the eye sees what it misses over ${say(cone.side)}${taperOf(cone) === 0 ? '' : ', and on a taper the edge bows evenly to both sides when it is true'}.`, // prettier-ignore
  };
}

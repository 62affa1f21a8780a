import type { CutterPace } from '../model/board.ts';

/** One stroke of the blade: points as x, y in mm; the first is where it comes down. */
export interface Stroke {
  readonly pen: number;
  readonly points: Float64Array;
}

/** A stretch of the head's way: to a stroke with the blade up, or along one. */
export interface Leg {
  /** Which stroke it is, or leads to; the number of strokes for the way home. */
  readonly stroke: number;
  readonly down: boolean;
  readonly points: Float64Array;
  readonly mm: number;
  /** s, the lift before it included. */
  readonly seconds: number;
}

/** rad. Round sharper corners than this the blade comes to a stop. */
const SHARP_CORNER = Math.PI / 6;
/** mm. Over shorter bits rounding would look like corners. */
const DIRECTION_MM = 0.4;

/**
 * The way of the head over a load: from the load corner to each stroke and along it, and home again.
 *
 * Straight and gently curved stretches are run through at full pace, with the time that it takes to get going and to stop
 * at either end: L/v + v/a for a stretch of length L that is long enough to reach v, 2·√(L/a) for a shorter one.
 *
 * @param strokes in cutting order, mm
 * @param pace of the cutter
 * @returns legs in order; empty without strokes
 */
export function wayOfHead(strokes: readonly Stroke[], pace: CutterPace): Leg[] {
  if (strokes.length === 0) return [];
  const legs: Leg[] = [];
  let [x, y] = [0, 0];
  const travel = (toX: number, toY: number, stroke: number): void => {
    const mm = Math.hypot(toX - x, toY - y);
    const points = Float64Array.from([x, y, toX, toY]);
    legs.push({ stroke, down: false, points, mm, seconds: pace.liftS / 2 + runTime(mm, pace.travelMmS, pace.accelMmS2) }); // prettier-ignore
    [x, y] = [toX, toY];
  };
  strokes.forEach(({ points }, i) => {
    travel(points[0]!, points[1]!, i);
    const runs = runsOf(points);
    const mm = runs.reduce((sum, run) => sum + run, 0);
    const along = runs.reduce((sum, run) => sum + runTime(run, pace.cutMmS, pace.accelMmS2), 0);
    legs.push({ stroke: i, down: true, points, mm, seconds: pace.liftS / 2 + along });
    [x, y] = [points.at(-2)!, points.at(-1)!];
  });
  travel(0, 0, strokes.length);
  return legs;
}

/** Length and time of a way. */
export interface WayTotals {
  /** mm with the blade down. */
  readonly cutMm: number;
  readonly seconds: number;
}

/** What a way comes to. */
export const totalsOf = (legs: readonly Leg[]): WayTotals =>
  legs.reduce((sum, leg) => ({ cutMm: sum.cutMm + (leg.down ? leg.mm : 0), seconds: sum.seconds + leg.seconds }), {
    cutMm: 0,
    seconds: 0,
  });

/** Where the head is. */
export interface HeadPlace extends WayTotals {
  readonly x: number;
  readonly y: number;
  readonly down: boolean;
  /** Which stroke it is on, or on its way to. */
  readonly stroke: number;
}

/**
 * Where the head is after some time, and how much it has cut by then.
 *
 * @param legs its way
 * @param seconds since it set out; past the end, it is home
 */
export function headAt(legs: readonly Leg[], seconds: number): HeadPlace {
  let [left, cutMm] = [Math.max(0, seconds), 0];
  for (const leg of legs) {
    if (left < leg.seconds) {
      const share = left / leg.seconds;
      const [x, y] = pointAlong(leg.points, share * leg.mm);
      return { x, y, down: leg.down, stroke: leg.stroke, cutMm: cutMm + (leg.down ? share * leg.mm : 0), seconds };
    }
    left -= leg.seconds;
    if (leg.down) cutMm += leg.mm;
  }
  return { x: 0, y: 0, down: false, stroke: legs.at(-1)?.stroke ?? 0, cutMm, seconds: totalsOf(legs).seconds };
}

/** mm of each stretch between sharp corners. */
function runsOf(points: Float64Array): number[] {
  const runs: number[] = [];
  let run = 0;
  // Where the direction was taken last, and what it was.
  let [x, y, dx, dy] = [points[0]!, points[1]!, 0, 0];
  for (let i = 2; i < points.length; i += 2) {
    const step = Math.hypot(points[i]! - points[i - 2]!, points[i + 1]! - points[i - 1]!);
    const [ex, ey] = [points[i]! - x, points[i + 1]! - y];
    if (Math.hypot(ex, ey) >= DIRECTION_MM || i + 2 === points.length) {
      if (Math.abs(Math.atan2(dx * ey - dy * ex, dx * ex + dy * ey)) > SHARP_CORNER) {
        runs.push(run);
        run = 0;
      }
      [x, y, dx, dy] = [points[i]!, points[i + 1]!, ex, ey];
    }
    run += step;
  }
  return [...runs, run];
}

const runTime = (mm: number, speed: number, accel: number): number =>
  mm >= speed ** 2 / accel ? mm / speed + speed / accel : 2 * Math.sqrt(mm / accel);

function pointAlong(points: Float64Array, mm: number): [number, number] {
  let left = mm;
  for (let i = 2; i < points.length; i += 2) {
    const [ax, ay, bx, by] = [points[i - 2]!, points[i - 1]!, points[i]!, points[i + 1]!];
    const length = Math.hypot(bx - ax, by - ay);
    if (left <= length && length > 0) return [ax + ((bx - ax) * left) / length, ay + ((by - ay) * left) / length];
    left -= length;
  }
  return [points.at(-2)!, points.at(-1)!];
}

/** A careful pace for small work; starting values. */
export const USUAL_PACE: CutterPace = { cutMmS: 60, travelMmS: 200, accelMmS2: 800, liftS: 0.2 };

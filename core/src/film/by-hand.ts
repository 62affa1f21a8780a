import { boxCentre, boxOfCoordinates } from '../plane/box.ts';
import type { LayOrder } from './lay.ts';
import type { Sheet } from './sheet.ts';

/** A stroke over a sheet: where it goes on its flat, mm. */
export interface Stroke {
  /** Whether it presses film on, or warms it before. */
  readonly does: 'press' | 'warm';
  readonly points: readonly (readonly [x: number, y: number])[];
}

/** A laying in strokes of somebody's own. */
export interface OwnWay {
  readonly strokes: readonly Stroke[];
  /** mm that a thumb reaches to each side. */
  readonly reach: number;
}

/** Most steps that a laying in strokes has, so that it is laid while one waits. */
const MOST_STEPS = 48;

/**
 * The order in which strokes press a sheet on: a thumb goes along them one after another. What none of them reaches is pressed
 * last, from what lies outwards; without any stroke, from the middle of its box.
 */
export function orderOfStrokes({ flat }: Pick<Sheet, 'flat'>, { strokes, reach }: OwnWay): LayOrder {
  const points = flat.length / 2;
  const when = new Float64Array(points).fill(Infinity);
  const thumbs = strokes.filter(({ does }) => does === 'press').flatMap((one) => along(one, reach / 2));
  let steps = 0;
  for (const [x, y] of thumbs) {
    let fresh = false;
    for (let i = 0; i < points; i++)
      if (when[i] === Infinity && Math.hypot(flat[2 * i]! - x, flat[2 * i + 1]! - y) <= reach) {
        when[i] = steps;
        fresh = true;
      }
    if (fresh) steps++;
  }
  const { x: middleX, y: middleY } = boxCentre(boxOfCoordinates(flat));
  const on: (readonly [number, number])[] = steps > 0 ? [] : [[middleX, middleY]];
  for (let i = 0; i < points; i++) if (when[i] !== Infinity) on.push([flat[2 * i]!, flat[2 * i + 1]!]);
  for (let i = 0; i < points; i++) {
    if (when[i] !== Infinity) continue;
    let away = Infinity;
    for (const [x, y] of on) away = Math.min(away, Math.hypot(flat[2 * i]! - x, flat[2 * i + 1]! - y));
    when[i] = steps + Math.floor(away / reach);
  }
  return { name: 'own strokes', ...inTurn(when), sticks: true };
}

/** Steps without gaps, and no more of them than are waited for. */
function inTurn(when: Float64Array): Pick<LayOrder, 'step' | 'steps'> {
  const known = [...new Set(when)].sort((a, b) => a - b);
  const steps = Math.min(MOST_STEPS, known.length);
  const rank = new Map(known.map((one, i) => [one, Math.floor((i * steps) / known.length)]));
  return { step: Uint16Array.from(when, (one) => rank.get(one)!), steps };
}

/** Spots along a stroke, so far apart; its ends are among them. */
function along({ points }: Stroke, apart: number): (readonly [number, number])[] {
  const spots: (readonly [number, number])[] = points.slice(0, 1);
  for (let i = 1; i < points.length; i++) {
    const [[x0, y0], [x1, y1]] = [points[i - 1]!, points[i]!];
    const parts = Math.max(1, Math.ceil(Math.hypot(x1 - x0, y1 - y0) / apart));
    for (let k = 1; k <= parts; k++) spots.push([x0 + ((x1 - x0) * k) / parts, y0 + ((y1 - y0) * k) / parts]);
  }
  return spots;
}

/** Whether a spot of a sheet is warmed by strokes; null where none warms. */
export function warmedBy({ strokes, reach }: OwnWay): ((x: number, y: number) => boolean) | null {
  const spots = strokes.filter(({ does }) => does === 'warm').flatMap((one) => along(one, reach / 4));
  return spots.length > 0 ? (x, y) => spots.some(([sx, sy]) => Math.hypot(x - sx, y - sy) <= reach) : null;
}

import { EPSILON } from '../numeric/tolerances.ts';

/** rad. A swivel is written as a way of so many steps. */
const SWIVEL_STEP = Math.PI / 18;
/** rad. Which way the blade is taken to point before the first cut: along the feed. */
export const FIRST_HEADING = 0;

/** The way of the holder for one outline, and where the blade points at its end. */
export interface HolderPath {
  /** x and y by turns, mm. */
  readonly points: number[];
  /** rad, counter-clockwise from x. */
  readonly heading: number;
}

/**
 * The way that the holder of a drag knife takes so that the tip of its blade follows an outline. The tip trails the holder by
 * the blade's offset: along a straight cut the holder runs ahead by it, and at a corner it swivels round the tip, which
 * stays. Before the first cut the blade is swivelled from where it points to where the outline starts.
 *
 * @param tip x and y by turns, mm, where the tip is to go
 * @param offsetMm mm from the holder's axis to the tip
 * @param heading rad, where the blade points as it comes down
 * @returns the holder's way; empty for an outline without length
 */
export function holderPath(tip: ArrayLike<number>, offsetMm: number, heading: number): HolderPath {
  const points: number[] = [];
  let now = heading;
  const at = (x: number, y: number, angle: number): void => {
    points.push(x + offsetMm * Math.cos(angle), y + offsetMm * Math.sin(angle));
  };
  for (let i = 2; i < tip.length; i += 2) {
    const [ax, ay, bx, by] = [tip[i - 2]!, tip[i - 1]!, tip[i]!, tip[i + 1]!];
    if (Math.hypot(bx - ax, by - ay) < EPSILON) continue;
    const next = Math.atan2(by - ay, bx - ax);
    const turn = Math.atan2(Math.sin(next - now), Math.cos(next - now));
    const steps = Math.max(1, Math.ceil(Math.abs(turn) / SWIVEL_STEP));
    for (let k = 0; k <= steps; k++) at(ax, ay, now + (turn * k) / steps);
    at(bx, by, next);
    now = next;
  }
  return { points, heading: now };
}

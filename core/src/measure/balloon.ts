import type { BalloonPlan } from '../model/blank.ts';

/** Hours for which a balloon keeps its shape, by what it is filled with. Starting values; the label comes first. */
export const BALLOON_KEEPS_HOURS: Record<BalloonPlan['gas'], number> = { helium: 3, air: 48 };

/** A balloon when it is handed over. */
export interface BalloonThen {
  /** mm. */
  readonly girth: number;
  /** Share of its size that it has lost: film on it is pushed together by as much. */
  readonly shrink: number;
  readonly keepsHours: number;
  /** Hours by which the hand-over is later than it keeps; 0 when in time. */
  readonly lateHours: number;
}

/**
 * How large a balloon will be at the hand-over, and whether it lasts until then.
 *
 * @param girth when the film is laid, mm
 * @param plan gas, hours and loss per day
 */
export function balloonAtHandOver(girth: number, plan: BalloonPlan): BalloonThen {
  const shrink = Math.min(0.9, Math.max(0, ((plan.shrinkPerDay / 100) * plan.hours) / 24));
  const keepsHours = BALLOON_KEEPS_HOURS[plan.gas];
  return { girth: girth * (1 - shrink), shrink, keepsHours, lateHours: Math.max(0, plan.hours - keepsHours) };
}

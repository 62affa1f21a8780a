import type { Command } from '../model/command.ts';
import { EPSILON_MM } from '../numeric/tolerances.ts';

/** Steps in which things are moved and turned by a fix: what a hand sets and a button says. */
const [STEP_MM, STEP_DEG] = [0.5, 1];
/** Smaller changes are not visible. */
const [LEAST_FACTOR, LEAST_MM] = [0.002, 0.005];

/**
 * A fix as it is offered: in steps that a person would set, a little more rather than a little less; none when it would
 * change nothing.
 */
export function tidyFix(fix: Command): Command[] {
  switch (fix.do) {
    case 'move-item': {
      const downMm = Math.sign(fix.downMm) * STEP_MM * Math.ceil(Math.abs(fix.downMm) / STEP_MM - EPSILON_MM);
      return downMm === 0 ? [] : [{ ...fix, downMm }];
    }
    case 'turn-item': {
      const byDeg = Math.sign(fix.byDeg) * STEP_DEG * Math.ceil(Math.abs(fix.byDeg) / STEP_DEG - EPSILON_MM);
      return byDeg === 0 ? [] : [{ ...fix, byDeg }];
    }
    case 'scale-item':
      return Math.abs(1 - fix.factor) < LEAST_FACTOR && fix.toMiddleMm === undefined && fix.exact !== true ? [] : [fix];
    case 'thicken-item':
      return fix.mm < LEAST_MM ? [] : [{ ...fix, mm: Math.ceil(fix.mm * 20 - EPSILON_MM) / 20 }];
    default:
      return [fix];
  }
}

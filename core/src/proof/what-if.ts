import type { BandSizes, FitSeen } from '../blank/fit-check.ts';
import { predictFit } from '../blank/fit-check.ts';
import type { ConeSpec } from '../surface/cone.ts';
import { seamStep, trueOver100 } from '../surface/cone.ts';

/** What is tried out: how the cup differs from what was read, and how the film is started. */
export interface Trial {
  /** mm by which the top edge is off the true line over 100 mm. */
  readonly tiltMm: number;
  /** mm by which the cup is larger than was read. */
  readonly rimMm: number;
  readonly baseMm: number;
  readonly sideMm: number;
  /** Per cent by which the whole cup is larger, as another one from the same shelf may be. */
  readonly largerPercent: number;
}

/** Everything as it was read, and started true. */
export const NO_TRIAL: Trial = { tiltMm: 0, rimMm: 0, baseMm: 0, sideMm: 0, largerPercent: 0 };

/** What a trial does to the seam. */
export interface TrialOutcome extends FitSeen {
  /** mm by which the ends step past each other. */
  readonly stepMm: number;
  /** mm off the true line over 100 mm at which the ends step by a millimetre. */
  readonly trueOver100: number;
  readonly truth: BandSizes;
}

/**
 * What one would see at the seam of a template that was made for one cup and laid on another, or started off true.
 *
 * @param cone that the template was made for, mm
 * @param trial what is tried out
 * @param handleWidth strip that the wrap leaves free at the back, mm
 * @returns gaps (below nothing: overlaps), stand and step in mm; null when there is no such cup
 * @source gaps and stand as the paper fit check predicts them; step by `seamStep`
 */
export function tryOut(cone: ConeSpec, trial: Trial, handleWidth = 0): TrialOutcome | null {
  const grown = 1 + trial.largerPercent / 100;
  const truth = {
    girthRim: (cone.girthRim + trial.rimMm) * grown,
    girthBase: (cone.girthBase + trial.baseMm) * grown,
    side: (cone.side + trial.sideMm) * grown,
  };
  const steep = Math.abs(truth.girthRim - truth.girthBase) / (2 * Math.PI) >= truth.side;
  if (Math.min(truth.girthRim, truth.girthBase, truth.side) <= 0 || steep) return null;
  const seen = predictFit(cone, truth, handleWidth);
  if (![seen.gapRimMm, seen.gapBaseMm].every(Number.isFinite)) return null;
  return { ...seen, stepMm: seamStep(cone, trial.tiltMm), trueOver100: trueOver100(cone, 1), truth };
}

import type { BandSizes, FitSeen } from '../model/fit-check.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { ConeSpec } from '../surface/cone.ts';
import { coneDevelopment, seamStep, trueOver100 } from '../surface/cone.ts';
import type { SurfacePoint, SurfaceRegion } from '../surface/development.ts';
import { predictFit } from './fit-check.ts';

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
  /** Per cent by which film gives less than assumed: cold, old, or of another make. */
  readonly stifferPercent: number;
}

/** Everything as it was read, and started true. */
export const NO_TRIAL: Trial = { tiltMm: 0, rimMm: 0, baseMm: 0, sideMm: 0, largerPercent: 0, stifferPercent: 0 };

/** What a trial does to the seam. */
export interface TrialOutcome extends FitSeen {
  /** mm by which the ends step past each other. */
  readonly stepMm: number;
  /** mm off the true line over 100 mm at which the ends step by a millimetre. */
  readonly trueOver100: number;
  readonly truth: BandSizes;
  /**
   * Where a spot of the template comes to lie on that cup: azimuth in rad, slant in mm from its own rim edge; null off its
   * side.
   */
  layAt(azimuth: number, slant: number): SurfacePoint | null;
  /** Outline, on the flat of the template, that would have fitted that cup; mm. */
  outline(region: SurfaceRegion): Ring;
}

/** Points along each edge of the outline that would have fitted. */
const EDGE_POINTS = 48;

/**
 * What one would see at the seam of a template that was made for one cup and laid on another, or started off true.
 *
 * @param cone that the template was made for, mm
 * @param trial what is tried out
 * @param handleWidth strip that the wrap leaves free at the back, mm
 * @returns gaps (below nothing: overlaps), stand and step in mm; null when there is no such cup
 * @source gaps and stand as the paper fit check predicts them. The flat keeps its shape: shifted until its base edge is
 *   right in front, and turned by the tilt about the front of its rim edge, which one starts by, it lies on the other
 *   cup's own flat; the step is what its two ends then show
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
  const [flat, own] = [coneDevelopment(cone), coneDevelopment(truth)];
  const turn = Math.atan(trial.tiltMm / 100);
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  /** Height of the front of the template's rim edge on the other cup's flat: there it is held, and turned about. */
  const held = cone.side - truth.side;
  const layAt = (azimuth: number, slant: number): SurfacePoint | null => {
    const { x, y } = flat.forward(azimuth, slant);
    return own.onward(cos * x - sin * y, sin * x + cos * y + held, 1.9 * Math.PI);
  };
  const reach = Math.PI - handleWidth / 2 / flat.radiusAt(0);
  const [left, right] = [layAt(-reach, 0), layAt(reach, 0)];
  return {
    ...seen,
    stepMm: left && right ? left.slant - right.slant : seamStep(cone, trial.tiltMm, reach),
    trueOver100: trueOver100(cone, 1, reach),
    truth,
    layAt,
    outline: (region) => {
      const [leftEnd, rightEnd] = [region.left, region.right];
      const round = (edge: readonly [number, number], share: number): number => edge[0] + (edge[1] - edge[0]) * share;
      const spots: [number, number][] = [];
      for (let i = 0; i < EDGE_POINTS; i++) {
        const t = i / EDGE_POINTS;
        spots[i] = [round(leftEnd, t), t * truth.side];
        spots[EDGE_POINTS + i] = [leftEnd[1] + (rightEnd[1] - leftEnd[1]) * t, truth.side];
        spots[2 * EDGE_POINTS + i] = [round(rightEnd, 1 - t), (1 - t) * truth.side];
        spots[3 * EDGE_POINTS + i] = [rightEnd[0] + (leftEnd[0] - rightEnd[0]) * t, 0];
      }
      return Float64Array.from(
        spots.flatMap(([azimuth, slant]) => {
          const { x, y } = own.forward(azimuth, slant);
          const up = y - held;
          return [cos * x + sin * up, -sin * x + cos * up];
        }),
      );
    },
  };
}

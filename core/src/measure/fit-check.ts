import type { BandSizes, FitSeen } from '../model/fit-check.ts';
import { solveNewton } from '../numeric/newton.ts';
import type { ConeSpec } from '../surface/cone.ts';
import { coneDevelopment } from '../surface/cone.ts';

/** mm. Thickness of home printing paper; the fit paper is made for it. */
export const FIT_PAPER_MM = 0.1;

/** mm, 1 σ. How well a person reads a gap between two paper edges with a ruler. */
export const SEEN_SIGMA_MM = 0.5;

/** mm. More than this is no correction: the readings or the print are wrong. */
export const MOST_SEEN_MM = 40;

/** A solved check, or why no cone explains what was seen. */
export type FitResult =
  | {
      readonly ok: true;
      readonly after: BandSizes;
      readonly sigma: BandSizes;
      /** mm. On a straight blank: how much more the rim's gap is than the base's; it should be about none. */
      readonly unevenMm: number;
    }
  | { readonly ok: false; readonly code: 'too-much' | 'no-cone' };

/** What is seen, and how far the rim edge stands off at the back, mm, above (+) or below (−). */
export interface FitPredicted extends FitSeen {
  readonly standBackMm: number;
}

/**
 * What a wrapped paper would show on a blank of other sizes than it was made for.
 *
 * @param paper the cone that the paper was made for, mm
 * @param truth the cone that it is wrapped round, mm
 * @param handleWidth strip that the paper leaves free at the back, mm
 * @returns gaps at both ends of the seam and how far the rim edge stands off in front, mm
 * @source the paper keeps its flat shape, so on the true cone's own development it lies as it is, shifted along the
 *   front until the base edge is right; its corners, taken back to the surface, tell how much of the way round is left
 */
export function predictFit(paper: ConeSpec, truth: ConeSpec, handleWidth = 0): FitPredicted {
  const flat = coneDevelopment(paper);
  const surface = coneDevelopment(truth);
  const shift = paper.side - truth.side;
  const cornerAt = (slant: number): { gap: number; slant: number } => {
    const corner = flat.forward(Math.PI - handleWidth / 2 / flat.radiusAt(slant), slant);
    const spot = surface.onward(corner.x, corner.y + shift, 1.9 * Math.PI);
    if (!spot) return { gap: NaN, slant: NaN };
    return { gap: 2 * (Math.PI - spot.azimuth) * surface.radiusAt(spot.slant) - handleWidth, slant: spot.slant };
  };
  const rim = cornerAt(0);
  return { gapRimMm: rim.gap, gapBaseMm: cornerAt(paper.side).gap, standMm: shift, standBackMm: -rim.slant };
}

/**
 * Finds the sizes that explain what was seen on the wrapped fit paper.
 *
 * The stand fixes the side; the two gaps fix the girths. On a straight blank one girth is sought, from both gaps.
 *
 * @param sizes that the paper was made from, on the surface, mm
 * @param seen what the paper showed, mm
 * @param straight whether rim and base are one girth
 * @param handleWidth mm; 0 for none
 * @param paperMm thickness of the paper, below zero when it was laid on the inside
 * @returns true sizes with their 1 σ, or why there are none
 * @source Newton's method on `predictFit` from the first guess C + gap, s − stand; σ by differences of the solution,
 *   added as squares
 */
export function solveFit(
  sizes: BandSizes,
  seen: FitSeen,
  straight: boolean,
  handleWidth = 0,
  paperMm = FIT_PAPER_MM,
): FitResult {
  const far = [seen.gapRimMm, seen.gapBaseMm, seen.standMm].some((v) => !(Math.abs(v) <= MOST_SEEN_MM));
  if (far || seen.standMm >= sizes.side) return { ok: false, code: 'too-much' };
  const after = solve(sizes, seen, straight, handleWidth, paperMm);
  if (!after) return { ok: false, code: 'no-cone' };
  const step = 0.05;
  const effects = (['gapRimMm', 'gapBaseMm', 'standMm'] as const).map((key) => {
    const moved = solve(sizes, { ...seen, [key]: seen[key] + step }, straight, handleWidth, paperMm) ?? after;
    const effect = (of: keyof BandSizes): number => ((moved[of] - after[of]) / step) * SEEN_SIGMA_MM;
    return { girthRim: effect('girthRim'), girthBase: effect('girthBase'), side: effect('side') };
  });
  const total = (of: keyof BandSizes): number => Math.hypot(...effects.map((e) => e[of]));
  return {
    ok: true,
    after,
    sigma: { girthRim: total('girthRim'), girthBase: total('girthBase'), side: total('side') },
    unevenMm: straight ? seen.gapRimMm - seen.gapBaseMm : 0,
  };
}

function solve(
  sizes: BandSizes,
  seen: FitSeen,
  straight: boolean,
  handleWidth: number,
  paperMm: number,
): BandSizes | null {
  const inPaper = (girth: number): number => girth + Math.PI * paperMm;
  const paper = { girthRim: inPaper(sizes.girthRim), girthBase: inPaper(sizes.girthBase), side: sizes.side };
  const side = sizes.side - seen.standMm;
  const miss = (girthRim: number, girthBase: number): FitSeen | null => {
    const truth = { girthRim: inPaper(girthRim), girthBase: inPaper(girthBase), side };
    const step = Math.abs(girthRim - girthBase) / (2 * Math.PI);
    return girthRim > 0 && girthBase > 0 && step < side ? predictFit(paper, truth, handleWidth) : null;
  };
  const equations = straight
    ? ([girth]: readonly number[]): number[] => {
        const shown = miss(girth!, girth!);
        return [shown ? (shown.gapRimMm + shown.gapBaseMm - seen.gapRimMm - seen.gapBaseMm) / 2 : NaN];
      }
    : ([rim, base]: readonly number[]): number[] => {
        const shown = miss(rim!, base!);
        return shown ? [shown.gapRimMm - seen.gapRimMm, shown.gapBaseMm - seen.gapBaseMm] : [NaN, NaN];
      };
  const guess = straight
    ? [sizes.girthRim + (seen.gapRimMm + seen.gapBaseMm) / 2]
    : [sizes.girthRim + seen.gapRimMm, sizes.girthBase + seen.gapBaseMm];
  const solved = solveNewton(equations, guess, 1e-7);
  if (!solved.converged) return null;
  const [girthRim, girthBase = girthRim] = solved.value;
  return { girthRim: girthRim!, girthBase: girthBase!, side };
}

import type { BandSizes, FitSeen } from '../model/fit-check.ts';
import type { ConeSpec } from '../surface/cone.ts';
import { taperOf } from '../surface/cone.ts';
import { girthOfFilm } from '../surface/girth-of-film.ts';
import type { FitResult } from './fit-check.ts';
import { predictFit, SEEN_SIGMA_MM, solveFit } from './fit-check.ts';

/** A conic band that was cut from paper for a profile, and the side that it was worked out from; mm. */
export interface PaperBand {
  /** Sizes that the band was worked out from: girths at its ends and its length down the side. */
  readonly sizes: BandSizes;
  /** The cone that the paper's flat shape belongs to. */
  readonly cone: ConeSpec;
  /** mm of paper; below zero when it was laid on the inside. */
  readonly paperMm: number;
  /** Change of the side's radius per mm down, at the rim end. */
  readonly slopeRim: number;
}

/**
 * What a wrapped paper band would show on a side of other sizes.
 *
 * @param band the paper
 * @param truth the side that it is wrapped round
 * @param handleWidth strip that the paper leaves free at the back, mm
 * @returns gaps at both ends and how far the rim edge stands off in front
 * @source what a wrong girth or side does is what it does on the band's cone (`predictFit`). On top of it the ends gape or
 *   lap on the right side already: a band's edges are longer or shorter than the girths by its strain. And above its rim
 *   end the side runs on with its own slope, not with the cone's
 */
export function predictBandFit(band: PaperBand, truth: BandSizes, handleWidth = 0): FitSeen {
  const { cone, sizes } = band;
  const shown = predictFit(
    cone,
    {
      girthRim: cone.girthRim + truth.girthRim - sizes.girthRim,
      girthBase: cone.girthBase + truth.girthBase - sizes.girthBase,
      side: truth.side,
    },
    handleWidth,
  );
  const always = ownGaps(band, shown.standMm);
  return {
    gapRimMm: shown.gapRimMm + always.rim,
    gapBaseMm: shown.gapBaseMm + always.base,
    standMm: shown.standMm,
  };
}

/**
 * Finds the sizes that explain what was seen on a wrapped paper band: `predictBandFit` the other way round.
 *
 * @param band the paper
 * @param seen what it showed, mm
 * @param handleWidth mm; 0 for none
 * @returns true sizes with their 1 σ, or why there are none
 */
export function solveBandFit(band: PaperBand, seen: FitSeen, handleWidth = 0): FitResult {
  const { cone, sizes } = band;
  const bare = {
    girthRim: cone.girthRim - Math.PI * band.paperMm,
    girthBase: cone.girthBase - Math.PI * band.paperMm,
    side: cone.side,
  };
  const always = ownGaps(band, seen.standMm);
  const onCone = { ...seen, gapRimMm: seen.gapRimMm - always.rim, gapBaseMm: seen.gapBaseMm - always.base };
  const solved = solveFit(bare, onCone, false, handleWidth, band.paperMm);
  if (!solved.ok) return solved;
  const { after, sigma } = solved;
  return {
    ...solved,
    after: {
      girthRim: sizes.girthRim + after.girthRim - bare.girthRim,
      girthBase: sizes.girthBase + after.girthBase - bare.girthBase,
      side: after.side,
    },
    sigma: { ...sigma, girthRim: Math.hypot(sigma.girthRim, 2 * Math.PI * excessSlope(band) * SEEN_SIGMA_MM) },
  };
}

/** Slope of the side at its rim end over that of the band's cone. */
const excessSlope = ({ cone, slopeRim }: PaperBand): number => slopeRim + taperOf(cone);

/** Gaps that the paper shows on the very side that it was made for, mm. */
function ownGaps(band: PaperBand, standMm: number): { rim: number; base: number } {
  const { sizes, cone } = band;
  return {
    rim: girthOfFilm(sizes.girthRim, band.paperMm) - cone.girthRim - 2 * Math.PI * excessSlope(band) * standMm,
    base: girthOfFilm(sizes.girthBase, band.paperMm) - cone.girthBase,
  };
}

import type { ConeSpec } from '../surface/cone.ts';
import type { BandSizes, FitCheck } from './fit-check.ts';
import type { Reading } from './reading.ts';
import { girthOfFilm, girthUnderTape, summariseReading } from './reading.ts';

/** Kinds of blank that can be measured so far. */
export type BlankKind = 'straight' | 'tapered';

/** What a blank is made of where the film goes. */
export type SurfaceKind =
  'glass' | 'glazed ceramic' | 'bare steel' | 'powder-coated steel' | 'painted' | 'raw terracotta' | 'plastic';

/** Names of the readings that a blank may carry. */
export type ReadingName = 'girthRim' | 'girthBase' | 'side' | 'upright' | 'acrossRim';

/** The undecorated thing, by its readings. */
export interface Blank {
  readonly id: string;
  readonly name: string;
  readonly kind: BlankKind;
  readonly surface: SurfaceKind;
  /** CSS colour that the blank is drawn in. */
  readonly colour: string;
  readonly readings: { readonly [name in ReadingName]?: Reading | undefined };
  /** Width of the handle where it meets the side, mm; 0 for none. */
  readonly handleWidthMm: number;
  /** Film keeps this far from the handle, mm. */
  readonly handleClearanceMm: number;
  /** The band starts this far below the drinking edge, mm. */
  readonly bandBelowRimMm: number;
  /** Film keeps this far from the drinking edge, mm. */
  readonly rimClearanceMm: number;
  /** Film keeps this far from the base end of the band, mm. */
  readonly baseClearanceMm: number;
  /** The last paper fit check, if one was made. */
  readonly fitCheck: FitCheck | null;
  readonly notes: string;
}

/** The lines of the sum from what was read to what the template needs, mm. */
export interface GirthSum {
  readonly read: number;
  readonly takenOffForTape: number;
  /** What the paper fit check adds; negative takes off. */
  readonly fromFitCheck: number;
  readonly surface: number;
}

/** A blank's corrected sizes, mm. */
export interface BlankSize {
  readonly rim: GirthSum;
  readonly base: GirthSum;
  readonly side: number;
  readonly upright: number;
  /** Which length was read; the other one is worked out. */
  readonly sideFrom: 'side' | 'upright';
  /** mm. What the paper fit check adds to the side. */
  readonly sideFromFitCheck: number;
  /** Whether a fit check counts, or its readings have changed since. */
  readonly fit: 'none' | 'applied' | 'stale';
  /** Signed sine of the half-angle. */
  readonly taper: number;
}

/** Why a blank cannot be flattened yet. */
export type BlankProblem =
  | { readonly code: 'reading-missing'; readonly reading: ReadingName }
  | { readonly code: 'side-too-short'; readonly sideMm: number; readonly leastMm: number }
  | { readonly code: 'handle-too-wide'; readonly handleMm: number; readonly girthMm: number };

/** A size, or what is missing or impossible. */
export type BlankSizeResult =
  { readonly ok: true; readonly size: BlankSize } | { readonly ok: false; readonly problem: BlankProblem };

/** The readings that a kind of blank cannot do without, in the order in which they are asked for. */
export function readingsAskedFor(kind: BlankKind): readonly ReadingName[] {
  return kind === 'straight' ? ['girthRim', 'side'] : ['girthRim', 'girthBase', 'side'];
}

/**
 * Works out a blank's true sizes from its readings, and from its paper fit check as long as the readings are those that
 * the check was made on.
 *
 * @param blank readings as taken
 * @returns sizes in mm, or the first thing that stands in the way
 * @source side from upright height: s = √(h² + ((C₁ − C₂)/2π)²)
 */
export function sizeBlank(blank: Blank): BlankSizeResult {
  const rimRead = girthSum(blank, 'girthRim');
  if (!rimRead) return { ok: false, problem: { code: 'reading-missing', reading: 'girthRim' } };
  const baseRead = blank.kind === 'straight' ? rimRead : girthSum(blank, 'girthBase');
  if (!baseRead) return { ok: false, problem: { code: 'reading-missing', reading: 'girthBase' } };
  const along = summariseReading(blank.readings.side);
  const up = summariseReading(blank.readings.upright);
  if (!along && !up) return { ok: false, problem: { code: 'reading-missing', reading: 'side' } };
  const sideFrom = along ? 'side' : 'upright';
  const sideRead = along ? along.mean : Math.hypot(up!.mean, (rimRead.surface - baseRead.surface) / (2 * Math.PI));

  const read = { girthRim: rimRead.surface, girthBase: baseRead.surface, side: sideRead };
  const fit = blank.fitCheck === null ? 'none' : sameSizes(blank.fitCheck.before, read) ? 'applied' : 'stale';
  const { girthRim, girthBase, side } = fit === 'applied' ? blank.fitCheck!.after : read;
  const stepIn = (girthRim - girthBase) / (2 * Math.PI);
  if (!(side > Math.abs(stepIn)))
    return { ok: false, problem: { code: 'side-too-short', sideMm: side, leastMm: Math.abs(stepIn) } };
  const narrow = Math.min(girthRim, girthBase);
  if (blank.handleWidthMm + 2 * blank.handleClearanceMm >= narrow)
    return { ok: false, problem: { code: 'handle-too-wide', handleMm: blank.handleWidthMm, girthMm: narrow } };
  return {
    ok: true,
    size: {
      rim: { ...rimRead, fromFitCheck: girthRim - rimRead.surface, surface: girthRim },
      base: { ...baseRead, fromFitCheck: girthBase - baseRead.surface, surface: girthBase },
      side,
      upright: Math.sqrt(side * side - stepIn * stepIn),
      sideFrom,
      sideFromFitCheck: side - sideRead,
      fit,
      taper: stepIn / side,
    },
  };
}

/** mm. Sizes this near to those that a fit check was made on are the same: rounding, not a new reading. */
const SAME_SIZE_MM = 0.02;

const sameSizes = (a: BandSizes, b: BandSizes): boolean =>
  Math.abs(a.girthRim - b.girthRim) < SAME_SIZE_MM &&
  Math.abs(a.girthBase - b.girthBase) < SAME_SIZE_MM &&
  Math.abs(a.side - b.side) < SAME_SIZE_MM;

function girthSum(blank: Blank, name: 'girthRim' | 'girthBase'): GirthSum | null {
  const reading = blank.readings[name];
  const summary = summariseReading(reading);
  if (!reading || !summary) return null;
  const takenOffForTape = Math.PI * reading.thicknessMm;
  const surface = girthUnderTape(summary.mean, reading.thicknessMm);
  return surface > 0 ? { read: summary.mean, takenOffForTape, fromFitCheck: 0, surface } : null;
}

/**
 * The cone that film of some thickness is cut for.
 *
 * @param size corrected sizes, mm
 * @param filmThickness mm; 0 for the bare surface
 */
export function coneOfBlank(size: BlankSize, filmThickness: number): ConeSpec {
  return {
    girthRim: girthOfFilm(size.rim.surface, filmThickness),
    girthBase: girthOfFilm(size.base.surface, filmThickness),
    side: size.side,
  };
}

/** Widths of the zones that film keeps clear of, measured on the band, mm. */
export interface BandZones {
  readonly rim: number;
  readonly base: number;
  readonly handle: number;
}

/** The clearances as they fall on the band: the rim's is counted from the drinking edge, which lies above the band. */
export function zonesOfBlank(blank: Blank): BandZones {
  return {
    rim: Math.max(0, blank.rimClearanceMm - blank.bandBelowRimMm),
    base: blank.baseClearanceMm,
    handle: blank.handleWidthMm > 0 ? blank.handleClearanceMm : 0,
  };
}

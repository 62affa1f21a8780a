import type { ConeSpec } from '../surface/cone.ts';
import type { ProfileStation } from '../surface/profile.ts';
import { profileOf } from '../surface/profile.ts';
import { balloonHalfLength } from '../surface/spheroid.ts';
import type { Blank, ReadingName } from '../model/blank.ts';
import type { BandSizes } from '../model/fit-check.ts';
import type { Reading } from '../model/reading.ts';
import { girthOfFilm, girthUnderTape, summariseReading } from './reading.ts';

/** The lines of the sum from what was read to what the template needs, mm. */
export interface GirthSum {
  readonly read: number;
  /** Below zero where the tape lay on the inside: then it is added. */
  readonly takenOffForTape: number;
  /** What the wall takes off where the outside was read for film on the inside. */
  readonly takenOffForWall: number;
  /** What the paper fit check adds; negative takes off. */
  readonly fromFitCheck: number;
  readonly surface: number;
}

/** What the readings say of the surface beyond its ends, mm; plain data, so that it can be posted and kept. */
export type BlankForm =
  | { readonly form: 'cone' }
  | {
      readonly form: 'profile';
      /** Corrected, the first at 0. */
      readonly stations: readonly ProfileStation[];
      readonly along: 'side' | 'upright';
      /** Part of the side that is flattened, mm along it. */
      readonly keep: readonly [number, number];
      /** Length of the whole side. */
      readonly whole: number;
    }
  /** A lid; its hole lies `holeUp` above its middle. */
  | { readonly form: 'disk'; readonly across: number; readonly hole: number; readonly holeUp: number }
  | { readonly form: 'plane'; readonly width: number; readonly height: number }
  /** A ball, or a balloon as a spheroid: radius at the widest girth, half its length from neck to crown. */
  | { readonly form: 'ball'; readonly radius: number; readonly halfLength: number };

/** A blank's corrected sizes, mm. On a face, rim and base are its width. */
export interface BlankSize {
  readonly rim: GirthSum;
  readonly base: GirthSum;
  /** Length of the part that the template covers, from top to bottom. */
  readonly side: number;
  readonly upright: number;
  /** Which length was read; the other one is worked out. */
  readonly sideFrom: 'side' | 'upright';
  /** mm. What the paper fit check adds to the side. */
  readonly sideFromFitCheck: number;
  /** Whether a fit check counts, or its readings have changed since. */
  readonly fit: 'none' | 'applied' | 'stale';
  /** Signed sine of the half-angle; 0 on a face, the mean on a profile. */
  readonly taper: number;
  readonly shape: BlankForm;
}

/** Why a blank cannot be flattened yet. */
export type BlankProblem =
  | { readonly code: 'reading-missing'; readonly reading: ReadingName }
  | { readonly code: 'side-too-short'; readonly sideMm: number; readonly leastMm: number }
  /** rad, from upright. */
  | { readonly code: 'too-steep'; readonly halfAngle: number; readonly most: number }
  | { readonly code: 'handle-too-wide'; readonly handleMm: number; readonly girthMm: number }
  | { readonly code: 'stations-few'; readonly have: number }
  /** `station` counts from 1, from the rim end down. */
  | { readonly code: 'station-order'; readonly station: number }
  | { readonly code: 'station-size'; readonly station: number; readonly girthMm: number }
  | { readonly code: 'station-steep'; readonly station: number }
  | { readonly code: 'hole-too-wide'; readonly holeMm: number; readonly acrossMm: number }
  | { readonly code: 'balloon-too-short'; readonly overMm: number; readonly leastMm: number };

/** A size, or what is missing or impossible. */
export type BlankSizeResult =
  { readonly ok: true; readonly size: BlankSize } | { readonly ok: false; readonly problem: BlankProblem };

/** Fewest and most heights at which a profile is read. */
export const STATIONS = { least: 2, most: 25 } as const;

/** rad. Half-angle past which nothing is flattened: such a thing is a plate, not a cup. */
export const STEEPEST_FLATTENED = Math.PI / 3;

/** mm. The shortest band that is worth cutting. */
const LEAST_BAND_MM = 5;

/**
 * Works out a blank's true sizes from its readings, and from its paper fit check as long as the readings are those that
 * the check was made on.
 *
 * @param blank readings as taken
 * @returns sizes in mm, or the first thing that stands in the way
 */
export function sizeBlank(blank: Blank): BlankSizeResult {
  switch (blank.kind) {
    case 'straight':
    case 'tapered':
      return sizeCone(blank);
    case 'profile':
      return sizeProfile(blank);
    case 'ball':
    case 'balloon':
      return sizeBall(blank);
    case 'lid':
      return sizeLid(blank);
    case 'flat':
      return sizeFlat(blank);
  }
}

const fails = (problem: BlankProblem): BlankSizeResult => ({ ok: false, problem });
const missing = (reading: ReadingName): BlankSizeResult => fails({ code: 'reading-missing', reading });

/** @source side from upright height: s = √(h² + ((C₁ − C₂)/2π)²) */
function sizeCone(blank: Blank): BlankSizeResult {
  const rimRead = girthSum(blank, blank.readings.girthRim);
  if (!rimRead) return missing('girthRim');
  const baseRead = blank.kind === 'straight' ? rimRead : girthSum(blank, blank.readings.girthBase);
  if (!baseRead) return missing('girthBase');
  const along = summariseReading(blank.readings.side);
  const up = summariseReading(blank.readings.upright);
  if (!along && !up) return missing('side');
  const sideRead = along ? along.mean : Math.hypot(up!.mean, (rimRead.surface - baseRead.surface) / (2 * Math.PI));

  const read = { girthRim: rimRead.surface, girthBase: baseRead.surface, side: sideRead };
  const { fit, sizes } = fitted(blank, read);
  const { girthRim, girthBase, side } = sizes;
  const stepIn = (girthRim - girthBase) / (2 * Math.PI);
  if (!(side > Math.abs(stepIn))) return fails({ code: 'side-too-short', sideMm: side, leastMm: Math.abs(stepIn) });
  return (
    steepProblem(stepIn / side) ??
    handleProblem(blank, Math.min(girthRim, girthBase)) ?? {
      ok: true,
      size: {
        rim: { ...rimRead, fromFitCheck: girthRim - rimRead.surface, surface: girthRim },
        base: { ...baseRead, fromFitCheck: girthBase - baseRead.surface, surface: girthBase },
        side,
        upright: Math.sqrt(side * side - stepIn * stepIn),
        sideFrom: along ? 'side' : 'upright',
        sideFromFitCheck: side - sideRead,
        fit,
        taper: stepIn / side,
        shape: { form: 'cone' },
      },
    }
  );
}

/** A fit check moves the stations with the ends: the girths by their place between them, the heights in proportion. */
function sizeProfile(blank: Blank): BlankSizeResult {
  const read: (ProfileStation & { readonly sum: GirthSum })[] = [];
  const first = summariseReading(blank.stations[0]?.down)?.mean ?? 0;
  for (const [i, { down, girth }] of blank.stations.entries()) {
    const sum = girthSum(blank, girth);
    const at = i === 0 ? { mean: first } : summariseReading(down);
    if (!sum || !at) continue;
    if (sum.surface < 10 || sum.surface > 5000)
      return fails({ code: 'station-size', station: i + 1, girthMm: sum.read });
    if (at.mean - first <= (read.at(-1)?.down ?? -1)) return fails({ code: 'station-order', station: i + 1 });
    read.push({ down: at.mean - first, girth: sum.surface, sum });
  }
  if (read.length < STATIONS.least) return fails({ code: 'stations-few', have: read.length });
  const [top, bottom] = [read[0]!, read.at(-1)!];
  const steep = steepStation(read, blank.stationsAlong);
  if (steep !== null) return fails({ code: 'station-steep', station: steep + 1 });
  const wholeRead = profileOf(read, blank.stationsAlong).sideLength;
  const [from, to] = keptPart(blank, wholeRead);
  const plain = profileOf(read, blank.stationsAlong);
  const girthAt = (profile: typeof plain, slant: number): number => 2 * Math.PI * profile.radiusAt(slant);
  const { fit, sizes } = fitted(blank, {
    girthRim: girthAt(plain, from),
    girthBase: girthAt(plain, to),
    side: to - from,
  });
  const stretch = sizes.side / (to - from);
  const stations = read.map(({ down, girth }): ProfileStation => {
    const share = bottom.down === 0 ? 0 : down / bottom.down;
    const more = (sizes.girthRim - girthAt(plain, from)) * (1 - share) + (sizes.girthBase - girthAt(plain, to)) * share;
    return { down: down * stretch, girth: girth + more };
  });
  const corrected = fit === 'applied' && steepStation(stations, blank.stationsAlong) === null;
  const used = corrected ? stations : read.map(({ down, girth }) => ({ down, girth }));
  const profile = corrected ? profileOf(used, blank.stationsAlong) : plain;
  const keep: [number, number] = corrected ? [from * stretch, Math.min(to * stretch, profile.sideLength)] : [from, to];
  const [rim, base] = [girthAt(profile, keep[0]), girthAt(profile, keep[1])];
  const side = keep[1] - keep[0];
  const upright = uprightOf(profile.slopeAt, keep);
  return (
    handleProblem(blank, Math.min(rim, base)) ?? {
      ok: true,
      size: {
        rim: { ...top.sum, fromFitCheck: rim - girthAt(plain, from), surface: rim },
        base: { ...bottom.sum, fromFitCheck: base - girthAt(plain, to), surface: base },
        side,
        upright,
        sideFrom: blank.stationsAlong,
        sideFromFitCheck: side - (to - from),
        fit,
        taper: (rim - base) / (2 * Math.PI * side),
        shape: { form: 'profile', stations: used, along: blank.stationsAlong, keep, whole: profile.sideLength },
      },
    }
  );
}

/** The part of the side that is kept, within what there is of it. */
function keptPart(blank: Blank, whole: number): readonly [number, number] {
  const { keep } = blank.flattening;
  if (!keep) return [0, whole];
  const from = Math.max(0, Math.min(keep[0], whole - LEAST_BAND_MM));
  const to = Math.min(whole, Math.max(keep[1], from + LEAST_BAND_MM));
  return from < to ? [from, to] : [0, whole];
}

/** Change of the radius per mm between two stations past which a side is a plate: 72° from upright. */
const STEEPEST_STEP = { side: 0.95, upright: 3 } as const;

/** First station that the side cannot reach from the one above, counted from 0; null when all is well. */
function steepStation(stations: readonly ProfileStation[], along: 'side' | 'upright'): number | null {
  for (let i = 1; i < stations.length; i++) {
    const [a, b] = [stations[i - 1]!, stations[i]!];
    if (Math.abs(b.girth - a.girth) / (2 * Math.PI) >= STEEPEST_STEP[along] * (b.down - a.down)) return i;
  }
  try {
    profileOf(stations, along);
    return null;
  } catch {
    // The smooth curve through them is steeper between two stations than their chord.
    const steepness = stations
      .slice(1)
      .map((b, i) => Math.abs(b.girth - stations[i]!.girth) / (b.down - stations[i]!.down));
    return 1 + steepness.indexOf(Math.max(...steepness));
  }
}

function uprightOf(slopeAt: (slant: number) => number, [from, to]: readonly [number, number]): number {
  const steps = 200;
  let sum = 0;
  for (let i = 0; i < steps; i++)
    sum += Math.sqrt(Math.max(0, 1 - slopeAt(from + ((to - from) * (i + 0.5)) / steps) ** 2));
  return (sum * (to - from)) / steps;
}

/** Girth, or for want of it what was read across; a balloon's second reading runs over its skin from neck to crown. */
function sizeBall(blank: Blank): BlankSizeResult {
  const across = summariseReading(blank.readings.across)?.mean;
  const sum: GirthSum | null =
    girthSum(blank, blank.readings.girth) ??
    (blank.kind === 'ball' && across !== undefined
      ? { read: across, takenOffForTape: 0, takenOffForWall: 0, fromFitCheck: 0, surface: Math.PI * across }
      : null);
  if (!sum) return missing('girth');
  const radius = sum.surface / (2 * Math.PI);
  const over = summariseReading(blank.readings.overCrown)?.mean;
  if (blank.kind === 'balloon' && over === undefined) return missing('overCrown');
  const halfLength = blank.kind === 'balloon' ? balloonHalfLength(radius, over!) : radius;
  if (halfLength === null) return fails({ code: 'balloon-too-short', overMm: over!, leastMm: 2 * radius });
  return {
    ok: true,
    size: {
      ...faceOf(sum, Math.PI * radius),
      shape: { form: 'ball', radius, halfLength },
    },
  };
}

function sizeLid(blank: Blank): BlankSizeResult {
  const across = summariseReading(blank.readings.across)?.mean;
  if (across === undefined) return missing('across');
  const hole = summariseReading(blank.readings.hole)?.mean ?? 0;
  const holeIn = summariseReading(blank.readings.holeIn)?.mean;
  const holeUp = hole > 0 && holeIn !== undefined ? across / 2 - holeIn - hole / 2 : 0;
  if (hole > 0 && (hole >= across - 2 || Math.abs(holeUp) + hole / 2 > across / 2 - 1))
    return fails({ code: 'hole-too-wide', holeMm: hole, acrossMm: across });
  return { ok: true, size: { ...faceOf(plainSum(across), across), shape: { form: 'disk', across, hole, holeUp } } };
}

function sizeFlat(blank: Blank): BlankSizeResult {
  const width = summariseReading(blank.readings.width)?.mean;
  if (width === undefined) return missing('width');
  const height = summariseReading(blank.readings.height)?.mean;
  if (height === undefined) return missing('height');
  return { ok: true, size: { ...faceOf(plainSum(width), height), shape: { form: 'plane', width, height } } };
}

const plainSum = (read: number): GirthSum => ({
  read,
  takenOffForTape: 0,
  takenOffForWall: 0,
  fromFitCheck: 0,
  surface: read,
});

const faceOf = (width: GirthSum, side: number): Omit<BlankSize, 'shape'> => ({
  rim: width,
  base: width,
  side,
  upright: side,
  sideFrom: 'side',
  sideFromFitCheck: 0,
  fit: 'none',
  taper: 0,
});

/** mm. Sizes this near to those that a fit check was made on are the same: rounding, not a new reading. */
const SAME_SIZE_MM = 0.02;

/** Sizes as the fit check has them, as long as it was made on these readings. */
function fitted(blank: Blank, read: BandSizes): { fit: BlankSize['fit']; sizes: BandSizes } {
  if (blank.fitCheck === null) return { fit: 'none', sizes: read };
  const { before, after } = blank.fitCheck;
  const same = (['girthRim', 'girthBase', 'side'] as const).every((k) => Math.abs(before[k] - read[k]) < SAME_SIZE_MM);
  return same ? { fit: 'applied', sizes: after } : { fit: 'stale', sizes: read };
}

function steepProblem(taper: number): BlankSizeResult | null {
  const halfAngle = Math.asin(Math.min(1, Math.abs(taper)));
  return halfAngle > STEEPEST_FLATTENED ? fails({ code: 'too-steep', halfAngle, most: STEEPEST_FLATTENED }) : null;
}

/** Without a handle there is none to be in the way, however slim the thing is. */
function handleProblem(blank: Blank, narrow: number): BlankSizeResult | null {
  return blank.handleWidthMm > 0 && blank.handleWidthMm + 2 * blank.handleClearanceMm >= narrow
    ? fails({ code: 'handle-too-wide', handleMm: blank.handleWidthMm, girthMm: narrow })
    : null;
}

/**
 * What comes off a girth as it was read, for the tape that lay there and for the wall between it and the film, mm.
 *
 * @source tape: π·t less on the outside, more on the inside; a wall of w parts two girths by 2π·w
 */
export function takenOffGirth(
  inside: Blank['inside'],
  { thicknessMm }: Pick<Reading, 'thicknessMm'>,
): { readonly tape: number; readonly wall: number } {
  return {
    tape: -girthUnderTape(0, inside?.read === 'inside' ? -thicknessMm : thicknessMm),
    wall: inside?.read === 'outside' ? 2 * Math.PI * inside.wallMm : 0,
  };
}

function girthSum({ inside }: Blank, reading: Reading | undefined): GirthSum | null {
  const summary = summariseReading(reading);
  if (!reading || !summary) return null;
  const { tape, wall } = takenOffGirth(inside, reading);
  const surface = summary.mean - tape - wall;
  return surface > 0
    ? { read: summary.mean, takenOffForTape: tape, takenOffForWall: wall, fromFitCheck: 0, surface }
    : null;
}

/**
 * The cone that film of some thickness is cut for, on a straight or tapered blank.
 *
 * @param size corrected sizes, mm
 * @param filmThickness mm; 0 for the bare surface, below zero for film on the inside
 */
export function coneOfBlank(size: BlankSize, filmThickness: number): ConeSpec {
  return {
    girthRim: girthOfFilm(size.rim.surface, filmThickness),
    girthBase: girthOfFilm(size.base.surface, filmThickness),
    side: size.side,
  };
}

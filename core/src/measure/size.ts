import type { ReadingName } from '../model/blank.ts';
import type { ConeSpec } from '../surface/cone.ts';
import type { ProfileStation } from '../surface/profile.ts';
import { girthOfFilm } from './reading.ts';

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

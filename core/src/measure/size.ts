import type { BlankKind, ReadingName } from '../model/blank.ts';
import type { SolidData } from '../solid/solid.ts';

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

/** A blank's corrected sizes, mm. On a face, rim and base are its width. */
export interface BlankSize<Data extends SolidData = SolidData> {
  readonly kind: BlankKind;
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
  /** What its kind knows of its solid beyond its ends; `solidOf` reads it. */
  readonly data: Data;
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

/** Why there are no sizes. */
export interface NoSize {
  readonly ok: false;
  readonly problem: BlankProblem;
}

/** A size, or what is missing or impossible. */
export type BlankSizeResult<Data extends SolidData = SolidData> =
  { readonly ok: true; readonly size: BlankSize<Data> } | NoSize;

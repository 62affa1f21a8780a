import type { Blank, FlatteningChoice } from '../model/blank.ts';
import type { ConeSpec } from '../surface/cone.ts';
import { coneDevelopment } from '../surface/cone.ts';
import type { Development } from '../surface/development.ts';
import type { Profile } from '../surface/profile.ts';
import type { DrawnBlank, DrawnSolid } from './drawn.ts';
import type { FlattenAsk, Flattening } from './flattening.ts';
import type { Asked, TapePlace } from './tape-place.ts';

/** What a kind of blank keeps of its solid beyond the sizes at its ends: plain, so that it can be posted and kept. */
export type SolidData = object;

/** The solid that a blank is: all that any stage or view asks of its form. A new form answers this and nothing else. */
export interface Solid {
  /** A side that curves as well down as round; null where it runs straight. */
  readonly curved: CurvedSide | null;
  /** The side that gores are cut of; null where none are. */
  readonly gores: Profile | null;
  /** What film is laid on when it does not go round; null when it does, and meets itself at a seam. */
  readonly face: Face | null;
  /** mm. What a patch lies on: radius at the widest girth, and half the length from pole to pole. */
  readonly spheroid: { readonly radius: number; readonly halfLength: number } | null;
  /** How film could be laid on it, what each way asks of the film, and the one that is taken. */
  flatten(asked: FlattenAsk): Flattening;
  /** The cone whose development the flat shape is, and where things lie on it; a face is a cone of no taper, as wide round as it is across. */
  unroll(filmThickness: number, flattening: Flattening): Unrolled;
  /** Gaussian curvature by slant of the template (mm), 1/mm²; null where it develops. */
  gaussianAt(choice: FlatteningChoice): ((slant: number) => number) | null;
  /** As views draw it. @param patchMm mm across, what a patch covers; null while not known */
  drawn(blank: DrawnBlank, patchMm: number | null): DrawnSolid;
  /** Where the tape lies for a reading; null for readings that it does not have. @param drawn itself */
  tapeFor(asked: Asked, blank: Blank, drawn: DrawnSolid): TapePlace | null;
}

/** The side of a bowl, bottle or pot. */
export interface CurvedSide {
  /** As far as it was read. */
  readonly whole: Profile;
  /** Part of it that the template covers, mm along it. */
  readonly keep: readonly [number, number];
  /** That part, counted from where it begins. */
  readonly kept: Profile;
}

/** What film is laid on when it does not go round. */
export interface Face {
  /** A round, or else a rectangle. */
  readonly round: boolean;
  /** A hole, mm; its middle lies `up` above that of the face. */
  readonly hole: { readonly across: number; readonly up: number } | null;
  /** A part of something that goes on curving past its edge: it grows with what it carries, and nothing rubs there. */
  readonly patch: boolean;
}

/** Where things lie on the flat. */
export interface Unrolled {
  readonly cone: ConeSpec;
  readonly surface: Development;
}

/** A face in the plane. */
export const unrolledFace = (width: number, height: number): Unrolled => {
  const cone = { girthRim: width, girthBase: width, side: height };
  return { cone, surface: coneDevelopment(cone) };
};

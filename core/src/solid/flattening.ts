import type { Blank } from '../model/blank.ts';
import type { FilmGive, WidestPieces } from '../surface/film-strain.ts';

/** How a side is laid flat. */
export type FlattenWay = 'exact' | 'band' | 'bands' | 'gores' | 'patch';

/** One way that a side could be laid flat, and what it asks of the film. */
export interface FlattenOption {
  readonly way: FlattenWay;
  /** Bands or gores; 1 otherwise. */
  readonly parts: number;
  /** Largest strain that remains: of a band or patch round the blank, of a gore at its edges. As a fraction, ≥ 0. */
  readonly strain: number;
  /** The same against what the film gives: 1 is the limit. */
  readonly load: number;
}

/** Strain over the template, for the heat map. */
export interface StrainMap {
  /** Counted down from the rim edge, or away from the middle of a patch. */
  readonly by: 'slant' | 'distance';
  /** Even pull with which a patch is laid, so that its middle stretches and its edge is pushed together less; added everywhere. */
  readonly pull: number;
  /** mm, and the strain there: stretch positive, squeeze negative. */
  readonly samples: readonly { readonly at: number; readonly strain: number }[];
}

/** How a blank's side is laid flat, why, and what else there would be. */
export interface Flattening extends FlattenOption {
  readonly give: FilmGive;
  readonly map: StrainMap | null;
  /** Where the strain is worst, mm down from the rim edge or from the middle of a patch, and what it is. */
  readonly worst: { readonly at: number; readonly strain: number } | null;
  /** What can be chosen, the best first. */
  readonly options: readonly FlattenOption[];
  /** The part of the side that one band may cover, when it may not cover all: where it ends, and how much is left off. */
  readonly cutDown: {
    readonly end: 'rim' | 'base';
    readonly leftOff: number;
    readonly keep: readonly [number, number];
    /** Worst strain of the whole band in what is left off. */
    readonly strain: number;
  } | null;
  /** Widest decals that lie flat where the side curves most. */
  readonly widest: WidestPieces | null;
  /** mm. What a plain rectangle as long as the widest girth would have too much at the narrowest. */
  readonly rectangleExcess: number;
  /** mm across, of a patch. */
  readonly patchMm: number;
  /** Where bands begin and end along the side, mm; empty when it is not laid in bands. */
  readonly cuts: readonly number[];
}

/** What a solid is laid flat for. */
export interface FlattenAsk {
  /** For its choice and, of a balloon, its plan. */
  readonly blank: Pick<Blank, 'flattening' | 'balloon'>;
  /** mm. */
  readonly filmThickness: number;
  readonly give: FilmGive;
  /** What a patch has to cover across, unless its size was chosen, mm. */
  readonly leastPatchMm: number;
}

/** Most bands and gores that anyone lays. */
export const MOST_PARTS = { bands: 6, gores: 48 } as const;

export const clampParts = (parts: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, Math.round(parts)));

/** What unrolls without any strain. */
export const EXACT: Omit<Flattening, 'give'> = {
  way: 'exact',
  parts: 1,
  strain: 0,
  load: 0,
  map: null,
  worst: null,
  options: [{ way: 'exact', parts: 1, strain: 0, load: 0 }],
  cutDown: null,
  widest: null,
  rectangleExcess: 0,
  patchMm: 0,
  cuts: [],
};

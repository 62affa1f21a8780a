import { balloonAtHandOver } from '../measure/balloon.ts';
import type { Blank, FlatteningChoice } from '../model/blank.ts';
import type { BlankForm, BlankSize } from '../measure/size.ts';
import { girthOfFilm } from '../measure/reading.ts';
import type { ConicBand } from '../surface/conic-band.ts';
import { bandCuts, bestConicBand, fewestBands, longestBand } from '../surface/conic-band.ts';
import type { FilmGive, WidestPieces } from '../surface/film-strain.ts';
import { neededGive, widestPulled } from '../surface/film-strain.ts';
import type { Profile } from '../surface/profile.ts';
import { profileOf } from '../surface/profile.ts';
import { spheroidGaussian } from '../surface/spheroid.ts';

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

/** Curvature under which a side counts as flat one way: film over a span of its whole length stays under 0.01 %. */
const FLAT_LOAD = 0.004;
/** Most bands and gores that anyone lays. */
export const MOST_PARTS = { bands: 6, gores: 48 } as const;

/**
 * Chooses how a blank's side is laid flat and says what that asks of the film.
 *
 * @param blank for its choice and, of a balloon, its plan
 * @param size corrected sizes
 * @param filmThickness mm
 * @param give what the film takes
 * @param leastPatchMm what a patch has to cover across, unless its size was chosen, mm
 */
export function flatten(
  blank: Blank,
  size: BlankSize,
  filmThickness: number,
  give: FilmGive,
  leastPatchMm = 0,
): Flattening {
  const { shape } = size;
  if (shape.form === 'profile') return flattenProfile(blank.flattening, shape, filmThickness, give);
  if (shape.form === 'ball') return flattenBall(blank, shape, give, leastPatchMm);
  return {
    ...EXACT,
    give,
    rectangleExcess: shape.form === 'cone' ? Math.abs(size.rim.surface - size.base.surface) : 0,
  };
}

const EXACT: Omit<Flattening, 'give'> = {
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

/** The side of a profile that is flattened, counted from where it begins; with the girth for a film. */
export function keptSide(shape: Extract<BlankForm, { form: 'profile' }>): Profile {
  const whole = profileOf(shape.stations, shape.along);
  const [from, to] = shape.keep;
  return {
    sideLength: to - from,
    radiusAt: (slant) => whole.radiusAt(from + slant),
    slopeAt: (slant) => whole.slopeAt(from + slant),
    gaussianAt: (slant) => whole.gaussianAt(from + slant),
  };
}

function flattenProfile(
  choice: FlatteningChoice,
  shape: Extract<BlankForm, { form: 'profile' }>,
  filmThickness: number,
  give: FilmGive,
): Flattening {
  const side = keptSide(shape);
  const girthAt = (slant: number): number => girthOfFilm(2 * Math.PI * side.radiusAt(slant), filmThickness);
  const band = bestConicBand(girthAt, [0, side.sideLength], give);
  const one: FlattenOption = { way: 'band', parts: 1, strain: Math.abs(band.worst.strain), load: band.load };
  const girths = Array.from({ length: 121 }, (_, i) => girthAt((side.sideLength * i) / 120));
  const gaussian = Array.from({ length: 121 }, (_, i) => side.gaussianAt((side.sideLength * i) / 120));
  const sharpest = gaussian.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
  const develops = band.load < FLAT_LOAD;
  const whole = [0, side.sideLength] as const;
  const bandsOption = (parts: number): FlattenOption & { readonly cuts: readonly number[] } => {
    const found = bandCuts(girthAt, whole, give, parts);
    const loads = found
      .slice(1)
      .map((to, i, cuts) => bestConicBand(girthAt, [i === 0 ? 0 : cuts[i - 1]!, to], give))
      .sort((a, b) => b.load - a.load);
    return { way: 'bands', parts, strain: Math.abs(loads[0]!.worst.strain), load: loads[0]!.load, cuts: found };
  };
  const goresOption = (parts: number): FlattenOption => {
    const needed = Math.max(...girths.map((girth, i) => neededGive(gaussian[i]!, { width: girth / parts, fill: 0 })));
    return { way: 'gores', parts, strain: needed, load: needed / (give.stretch + give.squeeze) };
  };
  const fewest = (option: (parts: number) => FlattenOption, from: number, most: number): FlattenOption => {
    for (let parts = from; parts < most; parts++) {
      const made = option(parts);
      if (made.load <= 1) return made;
    }
    return option(most);
  };
  const { cuts, ...bands } = bandsOption(
    choice.way === 'bands' && choice.parts
      ? clampParts(choice.parts, 2, MOST_PARTS.bands)
      : Math.max(2, fewestBands(girthAt, whole, give, MOST_PARTS.bands)),
  );
  const gores =
    choice.way === 'gores' && choice.parts
      ? goresOption(clampParts(choice.parts, 2, MOST_PARTS.gores))
      : fewest(goresOption, 3, MOST_PARTS.gores);
  const options = develops ? [one] : [one, bands, gores];
  const chosen = choice.way === 'bands' && !develops ? bands : choice.way === 'gores' && !develops ? gores : one;
  const steps = 48;
  const map: StrainMap | null = develops
    ? null
    : {
        by: 'slant',
        pull: 0,
        samples: Array.from({ length: steps + 1 }, (_, i) => {
          const at = (side.sideLength * i) / steps;
          return { at, strain: band.strainAt(at) };
        }),
      };
  return {
    ...chosen,
    give,
    map,
    worst: develops ? null : { at: band.worst.slant, strain: band.worst.strain },
    options,
    cutDown: band.load > 1 ? cutDownOf(shape, girthAt, side, give, band) : null,
    widest: develops || sharpest === 0 ? null : widestPulled(sharpest, give.stretch, give.squeeze),
    rectangleExcess: Math.max(...girths) - Math.min(...girths),
    patchMm: 0,
    cuts: chosen === bands ? cuts : [],
  };
}

const clampParts = (parts: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, Math.round(parts)));

/** The end at which less has to be left off so that one band lies flat. */
function cutDownOf(
  shape: Extract<BlankForm, { form: 'profile' }>,
  girthAt: (slant: number) => number,
  side: Profile,
  give: FilmGive,
  band: ConicBand,
): Flattening['cutDown'] {
  const whole: [number, number] = [0, side.sideLength];
  const fromRim = longestBand(girthAt, whole, give, 'rim');
  const fromBase = longestBand(girthAt, whole, give, 'base');
  const end = fromRim[1] - fromRim[0] >= fromBase[1] - fromBase[0] ? 'base' : 'rim';
  // Whole millimetres, rounded towards less film.
  const kept = end === 'base' ? [0, Math.floor(fromRim[1])] : [Math.ceil(fromBase[0]), side.sideLength];
  const [from, to] = kept as [number, number];
  if (to - from < 5) return null;
  const off = end === 'base' ? ([to, side.sideLength] as const) : ([0, from] as const);
  const strains = Array.from({ length: 41 }, (_, i) => band.strainAt(off[0] + ((off[1] - off[0]) * i) / 40));
  return {
    end,
    leftOff: side.sideLength - (to - from),
    keep: [shape.keep[0] + from, shape.keep[0] + to],
    strain: strains.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a)),
  };
}

/** Latitude of a patch's middle, parametric, rad. */
export function patchLatitude(choice: FlatteningChoice): number {
  return (Math.max(-80, Math.min(80, choice.patchUpDeg)) * Math.PI) / 180;
}

function flattenBall(
  blank: Blank,
  shape: Extract<BlankForm, { form: 'ball' }>,
  give: FilmGive,
  leastPatchMm: number,
): Flattening {
  const choice = blank.flattening;
  const gaussian = spheroidGaussian(shape.radius, shape.halfLength, patchLatitude(choice));
  const bend = 1 / Math.sqrt(gaussian);
  const shrink = blank.kind === 'balloon' ? balloonAtHandOver(1, blank.balloon).shrink : 0;
  const room = Math.max(0, give.stretch + give.squeeze - shrink);
  const widest = widestPulled(gaussian, room, 0);
  const largest = Math.PI * 0.9 * Math.min(bend, shape.radius);
  const across = Math.min(largest, Math.max(5, choice.patchMm ?? Math.max(Math.floor(widest.disk), leastPatchMm)));
  const strainAt = (distance: number): number =>
    distance < 1e-9 ? 0 : (bend * Math.sin(distance / bend)) / distance - 1;
  const needed = -strainAt(across / 2) + shrink;
  const patch: FlattenOption = { way: 'patch', parts: 1, strain: needed, load: needed / (give.stretch + give.squeeze) };
  const goresOption = (parts: number): FlattenOption => {
    const width = (2 * Math.PI * shape.radius) / parts;
    const strain = neededGive(spheroidGaussian(shape.radius, shape.halfLength, 0), { width, fill: 0 }) + shrink;
    return { way: 'gores', parts, strain, load: strain / (give.stretch + give.squeeze) };
  };
  let parts = choice.way === 'gores' && choice.parts ? clampParts(choice.parts, 2, MOST_PARTS.gores) : 4;
  if (!(choice.way === 'gores' && choice.parts))
    while (parts < MOST_PARTS.gores && goresOption(parts).load > 1) parts += 1;
  const gores = goresOption(parts);
  // Gores of a balloon would be laid pole to pole over its neck; only a ball takes them.
  const options = blank.kind === 'ball' ? [patch, gores] : [patch];
  const chosen = choice.way === 'gores' && blank.kind === 'ball' ? gores : patch;
  const steps = 24;
  const samples = Array.from({ length: steps + 1 }, (_, i) => {
    const at = ((across / 2) * i) / steps;
    return { at, strain: strainAt(at) - shrink };
  });
  return {
    ...chosen,
    give,
    map: { by: 'distance', pull: patch.load * give.stretch, samples },
    worst: { at: across / 2, strain: -needed },
    options,
    cutDown: null,
    widest,
    rectangleExcess: 2 * Math.PI * shape.radius,
    patchMm: across,
    cuts: [],
  };
}

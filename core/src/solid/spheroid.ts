import type { Blank, FlatteningChoice } from '../model/blank.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import { neededGive, widestPulled } from '../surface/film-strain.ts';
import { ballProfile } from '../surface/profile.ts';
import { spheroidGaussian } from '../surface/spheroid.ts';
import type { DrawnSolid, SolidRow } from './drawn.ts';
import { NOTHING_DRAWN } from './drawn.ts';
import type { FlattenAsk, Flattening, FlattenOption } from './flattening.ts';
import { clampParts, MOST_PARTS } from './flattening.ts';
import type { Solid } from './solid.ts';
import { unrolledFace } from './solid.ts';

/** What is kept of a ball or balloon, mm: radius at the widest girth, half its length from pole to pole. */
export interface SpheroidData {
  readonly radius: number;
  readonly halfLength: number;
}

/** A ball or balloon as its kind has it. */
export interface SpheroidLike extends SpheroidData {
  /** What it hangs by, or is tied with. */
  readonly topper: 'cap' | 'neck';
  /** Whether gores can be laid on it from pole to pole. */
  readonly inGores: boolean;
  /** Share of its size that it loses until it is handed over. */
  readonly shrinkOf: (blank: Pick<Blank, 'balloon'>) => number;
}

/** mm across. What a patch is drawn as until it is known. */
const TYPICAL_PATCH_MM = 24;

/** A ball, or a balloon as a spheroid: it unrolls nowhere, and takes a round patch, or gores. */
export function spheroidSolid(like: SpheroidLike): Solid {
  const { radius, halfLength } = like;
  return {
    curved: null,
    gores: like.inGores ? ballProfile(radius) : null,
    face: { round: true, hole: null, patch: true },
    spheroid: { radius, halfLength },
    flatten: (asked) => flattenPatch(like, asked),
    unroll: (_film, { patchMm }) => unrolledFace(patchMm, patchMm),
    gaussianAt: (choice) => {
      const gaussian = spheroidGaussian(radius, halfLength, patchLatitude(choice));
      return () => gaussian;
    },
    drawn: ({ flattening }, patchMm) => drawnSpheroid(like, patchLatitude(flattening), patchMm ?? TYPICAL_PATCH_MM),
    tapeFor: (asked, _blank, { rows }) =>
      asked === 'girth'
        ? { lies: 'round', slant: (rows.at(-1)?.[0] ?? 0) / 2, hang: 'middle' }
        : asked === 'overCrown'
          ? { lies: 'over' }
          : asked === 'across'
            ? { lies: 'across', height: 0, before: radius + 4, half: radius }
            : null,
  };
}

/** Latitude of a patch's middle, parametric, rad. */
function patchLatitude(choice: FlatteningChoice): number {
  return (Math.max(-80, Math.min(80, choice.patchUpDeg)) * Math.PI) / 180;
}

function drawnSpheroid({ radius, halfLength, topper }: SpheroidLike, latitude: number, across: number): DrawnSolid {
  const steps = 48;
  let slant = 0;
  const rows = Array.from({ length: steps + 1 }, (_, i): SolidRow => {
    const b = Math.PI / 2 - (Math.PI * i) / steps;
    const stretch = Math.hypot(radius * Math.sin(b), halfLength * Math.cos(b));
    if (i > 0) slant += (stretch * Math.PI) / steps;
    return [slant, radius * Math.cos(b), halfLength * Math.sin(b), (radius * Math.sin(b)) / stretch];
  });
  const ball = { radius, halfLength, latitude };
  return { ...NOTHING_DRAWN, body: 'patched', rows, side: across, width: across, round: true, ball, topper };
}

function flattenPatch(
  { radius, halfLength, inGores, shrinkOf }: SpheroidLike,
  { blank, give, leastPatchMm }: FlattenAsk,
): Flattening {
  const choice = blank.flattening;
  const gaussian = spheroidGaussian(radius, halfLength, patchLatitude(choice));
  const bend = 1 / Math.sqrt(gaussian);
  const shrink = shrinkOf(blank);
  const room = Math.max(0, give.stretch + give.squeeze - shrink);
  const widest = widestPulled(gaussian, room, 0);
  const largest = Math.PI * 0.9 * Math.min(bend, radius);
  const across = Math.min(largest, Math.max(5, choice.patchMm ?? Math.max(Math.floor(widest.disk), leastPatchMm)));
  const strainAt = (distance: number): number =>
    distance < EPSILON ? 0 : (bend * Math.sin(distance / bend)) / distance - 1;
  const needed = -strainAt(across / 2) + shrink;
  const patch: FlattenOption = { way: 'patch', parts: 1, strain: needed, load: needed / (give.stretch + give.squeeze) };
  const goresOption = (parts: number): FlattenOption => {
    const width = (2 * Math.PI * radius) / parts;
    const strain = neededGive(spheroidGaussian(radius, halfLength, 0), { width, fill: 0 }) + shrink;
    return { way: 'gores', parts, strain, load: strain / (give.stretch + give.squeeze) };
  };
  let parts = choice.way === 'gores' && choice.parts ? clampParts(choice.parts, 2, MOST_PARTS.gores) : 4;
  if (!(choice.way === 'gores' && choice.parts))
    while (parts < MOST_PARTS.gores && goresOption(parts).load > 1) parts += 1;
  const gores = goresOption(parts);
  const options = inGores ? [patch, gores] : [patch];
  const chosen = choice.way === 'gores' && inGores ? gores : patch;
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
    rectangleExcess: 2 * Math.PI * radius,
    patchMm: across,
    cuts: [],
  };
}

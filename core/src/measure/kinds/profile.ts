import type { Blank } from '../../model/blank.ts';
import { EPSILON_MM } from '../../numeric/tolerances.ts';
import type { CurvedData } from '../../solid/curved-side.ts';
import { curvedSolid } from '../../solid/curved-side.ts';
import type { ProfileStation } from '../../surface/profile.ts';
import { profileOf } from '../../surface/profile.ts';
import type { ErrorReport } from '../error-report.ts';
import { SEEN_SIGMA_MM } from '../fit-check.ts';
import { summariseReading } from '../reading.ts';
import type { BlankSize, BlankSizeResult, GirthSum } from '../size.ts';
import { fails, fitted, girthSum, handleProblem } from '../sizing.ts';
import type { KindOfBlank } from './kind.ts';

/** Fewest and most heights at which a profile is read. */
export const STATIONS = { least: 2, most: 25 } as const;

/** mm. The shortest band that is worth cutting. */
export const LEAST_BAND_MM = 5;

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
        kind: blank.kind,
        rim: { ...top.sum, fromFitCheck: rim - girthAt(plain, from), surface: rim },
        base: { ...bottom.sum, fromFitCheck: base - girthAt(plain, to), surface: base },
        side,
        upright,
        sideFrom: blank.stationsAlong,
        sideFromFitCheck: side - (to - from),
        fit,
        taper: (rim - base) / (2 * Math.PI * side),
        data: { stations: used, along: blank.stationsAlong, keep },
      },
    }
  );
}

/** The part of the side that is kept, within what there is of it. */
export function keptPart(blank: Blank, whole: number): readonly [number, number] {
  const { keep } = blank.flattening;
  if (!keep) return [0, whole];
  const from = Math.max(0, Math.min(keep[0], whole - LEAST_BAND_MM));
  const to = Math.min(whole, Math.max(keep[1], from + LEAST_BAND_MM));
  return from < to ? [from, to] : [0, whole];
}

/** Change of the radius per mm between two stations past which a side is a plate: 72° from upright. */
export const STEEPEST_STEP = { side: 0.95, upright: 3 } as const;

/** First station that the side cannot reach from the one above, counted from 0; null when all is well. */
export function steepStation(stations: readonly ProfileStation[], along: 'side' | 'upright'): number | null {
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

export function uprightOf(slopeAt: (slant: number) => number, [from, to]: readonly [number, number]): number {
  const steps = 200;
  let sum = 0;
  for (let i = 0; i < steps; i++)
    sum += Math.sqrt(Math.max(0, 1 - slopeAt(from + ((to - from) * (i + 0.5)) / steps) ** 2));
  return (sum * (to - from)) / steps;
}

/**
 * Ends of the band as sure as the girths that were read there, the side as sure as the two heights it lies between. Between
 * the ends, girths weigh in the strain, not in the seam's ends.
 */
function reportProfile(blank: Blank, size: BlankSize): ErrorReport {
  const read = blank.stations.filter(({ girth }) => girth.takes.length > 0);
  const sigmas = read.map(({ girth }) => summariseReading(girth)!.sigma);
  const downs = [read[0], read.at(-1)].map((station) => summariseReading(station?.down)?.sigma ?? 0);
  const seen = size.fit === 'applied' ? SEEN_SIGMA_MM : null;
  const uneven = Math.max(...sigmas) - Math.min(...sigmas) > EPSILON_MM;
  return {
    gapRim: seen ?? sigmas[0]!,
    gapBase: seen ?? sigmas.at(-1)!,
    driftFront: seen ?? Math.hypot(downs[0]!, downs[1]!),
    driftBack: 0,
    weakest: sigmas[0]! >= sigmas.at(-1)! ? 'girthRim' : 'girthBase',
    weakestStation: uneven ? 1 + blank.stations.indexOf(read[sigmas.indexOf(Math.max(...sigmas))]!) : null,
  };
}

const wholeSide = ({ stations, along }: CurvedData): number => profileOf(stations, along).sideLength;

/** A bowl, goblet, bottle or pot: girths at some heights. */
export const profile: KindOfBlank = {
  label: 'Curved side',
  like: 'bowl, goblet, bottle, pot',
  icon: 'M5 4C3 13 8 18 9 20H15C16 18 21 13 19 4M5 4A7 1.7 0 0 0 19 4A7 1.7 0 0 0 5 4',
  reads: 'Girths at some heights',
  round: true,
  usual: { surface: 'glass', colour: '#DCEBEC' },
  typical: curvedSolid({
    stations: [
      { down: 0, girth: 300 },
      { down: 35, girth: 310 },
      { down: 70, girth: 240 },
    ],
    along: 'side',
    keep: null,
  }),
  asked: [],
  byStations: true,
  welcome: [],
  size: sizeProfile,
  solid: ({ data }: BlankSize<CurvedData>) => curvedSolid(data),
  told: ({ data }: BlankSize<CurvedData>, mm, bare) => {
    const girths = data.stations.map(({ girth }) => girth);
    return [`${bare(Math.min(...girths))} to ${mm(Math.max(...girths))} round`, `${mm(wholeSide(data))} down the side`];
  },
  facts: ({ data }: BlankSize<CurvedData>, mm) => [['Down the whole side', mm(wholeSide(data))]],
  errors: reportProfile,
  doubts: () => [],
};

import type { FilmGive } from './film-strain.ts';
import type { ConeSpec } from './cone.ts';
import { coneDevelopment } from './cone.ts';
import type { Development } from './development.ts';
import type { Profile } from './profile.ts';

/** The flat band that lies best on a side that curves both ways. */
export interface ConicBand {
  /** The cone that the flat band belongs to: its edges are as long as its girths, mm. */
  readonly cone: ConeSpec;
  /** Hoop strain when laid, at a distance from the band's rim edge: stretch positive, squeeze negative. */
  strainAt(slant: number): number;
  /** The worst strain against what the film gives: 1 is the limit. */
  readonly load: number;
  /** Where it is worst, mm from the band's rim edge, and the strain there. */
  readonly worst: { readonly slant: number; readonly strain: number };
}

/** Places across the band at which the girth is taken; between them a smooth girth strays by less than a millionth. */
const PLACES = 241;

/**
 * The best conic band for a side: lengths along the side are kept, and round it the flat length is linear in the distance
 * from the rim edge, so that the band is an annular sector; of all such, the one whose worst strain is least.
 *
 * @param girthAt girth at a distance along the side, mm; never below 0
 * @param range where the band begins and ends along the side, mm
 * @param give what the film takes; stretch and squeeze weigh by it
 * @returns the band; on a straight or tapered side its strain is nothing
 * @throws RangeError when the range is empty
 * @source equidistant conic: e(s) = C(s)/L(s) − 1 with L linear. For the shape of a line, L = a·m(s), the best a lets
 *   the largest and the smallest C/m reach the weighted limit together: λ = (q₁ − q₀)/(q₀·t + q₁·c). What is left is one
 *   share w between the ends, m = (1 − w)(1 − x) + w·x; the lines within a bound are a convex set, so that λ has no other
 *   valley in w. Golden section: the exact minimax over the places looked at
 */
export function bestConicBand(
  girthAt: (slant: number) => number,
  range: readonly [number, number],
  give: FilmGive,
): ConicBand {
  const [from, to] = range;
  const length = to - from;
  const { share, bound, most } = bestLine(girthAt, range, give, PLACES, 72);

  const scale = most / (1 + bound * give.stretch);
  const [start, end] = [scale * (1 - share), scale * share];
  const slope = (end - start) / length;
  const strainAt = (slant: number): number => girthAt(from + slant) / (start + slope * slant) - 1;
  const loadAt = (strain: number): number => (strain > 0 ? strain / give.stretch : -strain / give.squeeze);
  const worst = Array.from({ length: PLACES }, (_, i) => (length * i) / (PLACES - 1))
    .map((slant) => ({ slant, strain: strainAt(slant) }))
    .reduce((a, b) => (loadAt(b.strain) > loadAt(a.strain) ? b : a));
  return {
    cone: { girthRim: start, girthBase: end, side: length },
    strainAt,
    load: loadAt(worst.strain),
    worst,
  };
}

/** The line whose worst strain is least, by the share of its slope, with that strain and the largest ratio of girth to line. */
function bestLine(
  girthAt: (slant: number) => number,
  [from, to]: readonly [number, number],
  give: FilmGive,
  places: number,
  rounds: number,
): { share: number; bound: number; most: number } {
  const length = to - from;
  if (!(length > 0)) throw new RangeError(`a band must have a width, got ${from} to ${to}`);
  const girths = Float64Array.from({ length: places }, (_, i) => girthAt(from + (length * i) / (places - 1)));

  /** Worst weighted strain of the best line of a shape, and its largest and smallest ratio. */
  const lineOf = (share: number): { bound: number; most: number; least: number } => {
    let most = -Infinity;
    let least = Infinity;
    for (let i = 0; i < places; i++) {
      const x = i / (places - 1);
      const ratio = girths[i]! / ((1 - share) * (1 - x) + share * x);
      most = Math.max(most, ratio);
      least = Math.min(least, ratio);
    }
    return { bound: (most - least) / (least * give.stretch + most * give.squeeze), most, least };
  };
  const golden = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [0, 1];
  let [a, b] = [1 - golden, golden];
  let [atA, atB] = [lineOf(a).bound, lineOf(b).bound];
  for (let i = 0; i < rounds; i++) {
    if (atA < atB) {
      [high, b, atB] = [b, a, atA];
      a = high - golden * (high - low);
      atA = lineOf(a).bound;
    } else {
      [low, a, atA] = [a, b, atB];
      b = low + golden * (high - low);
      atB = lineOf(b).bound;
    }
  }
  const share = (low + high) / 2;
  const { bound, most } = lineOf(share);
  return { share, bound, most };
}

/** Places and rounds that are enough to compare bands with each other: the load is then good to a hundredth of itself. */
const ROUGHLY = { places: 41, rounds: 26 } as const;
/** Halvings of a length, and of a load, in the search for cuts. */
const HALVINGS = { length: 13, load: 16 } as const;

/**
 * Where several bands meet so that the worst of them strains as little as can be.
 *
 * @param girthAt girth at a distance along the side, mm
 * @param range the whole side, mm
 * @param give what the film takes
 * @param parts bands, ≥ 1
 * @returns parts + 1 distances along the side, mm, from one end to the other
 * @source a part of a band never strains more than the band: within a load, bands laid as long as they may be from one end
 *   need the fewest; the least load within which so many reach the other end is found by halving
 */
export function bandCuts(
  girthAt: (slant: number) => number,
  range: readonly [number, number],
  give: FilmGive,
  parts: number,
): number[] {
  const [from, to] = range;
  if (parts === 1) return [from, to];
  let [low, high] = [0, roughLoad(girthAt, range, give)];
  for (let i = 0; i < HALVINGS.load; i++) {
    const middle = (low + high) / 2;
    if (cutsWithin(girthAt, range, give, middle, parts) === null) low = middle;
    else high = middle;
  }
  const cuts = cutsWithin(girthAt, range, give, high, parts) ?? [from, to];
  // Where fewer would do, the longest is halved: as many as were asked for are made.
  while (cuts.length < parts + 1) {
    const at = cuts.slice(1).reduce((best, _, i) => (wide(cuts, i) > wide(cuts, best) ? i : best), 0);
    cuts.splice(at + 1, 0, (cuts[at]! + cuts[at + 1]!) / 2);
  }
  return cuts;
}

const wide = (cuts: readonly number[], i: number): number => cuts[i + 1]! - cuts[i]!;

/**
 * The fewest bands that the film takes; `most` when it would take more.
 *
 * @param girthAt girth at a distance along the side, mm
 * @param range the whole side, mm
 * @param give what the film takes
 * @param most bands that are tried
 */
export function fewestBands(
  girthAt: (slant: number) => number,
  range: readonly [number, number],
  give: FilmGive,
  most: number,
): number {
  const cuts = cutsWithin(girthAt, range, give, 1, most);
  return cuts === null ? most : cuts.length - 1;
}

/** Cuts between bands that are each as long as a load allows; null when more than `most` are needed. */
function cutsWithin(
  girthAt: (slant: number) => number,
  [from, to]: readonly [number, number],
  give: FilmGive,
  load: number,
  most: number,
): number[] | null {
  const cuts = [from];
  while (cuts.length <= most) {
    const start = cuts.at(-1)!;
    const takes = (end: number): boolean => roughLoad(girthAt, [start, end], give) <= load;
    if (takes(to)) return [...cuts, to];
    if (cuts.length === most) return null;
    let [low, high] = [start, to];
    for (let i = 0; i < HALVINGS.length; i++) {
      const middle = (low + high) / 2;
      if (takes(middle)) low = middle;
      else high = middle;
    }
    if (low <= start) return null;
    cuts.push(low);
  }
  return null;
}

const roughLoad = (girthAt: (slant: number) => number, range: readonly [number, number], give: FilmGive): number =>
  bestLine(girthAt, range, give, ROUGHLY.places, ROUGHLY.rounds).bound;

/**
 * The longest band from one end of a range that the film still takes.
 *
 * @param girthAt girth at a distance along the side, mm
 * @param range the whole side, mm
 * @param give what the film takes
 * @param keep which end of the range the band must start from
 * @returns the range itself when the film takes all of it; otherwise the part where its worst strain is at the limit
 */
export function longestBand(
  girthAt: (slant: number) => number,
  range: readonly [number, number],
  give: FilmGive,
  keep: 'rim' | 'base',
): readonly [number, number] {
  const [from, to] = range;
  const part = (length: number): readonly [number, number] =>
    keep === 'rim' ? [from, from + length] : [to - length, to];
  const takes = (length: number): boolean => bestConicBand(girthAt, part(length), give).load <= 1;
  if (takes(to - from)) return range;
  let [low, high] = [0, to - from];
  while (high - low > 0.01) {
    const middle = (low + high) / 2;
    if (takes(middle)) low = middle;
    else high = middle;
  }
  return part(low);
}

/**
 * The development of a profile by its best conic band: the flat shape of the band's cone, with the profile's own radius
 * and the strain that remains.
 *
 * @param profile the side
 * @param give what the film takes
 */
export function bandDevelopment(profile: Profile, give: FilmGive): { development: Development; band: ConicBand } {
  const band = bestConicBand((slant) => 2 * Math.PI * profile.radiusAt(slant), [0, profile.sideLength], give);
  return {
    band,
    development: {
      ...coneDevelopment(band.cone),
      radiusAt: profile.radiusAt,
      distortion: (_azimuth, slant) => ({ hoop: band.strainAt(slant), along: 0, shear: 0 }),
    },
  };
}

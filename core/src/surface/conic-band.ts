import type { ConeSpec } from './cone.ts';
import { coneDevelopment } from './cone.ts';
import type { Development } from './development.ts';
import type { Profile } from './profile.ts';

/** How much a film gives before it fails, as fractions. */
export interface FilmGive {
  /** Longest that it may be pulled, > 0. */
  readonly stretch: number;
  /** Most that it may be pushed together before it tents, > 0. */
  readonly squeeze: number;
}

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
 * @param girthAt girth at a distance along the side, mm
 * @param range where the band begins and ends along the side, mm
 * @param give what the film takes; stretch and squeeze weigh by it
 * @returns the band; on a straight or tapered side its strain is nothing
 * @throws RangeError when the range is empty
 * @source equidistant conic: e(s) = C(s)/L(s) − 1 with L linear. For a bound λ on the weighted strain a line must lie above
 *   C/(1 + λt) and below C/(1 − λc); for a slope, the room between the two is known at once, and it is concave in the
 *   slope. λ by halving, the slope by golden section: the exact minimax over the places looked at
 */
export function bestConicBand(
  girthAt: (slant: number) => number,
  range: readonly [number, number],
  give: FilmGive,
): ConicBand {
  const [from, to] = range;
  const length = to - from;
  if (!(length > 0)) throw new RangeError(`a band must have a width, got ${from} to ${to}`);
  const places = Array.from({ length: PLACES }, (_, i) => (length * i) / (PLACES - 1));
  const girths = places.map((s) => girthAt(from + s));

  /** Room between the line's floor and ceiling at a slope, and the line in its middle. */
  const roomAt = (slope: number, bound: number): { room: number; start: number } => {
    let floor = -Infinity;
    let ceiling = Infinity;
    for (let i = 0; i < PLACES; i++) {
      const rise = slope * places[i]!;
      floor = Math.max(floor, girths[i]! / (1 + bound * give.stretch) - rise);
      ceiling = Math.min(ceiling, girths[i]! / (1 - bound * give.squeeze) - rise);
    }
    return { room: ceiling - floor, start: (ceiling + floor) / 2 };
  };
  const steepest =
    Math.max(...girths.slice(1).map((g, i) => Math.abs(g - girths[i]!))) / (places[1]! - places[0]!) + 1e-9;
  const bestSlope = (bound: number): number => {
    const golden = (Math.sqrt(5) - 1) / 2;
    let [low, high] = [-steepest, steepest];
    for (let i = 0; i < 70; i++) {
      const a = high - golden * (high - low);
      const b = low + golden * (high - low);
      if (roomAt(a, bound).room < roomAt(b, bound).room) low = a;
      else high = b;
    }
    return (low + high) / 2;
  };
  let [low, high] = [0, 0.999 / give.squeeze];
  for (let i = 0; i < 50 && high - low > 1e-10 * high; i++) {
    const bound = (low + high) / 2;
    if (roomAt(bestSlope(bound), bound).room >= 0) high = bound;
    else low = bound;
  }
  const slope = bestSlope(high);
  const { start } = roomAt(slope, high);
  const strainAt = (slant: number): number => girthAt(from + slant) / (start + slope * slant) - 1;
  const loadAt = (strain: number): number => (strain > 0 ? strain / give.stretch : -strain / give.squeeze);
  const worst = places
    .map((slant) => ({ slant, strain: strainAt(slant) }))
    .reduce((a, b) => (loadAt(b.strain) > loadAt(a.strain) ? b : a));
  return {
    cone: { girthRim: start, girthBase: start + slope * length, side: length },
    strainAt,
    load: loadAt(worst.strain),
    worst,
  };
}

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

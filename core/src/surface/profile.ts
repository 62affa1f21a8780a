import { pchip } from '../numeric/pchip.ts';

/** One measured place on the side of a round blank. */
export interface ProfileStation {
  /** mm down from the rim edge of the band: along the side, or upright. */
  readonly down: number;
  /** Girth there, mm. */
  readonly girth: number;
}

/** A round side of any shape, by distance along it from the rim edge of the band. */
export interface Profile {
  /** Length of the side from the first station to the last, mm. */
  readonly sideLength: number;
  /** Distance from the axis, mm. */
  radiusAt(slant: number): number;
  /** Change of the radius per mm along the side; −1 … 1. */
  slopeAt(slant: number): number;
  /**
   * Gaussian curvature, 1/mm²: positive on a belly, negative on a neck, 0 where the side develops. Taken over the
   * length of a station, since the curve through the stations bends unevenly between them.
   */
  gaussianAt(slant: number): number;
}

/** Steps of one gap between stations in the sum of the side's length; five points each, so good to far under a micron. */
const STEPS_PER_GAP = 16;
/** Abscissas and weights of five-point Gauss–Legendre quadrature on −1 … 1. */
const GAUSS: readonly (readonly [number, number])[] = [
  [0, 0.5688888888888889],
  [-0.5384693101056831, 0.47862867049936647],
  [0.5384693101056831, 0.47862867049936647],
  [-0.906179845938664, 0.23692688505618908],
  [0.906179845938664, 0.23692688505618908],
];

/**
 * The side of a bowl, bottle or pot through measured girths.
 *
 * @param stations two or more, from the rim edge down, each with its girth, mm
 * @param along whether `down` was taken along the side or upright
 * @returns radius, slope and curvature by distance along the side, mm
 * @throws RangeError when stations are out of order, a girth is not positive, or the side would be shorter than the
 *   radius changes
 * @source r through the stations by monotone cubic; upright: s(h) = ∫√(1 + r′²) dh, K = −r″/(r(1 + r′²)²), which along
 *   the side is −(d²r/ds²)/r
 */
export function profileOf(stations: readonly ProfileStation[], along: 'side' | 'upright'): Profile {
  if (!stations.every(({ girth }) => girth > 0)) throw new RangeError('each girth of a profile must be positive');
  const first = stations[0]?.down ?? 0;
  const downs = stations.map(({ down }) => down - first);
  const radii = stations.map(({ girth }) => girth / (2 * Math.PI));
  const curve = pchip(downs, radii);
  const end = downs.at(-1)!;
  const window = end / Math.max(1, stations.length - 1);
  if (along === 'side') {
    for (let i = 0; i <= 200; i++)
      if (Math.abs(curve.slope((end * i) / 200)) >= 1)
        throw new RangeError('the girths change faster than the side is long between two stations');
    return withCurvature(end, window, curve.value, curve.slope);
  }
  // Distances along the side at even steps down, from which the way back is found.
  const perUpright = (h: number): number => Math.hypot(1, curve.slope(h));
  const knots = downs.flatMap((h, i) =>
    i === 0
      ? [0]
      : Array.from(
          { length: STEPS_PER_GAP },
          (_, k) => downs[i - 1]! + ((h - downs[i - 1]!) * (k + 1)) / STEPS_PER_GAP,
        ),
  );
  const slants = [0];
  for (let i = 1; i < knots.length; i++)
    slants.push(slants[i - 1]! + lengthBetween(perUpright, knots[i - 1]!, knots[i]!));
  const heightAt = (slant: number): number => {
    let i = slants.findIndex((s) => s >= slant);
    if (i < 0) i = slants.length - 1;
    i = Math.max(1, i);
    let h = knots[i - 1]! + ((knots[i]! - knots[i - 1]!) * (slant - slants[i - 1]!)) / (slants[i]! - slants[i - 1]!);
    for (let round = 0; round < 4; round++)
      h -= (slants[i - 1]! + lengthBetween(perUpright, knots[i - 1]!, h) - slant) / perUpright(h);
    return h;
  };
  const slope = (slant: number): number => {
    const rise = curve.slope(heightAt(slant));
    return rise / Math.hypot(1, rise);
  };
  return withCurvature(slants.at(-1)!, window, (slant) => curve.value(heightAt(slant)), slope);
}

/**
 * The side of a ball from its crown to its foot.
 *
 * @param radius mm, > 0
 */
export function ballProfile(radius: number): Profile {
  return {
    sideLength: Math.PI * radius,
    radiusAt: (slant) => radius * Math.sin(slant / radius),
    slopeAt: (slant) => Math.cos(slant / radius),
    gaussianAt: () => 1 / (radius * radius),
  };
}

function lengthBetween(speed: (h: number) => number, from: number, to: number): number {
  const half = (to - from) / 2;
  return half * GAUSS.reduce((sum, [at, weight]) => sum + weight * speed(from + half * (1 + at)), 0);
}

function withCurvature(
  sideLength: number,
  window: number,
  radiusAt: (slant: number) => number,
  slopeAt: (slant: number) => number,
): Profile {
  return {
    sideLength,
    radiusAt,
    slopeAt,
    gaussianAt: (slant) => {
      const from = Math.max(0, slant - window / 2);
      const to = Math.min(sideLength, slant + window / 2);
      return -(slopeAt(to) - slopeAt(from)) / ((to - from) * radiusAt((from + to) / 2));
    },
  };
}

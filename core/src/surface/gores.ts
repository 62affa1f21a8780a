import type { Profile } from './profile.ts';

/** One of several equal strips that a round side is cut into along its length. */
export interface Gore {
  /** Flat outline, counter-clockwise, mm: middle line on x = 0, rim edge at y = 0, the side down along −y. */
  readonly outline: Float64Array;
  /** How wide the strip is at a distance along the side, mm. */
  widthAt(slant: number): number;
  /**
   * Strain along the strip at its edges when it is laid: its middle keeps the side's length, its edges are cut a little
   * longer and have to be pushed together. ≤ 0.
   */
  edgeStrainAt(slant: number): number;
}

/**
 * Equal strips along the side, as many as are asked for. Side by side they fill every girth exactly.
 *
 * @param profile the side
 * @param count of strips, a whole number ≥ 2
 * @param step mm along the side between points of the outline
 * @throws RangeError for fewer than two strips
 * @source half width at s: C(s)/2n, the meridian kept at its length; the edge is ∫√(1 + (πr′/n)²) long
 */
export function goreOf(profile: Profile, count: number, step = 1): Gore {
  if (!(Number.isInteger(count) && count >= 2)) throw new RangeError(`gores come in twos or more, got ${count}`);
  const widthAt = (slant: number): number => (2 * Math.PI * profile.radiusAt(slant)) / count;
  const rows = Math.max(2, Math.ceil(profile.sideLength / step));
  const slants = Array.from({ length: rows + 1 }, (_, i) => (profile.sideLength * i) / rows);
  const left = slants.flatMap((s) => [-widthAt(s) / 2, -s]);
  const right = [...slants].reverse().flatMap((s) => [widthAt(s) / 2, -s]);
  return {
    outline: Float64Array.from([...left, ...right]),
    widthAt,
    edgeStrainAt: (slant) => 1 / Math.hypot(1, (Math.PI * profile.slopeAt(slant)) / count) - 1,
  };
}

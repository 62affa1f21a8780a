import type { ConeSpec } from '../surface/cone.ts';
import { taperOf } from '../surface/cone.ts';
import type { Profile } from '../surface/profile.ts';
import { latitudeAtArc, meridianArc } from '../surface/spheroid.ts';

/** A side that is turned on a wheel, as far as a sheet has to know it. */
export interface TurnedSide {
  /** Distance from the axis at a distance along the side, mm; also past its ends, where it runs on as it does there. */
  radiusAt(slant: number): number;
  /** How fast that changes, mm for a mm of side: minus the taper. */
  slopeAt(slant: number): number;
  /** How fast the slope changes, 1/mm: 0 on a cone. */
  bendAt(slant: number): number;
}

/** A straight or tapered side, slant counted from its rim. */
export function coneSide(spec: ConeSpec): TurnedSide {
  const [rim, taper] = [spec.girthRim / (2 * Math.PI), taperOf(spec)];
  return { radiusAt: (slant) => rim - taper * slant, slopeAt: () => -taper, bendAt: () => 0 };
}

/** A ball, slant counted from its equator downwards; a piece is laid about the equator, wherever it truly lies. */
export function ballSide(radius: number): TurnedSide {
  return {
    radiusAt: (slant) => radius * Math.cos(slant / radius),
    slopeAt: (slant) => -Math.sin(slant / radius),
    bendAt: (slant) => -Math.cos(slant / radius) / radius,
  };
}

/** mm between the places at which a side is taken. */
const STEP_MM = 0.5;

/**
 * A side of any shape, taken at even steps and joined by cubics that have its radius and its slope at each; past its ends it
 * runs on straight.
 *
 * @param from and
 * @param to mm along it
 * @param radiusAt mm
 * @param slopeAt its derivative
 */
export function tabledSide(
  from: number,
  to: number,
  radiusAt: (slant: number) => number,
  slopeAt: (slant: number) => number,
): TurnedSide {
  const count = Math.max(1, Math.ceil((to - from) / STEP_MM));
  const step = (to - from) / count;
  const [radii, slopes] = [new Float64Array(count + 1), new Float64Array(count + 1)];
  for (let i = 0; i <= count; i++) {
    radii[i] = radiusAt(from + i * step);
    slopes[i] = slopeAt(from + i * step);
  }
  const pieceOf = (slant: number): number => Math.min(count - 1, Math.floor((slant - from) / step));
  return {
    radiusAt: (slant) => {
      if (slant <= from) return radii[0]! + slopes[0]! * (slant - from);
      if (slant >= to) return radii[count]! + slopes[count]! * (slant - to);
      const i = pieceOf(slant);
      const t = (slant - from) / step - i;
      const [tt, ttt] = [t * t, t * t * t];
      return (2 * ttt - 3 * tt + 1) * radii[i]! + (ttt - 2 * tt + t) * step * slopes[i]! + (3 * tt - 2 * ttt) * radii[i + 1]! + (ttt - tt) * step * slopes[i + 1]!; // prettier-ignore
    },
    slopeAt: (slant) => {
      if (slant <= from) return slopes[0]!;
      if (slant >= to) return slopes[count]!;
      const i = pieceOf(slant);
      const t = (slant - from) / step - i;
      const tt = t * t;
      return ((6 * tt - 6 * t) * (radii[i]! - radii[i + 1]!)) / step + (3 * tt - 4 * t + 1) * slopes[i]! + (3 * tt - 2 * t) * slopes[i + 1]!; // prettier-ignore
    },
    bendAt: (slant) => {
      if (slant <= from || slant >= to) return 0;
      const i = pieceOf(slant);
      const t = (slant - from) / step - i;
      return ((12 * t - 6) * (radii[i]! - radii[i + 1]!)) / step ** 2 + ((6 * t - 4) * slopes[i]! + (6 * t - 2) * slopes[i + 1]!) / step; // prettier-ignore
    },
  };
}

/** The side of a bowl, bottle or pot, slant counted from its first station. */
export const profileSide = ({ sideLength, radiusAt, slopeAt }: Profile): TurnedSide => tabledSide(0, sideLength, radiusAt, slopeAt); // prettier-ignore

/**
 * A balloon, slant counted from its widest girth downwards.
 *
 * @param radius at its widest girth, mm
 * @param halfLength from there to its crown, mm
 */
export function spheroidSide(radius: number, halfLength: number): TurnedSide {
  const down = (slant: number): number => latitudeAtArc(radius, halfLength, slant);
  // Short of the crown, where no film of a wrap lies and the way round ends.
  const end = 0.98 * meridianArc(radius, halfLength, Math.PI / 2);
  return tabledSide(
    -end,
    end,
    (slant) => radius * Math.cos(down(slant)),
    (slant) => {
      const latitude = down(slant);
      return (-radius * Math.sin(latitude)) / Math.hypot(radius * Math.sin(latitude), halfLength * Math.cos(latitude));
    },
  );
}

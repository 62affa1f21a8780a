/**
 * Straight and tapered sides by their apex: the geometry of a school compass, written apart from the core, so that what the
 * core says of a cup can be measured against something else. All in mm and rad, y up, rim edge at the top.
 */
export interface Cup {
  readonly rim: number;
  readonly base: number;
  readonly side: number;
}

/** A spot on the side: rad from the front, mm down from the rim edge. */
export interface OnSide {
  readonly azimuth: number;
  readonly slant: number;
}

const TURN = 2 * Math.PI;
/** Sine of the half-angle; positive when the rim is wider. */
export const sineOf = ({ rim, base, side }: Cup): number => (rim - base) / TURN / side;
/** Girth at a height. */
export const girthOf = (cup: Cup, slant: number): number => cup.rim + ((cup.base - cup.rim) * slant) / cup.side;

/** Flat place of a spot: a circle about the apex, or the plain strip of a cylinder. */
export function unroll(cup: Cup, { azimuth, slant }: OnSide): [number, number] {
  const k = sineOf(cup);
  if (Math.abs(k) < 1e-7) return [(cup.rim / TURN) * azimuth, -slant];
  const apex = cup.rim / TURN / k;
  const far = apex - slant;
  return [far * Math.sin(k * azimuth), far * Math.cos(k * azimuth) - apex];
}

/** The spot that a flat place comes to lie on. */
export function wrap(cup: Cup, [x, y]: readonly [number, number]): OnSide {
  const k = sineOf(cup);
  if (Math.abs(k) < 1e-7) return { azimuth: (TURN * x) / cup.rim, slant: -y };
  const apex = cup.rim / TURN / k;
  // Seen from the apex, upwards when the rim is wider and downwards when it is not.
  const up = k > 0 ? y + apex : -(y + apex);
  const far = Math.hypot(x, up);
  const turned = Math.atan2(x, up);
  return { azimuth: turned / Math.abs(k), slant: k > 0 ? apex - far : far + apex };
}

/** What a template of one cup shows on another, its base edge right in front: gaps and heights at the seam, mm. */
export interface SeamSeen {
  readonly gapRim: number;
  readonly gapBase: number;
  readonly front: number;
  /** Of the rim's right-hand corner. */
  readonly back: number;
}

/** Lays the template of `made` on `truth`. */
export function layOn(made: Cup, truth: Cup, handle = 0): SeamSeen {
  const lift = made.side - truth.side;
  const corner = (slant: number): OnSide => {
    const end = Math.PI - (handle / 2 / girthOf(made, slant)) * TURN;
    const [x, y] = unroll(made, { azimuth: end, slant });
    return wrap(truth, [x, y + lift]);
  };
  const gap = ({ azimuth, slant }: OnSide): number => ((TURN - 2 * azimuth) / TURN) * girthOf(truth, slant) - handle;
  const [rim, base] = [corner(0), corner(made.side)];
  return { gapRim: gap(rim), gapBase: gap(base), front: lift, back: -rim.slant };
}

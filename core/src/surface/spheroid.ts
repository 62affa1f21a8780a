import { solveNewton } from '../numeric/newton.ts';

/**
 * Gaussian curvature of a spheroid.
 *
 * @param radius at the widest girth, mm
 * @param halfLength from its middle to its crown, mm
 * @param latitude parametric, up from the widest girth, rad
 * @returns 1/mm²; 1/R² on a ball
 * @source K = c²/(a² sin²β + c² cos²β)² for x = a cos β, z = c sin β
 */
export function spheroidGaussian(radius: number, halfLength: number, latitude: number): number {
  const spread = (radius * Math.sin(latitude)) ** 2 + (halfLength * Math.cos(latitude)) ** 2;
  return (halfLength / spread) ** 2;
}

/**
 * Length over the skin of a spheroid from end to end.
 *
 * @param radius at the widest girth, mm
 * @param halfLength from its middle to its crown, mm
 * @source half the ellipse's girth, ∫ √(a² sin²β + c² cos²β) dβ over −π/2 … π/2; the trapezoidal sum converges faster than
 *   any power since the integrand is periodic
 */
export function spheroidOver(radius: number, halfLength: number): number {
  const steps = 96;
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const latitude = -Math.PI / 2 + (Math.PI * i) / steps;
    sum += Math.hypot(radius * Math.sin(latitude), halfLength * Math.cos(latitude));
  }
  return (sum * Math.PI) / steps;
}

/** Places along a meridian; its length between them strays by less than a millionth. */
const MERIDIAN_STEPS = 64;

/**
 * Length over the skin of a spheroid from its widest girth up to a latitude.
 *
 * @param latitude parametric, rad; down is negative
 * @returns mm, with the latitude's sign
 * @source ∫ √(a² sin²β + c² cos²β) dβ by Simpson's rule; a·β on a ball
 */
export function meridianArc(radius: number, halfLength: number, latitude: number): number {
  const step = latitude / MERIDIAN_STEPS;
  let sum = 0;
  for (let i = 0; i <= MERIDIAN_STEPS; i++) {
    const weight = i === 0 || i === MERIDIAN_STEPS ? 1 : i % 2 === 1 ? 4 : 2;
    sum += weight * Math.hypot(radius * Math.sin(i * step), halfLength * Math.cos(i * step));
  }
  return (sum * step) / 3;
}

/**
 * The latitude that lies so far over the skin from the widest girth.
 *
 * @param mm up is positive
 * @returns parametric, rad, between the ends of the spheroid
 */
export function latitudeAtArc(radius: number, halfLength: number, mm: number): number {
  let [low, high] = [-Math.PI / 2, Math.PI / 2];
  for (let i = 0; i < 48; i++) {
    const middle = (low + high) / 2;
    if (meridianArc(radius, halfLength, middle) < mm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Half the length of a balloon from its girth and the length over its skin from neck to crown.
 *
 * @param radius at the widest girth, mm
 * @param over mm over the skin
 * @returns mm; null when the skin is too short to reach from end to end of any spheroid of this girth
 */
export function balloonHalfLength(radius: number, over: number): number | null {
  if (!(over > 2.02 * radius)) return null;
  const solved = solveNewton(([c]) => [spheroidOver(radius, Math.max(1e-3, c!)) - over], [over / Math.PI], 1e-9);
  const value = solved.value[0]!;
  return solved.converged && value > 0 ? value : null;
}

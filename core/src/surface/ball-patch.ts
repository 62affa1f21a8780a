import type { Point } from '../plane/point.ts';

/** A spot on a ball: `azimuth` round from the front, `latitude` up from the widest girth, rad. */
export interface BallSpot {
  readonly azimuth: number;
  readonly latitude: number;
}

/** A patch of film about a spot of a ball, laid flat with its middle where the spot is. */
export interface BallPatch {
  /** Ball to flat, mm: x right as seen from outside, y up. */
  forward(azimuth: number, latitude: number): Point;
  /** Flat to ball; null farther out than the other side of the ball. */
  inverse(x: number, y: number): BallSpot | null;
  /**
   * Strain round the middle at a flat distance from it, mm: ≤ 0, since there is less ball round it than film. From the
   * middle outwards lengths are kept.
   */
  hoopAt(distance: number): number;
}

/**
 * Lays a ball flat about one spot, keeping every distance from it.
 *
 * @param girth of the ball, mm
 * @param centre where the middle of the patch comes to lie
 * @throws RangeError when the girth is not positive
 * @source azimuthal equidistant projection (J. P. Snyder, "Map Projections: A Working Manual", 1987, § 25); round the
 *   middle a circle of distance ρ is R·sin(ρ/R) instead of ρ, so the strain there is sin(ρ/R)/(ρ/R) − 1, about −ρ²/6R²
 */
export function ballPatch(girth: number, centre: BallSpot): BallPatch {
  if (!(girth > 0)) throw new RangeError(`a ball's girth must be positive, got ${girth}`);
  const radius = girth / (2 * Math.PI);
  const [sin0, cos0] = [Math.sin(centre.latitude), Math.cos(centre.latitude)];
  return {
    forward: (azimuth, latitude) => {
      const turn = azimuth - centre.azimuth;
      const east = Math.cos(latitude) * Math.sin(turn);
      const north = cos0 * Math.sin(latitude) - sin0 * Math.cos(latitude) * Math.cos(turn);
      const away = Math.hypot(east, north);
      const angle = Math.atan2(away, sin0 * Math.sin(latitude) + cos0 * Math.cos(latitude) * Math.cos(turn));
      const scale = away === 0 ? radius : (radius * angle) / away;
      return { x: scale * east, y: scale * north };
    },
    inverse: (x, y) => {
      const distance = Math.hypot(x, y);
      const angle = distance / radius;
      if (angle > Math.PI) return null;
      if (distance === 0) return { azimuth: centre.azimuth, latitude: centre.latitude };
      const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
      const up = cos * sin0 + (y * sin * cos0) / distance;
      return {
        latitude: Math.asin(Math.max(-1, Math.min(1, up))),
        azimuth: centre.azimuth + Math.atan2(x * sin, distance * cos0 * cos - y * sin0 * sin),
      };
    },
    hoopAt: (distance) => {
      const angle = Math.abs(distance) / radius;
      return angle < 1e-4 ? (-angle * angle) / 6 : Math.sin(angle) / angle - 1;
    },
  };
}

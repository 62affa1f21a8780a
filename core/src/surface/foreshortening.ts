/** mm. Eyes are not held nearer to the side than this, however the distance to its axis is set. */
const NEAREST_EYE_MM = 50;

/** mm from the eye to the axis of a blank: as it is set, but never inside or right at the side. */
export const eyeDistance = (radius: number, distance: number): number => Math.max(distance, radius + NEAREST_EYE_MM);

/**
 * Half-angle round a blank at whose edge things look as narrow, against the middle, as a share says.
 *
 * @param radius of the blank, mm
 * @param distance from the eye to the axis, mm, > radius
 * @param share 0…1
 * @returns azimuth in rad
 * @source tan α = r sin θ/(D − r cos θ); the ratio of dα/dθ at θ to that at 0 is set to the share and solved for cos θ
 */
export function halfAngleSeen(radius: number, distance: number, share: number): number {
  const top = share * (distance ** 2 + radius ** 2) + radius * (distance - radius);
  const bottom = distance * (distance - radius) + 2 * share * distance * radius;
  return Math.acos(Math.min(1, Math.max(-1, top / bottom)));
}

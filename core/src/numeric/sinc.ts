/**
 * Unnormalised sinc, sin z / z, continuous at 0.
 *
 * @param z angle in radians
 * @returns sin z / z, and 1 at z = 0
 */
export function sinc(z: number): number {
  // Under 1e-4 the series to z² is exact to the last bit (next term z⁴/120 < 1e-18).
  return Math.abs(z) < 1e-4 ? 1 - (z * z) / 6 : Math.sin(z) / z;
}

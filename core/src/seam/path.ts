/** A line from the rim edge to the base edge along which film is cut: straight between its points in azimuth and slant. */
export interface SeamPath {
  /** mm from the rim edge, rising; the first 0, the last the length of the side. */
  readonly slants: readonly number[];
  /** rad, one for each slant; may pass ±π. */
  readonly azimuths: readonly number[];
}

/** The straight line down the side at one azimuth, or from one azimuth at the rim to another at the base. */
export const straightSeam = (rim: number, base: number, side: number): SeamPath => ({
  slants: [0, side],
  azimuths: [rim, base],
});

/**
 * Where a seam is at a height.
 *
 * @param path the seam
 * @param slant mm; past the ends it runs on straight down the side
 * @returns azimuth, rad
 */
export function seamAt({ slants, azimuths }: SeamPath, slant: number): number {
  const last = slants.length - 1;
  if (slant <= slants[0]!) return azimuths[0]!;
  if (slant >= slants[last]!) return azimuths[last]!;
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (slants[middle]! <= slant) low = middle;
    else high = middle;
  }
  const t = (slant - slants[low]!) / (slants[high]! - slants[low]!);
  return azimuths[low]! + (azimuths[high]! - azimuths[low]!) * t;
}

/** The seam moved round by an angle, or by one that depends on the height. */
export function turnSeam(path: SeamPath, by: number | ((slant: number) => number)): SeamPath {
  const turn = typeof by === 'number' ? () => by : by;
  return { slants: path.slants, azimuths: path.azimuths.map((azimuth, i) => azimuth + turn(path.slants[i]!)) };
}

/** Leftmost and rightmost azimuth of a seam, rad. */
export const seamRange = ({ azimuths }: SeamPath): [number, number] => [Math.min(...azimuths), Math.max(...azimuths)];

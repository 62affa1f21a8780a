/**
 * How film lies on a side that curves both ways. Strains are fractions; K is the Gaussian curvature where the piece lies,
 * 1/mm². On a neck (K < 0) the same sizes hold with the signs turned: edges stretch and the middle tents.
 */

/** How much a film gives before it fails, as fractions. */
export interface FilmGive {
  /** Longest that it may be pulled, > 0. */
  readonly stretch: number;
  /** Most that it may be pushed together before it tents, > 0. */
  readonly squeeze: number;
}

/** What of a shape decides: see `breadthOf`. */
export interface LyingShape {
  /** mm. */
  readonly width: number;
  /** 0 for a long strip … 1 for a disk. */
  readonly fill: number;
}

/**
 * Squeeze at the edge of a piece that is laid relaxed, without being pulled.
 *
 * @param gaussian 1/mm²
 * @returns strain as a fraction, ≥ 0
 * @source (K·W²/12)/(1 + ⅔q² + q⁴): exact for a long strip (w²/12R²) and for a disk of radius a (a²/8R²)
 */
export function relaxedSqueeze(gaussian: number, { width, fill }: LyingShape): number {
  return (Math.abs(gaussian) * width * width) / 12 / (1 + (2 / 3) * fill ** 2 + fill ** 4);
}

/**
 * Stretch and squeeze together that a piece needs when it is laid with care, pulled where it has to be.
 *
 * @param gaussian 1/mm²
 * @returns strain as a fraction, ≥ 0; it lies flat where the film's stretch and squeeze add up to more
 * @source (K·W²/8)/(1 + 1.6q + 0.4q³): exact for a long strip (w²/8R²) and for a disk of radius a (a²/6R²)
 */
export function neededGive(gaussian: number, { width, fill }: LyingShape): number {
  return (Math.abs(gaussian) * width * width) / 8 / (1 + 1.6 * fill + 0.4 * fill ** 3);
}

/**
 * What a closed loop round a hole needs at least, however thin it is; one slit through the loop removes it.
 *
 * @param gaussian 1/mm²
 * @param netArea of the film, mm²
 * @param holeArea of the hole, mm²
 * @source the loop encloses K·A of curvature however thin it is: ε ≥ K·A_net/8π, times 4/3 + 0.6·√(A_hole/A_filled)
 */
export function loopGive(gaussian: number, netArea: number, holeArea: number): number {
  const filled = netArea + holeArea;
  const least = (Math.abs(gaussian) * netArea) / (8 * Math.PI);
  return filled > 0 ? (4 / 3 + 0.6 * Math.sqrt(holeArea / filled)) * least : 0;
}

/** Widest pieces that lie flat, mm; without end where the side develops. */
export interface WidestPieces {
  /** Width of a long strip, and of a gore. */
  readonly strip: number;
  /** Diameter of a disk. */
  readonly disk: number;
}

/**
 * Widest strip and disk that lie flat when film may be pulled.
 *
 * @param gaussian 1/mm²
 * @param stretch and
 * @param squeeze what the film gives, fractions
 */
export function widestPulled(gaussian: number, stretch: number, squeeze: number): WidestPieces {
  const room = (stretch + squeeze) / Math.abs(gaussian);
  return { strip: Math.sqrt(8 * room), disk: 2 * Math.sqrt(6 * room) };
}

/** As `widestPulled`, for film that is laid relaxed and only takes being pushed together. */
export function widestRelaxed(gaussian: number, squeeze: number): WidestPieces {
  const room = squeeze / Math.abs(gaussian);
  return { strip: Math.sqrt(12 * room), disk: 2 * Math.sqrt(8 * room) };
}

/**
 * How many meridian strips a round side takes so that each lies flat.
 *
 * @param girth widest girth, mm
 * @param gaussian there, 1/mm²
 * @returns at least one; one where the side develops
 */
export function goresNeeded(girth: number, gaussian: number, stretch: number, squeeze: number): number {
  return gaussian === 0 ? 1 : Math.max(1, Math.ceil(girth / widestPulled(gaussian, stretch, squeeze).strip));
}

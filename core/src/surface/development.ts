import type { Box } from '../plane/box.ts';
import type { Path } from '../plane/path.ts';
import type { Point } from '../plane/point.ts';

/** A spot on the side of a blank: `azimuth` in radians round from the front, `slant` in mm down the side from the band's rim edge. */
export interface SurfacePoint {
  readonly azimuth: number;
  readonly slant: number;
}

/** A part of the band that a template covers. Both edges are straight on the flat; each is given by its two ends. */
export interface SurfaceRegion {
  /** Azimuth of the left edge at the rim edge and at the base edge, rad. */
  readonly left: readonly [number, number];
  /** Azimuth of the right edge at the rim edge and at the base edge, rad. */
  readonly right: readonly [number, number];
  /** Slant of the rim edge and of the base edge, mm. */
  readonly slant: readonly [number, number];
}

/** Relative length change when film goes from flat to blank; 0 everywhere on surfaces that develop. */
export interface Distortion {
  readonly hoop: number;
  readonly along: number;
  readonly shear: number;
}

/**
 * A surface that can be laid flat. Flat frame: origin at the front of the band's rim edge, x right as seen from outside,
 * y up towards the rim; all mm.
 */
export interface Development {
  /** Length of the side of the band, mm. */
  readonly slantLength: number;
  /** Distance from the axis at a slant, mm. */
  radiusAt(slant: number): number;
  /** Surface to flat, mm. */
  forward(azimuth: number, slant: number): Point;
  /** As `forward`, writing x and y into `out`; for kernels. */
  forwardInto(azimuth: number, slant: number, out: Float64Array): void;
  /**
   * Flat to surface; null where the flat point is on no part of the side, above its rim and below its base as well.
   * `reach` is the largest azimuth that counts, rad; over π when film is to roll on past the back.
   */
  inverse(x: number, y: number, reach?: number): SurfacePoint | null;
  /** As `inverse`, for film that hangs over an edge: the side goes on past its rim and its base as it runs there. */
  onward(x: number, y: number, reach?: number): SurfacePoint | null;
  /** True outline of a region, counter-clockwise from the left end of the base edge, with true arcs. */
  outline(region: SurfaceRegion): Path;
  /** Smallest box round a region's flat outline, mm. */
  bounds(region: SurfaceRegion): Box;
  /** Strain of the flat film when laid, as a fraction. */
  distortion(azimuth: number, slant: number): Distortion;
}

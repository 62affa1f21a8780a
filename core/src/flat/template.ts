import { solidOf } from '../measure/kinds/kinds.ts';
import type { BlankSize } from '../measure/size.ts';
import type { Blank } from '../model/blank.ts';
import type { Seam } from '../model/seam.ts';
import type { Box } from '../plane/box.ts';
import type { Path } from '../plane/path.ts';
import { circlePath } from '../plane/path.ts';
import type { Flattening } from '../solid/flattening.ts';
import type { Face } from '../solid/solid.ts';
import type { ConeSpec, SectorNumbers, ShortcutErrors } from '../surface/cone.ts';
import { coneDevelopment, sectorNumbers, shortcutErrors } from '../surface/cone.ts';
import type { Development, SurfaceRegion } from '../surface/development.ts';
import type { FilmGive } from '../surface/film-strain.ts';

/** The flat outline that the band or face unrolls to, with the numbers that people check it by. */
export interface Template {
  /** The cone whose development the flat shape is. A face is the plane: a cone of no taper, as wide round as the face is across. */
  readonly cone: ConeSpec;
  /** Whether film goes round and meets at a seam; a face does not. */
  readonly closed: boolean;
  readonly region: SurfaceRegion;
  readonly outline: Path;
  /** Holes in the outline, clockwise. */
  readonly holes: readonly Path[];
  readonly bounds: Box;
  readonly sector: SectorNumbers;
  readonly shortcuts: ShortcutErrors;
  /** Length of the rim edge and of the base edge of the outline, mm. */
  readonly rimLength: number;
  readonly baseLength: number;
  /** mm of extra film at the right-hand end. */
  readonly lap: number;
  readonly flattening: Flattening;
}

/**
 * Template of a blank's band or face for film of some thickness.
 *
 * @param blank for the handle, and how it is to be flattened
 * @param size corrected sizes, mm
 * @param filmThickness mm
 * @param seam lap at the right-hand end, mm
 * @param give what the film takes where the side curves both ways
 * @param leastPatchMm what a patch on a ball has to cover across, mm
 */
export function makeTemplate(
  blank: Blank,
  size: BlankSize,
  filmThickness: number,
  seam: Pick<Seam, 'lapMm'>,
  give: FilmGive,
  leastPatchMm = 0,
): { template: Template; surface: Development } {
  const solid = solidOf(size);
  const flattening = solid.flatten({ blank, filmThickness, give, leastPatchMm });
  const { cone, surface } = solid.unroll(filmThickness, flattening);
  return solid.face
    ? faceTemplate(cone, surface, solid.face, flattening)
    : roundTemplate(cone, surface, blank, seam, flattening);
}

function roundTemplate(
  cone: ConeSpec,
  surface: Development,
  blank: Blank,
  seam: Pick<Seam, 'lapMm'>,
  flattening: Flattening,
): { template: Template; surface: Development } {
  const flat = coneDevelopment(cone);
  const region = regionOfBand(flat, blank.handleWidthMm, seam.lapMm);
  return {
    surface,
    template: {
      cone,
      closed: true,
      region,
      outline: flat.outline(region),
      holes: [],
      bounds: flat.bounds(region),
      sector: sectorNumbers(cone),
      shortcuts: shortcutErrors(cone),
      rimLength: (region.right[0] - region.left[0]) * flat.radiusAt(0),
      baseLength: (region.right[1] - region.left[1]) * flat.radiusAt(cone.side),
      lap: seam.lapMm,
      flattening,
    },
  };
}

/** A face: all that lies on it lies unbent. */
function faceTemplate(
  cone: ConeSpec,
  plane: Development,
  { round, hole }: Face,
  flattening: Flattening,
): { template: Template; surface: Development } {
  const [width, height] = [cone.girthRim, cone.side];
  const outline = round ? circlePath({ x: 0, y: -height / 2 }, width / 2, true) : null;
  const holes = hole ? [circlePath({ x: 0, y: hole.up - height / 2 }, hole.across / 2, false)] : [];
  const region: SurfaceRegion = { left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, height] };
  const strainAt = strainOverPatch(flattening);
  return {
    surface: {
      ...plane,
      distortion: (azimuth, slant) => ({
        hoop: strainAt(Math.hypot((azimuth * width) / (2 * Math.PI), slant - height / 2)),
        along: 0,
        shear: 0,
      }),
    },
    template: {
      cone,
      closed: false,
      region,
      outline: outline ?? plane.outline(region),
      holes,
      bounds: { minX: -width / 2, maxX: width / 2, minY: -height, maxY: 0 },
      sector: sectorNumbers(cone),
      shortcuts: shortcutErrors(cone),
      rimLength: width,
      baseLength: width,
      lap: 0,
      flattening,
    },
  };
}

/** Strain of a patch at a distance from its middle, between the samples of its map. */
function strainOverPatch({ map }: Flattening): (distance: number) => number {
  if (!map) return () => 0;
  const { samples } = map;
  return (distance) => {
    const after = samples.findIndex(({ at }) => at >= distance);
    if (after <= 0) return samples.at(after)!.strain;
    const [a, b] = [samples[after - 1]!, samples[after]!];
    return a.strain + ((b.strain - a.strain) * (distance - a.at)) / (b.at - a.at);
  };
}

/** The part of the way round that can carry film: all of it, less the strip under the handle, plus the lap. */
function regionOfBand(surface: Development, handleWidth: number, lap: number): SurfaceRegion {
  const side = surface.slantLength;
  const edge = (sign: 1 | -1, extra: number): [number, number] => [
    sign * (Math.PI - handleWidth / 2 / surface.radiusAt(0)) + extra / surface.radiusAt(0),
    sign * (Math.PI - handleWidth / 2 / surface.radiusAt(side)) + extra / surface.radiusAt(side),
  ];
  return { left: edge(-1, 0), right: edge(1, lap), slant: [0, side] };
}

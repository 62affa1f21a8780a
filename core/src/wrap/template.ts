import type { Blank, BlankSize } from '../blank/blank.ts';
import { coneOfBlank } from '../blank/blank.ts';
import type { Box } from '../plane/box.ts';
import type { Path } from '../plane/path.ts';
import type { ConeSpec, SectorNumbers, ShortcutErrors } from '../surface/cone.ts';
import { coneDevelopment, sectorNumbers, shortcutErrors } from '../surface/cone.ts';
import type { Development, SurfaceRegion } from '../surface/development.ts';
import type { Seam } from './job.ts';

/** The flat outline that the band unrolls to, with the numbers that people check it by. */
export interface Template {
  readonly cone: ConeSpec;
  readonly region: SurfaceRegion;
  readonly outline: Path;
  readonly bounds: Box;
  readonly sector: SectorNumbers;
  readonly shortcuts: ShortcutErrors;
  /** Length of the rim edge and of the base edge of the outline, mm. */
  readonly rimLength: number;
  readonly baseLength: number;
  /** mm of extra film at the right-hand end. */
  readonly lap: number;
}

/**
 * Template of a blank's band for film of some thickness.
 *
 * @param blank for the handle
 * @param size corrected sizes, mm
 * @param filmThickness mm
 * @param seam lap at the right-hand end, mm
 */
export function makeTemplate(
  blank: Blank,
  size: BlankSize,
  filmThickness: number,
  seam: Seam,
): { template: Template; surface: Development } {
  const cone = coneOfBlank(size, filmThickness);
  const surface = coneDevelopment(cone);
  const region = regionOfBand(surface, blank.handleWidthMm, seam.lapMm);
  return {
    surface,
    template: {
      cone,
      region,
      outline: surface.outline(region),
      bounds: surface.bounds(region),
      sector: sectorNumbers(cone),
      shortcuts: shortcutErrors(cone),
      rimLength: (region.right[0] - region.left[0]) * surface.radiusAt(0),
      baseLength: (region.right[1] - region.left[1]) * surface.radiusAt(cone.side),
      lap: seam.lapMm,
    },
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

import { pathData, type Development, type Place, type SurfaceRegion } from '@mivet/core';
import type { DrawnZones } from '../../composables/useZones.ts';

/** Flat outlines of the zones that film keeps clear of, as SVG path data (mm, y down). */
export function zonePaths(
  surface: Development,
  region: SurfaceRegion,
  zones: Pick<DrawnZones, 'rim' | 'base' | 'handle'>,
): { edges: string[]; handles: string[] } {
  const side = surface.slantLength;
  const between = (from: number, to: number): string => {
    const at = (ends: readonly [number, number], slant: number): number =>
      ends[0] + ((ends[1] - ends[0]) * slant) / side;
    return pathData(
      surface.outline({
        left: [at(region.left, from), at(region.left, to)],
        right: [at(region.right, from), at(region.right, to)],
        slant: [from, to],
      }),
    );
  };
  const strip = (ends: readonly [number, number], inward: 1 | -1): string => {
    const inner = [
      ends[0] + (inward * zones.handle) / surface.radiusAt(0),
      ends[1] + (inward * zones.handle) / surface.radiusAt(side),
    ] as const;
    const [left, right] = inward > 0 ? [ends, inner] : [inner, ends];
    return pathData(surface.outline({ left, right, slant: [0, side] }));
  };
  return {
    edges: [
      ...(zones.rim > 0.2 ? [between(0, zones.rim)] : []),
      ...(zones.base > 0.2 ? [between(side - zones.base, side)] : []),
    ],
    handles: zones.handle > 0 ? [strip(region.left, 1), strip(region.right, -1)] : [],
  };
}

/** Outline round a place on the side, a little larger than it, as SVG path data (mm, y down). */
export function placeData(surface: Development, place: Place, pad: number): string {
  const [top, bottom] = [place.slants[0] - pad, place.slants[1] + pad];
  const grow = (azimuth: number, sign: number): number => azimuth + (sign * pad) / surface.radiusAt(place.slants[0]);
  const left = grow(place.azimuths[0], -1);
  const right = grow(place.azimuths[1], 1);
  const span = (from: number, to: number): string =>
    pathData(surface.outline({ left: [from, from], right: [to, to], slant: [top, bottom] }));
  // A place across the back is shown at both ends of the flat.
  if (right > Math.PI + 1e-9)
    return span(Math.max(left, -Math.PI), Math.PI) + span(-Math.PI, Math.max(right - 2 * Math.PI, -Math.PI + 0.02));
  return span(Math.max(left, -1.1 * Math.PI), right);
}

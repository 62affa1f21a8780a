import { EPSILON } from '../numeric/tolerances.ts';
import { pathData } from '../plane/path-text.ts';
import type { Place } from '../proof/finding.ts';
import type { Development, SurfaceRegion } from '../surface/development.ts';
import type { SideRadii } from '../surface/side-radius.ts';
import { radiusOnSide } from '../surface/side-radius.ts';

/** mm that film keeps from the edges and from the handle. */
export interface KeptClear {
  readonly rim: number;
  readonly base: number;
  readonly handle: number;
}

/** Heights at which the edge of a zone beside the handle is worked out: round a curved side it is no straight line. */
const STEPS = 24;

/**
 * Flat outlines of the zones that film keeps clear of, as SVG path data (mm, y down).
 *
 * @param surface that the flat is the development of
 * @param side radii of the blank itself, by which millimetres are counted round it
 * @param region of the flat
 */
export function zonePaths(
  surface: Development,
  side: SideRadii,
  region: SurfaceRegion,
  zones: KeptClear,
): { edges: string[]; handles: string[] } {
  const length = surface.slantLength;
  const at = (ends: readonly [number, number], slant: number): number =>
    ends[0] + ((ends[1] - ends[0]) * slant) / length;
  const between = (from: number, to: number): string =>
    pathData(
      surface.outline({
        left: [at(region.left, from), at(region.left, to)],
        right: [at(region.right, from), at(region.right, to)],
        slant: [from, to],
      }),
    );
  const strip = (ends: readonly [number, number], inward: 1 | -1): string => {
    const slants = Array.from({ length: STEPS + 1 }, (_, i) => (length * i) / STEPS);
    const edge = slants.map((slant) => surface.forward(at(ends, slant), slant));
    const inner = slants.map((slant) =>
      surface.forward(at(ends, slant) + (inward * zones.handle) / radiusOnSide(side, slant), slant),
    );
    return `M${[...edge, ...inner.reverse()].map(({ x, y }) => `${x} ${-y}`).join('L')}Z`;
  };
  return {
    edges: [
      ...(zones.rim > 0.2 ? [between(0, zones.rim)] : []),
      ...(zones.base > 0.2 ? [between(length - zones.base, length)] : []),
    ],
    handles: zones.handle > 0 ? [strip(region.left, 1), strip(region.right, -1)] : [],
  };
}

/** Outline round a place on the side, some mm larger than it, as SVG path data (mm, y down). */
export function placeData(surface: Development, side: SideRadii, place: Place, pad: number): string {
  const [top, bottom] = [place.slants[0] - pad, place.slants[1] + pad];
  const grow = (azimuth: number, sign: number): number => azimuth + (sign * pad) / radiusOnSide(side, place.slants[0]);
  const left = grow(place.azimuths[0], -1);
  const right = grow(place.azimuths[1], 1);
  const span = (from: number, to: number): string =>
    pathData(surface.outline({ left: [from, from], right: [to, to], slant: [top, bottom] }));
  // A place across the back is shown at both ends of the flat.
  if (right > Math.PI + EPSILON)
    return span(Math.max(left, -Math.PI), Math.PI) + span(-Math.PI, Math.max(right - 2 * Math.PI, -Math.PI + 0.02));
  return span(Math.max(left, -1.1 * Math.PI), right);
}

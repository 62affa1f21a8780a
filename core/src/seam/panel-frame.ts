import type { Template } from '../flat/template.ts';
import { ARC_SAGITTA_MM, EPSILON_MM } from '../numeric/tolerances.ts';
import type { Path, Segment } from '../plane/path.ts';
import type { Point } from '../plane/point.ts';
import type { ConeSpec } from '../surface/cone.ts';
import { coneDevelopment } from '../surface/cone.ts';
import type { Development, SurfacePoint } from '../surface/development.ts';
import type { SeamPath } from './path.ts';
import { seamAt, straightSeam, turnSeam } from './path.ts';

/** One part of the side that is cut as a sheet of its own, and how it is laid flat. */
export interface PanelFrame {
  /** What files and loads call it, such as `panel-2`; empty for the only one. */
  readonly part: string;
  /** Whether its sheet is the flat of the whole band, unturned. */
  readonly asBand: boolean;
  /** Its two ends; null where film runs on, as on a face. */
  readonly left: SeamPath | null;
  readonly right: SeamPath | null;
  /** Part of the side, mm; infinite past the rim edge and the base edge, so that overhang is seen and not lost. */
  readonly slant: readonly [number, number];
  /** Surface to where it lies on the sheet, mm. */
  forwardInto(azimuth: number, slant: number, out: Float64Array): void;
  /** Sheet to surface; null off the panel's map. */
  inverse(x: number, y: number): SurfacePoint | null;
  /** The same panel for film that runs further round by some millimetres a turn, or less far; missing where that is all one. */
  readonly longerBy?: (girthMm: number) => PanelFrame;
}

/** The straight seam down the back; none on a face, or where a handle stands there. */
export function backSeam({ region, closed, cone }: Template): SeamPath[] {
  return closed && region.left[0] === -Math.PI ? [straightSeam(-Math.PI, -Math.PI, cone.side)] : [];
}

/** mm between points of an end that follows the surface. */
const END_STEP_MM = 4;

/** The ends of the panels of a wrap, in order round: each has a left one and, with its lap, a right one. */
export function panelEnds(
  template: Template,
  surface: Development,
  seams: readonly SeamPath[],
): { left: SeamPath; right: SeamPath }[] {
  const { region } = template;
  const side = surface.slantLength;
  const lapped = (path: SeamPath): SeamPath =>
    template.lap > 0
      ? turnSeam(dense(path, side), (slant) => template.lap / Math.max(1, surface.radiusAt(slant)))
      : path;
  const round = region.left[0] === -Math.PI && region.left[1] === -Math.PI;
  if (round) {
    const bounds = [...seams, turnSeam(seams[0]!, 2 * Math.PI)];
    return seams.map((left, i) => ({ left, right: lapped(bounds[i + 1]!) }));
  }
  // Beside a handle both outer ends are straight on the flat; the right one has its lap already.
  const outer = [region.left, region.right].map((ends) => straightOnFlat(surface, ends, side)) as [SeamPath, SeamPath];
  const bounds = [outer[0], ...seams];
  return bounds.map((left, i) => ({ left, right: i + 1 < bounds.length ? lapped(bounds[i + 1]!) : outer[1] }));
}

/** The line that is straight on the flat between two azimuths at the rim edge and the base edge. */
function straightOnFlat(surface: Development, ends: readonly [number, number], side: number): SeamPath {
  if (ends[0] === ends[1]) return straightSeam(ends[0], ends[1], side);
  const a = surface.forward(ends[0], 0);
  const b = surface.forward(ends[1], side);
  const spots = Array.from({ length: 33 }, (_, i) => {
    const t = i / 32;
    return surface.onward(a.x + (b.x - a.x) * t, a.y + (b.y - a.y) * t, 1.5 * Math.PI)!;
  });
  return { slants: spots.map((s) => s.slant), azimuths: spots.map((s) => s.azimuth) };
}

/** A seam as it lies on the flat of the whole band, turned by whole turns or to where it is looked at; mm. */
export function seamOnFlat(surface: Development, path: SeamPath, turn: number): Point[] {
  const { slants, azimuths } = dense(path, surface.slantLength);
  return thinned(slants.map((slant, i) => surface.forward(azimuths[i]! + turn, slant)));
}

function dense(path: SeamPath, side: number): SeamPath {
  const steps = Math.ceil(side / END_STEP_MM);
  const slants = [...path.slants, ...Array.from({ length: steps - 1 }, (_, i) => (side * (i + 1)) / steps)].sort(
    (a, b) => a - b,
  );
  const own = slants.filter((slant, i) => i === 0 || slant - slants[i - 1]! > EPSILON_MM);
  return { slants: own, azimuths: own.map((slant) => seamAt(path, slant)) };
}

/**
 * Outline of a panel between two ends on its own development, with true arcs along the rim and the base.
 *
 * @param flat development of the panel: its slant 0 is the panel's upper edge
 * @param ends left and right, azimuths as on the blank
 * @param turn added to azimuths before they are laid flat, rad
 * @param slant part of the side, mm
 * @param origin height on the blank of the development's slant 0, mm; the upper end of the part when left out
 */
export function panelOutline(
  flat: Development,
  ends: { readonly left: SeamPath; readonly right: SeamPath },
  turn: number,
  slant: readonly [number, number],
  origin = slant[0],
): Path {
  const [from, to] = slant;
  const at = (path: SeamPath, v: number): Point => flat.forward(seamAt(path, v) + turn, v - origin);
  const region = {
    left: [seamAt(ends.left, from) + turn, seamAt(ends.left, to) + turn],
    right: [seamAt(ends.right, from) + turn, seamAt(ends.right, to) + turn],
    slant: [from - origin, to - origin],
  } as const;
  const whole = flat.outline(region);
  const edge = (path: SeamPath, upwards: boolean): Segment[] => {
    const heights = [from, ...dense(path, Math.max(...path.slants)).slants.filter((v) => v > from && v < to), to];
    const points = (upwards ? heights.reverse() : heights).map((v) => at(path, v));
    return thinned(points)
      .slice(1)
      .map((p) => ({ kind: 'line', to: p }));
  };
  return {
    start: whole.start,
    closed: true,
    segments: [whole.segments[0]!, ...edge(ends.right, true), whole.segments[2]!, ...edge(ends.left, false)],
  };
}

/** Leaves out points of a line that lie on the chord past them. */
function thinned(points: readonly Point[]): Point[] {
  if (points.length < 3) return [...points];
  const a = points[0]!;
  const b = points.at(-1)!;
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  let [worst, at] = [0, 0];
  for (let i = 1; i < points.length - 1; i++) {
    const p = points[i]!;
    const off = Math.abs((p.x - a.x) * (b.y - a.y) - (p.y - a.y) * (b.x - a.x)) / length;
    if (off > worst) [worst, at] = [off, i];
  }
  if (worst < ARC_SAGITTA_MM) return [a, b];
  return [...thinned(points.slice(0, at + 1)).slice(0, -1), ...thinned(points.slice(at))];
}

/** `panel 2 of 3` as it is written in names of files. */
export const partName = (name: string): string => name.replace(/ of .*/, '').replace(/ /g, '-');

/**
 * A panel of one development, turned so that it lies upright, and moved to its place on the sheet.
 *
 * @param cone that it is the development of, where film goes round
 */
export function frameOn(
  flat: Development,
  ends: { readonly left: SeamPath | null; readonly right: SeamPath | null },
  slant: readonly [number, number],
  place: {
    readonly name: string;
    readonly turn: number;
    readonly from: number;
    readonly x: number;
    readonly y: number;
  },
  cone: ConeSpec | null = null,
): PanelFrame {
  const { name, turn, from, x, y } = place;
  const longer = cone && {
    longerBy: (mm: number): PanelFrame =>
      frameOn(
        coneDevelopment({ ...cone, girthRim: cone.girthRim + mm, girthBase: cone.girthBase + mm }),
        ends,
        slant,
        place,
      ),
  };
  return {
    ...longer,
    ...ends,
    part: partName(name),
    asBand: turn === 0 && from === 0 && x === 0 && y === 0 && slant[0] === -Infinity && slant[1] === Infinity,
    slant,
    forwardInto: (azimuth, v, out) => {
      flat.forwardInto(azimuth + turn, v - from, out);
      out[0]! += x;
      out[1]! += y;
    },
    inverse: (px, py) => {
      const spot = flat.onward(px - x, py - y, 1.5 * Math.PI);
      return spot && { azimuth: spot.azimuth - turn, slant: spot.slant + from };
    },
  };
}

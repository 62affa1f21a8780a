import { sinc } from '../numeric/sinc.ts';
import { ARC_SAGITTA_MM, EPSILON_MM, TIE } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxOfCoordinates, joinBoxes } from '../plane/box.ts';
import type { Path, Segment } from '../plane/path.ts';
import type { Point } from '../plane/point.ts';
import type { Development, Distortion, SurfacePoint, SurfaceRegion } from './development.ts';

/** A straight or tapered side, by what a tape can read. */
export interface ConeSpec {
  /** Girth at the rim edge of the band, mm, > 0. */
  readonly girthRim: number;
  /** Girth at the base edge of the band, mm, > 0; wider or narrower than the rim, or equal. */
  readonly girthBase: number;
  /** Length of the side between the two, mm, > 0, and more than half the difference of the diameters. */
  readonly side: number;
}

/**
 * The exact development of a straight or tapered side. One formula serves the cylinder and both tapers; at zero taper
 * it *is* the cylinder, with no special case and no division by the taper.
 *
 * @param spec girths and side length, mm
 * @returns the development; `distortion` is zero everywhere, since a cone unrolls without strain
 * @throws RangeError when a reading is not positive or the side cannot span the two girths
 * @source own derivation from the annular sector with apex radius r/k: x = (r/k) sin(kθ), y = −v − (r/k)(1 − cos kθ),
 *   rewritten with sinc so that 1/k disappears
 */
export function coneDevelopment(spec: ConeSpec): Development {
  const r1 = spec.girthRim / (2 * Math.PI);
  const r2 = spec.girthBase / (2 * Math.PI);
  if (!(r1 > 0 && r2 > 0)) throw new RangeError(`girths must be positive, got ${spec.girthRim} and ${spec.girthBase}`);
  if (!(spec.side > Math.abs(r1 - r2)))
    throw new RangeError(`side must be longer than ${Math.abs(r1 - r2)}, got ${spec.side}`);
  const taper = taperOf(spec);
  const radiusAt = (slant: number): number => r1 - taper * slant;

  function forwardInto(azimuth: number, slant: number, out: Float64Array): void {
    const arc = (r1 - taper * slant) * azimuth;
    const turn = taper * azimuth;
    const half = sinc(turn / 2);
    out[0] = arc * sinc(turn);
    out[1] = 0 - slant - arc * (turn / 2) * half * half;
  }

  function forward(azimuth: number, slant: number): Point {
    const out = new Float64Array(2);
    forwardInto(azimuth, slant, out);
    return { x: out[0]!, y: out[1]! };
  }

  function onward(x: number, y: number, reach = Math.PI): SurfacePoint | null {
    // Seen from the apex, (k·x, r1 + k·y) is the radius r at the turn kθ; both stay finite as k goes to 0.
    const across = taper * x;
    const up = r1 + taper * y;
    const radius = Math.hypot(across, up);
    if (!(radius > 0)) return null;
    // θ = turn/k and v = (r1 − r)/k, each written without 1/k.
    const azimuth = x / (radius * sinc(Math.atan2(across, up)));
    const slant = (-2 * r1 * y - taper * (x * x + y * y)) / (r1 + radius);
    return Math.abs(azimuth) <= reach * (1 + TIE) ? { azimuth, slant } : null;
  }

  function inverse(x: number, y: number, reach = Math.PI): SurfacePoint | null {
    const spot = onward(x, y, reach);
    return spot && spot.slant >= -EPSILON_MM && spot.slant <= spec.side + EPSILON_MM ? spot : null;
  }

  function edge(azimuth0: number, azimuth1: number, slant: number): Segment {
    const to = forward(azimuth1, slant);
    const sweep = taper * (azimuth1 - azimuth0);
    const sagitta = Math.abs(radiusAt(slant) * (azimuth1 - azimuth0) * Math.sin(sweep / 4) * sinc(sweep / 4)) / 2;
    if (sagitta < ARC_SAGITTA_MM) return { kind: 'line', to };
    // Apex below (taper > 0): going right means turning clockwise about it.
    return {
      kind: 'arc',
      radius: radiusAt(slant) / Math.abs(taper),
      large: Math.abs(sweep) > Math.PI,
      ccw: sweep < 0,
      to,
    };
  }

  function outline(region: SurfaceRegion): Path {
    const [rim, base] = region.slant;
    return {
      start: forward(region.left[1], base),
      closed: true,
      segments: [
        edge(region.left[1], region.right[1], base),
        { kind: 'line', to: forward(region.right[0], rim) },
        edge(region.right[0], region.left[0], rim),
        { kind: 'line', to: forward(region.left[1], base) },
      ],
    };
  }

  function bounds(region: SurfaceRegion): Box {
    const edges = region.slant.map((slant, end): Box => {
      const from = region.left[end]!;
      const to = region.right[end]!;
      const points = [from, to].map((azimuth) => forward(azimuth, slant));
      // The extremes of an arc lie where its turn passes a quarter of a circle.
      for (const quarter of [-1, -0.5, 0, 0.5, 1]) {
        const azimuth = quarter === 0 ? 0 : (quarter * Math.PI) / Math.abs(taper);
        if (azimuth >= from && azimuth <= to) points.push(forward(azimuth, slant));
      }
      return boxOfCoordinates(points.flatMap((p) => [p.x, p.y]));
    });
    return joinBoxes(edges[0]!, edges[1]!);
  }

  const distortion = (): Distortion => ({ hoop: 0, along: 0, shear: 0 });

  return { slantLength: spec.side, radiusAt, forward, forwardInto, inverse, onward, outline, bounds, distortion };
}

/**
 * Signed sine of the half-angle: positive when the rim is the wider end, 0 for a cylinder.
 *
 * @param spec girths and side length, mm
 */
export function taperOf(spec: ConeSpec): number {
  return (spec.girthRim - spec.girthBase) / (2 * Math.PI * spec.side);
}

/** Numbers of the annular sector that a writer or a reader may want. */
export interface SectorNumbers {
  /** Apex radius of the rim edge and of the base edge, mm; null for a cylinder. */
  readonly apexRadiusRim: number | null;
  readonly apexRadiusBase: number | null;
  /** Angle of the whole sector, rad. */
  readonly angle: number;
  /** How far the rim edge and the base edge bow between their ends, mm; positive when the ends droop. */
  readonly sagittaRim: number;
  readonly sagittaBase: number;
}

/**
 * The annular sector that the whole side unrolls to.
 *
 * @param spec girths and side length, mm
 * @source sector angle 2π|k|, apex radii C/(2π|k|); sagitta rπ·sin(kπ/2)·sinc(kπ/2)
 */
export function sectorNumbers(spec: ConeSpec): SectorNumbers {
  const k = taperOf(spec);
  const radius = (girth: number): number | null => (k === 0 ? null : girth / (2 * Math.PI * Math.abs(k)));
  const sagitta = (girth: number): number => (girth / 2) * Math.sin((k * Math.PI) / 2) * sinc((k * Math.PI) / 2);
  return {
    apexRadiusRim: radius(spec.girthRim),
    apexRadiusBase: radius(spec.girthBase),
    angle: 2 * Math.PI * Math.abs(k),
    sagittaRim: sagitta(spec.girthRim),
    sagittaBase: sagitta(spec.girthBase),
  };
}

/** What simpler templates of the same readings would get wrong. */
export interface ShortcutErrors {
  /** mm. A trapezoid with straight rim and base edges misses the rim line by this at its worst. */
  readonly trapezoidRim: number;
  /** mm. The trapezoid's seam stands open by this at its rim corners. */
  readonly trapezoidSeam: number;
  /** mm. A rectangle as long as the rim's girth laps or gapes by this at the base. */
  readonly rectangleBase: number;
}

/**
 * How far off a straight-sided template or a plain rectangle of the same readings would be.
 *
 * @param spec girths and side length, mm
 * @returns three lengths in mm, all ≥ 0
 * @source the trapezoid's rim edge is straight, C₁ long and meets the true rim line in front: it misses the rim by the
 *   arc's sagitta, about C·ΔC/(8s), and its corner comes to lie short of the seam, about C(ΔC/s)²/24 on each side
 */
export function shortcutErrors(spec: ConeSpec): ShortcutErrors {
  const cone = coneDevelopment(spec);
  const corner = cone.onward(spec.girthRim / 2, 0, Infinity)!;
  return {
    trapezoidRim: Math.abs(sectorNumbers(spec).sagittaRim),
    trapezoidSeam: Math.max(0, 2 * (Math.PI - corner.azimuth) * cone.radiusAt(corner.slant)),
    rectangleBase: Math.abs(spec.girthRim - spec.girthBase),
  };
}

/**
 * How far the ends of a wrap step past each other when its rim edge, the edge that one starts by, is held off true.
 *
 * @param spec the band
 * @param over100 mm by which its rim edge is off the true line over 100 mm
 * @param reach rad from the front to the wrap's ends at the rim; π where nothing stands between them
 * @returns mm of step at the seam, the same from rim to base
 * @source a tilt δ turns the flat about the front of its rim edge, at ρ from the apex: ends at (±x, y) come to lie at
 *   distances from it whose squares differ by 4·x·ρ·sin δ, so that the ends step by 2x·sin δ at the rim, and at the base
 *   by as much: its chord is shorter as it lies nearer. 2x = 2r·θ·sinc(kθ), the girth itself on a cylinder
 */
export function seamStep(spec: ConeSpec, over100: number, reach = Math.PI): number {
  return rimChord(spec, reach) * Math.sin(Math.atan(over100 / 100));
}

/** How true the rim edge has to be held for the ends to step by no more than `stepMm`: mm off the line over 100 mm. */
export function trueOver100(spec: ConeSpec, stepMm: number, reach = Math.PI): number {
  const sine = Math.min(1, stepMm / rimChord(spec, reach));
  return (100 * sine) / Math.sqrt(Math.max(TIE, 1 - sine * sine));
}

/** mm straight across between the ends of the rim edge on the flat. */
const rimChord = (spec: ConeSpec, reach: number): number =>
  (spec.girthRim / Math.PI) * reach * sinc(reach * taperOf(spec));

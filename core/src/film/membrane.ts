import type { Sheet } from './sheet.ts';
import type { TurnedSide } from './side.ts';

/** What film does when it is pulled and pushed, as fractions. */
export interface FilmGives {
  /** Longest that it may be pulled. */
  readonly stretch: number;
  /** Most that it may be pushed together: past that it tents. */
  readonly squeeze: number;
  /** What the tape gives that holds it; left out, as much as the film. */
  readonly tape?: { readonly stretch: number; readonly squeeze: number };
  /** Parts of it that are warm as they are laid, by a spot of its flat, and what it gives there. */
  readonly warm?: {
    readonly at: (x: number, y: number) => boolean;
    readonly stretch: number;
    readonly squeeze: number;
  };
}

/** How stiff tape is that spans a hole, against film: it gives and slips. */
const TAPE = 0.25;
/** How much stiffer film is when it is pulled past what it gives. */
const STRAINED = 10;

/**
 * The energy of a sheet on a side, for a stiffness of 1 a mm², and its gradient. Points are (mm round at radius `round`, mm
 * down) by turns.
 */
export interface Membrane {
  /**
   * Energy of where the points are; its gradient into `out`.
   *
   * @param counts which triangles count: those that are pressed on
   */
  energy(at: Float64Array, out: Float64Array, counts: Uint8Array): number;
  /** Takes the lengths of where the points are, for `strains`. */
  measure(at: Float64Array): void;
  /** Principal strains of a triangle as it was measured last, the larger first, and rad from the sheet's x to the way of the first. */
  strains(triangle: number, out: Float64Array): void;
  /** mm² of each triangle on the flat; of tape, as much film as it is as stiff as. */
  readonly areas: Float64Array;
  /** What each triangle gives: pulled, and pushed together. */
  readonly stretches: Float64Array;
  readonly squeezes: Float64Array;
  /** mm. Radius for which a mm round is a mm. */
  readonly round: number;
}

/**
 * A membrane of a film that gives so much, on a side.
 *
 * A triangle's strain is that of its three edges, each as long as on the cone that touches the side in its middle:
 * Δv² + r₁r₂(2 sin(kΔθ/2)/k)², by the law of cosines on its development; exact on a cone and a cylinder. Pulled or pushed by e along a principal direction it costs ½e²; pulled past what the film
 * gives, ten times as stiff; pushed past what it takes, it resists no more than it did there: it leaves the side, and tents.
 *
 * @param round mm, any radius near that of the side: it only makes both freedoms alike
 * @source Green's strain of constant-strain triangles, (FᵀF − 1)/2; tension-field idea: H. Wagner, 1929; A. C. Pipkin,
 *   "The relaxed energy density for isotropic elastic membranes", 1986, with a film that takes a little squeeze before it
 *   slackens
 */
export function membraneOf(sheet: Sheet, side: TurnedSide, gives: FilmGives, round: number): Membrane {
  const { flat, triangles, edges, sides, tape } = sheet;
  const count = triangles.length / 3;
  const areas = new Float64Array(count);
  const [stretches, squeezes] = [new Float64Array(count), new Float64Array(count)];
  // Of each triangle: squared lengths of its sides to G11, G22, G12.
  const toMetric = new Float64Array(9 * count);
  for (let t = 0; t < count; t++) prepare(t);
  function prepare(t: number): void {
    const [p, q, r] = [triangles[3 * t]!, triangles[3 * t + 1]!, triangles[3 * t + 2]!];
    const [ax, ay] = [flat[2 * q]! - flat[2 * p]!, flat[2 * q + 1]! - flat[2 * p + 1]!];
    const [bx, by] = [flat[2 * r]! - flat[2 * p]!, flat[2 * r + 1]! - flat[2 * p + 1]!];
    const det = ax * by - ay * bx;
    areas[t] = (det / 2) * (tape[t] ? TAPE : 1);
    const middle = (c: 0 | 1): number => (flat[2 * p + c]! + flat[2 * q + c]! + flat[2 * r + c]!) / 3;
    const own = tape[t] && gives.tape ? gives.tape : gives.warm?.at(middle(0), middle(1)) ? gives.warm : gives;
    [stretches[t], squeezes[t]] = [own.stretch, own.squeeze];
    // In barycentric edges: |pq|² = A, |pr|² = B, 2 pq·pr = A + B − |qr|². G = J⁻ᵀ M J⁻¹ with M of these.
    const [i11, i12, i21, i22] = [by / det, -bx / det, -ay / det, ax / det];
    // Rows of G as sums over M11 = A, M12 = (A + B − C)/2, M22 = B; lengths stand in the order qr (C), rp (B), pq (A).
    const row = (u: readonly [number, number], v: readonly [number, number], at: number): void => {
      const m11 = u[0] * v[0];
      const m22 = u[1] * v[1];
      const m12 = u[0] * v[1] + u[1] * v[0];
      toMetric[at] = -m12 / 2;
      toMetric[at + 1] = m22 + m12 / 2;
      toMetric[at + 2] = m11 + m12 / 2;
    };
    const [first, second] = [[i11, i21] as const, [i12, i22] as const];
    row(first, first, 9 * t);
    row(second, second, 9 * t + 3);
    row(first, second, 9 * t + 6);
  }
  const squared = new Float64Array(edges.length / 2);
  const byLength = new Float64Array(edges.length / 2);
  // Of each edge: what its squared length changes by with the way round, and with the height of its first and second end.
  const changes = new Float64Array(3 * squared.length);
  const theta = 1 / round;
  // Of each point: its radius, and how fast that changes.
  const [radii, slopes] = [new Float64Array(flat.length / 2), new Float64Array(flat.length / 2)];

  function measure(at: Float64Array): void {
    for (let i = 0; i < radii.length; i++) {
      radii[i] = side.radiusAt(at[2 * i + 1]!);
      slopes[i] = side.slopeAt(at[2 * i + 1]!);
    }
    for (let e = 0; e < squared.length; e++) {
      const i = edges[2 * e]!;
      const j = edges[2 * e + 1]!;
      const turn = (at[2 * j]! - at[2 * i]!) * theta;
      const down = at[2 * j + 1]! - at[2 * i + 1]!;
      const middle = (at[2 * i + 1]! + at[2 * j + 1]!) / 2;
      const r1 = radii[i]!;
      const r2 = radii[j]!;
      const k = side.slopeAt(middle);
      // sin x / x and its slope, for the x of edges: short against the radius.
      const x = (k * turn) / 2;
      const xx = x * x;
      const sinc = 1 - (xx / 6) * (1 - (xx / 20) * (1 - xx / 42));
      const sincSlope = (-x / 3) * (1 - (xx / 10) * (1 - xx / 28));
      const bow = turn * turn * sinc * sinc;
      squared[e] = down * down + r1 * r2 * bow;
      changes[3 * e] = 2 * r1 * r2 * turn * sinc * (sinc + x * sincSlope) * theta;
      // The slope in the middle changes by half with each end.
      const bent = (r1 * r2 * turn * turn * turn * sinc * sincSlope * side.bendAt(middle)) / 2;
      changes[3 * e + 1] = slopes[i]! * r2 * bow + bent - 2 * down;
      changes[3 * e + 2] = slopes[j]! * r1 * bow + bent + 2 * down;
    }
  }

  function energy(at: Float64Array, out: Float64Array, counts: Uint8Array): number {
    measure(at);
    byLength.fill(0);
    out.fill(0);
    let sum = 0;
    for (let t = 0; t < count; t++) {
      if (!counts[t]) continue;
      const c = sides[3 * t]!;
      const b = sides[3 * t + 1]!;
      const a = sides[3 * t + 2]!;
      const lc = squared[c]!;
      const lb = squared[b]!;
      const la = squared[a]!;
      const m = 9 * t;
      const e11 = (toMetric[m]! * lc + toMetric[m + 1]! * lb + toMetric[m + 2]! * la - 1) / 2;
      const e22 = (toMetric[m + 3]! * lc + toMetric[m + 4]! * lb + toMetric[m + 5]! * la - 1) / 2;
      const e12 = (toMetric[m + 6]! * lc + toMetric[m + 7]! * lb + toMetric[m + 8]! * la) / 2;
      const mean = (e11 + e22) / 2;
      const half = (e11 - e22) / 2;
      const spread = Math.sqrt(half * half + e12 * e12);
      const one = mean + spread;
      const two = mean - spread;
      const area = areas[t]!;
      const stretch = stretches[t]!;
      const squeeze = squeezes[t]!;
      sum += area * (costOf(one, stretch, squeeze) + costOf(two, stretch, squeeze));
      const s1 = stressOf(one, stretch, squeeze);
      const s2 = stressOf(two, stretch, squeeze);
      // Stress as a tensor: mean of both, and their half difference along the principal directions.
      const level = (s1 + s2) / 2;
      const turn = spread > 1e-15 ? (s1 - s2) / 2 / spread : 0;
      const t11 = level + turn * half;
      const t22 = level - turn * half;
      const t12 = turn * e12;
      // dE = dG/2; off the diagonal E12 counts twice.
      const scale = area / 2;
      byLength[c]! += scale * (t11 * toMetric[m]! + t22 * toMetric[m + 3]! + 2 * t12 * toMetric[m + 6]!);
      byLength[b]! += scale * (t11 * toMetric[m + 1]! + t22 * toMetric[m + 4]! + 2 * t12 * toMetric[m + 7]!);
      byLength[a]! += scale * (t11 * toMetric[m + 2]! + t22 * toMetric[m + 5]! + 2 * t12 * toMetric[m + 8]!);
    }
    for (let e = 0; e < squared.length; e++) {
      const g = byLength[e]!;
      if (g === 0) continue;
      const i = edges[2 * e]!;
      const j = edges[2 * e + 1]!;
      const around = g * changes[3 * e]!;
      out[2 * i]! -= around;
      out[2 * j]! += around;
      out[2 * i + 1]! += g * changes[3 * e + 1]!;
      out[2 * j + 1]! += g * changes[3 * e + 2]!;
    }
    return sum;
  }

  function costOf(e: number, stretch: number, squeeze: number): number {
    if (e > stretch) return (stretch * stretch) / 2 + stretch * (e - stretch) + (STRAINED * (e - stretch) ** 2) / 2;
    if (e < -squeeze) return (squeeze * squeeze) / 2 + squeeze * (-e - squeeze);
    return (e * e) / 2;
  }
  function stressOf(e: number, stretch: number, squeeze: number): number {
    return e > stretch ? stretch + STRAINED * (e - stretch) : Math.max(e, -squeeze);
  }

  function strains(t: number, out: Float64Array): void {
    const lengths = [0, 1, 2].map((k) => squared[sides[3 * t + k]!]!);
    const g = (row: number): number => [0, 1, 2].reduce((sum, k) => sum + toMetric[9 * t + 3 * row + k]! * lengths[k]!, 0); // prettier-ignore
    const [e11, e22, e12] = [(g(0) - 1) / 2, (g(1) - 1) / 2, g(2) / 2];
    const [mean, half] = [(e11 + e22) / 2, (e11 - e22) / 2];
    const spread = Math.hypot(half, e12);
    // As lengths, not as squares of them: λ − 1 with λ² = 1 + 2e.
    out[0] = Math.sqrt(Math.max(0, 1 + 2 * (mean + spread))) - 1;
    out[1] = Math.sqrt(Math.max(0, 1 + 2 * (mean - spread))) - 1;
    out[2] = Math.atan2(e12, half) / 2;
  }

  return { energy, measure, strains, areas, stretches, squeezes, round };
}

import { EPSILON, TIE } from '../../../numeric/tolerances.ts';

/** Points of a line, [x0, y0, x1, y1, …]. */
export type Line = number[];

/** rad. Turn from point to point of an arc. */
const ARC_STEP = Math.PI / 180;

/** An elliptical arc about a centre: from one parameter to another, its half-axes given as vectors. */
export function ellipseArc(
  [cx, cy]: readonly [number, number],
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
  from: number,
  sweep: number,
): Line {
  const steps = Math.max(2, Math.ceil(Math.abs(sweep) / ARC_STEP));
  const out: Line = [];
  for (let i = 0; i <= steps; i++) {
    const [cos, sin] = [Math.cos(from + (sweep * i) / steps), Math.sin(from + (sweep * i) / steps)];
    out.push(cx + ax * cos + bx * sin, cy + ay * cos + by * sin);
  }
  return out;
}

/** A circular arc, counter-clockwise for a positive sweep, rad. */
export const circleArc = (centre: readonly [number, number], radius: number, from: number, sweep: number): Line =>
  ellipseArc(centre, [radius, 0], [0, radius], from, sweep);

/** Sweep from one angle round to another, counter-clockwise: more than nothing, at most a whole turn; rad. */
export function sweepTo(from: number, to: number): number {
  const turn = 2 * Math.PI;
  const sweep = (((to - from) % turn) + turn) % turn;
  return sweep < EPSILON ? turn : sweep;
}

/**
 * A polyline with its bulges as arcs.
 *
 * @source bulge: the tangent of a quarter of the sweep, positive counter-clockwise
 */
export function bulgedLine(
  vertices: readonly { readonly x: number; readonly y: number; readonly bulge: number }[],
  closed: boolean,
): Line {
  const out: Line = [];
  vertices.forEach((a, i) => {
    out.push(a.x, a.y);
    const b = vertices[i + 1] ?? (closed ? vertices[0] : undefined);
    const chord = b ? Math.hypot(b.x - a.x, b.y - a.y) : 0;
    if (!b || !a.bulge || chord < TIE) return;
    const sweep = 4 * Math.atan(a.bulge);
    const rise = chord / 2 / Math.tan(sweep / 2);
    const centre = [
      (a.x + b.x) / 2 - (rise * (b.y - a.y)) / chord,
      (a.y + b.y) / 2 + (rise * (b.x - a.x)) / chord,
    ] as const;
    const radius = Math.hypot(a.x - centre[0], a.y - centre[1]);
    out.push(...circleArc(centre, radius, Math.atan2(a.y - centre[1], a.x - centre[0]), sweep).slice(2, -2));
  });
  return out;
}

/** A B-spline as a file has it. */
export interface Spline {
  readonly degree: number;
  readonly knots: readonly number[];
  readonly control: readonly (readonly [number, number])[];
  /** One for each control point; all alike when the file gives none. */
  readonly weights: readonly number[];
}

/** Most points of one spline. */
const MOST_STEPS = 6000;

/**
 * Points along a B-spline, rational or not; null when its knots and points do not belong together.
 *
 * @source de Boor's steps on points times their weights, with the weights along; 24 points from knot to knot
 */
export function splineLine({ degree, knots, control, weights }: Spline): Line | null {
  const count = control.length;
  if (!(degree >= 1 && degree <= 15) || count <= degree || knots.length < count + degree + 1) return null;
  if (![...knots, ...weights, ...control.flat()].every(Number.isFinite)) return null;
  const spans: [number, number, number][] = [];
  for (let i = degree; i < count; i++) if (knots[i + 1]! > knots[i]!) spans.push([i, knots[i]!, knots[i + 1]!]);
  if (spans.length === 0) return null;
  const per = Math.max(2, Math.min(48, Math.floor(MOST_STEPS / spans.length)));
  const out: Line = [];
  const at = (span: number, t: number): void => {
    const d = Array.from({ length: degree + 1 }, (_, j) => {
      const i = span - degree + j;
      const w = weights[i] ?? 1;
      return [control[i]![0] * w, control[i]![1] * w, w];
    });
    for (let r = 1; r <= degree; r++)
      for (let j = degree; j >= r; j--) {
        const low = knots[span - degree + j]!;
        const share = (t - low) / (knots[span + 1 + j - r]! - low || 1);
        d[j] = d[j]!.map((v, k) => d[j - 1]![k]! + (v - d[j - 1]![k]!) * share);
      }
    const [x, y, w] = d[degree]!;
    out.push(x! / w!, y! / w!);
  };
  spans.forEach(([span, from, to], k) => {
    for (let s = k === 0 ? 0 : 1; s <= per; s++) at(span, from + ((to - from) * s) / per);
  });
  return out;
}

/**
 * A smooth line through given points, where a spline has no control points of its own.
 *
 * @source Catmull–Rom by chord lengths; closed when its ends meet
 */
export function smoothLine(points: readonly (readonly [number, number])[]): Line {
  if (points.length < 3) return points.flat();
  const first = points[0]!;
  const last = points.at(-1)!;
  const round = Math.hypot(first[0] - last[0], first[1] - last[1]) < EPSILON;
  const n = points.length;
  const get = (i: number): readonly [number, number] => {
    if (i >= 0 && i < n) return points[i]!;
    if (round) return i < 0 ? points[n - 2]! : points[1]!;
    const [end, before] = i < 0 ? [points[0]!, points[1]!] : [points[n - 1]!, points[n - 2]!];
    return [2 * end[0] - before[0], 2 * end[1] - before[1]];
  };
  const gap = (a: readonly [number, number], b: readonly [number, number]): number =>
    Math.max(EPSILON, Math.hypot(b[0] - a[0], b[1] - a[1]));
  const out: Line = [...first];
  for (let i = 0; i + 1 < n; i++) {
    const [p0, p1, p2, p3] = [get(i - 1), get(i), get(i + 1), get(i + 2)];
    const [a, b, c] = [gap(p0, p1), gap(p1, p2), gap(p2, p3)];
    const tangent = (k: 0 | 1): readonly [number, number] => [
      b * ((p1[k] - p0[k]) / a - (p2[k] - p0[k]) / (a + b) + (p2[k] - p1[k]) / b),
      b * ((p2[k] - p1[k]) / b - (p3[k] - p1[k]) / (b + c) + (p3[k] - p2[k]) / c),
    ];
    const [tx, ty] = [tangent(0), tangent(1)];
    for (let s = 1; s <= 24; s++) {
      const t = s / 24;
      const [h0, h1, h2, h3] = [
        2 * t ** 3 - 3 * t * t + 1,
        t ** 3 - 2 * t * t + t,
        3 * t * t - 2 * t ** 3,
        t ** 3 - t * t,
      ];
      out.push(h0 * p1[0] + h1 * tx[0] + h2 * p2[0] + h3 * tx[1], h0 * p1[1] + h1 * ty[0] + h2 * p2[1] + h3 * ty[1]);
    }
  }
  return out;
}

/**
 * A reference for the film that is laid by computation, made by another method: the linear theory of a shallow sheet (A. Föppl
 * and T. von Kármán) in triangles of second order. The sheet's own strain is that of its displacement and of the height that
 * it is laid on, ε = ½(∇u + ∇uᵀ) + ½ ∇w ⊗ ∇w, without Poisson's effect; what it costs is ½∫|ε|², and the least of that is a
 * linear system, solved by conjugate gradients. It knows nothing of sides, of laying, or of film that gives only so far.
 *
 * Writes `core/test/golden/film-reference.json`. Run: npx tsx scripts/film-reference.ts
 */
import { writeFileSync } from 'node:fs';
import process from 'node:process';
import { fileURLToPath } from 'node:url';
import { meshOf } from '../core/src/film/sheet.ts';
import { REFERENCE_RADIUS, REFERENCE_SHAPES, WINDOW_MM } from '../core/test/film-shapes.ts';
import type { Polygon } from '../core/src/polygon/polygon.ts';

/** Gauss points of a triangle, by their barycentric coordinates; each counts a third. */
const GAUSS = [
  [2 / 3, 1 / 6, 1 / 6],
  [1 / 6, 2 / 3, 1 / 6],
  [1 / 6, 1 / 6, 2 / 3],
] as const;

interface Point {
  readonly x: number;
  readonly y: number;
  /** Shape functions' slopes, x and y by turns, of its six nodes. */
  readonly slopes: readonly number[];
  readonly nodes: readonly number[];
  readonly area: number;
}

/** Least strains of a sheet on a ball (`sign` 1) or a neck (−1): squeezes at its Gauss points. */
function squeezes(piece: Polygon, edge: number, sign: 1 | -1): { at: Point; squeeze: number }[] {
  const { flat, triangles, sides, edges } = meshOf(piece, edge);
  const corners = flat.length / 2;
  const nodes = corners + edges.length / 2;
  const points: Point[] = [];
  for (let t = 0; t < triangles.length; t += 3) {
    const c = [triangles[t]!, triangles[t + 1]!, triangles[t + 2]!];
    // A side lies opposite of its corner: the middle between the first two is the third side's.
    const own = [...c, corners + sides[t + 2]!, corners + sides[t]!, corners + sides[t + 1]!];
    const [x, y] = [c.map((i) => flat[2 * i]!), c.map((i) => flat[2 * i + 1]!)] as [number[], number[]];
    const twice = (x[1]! - x[0]!) * (y[2]! - y[0]!) - (x[2]! - x[0]!) * (y[1]! - y[0]!);
    const gx = [y[1]! - y[2]!, y[2]! - y[0]!, y[0]! - y[1]!].map((v) => v / twice);
    const gy = [x[2]! - x[1]!, x[0]! - x[2]!, x[1]! - x[0]!].map((v) => v / twice);
    for (const l of GAUSS) {
      const slopes: number[] = [];
      for (let k = 0; k < 3; k++) slopes.push((4 * l[k]! - 1) * gx[k]!, (4 * l[k]! - 1) * gy[k]!);
      for (const [a, b] of [
        [0, 1],
        [1, 2],
        [2, 0],
      ] as const)
        // prettier-ignore
        slopes.push(4 * (l[a]! * gx[b]! + l[b]! * gx[a]!), 4 * (l[a]! * gy[b]! + l[b]! * gy[a]!));
      points.push({ x: l.reduce((sum, v, k) => sum + v * x[k]!, 0), y: l.reduce((sum, v, k) => sum + v * y[k]!, 0), slopes, nodes: own, area: twice / 6 }); // prettier-ignore
    }
  }
  const strainOf = (u: Float64Array, { slopes, nodes: own }: Point): [number, number, number] => {
    let [xx, yy, xy] = [0, 0, 0];
    own.forEach((n, k) => {
      xx += slopes[2 * k]! * u[2 * n]!;
      yy += slopes[2 * k + 1]! * u[2 * n + 1]!;
      xy += (slopes[2 * k + 1]! * u[2 * n]! + slopes[2 * k]! * u[2 * n + 1]!) / 2;
    });
    return [xx, yy, xy];
  };
  const spread = (strains: (point: Point) => readonly [number, number, number]): Float64Array => {
    const out = new Float64Array(2 * nodes);
    for (const point of points) {
      const [xx, yy, xy] = strains(point);
      point.nodes.forEach((n, k) => {
        out[2 * n] = out[2 * n]! + point.area * (xx * point.slopes[2 * k]! + xy * point.slopes[2 * k + 1]!);
        out[2 * n + 1] = out[2 * n + 1]! + point.area * (yy * point.slopes[2 * k + 1]! + xy * point.slopes[2 * k]!);
      });
    }
    return out;
  };
  // w = (x² ± y²)/2R.
  const rise = ({ x, y }: Point): [number, number, number] => {
    const [wx, wy] = [x / REFERENCE_RADIUS, (sign * y) / REFERENCE_RADIUS];
    return [(wx * wx) / 2, (wy * wy) / 2, (wx * wy) / 2];
  };
  const u = solve((v) => spread((point) => strainOf(v, point)), spread(rise).map((v) => -v)); // prettier-ignore
  return points.map((at) => {
    const [a, b] = [strainOf(u, at), rise(at)];
    const [xx, yy, xy] = [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
    return { at, squeeze: -((xx + yy) / 2 - Math.hypot((xx - yy) / 2, xy)) };
  });
}

/** Conjugate gradients; shifts and a turn cost nothing, and are left as they begin. */
function solve(times: (v: Float64Array) => Float64Array, right: Float64Array): Float64Array {
  const at = new Float64Array(right.length);
  const rest = right.slice();
  let way = rest.slice();
  const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, v, i) => sum + v * b[i]!, 0);
  let left = dot(rest, rest);
  const first = left;
  for (let round = 0; round < 20_000 && left > 1e-22 * first; round++) {
    const pushed = times(way);
    const far = left / dot(way, pushed);
    for (let i = 0; i < at.length; i++) {
      at[i] = at[i]! + far * way[i]!;
      rest[i] = rest[i]! - far * pushed[i]!;
    }
    const next = dot(rest, rest);
    way = rest.map((v, i) => v + (next / left) * way[i]!);
    left = next;
  }
  return at;
}

/** Mean over a sheet, and the most that a window of film sees. */
function told(found: readonly { at: Point; squeeze: number }[]): { mean: number; peak: number } {
  let [area, sum, peak] = [0, 0, 0];
  for (const { at, squeeze } of found) {
    area += at.area;
    sum += at.area * Math.max(0, squeeze);
    let [near, mean] = [0, 0];
    for (const other of found)
      if (Math.hypot(other.at.x - at.x, other.at.y - at.y) <= WINDOW_MM) {
        near += other.at.area;
        mean += other.at.area * Math.max(0, other.squeeze);
      }
    peak = Math.max(peak, mean / near);
  }
  return { mean: sum / area, peak };
}

const rows = REFERENCE_SHAPES.flatMap(({ name, piece }) =>
  ([1, -1] as const).map((sign) => {
    const { mean, peak } = told(squeezes(piece, 1.1, sign));
    return {
      name,
      on: sign === 1 ? 'ball' : 'neck',
      mean: Number(mean.toPrecision(5)),
      peak: Number(peak.toPrecision(5)),
    };
  }),
);
const file = fileURLToPath(new URL('../core/test/golden/film-reference.json', import.meta.url));
writeFileSync(file, `${JSON.stringify(rows, null, 2)}\n`);
process.stdout.write(
  `${rows.map(({ name, on, mean, peak }) => `${name} on a ${on}: mean ${mean}, peak ${peak}`).join('\n')}\n`,
);

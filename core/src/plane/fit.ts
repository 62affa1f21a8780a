import { CORNER_TURN, EPSILON, EPSILON_MM, REFIT_ERROR_MM, TIE } from '../numeric/tolerances.ts';
import type { Path, Segment } from './path.ts';

/**
 * Replaces the points of a closed ring by lines and cubics, so that cutters run smoothly and files stay small. Corners
 * are kept exactly.
 *
 * @param ring interleaved points, start not repeated, at least three
 * @param maxError largest distance from a point to the path that replaces it, mm
 * @param isFixed whether the point with this index must stay exactly where it is (a seam end, for instance)
 * @returns a closed path
 * @source P. J. Schneider, "An Algorithm for Automatically Fitting Digitized Curves", Graphics Gems (1990); end
 *   directions here come from the circle through the first three points instead of the first chord
 */
export function fitRing(
  ring: ArrayLike<number>,
  maxError = REFIT_ERROR_MM,
  isFixed: (index: number) => boolean = () => false,
): Path {
  const n = ring.length / 2;
  const corners: number[] = [];
  for (let i = 0; i < n; i++) if (isFixed(i) || isCorner(ring, n, i)) corners.push(i);
  // A smooth ring has no corner to start from: two opposite points serve, joined with a common direction.
  const smooth = corners.length === 0;
  if (smooth) corners.push(0, Math.floor(n / 2));
  const first = corners[0]!;
  const segments: Segment[] = [];
  for (let c = 0; c < corners.length; c++) {
    const from = corners[c]!;
    const next = corners[(c + 1) % corners.length]!;
    const count = ((next - from + n) % n || n) + 1;
    const run = new Float64Array(2 * count);
    for (let i = 0; i < count; i++) {
      const index = (from + i) % n;
      run[2 * i] = ring[2 * index]!;
      run[2 * i + 1] = ring[2 * index + 1]!;
    }
    const last = 2 * count - 2;
    const to = { x: run[last]!, y: run[last + 1]! };
    if (isStraight(run, Math.min(maxError, 0.01))) {
      segments.push({ kind: 'line', to });
      continue;
    }
    const start = smooth ? through(ring, n, from) : endDirection(run, 0, 2, 4);
    const end = smooth ? reversed(through(ring, n, next)) : endDirection(run, last, last - 2, last - 4);
    fitRun(densified(run), maxError, start, end, segments);
  }
  return { start: { x: ring[2 * first]!, y: ring[2 * first + 1]! }, segments, closed: true };
}

const CORNER_COSINE = Math.cos(CORNER_TURN);

type Direction = readonly [number, number];

/** A cubic's four points, x0 y0 … x3 y3. */
type Controls = readonly [number, number, number, number, number, number, number, number];

function isCorner(ring: ArrayLike<number>, n: number, i: number): boolean {
  const a = i === 0 ? n - 1 : i - 1;
  const b = i === n - 1 ? 0 : i + 1;
  const ux = ring[2 * i]! - ring[2 * a]!;
  const uy = ring[2 * i + 1]! - ring[2 * a + 1]!;
  const vx = ring[2 * b]! - ring[2 * i]!;
  const vy = ring[2 * b + 1]! - ring[2 * i + 1]!;
  return ux * vx + uy * vy < CORNER_COSINE * length(ux, uy) * length(vx, vy);
}

/** Several times faster here than Math.hypot, whose care for huge numbers a template does not need. */
const length = (x: number, y: number): number => Math.sqrt(x * x + y * y);

function unit(x: number, y: number): Direction {
  const size = length(x, y) || 1;
  return [x / size, y / size];
}

/** Direction of the ring through one of its points: chord weights by the other chord's length (circle through three points). */
function through(ring: ArrayLike<number>, n: number, i: number): Direction {
  const a = (i + n - 1) % n;
  const b = (i + 1) % n;
  const ux = ring[2 * i]! - ring[2 * a]!;
  const uy = ring[2 * i + 1]! - ring[2 * a + 1]!;
  const vx = ring[2 * b]! - ring[2 * i]!;
  const vy = ring[2 * b + 1]! - ring[2 * i + 1]!;
  const u = length(ux, uy) || 1;
  const v = length(vx, vy) || 1;
  return unit((ux / u) * v + (vx / v) * u, (uy / u) * v + (vy / v) * u);
}

const reversed = (d: Direction): Direction => [-d[0], -d[1]];

/** Direction into a run at its first or last point: the circle through the three points at that end. */
function endDirection(run: Float64Array, at: number, second: number, third: number): Direction {
  const [mx, my] = unit(run[second]! - run[at]!, run[second + 1]! - run[at + 1]!);
  const [ex, ey] = unit(run[third]! - run[second]!, run[third + 1]! - run[second + 1]!);
  const u = length(run[second]! - run[at]!, run[second + 1]! - run[at + 1]!);
  const v = length(run[third]! - run[second]!, run[third + 1]! - run[second + 1]!);
  const turn = Math.atan2(mx * ey - my * ex, mx * ex + my * ey);
  if (Math.abs(turn) > CORNER_TURN) return [mx, my];
  const back = (-turn * u) / (u + v);
  return [mx * Math.cos(back) - my * Math.sin(back), mx * Math.sin(back) + my * Math.cos(back)];
}

/** Points added on the long chords, so that a cubic cannot bulge between two points unseen. */
function densified(run: Float64Array): Float64Array {
  let total = 0;
  for (let i = 2; i < run.length; i += 2) total += length(run[i]! - run[i - 2]!, run[i + 1]! - run[i - 1]!);
  const longest = total / 12;
  const partsOf = (i: number): number => Math.ceil(length(run[i]! - run[i - 2]!, run[i + 1]! - run[i - 1]!) / longest);
  let count = 1;
  for (let i = 2; i < run.length; i += 2) count += partsOf(i);
  if (2 * count === run.length) return run;
  const out = new Float64Array(2 * count);
  out[0] = run[0]!;
  out[1] = run[1]!;
  let at = 2;
  for (let i = 2; i < run.length; i += 2) {
    const parts = partsOf(i);
    for (let k = 1; k <= parts; k++, at += 2) {
      const t = k / parts;
      out[at] = run[i - 2]! + (run[i]! - run[i - 2]!) * t;
      out[at + 1] = run[i - 1]! + (run[i + 1]! - run[i - 1]!) * t;
    }
  }
  return out;
}

function fitRun(run: Float64Array, maxError: number, start: Direction, end: Direction, out: Segment[]): void {
  const last = run.length - 2;
  const to = { x: run[last]!, y: run[last + 1]! };
  if (last === 2) {
    out.push({ kind: 'line', to });
    return;
  }
  const parameters = chordParameters(run);
  let worstIndex = 0;
  for (let round = 0; round < 4; round++) {
    const controls = leastSquares(run, parameters, start, end);
    const worst = largestMiss(run, parameters, controls);
    if (worst.miss <= maxError) {
      out.push({
        kind: 'cubic',
        c1: { x: controls[2], y: controls[3] },
        c2: { x: controls[4], y: controls[5] },
        to,
      });
      return;
    }
    worstIndex = worst.index;
    if (worst.miss > 30 * maxError) break;
    reparameterise(run, parameters, controls);
  }
  const split = Math.max(1, Math.min(run.length / 2 - 2, worstIndex));
  const middle = through(run, run.length / 2, split);
  fitRun(run.subarray(0, 2 * split + 2), maxError, start, reversed(middle), out);
  fitRun(run.subarray(2 * split), maxError, middle, end, out);
}

function isStraight(run: Float64Array, tolerance: number): boolean {
  const last = run.length - 2;
  if (last === 2) return true;
  const dx = run[last]! - run[0]!;
  const dy = run[last + 1]! - run[1]!;
  const chord = length(dx, dy);
  if (chord < EPSILON) return false;
  for (let i = 2; i < last; i += 2) {
    const px = run[i]! - run[0]!;
    const py = run[i + 1]! - run[1]!;
    const along = (px * dx + py * dy) / chord;
    if (Math.abs(px * dy - py * dx) / chord > tolerance || along < 0 || along > chord) return false;
  }
  return true;
}

function chordParameters(run: Float64Array): Float64Array {
  const n = run.length / 2;
  const t = new Float64Array(n);
  for (let i = 1; i < n; i++)
    t[i] = t[i - 1]! + length(run[2 * i]! - run[2 * i - 2]!, run[2 * i + 1]! - run[2 * i - 1]!);
  const total = t[n - 1]! || 1;
  for (let i = 1; i < n; i++) t[i] = t[i]! / total;
  return t;
}

/** The two handle lengths that bring the cubic nearest to the points, in the least-squares sense; eight numbers x0 … y3. */
function leastSquares(run: Float64Array, t: Float64Array, start: Direction, end: Direction): Controls {
  const n = run.length / 2;
  const x0 = run[0]!;
  const y0 = run[1]!;
  const x3 = run[2 * n - 2]!;
  const y3 = run[2 * n - 1]!;
  let c00 = 0;
  let c01 = 0;
  let c11 = 0;
  let r0 = 0;
  let r1 = 0;
  const dot = start[0] * end[0] + start[1] * end[1];
  for (let i = 0; i < n; i++) {
    const u = t[i]!;
    const s = 1 - u;
    const b1 = 3 * s * s * u;
    const b2 = 3 * s * u * u;
    const ends0 = s * s * s + b1;
    const ends3 = u * u * u + b2;
    const dx = run[2 * i]! - (x0 * ends0 + x3 * ends3);
    const dy = run[2 * i + 1]! - (y0 * ends0 + y3 * ends3);
    c00 += b1 * b1;
    c01 += b1 * b2 * dot;
    c11 += b2 * b2;
    r0 += b1 * (start[0] * dx + start[1] * dy);
    r1 += b2 * (end[0] * dx + end[1] * dy);
  }
  const determinant = c00 * c11 - c01 * c01;
  const chord = length(x3 - x0, y3 - y0);
  let a = (r0 * c11 - r1 * c01) / determinant;
  let b = (c00 * r1 - c01 * r0) / determinant;
  // A degenerate or backward solution would loop: fall back to the usual third of the chord.
  if (!(a > EPSILON_MM * chord && b > EPSILON_MM * chord && a < 4 * chord && b < 4 * chord)) a = b = chord / 3;
  return [x0, y0, x0 + start[0] * a, y0 + start[1] * a, x3 + end[0] * b, y3 + end[1] * b, x3, y3];
}

/** Worst distance from the points to the cubic, and from the cubic between two points to the chord that joins them. */
function largestMiss(run: Float64Array, t: Float64Array, c: Controls): { miss: number; index: number } {
  const [ax, bx, cx, ay, by, cy] = powers(c);
  const x0 = c[0];
  const y0 = c[1];
  let worst = 0;
  let index = run.length >> 2;
  for (let i = 0; i < t.length - 1; i++) {
    const px = run[2 * i]!;
    const py = run[2 * i + 1]!;
    const u = t[i]!;
    const ex = ((ax * u + bx) * u + cx) * u + x0 - px;
    const ey = ((ay * u + by) * u + cy) * u + y0 - py;
    const v = (u + t[i + 1]!) / 2;
    const mx = ((ax * v + bx) * v + cx) * v + x0 - px;
    const my = ((ay * v + by) * v + cy) * v + y0 - py;
    const dx = run[2 * i + 2]! - px;
    const dy = run[2 * i + 3]! - py;
    const along = Math.max(0, Math.min(1, (mx * dx + my * dy) / (dx * dx + dy * dy || 1)));
    const fx = mx - along * dx;
    const fy = my - along * dy;
    const d = Math.max(ex * ex + ey * ey, fx * fx + fy * fy);
    if (d > worst) {
      worst = d;
      index = i;
    }
  }
  return { miss: Math.sqrt(worst), index };
}

/** Coefficients of the cubic as a polynomial: x³, x², x of the abscissa, then of the ordinate. */
function powers([x0, y0, x1, y1, x2, y2, x3, y3]: Controls): readonly [number, number, number, number, number, number] {
  return [
    x3 - x0 + 3 * (x1 - x2),
    3 * (x0 - 2 * x1 + x2),
    3 * (x1 - x0),
    y3 - y0 + 3 * (y1 - y2),
    3 * (y0 - 2 * y1 + y2),
    3 * (y1 - y0),
  ];
}

/** One Newton step of each parameter towards the foot of the perpendicular on the cubic. */
function reparameterise(run: Float64Array, t: Float64Array, c: Controls): void {
  const [ax, bx, cx, ay, by, cy] = powers(c);
  for (let i = 1; i < t.length - 1; i++) {
    const u = t[i]!;
    const ex = ((ax * u + bx) * u + cx) * u + c[0] - run[2 * i]!;
    const ey = ((ay * u + by) * u + cy) * u + c[1] - run[2 * i + 1]!;
    const dx = (3 * ax * u + 2 * bx) * u + cx;
    const dy = (3 * ay * u + 2 * by) * u + cy;
    const slope = dx * dx + dy * dy + ex * (6 * ax * u + 2 * bx) + ey * (6 * ay * u + 2 * by);
    if (Math.abs(slope) < TIE) continue;
    const moved = u - (ex * dx + ey * dy) / slope;
    if (moved > t[i - 1]! && moved < t[i + 1]!) t[i] = moved;
  }
}

import { FLATTEN_ERROR_MM, FLATTEN_TURN, EPSILON } from '../numeric/tolerances.ts';
import type { Path } from './path.ts';
import { arcCentre, arcSweep } from './path.ts';
import type { Point } from './point.ts';

/**
 * Turns a path into points close enough that no chord strays from its curve and no chord turns sharply from the last,
 * so that what still turns sharply afterwards is a true corner.
 *
 * @param path outline in mm
 * @param maxError largest chord error, mm
 * @returns interleaved [x0, y0, x1, y1, …]; for closed paths the start is not repeated
 */
export function flattenPath(path: Path, maxError = FLATTEN_ERROR_MM): Float64Array {
  const out: number[] = [path.start.x, path.start.y];
  let from = path.start;
  for (const segment of path.segments) {
    if (segment.kind === 'line') out.push(segment.to.x, segment.to.y);
    else if (segment.kind === 'cubic') flattenCubic(from, segment.c1, segment.c2, segment.to, maxError, out);
    else {
      const centre = arcCentre(from, segment);
      const sweep = arcSweep(from, segment);
      const byError = 2 * Math.acos(Math.max(0.5, 1 - maxError / segment.radius));
      const steps = Math.max(1, Math.ceil(Math.abs(sweep) / Math.min(byError, FLATTEN_TURN)));
      const first = Math.atan2(from.y - centre.y, from.x - centre.x);
      for (let i = 1; i < steps; i++) {
        const angle = first + (sweep * i) / steps;
        out.push(centre.x + segment.radius * Math.cos(angle), centre.y + segment.radius * Math.sin(angle));
      }
      out.push(segment.to.x, segment.to.y);
    }
    from = segment.to;
  }
  return Float64Array.from(path.closed ? dropRepeatedEnd(out) : out);
}

function dropRepeatedEnd(points: number[]): number[] {
  const n = points.length;
  const closes = n > 4 && Math.hypot(points[0]! - points[n - 2]!, points[1]! - points[n - 1]!) < EPSILON;
  return closes ? points.slice(0, n - 2) : points;
}

/** Even steps in the parameter, counted from the second differences (chord error) and the turning of the hull. */
function flattenCubic(p0: Point, p1: Point, p2: Point, p3: Point, maxError: number, out: number[]): void {
  const ax = p0.x - 2 * p1.x + p2.x;
  const ay = p0.y - 2 * p1.y + p2.y;
  const bx = p1.x - 2 * p2.x + p3.x;
  const by = p1.y - 2 * p2.y + p3.y;
  const second = 6 * Math.sqrt(Math.max(ax * ax + ay * ay, bx * bx + by * by));
  const byError = Math.sqrt(second / (8 * maxError));
  const turn = hullTurn(p0, p1, p2, p3);
  // The curve turns unevenly in its parameter; twice the even share keeps the sharpest part under the limit.
  const steps = Math.max(1, Math.min(200, Math.ceil(Math.max(byError, (2 * turn) / FLATTEN_TURN))));
  for (let i = 1; i < steps; i++) {
    const t = i / steps;
    const s = 1 - t;
    const w0 = s * s * s;
    const w1 = 3 * s * s * t;
    const w2 = 3 * s * t * t;
    const w3 = t * t * t;
    out.push(w0 * p0.x + w1 * p1.x + w2 * p2.x + w3 * p3.x, w0 * p0.y + w1 * p1.y + w2 * p2.y + w3 * p3.y);
  }
  out.push(p3.x, p3.y);
}

/** How far the legs of the hull turn in all, rad; legs of no length are passed over. */
function hullTurn(p0: Point, p1: Point, p2: Point, p3: Point): number {
  let turn = 0;
  let [lastX, lastY] = [0, 0];
  let from = p0;
  for (const to of [p1, p2, p3]) {
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    from = to;
    if (dx * dx + dy * dy < 1e-24) continue;
    if (lastX !== 0 || lastY !== 0) turn += Math.abs(Math.atan2(lastX * dy - lastY * dx, lastX * dx + lastY * dy));
    [lastX, lastY] = [dx, dy];
  }
  return turn;
}

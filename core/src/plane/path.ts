import { EPSILON } from '../numeric/tolerances.ts';
import type { Point } from './point.ts';

/** One stroke of a path, from where the last one ended. Arcs turn counter-clockwise when `ccw`, in y-up coordinates. */
export type Segment =
  | { readonly kind: 'line'; readonly to: Point }
  | { readonly kind: 'cubic'; readonly c1: Point; readonly c2: Point; readonly to: Point }
  | {
      readonly kind: 'arc';
      readonly radius: number;
      readonly large: boolean;
      readonly ccw: boolean;
      readonly to: Point;
    };

/** A connected outline, mm, y up. Closed paths end where they start without repeating the start point. */
export interface Path {
  readonly start: Point;
  readonly segments: readonly Segment[];
  readonly closed: boolean;
}

/** Moves every point of a path; only for maps that keep circles circles when the path holds arcs (turn, shift, even scale). */
export function mapPath(path: Path, move: (p: Point) => Point, radiusScale = 1, mirrored = false): Path {
  return {
    start: move(path.start),
    closed: path.closed,
    segments: path.segments.map((s): Segment => {
      if (s.kind === 'line') return { kind: 'line', to: move(s.to) };
      if (s.kind === 'cubic') return { kind: 'cubic', c1: move(s.c1), c2: move(s.c2), to: move(s.to) };
      return { ...s, radius: s.radius * radiusScale, ccw: mirrored ? !s.ccw : s.ccw, to: move(s.to) };
    }),
  };
}

/** The same path drawn the other way, from its end to its start. */
export function reversePath({ start, segments, closed }: Path): Path {
  const backwards = segments
    .map((s, i): Segment => {
      const to = i === 0 ? start : segments[i - 1]!.to;
      if (s.kind === 'line') return { kind: 'line', to };
      if (s.kind === 'cubic') return { kind: 'cubic', c1: s.c2, c2: s.c1, to };
      return { ...s, ccw: !s.ccw, to };
    })
    .reverse();
  return { start: segments.at(-1)?.to ?? start, segments: backwards, closed };
}

/** A closed path through interleaved points, straight from one to the next. */
export function pathFromRing(ring: ArrayLike<number>): Path {
  const segments: Segment[] = [];
  for (let i = 2; i + 1 < ring.length; i += 2) segments.push({ kind: 'line', to: { x: ring[i]!, y: ring[i + 1]! } });
  return { start: { x: ring[0]!, y: ring[1]! }, segments, closed: true };
}

/** Centre of an arc segment, mm. The two ends must be no further apart than the diameter. */
export function arcCentre(from: Point, arc: Extract<Segment, { kind: 'arc' }>): Point {
  const dx = arc.to.x - from.x;
  const dy = arc.to.y - from.y;
  const chord = Math.hypot(dx, dy);
  const rise = Math.sqrt(Math.max(0, arc.radius * arc.radius - (chord * chord) / 4));
  // Seen along the chord, a counter-clockwise small arc has its centre on the left.
  const side = arc.ccw !== arc.large ? 1 : -1;
  return {
    x: (from.x + arc.to.x) / 2 - (side * rise * dy) / chord,
    y: (from.y + arc.to.y) / 2 + (side * rise * dx) / chord,
  };
}

/** Signed sweep of an arc in radians, counter-clockwise positive. */
export function arcSweep(from: Point, arc: Extract<Segment, { kind: 'arc' }>): number {
  const half = Math.asin(Math.min(1, Math.hypot(arc.to.x - from.x, arc.to.y - from.y) / (2 * arc.radius)));
  const sweep = arc.large ? 2 * Math.PI - 2 * half : 2 * half;
  return arc.ccw ? sweep : -sweep;
}

/**
 * The same path with every arc cut into even ones of no more than `mostSweep`. An arc of nearly half a circle hangs on the
 * last digit of its radius; one of a quarter does not.
 *
 * @param mostSweep rad, > 0
 */
export function splitArcs(path: Path, mostSweep: number): Path {
  let from = path.start;
  const segments = path.segments.flatMap((segment): Segment[] => {
    const begin = from;
    from = segment.to;
    if (segment.kind !== 'arc') return [segment];
    const sweep = arcSweep(begin, segment);
    const parts = Math.ceil(Math.abs(sweep) / mostSweep - EPSILON);
    if (parts <= 1) return [segment];
    const centre = arcCentre(begin, segment);
    const first = Math.atan2(begin.y - centre.y, begin.x - centre.x);
    const at = (share: number): Point => ({
      x: centre.x + segment.radius * Math.cos(first + sweep * share),
      y: centre.y + segment.radius * Math.sin(first + sweep * share),
    });
    return Array.from({ length: parts }, (_, i) => ({
      ...segment,
      large: Math.abs(sweep) / parts > Math.PI,
      to: i === parts - 1 ? segment.to : at((i + 1) / parts),
    }));
  });
  return { ...path, segments };
}

/** A full circle as two half arcs, mm. */
export function circlePath(centre: Point, radius: number, ccw: boolean): Path {
  const end = (sign: 1 | -1): Point => ({ x: centre.x + sign * radius, y: centre.y });
  const half = (to: Point): Segment => ({ kind: 'arc', radius, large: false, ccw, to });
  return { start: end(1), closed: true, segments: [half(end(-1)), half(end(1))] };
}

import { ClipType, FillRule, type Path64, type Point64 } from 'clipper2-ts';
import { POLYGON_GRID_PER_MM } from '../numeric/tolerances.ts';
import { boxHeight, boxOfRings, boxWidth } from '../plane/box.ts';
import { nestRings } from './hole-assignment.ts';
import { makeKernel } from './kernel.ts';
import type { Polygon, Ring } from './polygon.ts';
import { ringsOf } from './polygon.ts';

/** How overlapping outlines of one input count: `nonzero` as fonts mean it, `evenodd` as many drawings mean it. */
export type FillRuleName = 'nonzero' | 'evenodd';

/**
 * Area covered by any of the rings.
 *
 * @param rings closed rings, mm; may cross themselves and each other
 * @returns separate polygons with their holes, mm; rounding dust is left out
 */
export function unionRings(rings: readonly Ring[], fill: FillRuleName = 'nonzero'): Polygon[] {
  return run(ClipType.Union, rings, [], fill);
}

/**
 * Area of the first rings that is also covered by the second.
 *
 * Both are cleaned first: of rings that cross themselves or lie on each other the kernel now and then drops a corner where
 * three edges meet within a grid step (6.5 mm² in the made case of the test, once in some ten thousand random pairs).
 */
export function intersectRings(
  rings: readonly Ring[],
  clip: readonly Ring[],
  fill: FillRuleName = 'nonzero',
): Polygon[] {
  const clean = (list: readonly Ring[]): Ring[] => unionRings(list, fill).flatMap(ringsOf);
  return run(ClipType.Intersection, clean(rings), clean(clip), 'nonzero');
}

/** Area of the first rings that is not covered by the second. */
export function subtractRings(
  rings: readonly Ring[],
  clip: readonly Ring[],
  fill: FillRuleName = 'nonzero',
): Polygon[] {
  return run(ClipType.Difference, rings, clip, fill);
}

/**
 * The kernel sweeps along y and, at each height, walks all edges that cross it: a line of lettering swept across its
 * length would make that walk as long as the line. So the sweep always runs along the longer side, by exchanging x and
 * y on the way in and out; an exchange mirrors, so each ring is turned round again on the way out.
 */
function run(type: ClipType, subject: readonly Ring[], clip: readonly Ring[], fill: FillRuleName): Polygon[] {
  const box = boxOfRings(subject);
  const turned = boxWidth(box) > boxHeight(box);
  const engine = makeKernel();
  engine.addSubject(gridPaths(subject, turned));
  if (clip.length > 0) engine.addClip(gridPaths(clip, turned));
  const solution: Path64[] = [];
  if (!engine.execute(type, fill === 'nonzero' ? FillRule.NonZero : FillRule.EvenOdd, solution))
    throw new Error('The polygon kernel could not combine these outlines.');
  return nestRings(solution.map((path) => fromGrid(path, turned)));
}

/** Rings on the grid; what is left of fewer than three points covers nothing and would trip the kernel. */
function gridPaths(rings: readonly Ring[], turned: boolean): Path64[] {
  return rings.map((ring) => withoutSpikes(toGrid(ring, turned))).filter((path) => path.length >= 3);
}

function toGrid(ring: Ring, turned: boolean): Path64 {
  const path: Path64 = [];
  let lastX = NaN;
  let lastY = NaN;
  for (let i = 0; i + 1 < ring.length; i += 2) {
    const x = Math.round(ring[i]! * POLYGON_GRID_PER_MM);
    const y = Math.round(ring[i + 1]! * POLYGON_GRID_PER_MM);
    if (x === lastX && y === lastY) continue;
    path.push(turned ? { x: y, y: x } : { x, y });
    lastX = x;
    lastY = y;
  }
  return path;
}

/**
 * A path without the places where it turns right back on itself: they cover nothing, and a path of nothing else sends the
 * kernel round in circles.
 */
function withoutSpikes(path: Path64): Path64 {
  const out: Path64 = [];
  for (const point of path) {
    out.push(point);
    while (out.length >= 3 && turnsBack(out.at(-3)!, out.at(-2)!, out.at(-1)!)) dropSpike(out, out.length - 2);
  }
  // Where the end meets the beginning, one corner at a time.
  for (let more = true; more && out.length >= 3;) {
    const n = out.length;
    more = false;
    for (const at of [n - 1, 0])
      if (!more && turnsBack(out[(at + n - 1) % n]!, out[at]!, out[(at + 1) % n]!)) {
        dropSpike(out, at);
        more = true;
      }
  }
  return out;
}

const turnsBack = (a: Point64, b: Point64, c: Point64): boolean => {
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
  return ux * vy - uy * vx === 0 && ux * vx + uy * vy <= 0;
};

/** Takes the tip of a spike out, and one of its ends when both are the same point. */
function dropSpike(path: Path64, at: number): void {
  path.splice(at, 1);
  const n = path.length;
  const [before, after] = [(at + n - 1) % n, at % n];
  if (n > 1 && path[before]!.x === path[after]!.x && path[before]!.y === path[after]!.y) path.splice(after, 1);
}

function fromGrid(path: Path64, turned: boolean): Ring {
  const ring = new Float64Array(2 * path.length);
  const count = path.length;
  for (let i = 0; i < count; i++) {
    const p = path[turned ? count - 1 - i : i]!;
    ring[2 * i] = (turned ? p.y : p.x) / POLYGON_GRID_PER_MM;
    ring[2 * i + 1] = (turned ? p.x : p.y) / POLYGON_GRID_PER_MM;
  }
  return ring;
}

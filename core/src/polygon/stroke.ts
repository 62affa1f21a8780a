import { Clipper, EndType, JoinType, type Path64 } from 'clipper2-ts';
import { POLYGON_GRID_PER_MM } from '../numeric/tolerances.ts';
import type { Polygon, Ring } from './polygon.ts';
import { unionRings } from './boolean.ts';

/** How the corners and the ends of a line look when it is drawn broad. */
export interface StrokeShape {
  readonly join: 'miter' | 'round' | 'bevel';
  readonly cap: 'butt' | 'round' | 'square';
  readonly miterLimit: number;
}

const JOINS = { miter: JoinType.Miter, round: JoinType.Round, bevel: JoinType.Bevel } as const;
const CAPS = { butt: EndType.Butt, round: EndType.Round, square: EndType.Square } as const;

/**
 * The area that a broad line covers.
 *
 * @param lines points of each line, mm
 * @param closed whether each line comes back to its start
 * @param width mm, > 0
 * @returns separate polygons, mm
 */
export function strokeArea(
  lines: readonly Ring[],
  closed: readonly boolean[],
  width: number,
  { join, cap, miterLimit }: StrokeShape,
): Polygon[] {
  const ready = lines.map((ring, i) => cleanLine(ring, closed[i]!)).filter(({ path }) => path.length > 0);
  const grow = (paths: Path64[], end: EndType): Path64[] =>
    paths.length === 0
      ? []
      : Clipper.inflatePaths(
          paths,
          (width / 2) * POLYGON_GRID_PER_MM,
          JOINS[join],
          end,
          Math.max(1, miterLimit),
          // Two thousandths of a millimetre off a round corner.
          0.002 * POLYGON_GRID_PER_MM,
        );
  // A line of one point is a dot where its ends are drawn out, and nothing where they are not.
  const open = ready.filter(({ path, round }) => !round && (path.length > 1 || cap !== 'butt'));
  const area = [
    ...grow(
      ready.filter(({ round }) => round).map(({ path }) => path),
      EndType.Joined,
    ),
    ...grow(
      open.map(({ path }) => path),
      CAPS[cap],
    ),
  ];
  return unionRings(
    area.map((path) => Float64Array.from(path.flatMap((p) => [p.x / POLYGON_GRID_PER_MM, p.y / POLYGON_GRID_PER_MM]))),
  );
}

/** A line on the grid without points that repeat; what comes back to its start over fewer than three points does not close. */
function cleanLine(ring: Ring, closed: boolean): { path: Path64; round: boolean } {
  const path: Path64 = [];
  for (let i = 0; i + 1 < ring.length; i += 2) {
    const point = { x: Math.round(ring[i]! * POLYGON_GRID_PER_MM), y: Math.round(ring[i + 1]! * POLYGON_GRID_PER_MM) };
    const last = path.at(-1);
    if (last?.x !== point.x || last.y !== point.y) path.push(point);
  }
  const [first, last] = [path[0], path.at(-1)];
  if (closed && path.length > 1 && first!.x === last!.x && first!.y === last!.y) path.pop();
  return { path, round: closed && path.length >= 3 };
}

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
  const grid = (ring: Ring): Path64 =>
    Array.from({ length: ring.length / 2 }, (_, i) => ({
      x: Math.round(ring[2 * i]! * POLYGON_GRID_PER_MM),
      y: Math.round(ring[2 * i + 1]! * POLYGON_GRID_PER_MM),
    }));
  const grow = (paths: Path64[], end: EndType): Path64[] =>
    paths.length === 0
      ? []
      : Clipper.inflatePaths(
          paths,
          (width / 2) * POLYGON_GRID_PER_MM,
          JOINS[join],
          end,
          Math.max(1, miterLimit),
          // A hundredth of a millimetre off a round corner.
          0.01 * POLYGON_GRID_PER_MM,
        );
  const area = [
    ...grow(lines.filter((_, i) => closed[i]).map(grid), EndType.Joined),
    ...grow(lines.filter((_, i) => !closed[i]).map(grid), CAPS[cap]),
  ];
  return unionRings(
    area.map((path) => Float64Array.from(path.flatMap((p) => [p.x, p.y])).map((v) => v / POLYGON_GRID_PER_MM)),
  );
}

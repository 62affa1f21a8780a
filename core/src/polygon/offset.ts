import { Clipper, EndType, JoinType, type Path64 } from 'clipper2-ts';
import { POLYGON_GRID_PER_MM } from '../numeric/tolerances.ts';
import { unionRings } from './boolean.ts';
import type { Polygon, Ring } from './polygon.ts';

/** mm. How far a round corner of a moved outline may stray from its circle, where nothing else is asked. */
const ROUND_ERROR_MM = 0.01;

/**
 * Moves outlines outwards or inwards by a distance; corners become round outwards. What is narrower than twice the
 * distance is gone when they move inwards.
 *
 * @param rings clean film: outer rings counter-clockwise, holes clockwise, mm
 * @param by mm; positive makes the film broader, negative narrower
 * @param errorMm how far a round corner may stray from its circle
 * @returns separate polygons, mm
 */
export function offsetRings(rings: readonly Ring[], by: number, errorMm = ROUND_ERROR_MM): Polygon[] {
  if (by === 0) return unionRings(rings);
  const paths = unionRings(rings).flatMap(({ outer, holes }) => [outer, ...holes].map(toGrid));
  if (paths.length === 0) return [];
  const moved = Clipper.inflatePaths(
    paths,
    by * POLYGON_GRID_PER_MM,
    JoinType.Round,
    EndType.Polygon,
    2,
    errorMm * POLYGON_GRID_PER_MM,
  );
  return unionRings(
    moved.map((path) => Float64Array.from(path.flatMap((p) => [p.x / POLYGON_GRID_PER_MM, p.y / POLYGON_GRID_PER_MM]))),
  );
}

function toGrid(ring: Ring): Path64 {
  const path: Path64 = [];
  for (let i = 0; i + 1 < ring.length; i += 2)
    path.push({ x: Math.round(ring[i]! * POLYGON_GRID_PER_MM), y: Math.round(ring[i + 1]! * POLYGON_GRID_PER_MM) });
  return path;
}

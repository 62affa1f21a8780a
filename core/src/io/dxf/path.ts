import { type DxfWriter, LWPolylineFlags, type LWPolylineVertex, point2d } from '@tarikjabiri/dxf';
import { EPSILON } from '../../numeric/tolerances.ts';
import { flattenPath } from '../../plane/flatten.ts';
import { arcSweep, type Path } from '../../plane/path.ts';

/** mm. Chord error of curves: DXF polylines know lines and arcs only. */
const CURVE_ERROR_MM = 0.01;
/** Colour number that is drawn against whatever ground a program has. */
const EITHER = 7;

/** A layer that shows on light and dark grounds. */
export function addLayer(dxf: DxfWriter, name: string): string {
  dxf.addLayer(name, EITHER, 'CONTINUOUS');
  return name;
}

/** Name of a film's layer. */
export const filmLayer = (called: string): string => `film-${called}`;

/**
 * A path as one polyline, its arcs as arcs.
 *
 * @source bulge of an arc: the tangent of a quarter of its sweep, positive counter-clockwise
 */
export function addPath(dxf: DxfWriter, path: Path, layerName: string): void {
  const vertices: LWPolylineVertex[] = [];
  let from = path.start;
  for (const segment of path.segments) {
    const bulge = segment.kind === 'arc' ? Math.tan(arcSweep(from, segment) / 4) : 0;
    vertices.push({ point: point2d(from.x, from.y), bulge });
    if (segment.kind === 'cubic') {
      const points = flattenPath({ start: from, segments: [segment], closed: false }, CURVE_ERROR_MM);
      for (let i = 2; i + 3 < points.length; i += 2) vertices.push({ point: point2d(points[i]!, points[i + 1]!) });
    }
    from = segment.to;
  }
  const closes = path.closed && Math.hypot(from.x - path.start.x, from.y - path.start.y) < EPSILON;
  if (!closes) vertices.push({ point: point2d(from.x, from.y) });
  dxf.addLWPolyline(vertices, { layerName, flags: path.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None });
}

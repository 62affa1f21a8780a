import { DxfWriter, LWPolylineFlags, point2d, point3d, Units, type LWPolylineVertex } from '@tarikjabiri/dxf';
import type { Film } from '../../artwork/film.ts';
import { flattenPath } from '../../plane/flatten.ts';
import { arcSweep, type Path } from '../../plane/path.ts';
import type { Wrap } from '../../wrap/derive.ts';
import { carriesPieces } from '../../wrap/panels.ts';

/** mm. Chord error of the pieces' curves: DXF polylines know lines and arcs only. */
const CURVE_ERROR_MM = 0.01;
/** Colour number that is drawn against whatever ground a program has. */
const EITHER = 7;

/**
 * The flat template as DXF in true millimetres, y up, origin at the front of the rim edge: the outline with true arcs,
 * the marks, and the pieces on a layer for each film.
 *
 * @param wrap template and pieces
 * @param films the project's films
 * @returns DXF text; layers `template`, `marks` and `film-…`
 * @source bulge of an arc: the tangent of a quarter of its sweep, positive counter-clockwise
 */
export function writeTemplateDxf(wrap: Wrap, films: readonly Film[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.setVariable('$LASTSAVEDBY', { 1: 'Mivet' });
  const layer = (name: string): string => {
    dxf.addLayer(name, EITHER, 'CONTINUOUS');
    return name;
  };
  const template = layer('template');
  const { panels } = wrap;
  for (const path of panels.flatMap((panel) => panel.outlines)) addPath(dxf, path, template);
  const marks = layer('marks');
  for (const { from, to } of panels.flatMap((panel) => panel.lines))
    dxf.addLine(point3d(from.x, from.y, 0), point3d(to.x, to.y, 0), { layerName: marks });
  for (const { at, text } of panels.flatMap((panel) => panel.words))
    dxf.addText(point3d(at.x, at.y, 0), 3, text, { layerName: marks });
  for (const film of carriesPieces(wrap) ? films : []) {
    const pieces = wrap.pieces.filter((piece) => piece.film === film.id);
    if (pieces.length === 0) continue;
    const name = layer(`film-${film.id.replace(/[^\w-]/g, '-')}`);
    for (const path of pieces.flatMap((piece) => piece.paths)) addPath(dxf, path, name);
  }
  return dxf.stringify();
}

function addPath(dxf: DxfWriter, path: Path, layerName: string): void {
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
  const closes = path.closed && Math.hypot(from.x - path.start.x, from.y - path.start.y) < 1e-9;
  if (!closes) vertices.push({ point: point2d(from.x, from.y) });
  dxf.addLWPolyline(vertices, { layerName, flags: path.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None });
}

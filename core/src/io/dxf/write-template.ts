import { slugsOf } from '../../pieces/slug.ts';
import { DxfWriter, point3d, Units } from '@tarikjabiri/dxf';
import type { Film } from '../../model/film.ts';
import type { Wrap } from '../../pieces/wrap.ts';
import { carriesPieces } from '../../seam/panels/panel.ts';
import { addLayer, addPath, filmLayer } from './path.ts';

/**
 * The flat template as DXF in true millimetres, y up, origin at the front of the rim edge: the outline with true arcs,
 * the marks, and the pieces on a layer for each film.
 *
 * @param wrap template and pieces
 * @param films the project's films
 * @returns DXF text; layers `template`, `marks` and `film-…`
 */
export function writeTemplateDxf(wrap: Wrap, films: readonly Film[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.setVariable('$LASTSAVEDBY', { 1: 'Mivet' });
  const layer = (name: string): string => addLayer(dxf, name);
  const template = layer('template');
  const { panels } = wrap;
  for (const path of panels.flatMap((panel) => panel.outlines)) addPath(dxf, path, template);
  const marks = layer('marks');
  for (const { from, to } of panels.flatMap((panel) => panel.lines))
    dxf.addLine(point3d(from.x, from.y, 0), point3d(to.x, to.y, 0), { layerName: marks });
  for (const { at, text } of panels.flatMap((panel) => panel.words))
    dxf.addText(point3d(at.x, at.y, 0), 3, text, { layerName: marks });
  const called = slugsOf(films, 'film');
  for (const film of carriesPieces(wrap) ? films : []) {
    const pieces = wrap.pieces.filter((piece) => piece.film === film.id);
    if (pieces.length === 0) continue;
    const name = layer(filmLayer(called.get(film.id)!));
    for (const path of pieces.flatMap((piece) => piece.paths)) addPath(dxf, path, name);
  }
  return dxf.stringify();
}

import { slug } from '../../pieces/slug.ts';
import { DxfWriter, Units } from '@tarikjabiri/dxf';
import type { Film } from '../../model/film.ts';
import type { CutPiece } from '../../cut/order.ts';
import { addLayer, addPath, filmLayer } from './path.ts';

/**
 * What is cut of one film in one load as DXF, true millimetres from the load corner, y up, and nothing else.
 *
 * @param pieces in board millimetres, in cutting order
 * @param film names the layer
 */
export function writeCutDxf(pieces: readonly CutPiece[], film: Film): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.setVariable('$LASTSAVEDBY', { 1: 'Mivet' });
  const layer = addLayer(dxf, filmLayer(slug(film.name, 'film')));
  for (const path of pieces.flatMap((piece) => piece.paths)) addPath(dxf, path, layer);
  return dxf.stringify();
}

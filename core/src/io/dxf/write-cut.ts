import { slugsOf } from '../../pieces/slug.ts';
import { DxfWriter, Units } from '@tarikjabiri/dxf';
import type { Film } from '../../model/film.ts';
import type { CutPiece } from '../../cut/order.ts';
import { addLayer, addPath, filmLayer } from './path.ts';

/**
 * What is cut in a load, or of one film of it, as DXF, true millimetres from the load corner, y up, and nothing else. Each
 * film is a layer.
 *
 * @param strips films with what is cut of them, in board millimetres, in cutting order
 */
export function writeCutDxf(strips: readonly { readonly film: Film; readonly pieces: readonly CutPiece[] }[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.setVariable('$LASTSAVEDBY', { 1: 'Mivet' });
  const films = [...new Map(strips.map(({ film }) => [film.id, film])).values()];
  const layers = new Map(
    [...slugsOf(films, 'film')].map(([id, called]) => [id, addLayer(dxf, filmLayer(called))] as const),
  );
  for (const { film, pieces } of strips)
    for (const path of pieces.flatMap((piece) => piece.paths)) addPath(dxf, path, layers.get(film.id)!);
  return dxf.stringify();
}

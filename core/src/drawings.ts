/** What is only needed when a drawing is brought in. */
export { filmIdsFor, matchFilms, nearestFilm } from './artwork/film-match.ts';
export { traceRaster } from './artwork/trace/trace.ts';
export { readDxfDrawing } from './io/dxf/art/read.ts';
export { readSvgDrawing } from './io/svg/art/read.ts';

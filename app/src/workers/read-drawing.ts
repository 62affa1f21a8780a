import type { DrawingResult, Film } from '@mivet/core';
import { findSilhouette } from '@mivet/core';
import { filmIdsFor, readDxfDrawing, readSvgDrawing, traceRaster } from '@mivet/core/drawings';
import type { CoreJobs } from './protocol.ts';

/** Reads a drawing and finds a film for each of its colours. */
export function readDrawing({ text, films }: CoreJobs['drawing']['input']): CoreJobs['drawing']['output'] {
  const result = /^\s*(<|\uFEFF\s*<)/.test(text) ? readSvgDrawing(text) : readDxfDrawing(text);
  return { result, matches: filmsFor(result, films) };
}

/** Finds the outlines in a picture, and a film for each of its colours. */
export function readTrace({ raster, options, films }: CoreJobs['trace']['input']): CoreJobs['trace']['output'] {
  const { result, threshold, colours } = traceRaster(raster, options);
  return { result, threshold, colours, matches: filmsFor(result, films) };
}

function filmsFor(result: DrawingResult, films: readonly Film[]): (string | null)[] {
  const colours = result.ok ? result.drawing.colours.map(({ colour }) => colour) : [];
  return filmIdsFor(colours, films, true);
}

/** Finds the outline of a thing in a photograph. */
export const silhouette = ({ raster, axis, far }: CoreJobs['silhouette']['input']): CoreJobs['silhouette']['output'] =>
  findSilhouette(raster, { axis, far });

import { matchFilms, readSvgDrawing } from '@mivet/core/drawings';
import type { CoreJobs } from './protocol.ts';

/** Reads a drawing and finds a film for each of its colours. */
export function readDrawing({ text, films }: CoreJobs['drawing']['input']): CoreJobs['drawing']['output'] {
  const result = readSvgDrawing(text);
  const colours = result.ok ? result.drawing.colours.map(({ colour }) => colour) : [];
  return { result, matches: matchFilms(colours, films, true).map((match) => match?.film.id ?? null) };
}

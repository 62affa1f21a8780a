import { z } from 'zod';
import { FILM_FINISHES } from '../material/film.ts';
import type { Film } from '../model/film.ts';
import { isPathData } from '../plane/path-data.ts';

/**
 * Limits that keep a hostile or broken file from filling memory. They lie well beyond real jobs: every change is
 * held to them before it is kept, so what the editor can make the reader takes.
 */
export const MOST = {
  items: 20_000,
  pathData: 20_000_000,
  stations: 200,
  readingLog: 500,
  takes: 1000,
  log: 20_000,
  text: 2000,
  notes: 20_000,
  projects: 50_000,
  panels: 4,
  names: 500,
  swaps: 50,
  boxes: 100,
  name: 160,
  photo: 400_000,
  fontData: 11_000_000,
  fonts: 1000,
  motifs: 50_000,
  colours: 20_000,
  blanks: 500,
  stock: 100_000,
  lots: 5000,
  parts: 20_000,
  outline: 100_000,
  copies: 200_000,
  reason: 2000,
  looked: 200,
  tents: 40,
} as const;

export const id = z.string().min(1).max(80);
export const short = z.string().max(200);
export const mm = z.number().min(0).max(10_000);
/** Outlines of a drawing: what cannot be read would be cut only as far as its first mistake. */
export const outlines = z.string().max(MOST.pathData).refine(isPathData, 'outlines that can be read');
export const stamp = z.string().max(40);
/** Entries of a matrix that turns by quarters, and where it moves to. */
export const quarter = z.number().min(-1).max(1);
export const onBoard = z.number().min(-100_000).max(100_000);
export const angle = z.number().min(-3600).max(3600);
export const colour = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'a colour like #0C6764');

/** A film as a project or the stock knows it. */
export const filmSchema = z.object({
  id,
  name: short,
  colour,
  finish: z.enum(FILM_FINISHES),
  thicknessMm: z.number().min(0).max(3),
}) satisfies z.ZodType<Film>;

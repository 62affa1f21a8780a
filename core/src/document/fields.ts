import { z } from 'zod';
import { FILM_THICKNESS_MM, type Film, type FilmFinish } from '../artwork/film.ts';

/** Limits that keep a hostile or broken file from filling memory. */
export const MOST = {
  items: 400,
  pathData: 3_000_000,
  stations: 25,
  readingLog: 500,
  takes: 50,
  log: 2000,
  text: 500,
  notes: 5000,
  projects: 5000,
  panels: 4,
  names: 500,
  name: 160,
  photo: 400_000,
  fontData: 11_000_000,
  fonts: 200,
  motifs: 5000,
  colours: 64,
  blanks: 50,
  stock: 20_000,
  lots: 500,
  parts: 4000,
  outline: 20_000,
} as const;

export const id = z.string().min(1).max(80);
export const short = z.string().max(200);
export const mm = z.number().min(0).max(10_000);
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
  finish: z.enum(Object.keys(FILM_THICKNESS_MM) as [FilmFinish, ...FilmFinish[]]),
  thicknessMm: z.number().min(0).max(3),
}) satisfies z.ZodType<Film>;

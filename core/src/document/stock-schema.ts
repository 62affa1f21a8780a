import { z } from 'zod';
import type { Board } from '../model/board.ts';
import type { Lot } from '../model/laid.ts';
import type { Booking, Offcut, StockCutter, StockFilm, StockTape, StockThing } from '../model/stock.ts';
import { filmSchema, id, MOST, onBoard, quarter, short, stamp } from './fields.ts';

const outlineSchema = z
  .array(z.number().min(-10_000).max(10_000))
  .min(6)
  .max(MOST.outline)
  .refine((list) => list.length % 2 === 0, 'x and y by turns')
  .nullable();
const along = z.number().min(0).max(100_000);
const partName = z.string().max(200);

/** A lot of film as a plan keeps it. */
export const lotSchema = z.object({
  along,
  across: along,
  offcut: id.nullable(),
  outline: outlineSchema,
  used: z.object({ along, across: along }),
  parts: z
    .array(
      z.object({
        part: partName,
        turned: z.boolean(),
        matrix: z.tuple([quarter, quarter, quarter, quarter, onBoard, onBoard]),
        fixed: z.boolean().optional(),
      }),
    )
    .max(MOST.parts),
}) satisfies z.ZodType<Lot>;

const price = z.number().min(0).max(1_000_000).nullable();
const day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'a day like 2026-03-28')
  .nullable();
const size = z.number().gt(0).max(1_000_000);
const lowAt = z.number().min(0).max(1_000_000).nullable();
const notes = z.string().max(MOST.notes);

const boardSchema = z.object({
  id,
  label: short,
  widthMm: z.number().min(20).max(5000),
  lengthMm: z.number().min(20).max(100_000),
  marginMm: z.number().min(0).max(100),
  gapMm: z.number().min(0).max(100),
  alone: z.boolean().optional(),
}) satisfies z.ZodType<Board>;

/** Film in sheets or on a roll. */
export const stockFilmSchema = z.object({
  kind: z.literal('film'),
  id,
  film: filmSchema,
  form: z.enum(['sheet', 'roll']),
  widthMm: size,
  lengthMm: z.number().min(0).max(1_000_000),
  count: z.number().int().min(0).max(100_000),
  price,
  boughtLengthMm: size,
  boughtOn: day,
  directional: z.boolean(),
  coverSheet: z.boolean(),
  lowAt,
  settings: z.array(z.object({ cutter: id, words: short })).max(50),
  notes,
}) satisfies z.ZodType<StockFilm>;

/** A usable leftover. */
export const offcutSchema = z.object({
  kind: z.literal('offcut'),
  id,
  film: filmSchema,
  widthMm: size,
  lengthMm: size,
  outline: outlineSchema,
  boughtOn: day,
  directional: z.boolean(),
  worth: price,
  notes,
}) satisfies z.ZodType<Offcut>;

/** Transfer tapes by their tack. */
export const TACKS = ['clear strong', 'clear medium', 'clear used', 'paper low-tack', 'painter’s strips'] as const;

/** Transfer tape. */
export const stockTapeSchema = z.object({
  kind: z.literal('tape'),
  id,
  name: short,
  tack: z.enum(TACKS),
  widthMm: size,
  lengthMm: z.number().min(0).max(1_000_000),
  boughtLengthMm: size,
  price,
  uses: z.number().int().min(1).max(100),
  lowAt,
  notes,
}) satisfies z.ZodType<StockTape>;

/** A cutter by what it takes. */
export const stockCutterSchema = z.object({
  kind: z.literal('cutter'),
  id,
  board: boardSchema,
  onBoard: z.boolean(),
  pace: z.object({
    cutMmS: z.number().min(1).max(5000),
    travelMmS: z.number().min(1).max(5000),
    accelMmS2: z.number().min(1).max(100_000),
    liftS: z.number().min(0).max(10),
  }),
  bladeMm: z.number().min(0).max(1e9),
  bladeLastsMm: z.number().min(1).max(1e9),
  notes,
}) satisfies z.ZodType<StockCutter>;

/** Projects that are cut together at most. */
export const MOST_TOGETHER = 60;

const bookedThing = z.discriminatedUnion('kind', [stockFilmSchema, offcutSchema, stockTapeSchema, stockCutterSchema]);
const usedFilms = z
  .array(z.object({ film: filmSchema, areaMm2: z.number().min(-1e9).max(1e9), cost: z.number().nullable() }))
  .max(100);
const bookingSchema = z.object({
  kind: z.literal('booking'),
  id,
  at: stamp,
  projectId: id,
  title: short,
  used: usedFilms,
  shares: z
    .array(z.object({ projectId: id, title: short, cutMm: z.number().min(0).max(1e9), used: usedFilms }))
    .max(MOST_TOGETHER)
    .optional(),
  loads: z.number().int().min(0).max(100_000),
  cutMm: z.number().min(0).max(1e9),
  blanks: z
    .array(z.object({ id, name: short, count: z.number().int().min(1).max(1_000_000) }))
    .max(100)
    .optional(),
  before: z.array(bookedThing).max(1000),
  after: z.array(bookedThing).max(1000),
}) satisfies z.ZodType<Booking>;

/** Anything on the stock shelf. */
export const stockThingSchema = z.discriminatedUnion('kind', [
  stockFilmSchema,
  offcutSchema,
  stockTapeSchema,
  stockCutterSchema,
  bookingSchema,
]) satisfies z.ZodType<StockThing>;

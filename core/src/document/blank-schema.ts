import { z } from 'zod';
import { KINDS } from '../measure/kinds/kinds.ts';
import type { BeforeFilm, Blank, SurfaceKind } from '../model/blank.ts';
import { colour, id, mm, MOST, short, stamp } from './fields.ts';

const toolSchema = z.enum(['tape', 'ruler', 'caliper', 'strip', 'photo']);

const readingSchema = z.object({
  how: toolSchema,
  takes: z.array(z.object({ typed: z.string().max(60), mm: z.number().gt(0).max(10_000) })).max(MOST.takes),
  thicknessMm: z.number().min(0).max(20),
});

/** A height counts from the first, which lies at 0. */
const heightSchema = readingSchema.extend({
  takes: z.array(z.object({ typed: z.string().max(60), mm: z.number().min(0).max(10_000) })).max(MOST.takes),
});

const seenMm = z.number().min(-100).max(100);

/** Sizes of a cup, mm: none of them is nothing, or next to it. */
const size = z.number().min(1).max(10_000);
const bandSizes = z.object({ girthRim: size, girthBase: size, side: size });

const fitCheckSchema = z.object({
  on: stamp,
  seen: z.object({ gapRimMm: seenMm, gapBaseMm: seenMm, standMm: seenMm }),
  before: bandSizes,
  after: bandSizes,
  sigma: z.object({ girthRim: mm, girthBase: mm, side: mm }),
});

/** Everything that a blank may be made of. */
export const SURFACES = [
  'glass',
  'glazed ceramic',
  'bare steel',
  'powder-coated steel',
  'painted',
  'raw terracotta',
  'plastic',
  'latex',
] as const satisfies readonly SurfaceKind[];

/** Everything that may have to be done before film goes on. */
export const BEFORE_FILM = [
  'soak a label',
  'lift a sticker',
  'paint outside',
  'paint inside',
] as const satisfies readonly BeforeFilm[];

const partOfSide = z.number().min(0).max(10_000);

/** A blank by its readings. */
export const blankSchema = z.object({
  id,
  name: short,
  kind: z.enum(KINDS),
  surface: z.enum(SURFACES),
  colour,
  readings: z.object({
    girthRim: readingSchema.optional(),
    girthBase: readingSchema.optional(),
    side: readingSchema.optional(),
    upright: readingSchema.optional(),
    acrossRim: readingSchema.optional(),
    girth: readingSchema.optional(),
    overCrown: readingSchema.optional(),
    across: readingSchema.optional(),
    hole: readingSchema.optional(),
    holeIn: readingSchema.optional(),
    width: readingSchema.optional(),
    height: readingSchema.optional(),
    depth: readingSchema.optional(),
  }),
  stations: z.array(z.object({ id, down: heightSchema, girth: readingSchema })).max(MOST.stations),
  stationsAlong: z.enum(['side', 'upright']),
  flattening: z.object({
    way: z.enum(['best', 'band', 'bands', 'gores', 'patch']),
    parts: z.number().int().min(2).max(48).nullable(),
    keep: z.tuple([partOfSide, partOfSide]).nullable(),
    patchMm: z.number().min(1).max(2000).nullable(),
    patchUpDeg: z.number().min(-90).max(90),
  }),
  balloon: z.object({
    gas: z.enum(['air', 'helium']),
    hours: z.number().min(0).max(10_000),
    shrinkPerDay: z.number().min(0).max(100),
  }),
  section: z
    .object({
      shape: z.enum(['oval', 'rounded']),
      widthMm: z.number().min(5).max(2000),
      depthMm: z.number().min(5).max(2000),
    })
    .optional(),
  face: z.enum(['lid', 'front', 'back', 'left', 'right', 'base']).optional(),
  capMm: z.number().min(0).max(500).optional(),
  before: z.enum(BEFORE_FILM).optional(),
  inside: z.object({ read: z.enum(['inside', 'outside']), wallMm: z.number().min(0).max(50) }).nullable(),
  readingLog: z
    .array(
      z.object({
        at: stamp,
        of: z.string().max(120),
        did: z.enum(['taken', 'taken out']),
        typed: z.string().max(60),
        mm: z.number().min(0).max(10_000),
        how: toolSchema,
      }),
    )
    .max(MOST.readingLog),
  handleWidthMm: mm,
  handleClearanceMm: mm,
  bandBelowRimMm: mm,
  rimClearanceMm: mm,
  baseClearanceMm: mm,
  fitCheck: fitCheckSchema.nullable(),
  notes: z.string().max(MOST.notes),
}) satisfies z.ZodType<Blank>;

import { z } from 'zod';
import type { BenchPhoto, OwnFont, OwnHabits, OwnMotif, OwnSettings } from '../model/project.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import { workHoursSchema } from './entry-schema.ts';
import { colour, id, MOST, outlines, short, stamp } from './fields.ts';
import { drawnSheet, provenance } from './item-schema.ts';

/** A font that the person brought, current version. */
export const ownFontSchema = z.object({
  format: z.literal('mivet-font'),
  version: z.literal(FORMAT_VERSION),
  id,
  name: short,
  ...provenance,
  data: z.base64().min(1).max(MOST.fontData),
  keptAt: stamp,
}) satisfies z.ZodType<OwnFont>;

/** Outlines of a drawing as they are kept. */
export const keptDrawing = {
  widthMm: z.number().gt(0).max(100_000),
  heightMm: z.number().gt(0).max(100_000),
  sheet: drawnSheet.optional(),
  colours: z
    .array(z.object({ colour, pathData: outlines }))
    .min(1)
    .max(MOST.colours),
};

/** A drawing that is kept, current version. */
export const ownMotifSchema = z.object({
  format: z.literal('mivet-motif'),
  version: z.literal(FORMAT_VERSION),
  id,
  name: short,
  ...provenance,
  ...keptDrawing,
  keptAt: stamp,
}) satisfies z.ZodType<OwnMotif>;

/** Limits that the person changed. */
export const ownLimitsSchema = z.record(z.string().max(40), z.number().min(0).max(10_000));

/** How a person works where there is more than one good way; what is not there is as usual. */
export const ownHabitsSchema = z
  .object({
    weeding: z.enum(['counters first', 'ground first', 'reverse']),
    laying: z.enum(['as it suits', 'centre out', 'one end round', 'two halves']),
    building: z.enum(['base up', 'one tape', 'on the blank']),
    aiming: z.enum(['parchment', 'by eye', 'hinge']),
    seam: z.enum(['butt', 'lap', 'gap']),
    washing: z.enum(['by hand', 'dishwasher', 'sealed']),
    heat: z.enum(['cold', 'warm']),
    masks: z.enum(['with tape', 'by hand']),
    batch: z.enum(['by step', 'by cup']),
  })
  .partial() satisfies z.ZodType<OwnHabits>;

const picture = z
  .string()
  .max(MOST.photo)
  .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/, 'a small photograph');

/** A photograph that was taken at the bench. */
export const benchPhotoSchema = z.object({
  id,
  projectId: id,
  at: stamp,
  data: picture,
}) satisfies z.ZodType<BenchPhoto>;

const money = z.number().min(0).max(1e9);

/** How a person works on one device, current version; what is not there stays as it is. */
export const ownSettingsSchema = z.object({
  unit: z.enum(['mm', 'in']).optional(),
  inches: z.enum(['fractions', 'decimals']).optional(),
  paper: z.enum(['a4', 'letter']).optional(),
  theme: z.enum(['light', 'dim', 'system']).optional(),
  boardId: id.optional(),
  useOffcuts: z.boolean().optional(),
  tapeId: z.string().max(80).optional(),
  habits: ownHabitsSchema.optional(),
  hours: workHoursSchema.optional(),
  practised: z
    .record(
      z.string().max(40),
      z
        .array(z.object({ at: stamp, score: z.number().min(0).max(100), task: z.number().int().min(1).max(1e6) }))
        .max(100),
    )
    .optional(),
  learnt: z
    .record(
      z.string().max(300),
      z.object({ value: z.number().min(-1e6).max(1e6), n: z.number().int().min(0).max(1e6), at: stamp }),
    )
    .optional(),
  boxes: z
    .array(
      z.object({ name: short, widthMm: z.number().min(0.5).max(20_000), heightMm: z.number().min(0.5).max(20_000) }),
    )
    .max(MOST.boxes)
    .optional(),
  rates: z
    .object({
      hour: money,
      minutes: money,
      minutesOnce: money,
      consumables: money,
      marginPercent: money,
      film100cm2: money,
    })
    .partial()
    .optional(),
  cutting: z
    .object({
      format: z.enum(['svg', 'dxf', 'hpgl']),
      overcutMm: z.number().min(0).max(50),
      weedingMm: z.number().min(0).max(1000),
      testMark: z.boolean(),
      bladeOffsetMm: z.number().min(0).max(2),
      singles: z.boolean(),
    })
    .partial()
    .optional(),
}) satisfies z.ZodType<OwnSettings>;

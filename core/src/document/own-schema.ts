import { z } from 'zod';
import type { OwnFont, OwnMotif, OwnSettings } from '../model/project.ts';
import { FORMAT_VERSION } from '../model/project.ts';
import { colour, id, MOST, short, stamp } from './fields.ts';
import { provenance } from './item-schema.ts';

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

/** A drawing that is kept, current version. */
export const ownMotifSchema = z.object({
  format: z.literal('mivet-motif'),
  version: z.literal(FORMAT_VERSION),
  id,
  name: short,
  ...provenance,
  widthMm: z.number().gt(0).max(100_000),
  heightMm: z.number().gt(0).max(100_000),
  colours: z
    .array(z.object({ colour, pathData: z.string().max(MOST.pathData) }))
    .min(1)
    .max(MOST.colours),
  keptAt: stamp,
}) satisfies z.ZodType<OwnMotif>;

/** Limits that the person changed. */
export const ownLimitsSchema = z.record(z.string().max(40), z.number().min(0).max(10_000));

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

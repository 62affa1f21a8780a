import { z } from 'zod';
import { MOTIF_IDS } from '../artwork/motifs/index.ts';
import type { Looked } from '../model/looked.ts';
import type { MotifId } from '../model/item.ts';
import type { Backup, Project, ShelfBlank, StockDocument, Unreadable } from '../model/project.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import { blankSchema } from './blank-schema.ts';
import { entrySchema, handOverSchema, planningSchema } from './entry-schema.ts';
import { filmSchema, id, MOST, short, stamp } from './fields.ts';
import { itemSchema, provenance } from './item-schema.ts';
import {
  benchPhotoSchema,
  keptDrawing,
  ownHabitsSchema,
  ownFontSchema,
  ownLimitsSchema,
  ownMotifSchema,
  ownSettingsSchema,
} from './own-schema.ts';
import { lotSchema, stockThingSchema } from './stock-schema.ts';

/** Something on the stock shelf, current version. */
export const stockSchema = z.object({
  format: z.literal('mivet-stock'),
  version: z.literal(FORMAT_VERSION),
  id,
  thing: stockThingSchema,
  changedAt: stamp,
}) satisfies z.ZodType<StockDocument>;

/** Id of something that is done at the bench, or of a thing that it is done on. */
const tick = z.string().max(400);

const many = z.number().min(0).max(1e9);

const lookedSchema = z.object({
  of: z.string().min(1).max(80),
  edgeMm: many,
  orders: z
    .array(
      z.object({
        way: z.enum(['centre out', 'one end', 'middle line first', 'two halves']),
        pulled: z.number().min(0).max(1),
        tents: many,
        tallestMm: many,
        tentedMm2: many,
        pull: z.number(),
        push: z.number(),
      }),
    )
    .min(1)
    .max(10),
  tents: z
    .array(
      z.object({
        x: z.number(),
        y: z.number(),
        lengthMm: many,
        direction: z.number(),
        heightMm: many,
        areaMm2: many,
      }),
    )
    .max(MOST.tents),
  largest: many.nullable(),
  slits: z.object({ count: many, deep: many, turn: z.number(), depthMm: many, tallestMm: many }).nullable(),
}) satisfies z.ZodType<Looked>;

/** A project, current version. */
export const projectSchema = z.object({
  format: z.literal('mivet-project'),
  version: z.literal(FORMAT_VERSION),
  id,
  name: short,
  createdAt: stamp,
  changedAt: stamp,
  shelfBlankId: id.nullable(),
  blank: blankSchema,
  items: z.array(itemSchema).max(MOST.items),
  films: z.array(filmSchema).min(1).max(1000),
  hand: z.enum(['right', 'left']),
  process: z.enum(['decal', 'strip', 'etch', 'blast', 'paint']),
  warm: z.boolean(),
  seam: z.object({
    lapMm: z.number().min(0).max(50),
    way: z.enum(['straight', 'wandering']),
    panels: z.number().int().min(1).max(MOST.panels),
    clearanceMm: z.number().min(0).max(20),
    atSeam: z
      .array(z.object({ itemId: id, copy: z.number().int().min(0).max(2000), do: z.enum(['overlap', 'leave-off']) }))
      .max(MOST.items),
  }),
  stack: z.object({
    build: z.enum(['full', 'inlay', 'hybrid']),
    underlapMm: z.number().min(0).max(10),
    thinMm: z.number().min(0).max(50),
    order: z.array(id).max(1000),
    marks: z.record(id, z.enum(['marks', 'by hand'])),
    lay: z.enum(['flat', 'on the blank']),
    levels: z.enum(['as drawn', 'once']),
  }),
  names: z
    .object({
      itemId: id.nullable(),
      widthMm: z.number().min(0.5).max(20_000),
      heightMm: z.number().min(0.5).max(20_000).optional(),
      leastCapMm: z.number().min(0.01).max(2000),
      closeMm: z.number().min(0).max(200),
      sameSize: z.boolean().optional(),
      rows: z
        .array(
          z.object({
            id,
            name: z.string().min(1).max(MOST.name),
            count: z.number().int().min(1).max(999),
            hand: z.enum(['right', 'left']).nullable(),
            capMm: z.number().min(0.01).max(2000).nullable(),
            blankId: id.nullable(),
            swaps: z
              .array(
                z.object({
                  itemId: id,
                  film: id.optional(),
                  picture: z
                    .discriminatedUnion('by', [
                      z.object({ by: z.literal('motif'), motif: z.enum(MOTIF_IDS as [MotifId, ...MotifId[]]) }),
                      z.object({ by: z.literal('drawing'), drawingId: id }),
                    ])
                    .optional(),
                }),
              )
              .max(MOST.swaps)
              .optional(),
          }),
        )
        .max(MOST.names),
      columns: z
        .array(z.object({ itemId: id, what: z.enum(['picture', 'film']) }))
        .max(MOST.swaps)
        .optional(),
    })
    .nullable(),
  otherBlanks: z.array(blankSchema).max(MOST.blanks),
  rowDrawings: z
    .array(z.object({ id, name: short, ...provenance, ...keptDrawing }))
    .max(MOST.blanks)
    .optional(),
  boardId: id,
  laid: z
    .array(z.object({ film: id, of: z.string().max(20_000_000), lots: z.array(lotSchema).max(MOST.lots) }))
    .max(1000),
  looked: z.array(lookedSchema).max(MOST.looked).optional(),
  accepted: z
    .array(
      z.object({
        findingId: z.string().max(1_000_000),
        reason: z.string().max(MOST.reason),
        signature: z.string().max(100_000),
      }),
    )
    .max(MOST.items),
  bench: z.object({
    doneSteps: z.array(tick).max(MOST.items),
    waitsUntil: z.record(z.string().max(200), stamp),
    waitsFrom: z.record(z.string().max(200), stamp),
    doneAt: z.record(tick, stamp),
    doneAs: z.record(z.string().max(200), z.string().max(4000)),
    answers: z.array(z.object({ step: tick, thing: id.nullable(), at: stamp, yes: z.boolean() })).max(MOST.log),
    notes: z
      .array(z.object({ id, step: tick, at: stamp, text: z.string().max(MOST.notes), photo: id.nullable() }))
      .max(MOST.log),
    spoilt: z
      .array(z.object({ thing: tick, step: tick, at: stamp, why: z.string().max(MOST.reason), made: z.boolean() }))
      .max(MOST.log),
    parked: z.array(tick).max(MOST.items),
  }),
  handOver: handOverSchema.nullable(),
  planning: planningSchema,
  log: z
    .array(
      z.object({
        id,
        at: stamp,
        outcome: z.enum(['good', 'so-so', 'failed', 'note']),
        text: z.string().max(MOST.notes),
      }),
    )
    .max(MOST.log),
  carried: z
    .object({
      fonts: z.array(ownFontSchema).max(MOST.fonts),
      limits: ownLimitsSchema,
      stock: z.array(stockThingSchema).max(MOST.stock),
      habits: ownHabitsSchema.optional(),
    })
    .optional(),
}) satisfies z.ZodType<Project>;

/** A shelf blank, current version. */
export const shelfBlankSchema = z.object({
  format: z.literal('mivet-blank'),
  version: z.literal(FORMAT_VERSION),
  blank: blankSchema,
  price: z.number().min(0).max(1_000_000).nullable(),
  variantOf: id.nullable(),
  inStock: z.number().int().min(0).max(1_000_000).nullable(),
  photo: z
    .string()
    .max(MOST.photo)
    .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/, 'a small photograph')
    .nullable(),
  changedAt: stamp,
}) satisfies z.ZodType<ShelfBlank>;

/** A record that this program cannot read, as it was found. */
export const unreadableSchema = z.object({
  store: z.enum(['projects', 'shelf', 'fonts', 'motifs', 'stock', 'entries', 'copies']),
  id: z.string().max(400),
  name: z.string().max(400),
  why: z.string().max(2000),
  raw: z.json(),
}) satisfies z.ZodType<Unreadable>;

/** A backup of everything, current version. */
export const backupSchema = z.object({
  format: z.literal('mivet-backup'),
  version: z.literal(FORMAT_VERSION),
  writtenAt: stamp,
  projects: z.array(projectSchema).max(MOST.projects),
  shelf: z.array(shelfBlankSchema).max(MOST.projects),
  fonts: z.array(ownFontSchema).max(MOST.fonts),
  motifs: z.array(ownMotifSchema).max(MOST.motifs),
  stock: z.array(stockSchema).max(MOST.stock),
  limits: ownLimitsSchema,
  copies: z.array(z.object({ at: stamp, document: projectSchema })).max(MOST.copies),
  settings: ownSettingsSchema,
  photos: z.array(benchPhotoSchema).max(MOST.items),
  entries: z.array(entrySchema).max(MOST.stock),
  unreadable: z.array(unreadableSchema).max(MOST.stock),
}) satisfies z.ZodType<Backup>;

import { z } from 'zod';
import type { ArtworkItem } from '../model/item.ts';
import type { MotifId } from '../model/item.ts';
import { MOTIF_IDS } from '../artwork/motifs/index.ts';
import type { Blank, BlankKind, SurfaceKind } from '../model/blank.ts';
import { angle, colour, filmSchema, id, mm, MOST, short, stamp } from './fields.ts';
import type { Backup, OwnFont, OwnMotif, OwnSettings, Project, ShelfBlank, StockDocument, Unreadable } from '../model/project.ts';
import { FORMAT_VERSION } from '../model/project.ts';
import { lotSchema, stockThingSchema } from './stock-schema.ts';

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
const bandSizes = z.object({ girthRim: mm, girthBase: mm, side: mm });
const fitCheckSchema = z.object({
  on: stamp,
  seen: z.object({ gapRimMm: seenMm, gapBaseMm: seenMm, standMm: seenMm }),
  before: bandSizes,
  after: bandSizes,
  sigma: bandSizes,
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

/** Every kind of blank that can be measured. */
export const KINDS = [
  'straight',
  'tapered',
  'profile',
  'ball',
  'balloon',
  'lid',
  'flat',
] as const satisfies readonly BlankKind[];

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

const provenance = { source: short, rights: z.enum(['own', 'allowed', 'unsure']) };

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

/** mm of anything on a blank: from a hair to the way round a barrel. */
const across = z.number().min(0.01).max(20_000);

const itemBase = {
  id,
  film: id,
  placement: z.object({
    facing: z.enum(['front', 'drinker', 'room', 'faces', 'angle']),
    angleDeg: angle,
    from: z.enum(['rim', 'middle', 'base']),
    mm: z.number().min(-10_000).max(10_000),
    turnDeg: angle,
  }),
  running: z.enum(['round', 'level', 'rigid']),
  repeat: z.object({
    mode: z.enum(['once', 'spaced', 'joined', 'scattered']),
    count: z.number().int().min(1).max(2000),
    alternate: z.boolean().optional(),
    scatter: z
      .object({
        seed: z.number().int().min(0).max(1e9),
        gapMm: z.number().min(0).max(200),
        films: z.array(id).max(200),
        with: id.nullable().optional(),
      })
      .optional(),
  }),
  fuse: z.boolean(),
  keepTogether: id.nullable(),
  mirrored: z.boolean(),
  spares: z.number().int().min(0).max(50),
  acts: z.object({
    thickenMm: z.number().min(-20).max(20),
    fillHoles: z.boolean(),
    dropped: z.array(z.tuple([z.number().min(-2).max(2), z.number().min(-2).max(2)])).max(MOST.items),
    cutAway: z.array(id).max(MOST.items),
    onlyInside: id.nullable(),
    shapesOnly: z.boolean(),
    bridgeMm: z.number().min(0).max(20),
    specksMm: z.number().min(0).max(100),
  }),
};

/** One item, as it is kept in a project. */
export const itemSchema = z.discriminatedUnion('type', [
  z.object({
    ...itemBase,
    type: z.literal('text'),
    text: z.string().max(MOST.text),
    font: id,
    size: z.object({ by: z.enum(['cap', 'width']), mm: across }),
    letterGapMm: z.number().min(-2000).max(2000),
    gapsAtMm: z.number().gt(0).max(20_000).nullable(),
    align: z.enum(['left', 'middle', 'right']),
    linePitch: z.number().min(0.5).max(6),
    pairGaps: z
      .array(z.object({ after: z.number().int().min(0).max(MOST.text), mm: z.number().min(-2000).max(2000) }))
      .max(MOST.text),
    ring: z
      .object({
        acrossMm: z.number().min(1).max(20_000),
        tops: z.enum(['out', 'in']),
        times: z.number().int().min(1).max(200),
        between: z.enum(MOTIF_IDS as [MotifId, ...MotifId[]]).nullable(),
      })
      .nullable(),
  }),
  z.object({
    ...itemBase,
    type: z.literal('motif'),
    motif: z.enum(MOTIF_IDS as [MotifId, ...MotifId[]]),
    widthMm: across,
    heightMm: across.nullable(),
  }),
  z.object({
    ...itemBase,
    type: z.literal('art'),
    name: short,
    setId: id,
    colour,
    pathData: z.string().max(MOST.pathData),
    drawn: z.object({ widthMm: z.number().gt(0).max(100_000), heightMm: z.number().gt(0).max(100_000) }),
    widthMm: across,
    heightMm: across.nullable(),
    ...provenance,
  }),
]) satisfies z.ZodType<ArtworkItem>;

/** Something on the stock shelf, current version. */
export const stockSchema = z.object({
  format: z.literal('mivet-stock'),
  version: z.literal(FORMAT_VERSION),
  id,
  thing: stockThingSchema,
  changedAt: stamp,
}) satisfies z.ZodType<StockDocument>;

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
  }),
  names: z
    .object({
      itemId: id.nullable(),
      widthMm: z.number().min(0.5).max(20_000),
      leastCapMm: z.number().min(0.01).max(2000),
      closeMm: z.number().min(0).max(200),
      rows: z
        .array(
          z.object({
            id,
            name: z.string().min(1).max(MOST.name),
            count: z.number().int().min(1).max(999),
            hand: z.enum(['right', 'left']).nullable(),
            capMm: z.number().min(0.01).max(2000).nullable(),
            blankId: id.nullable(),
          }),
        )
        .max(MOST.names),
    })
    .nullable(),
  otherBlanks: z.array(blankSchema).max(MOST.blanks),
  boardId: id,
  laid: z
    .array(z.object({ film: id, of: z.string().max(20_000_000), lots: z.array(lotSchema).max(MOST.lots) }))
    .max(1000),
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
    doneSteps: z.array(z.string().max(400)).max(MOST.items),
    waitsUntil: z.record(z.string().max(200), stamp),
  }),
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

const money = z.number().min(0).max(1e9);

/** How a person works on one device, current version; what is not there stays as it is. */
export const ownSettingsSchema = z.object({
  unit: z.enum(['mm', 'in']).optional(),
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
    })
    .partial()
    .optional(),
}) satisfies z.ZodType<OwnSettings>;

/** A record that this program cannot read, as it was found. */
export const unreadableSchema = z.object({
  store: z.enum(['projects', 'shelf', 'fonts', 'motifs', 'stock', 'copies']),
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
  unreadable: z.array(unreadableSchema).max(MOST.stock),
}) satisfies z.ZodType<Backup>;

import { z } from 'zod';
import { FILM_FINISHES } from '../material/film.ts';
import type { EntryReport, EntryWork, FaultKind, LogbookEntry } from '../model/entry.ts';
import type { HandOver, Planning, WorkHours } from '../model/planning.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import { KINDS } from '../measure/kinds/kinds.ts';
import { SURFACES } from './blank-schema.ts';
import { colour, id, MOST, short, stamp } from './fields.ts';

/** Every kind of fault that is pointed at. */
export const FAULT_KINDS = [
  'bubble',
  'wrinkle',
  'lifted edge',
  'gap at the seam',
  'overlap at the seam',
  'torn piece',
  'lost piece',
  'crooked',
  'bleed',
  'blotch',
  'residue',
] as const satisfies readonly FaultKind[];

/** Everything that can become of a thing. */
export const OUTCOMES = ['open', 'kept', 'sold', 'given', 'redone', 'binned'] as const;

/** Kinds of work whose pace is learnt. */
export const WORK_KINDS = ['cut', 'weed', 'tape', 'stack', 'lay', 'finish'] as const satisfies readonly EntryWork['kind'][]; // prettier-ignore

const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'a day like 2026-12-05');
const money = z.number().min(0).max(1e9).nullable();
const minutes = z.number().min(0).max(1e6);
const share = z.number().min(-10).max(10);

const reportSchema = z.object({
  id,
  day,
  after: z.enum(['washes', 'winter', 'other']),
  count: z.number().int().min(0).max(100_000),
  held: z.boolean(),
  text: z.string().max(MOST.notes),
}) satisfies z.ZodType<EntryReport>;

/** An entry of the logbook, current version. */
export const entrySchema = z.object({
  format: z.literal('mivet-entry'),
  version: z.literal(FORMAT_VERSION),
  id,
  at: stamp,
  changedAt: stamp,
  title: short,
  projectId: id.nullable(),
  count: z.number().int().min(0).max(100_000),
  spoilt: z.number().int().min(0).max(100_000),
  blank: z.object({
    shelfId: id.nullable(),
    name: short,
    kind: z.enum(KINDS),
    surface: z.enum(SURFACES),
    colour,
    girthMm: z.number().min(0).max(100_000).nullable(),
    tool: z.enum(['tape', 'ruler', 'caliper', 'strip', 'photo']).nullable(),
  }),
  process: z.enum(['decal', 'strip', 'etch', 'blast', 'paint']),
  films: z
    .array(
      z.object({
        name: short,
        finish: z.enum(FILM_FINISHES),
        ageDays: z.number().min(0).max(100_000).nullable(),
        setting: short,
        clean: z.boolean().nullable(),
        takenMm2: z.number().min(0).max(1e12),
        laidMm2: z.number().min(0).max(1e12),
      }),
    )
    .max(200),
  tape: z
    .object({ tack: z.enum(['low', 'medium', 'strong']), use: z.number().int().min(1).max(1000), held: z.boolean() })
    .nullable(),
  work: z
    .array(
      z.object({
        kind: z.enum(WORK_KINDS),
        minutes,
        pieces: z.number().int().min(0).max(1e6),
        cutM: z.number().min(0).max(1e6),
        things: z.number().int().min(0).max(1e6),
      }),
    )
    .max(50),
  pulls: z.array(z.object({ finish: z.enum(FILM_FINISHES), share, flat: z.boolean() })).max(1000),
  dwell: z.array(z.object({ minutes, lifted: z.boolean() })).max(1000),
  seamGapMm: z.number().min(-1000).max(1000).nullable(),
  placingMm: z.number().min(0).max(1000).nullable(),
  grewShare: share.nullable(),
  faults: z
    .array(
      z.object({
        kind: z.enum(FAULT_KINDS),
        round: z.number().min(-1).max(1),
        down: z.number().min(0).max(1),
        film: short.nullable(),
      }),
    )
    .max(500),
  outcome: z.enum(OUTCOMES),
  price: money,
  cost: money,
  text: z.string().max(MOST.notes),
  photos: z.array(id).max(500),
  reports: z.array(reportSchema).max(500),
  askOn: day.nullable(),
}) satisfies z.ZodType<LogbookEntry>;

/** When and to whom a project is handed over. */
export const handOverSchema = z.object({
  day,
  time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time like 18:30'),
  whatFor: z.enum(['gift', 'market', 'order', 'own use']),
  number: short,
  note: z.string().max(MOST.notes),
  price: money,
}) satisfies z.ZodType<HandOver>;

/** What was decided about when things are done. */
export const planningSchema = z.object({
  pinned: z.record(z.string().max(400), stamp),
  skipSeal: z.boolean(),
  beforeCure: z.boolean(),
  helperMinutes: z.number().min(0).max(100_000),
}) satisfies z.ZodType<Planning>;

const minuteOfDay = z.number().int().min(0).max(24 * 60); // prettier-ignore

/** The hours that a person has. */
export const workHoursSchema = z.object({
  weekdays: z.array(z.array(z.object({ from: minuteOfDay, to: minuteOfDay })).max(8)).length(7),
  daysOff: z.array(day).max(2000),
  others: z.number().int().min(0).max(20).optional(),
}) satisfies z.ZodType<WorkHours>;

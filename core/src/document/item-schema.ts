import { z } from 'zod';
import { MOTIF_IDS } from '../artwork/motifs/index.ts';
import type { ArtworkItem, MotifId } from '../model/item.ts';
import { angle, colour, id, MOST, short } from './fields.ts';

export const provenance = { source: short, rights: z.enum(['own', 'allowed', 'unsure']) };

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
  byItself: z.boolean().optional(),
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

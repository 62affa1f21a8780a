import { z } from 'zod';
import { MOTIF_IDS } from '../artwork/motifs/index.ts';
import type { ArtworkItem, MotifId } from '../model/item.ts';
import { angle, colour, id, MOST, outlines, short } from './fields.ts';

export const provenance = { source: short, rights: z.enum(['own', 'allowed', 'unsure']) };

/** mm of anything on a blank: from a hair to the way round a barrel. */
const across = z.number().min(0.01).max(20_000);

/** Times an item's own size. */
const times = z.number().min(0.01).max(100);

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
        even: z.boolean().optional(),
        fill: z.boolean().optional(),
        turnsDeg: z.tuple([angle, angle]).optional(),
        sizes: z.tuple([times, times]).optional(),
        edge: z.enum(['clear', 'cut', 'spare']).optional(),
        kept: z
          .array(
            z.object({
              itemId: id,
              angleDeg: angle,
              downMm: z.number().min(-10_000).max(10_000),
              turnDeg: angle,
              size: times,
              film: id.nullable(),
              pinned: z.boolean(),
            }),
          )
          .max(2000)
          .optional(),
      })
      .optional(),
  }),
  fuse: z.boolean(),
  keepTogether: id.nullable(),
  mirrored: z.boolean(),
  spares: z.number().int().min(0).max(50),
  byItself: z.boolean().optional(),
  slitIn: z
    .object({ count: z.number().int().min(1).max(48), deep: z.number().min(0.05).max(0.95), fromDeg: angle })
    .optional(),
  acts: z.object({
    thickenMm: z.number().min(-20).max(20),
    fillHoles: z.boolean(),
    dropped: z.array(z.tuple([z.number().min(-2).max(2), z.number().min(-2).max(2)])).max(MOST.items),
    cutAway: z.array(id).max(MOST.items),
    onlyInside: id.nullable(),
    shapesOnly: z.boolean(),
    bridgeMm: z.number().min(0).max(20),
    specksMm: z.number().min(0).max(100),
    slits: z.boolean().optional(),
  }),
};

const drawnSize = { widthMm: z.number().gt(0).max(100_000), heightMm: z.number().gt(0).max(100_000) };
const offset = z.number().min(-100_000).max(100_000);

/** The page of a drawing. */
export const drawnSheet = z.object({ ...drawnSize, x: offset, y: offset });

/** One item, as it is kept in a project. */
export const itemSchema = z.discriminatedUnion('type', [
  z.object({
    ...itemBase,
    type: z.literal('text'),
    text: z.string().max(MOST.text),
    font: id,
    size: z.discriminatedUnion('by', [
      z.object({ by: z.enum(['cap', 'width']), mm: across }),
      z.object({ by: z.literal('box'), mm: across, highMm: across }),
    ]),
    letterGapMm: z.number().min(-2000).max(2000),
    gapsAtMm: z.number().gt(0).max(20_000).nullable(),
    align: z.enum(['left', 'middle', 'right']),
    linePitch: z.number().min(0.5).max(6),
    pairGaps: z
      .array(z.object({ after: z.number().int().min(0).max(MOST.text), mm: z.number().min(-2000).max(2000) }))
      .max(MOST.text),
    letters: z
      .array(
        z.object({
          at: z.number().int().min(0).max(MOST.text),
          turnDeg: angle,
          raise: z.number().min(-20).max(20),
          size: times,
        }),
      ) // prettier-ignore
      .max(MOST.text)
      .optional(),
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
    pathData: outlines,
    drawn: z.object(drawnSize),
    sheet: drawnSheet.optional(),
    by: z.enum(['ink', 'sheet']).optional(),
    widthMm: across,
    heightMm: across.nullable(),
    ...provenance,
  }),
]) satisfies z.ZodType<ArtworkItem>;

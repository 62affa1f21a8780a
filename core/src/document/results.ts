import { z } from 'zod';
import type { BenchRun } from '../model/bench-run.ts';
import type { BenchPhoto } from '../model/project.ts';
import { id, MOST, short, stamp } from './fields.ts';
import { benchPhotoSchema } from './own-schema.ts';

const tick = z.string().max(400);

/** What was ticked and noted away from here, in a file taken along. */
const resultsSchema = z.object({
  format: z.literal('mivet-results'),
  version: z.literal(1),
  projectId: id,
  project: short,
  bench: z.object({
    doneSteps: z.array(tick).max(MOST.items),
    doneAt: z.record(tick, stamp),
    waitsUntil: z.record(tick, stamp),
    waitsFrom: z.record(tick, stamp),
    answers: z.array(z.object({ step: tick, thing: id.nullable(), at: stamp, yes: z.boolean() })).max(MOST.log),
    notes: z
      .array(z.object({ id, step: tick, at: stamp, text: z.string().max(MOST.notes), photo: id.nullable() }))
      .max(MOST.log),
  }),
  photos: z.array(benchPhotoSchema).max(1000),
});

/** Results of a run away from here. */
export interface BenchResults {
  readonly projectId: string;
  /** What the project is called. */
  readonly project: string;
  readonly bench: Partial<BenchRun>;
  readonly photos: readonly BenchPhoto[];
}

/** Whether a parsed file calls itself the results of a run. */
export const isResults = (raw: unknown): boolean =>
  typeof raw === 'object' && raw !== null && (raw as { format?: unknown }).format === 'mivet-results';

/** Reads results; null when they are not whole, or from a newer program. */
export function readResults(raw: unknown): BenchResults | null {
  const parsed = resultsSchema.safeParse(raw);
  return parsed.success ? parsed.data : null;
}

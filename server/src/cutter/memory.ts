import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import type { CutterMemory } from './machine.ts';

/** Where the cutter keeps what it knows. */
export interface CutterKeeping {
  readonly read: () => CutterMemory | null;
  readonly keep: (memory: CutterMemory) => void;
}

const memorySchema = z.object({
  state: z.object({
    machine: z.object({ widthMm: z.number(), longestMm: z.number() }),
    bladeMm: z.number(),
    bladeLastsMm: z.number(),
    faster: z.number(),
    loads: z.array(z.looseObject({ id: z.string(), state: z.string(), doneS: z.number(), totalS: z.number() })),
  }),
});

/**
 * Keeps the cutter's memory in a folder: the state in a small file that is written whole beside the old one and then put in
 * its place, each load that was sent in a file of its own, once. A file that cannot be read is put aside, never deleted.
 *
 * @param folder is made when it is not there
 */
export function keepIn(folder: string): CutterKeeping {
  mkdirSync(folder, { recursive: true });
  const file = join(folder, 'cutter.json');
  const loadFile = (id: string): string => join(folder, `load-${encodeURIComponent(id)}.json`);
  const written = new Set<string>();
  return {
    read: () => {
      if (!existsSync(file)) return null;
      try {
        const { state } = memorySchema.parse(JSON.parse(readFileSync(file, 'utf8'))) as unknown as CutterMemory;
        const sent = Object.fromEntries(
          state.loads.flatMap(({ id }) =>
            existsSync(loadFile(id))
              ? [[id, z.array(z.string()).parse(JSON.parse(readFileSync(loadFile(id), 'utf8')))]]
              : [],
          ),
        );
        return { state, sent };
      } catch {
        renameSync(file, join(folder, 'cutter.unreadable.json'));
        return null;
      }
    },
    keep: ({ state, sent }) => {
      for (const [id, hpgl] of Object.entries(sent)) {
        if (written.has(id)) continue;
        writeFileSync(loadFile(id), JSON.stringify(hpgl));
        written.add(id);
      }
      writeFileSync(`${file}.new`, JSON.stringify({ state }));
      renameSync(`${file}.new`, file);
    },
  };
}

/** Keeps nothing beyond the life of the server. */
export const KEEP_NOTHING: CutterKeeping = { read: () => null, keep: () => undefined };

import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { JobFile } from '@mivet/core';
import { BadInput } from '../input/command.ts';

/**
 * Writes files into a folder, those with a folder in their name into that one.
 *
 * @returns their paths
 * @throws BadInput when one of them exists already, before anything is written, or the folder cannot be written to
 */
export function writeNew(folder: string, files: readonly JobFile[]): string[] {
  const taken = files.find((file) => existsSync(join(folder, file.name)));
  if (taken)
    throw new BadInput(`${join(folder, taken.name)} exists already. Nothing was written; name an empty folder.`);
  try {
    for (const file of files) {
      const path = join(folder, file.name);
      mkdirSync(dirname(path), { recursive: true });
      writeFileSync(path, file.content, { flag: 'wx' });
    }
  } catch {
    throw new BadInput(`${folder} cannot be written to.`);
  }
  return files.map((file) => join(folder, file.name));
}

import type { JobFile } from '@mivet/core';
import { zipSync, strToU8 } from 'fflate';
import { saveFile } from './save-file.ts';

/** Hands several files over as one ZIP. */
export function saveZip(name: string, files: readonly JobFile[]): void {
  const entries = files.map((f) => [f.name, typeof f.content === 'string' ? strToU8(f.content) : f.content] as const);
  saveFile(name, zipSync(Object.fromEntries(entries)));
}

import type { CutterLoad } from '@mivet/core';

/** What a load is doing, for people. */
export const STATE_WORDS: Readonly<Record<CutterLoad['state'], string>> = {
  waiting: 'waits',
  loaded: 'lies in the cutter',
  cutting: 'is being cut',
  stopped: 'stopped half-way',
  'corner test': 'is cut: now the corner test',
  done: 'done',
  refused: 'refused',
  'taken out': 'removed',
};

/** A stretch of time for people. */
export function timeWords(seconds: number): string {
  if (seconds < 90) return `${Math.max(1, Math.round(seconds))} s`;
  const minutes = Math.round(seconds / 60);
  return minutes < 90 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}

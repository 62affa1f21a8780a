import type { VersionStep } from './walk.ts';

/** Nothing was said of a hand-over, nothing planned, and there was no logbook. */
export const fromV13: VersionStep = {
  backup: (backup) => ({ entries: [], ...backup }),
  project: (project) => ({
    handOver: null,
    planning: { pinned: {}, skipSeal: false, beforeCure: false, helperMinutes: 0 },
    ...project,
  }),
};

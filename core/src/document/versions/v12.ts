import { isRaw, type VersionStep } from './walk.ts';

/** Of a run at the bench only ticks and ends of waits were kept; there were no photographs. */
export const fromV12: VersionStep = {
  backup: (backup) => ({ photos: [], ...backup }),
  project: (project) =>
    isRaw(project['bench'])
      ? {
          ...project,
          bench: {
            waitsFrom: {},
            doneAt: {},
            doneAs: {},
            answers: [],
            notes: [],
            spoilt: [],
            parked: [],
            ...project['bench'],
          },
        }
      : project,
};

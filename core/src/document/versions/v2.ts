import type { VersionStep } from './walk.ts';

/** There were only straight and tapered blanks, without heights, choices of flattening or a log of readings. */
export const fromV2: VersionStep = {
  blank: (blank) => ({
    ...blank,
    stations: [],
    stationsAlong: 'side',
    flattening: { way: 'best', parts: null, keep: null, patchMm: null, patchUpDeg: 0 },
    balloon: { gas: 'air', hours: 12, shrinkPerDay: 2 },
    readingLog: [],
  }),
};

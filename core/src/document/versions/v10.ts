import type { VersionStep } from './walk.ts';

/** Things of a list differed in words, hand and blank alone: what says otherwise was not there. */
export const fromV10: VersionStep = {};

import type { VersionStep } from './walk.ts';

/** Everything went on with the whole, and a booking was of one project: what says otherwise was not there. */
export const fromV9: VersionStep = {};

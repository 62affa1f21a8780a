import type { VersionStep } from './walk.ts';

/** Film lay on the outside of everything. */
export const fromV8: VersionStep = {
  blank: (blank) => ({ inside: null, ...blank }),
};

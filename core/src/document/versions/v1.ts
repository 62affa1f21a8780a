import type { VersionStep } from './walk.ts';

/** A blank knew only the day of its paper fit check; now it keeps the check itself. The shelf had no price or picture. */
export const fromV1: VersionStep = {
  blank: ({ fitCheckedOn: _, ...blank }) => ({ ...blank, fitCheck: null }),
  shelf: (document) => ({ price: null, variantOf: null, photo: null, ...document }),
};

/** The seven stops of a project, in the order of the strip. */
export const STOPS = ['measure', 'flat', 'artwork', 'proof', 'cut', 'bench', 'log'] as const;

/** One of them. */
export type Stop = (typeof STOPS)[number];

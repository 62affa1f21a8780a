/** One swell of a running wave; its two ends meet the next swell at the same height and slope. */
export const wave = {
  label: 'Wave',
  pathData: 'M0 24 C18 24 26 4 46 4 C66 4 76 24 100 24 L100 48 C76 48 66 28 46 28 C26 28 18 48 0 48 Z',
  joins: true,
};

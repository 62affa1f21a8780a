/** A heron standing in the shallows. */
export const heron = {
  label: 'Heron',
  pathData:
    'M0 14.5 L18 8 C22 3 30 4 32 10 C34 17 27 22 27 29 C27 35 33 37 39 39 C50 43 57 54 65 73 C57 71 51 69 46.5 67 ' +
    'L45.6 84 L47.5 105 L54 108.5 L36 108.5 L43.2 105 L41.4 84 L40.8 66 C31 63 24 56 22 46 C20 38 22 32 23.5 27 ' +
    'C25 22 26 19 24.5 16.5 C23 15 20 15.4 17 16 Z',
  joins: false,
};

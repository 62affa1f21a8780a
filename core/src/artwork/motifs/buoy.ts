/** A turning buoy with a ring for its topmark and a bare band round the middle: three pieces, one counter. */
export const buoy = {
  label: 'Buoy',
  pathData:
    'M-6 -20 L6 -20 L11 -2 L-11 -2 Z M-12 2 L12 2 L16 17 C8 21 -8 21 -16 17 Z ' +
    'M-1.8 -36 L1.8 -36 L1.8 -19 L-1.8 -19 Z ' +
    'M8 -42 C8 -37.58 4.42 -34 0 -34 C-4.42 -34 -8 -37.58 -8 -42 C-8 -46.42 -4.42 -50 0 -50 C4.42 -50 8 -46.42 8 -42 Z ' +
    'M4 -42 C4 -44.21 2.21 -46 0 -46 C-2.21 -46 -4 -44.21 -4 -42 C-4 -39.79 -2.21 -38 0 -38 C2.21 -38 4 -39.79 4 -42 Z',
  joins: false,
};

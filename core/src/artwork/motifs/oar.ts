/** A sweep oar, blade down. */
export const oar = {
  label: 'Oar',
  pathData:
    'M-3.4 0 C-3.4 -3.4 3.4 -3.4 3.4 0 L3.4 16 L2.6 19 L2.6 92 C2.6 97 9 99 9.4 106 L11 132 C11 138 7 140 0 140 ' +
    'C-7 140 -11 138 -11 132 L-9.4 106 C-9 99 -2.6 97 -2.6 92 L-2.6 19 L-3.4 16 Z',
  joins: false,
};

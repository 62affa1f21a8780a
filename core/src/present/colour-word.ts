import { differenceCiede2000, nearest } from 'culori';

/** Colours that everybody would call so, some words more than once. */
const WORDS: readonly (readonly [word: string, colour: string])[] = [
  ['white', '#ffffff'],
  ['off-white', '#f4f1e8'],
  ['cream', '#fbefc4'],
  ['light grey', '#c9c9c9'],
  ['grey', '#8a8a8a'],
  ['dark grey', '#505050'],
  ['black', '#1a1a1c'],
  ['pink', '#f2a3b8'],
  ['bright pink', '#e23d8c'],
  ['red', '#d42b2b'],
  ['dark red', '#86212e'],
  ['orange', '#ea7128'],
  ['light orange', '#f6b26b'],
  ['brown', '#6d4529'],
  ['tan', '#cbab7e'],
  ['gold', '#b68d3a'],
  ['yellow', '#f4d22c'],
  ['light green', '#a3d492'],
  ['bright green', '#4fbf3a'],
  ['green', '#2f8a47'],
  ['olive green', '#6d7d38'],
  ['dark green', '#1e4b2c'],
  ['turquoise', '#35b8b0'],
  ['teal', '#0c7276'],
  ['dark teal', '#0f4a59'],
  ['pale blue', '#b4d7ea'],
  ['light blue', '#6db3d6'],
  ['blue-green', '#6fb1bf'],
  ['blue', '#2867c8'],
  ['blue', '#1420e8'],
  ['dark blue', '#1b2e68'],
  ['lilac', '#bca6dd'],
  ['purple', '#6c3a9c'],
  ['purple', '#8a1fc0'],
];
const nearestOne = nearest([...WORDS], differenceCiede2000(), ([, colour]) => colour);

/**
 * A colour as one would say it across a bench.
 *
 * @param colour CSS colour
 * @returns one or two plain words, such as "dark teal"
 * @source nearest of the named colours by CIEDE2000
 */
export function colourWord(colour: string): string {
  return nearestOne(colour, 1)[0]![0];
}

import { formatHex, parse } from 'culori';

/**
 * A colour as six hex digits.
 *
 * @param value as a style gives it: a name, hex digits, or any of the colour functions
 * @param current what `currentcolor` stands for
 * @returns null for none and for what is wholly transparent; undefined for what is no colour
 */
export function readColour(value: string, current: string): string | null | undefined {
  const text = value.trim().toLowerCase();
  if (text === 'none' || text === 'transparent') return null;
  if (text === 'currentcolor') return current;
  const colour = parse(text);
  if (!colour) return undefined;
  return colour.alpha === 0 ? null : formatHex(colour);
}

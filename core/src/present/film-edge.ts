import { formatHex, interpolate, modeLrgb, modeRgb, useMode, wcagContrast } from 'culori/fn';

useMode(modeRgb);
useMode(modeLrgb);

/** Contrast under which two areas beside each other are not told apart by everybody. @source WCAG 2.2, 1.4.11: 3 to 1 */
export const LEAST_CONTRAST = 3;

/**
 * The line that pale film needs round it to be seen on a ground: its own colour, darkened as little as is enough, or
 * lightened on a dark ground.
 *
 * @param film CSS colour
 * @param ground CSS colour on which it is drawn
 * @returns a hex colour of at least 3 to 1 against the ground; null where the film has that by itself
 */
export function filmEdge(film: string, ground: string): string | null {
  if (wcagContrast(film, ground) >= LEAST_CONTRAST) return null;
  const towards = wcagContrast('black', ground) >= wcagContrast('white', ground) ? 'black' : 'white';
  const mix = interpolate([film, towards], 'rgb');
  for (let share = 0.1; share < 1; share += 0.1) {
    const edge = formatHex(mix(share));
    if (wcagContrast(edge, ground) >= LEAST_CONTRAST) return edge;
  }
  return formatHex(towards)!;
}

/** Whether a colour is so light that ink is drawn on it. */
export function isLight(colour: string): boolean {
  const n = parseInt(colour.slice(1), 16);
  return 0.3 * ((n >> 16) & 255) + 0.59 * ((n >> 8) & 255) + 0.11 * (n & 255) > 150;
}

import type { Stack } from '../model/stack.ts';
/** Whole films in the order of the artwork, lined up by the rule. */
export const PLAIN_STACK: Stack = { build: 'full', underlapMm: 0.6, thinMm: 4, order: [], marks: {}, lay: 'flat', levels: 'as drawn' }; // prettier-ignore

/**
 * Films from the blank outwards.
 *
 * @param used films in the order that the picture asks for
 * @param order films whose place was chosen
 */
export function layersOf(used: readonly string[], { order }: Pick<Stack, 'order'>): string[] {
  const films = [...new Set(used)];
  const chosen = order.filter((film) => films.includes(film));
  // What was not chosen stays above what it stood above.
  const layers = [...chosen];
  films.forEach((film, i) => {
    if (layers.includes(film)) return;
    const below = films.slice(0, i).map((other) => layers.indexOf(other));
    layers.splice(Math.max(-1, ...below) + 1, 0, film);
  });
  return layers;
}

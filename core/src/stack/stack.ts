/** How the films of a design are built up, and how its layers are lined up. */
export interface Stack {
  /** Whole films one on another, each colour knocked out of those below, or by rule: thin lines over whole film. */
  readonly build: 'full' | 'inlay' | 'hybrid';
  /** mm that a film reaches under the edge of one above it. */
  readonly underlapMm: number;
  /** mm. What is no broader lies on top of whole film, when built by rule. */
  readonly thinMm: number;
  /** Films from the blank outwards; those not named come where the artwork has them. */
  readonly order: readonly string[];
  /** How a layer is lined up, where it is not left to the rule. */
  readonly marks: { readonly [film: string]: 'marks' | 'by hand' };
  /** Assembled on the table and laid once, or laid film by film. */
  readonly lay: 'flat' | 'on the blank';
}

/** Layers of so few things are as quickly lined up by hand, one by one. */
export const FEW_BODIES = 3;

/** Whole films in the order of the artwork, lined up by the rule. */
export const PLAIN_STACK: Stack = { build: 'full', underlapMm: 0.6, thinMm: 4, order: [], marks: {}, lay: 'flat' };

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

/** How the films of a design are built up, and how its layers are lined up. */
export interface Stack {
  /** Whole films one on another, each colour knocked out of those below, or by rule: thin lines over whole film. */
  readonly build: 'full' | 'inlay' | 'hybrid';
  /** mm that a film reaches under the edge of one above it. */
  readonly underlapMm: number;
  /** mm. What is no broader lies on top of whole film, when built by rule. */
  readonly thinMm: number;
  /** Layers from the blank outwards; those not named come where the artwork has them. */
  readonly order: readonly string[];
  /** How a layer is lined up, where it is not left to the rule. */
  readonly marks: { readonly [film: string]: 'marks' | 'by hand' };
  /** Assembled on the table and laid once, or laid film by film. */
  readonly lay: 'flat' | 'on the blank';
  /** Whether a film stands as often as the picture asks for, or once, whatever is drawn. */
  readonly levels: 'as drawn' | 'once';
}

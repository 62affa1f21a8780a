/** Ways in which a piece of film is laid. */
export type WayToLay = 'centre out' | 'one end' | 'middle line first' | 'two halves';

/** How a piece comes to lie in one order. */
export interface LookedOrder {
  readonly way: WayToLay;
  /** Fraction by which it was pulled as it was laid; 0 as it comes. */
  readonly pulled: number;
  /** Places where it stands off, the height of the tallest in mm, and mm² of film in them. */
  readonly tents: number;
  readonly tallestMm: number;
  readonly tentedMm2: number;
  /** Most that it is pulled and pushed together, as fractions. */
  readonly pull: number;
  readonly push: number;
}

/** A place where it stands off: mm on its flat from the middle of its box, y up. */
export interface LookedTent {
  readonly x: number;
  readonly y: number;
  readonly lengthMm: number;
  /** rad from x to the way it runs. */
  readonly direction: number;
  readonly heightMm: number;
  readonly areaMm2: number;
}

/** Even slits from the edge of a piece towards its middle. */
export interface EvenSlits {
  readonly count: number;
  /** Share of the way from its farthest edge to its middle. */
  readonly deep: number;
  /** rad from x to the first of them, on its flat. */
  readonly turn: number;
}

/** What laying a piece of film by computation showed: kept with a project for as long as the same is laid on the same. */
export interface Looked {
  /** What was laid on what. */
  readonly of: string;
  /** mm between the points that it was computed at. */
  readonly edgeMm: number;
  /** The best first. */
  readonly orders: readonly LookedOrder[];
  /** Of the best order, the tallest first. */
  readonly tents: readonly LookedTent[];
  /** Times its size at which it still lies flat; null where it does as it is, or not even much smaller. */
  readonly largest: number | null;
  /** The fewest slits with which it lies, and the tallest tent that is left then; null where it lies, or none were found. */
  readonly slits: (EvenSlits & { readonly depthMm: number; readonly tallestMm: number }) | null;
}

/** What becomes of one copy of an item that a seam cuts. */
export interface AtSeam {
  readonly itemId: string;
  readonly copy: number;
  /** Split with its parts lapping, or left off the wrap and cut as a spare to be laid over the seam. */
  readonly do: 'overlap' | 'leave-off';
}

/** How the ends of a wrap, or of its panels, meet. */
export interface Seam {
  /** mm. The right-hand end carries this much more film, to lap over the other; 0 butts them. */
  readonly lapMm: number;
  /** Straight down the side at the back, or wandering between the pieces. */
  readonly way: 'straight' | 'wandering';
  /** How many panels the wrap is divided into, side by side; 1 is a whole wrap. */
  readonly panels: number;
  /** mm that a wandering seam keeps from every piece. */
  readonly clearanceMm: number;
  readonly atSeam: readonly AtSeam[];
}

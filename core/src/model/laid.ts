/** A part of a film where it lies on the board. */
export interface PartOnBoard {
  readonly part: string;
  /** Whether its template is turned a quarter. */
  readonly turned: boolean;
  /** Template to board: x' = a·x + c·y + e, y' = b·x + d·y + f, mm. */
  readonly matrix: readonly [number, number, number, number, number, number];
  /** Whether it was put there by hand. */
  readonly fixed?: boolean | undefined;
}

/** How one film was laid, kept so that it is laid so again for as long as the same is cut. */
export interface KeptFilm {
  readonly film: string;
  /** What was laid, and on what. */
  readonly of: string;
  readonly lots: readonly Lot[];
}

/** What is laid on a board side by side with others: as much of a film as is cut in one load. */
export interface Lot {
  readonly along: number;
  readonly across: number;
  /** The offcut that it is; null when it is cut to size. */
  readonly offcut: string | null;
  /** Its outline where it is no rectangle, x and y in mm from its corner. */
  readonly outline: readonly number[] | null;
  /** mm that are taken of it. */
  readonly used: { readonly along: number; readonly across: number };
  /** Parts by their matrices, from the corner of the lot. */
  readonly parts: readonly PartOnBoard[];
}

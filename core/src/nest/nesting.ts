import type { Ring } from '../polygon/polygon.ts';

/** Quarter turns counter-clockwise. */
export type Quarter = 0 | 1 | 2 | 3;

/** Something that is laid as one and moves as one. */
export interface NestPart {
  readonly id: string;
  /** Outlines of its film, outer rings and holes, mm. Other parts may lie in its holes, but not between its outlines. */
  readonly rings: readonly Ring[];
  /** Turns that its film allows: directional film is only turned by halves. */
  readonly turns: readonly Quarter[];
}

/** Something that parts are laid on. */
export interface NestSheet {
  readonly id: string;
  /** mm across the feed, where parts may lie. */
  readonly acrossMm: number;
  /** mm along the feed. */
  readonly alongMm: number;
  /** Where on it parts may lie, mm, when that is no rectangle. */
  readonly within?: Ring;
  /** Whether it is film that is used up first: opening it costs nothing. */
  readonly free?: boolean;
}

/** How parts are laid. */
export interface NestOptions {
  /** mm between parts, so that scissors pass. */
  readonly gapMm: number;
  /** The same seed gives the same plans, one after the other. */
  readonly seed: number;
  /** mm. Cells that places are looked for in; finer ones take longer. Left out, it follows from the size of the parts. */
  readonly cellMm?: number;
  /** How often other ways are searched for once parts were laid by size and by length; left out, again and again. */
  readonly searches?: number | undefined;
  /** Parts that stay where they are; the others are laid round them. */
  readonly fixed?: readonly LaidPart[];
}

/** Where a part lies: turned about its own origin, then shifted; x along the feed, y across it, mm from the sheet's corner. */
export interface LaidPart {
  readonly id: string;
  /** Which sheet, in the order in which they were given; the last kind may be opened several times. */
  readonly sheet: number;
  readonly turn: Quarter;
  readonly x: number;
  readonly y: number;
}

/** A plan. */
export interface Nesting {
  readonly laid: readonly LaidPart[];
  /** mm along the feed that are taken of each sheet. */
  readonly alongUsed: readonly number[];
  /** Which of the given sheets each one is. */
  readonly sheetIds: readonly string[];
  /** Parts that fit no sheet. */
  readonly left: readonly string[];
}

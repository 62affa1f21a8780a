import type { Blank, ReadingName, SurfaceKind } from '../../model/blank.ts';
import type { ProfileStation } from '../../surface/profile.ts';
import type { ReadingDoubt } from '../doubts.ts';
import type { ErrorReport } from '../error-report.ts';
import type { BlankSize, BlankSizeResult } from '../size.ts';

/** A thing of some kind as it is drawn until its readings are there, mm. */
export type TypicalSolid =
  | { readonly form: 'cone'; readonly girthRim: number; readonly girthBase: number; readonly side: number }
  | { readonly form: 'profile'; readonly stations: readonly ProfileStation[] }
  /** What a ball hangs by, or is tied with, stands on it. */
  | { readonly form: 'ball'; readonly radius: number; readonly halfLength: number; readonly topper: 'cap' | 'neck' }
  | { readonly form: 'disk'; readonly across: number; readonly hole: number; readonly holeUp: number }
  | { readonly form: 'plane'; readonly width: number; readonly height: number };

/** One kind of blank: what it is called, what is read of it, and what its readings come to. */
export interface KindOfBlank {
  readonly label: string;
  /** Things of that kind. */
  readonly like: string;
  /** A drawing of it in one stroke, SVG path data in a box of 24 × 24. */
  readonly icon: string;
  /** How much there is to read. */
  readonly reads: string;
  /** Whether film goes round it and meets itself at a seam. */
  readonly round: boolean;
  /** What it is usually made of, and its colour. */
  readonly usual: { readonly surface: SurfaceKind; readonly colour: string };
  readonly typical: TypicalSolid;
  /** The readings that it cannot do without, in the order in which they are asked for. */
  readonly asked: readonly ReadingName[];
  /** Readings that check or complete the others; may be left out. */
  readonly welcome: readonly ReadingName[];
  /** True sizes from its readings, or the first thing that stands in the way. */
  readonly size: (blank: Blank) => BlankSizeResult;
  /** What the readings may be off by, where there are sizes. */
  readonly errors: (blank: Blank, size: BlankSize) => ErrorReport;
  /** What looks wrong about them. */
  readonly doubts: (blank: Blank) => ReadingDoubt[];
}

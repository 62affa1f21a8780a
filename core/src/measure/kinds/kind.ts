import type { Blank, ReadingName, SurfaceKind } from '../../model/blank.ts';
import type { Solid } from '../../solid/solid.ts';
import type { ReadingDoubt } from '../doubts.ts';
import type { ErrorReport } from '../error-report.ts';
import type { BlankSize, BlankSizeResult } from '../size.ts';

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
  /** What stands in while it is not read. */
  readonly typical: Solid;
  /** The readings that it cannot do without, in the order in which they are asked for. */
  readonly asked: readonly ReadingName[];
  /** Readings that check or complete the others; may be left out. */
  readonly welcome: readonly ReadingName[];
  /** Readings that may be left out when another was taken, and which. */
  readonly instead?: Partial<Record<ReadingName, ReadingName>>;
  /** Whether one girth is read for both ends. */
  readonly oneGirth?: true;
  /** Whether girths are read at heights of one's own choice. */
  readonly byStations?: true;
  /** Whether it is filled with gas, and shrinks. */
  readonly blownUp?: true;
  /** True sizes from its readings, or the first thing that stands in the way. */
  readonly size: (blank: Blank) => BlankSizeResult;
  /** The solid of these sizes; a method, so that a kind may say what it keeps of its own. */
  solid(size: BlankSize): Solid;
  /** Its sizes in few words, a line each. @param bare a length without its unit */
  told(size: BlankSize, mm: (v: number) => string, bare: (v: number) => string): string[];
  /** What else its readings come to, beside the girths at its ends. */
  facts?(size: BlankSize, mm: (v: number) => string): [string, string][];
  /** What the readings may be off by, where there are sizes. */
  readonly errors: (blank: Blank, size: BlankSize) => ErrorReport;
  /** What looks wrong about them. */
  readonly doubts: (blank: Blank) => ReadingDoubt[];
}

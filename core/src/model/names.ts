import type { KeptDrawing } from './drawing.ts';
import type { MotifId, Provenance } from './item.ts';

/** What stands in an item's place on one thing of a list. */
export interface RowSwap {
  /** For a drawing of several colours: one of them; a picture takes the place of the whole drawing. */
  readonly itemId: string;
  /** Film that the item is cut from on this one; left out, its own. */
  readonly film?: string | undefined;
  /** What is in its place, no larger than it is; left out, the item itself. */
  readonly picture?: RowPicture | undefined;
}

/** A shipped motif, or a drawing of the job's by its id. */
export type RowPicture =
  { readonly by: 'motif'; readonly motif: MotifId } | { readonly by: 'drawing'; readonly drawingId: string };

/** Drawing that some thing of a list has in place of an item: a snapshot of one that the person keeps. */
export interface RowDrawing extends KeptDrawing, Provenance {
  readonly id: string;
  readonly name: string;
}

/** What may differ from thing to thing, besides words, hand and blank: what stands at an item's place, or its film. */
export interface RowColumn {
  readonly itemId: string;
  readonly what: 'picture' | 'film';
}

/** One name for which the job is made. */
export interface NameRow {
  readonly id: string;
  readonly name: string;
  /** How many are made. */
  readonly count: number;
  /** Which hand holds this one; null for the job's own. */
  readonly hand: 'right' | 'left' | null;
  /** Height of its capitals when it was set by hand, mm. */
  readonly capMm: number | null;
  /** One of the job's other blanks; null for its own. */
  readonly blankId: string | null;
  /** What it has otherwise than the job, an entry for each item; left out, nothing. */
  readonly swaps?: readonly RowSwap[] | undefined;
}

/** A job that is made many times: once for each of many names, which take the place of one text, or just as it is. */
export interface NameList {
  /** The text; null when all are alike but for hand and blank. */
  readonly itemId: string | null;
  /** Widest that a name may be, mm. */
  readonly widthMm: number;
  /** Highest that a name may be, with all that reaches up and down, mm; left out, as high as its capitals make it. */
  readonly heightMm?: number | undefined;
  /** Lowest that its capitals may become, mm. */
  readonly leastCapMm: number;
  /** mm by which its letters may be closed up once that is reached. */
  readonly closeMm: number;
  /** Whether all have capitals as high as those of the longest, so that they look like a set; left out, each as high as it may. */
  readonly sameSize?: boolean | undefined;
  readonly rows: readonly NameRow[];
  /** What is asked of every row besides; left out, nothing. */
  readonly columns?: readonly RowColumn[] | undefined;
}

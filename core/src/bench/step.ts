import type { CautionCode } from './cautions.ts';

/** What a step is about: its name in files and on the command line. */
export type StepKind =
  | 'prepare'
  | 'lay-out'
  | 'cover-sheet'
  | 'place-film'
  | 'test-cut'
  | 'unload'
  | 'trim'
  | 'weed'
  | 'tape'
  | 'slit'
  | 'stack'
  | 'squares-off'
  | 'clean'
  | 'mark'
  | 'aim'
  | 'lay'
  | 'seam'
  | 'tape-off'
  | 'cover-rest'
  | 'strip'
  | 'etch'
  | 'blast'
  | 'paint'
  | 'peel'
  | 'wash'
  | 'seal'
  | 'cure'
  | 'hand-over'
  | 'wrap-up';

/** What a step counts with, as far as it does; mm and minutes, for everything that is made. */
export interface StepNumbers {
  readonly tapeWidthMm?: number;
  readonly tapeHeightMm?: number;
  readonly topBelowRimMm?: number;
  readonly middleBelowRimMm?: number;
  readonly roundFromHandleMm?: number;
  readonly pieces?: number;
  readonly counters?: number;
  readonly slits?: number;
  /** How many times, sheets, parts or strips. */
  readonly count?: number;
  readonly trueOver100Mm?: number;
  readonly lapMm?: number;
  readonly handsMinutes?: number;
  readonly waitMinutes?: number;
}

/** A question at a step. */
export interface StepCheck {
  readonly ask: string;
  /** What is done when the answer is no. */
  readonly ifNot: string;
  /** Minutes after which it is asked again when the answer is no; left out where it is mended on the spot. */
  readonly againMinutes?: number;
}

/** One thing to do at the bench, with this job's numbers. */
export interface BenchStep {
  readonly id: string;
  readonly kind: StepKind;
  /** Steps that have to be done before it, by their ids. */
  readonly after: readonly string[];
  readonly title: string;
  readonly body: string;
  readonly why: string | null;
  /** Hazards of this step that no step before it has told of. */
  readonly cautions: readonly CautionCode[];
  /** The same in words; null without any. */
  readonly caution: string | null;
  /** What to look for, and what to do if it is not so. */
  readonly check: StepCheck | null;
  /** What of the job, or of My way, made it this step and no other; null where every job has it. */
  readonly because: string | null;
  /** Ids of the things that it is done on one by one; empty where it is done once for all. */
  readonly things: readonly string[];
  /** Minutes of work, and minutes of waiting after it at least. */
  readonly handsMinutes: number;
  readonly waitMinutes: number;
  /** Steps that can be done while it waits. */
  readonly beside: readonly string[];
  readonly numbers: StepNumbers;
  /** Film, part and row that it is about, where it is about one. */
  readonly about: { readonly film: string | null; readonly part: string | null; readonly row: string | null };
  /** The layer of film that the step is about, if one. */
  readonly layer: string | null;
  /** What is laid out, to be ticked off; empty but for that step. */
  readonly list: readonly string[];
}

/** A step as a rule says it, before it has its place. */
export interface StepDraft extends Partial<Omit<BenchStep, 'after' | 'caution' | 'beside'>> {
  readonly id: string;
  readonly kind: StepKind;
  /** Ids of steps, or every step of a kind: those that are there have to be done before it. */
  readonly after?: readonly (string | `every ${StepKind}`)[];
  readonly title: string;
  readonly body: string;
}

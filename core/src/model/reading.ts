/** How a reading was taken. */
export type ReadingTool = 'tape' | 'ruler' | 'caliper' | 'strip' | 'photo';

/** One go at a reading: what was typed and what it means. */
export interface ReadingTake {
  readonly typed: string;
  /** mm, > 0. */
  readonly mm: number;
}

/** One number taken off the blank, as often as it was taken. */
export interface Reading {
  readonly how: ReadingTool;
  readonly takes: readonly ReadingTake[];
  /** Thickness of the tape or strip, mm; only girths are corrected by it. */
  readonly thicknessMm: number;
}

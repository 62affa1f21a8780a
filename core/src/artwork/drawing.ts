import type { Ring } from '../polygon/polygon.ts';

/** All areas of one colour in a drawing. */
export interface DrawingColour {
  /** CSS colour, six hex digits. */
  readonly colour: string;
  /** Clean film: outer rings counter-clockwise, holes clockwise; mm, y up, from the middle of the drawing. */
  readonly rings: readonly Ring[];
  readonly areaMm2: number;
}

/** A drawing that was brought in. */
export interface Drawing {
  readonly widthMm: number;
  readonly heightMm: number;
  /** The largest area first. */
  readonly colours: readonly DrawingColour[];
  /** What could not be taken, in words, each with how often. */
  readonly leftOut: readonly { readonly what: string; readonly count: number }[];
}

/** Why a drawing was refused. */
export type DrawingProblem =
  | { readonly code: 'too-large'; readonly limit: number }
  | { readonly code: 'not-svg'; readonly why: string }
  | { readonly code: 'too-much'; readonly what: string; readonly limit: number }
  | { readonly code: 'empty' };

/** A drawing, or why not. */
export type DrawingResult =
  { readonly ok: true; readonly drawing: Drawing } | { readonly ok: false; readonly problem: DrawingProblem };

/** Why a drawing was refused, in words: what happened and what to do. */
export function describeDrawingProblem(problem: DrawingProblem): string {
  switch (problem.code) {
    case 'too-large':
      return `The drawing is larger than ${Math.round(problem.limit / 1e6)} MB. Save it without pictures in it, or in parts.`;
    case 'not-svg':
      return `The file is no drawing that can be read (${problem.why}). Save it again as plain SVG.`;
    case 'too-much':
      return `The drawing has more than ${problem.limit} ${problem.what}. Simplify it, or bring it in in parts.`;
    case 'empty':
      return 'Nothing in the drawing can be cut: no filled areas and no lines were found.';
  }
}

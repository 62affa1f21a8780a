import { boxHeight, boxOfCoordinates, boxWidth } from '../plane/box.ts';
import { nestRings } from '../polygon/nest.ts';
import type { Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';

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

/**
 * A drawing without its specks: parts that are less across, both ways, than a hand can lift.
 *
 * @param drawing as it was read
 * @param leastMm mm, as drawn
 * @returns the drawing that is left, and how many specks there were; colours of nothing but specks go
 */
export function withoutSpecks(
  drawing: Drawing,
  leastMm: number,
): { readonly drawing: Drawing; readonly specks: number } {
  let specks = 0;
  const colours = drawing.colours.flatMap((one): DrawingColour[] => {
    const parts = nestRings(one.rings);
    const kept = parts.filter(({ outer }) => {
      const box = boxOfCoordinates(outer);
      return Math.max(boxWidth(box), boxHeight(box)) >= leastMm;
    });
    specks += parts.length - kept.length;
    if (kept.length === parts.length) return [one];
    const areaMm2 = kept.reduce((sum, part) => sum + polygonArea(part), 0);
    return kept.length > 0 ? [{ ...one, rings: kept.flatMap(ringsOf), areaMm2 }] : [];
  });
  return specks === 0 ? { drawing, specks } : { drawing: { ...drawing, colours }, specks };
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

import type { DrawnSheet } from '../model/drawing.ts';
import { nestRings } from '../polygon/hole-assignment.ts';
import type { Ring } from '../polygon/polygon.ts';
import { polygonArea } from '../polygon/polygon.ts';
import { isSpeck } from './acts.ts';

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
  /** The page that it was drawn on; null where there is none. */
  readonly sheet: DrawnSheet | null;
  /** As they are drawn, the lowest first; a colour that lies both under and over another is there twice. */
  readonly colours: readonly DrawingColour[];
  /** What could not be taken as it was drawn, in words, each with how often. */
  readonly leftOut: readonly { readonly what: string; readonly count: number }[];
  /** Whether the file says how large its unit is; otherwise it was taken for a millimetre, and somebody has to be asked. */
  readonly unitSaid: boolean;
}

/** A drawing enlarged, as when its unit was another than it was taken for. */
export function scaleDrawing(drawing: Drawing, by: number): Drawing {
  return {
    ...drawing,
    widthMm: drawing.widthMm * by,
    heightMm: drawing.heightMm * by,
    sheet: drawing.sheet && {
      widthMm: drawing.sheet.widthMm * by,
      heightMm: drawing.sheet.heightMm * by,
      x: drawing.sheet.x * by,
      y: drawing.sheet.y * by,
    },
    colours: drawing.colours.map(({ colour, rings, areaMm2 }) => ({
      colour,
      rings: rings.map((ring) => ring.map((v) => v * by)),
      areaMm2: areaMm2 * by * by,
    })),
  };
}

/** A line that a drawing has, before it is made broad. */
export interface DrawnLine {
  readonly colour: string;
  readonly widthMm: number;
  readonly dashed: boolean;
  /** mm, y up. */
  readonly paths: readonly { readonly ring: Ring; readonly closed: boolean }[];
  /** What of it is seen; null for all. */
  readonly clip: readonly Ring[] | null;
}

/** Specks that are left off of their own accord at most; more of them, all alike, are a pattern. */
const FEW_SPECKS = 3;

/** What of a drawing is too small to lift, at some size. */
export interface Specks {
  readonly count: number;
  /** Whether they are many and alike, as the dots or dashes of a pattern are: meant, rather than dirt. */
  readonly pattern: boolean;
}

/**
 * Looks for specks in a drawing: parts that are less across, both ways, than a hand can lift, beside larger ones of the same
 * colour.
 *
 * @param drawing as it was read
 * @param leastMm mm, as drawn
 */
export function specksOf(drawing: Drawing, leastMm: number): Specks {
  const areas = drawing.colours.flatMap(({ rings }) => {
    const parts = nestRings(rings);
    const specks = parts.filter((part) => isSpeck(part, leastMm));
    return specks.length === parts.length ? [] : specks.map(polygonArea);
  });
  areas.sort((a, b) => a - b);
  const middle = areas[Math.floor(areas.length / 2)] ?? 0;
  const alike = areas.filter((area) => area >= middle / 2 && area <= middle * 2).length;
  return { count: areas.length, pattern: areas.length > FEW_SPECKS && alike >= 0.8 * areas.length };
}

/** Why a drawing was refused. */
export type DrawingProblem =
  | { readonly code: 'too-large'; readonly limit: number }
  | { readonly code: 'not-svg'; readonly why: string }
  | { readonly code: 'too-much'; readonly what: string; readonly limit: number }
  | { readonly code: 'empty' };

/**
 * A drawing, or why not. One of hairlines is what they enclose; `asDrawn` then has the lines themselves as film, null where
 * there is but one way to take it.
 */
export type DrawingResult =
  | { readonly ok: true; readonly drawing: Drawing; readonly asDrawn: Drawing | null }
  | { readonly ok: false; readonly problem: DrawingProblem };

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

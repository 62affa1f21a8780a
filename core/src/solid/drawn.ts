import type { Blank } from '../model/blank.ts';
import type { SectionOutline } from '../surface/section.ts';
import { EPSILON } from '../numeric/tolerances.ts';

/** What of a blank changes how its solid is drawn. */
export type DrawnBlank = Pick<Blank, 'bandBelowRimMm' | 'handleWidthMm' | 'flattening' | 'section'>;

/** The solid's side at one height: mm along it from the template's top, distance from the axis, height, and dr/ds. */
export type SolidRow = readonly [slant: number, radius: number, height: number, lean: number];

/** A solid as views draw it, in mm; plain, so that two can be compared. */
export interface DrawnSolid {
  /** Turned on a wheel with film going round; turned with a patch on it; or a slab with a face. */
  readonly body: 'turned' | 'patched' | 'slab';
  /** From the drinking edge, or a crown, to the foot. A slab has none. */
  readonly rows: readonly SolidRow[];
  /** Length and, of a face or patch, width of what the template covers. */
  readonly side: number;
  readonly width: number;
  /** Side above and below the template, along it. */
  readonly above: number;
  readonly below: number;
  /** Whether a face is a round, or has corners. */
  readonly round: boolean;
  /** What a patch lies on: radius at the widest girth, half the length, latitude of the patch's middle. */
  readonly ball: { readonly radius: number; readonly halfLength: number; readonly latitude: number };
  /** Diameter of a hole in a face and how far above the middle it lies. */
  readonly hole: readonly [across: number, up: number];
  readonly topper: 'none' | 'cap' | 'neck';
  readonly handleWidth: number;
  /** What a turned side looks like from above at a girth of 2π, where it is not round. */
  readonly section: SectionOutline | null;
}

/** Side below the band that a foot takes, mm. */
export const FOOT_MM = 4;

export const NOTHING_DRAWN: Omit<DrawnSolid, 'body'> = {
  rows: [],
  side: 0,
  width: 0,
  above: 0,
  below: 0,
  round: false,
  ball: { radius: 1, halfLength: 1, latitude: 0 },
  hole: [0, 0],
  topper: 'none',
  handleWidth: 0,
  section: null,
};

/** Something that film goes round, by its rows; their heights are counted from the template's top. */
export function drawnTurned(
  rows: readonly SolidRow[],
  lengths: Pick<DrawnSolid, 'side' | 'above' | 'below'>,
  { handleWidthMm }: DrawnBlank,
): DrawnSolid {
  const top = rowAt(rows, 0)[2];
  return {
    ...NOTHING_DRAWN,
    ...lengths,
    body: 'turned',
    rows: rows.map(([s, r, h, lean]) => [s, r, h - top, lean]),
    handleWidth: handleWidthMm,
  };
}

/** The row at a distance along the side, between the two nearest; past the ends it runs on straight. */
export function rowAt(rows: readonly SolidRow[], slant: number): SolidRow {
  if (rows.length < 2) throw new RangeError(`a side has at least two rows, got ${rows.length}`);
  let i = rows.findIndex(([s]) => s >= slant);
  if (i < 0) i = rows.length - 1;
  i = Math.max(1, i);
  const [a, b] = [rows[i - 1]!, rows[i]!];
  const t = (slant - a[0]) / (b[0] - a[0]);
  const mix = (k: 0 | 1 | 2 | 3): number => a[k] + (b[k] - a[k]) * t;
  return [slant, mix(1), mix(2), t < 0 ? a[3] : t > 1 ? b[3] : mix(3)];
}

/** Distance along the side at a height; heights fall from row to row. */
export function slantAtHeight(rows: readonly SolidRow[], height: number): number {
  let i = rows.findIndex(([, , h]) => h <= height);
  if (i < 0) i = rows.length - 1;
  i = Math.max(1, i);
  const [a, b] = [rows[i - 1]!, rows[i]!];
  return a[0] + ((b[0] - a[0]) * (a[2] - height)) / Math.max(EPSILON, a[2] - b[2]);
}

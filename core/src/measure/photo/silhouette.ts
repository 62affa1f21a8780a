import type { Point } from '../../plane/point.ts';
import { findForeground, type Raster } from '../../raster/foreground.ts';
import type { PhotoAxis } from './axis.ts';
import { lineThrough, ON_AXIS } from './axis.ts';
import { directionOf, edgesAcross, endsOf, pointAlong } from './edges.ts';
import type { SilhouetteOptions } from './options.ts';
import type { EdgeRow } from './rows.ts';
import { cleanRows, rowSpans, smoothRows } from './rows.ts';
import { levelSag, sagOf } from './sag.ts';

/** The outline of a round thing in a picture. */
export interface Silhouette {
  readonly axis: PhotoAxis;
  /** Rows from top to foot, a px apart. */
  readonly rows: readonly EdgeRow[];
  /** Where the thing begins and ends on its axis, px, counted as the rows are. */
  readonly ends: readonly [number, number];
  /** rad by which the axis leans from upright; positive with its top to the right. */
  readonly tilt: number;
  /** px. How far the two sides disagree where both count, lips and feet left out (root mean square of half the difference). */
  readonly disagree: number;
  /** Share of the rows that were read from one side alone, since something stands before the other: a handle, a shadow. */
  readonly oneSided: number;
  /** px that lip and foot sag in the middle below their ends: seen from above or below they are ellipses. */
  readonly sags: readonly [top: number, foot: number];
  readonly size: { readonly width: number; readonly height: number };
}

/** Why a picture is not read. */
export type PhotoProblem =
  | 'nothing-stands-out'
  | 'cut-off'
  | 'too-small'
  /** Its two sides are too different to say where its middle is. */
  | 'sides-differ'
  /** The camera looked down on it. */
  | 'from-above';

/** A silhouette, or why there is none. */
export type SilhouetteResult =
  { readonly ok: true; readonly silhouette: Silhouette } | { readonly ok: false; readonly code: PhotoProblem };

/** px. Fewer rows or columns make no outline. */
const LEAST_PX = 40;
/** Share of rows at each end that are not used for the axis: lips and feet round off. */
const ENDS = 0.06;
/** Share of its half width that a foot may sag (9°): past it, the camera looked down by more than can be left in. */
const MOST_SAG = 0.16;
/** The same over what a level camera at a known distance sees (4°). */
const MOST_DOWN = 0.07;

/**
 * Finds the outline of a round thing photographed from the side.
 *
 * @param picture the thing in front of an even background
 * @param options axis, if it was marked
 * @source edges at half the step between background and thing, between pixels; the axis on which most rows have their
 *   middle, by trying lines through two of them, then least squares on those; found again across itself. Where the sides
 *   disagree the smoother one counts
 */
export function findSilhouette(raster: Raster, options: SilhouetteOptions): SilhouetteResult {
  const { width, height } = raster;
  if (width < LEAST_PX || height < LEAST_PX) return { ok: false, code: 'too-small' };
  const front = findForeground(raster);
  if (!front) return { ok: false, code: 'nothing-stands-out' };
  const spans = rowSpans(front.mask, width, height);
  if (spans.length < LEAST_PX) return { ok: false, code: 'too-small' };
  if (spans.some(([, left, right]) => left === 0 || right === width - 1)) return { ok: false, code: 'cut-off' };
  const widths = spans.map(([, left, right]) => right - left).sort((a, b) => a - b);
  const tolerance = Math.max(ON_AXIS.px, ON_AXIS.share * widths[widths.length >> 1]!);
  let axis =
    options.axis ??
    lineThrough(
      spans.map(([y, left, right]): Point => ({ x: (left + right) / 2, y })),
      spans[0]![0],
      spans.at(-1)![0],
      tolerance,
    );
  let rows = edgesAcross(front, axis, raster);
  // Across the first axis the middles lie truer than across level rows; twice is enough for any tilt a hand makes.
  for (let round = 0; round < 2 && !options.axis && rows.length >= LEAST_PX; round++) {
    const { dx, dy } = directionOf(axis);
    const middles = rows.map(({ along, left, right }): Point => {
      const off = (right - left) / 2;
      const y = along + height / 2;
      const foot = pointAlong(axis, y);
      return { x: foot.x + off * dy, y: foot.y - off * dx };
    });
    axis = lineThrough(middles, spans[0]![0], spans.at(-1)![0], tolerance);
    rows = edgesAcross(front, axis, raster);
  }
  if (rows.length < LEAST_PX) return { ok: false, code: 'too-small' };
  const ends = endsOf(front, axis, raster, rows);
  const cleaned = cleanRows(rows.filter(({ along }) => along >= ends[0] && along <= ends[1]));
  if (!cleaned) return { ok: false, code: 'sides-differ' };
  const smooth = smoothRows(cleaned.rows);
  if (smooth.length < LEAST_PX) return { ok: false, code: 'too-small' };
  const cut = Math.floor(smooth.length * ENDS);
  const differences = smooth.slice(cut, smooth.length - cut).map(({ left, right }) => (left - right) / 2);
  const { dx, dy } = directionOf(axis);
  const [lip, foot] = [sagOf(smooth), sagOf([...smooth].reverse())];
  const level = options.far ? levelSag(smooth, options.far) + MOST_DOWN : MOST_SAG;
  if (foot.sag > level * foot.radius) return { ok: false, code: 'from-above' };
  return {
    ok: true,
    silhouette: {
      axis,
      rows: smooth,
      ends,
      tilt: Math.atan2(-dx, dy),
      disagree: Math.sqrt(differences.reduce((sum, d) => sum + d * d, 0) / differences.length),
      oneSided: cleaned.oneSided,
      sags: [lip.sag, foot.sag],
      size: { width, height },
    },
  };
}

import type { Point } from '../plane/point.ts';
import { findForeground, type Foreground, type Picture } from './foreground.ts';

/** The axis of a thing in a picture, from its top to its foot; px, y down. */
export interface PhotoAxis {
  readonly top: Point;
  readonly foot: Point;
}

/** One row across the axis: px along it from the picture's own middle height, and how far the edge is on both sides. */
export interface EdgeRow {
  readonly along: number;
  readonly left: number;
  readonly right: number;
}

/** The outline of a round thing in a picture. */
export interface Silhouette {
  readonly axis: PhotoAxis;
  /** Rows from top to foot, a px apart. */
  readonly rows: readonly EdgeRow[];
  /** Where the thing begins and ends on its axis, px, counted as the rows are. */
  readonly ends: readonly [number, number];
  /** rad by which the axis leans from upright; positive with its top to the right. */
  readonly tilt: number;
  /** px. How far the two sides disagree, lips and feet left out (root mean square of half the difference). */
  readonly disagree: number;
  readonly size: { readonly width: number; readonly height: number };
}

/** What the picture is taken by. */
export interface SilhouetteOptions {
  /** The axis as the person marked it, px; null to find it. */
  readonly axis: PhotoAxis | null;
}

/** A silhouette, or why there is none. */
export type SilhouetteResult =
  | { readonly ok: true; readonly silhouette: Silhouette }
  | { readonly ok: false; readonly code: 'nothing-stands-out' | 'cut-off' | 'too-small' };

/** px. Fewer rows or columns make no outline. */
const LEAST_PX = 40;
/** Share of rows at each end that are not used for the axis: lips and feet round off. */
const ENDS = 0.06;

/**
 * Finds the outline of a round thing photographed from the side.
 *
 * @param picture the thing in front of an even background
 * @param options axis, if it was marked
 * @source edges at half the step between background and thing, between pixels; the axis through the middles of the rows
 *   by least squares with the worst rows left out, then found again across itself
 */
export function findSilhouette(picture: Picture, options: SilhouetteOptions): SilhouetteResult {
  const { width, height } = picture;
  if (width < LEAST_PX || height < LEAST_PX) return { ok: false, code: 'too-small' };
  const front = findForeground(picture);
  if (!front) return { ok: false, code: 'nothing-stands-out' };
  const spans = rowSpans(front.mask, width, height);
  if (spans.length < LEAST_PX) return { ok: false, code: 'too-small' };
  if (spans.some(([, left, right]) => left === 0 || right === width - 1)) return { ok: false, code: 'cut-off' };
  let axis =
    options.axis ??
    lineThrough(
      spans.map(([y, left, right]): Point => ({ x: (left + right) / 2, y })),
      spans[0]![0],
      spans.at(-1)![0],
    );
  let rows = edgesAcross(front, axis, picture);
  // Across the first axis the middles lie truer than across level rows; twice is enough for any tilt a hand makes.
  for (let round = 0; round < 2 && !options.axis && rows.length >= LEAST_PX; round++) {
    const { dx, dy } = directionOf(axis);
    const middles = rows.map(({ along, left, right }): Point => {
      const off = (right - left) / 2;
      const y = along + height / 2;
      const foot = pointAlong(axis, y);
      return { x: foot.x + off * dy, y: foot.y - off * dx };
    });
    axis = lineThrough(middles, spans[0]![0], spans.at(-1)![0]);
    rows = edgesAcross(front, axis, picture);
  }
  if (rows.length < LEAST_PX) return { ok: false, code: 'too-small' };
  const ends = endsOf(front, axis, picture, rows);
  const smooth = smoothRows(rows.filter(({ along }) => along >= ends[0] && along <= ends[1]));
  if (smooth.length < LEAST_PX) return { ok: false, code: 'too-small' };
  const cut = Math.floor(smooth.length * ENDS);
  const differences = smooth.slice(cut, smooth.length - cut).map(({ left, right }) => (left - right) / 2);
  const { dx, dy } = directionOf(axis);
  return {
    ok: true,
    silhouette: {
      axis,
      rows: smooth,
      ends,
      tilt: Math.atan2(-dx, dy),
      disagree: Math.sqrt(differences.reduce((sum, d) => sum + d * d, 0) / differences.length),
      size: { width, height },
    },
  };
}

/** First and last pixel of the thing in each row that it has any. */
function rowSpans(mask: Uint8Array, width: number, height: number): [y: number, left: number, right: number][] {
  const spans: [number, number, number][] = [];
  for (let y = 0; y < height; y++) {
    let left = -1;
    let right = -1;
    for (let x = 0; x < width; x++)
      if (mask[y * width + x] === 1) {
        if (left < 0) left = x;
        right = x;
      }
    if (left >= 0) spans.push([y, left, right]);
  }
  return spans;
}

/** A line x = a + b·y through points, by least squares over those that lie nearest to it; its ends at two heights. */
function lineThrough(points: readonly Point[], top: number, foot: number): PhotoAxis {
  const cut = Math.floor(points.length * ENDS);
  let used = points.slice(cut, points.length - cut);
  let [a, b] = [0, 0];
  // A handle or a shadow pulls some rows aside: a quarter of them may go.
  for (let round = 0; round < 4; round++) {
    const n = used.length;
    const my = used.reduce((sum, p) => sum + p.y, 0) / n;
    const mx = used.reduce((sum, p) => sum + p.x, 0) / n;
    const spread = used.reduce((sum, p) => sum + (p.y - my) ** 2, 0);
    b = spread > 0 ? used.reduce((sum, p) => sum + (p.y - my) * (p.x - mx), 0) / spread : 0;
    a = mx - b * my;
    if (round === 3) break;
    const miss = (p: Point): number => Math.abs(p.x - a - b * p.y);
    used = [...used].sort((p, q) => miss(p) - miss(q)).slice(0, Math.max(10, Math.ceil(n * 0.91)));
  }
  return { top: { x: a + b * top, y: top }, foot: { x: a + b * foot, y: foot } };
}

function directionOf({ top, foot }: PhotoAxis): { dx: number; dy: number } {
  const length = Math.hypot(foot.x - top.x, foot.y - top.y);
  return { dx: (foot.x - top.x) / length, dy: (foot.y - top.y) / length };
}

/** Point of the axis at a height in the picture. */
function pointAlong({ top, foot }: PhotoAxis, y: number): Point {
  const t = (y - top.y) / (foot.y - top.y);
  return { x: top.x + (foot.x - top.x) * t, y };
}

/**
 * Edges to both sides, across the axis, a px apart along it. `along` counts from the level of the picture's middle, in px
 * along the axis as it stands in the picture's rows.
 */
function edgesAcross(front: Foreground, axis: PhotoAxis, { width, height }: Picture): EdgeRow[] {
  const { dx, dy } = directionOf(axis);
  const rows: EdgeRow[] = [];
  const at = (x: number, y: number): number => bilinear(front.distance, width, height, x, y);
  const isIn = (x: number, y: number): boolean => {
    const [px, py] = [Math.round(x), Math.round(y)];
    return px >= 0 && py >= 0 && px < width && py < height && front.mask[py * width + px] === 1;
  };
  for (let y = 0; y < height; y++) {
    const foot = pointAlong(axis, y);
    const side = (sign: 1 | -1): number | null => {
      // From outside in: the first pixel of the thing's mask.
      let reach = Math.hypot(width, height) / 2;
      while (reach > 0 && !isIn(foot.x + sign * reach * dy, foot.y - sign * reach * dx)) reach -= 1;
      if (reach <= 1) return null;
      return crossing((r) => at(foot.x + sign * r * dy, foot.y - sign * r * dx), reach);
    };
    const [right, left] = [side(1), side(-1)];
    if (right !== null && left !== null) rows.push({ along: y - height / 2, left, right });
  }
  return rows;
}

/** Where the axis enters and leaves the thing, between pixels. */
function endsOf(
  front: Foreground,
  axis: PhotoAxis,
  { width, height }: Picture,
  rows: readonly EdgeRow[],
): readonly [number, number] {
  const level = (y: number): number => bilinear(front.distance, width, height, pointAlong(axis, y).x, y);
  const [first, last] = [rows[0]!.along, rows.at(-1)!.along].map((along) => along + height / 2) as [number, number];
  const middle = (first + last) / 2;
  const top = crossing((r) => level(middle - r), middle - first);
  const foot = crossing((r) => level(middle + r), last - middle);
  return [middle - top - height / 2, middle + foot - height / 2];
}

/** Where the step from background to thing is half done, near a distance from the axis. */
function crossing(level: (r: number) => number, near: number): number {
  const inside = (level(near - 5) + level(near - 7) + level(near - 9)) / 3;
  const outside = (level(near + 6) + level(near + 8) + level(near + 10)) / 3;
  const half = (inside + outside) / 2;
  for (let r = near + 5; r > near - 6; r -= 0.5) {
    const [a, b] = [level(r), level(r - 0.5)];
    if (a < half && b >= half) return r - (0.5 * (half - a)) / (b - a);
  }
  return near + 0.5;
}

function bilinear(values: Float32Array, width: number, height: number, x: number, y: number): number {
  const cx = Math.max(0, Math.min(width - 1.001, x));
  const cy = Math.max(0, Math.min(height - 1.001, y));
  const [x0, y0] = [Math.floor(cx), Math.floor(cy)];
  const [fx, fy] = [cx - x0, cy - y0];
  const i = y0 * width + x0;
  return (
    (values[i]! * (1 - fx) + values[i + 1]! * fx) * (1 - fy) +
    (values[i + width]! * (1 - fx) + values[i + width + 1]! * fx) * fy
  );
}

/** Rows smoothed by a local parabola over a fortieth of the height, which keeps a curve's bend and drops the noise. */
function smoothRows(rows: readonly EdgeRow[]): EdgeRow[] {
  const half = Math.max(3, Math.round(rows.length / 80));
  const smooth = (key: 'left' | 'right'): number[] =>
    rows.map((row, i) => {
      const window = rows.slice(Math.max(0, i - half), i + half + 1);
      if (window.length < 2 * half + 1) return row[key];
      // Savitzky–Golay of second order at the middle of 2h + 1 points.
      let sum = 0;
      let weights = 0;
      for (let k = -half; k <= half; k++) {
        const weight = 3 * half * half + 3 * half - 1 - 5 * k * k;
        sum += weight * window[k + half]![key];
        weights += weight;
      }
      return sum / weights;
    });
  const [left, right] = [smooth('left'), smooth('right')];
  return rows.map(({ along }, i) => ({ along, left: left[i]!, right: right[i]! }));
}

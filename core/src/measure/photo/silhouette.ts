import type { Point } from '../../plane/point.ts';
import { findForeground, type Foreground, type Picture } from '../../raster/foreground.ts';

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
  /** px. How far the two sides disagree where both count, lips and feet left out (root mean square of half the difference). */
  readonly disagree: number;
  /** Share of the rows that were read from one side alone, since something stands before the other: a handle, a shadow. */
  readonly oneSided: number;
  /** px that lip and foot sag in the middle below their ends: seen from above or below they are ellipses. */
  readonly sags: readonly [top: number, foot: number];
  readonly size: { readonly width: number; readonly height: number };
}

/** What the picture is taken by. */
export interface SilhouetteOptions {
  /** The axis as the person marked it, px; null to find it. */
  readonly axis: PhotoAxis | null;
  /** How far off the camera stood, as often as the thing is high, or as its widest girth is long; left out when nobody knows. */
  readonly far?: { readonly by: 'girth' | 'height'; readonly times: number } | null;
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
export function findSilhouette(picture: Picture, options: SilhouetteOptions): SilhouetteResult {
  const { width, height } = picture;
  if (width < LEAST_PX || height < LEAST_PX) return { ok: false, code: 'too-small' };
  const front = findForeground(picture);
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
    axis = lineThrough(middles, spans[0]![0], spans.at(-1)![0], tolerance);
    rows = edgesAcross(front, axis, picture);
  }
  if (rows.length < LEAST_PX) return { ok: false, code: 'too-small' };
  const ends = endsOf(front, axis, picture, rows);
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

/** Rows at the top and at the foot, as a share of all, from which lines for the axis are tried, and how many of them. */
const TRIED = { share: 0.35, rows: 26 } as const;
/** px, and share of the width, by which the middle of a row may miss the axis and still be on it. */
const ON_AXIS = { px: 1.2, share: 0.006 } as const;
/** Steepest lean of an axis that is tried: 15°. */
const MOST_LEAN = Math.tan((15 * Math.PI) / 180);

/** The line on which most middles lie, from one height to another: by trial, then by least squares on those on it. */
function lineThrough(middles: readonly Point[], top: number, foot: number, tolerance: number): PhotoAxis {
  const n = middles.length;
  const band = Math.max(1, Math.floor(TRIED.share * n));
  const step = Math.max(1, Math.floor(band / TRIED.rows));
  const within = (a: number, b: number): number => {
    let count = 0;
    for (const p of middles) if (Math.abs(p.x - a - b * p.y) <= tolerance) count += 1;
    return count;
  };
  let [a, b, most] = [middles[n >> 1]!.x, 0, -1];
  for (let i = 0; i < band; i += step)
    for (let j = n - 1; j > n - 1 - band; j -= step) {
      const [p, q] = [middles[i]!, middles[j]!];
      if (q.y - p.y < 2) continue;
      const lean = (q.x - p.x) / (q.y - p.y);
      if (Math.abs(lean) > MOST_LEAN) continue;
      const count = within(p.x - lean * p.y, lean);
      if (count > most) [a, b, most] = [p.x - lean * p.y, lean, count];
    }
  for (let round = 0; round < 3; round++) {
    const used = middles.filter((p) => Math.abs(p.x - a - b * p.y) <= tolerance);
    if (used.length < 3) break;
    const my = used.reduce((sum, p) => sum + p.y, 0) / used.length;
    const mx = used.reduce((sum, p) => sum + p.x, 0) / used.length;
    const spread = used.reduce((sum, p) => sum + (p.y - my) ** 2, 0);
    b = spread > 0 ? used.reduce((sum, p) => sum + (p.y - my) * (p.x - mx), 0) / spread : 0;
    a = mx - b * my;
  }
  return { top: { x: a + b * top, y: top }, foot: { x: a + b * foot, y: foot } };
}

/** px, and share of the half width, from which on two sides disagree. */
const APART = { px: 1.6, share: 0.02 } as const;
/** Rows by which a stretch is looked at past its ends, and between which two are one. */
const ROUND_STRETCH = 6;
/** Share of the rows that may be read from one side. */
const MOST_ONE_SIDED = 0.8;
/** How much rougher a side has to be to be the disturbed one; otherwise the one further out is: things are added, not cut off. */
const ROUGHER = 1.6;

/**
 * Rows with both sides alike: where they disagree, the clean one counts twice. A handle, a spout or a shadow begins and ends
 * with a step in its own side; the other runs on smoothly. Null when hardly a row has two sides alike.
 */
function cleanRows(rows: readonly EdgeRow[]): { rows: EdgeRow[]; oneSided: number } | null {
  const n = rows.length;
  const out = rows.map((row) => ({ ...row }));
  const differ = (i: number): boolean => {
    const { left, right } = rows[i]!;
    return Math.abs(left - right) > Math.max(APART.px, (APART.share * (left + right)) / 2);
  };
  let taken = 0;
  for (let i = 0; i < n; i++) {
    if (!differ(i)) continue;
    let end = i;
    for (let k = i; k < n && k <= end + ROUND_STRETCH; k++) if (differ(k)) end = k;
    const [from, to] = [Math.max(0, i - ROUND_STRETCH), Math.min(n - 1, end + ROUND_STRETCH)];
    const rough = (side: 'left' | 'right'): number => {
      let sum = 0;
      for (let k = from + 2; k <= to - 2; k++)
        sum += Math.abs(rows[k - 2]![side] - 2 * rows[k]![side] + rows[k + 2]![side]);
      return sum;
    };
    const [roughLeft, roughRight] = [rough('left'), rough('right')];
    const mean = (side: 'left' | 'right'): number => {
      let sum = 0;
      for (let k = i; k <= end; k++) sum += rows[k]![side];
      return sum;
    };
    const clean =
      roughLeft > ROUGHER * roughRight
        ? 'right'
        : roughRight > ROUGHER * roughLeft
          ? 'left'
          : mean('left') < mean('right')
            ? 'left'
            : 'right';
    for (let k = from; k <= to; k++) {
      const value = rows[k]![clean];
      out[k] = { along: rows[k]!.along, left: value, right: value };
    }
    taken += end - i + 1;
    i = end;
  }
  const oneSided = taken / Math.max(1, n);
  return oneSided > MOST_ONE_SIDED ? null : { rows: out, oneSided };
}

/** Share of its half width that a foot sags in the sight of a camera that is level with the middle of the thing. */
function levelSag(rows: readonly EdgeRow[], { by, times }: NonNullable<SilhouetteOptions['far']>): number {
  const wide = Math.max(...rows.map(({ left, right }) => left + right));
  return rows.length / 2 / (times * (by === 'height' ? rows.length : Math.PI * wide));
}

/** Shares of the rows, from an end, on which the run of the side is fitted, and how far in its edge is looked for. */
const SIDE_FROM = 0.14;
const SIDE_TO = 0.5;
const EDGE_WITHIN = 0.26;

/**
 * How far the edge at the first row sags in the middle, and how broad it is there, px.
 *
 * @source seen a little from above or below the edge is half an ellipse of half-axes r and b, and the side begins at its
 *   ends, b further in: half widths r·√(1 − (1 − t/b)²) up to there, then the run of the side, a parabola fitted further in.
 *   The b that fits best, by squares
 */
function sagOf(rows: readonly EdgeRow[]): { sag: number; radius: number } {
  const n = rows.length;
  const half = rows.map(({ left, right }) => (left + right) / 2);
  const side = parabola(half, Math.round(SIDE_FROM * n), Math.round(SIDE_TO * n));
  const within = Math.max(4, Math.round(EDGE_WITHIN * n));
  const missOf = (b: number): number => {
    const r = side(b);
    let sum = 0;
    for (let t = 0; t < within; t++) {
      const seen = t < b ? r * Math.sqrt(Math.max(0, 1 - (1 - (t + 0.75) / b) ** 2)) : side(t);
      sum += Math.min(64, (half[t]! - seen) ** 2);
    }
    return sum;
  };
  let [best, least] = [0, Infinity];
  for (let b = 0; b < within; b += 0.25) {
    const miss = missOf(b);
    if (miss < least) [best, least] = [b, miss];
  }
  return { sag: best, radius: Math.max(1, side(best)) };
}

/** The parabola through values from one place to another, by least squares. */
function parabola(values: readonly number[], from: number, to: number): (t: number) => number {
  const middle = (from + to) / 2;
  const scale = Math.max(1, (to - from) / 2);
  const m = [0, 0, 0, 0, 0];
  const v = [0, 0, 0];
  for (let i = from; i <= to && i < values.length; i++) {
    const x = (i - middle) / scale;
    for (let k = 0; k < 5; k++) m[k]! += x ** k;
    for (let k = 0; k < 3; k++) v[k]! += x ** k * values[i]!;
  }
  // Even powers alone are large: solved for the three by elimination.
  const rows = [0, 1, 2].map((r) => [m[r]!, m[r + 1]!, m[r + 2]!, v[r]!]);
  for (let c = 0; c < 3; c++)
    for (let r = 0; r < 3; r++) {
      if (r === c || !rows[c]![c]) continue;
      const factor = rows[r]![c]! / rows[c]![c]!;
      for (let k = c; k < 4; k++) rows[r]![k]! -= factor * rows[c]![k]!;
    }
  const [a, b, q] = rows.map((row, k) => (row[k] ? row[3]! / row[k]! : 0)) as [number, number, number];
  return (t) => {
    const x = (t - middle) / scale;
    return a + b * x + q * x * x;
  };
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

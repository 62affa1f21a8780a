import type { Grid } from './film-grid.ts';
import type { SeamField } from './measure-seam.ts';

/** Most columns that a way moves aside in one row. */
const MOST_SHIFT = 120;

/** Steepest that a seam leaves the meridian, as a tangent: 60°. */
export const STEEPEST = Math.tan(Math.PI / 3);

/** Weights while film has to be cut: film counts for itself, the rest only decides between equals. */
const NEAR_WEIGHT = 1e-3;

const WANDER_WEIGHT = 1e-4;

/** How much less home counts then: a seam in front must cut clearly less than one at the back. */
const HOME_SHARE = 0.015;

export interface Aim {
  readonly azimuth: number;
  /** How far from there it may go, rad; null for anywhere. */
  readonly reach: number | null;
  readonly pull: number;
}

/**
 * Cheapest column in each row, columns counted on past a full turn; null when every way is closed.
 *
 * @param clear whether the clearance must be kept; otherwise film may be cut at its price
 */
export function cheapestWay(field: SeamField, grid: Grid, aim: Aim, clear: boolean): Int32Array | null {
  const { rows, columns, height, step, film, near } = grid;
  const home = Math.round(aim.azimuth / step);
  const offset = Float64Array.from({ length: columns }, (_, c) => {
    const away = c - home - columns * Math.round((c - home) / columns);
    return aim.reach !== null && Math.abs(away) * step > aim.reach ? Infinity : Math.abs(away) * step;
  });
  const came = new Int8Array(rows * columns);
  let before = new Float64Array(columns + 2 * MOST_SHIFT);
  let now = new Float64Array(columns + 2 * MOST_SHIFT);
  const scale = clear ? 1 : WANDER_WEIGHT;
  const stay = new Float64Array(columns);
  for (let row = 0; row < rows; row++) {
    const radius = Math.max(1, field.radiusAt(row * height));
    const start = row * columns;
    const pull = (clear ? 1 : HOME_SHARE) * radius * aim.pull * height;
    const half = row === 0 || row === rows - 1 ? 0.5 : 1;
    for (let c = 0; c < columns; c++) {
      const close = near[start + c]! > 0;
      stay[c] = half * offset[c]! * pull;
      if (clear && close) stay[c] = Infinity;
      else if (!clear) stay[c]! += half * (film[start + c]! + (close ? NEAR_WEIGHT : 0)) * height;
    }
    if (row === 0) {
      for (let c = 0; c < columns; c++) before[MOST_SHIFT + c] = stay[c]!;
      continue;
    }
    // The row before, run on past both ends, so that steps need not be counted round.
    const most = Math.min(MOST_SHIFT, Math.max(1, Math.floor((STEEPEST * height) / (radius * step))));
    before.copyWithin(MOST_SHIFT - most, MOST_SHIFT + columns - most, MOST_SHIFT + columns);
    before.copyWithin(MOST_SHIFT + columns, MOST_SHIFT, MOST_SHIFT + most);
    // What a step to the side adds: to the way, and to the film on it, which is as much longer.
    const steps = [0, 1, 2, 3, 4].map((films) =>
      Float64Array.from({ length: 2 * most + 1 }, (_, k) => {
        const way = Math.hypot(height, (k - most) * radius * step);
        return way * scale + films * (way - height);
      }),
    );
    stepRow(before, now, came.subarray(start, start + columns), stay, steps, film.subarray(start, start + columns));
    [before, now] = [now, before];
  }
  let end = 0;
  for (let c = 1; c < columns; c++) if (before[MOST_SHIFT + c]! < before[MOST_SHIFT + end]!) end = c;
  if (before[MOST_SHIFT + end] === Infinity) return null;
  const way = new Int32Array(rows);
  // Near home, not a whole turn away from it; a folded grid repeats every panel.
  way[rows - 1] = end + columns * Math.round((home - end) / columns);
  for (let row = rows - 1; row > 0; row--) {
    const c = way[row]! - columns * Math.floor(way[row]! / columns);
    way[row - 1] = way[row]! + came[row * columns + c]!;
  }
  return way;
}

/** One row of the search: the cheapest of the steps that lead to each column, and which it is. */
function stepRow(
  before: Float64Array,
  now: Float64Array,
  came: Int8Array,
  stay: Float64Array,
  steps: readonly Float64Array[],
  film: Uint8Array,
): void {
  const width = steps[0]!.length;
  const most = (width - 1) / 2;
  for (let c = 0; c < stay.length; c++) {
    const here = stay[c]!;
    if (here === Infinity) {
      now[MOST_SHIFT + c] = Infinity;
      continue;
    }
    const add = steps[film[c]!]!;
    const first = MOST_SHIFT + c - most;
    let least = Infinity;
    let from = 0;
    for (let k = 0; k < width; k++) {
      const sum = before[first + k]! + add[k]!;
      if (sum < least) {
        least = sum;
        from = k;
      }
    }
    now[MOST_SHIFT + c] = least + here;
    came[c] = from - most;
  }
}

import type { Ring } from '../polygon/polygon.ts';
import type { SeamPath } from './path.ts';

/** The side of a blank with the film on it, through which a seam has to find its way. */
export interface SeamField {
  /** Length of the side, mm, and distance from the axis at a slant, mm. */
  readonly side: number;
  radiusAt(slant: number): number;
  /** Outlines as [azimuth rad, slant mm] rings; each group is clean film, outer rings and holes turning opposite ways. */
  readonly groups: readonly (readonly Ring[])[];
}

/** What is asked of a seam. */
export interface SeamWish {
  /** mm to keep from every piece. */
  readonly clearance: number;
  /** How many seams are wanted, evenly round. */
  readonly count: number;
  /** Azimuth near which the (first) seam is to lie when nothing else decides, rad. */
  readonly home: number;
  /** Where each seam has to lie, when it is not free to go anywhere: azimuths, and how far from them it may go, rad. */
  readonly near?: { readonly azimuths: readonly number[]; readonly reach: number };
}

/** A seam that was found. */
export interface FoundSeam {
  readonly path: SeamPath;
  /** Whether it keeps the clearance from every piece that can be avoided. */
  readonly free: boolean;
  /** mm of film that it cuts through. */
  readonly cutMm: number;
  /** mm that it is longer than the side. */
  readonly wanderMm: number;
}

/** mm between the rows and between the columns in which a way is looked for, at the finest. */
const ROW_MM = 0.25;
const COLUMN_MM = 0.1;
/** Most places that are looked at; on larger sides rows and columns are further apart. */
const MOST_PLACES = 800_000;
/** Most columns that a way moves aside in one row. */
const MOST_SHIFT = 120;
/** Steepest that a seam leaves the meridian, as a tangent: 60°. */
const STEEPEST = Math.tan(Math.PI / 3);
/** What a mm away from home costs over each mm of the side, in mm of wander. */
const PULL_HOME = 0.001;
/** The same for panels, which are to be even. */
const PULL_EVEN = 0.01;
/** Weights while film has to be cut: film counts for itself, the rest only decides between equals. */
const NEAR_WEIGHT = 1e-3;
const WANDER_WEIGHT = 1e-4;
/** Share of the clearance that is tried before film is cut. */
const TIGHT_SHARE = 0.3;
/** How much less home counts then: a seam in front must cut clearly less than one at the back. */
const HOME_SHARE = 0.015;

/**
 * Seams from rim to base, at most 60° from the meridian, that keep clear of every piece, with the shortest wander; where
 * there is none, those that cut the least film.
 *
 * The side is divided into rows and columns and the cheapest way through them is found row by row (dynamic programming
 * over the whole way round, without a starting point); then it is pulled taut between the pieces. Film and clearance are
 * laid on the rows exactly, as intervals, and widened on the blank's own surface, not on a flat picture of it. Several
 * seams are first looked for together, on all panels laid one on another, so that they come out alike where they can.
 *
 * @param field the side and its film
 * @param wish clearance, how many, and where from
 * @returns one for each seam, in the order round
 */
export function findSeams(field: SeamField, wish: SeamWish): FoundSeam[] {
  const { near } = wish;
  const count = near ? 1 : wish.count;
  // The tighter grid is made only when the wished clearance leaves no way.
  const wide = rasterise(field, wish.clearance, count);
  let tight: Grid | null = null;
  const grids = (fold: number): Grids => ({
    wide: foldGrid(wide, fold),
    tight: () => foldGrid((tight ??= rasterise(field, TIGHT_SHARE * wish.clearance, count)), fold),
  });
  const turn = (2 * Math.PI) / wish.count;
  if (near)
    return near.azimuths.map((azimuth) => findIn(field, grids(1), { azimuth, reach: near.reach, pull: PULL_EVEN }));
  const together = findIn(field, grids(wish.count), { azimuth: wish.home, reach: null, pull: PULL_HOME });
  if (wish.count === 1) return [together];
  const middle = together.path.azimuths.reduce((sum, a) => sum + a, 0) / together.path.azimuths.length;
  return Array.from({ length: wish.count }, (_, i) =>
    findIn(field, grids(1), { azimuth: middle + i * turn, reach: 0.45 * turn, pull: PULL_EVEN }),
  );
}

/** The side with the clearance that was wished for, and with as little as is worth trying. */
interface Grids {
  readonly wide: Grid;
  readonly tight: () => Grid;
}

/** What a given seam cuts; it counts as free when it touches no film. */
export function measureSeam(field: SeamField, path: SeamPath): FoundSeam {
  const { cutMm, wanderMm } = measure(field, path);
  return { path, free: cutMm === 0, cutMm, wanderMm };
}

/** Film and clearance on rows and columns of the side. Column j stands for azimuth j · step, the last before a full turn. */
interface Grid {
  readonly rows: number;
  readonly columns: number;
  readonly height: number;
  readonly step: number;
  readonly film: Uint8Array;
  readonly near: Uint8Array;
}

function rasterise({ side, radiusAt, groups }: SeamField, clearance: number, count: number): Grid {
  const widest = Math.max(1, ...[0, 0.2, 0.4, 0.6, 0.8, 1].map((share) => radiusAt(share * side)));
  const round = 2 * Math.PI * widest;
  const coarser = Math.max(1, Math.sqrt((side * round) / (ROW_MM * COLUMN_MM * MOST_PLACES)));
  const rows = Math.max(2, Math.ceil(side / (ROW_MM * coarser)) + 1);
  const height = side / (rows - 1);
  const radii = Float64Array.from({ length: rows }, (_, i) => Math.max(1, radiusAt(i * height)));
  const columns = count * Math.max(8, Math.ceil(round / (COLUMN_MM * coarser) / count));
  const step = (2 * Math.PI) / columns;
  // Beginnings and ends of intervals; summed up along each row at the end.
  const film = new Int16Array(rows * (columns + 1));
  const near = new Int16Array(rows * (columns + 1));
  const add = (into: Int16Array, row: number, from: number, to: number): void => {
    const first = Math.ceil(from / step - 1e-9);
    const last = Math.floor(to / step + 1e-9);
    if (last < first) return;
    const start = row * (columns + 1);
    if (last - first + 1 >= columns) {
      into[start]! += 1;
      into[start + columns]! -= 1;
      return;
    }
    const a = first - columns * Math.floor(first / columns);
    const b = a + last - first + 1;
    into[start + a]! += 1;
    if (b <= columns) into[start + b]! -= 1;
    else {
      into[start + columns]! -= 1;
      into[start]! += 1;
      into[start + b - columns]! -= 1;
    }
  };
  /** Closes the rows within the clearance of a stretch at a height, which may lie between two rows. */
  const widen = (slant: number, from: number, to: number): void => {
    const last = Math.min(rows - 1, Math.floor((slant + clearance) / height));
    for (let row = Math.max(0, Math.ceil((slant - clearance) / height)); row <= last; row++) {
      const away = row * height - slant;
      const more = Math.sqrt(Math.max(0, clearance * clearance - away * away)) / radii[row]!;
      add(near, row, from - more, to + more);
    }
  };
  for (const group of groups) {
    forEachInterval(group, rows, height, (row, from, to) => {
      if (row >= 0 && row < rows) add(film, row, from, to);
      widen(row * height, from, to);
    });
    // A point between two rows would be missed by both.
    for (const ring of group) for (let i = 0; i < ring.length; i += 2) widen(ring[i + 1]!, ring[i]!, ring[i]!);
  }
  return {
    rows,
    columns,
    height,
    step,
    film: summed(film, rows, columns),
    near: summed(near, rows, columns),
  };
}

function summed(steps: Int16Array, rows: number, columns: number): Uint8Array {
  const out = new Uint8Array(rows * columns);
  for (let row = 0; row < rows; row++) {
    let depth = 0;
    for (let c = 0; c < columns; c++) {
      depth += steps[row * (columns + 1) + c]!;
      out[row * columns + c] = depth > 0 ? 1 : 0;
    }
  }
  return out;
}

/** Where a group is film along each row that it crosses, from a little above the band to a little below it. */
function forEachInterval(
  rings: readonly Ring[],
  rows: number,
  height: number,
  visit: (row: number, from: number, to: number) => void,
): void {
  const crossings = new Map<number, number[]>();
  for (const ring of rings)
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
      if (ay === by) continue;
      const down = by > ay ? 1 : -1;
      // A row counts an edge from its upper end to just before its lower one, so that a corner is met once.
      const first = Math.max(-rows, Math.ceil(Math.min(ay, by) / height));
      const last = Math.min(2 * rows, Math.ceil(Math.max(ay, by) / height) - 1);
      for (let row = first; row <= last; row++) {
        const x = ax + ((bx - ax) * (row * height - ay)) / (by - ay);
        const list = crossings.get(row);
        if (list) list.push(x, down);
        else crossings.set(row, [x, down]);
      }
    }
  for (const [row, list] of crossings) {
    const order = Array.from({ length: list.length / 2 }, (_, i) => i).sort((a, b) => list[2 * a]! - list[2 * b]!);
    let depth = 0;
    let from = 0;
    for (const k of order) {
      if (depth === 0) from = list[2 * k]!;
      depth += list[2 * k + 1]!;
      if (depth === 0) visit(row, from, list[2 * k]!);
    }
  }
}

/** All panels laid one on another: what is film on any of them is film, and counts as often. */
function foldGrid(grid: Grid, count: number): Grid {
  if (count === 1) return grid;
  const columns = grid.columns / count;
  const film = new Uint8Array(grid.rows * columns);
  const near = new Uint8Array(grid.rows * columns);
  for (let row = 0; row < grid.rows; row++)
    for (let c = 0; c < grid.columns; c++) {
      const to = row * columns + (c % columns);
      film[to]! += grid.film[row * grid.columns + c]!;
      near[to]! += grid.near[row * grid.columns + c]!;
    }
  return { ...grid, columns, film, near };
}

interface Aim {
  readonly azimuth: number;
  /** How far from there it may go, rad; null for anywhere. */
  readonly reach: number | null;
  readonly pull: number;
}

function findIn(field: SeamField, { wide, tight }: Grids, aim: Aim): FoundSeam {
  const free = cheapestWay(field, wide, aim, true);
  if (free) {
    const path = pullTaut(field, wide, free, true);
    return { path, free: true, ...measure(field, path) };
  }
  // Before film is cut, a way that passes closer than was wished.
  const close = cheapestWay(field, tight(), aim, true);
  const path = close
    ? pullTaut(field, tight(), close, true)
    : pullTaut(field, wide, cheapestWay(field, wide, aim, false)!, false);
  return { path, free: false, ...measure(field, path) };
}

/**
 * Cheapest column in each row, columns counted on past a full turn; null when every way is closed.
 *
 * @param clear whether the clearance must be kept; otherwise film may be cut at its price
 */
function cheapestWay(field: SeamField, grid: Grid, aim: Aim, clear: boolean): Int32Array | null {
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

/** Pulls a way taut: straight as far as it stays clear, or cuts no more film than it did. */
function pullTaut(field: SeamField, grid: Grid, way: Int32Array, clear: boolean): SeamPath {
  const { rows, step, height } = grid;
  const budget = new Float64Array(rows);
  const unit = (row: number, from: number, to: number): number =>
    Math.hypot(height, (to - from) * step * Math.max(1, field.radiusAt(row * height)));
  for (let row = 1; row < rows; row++)
    budget[row] =
      budget[row - 1]! +
      (unit(row, way[row - 1]!, way[row]!) * (filmAt(grid, row - 1, way[row - 1]!) + filmAt(grid, row, way[row]!))) / 2;
  const straight = (from: number, to: number): boolean => {
    const slope = (way[to]! - way[from]!) / (to - from);
    let spent = 0;
    for (let row = from; row <= to; row++) {
      const column = way[from]! + slope * (row - from);
      if (clear) {
        if (nearAt(grid, row, Math.floor(column)) || nearAt(grid, row, Math.ceil(column))) return false;
      } else if (row > from) {
        const last = column - slope;
        spent += (unit(row, last, column) * (filmAt(grid, row - 1, last) + filmAt(grid, row, column))) / 2;
        if (spent > budget[row]! - budget[from]! + 1e-9) return false;
      }
      if (Math.abs(slope) * step * Math.max(1, field.radiusAt(row * height)) > STEEPEST * height * 1.001) return false;
    }
    return true;
  };
  const kept = [0];
  let at = 0;
  while (at < rows - 1) {
    let reach = at + 1;
    for (let next = rows - 1; next > reach; next -= Math.max(1, Math.floor((next - reach) / 12)))
      if (straight(at, next)) {
        reach = next;
        break;
      }
    kept.push(reach);
    at = reach;
  }
  return { slants: kept.map((row) => row * height), azimuths: kept.map((row) => way[row]! * step) };
}

const cellOf = (grid: Grid, row: number, column: number): number => {
  const c = Math.round(column);
  return row * grid.columns + c - grid.columns * Math.floor(c / grid.columns);
};
const filmAt = (grid: Grid, row: number, column: number): number => grid.film[cellOf(grid, row, column)]!;
const nearAt = (grid: Grid, row: number, column: number): number => grid.near[cellOf(grid, row, column)]!;

/** How much longer than the side a path is, and the film that it runs through, exactly: from crossing to crossing. */
function measure(field: SeamField, path: SeamPath): { cutMm: number; wanderMm: number } {
  let cutMm = 0;
  let length = 0;
  const turn = 2 * Math.PI;
  for (let i = 1; i < path.slants.length; i++) {
    const [v0, v1] = [path.slants[i - 1]!, path.slants[i]!];
    const [a0, a1] = [path.azimuths[i - 1]!, path.azimuths[i]!];
    const slope = (a1 - a0) / (v1 - v0);
    const way = Math.hypot(v1 - v0, (a1 - a0) * Math.max(1, field.radiusAt((v0 + v1) / 2)));
    length += way;
    // Stretches of film along the segment, as heights.
    const stretches: [number, number][] = [];
    for (const group of field.groups) {
      const crossings: [number, number][] = [];
      for (const ring of group) crossSegment(ring, { v0, v1, a0, slope, turn }, crossings);
      crossings.sort((p, q) => p[0] - q[0]);
      let depth = 0;
      for (const [k, [v, by]] of crossings.entries()) {
        depth += by;
        if (depth !== 0 && k + 1 < crossings.length)
          stretches.push([Math.max(v0, v), Math.min(v1, crossings[k + 1]![0])]);
      }
    }
    stretches.sort((p, q) => p[0] - q[0]);
    let done = v0;
    for (const [from, to] of stretches) {
      if (to <= Math.max(done, from)) continue;
      cutMm += ((to - Math.max(done, from)) / (v1 - v0)) * way;
      done = to;
    }
  }
  return { cutMm, wanderMm: length - field.side };
}

/** Heights at which the line of a segment, run on both ways, crosses a ring, with the sense of the crossing. */
function crossSegment(
  ring: Ring,
  { v0, v1, a0, slope, turn }: { v0: number; v1: number; a0: number; slope: number; turn: number },
  out: [number, number][],
): void {
  let [least, most, top, foot] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 1; i < ring.length; i += 2) {
    if (ring[i]! < top) top = ring[i]!;
    if (ring[i]! > foot) foot = ring[i]!;
  }
  if (top > v1 || foot < v0) return;
  for (let i = 0; i < ring.length; i += 2) {
    const off = ring[i]! - a0 - slope * (ring[i + 1]! - v0);
    if (off < least) least = off;
    if (off > most) most = off;
  }
  for (let k = Math.ceil(least / turn); k <= Math.floor(most / turn); k++)
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const j = (i + 2) % n;
      const p = ring[i]! - a0 - slope * (ring[i + 1]! - v0) - k * turn;
      const q = ring[j]! - a0 - slope * (ring[j + 1]! - v0) - k * turn;
      if (p > 0 === q > 0) continue;
      const v = ring[i + 1]! + ((ring[j + 1]! - ring[i + 1]!) * p) / (p - q);
      out.push([Math.max(v0 - 1, Math.min(v1 + 1, v)), q > 0 ? 1 : -1]);
    }
}

import { EPSILON } from '../numeric/tolerances.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { SeamField } from './measure-seam.ts';

/** mm between the rows and between the columns in which a way is looked for, at the finest. */
const ROW_MM = 0.25;

const COLUMN_MM = 0.1;

/** Most places that are looked at; on larger sides rows and columns are further apart. */
const MOST_PLACES = 800_000;

/** Film and clearance on rows and columns of the side. Column j stands for azimuth j · step, the last before a full turn. */
export interface Grid {
  readonly rows: number;
  readonly columns: number;
  readonly height: number;
  readonly step: number;
  readonly film: Uint8Array;
  readonly near: Uint8Array;
}

export function rasterise({ side, radiusAt, groups }: SeamField, clearance: number, count: number): Grid {
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
    const first = Math.ceil(from / step - EPSILON);
    const last = Math.floor(to / step + EPSILON);
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
export function foldGrid(grid: Grid, count: number): Grid {
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

const cellOf = (grid: Grid, row: number, column: number): number => {
  const c = Math.round(column);
  return row * grid.columns + c - grid.columns * Math.floor(c / grid.columns);
};

export const filmAt = (grid: Grid, row: number, column: number): number => grid.film[cellOf(grid, row, column)]!;

export const nearAt = (grid: Grid, row: number, column: number): number => grid.near[cellOf(grid, row, column)]!;

import { EPSILON } from '../numeric/tolerances.ts';
import { STEEPEST } from './cheapest-way.ts';
import type { Grid } from './film-grid.ts';
import { filmAt, nearAt } from './film-grid.ts';
import type { SeamField } from './measure-seam.ts';
import type { SeamPath } from './path.ts';

/** Pulls a way taut: straight as far as it stays clear, or cuts no more film than it did. */
export function pullTaut(field: SeamField, grid: Grid, way: Int32Array, clear: boolean): SeamPath {
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
        if (spent > budget[row]! - budget[from]! + EPSILON) return false;
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

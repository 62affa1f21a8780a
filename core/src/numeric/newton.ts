/** What every solver returns: the value and whether to believe it. */
export interface Solved<T> {
  readonly value: T;
  readonly iterations: number;
  /** Largest absolute residual left, in the unit of the equations. */
  readonly residual: number;
  readonly converged: boolean;
}

/**
 * Solves n equations in n unknowns by Newton's method with a central-difference Jacobian.
 *
 * @param equations residuals of a trial point; all in one unit, so that they can be compared
 * @param start first guess
 * @param tolerance largest residual accepted, in the unit of the equations
 * @param step difference step for the Jacobian, in the unit of the unknowns
 * @returns the point reached, its residual and whether the tolerance was met; never throws on a singular Jacobian
 */
export function solveNewton(
  equations: (point: readonly number[]) => number[],
  start: readonly number[],
  tolerance: number,
  step = 1e-4,
  maxIterations = 30,
): Solved<number[]> {
  let point = [...start];
  let residuals = equations(point);
  let iterations = 0;
  while (largest(residuals) > tolerance && iterations < maxIterations) {
    const jacobian = point.map((_, column) => {
      const ahead = equations(point.map((p, i) => (i === column ? p + step : p)));
      const behind = equations(point.map((p, i) => (i === column ? p - step : p)));
      return ahead.map((a, row) => (a - behind[row]!) / (2 * step));
    });
    const move = solveLinear(
      residuals.map((_, row) => jacobian.map((column) => column[row]!)),
      residuals,
    );
    if (!move) break;
    point = point.map((p, i) => p - move[i]!);
    residuals = equations(point);
    iterations += 1;
  }
  const residual = largest(residuals);
  return { value: point, iterations, residual, converged: residual <= tolerance };
}

function largest(values: readonly number[]): number {
  return values.reduce((worst, v) => Math.max(worst, Number.isFinite(v) ? Math.abs(v) : Infinity), 0);
}

/** Gaussian elimination with partial pivoting; null when the matrix is singular. */
function solveLinear(matrix: number[][], right: readonly number[]): number[] | null {
  const n = right.length;
  const rows = matrix.map((row, i) => [...row, right[i]!]);
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let r = column + 1; r < n; r++) if (Math.abs(rows[r]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = r;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const lead = rows[column]![column]!;
    if (Math.abs(lead) < 1e-14) return null;
    for (let r = 0; r < n; r++) {
      if (r === column) continue;
      const factor = rows[r]![column]! / lead;
      for (let c = column; c <= n; c++) rows[r]![c] = rows[r]![c]! - factor * rows[column]![c]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}

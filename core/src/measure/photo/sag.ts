import type { SilhouetteOptions } from './options.ts';
import type { EdgeRow } from './rows.ts';

/** Share of its half width that a foot sags in the sight of a camera that is level with the middle of the thing. */
export function levelSag(rows: readonly EdgeRow[], { by, times }: NonNullable<SilhouetteOptions['far']>): number {
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
export function sagOf(rows: readonly EdgeRow[]): { sag: number; radius: number } {
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

/** A smooth curve through given points that never overshoots them. */
export interface Curve {
  /** Value at x; beyond the ends the end slopes run on. */
  value(x: number): number;
  /** First derivative at x. */
  slope(x: number): number;
}

/**
 * Monotone piecewise cubic through points: where the points rise the curve rises, and a straight row of points gives a
 * straight line. Once continuously differentiable.
 *
 * @param xs strictly increasing, at least two
 * @param ys as many values
 * @throws RangeError when there are fewer than two points, or they do not increase
 * @source F. N. Fritsch, J. Butland, "A method for constructing local monotone piecewise cubic interpolants" (1984): the
 *   weighted harmonic mean of the neighbouring slopes, and a three-point end that is held back to keep the shape
 */
export function pchip(xs: readonly number[], ys: readonly number[]): Curve {
  const n = xs.length;
  if (n < 2 || ys.length !== n) throw new RangeError(`a curve needs two points or more, got ${n} and ${ys.length}`);
  const steps = xs.slice(1).map((x, i) => x - xs[i]!);
  if (!steps.every((h) => h > 0)) throw new RangeError('the points of a curve must come in order, no two at one place');
  const chords = steps.map((h, i) => (ys[i + 1]! - ys[i]!) / h);
  const slopes = xs.map((_, i): number => {
    if (n === 2) return chords[0]!;
    if (i === 0) return endSlope(steps[0]!, steps[1]!, chords[0]!, chords[1]!);
    if (i === n - 1) return endSlope(steps[n - 2]!, steps[n - 3]!, chords[n - 2]!, chords[n - 3]!);
    const [before, after] = [chords[i - 1]!, chords[i]!];
    if (before * after <= 0) return 0;
    const w1 = 2 * steps[i]! + steps[i - 1]!;
    const w2 = steps[i]! + 2 * steps[i - 1]!;
    return (w1 + w2) / (w1 / before + w2 / after);
  });

  function pieceOf(x: number): number {
    let low = 0;
    let high = n - 2;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (xs[middle]! <= x) low = middle;
      else high = middle - 1;
    }
    return low;
  }
  const at = (x: number): { value: number; slope: number } => {
    if (x < xs[0]!) return { value: ys[0]! + slopes[0]! * (x - xs[0]!), slope: slopes[0]! };
    if (x > xs[n - 1]!) return { value: ys[n - 1]! + slopes[n - 1]! * (x - xs[n - 1]!), slope: slopes[n - 1]! };
    const i = pieceOf(x);
    const h = steps[i]!;
    const d = x - xs[i]!;
    const square = (3 * chords[i]! - 2 * slopes[i]! - slopes[i + 1]!) / h;
    const cube = (slopes[i]! - 2 * chords[i]! + slopes[i + 1]!) / (h * h);
    return {
      value: ys[i]! + d * (slopes[i]! + d * (square + d * cube)),
      slope: slopes[i]! + d * (2 * square + 3 * d * cube),
    };
  };
  return { value: (x) => at(x).value, slope: (x) => at(x).slope };
}

function endSlope(h0: number, h1: number, chord0: number, chord1: number): number {
  const slope = ((2 * h0 + h1) * chord0 - h0 * chord1) / (h0 + h1);
  if (slope * chord0 <= 0) return 0;
  return chord0 * chord1 <= 0 && Math.abs(slope) > 3 * Math.abs(chord0) ? 3 * chord0 : slope;
}

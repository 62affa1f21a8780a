import { describe, expect, it } from 'vitest';
import { minimise } from './minimise.ts';

describe('the way down', () => {
  it('finds the foot of a bent valley, and never rises on the way', () => {
    // H. H. Rosenbrock's: (1 − x)² + 100(y − x²)², with its foot at (1, 1).
    const at = Float64Array.from([-1.2, 1]);
    const values: number[] = [];
    const found = minimise(
      ([x, y], out) => {
        out[0] = -2 * (1 - x!) - 400 * x! * (y! - x! * x!);
        out[1] = 200 * (y! - x! * x!);
        return (1 - x!) ** 2 + 100 * (y! - x! * x!) ** 2;
      },
      at,
      1e-9,
      500,
      (value) => values.push(value) > 0,
    );
    expect(found.converged).toBe(true);
    expect(at[0]).toBeCloseTo(1, 8);
    expect(at[1]).toBeCloseTo(1, 8);
    expect(values.every((value, i) => i === 0 || value <= values[i - 1]!)).toBe(true);
  });

  it('solves what is round in one go, and stops when it is told to', () => {
    const bowl = (p: Float64Array, out: Float64Array): number => {
      p.forEach((v, i) => (out[i] = v - i));
      return p.reduce((sum, v, i) => sum + (v - i) ** 2 / 2, 0);
    };
    const at = new Float64Array(40);
    expect(minimise(bowl, at, 1e-10).converged).toBe(true);
    at.forEach((v, i) => expect(v).toBeCloseTo(i, 9));
    let rounds = 0;
    expect(minimise(bowl, new Float64Array(40).fill(9), 1e-12, 400, () => ++rounds < 1).rounds).toBe(1);
  });
});

import { describe, expect, it } from 'vitest';
import { solveNewton } from './newton.ts';
import { sinc } from './sinc.ts';

describe('solveNewton', () => {
  it('finds where a circle and a line meet', () => {
    const solved = solveNewton(([x, y]) => [x! * x! + y! * y! - 25, x! - y! - 1], [5, 1], 1e-10);
    expect(solved.converged).toBe(true);
    expect(solved.value[0]).toBeCloseTo(4, 9);
    expect(solved.value[1]).toBeCloseTo(3, 9);
    expect(solved.iterations).toBeLessThan(10);
  });

  it('says so when there is no solution instead of pretending', () => {
    const solved = solveNewton(([x]) => [x! * x! + 1], [1], 1e-10);
    expect(solved.converged).toBe(false);
    expect(solved.residual).toBeGreaterThanOrEqual(1 - 1e-6);
  });

  it('stops at a singular point without throwing', () => {
    expect(solveNewton(([x, y]) => [x! + y! - 1, 2 * x! + 2 * y! - 3], [0, 0], 1e-10).converged).toBe(false);
  });
});

describe('sinc', () => {
  it('is one at nought and runs smoothly through the change of formula', () => {
    expect(sinc(0)).toBe(1);
    expect(sinc(Math.PI)).toBeCloseTo(0, 15);
    for (const z of [0.9999e-4, 1.0001e-4]) expect(Math.abs(sinc(z) - (1 - (z * z) / 6))).toBeLessThan(1e-16);
    expect(sinc(-0.3)).toBe(sinc(0.3));
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bare, makeBlank, makeProfile } from '../../test/jobs.ts';
import type { Blank } from './blank.ts';
import { sizeBlank } from './size.ts';
import { reportErrors } from './error-report.ts';

function report(blank: Blank) {
  const result = sizeBlank(blank);
  if (!result.ok) throw new Error(result.problem.code);
  return reportErrors(blank, result.size);
}

describe('reportErrors', () => {
  it('on a straight side is just the girth’s own error', () => {
    const errors = report(makeBlank({ girthRim: 260, side: 90 }));
    expect(errors.gapRim).toBeCloseTo(0.7, 12);
    expect(errors.gapBase).toBeCloseTo(0.7, 12);
    expect(errors.driftFront).toBeCloseTo(0.7, 12);
    expect(errors.weakest).toBe('girthRim');
  });

  it('adds the side’s part at the rim of a taper', () => {
    // k = 62/(2π·168): a side off by e moves the rim by 2πk·e = 0.369 e round.
    const errors = report(makeBlank({ girthRim: 276, girthBase: 214, side: 168 }));
    expect(errors.gapRim).toBeCloseTo(Math.hypot(0.7, (62 / 168) * 0.7), 12);
    expect(errors.gapBase).toBeCloseTo(0.7, 12);
    expect(errors.driftFront).toBeCloseTo(0.7, 12);
  });

  it('agrees with the gap of a template wrapped on a slightly different cone', () => {
    const errorOf = fc.double({ min: -0.5, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(errorOf, errorOf, errorOf, (e1, e2, es) => {
        const [c1, c2, s] = [276, 214, 168];
        // Base edges together, the template's rim comes to lie s above the base on a true side of s + es.
        const trueGirth = (slantFromBase: number): number => c2 + e2 + ((c1 + e1 - c2 - e2) * slantFromBase) / (s + es);
        const gapRim = trueGirth(s) - c1;
        const linear = e1 - ((c1 - c2) / s) * es;
        expect(Math.abs(gapRim - linear)).toBeLessThan(0.01);
      }),
    );
  });

  it('carries an upright height through to the side', () => {
    // 3-4-5: ∂s/∂h = 0.8, ∂s/∂C₁ = −∂s/∂C₂ = k/2π with k = 0.6.
    const girths = { girthRim: 300 + 30 * Math.PI, girthBase: 300 };
    const errors = report(makeBlank({ ...girths, upright: 20 }));
    const perGirth = 0.6 / (2 * Math.PI);
    expect(errors.driftFront).toBeCloseTo(0.7 * Math.hypot(0.8, perGirth, perGirth), 12);
    expect(errors.weakest).not.toBe('side');
  });

  it('names the reading that was taken worst', () => {
    const rim = { ...bare(276), takes: [274, 278].map((mm) => ({ typed: '', mm })) };
    const blank = makeBlank(
      {},
      { kind: 'tapered', readings: { girthRim: bare(276, 'caliper'), girthBase: bare(214), side: bare(168) } },
    );
    expect(report(blank).weakest).toBe('girthBase');
    expect(report({ ...blank, readings: { ...blank.readings, girthRim: rim } }).weakest).toBe('girthRim');
  });

  it('of a curved side takes the ends for the seam, and names the height that was read worst', () => {
    const bowl = makeProfile([[0, 300], [35, 322], [70, 296]]); // prettier-ignore
    // One go with a tape each: 0.7 mm at both ends, and no height worse than another.
    expect(report(bowl)).toMatchObject({ gapRim: 0.7, gapBase: 0.7, weakestStation: null });
    const stations = bowl.stations.map((s, i) =>
      i === 1 ? { ...s, girth: { ...s.girth, how: 'photo' as const } } : s,
    );
    expect(report({ ...bowl, stations })).toMatchObject({ gapRim: 0.7, weakestStation: 2 });
    // The side lies between two heights, each good to a ruler's half millimetre.
    expect(report(bowl).driftFront).toBeCloseTo(Math.hypot(0.5, 0.5), 9);
  });
});

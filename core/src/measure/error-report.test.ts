import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bare, makeBlank, makeProfile } from '../../test/jobs.ts';
import { type Cup, layOn, type SeamSeen } from '../../test/lab/solid.ts';
import type { Blank } from '../model/blank.ts';
import { reportErrors, sizeBlank } from './measured.ts';

function report(blank: Blank) {
  const result = sizeBlank(blank);
  if (!result.ok) throw new Error(result.problem.code);
  return reportErrors(blank, result.size);
}

describe('reportErrors', () => {
  it('on a straight side is just the girth’s own error', () => {
    const errors = report(makeBlank({ girthRim: 260, side: 90 }));
    expect(errors.gapRim).toBeCloseTo(0.7, 6);
    expect(errors.gapBase).toBeCloseTo(0.7, 6);
    expect(errors.driftFront).toBeCloseTo(0.7, 6);
    expect(errors.driftBack).toBeCloseTo(0, 6);
    expect(errors.weakest).toBe('girthRim');
  });

  it('on a taper tells what laying the template on a slightly other cup shows, however strong the taper', () => {
    const girth = fc.double({ min: 120, max: 500, noNaN: true });
    const lean = fc.double({ min: -45, max: 45, noNaN: true });
    fc.assert(
      fc.property(girth, fc.double({ min: 40, max: 200, noNaN: true }), lean, fc.constantFrom(0, 14), (narrow, side, degrees, handle) => {
        const spread = 2 * Math.PI * side * Math.sin((degrees * Math.PI) / 180);
        const cup: Cup = spread > 0 ? { rim: narrow + spread, base: narrow, side } : { rim: narrow, base: narrow - spread, side };
        const errors = report(makeBlank({ girthRim: cup.rim, girthBase: cup.base, side }, { kind: 'tapered', handleWidthMm: handle }));
        // Each reading is good to 0.7 mm: what one sees per hundredth of a millimetre, times seventy, as squares.
        const seen = (['rim', 'base', 'side'] as const).map((key) => {
          const [more, less] = [1, -1].map((sign) => layOn({ ...cup, [key]: cup[key] + sign * 0.005 }, cup, handle));
          const per = (of: (s: SeamSeen) => number): number => 70 * (of(more!) - of(less!));
          return { rim: per((s) => s.gapRim), base: per((s) => s.gapBase), front: per((s) => s.front), back: per((s) => s.back - s.front) };
        });
        for (const [said, key] of [['gapRim', 'rim'], ['gapBase', 'base'], ['driftFront', 'front'], ['driftBack', 'back']] as const)
          expect(errors[said]).toBeCloseTo(Math.hypot(...seen.map((one) => one[key])), 3);
      }),
    ); // prettier-ignore
  });

  it('counts what drift does to the gap: it can make it less at the rim and more at the base', () => {
    // Laid by an independent geometry: per mm of girth above −0.518 and 0.482, of girth below −0.369 and −1.369, of side
    // −0.867 and 0.806; by 0.7, 0.7 and a ruler’s 0.5 mm.
    const readings = { girthRim: bare(285), girthBase: bare(372), side: bare(52, 'ruler') };
    const errors = report(makeBlank({}, { kind: 'tapered', readings }));
    expect(errors.gapRim).toBeCloseTo(Math.hypot(0.7 * 0.518, 0.7 * 0.369, 0.5 * 0.867), 2);
    expect(errors.gapBase).toBeCloseTo(Math.hypot(0.7 * 0.482, 0.7 * 1.369, 0.5 * 0.806), 2);
  });

  it('carries an upright height through to the side', () => {
    // 3-4-5: ∂s/∂h = 0.8, ∂s/∂C₁ = −∂s/∂C₂ = k/2π with k = 0.6.
    const girths = { girthRim: 300 + 30 * Math.PI, girthBase: 300 };
    const errors = report(makeBlank({ ...girths, upright: 20 }));
    const perGirth = 0.6 / (2 * Math.PI);
    expect(errors.driftFront).toBeCloseTo(0.7 * Math.hypot(0.8, perGirth, perGirth), 6);
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

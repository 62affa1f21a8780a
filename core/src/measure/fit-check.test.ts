import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bare, makeBlank, mug, tumbler } from '../../test/jobs.ts';
import { type BandSizes, type FitCheck, type FitSeen } from '../model/fit-check.ts';
import { FIT_PAPER_MM, solveFit } from './fit-check.ts';
import { reportErrors, sizeBlank } from './measured.ts';

/**
 * What a paper sector shows on a cone of other sizes, by polar arithmetic about the two apexes: no development, no
 * inverse. Girths at the paper's mid-plane.
 */
function seenOn(truth: BandSizes, paperFor: BandSizes): FitSeen {
  const t = Math.PI * FIT_PAPER_MM;
  const [c1, c2, s] = [paperFor.girthRim + t, paperFor.girthBase + t, paperFor.side];
  const [d1, d2, u] = [truth.girthRim + t, truth.girthBase + t, truth.side];
  const k = (c1 - c2) / (2 * Math.PI * s);
  const m = (d1 - d2) / (2 * Math.PI * u);
  // Distances from the apex, signed: the base edge lies c2/2πk from the paper's apex and d2/2πm from the true one.
  const gap = (girth: number): number => {
    const from = girth / (2 * Math.PI * k);
    const base = c2 / (2 * Math.PI * k);
    const x = from * Math.sin(k * Math.PI);
    const aboveBase = from * Math.cos(k * Math.PI) - base;
    const apexAway = d2 / (2 * Math.PI * m) + aboveBase;
    const away = Math.sign(m) * Math.hypot(x, apexAway);
    const turn = Math.atan2(Math.sign(m) * x, Math.sign(m) * apexAway);
    // Turned by `turn` on the flat is turned by turn/m on the blank; there the radius is m times the distance.
    return 2 * (Math.PI - turn / m) * m * away;
  };
  return { gapRimMm: gap(c1), gapBaseMm: gap(c2), standMm: s - u };
}

const cup = fc
  .record({
    rim: fc.double({ min: 180, max: 340, noNaN: true }),
    step: fc.double({ min: 4, max: 80, noNaN: true }),
    up: fc.boolean(),
    side: fc.double({ min: 60, max: 220, noNaN: true }),
  })
  .map(({ rim, step, up, side }): BandSizes => ({ girthRim: rim, girthBase: up ? rim - step : rim + step, side }));
const off = fc.double({ min: -3, max: 3, noNaN: true });

describe('paper fit check', () => {
  it('finds a cup again that was read wrong by up to three millimetres each way', () => {
    fc.assert(
      fc.property(cup, off, off, off, (truth, e1, e2, es) => {
        const read = { girthRim: truth.girthRim + e1, girthBase: truth.girthBase + e2, side: truth.side + es };
        fc.pre(Math.abs(read.girthRim - read.girthBase) > 0.5);
        const result = solveFit(read, seenOn(truth, read), false);
        expect(result.ok).toBe(true);
        if (!result.ok) return;
        for (const key of ['girthRim', 'girthBase', 'side'] as const)
          expect(Math.abs(result.after[key] - truth[key]), key).toBeLessThan(1e-4);
      }),
      { numRuns: 300 },
    );
  });

  it('leaves a cup that fits as it is', () => {
    const sizes = { girthRim: 276, girthBase: 214, side: 168 };
    const result = solveFit(sizes, { gapRimMm: 0, gapBaseMm: 0, standMm: 0 }, false);
    expect(result).toMatchObject({ ok: true, after: sizes });
  });

  it('does not blame the girths for a side that was read wrong on a taper', () => {
    // A side 3 mm too long opens the rim by about 2πk·3 = 62/168·3 = 1.1 mm although the girths are right.
    const truth = { girthRim: 276, girthBase: 214, side: 168 };
    const seen = seenOn(truth, { ...truth, side: 171 });
    expect(Math.abs(seen.gapRimMm)).toBeGreaterThan(0.9);
    const result = solveFit({ ...truth, side: 171 }, seen, false);
    expect(result).toMatchObject({
      ok: true,
      after: { girthRim: expect.closeTo(276, 4), side: expect.closeTo(168, 9) },
    });
  });

  it('adds the mean of both gaps on a straight blank and says when they differ', () => {
    const sizes = { girthRim: 258, girthBase: 258, side: 92 };
    const result = solveFit(sizes, { gapRimMm: 2, gapBaseMm: 1, standMm: -0.5 }, true);
    expect(result).toMatchObject({
      ok: true,
      after: { girthRim: expect.closeTo(259.5, 6), girthBase: expect.closeTo(259.5, 6), side: 92.5 },
      unevenMm: 1,
    });
    // Half of each gap counts: 0.5·√2/2 = 0.35 mm.
    if (result.ok) expect(result.sigma.girthRim).toBeCloseTo(0.5 / Math.SQRT2, 3);
  });

  it('counts the strip under a handle as no gap', () => {
    const sizes = { girthRim: 258, girthBase: 258, side: 92 };
    const result = solveFit(sizes, { gapRimMm: 1.5, gapBaseMm: 1.5, standMm: 0 }, true, 24);
    expect(result).toMatchObject({ ok: true, after: { girthRim: expect.closeTo(259.5, 6) } });
  });

  it('reports how sure it is', () => {
    const result = solveFit(
      { girthRim: 276, girthBase: 214, side: 168 },
      { gapRimMm: 1, gapBaseMm: -1, standMm: 0 },
      false,
    );
    if (!result.ok) throw new Error(result.code);
    expect(result.sigma.side).toBeCloseTo(0.5, 3);
    expect(result.sigma.girthBase).toBeCloseTo(0.5, 1);
    // The rim also carries what the stand leaves open: √(0.5² + (0.37·0.5)²).
    expect(result.sigma.girthRim).toBeCloseTo(Math.hypot(0.5, 0.37 * 0.5), 1);
  });

  it('refuses what no correction can explain', () => {
    const sizes = { girthRim: 276, girthBase: 214, side: 168 };
    expect(solveFit(sizes, { gapRimMm: 41, gapBaseMm: 0, standMm: 0 }, false)).toEqual({ ok: false, code: 'too-much' });
    expect(solveFit(sizes, { gapRimMm: NaN, gapBaseMm: 0, standMm: 0 }, false)).toEqual({
      ok: false,
      code: 'too-much',
    });
    expect(solveFit({ ...sizes, side: 20 }, { gapRimMm: 0, gapBaseMm: 0, standMm: 30 }, false).ok).toBe(false);
    expect(
      solveFit({ girthRim: 276, girthBase: 214, side: 42 }, { gapRimMm: 0, gapBaseMm: 0, standMm: 35 }, false),
    ).toEqual({
      ok: false,
      code: 'no-cone',
    });
  });
});

describe('a blank with a fit check', () => {
  const check: FitCheck = {
    on: '2026-05-04T10:00:00.000Z',
    seen: { gapRimMm: 1.2, gapBaseMm: 0, standMm: 0.5 },
    before: { girthRim: 276, girthBase: 214, side: 168 },
    after: { girthRim: 277.4, girthBase: 214, side: 167.5 },
    sigma: { girthRim: 0.5, girthBase: 0.5, side: 0.5 },
  };
  const size = (blank: Parameters<typeof sizeBlank>[0]) => {
    const sized = sizeBlank(blank);
    if (!sized.ok) throw new Error(sized.problem.code);
    return sized.size;
  };

  it('has the corrected sizes, with the correction as a line of the sum', () => {
    const fitted = size(tumbler({ fitCheck: check }));
    expect(fitted).toMatchObject({ fit: 'applied', side: 167.5, sideFromFitCheck: -0.5 });
    expect(fitted.rim).toMatchObject({ read: 276, surface: 277.4, fromFitCheck: expect.closeTo(1.4, 9) });
    expect(fitted.taper).toBeCloseTo((277.4 - 214) / (2 * Math.PI * 167.5), 12);
  });

  it('goes by the readings again as soon as one of them is another', () => {
    const changed = tumbler({ fitCheck: check });
    const fitted = size({ ...changed, readings: { ...changed.readings, girthBase: bare(215) } });
    expect(fitted).toMatchObject({ fit: 'stale', side: 168, sideFromFitCheck: 0 });
    expect(fitted.base.surface).toBe(215);
    expect(size(tumbler()).fit).toBe('none');
  });

  it('promises the seam as well as the eye read the paper, whatever the tape did', () => {
    const blank = tumbler({ fitCheck: check });
    const { gapRim, gapBase, driftFront } = reportErrors(blank, size(blank));
    for (const mm of [gapRim, gapBase, driftFront]) expect(mm).toBe(0.5);
    expect(reportErrors(tumbler(), size(tumbler())).gapRim).toBeGreaterThan(0.5);
  });

  it('can be straight, with or without a handle, and refuses a check that leaves no cup', () => {
    const straight = { girthRim: 258, girthBase: 258, side: 92 };
    const fits = { ...check, before: straight, after: { ...straight, girthRim: 259, girthBase: 259 } };
    expect(size(mug({ fitCheck: fits })).rim.surface).toBe(259);
    const broken = makeBlank(
      { girthRim: 276, girthBase: 214, side: 168 },
      { fitCheck: { ...check, after: { ...check.after, side: 5 } } },
    );
    expect(sizeBlank(broken)).toMatchObject({ ok: false, problem: { code: 'side-too-short' } });
  });
});

import { describe, expect, it } from 'vitest';
import { bare, makeBlank, mug, tumbler } from '../../test/jobs.ts';
import type { Blank } from '../model/blank.ts';
import { EXACT } from '../solid/flattening.ts';
import { KINDS_OF_BLANK, solidOf } from './kinds/kinds.ts';
import { sizeBlank } from './measured.ts';
import { summariseReading } from './reading.ts';
import { describeBlankProblem } from './words.ts';
import { zonesOfBlank } from './zones.ts';

const sized = (blank: Blank) => {
  const result = sizeBlank(blank);
  if (!result.ok) throw new Error(result.problem.code);
  return result.size;
};

describe('summariseReading', () => {
  it('averages the goes and narrows the error with their number', () => {
    const reading = { ...bare(276), takes: [276, 276.4, 275.9].map((mm) => ({ typed: '', mm })) };
    const summary = summariseReading(reading)!;
    expect(summary.mean).toBeCloseTo((276 + 276.4 + 275.9) / 3, 12);
    expect(summary.spread).toBeCloseTo(0.5, 12);
    // The tape's 0.7 mm is worse than the goes' own scatter (0.26 mm): 0.7/√3.
    expect(summary.sigma).toBeCloseTo(0.7 / Math.sqrt(3), 12);
  });

  it('believes the goes when they scatter more than the tool should', () => {
    // Two goes 4 mm apart: scatter 4/√2, of the mean 4/2.
    const reading = { ...bare(260), takes: [260, 264].map((mm) => ({ typed: '', mm })) };
    expect(summariseReading(reading)!.sigma).toBeCloseTo(2, 12);
    expect(summariseReading({ ...reading, takes: [] })).toBeNull();
  });
});

describe('sizeBlank', () => {
  it('takes the tape off each girth and adds the film on top', () => {
    const girth = { ...bare(277.3), thicknessMm: 0.4 };
    const size = sized(makeBlank({ side: 90 }, { readings: { girthRim: girth, side: bare(90) } }));
    expect(size.rim.takenOffForTape).toBeCloseTo(1.2566, 4);
    expect(size.rim.surface).toBeCloseTo(277.3 - 0.4 * Math.PI, 12);
    expect(solidOf(size).unroll(0.07, { ...EXACT, give: { stretch: 0, squeeze: 0 } }).cone.girthRim).toBeCloseTo(
      277.3 - 0.33 * Math.PI,
      12,
    );
  });

  it('works the side out from an upright height, and the height from a side', () => {
    // Radii differ by 30/2 = 15 mm when girths differ by 30π: a 3-4-5 triangle, 20 upright and 25 along.
    const girths = { girthRim: 300 + 30 * Math.PI, girthBase: 300 };
    expect(sized(makeBlank({ ...girths, upright: 20 })).side).toBeCloseTo(25, 9);
    const along = sized(makeBlank({ ...girths, side: 25 }));
    expect(along.upright).toBeCloseTo(20, 9);
    expect(along.taper).toBeCloseTo(0.6, 9);
    expect(along.sideFrom).toBe('side');
  });

  it('knows a taper that is wider at the base', () => {
    expect(sized(makeBlank({ girthRim: 210, girthBase: 248, side: 96 })).taper).toBeLessThan(0);
  });

  it('names what is missing or impossible', () => {
    expect(sizeBlank(makeBlank({}))).toEqual({ ok: false, problem: { code: 'reading-missing', reading: 'girthRim' } });
    expect(sizeBlank(makeBlank({ girthRim: 200, side: 80 }, { kind: 'tapered' }))).toMatchObject({
      problem: { code: 'reading-missing', reading: 'girthBase' },
    });
    expect(sizeBlank(makeBlank({ girthRim: 400, girthBase: 100, side: 20 }))).toMatchObject({
      problem: { code: 'side-too-short' },
    });
    expect(sizeBlank(mug({ handleWidthMm: 255 }))).toMatchObject({ problem: { code: 'handle-too-wide' } });
    // 9 mm round and no handle: slim, but nothing is in the way.
    expect(sizeBlank(makeBlank({ girthRim: 9, side: 40 })).ok).toBe(true);
  });

  it('flattens sides up to 60° from upright, and says of a steeper one how steep it is', () => {
    // A side of 100 at sin 60° spans 2π · 86.6 = 544.14 mm of girth.
    const leaning = (by: number) => sizeBlank(makeBlank({ girthRim: 200 + by, girthBase: 200, side: 100 }));
    expect(leaning(544.1).ok).toBe(true);
    const steep = leaning(544.2);
    expect(steep).toMatchObject({ ok: false, problem: { code: 'too-steep', most: Math.PI / 3 } });
    expect(leaning(-190)).toMatchObject({ ok: true });
    // asin(570 / 2π / 100) = 65.1°.
    const words = leaning(570);
    expect(words.ok ? '' : describeBlankProblem(words.problem, 'mm')).toMatch(/leans 65\.1° .* up to 60° /);
  });

  it('asks a straight blank for two readings and a tapered one for three', () => {
    expect(KINDS_OF_BLANK.straight.asked).toEqual(['girthRim', 'side']);
    expect(KINDS_OF_BLANK.tapered.asked).toEqual(['girthRim', 'girthBase', 'side']);
  });

  it('counts the rim zone from the drinking edge, not from the band', () => {
    expect(zonesOfBlank(tumbler({ rimClearanceMm: 15, bandBelowRimMm: 6 }), null).rim).toBe(9);
    expect(zonesOfBlank(tumbler({ rimClearanceMm: 15, bandBelowRimMm: 20 }), null).rim).toBe(0);
    expect(zonesOfBlank(tumbler(), null).handle).toBe(0);
    expect(zonesOfBlank(mug(), null).handle).toBe(5);
  });
});

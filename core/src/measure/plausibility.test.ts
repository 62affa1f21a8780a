import { describe, expect, it } from 'vitest';
import { bare, makeBlank, tumbler } from '../../test/jobs.ts';
import type { Blank } from '../model/blank.ts';
import { doubtReadings } from './measured.ts';
import { describeDoubt } from './words.ts';

const codes = (blank: Blank): string[] => doubtReadings(blank).map((d) => `${d.reading} ${d.code} ${d.severity}`);

describe('doubtReadings', () => {
  it('has nothing to say about a sound cup', () => {
    for (const blank of [
      tumbler(),
      makeBlank({ girthRim: 258, side: 92 }),
      makeBlank({ girthRim: 210, girthBase: 248, side: 96 }),
      makeBlank({ girthRim: 90, side: 20 }),
    ])
      expect(codes(blank)).toEqual([]);
  });

  it('takes a base read across for what it is and offers π times it', () => {
    const [doubt] = doubtReadings(makeBlank({ girthRim: 276, girthBase: 68, side: 168 }));
    expect(doubt).toMatchObject({ code: 'diameter-for-girth', reading: 'girthBase', severity: 'fails' });
    expect(doubt!.instead).toBeCloseTo(68 * Math.PI, 9);
  });

  it('wonders about a single girth that makes a needle of the cup', () => {
    expect(codes(makeBlank({ girthRim: 88, side: 168 }))).toEqual(['girthRim diameter-for-girth look']);
    expect(codes(makeBlank({ girthRim: 40, side: 90 }))).toEqual(['girthRim diameter-for-girth fails']);
  });

  it.each([
    [{ girthRim: 10.875, girthBase: 214, side: 168 }, 'girthRim', 10.875 * 25.4],
    [{ girthRim: 27.6, girthBase: 214, side: 168 }, 'girthRim', 276],
    [{ girthRim: 6705.6, girthBase: 214, side: 168 }, 'girthRim', 264],
    [{ girthRim: 276, girthBase: 214, side: 6.5 }, 'side', 165.1],
  ] as const)('notices a slip of unit in %o', (readings, reading, meant) => {
    const doubt = doubtReadings(makeBlank(readings)).find((d) => d.reading === reading)!;
    expect(doubt).toMatchObject({ code: 'unit-slip', severity: 'fails' });
    expect(doubt.instead).toBeCloseTo(meant, 6);
  });

  it('holds side, height and distance across against each other', () => {
    expect(codes(makeBlank({ girthRim: 276, girthBase: 214, side: 168, upright: 172 }))).toEqual([
      'upright height-over-side look',
    ]);
    expect(codes(makeBlank({ girthRim: 276, girthBase: 214, side: 168, upright: 160 }))).toEqual([
      'side side-and-height-disagree look',
    ]);
    expect(codes(makeBlank({ girthRim: 276, girthBase: 214, side: 168, upright: 167 }))).toEqual([]);
    // 276/π = 87.9 mm across.
    expect(codes(makeBlank({ girthRim: 276, girthBase: 214, side: 168, acrossRim: 92 }))).toEqual([
      'acrossRim across-and-girth-disagree look',
    ]);
    expect(codes(makeBlank({ girthRim: 276, girthBase: 214, side: 168, acrossRim: 88 }))).toEqual([]);
  });

  it('says when a taper is too strong to be a cup', () => {
    // Radii differ by 200/2π = 31.8 mm over a side of 40 mm: a half-angle of 52.8°.
    expect(codes(makeBlank({ girthRim: 400, girthBase: 200, side: 40 }))).toEqual(['side too-strong-taper fails']);
    expect(codes(makeBlank({ girthRim: 400, girthBase: 200, side: 30 }))).toEqual(['side too-strong-taper fails']);
  });

  it('notices goes that are further apart than the tool explains', () => {
    const takes = [276, 281].map((mm) => ({ typed: String(mm), mm }));
    const blank = makeBlank(
      { girthBase: 214, side: 168 },
      { readings: { girthRim: { ...bare(1), takes }, girthBase: bare(214), side: bare(168) } },
    );
    expect(codes(blank)).toEqual(['girthRim takes-disagree look']);
  });

  it('has words for every doubt, with its numbers', () => {
    const blank = makeBlank({ girthRim: 276, girthBase: 68, side: 168 });
    const words = describeDoubt(doubtReadings(blank)[0]!, 'mm');
    expect(words.title).toBe('This looks like the distance across, not round');
    expect(words.why).toContain('68.0 mm across is 213.6 mm round');
  });
});

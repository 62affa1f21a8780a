import { describe, expect, it } from 'vitest';
import { expectRule, findingsOf, jobOf } from '../../../test/findings.ts';
import { bare, makeBlank, motifItem, mug, textItem, tumbler, wave } from '../../../test/jobs.ts';
import type { Blank } from '../../model/blank.ts';
import type { Reading } from '../../model/reading.ts';
import { solveFitPaper } from '../../pieces/fit-paper.ts';
import { describeFinding } from '../words.ts';

describe('reading-spread', () => {
  const twice = (a: number, b: number): Reading => ({
    ...bare(a),
    takes: [a, b].map((mm) => ({ typed: String(mm), mm })),
  });
  const taken = (b: number): Blank =>
    tumbler({ readings: { girthRim: twice(276, b), girthBase: bare(214), side: bare(168) } });
  it('looks at goes that lie further apart than three sigma of the tape', () => {
    // A tape is good for 0.7 mm: 2.1 mm apart is the limit.
    expect(findingsOf(jobOf(taken(278.2), wave(9)), 'reading-spread')).toMatchObject([
      { severity: 'look', goTo: 'measure' },
    ]);
    expect(findingsOf(jobOf(taken(278), wave(9)), 'reading-spread')).toEqual([]);
    expect(findingsOf(jobOf(taken(278.2), wave(9)), 'reading-implausible')).toEqual([]);
  });
});

describe('reading-weak', () => {
  // The side by tape, 0.7 mm: the rim edge strays as much in front.
  const side = (how: Reading['how']): Blank =>
    makeBlank({}, { kind: 'straight', readings: { girthRim: bare(258), side: { ...bare(92), how } } });
  it('looks at an edge that may stray further than is allowed, and names the reading', () => {
    const tight = { edgeDrift: 0.6 };
    const [finding] = findingsOf(jobOf(side('tape'), textItem('COX')), 'reading-weak', tight);
    expect(finding).toMatchObject({
      severity: 'look',
      case: 'front',
      goTo: 'measure',
      numbers: { drift: expect.closeTo(0.7, 6) },
    });
    expect(describeFinding(finding!, 'mm').title).toBe('The rim edge may stray by ±0.7 mm');
    // A ruler is good for half a millimetre; and 0.7 mm is within a millimetre.
    expect(findingsOf(jobOf(side('ruler'), textItem('COX')), 'reading-weak', tight)).toEqual([]);
    expect(findingsOf(jobOf(side('tape'), textItem('COX')), 'reading-weak')).toEqual([]);
  });
});

describe('fit-unchecked', () => {
  const seen = { gapRimMm: 0, gapBaseMm: 0, standMm: 0 };
  const tried = (blank: Blank, before: { girthRim: number; girthBase: number; side: number }): Blank => {
    const fit = solveFitPaper(blank, seen);
    if (!fit.ok) throw new Error(fit.code);
    return { ...blank, fitCheck: { on: '2026-11-25', seen, before, after: fit.after, sigma: fit.sigma } };
  };
  it('looks at a wrap that was never tried on paper, until it was', () => {
    expect(findingsOf(jobOf(tumbler(), wave(9)), 'fit-unchecked')).toMatchObject([
      { severity: 'look', case: 'never', goTo: 'flat' },
    ]);
    const done = tried(tumbler(), { girthRim: 276, girthBase: 214, side: 168 });
    expect(findingsOf(jobOf(done, wave(9)), 'fit-unchecked')).toEqual([]);
    // Measured anew since: the check is of another cup.
    const stale = { ...done, readings: { ...done.readings, girthRim: bare(280) } };
    expect(findingsOf(jobOf(stale, wave(9)), 'fit-unchecked')).toMatchObject([{ case: 'stale' }]);
  });
  it('lets a face decal be, and one just under six tenths of the way round', () => {
    // Half-way down the girth is 245 mm; 0.6 of it is 147 mm.
    const words = (mm: number) =>
      jobOf(tumbler(), textItem('WILLOWMERE', { running: 'round', size: { by: 'width', mm } }));
    expect(findingsOf(words(148), 'fit-unchecked')).toHaveLength(1);
    expect(findingsOf(words(146), 'fit-unchecked')).toEqual([]);
    // Two faces opposite each other are two decals.
    const faces = motifItem('heron', { repeat: { mode: 'spaced', count: 2 } });
    expect(findingsOf(jobOf(mug({ handleWidthMm: 0 }), faces), 'fit-unchecked')).toEqual([]);
  });
});

describe('limits of one’s own', () => {
  it('decide instead of the usual ones', () => {
    const words = jobOf(tumbler(), textItem('REGATTA', { size: { by: 'width', mm: 60 } }));
    expect(findingsOf(words, 'glance')).toEqual([]);
    expect(findingsOf(words, 'glance', { glanceDistance: 200 })).toHaveLength(1);
    // Held against the cup, an eye still has room.
    expect(findingsOf(words, 'glance', { glanceDistance: 1 })[0]!.numbers['seen']).toBeGreaterThan(5);
    expectRule(
      'tiny-piece',
      'look',
      jobOf(tumbler(), motifItem('star', { widthMm: 2.2 })),
      jobOf(tumbler(), motifItem('star', { widthMm: 2.8 })),
    );
    expect(findingsOf(jobOf(tumbler(), motifItem('star', { widthMm: 2.2 })), 'tiny-piece', { tinyPiece: 2 })).toEqual(
      [],
    );
  });
});

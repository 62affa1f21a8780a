import { describe, expect, it } from 'vitest';
import { LIMITS, limitsWith, USUAL_LIMITS } from './limits.ts';

describe('the table of limits', () => {
  it('has every limit once, with a reason, and its usual number within its range', () => {
    expect(new Set(LIMITS.map(({ id }) => id)).size).toBe(LIMITS.length);
    for (const { id, usual, least, most, why } of LIMITS) {
      expect(usual, id).toBeGreaterThanOrEqual(least);
      expect(usual, id).toBeLessThanOrEqual(most);
      expect(why, id).toMatch(/^[A-Z].{15,}\.$/);
    }
  });

  it('begins with what the field goes by, and may be set as far as that makes sense', () => {
    expect(LIMITS.map(({ id, least, usual, most, unit }) => [id, least, usual, most, unit].join(' '))).toEqual([
      'seamGap 0.1 0.5 5 mm',
      'edgeDrift 0.1 1 10 mm',
      'fitShare 10 60 101 %',
      'neighbourShare 5 50 95 %',
      'glanceDistance 150 500 5000 mm',
      'glanceEdge 10 60 95 %',
      'tinyPiece 0.5 2.5 10 mm',
      'strokeTears 5 50 100 %',
      'strayFilm 0 20 1000 mm²',
      'giveFails 100 150 400 %',
      'tentPresses 0.02 0.1 1 mm',
      'maskMargin 2 12 100 mm',
      'thinBridge 0.3 1 10 mm',
      'thinOpening 0.2 1 10 mm',
      'creepStrip 0 0.6 5 mm',
      'creepEtch 0 0.3 5 mm',
      'creepBlast 0 0.5 5 mm',
      'creepPaint 0 0.3 5 mm',
      'stackDeep 1 3 20 films',
      'marksCost 0 40 2000 cm²',
      'filmOld 0.5 2 20 years',
    ]);
  });

  it('takes what a person changed, brings back into range what is not, and passes over what is no number', () => {
    expect(limitsWith({})).toEqual(USUAL_LIMITS);
    expect(limitsWith({ tinyPiece: 3 })).toEqual({ ...USUAL_LIMITS, tinyPiece: 3 });
    expect(limitsWith({ tinyPiece: 900, glanceEdge: -4 })).toMatchObject({ tinyPiece: 10, glanceEdge: 10 });
    expect(limitsWith({ tinyPiece: NaN, seamGap: 'wide', strayFilm: null, unheardOf: 3 })).toEqual(USUAL_LIMITS);
    // A file may say anything, also of what every object has.
    expect(limitsWith(JSON.parse('{"__proto__": {"tinyPiece": 5}}') as object as { [id: string]: unknown })).toEqual(
      USUAL_LIMITS,
    );
  });
});

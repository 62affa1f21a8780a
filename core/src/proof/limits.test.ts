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

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sumTexts } from './sum-words.ts';

describe('a sum that is shown', () => {
  it('adds up in the digits that it is shown in', () => {
    // 8 7/8 in read, a tape of 0.4 mm taken off (π · 0.4 = 1.2566 mm, 0.04947 in), film of 0.07 mm added (0.2199 mm,
    // 0.00866 in): 8.83419 in. Rounded one by one they would come to 8.835; the tape's share strays least.
    const terms = [225.425, -1.2566, 0.2199];
    expect(sumTexts(terms, 'in')).toEqual({ terms: ['8.875 in', '−0.050 in', '+0.009 in'], total: '8.834 in' });
    expect(sumTexts(terms, 'mm')).toEqual({ terms: ['225.4 mm', '−1.2 mm', '+0.2 mm'], total: '224.4 mm' });
  });

  it('whatever was read, and no term strays by more than one in its last digit', () => {
    const term = fc.double({ min: -30, max: 30, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 60, max: 1500, noNaN: true }), fc.array(term, { maxLength: 4 }), fc.constantFrom('mm' as const, 'in' as const), (first, rest, unit) => {
        const { terms, total } = sumTexts([first, ...rest], unit);
        const value = (text: string): number => Number(text.replace('−', '-').replace(/[^\d.-]/g, ''));
        const digit = unit === 'mm' ? 0.1 : 0.001;
        expect(terms.reduce((sum, text) => sum + value(text), 0)).toBeCloseTo(value(total), 6);
        [first, ...rest].forEach((mm, i) => expect(Math.abs(value(terms[i]!) - mm / (unit === 'mm' ? 1 : 25.4))).toBeLessThan(1.01 * digit));
      }),
    ); // prettier-ignore
  });
});

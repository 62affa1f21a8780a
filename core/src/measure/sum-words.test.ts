import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength, parseLength } from './length.ts';
import { sumTexts } from './sum-words.ts';

describe('a sum that is shown', () => {
  it('adds up in the digits that it is shown in', () => {
    // 8 7/8 in read, a tape of 0.4 mm taken off (π · 0.4 = 1.2566 mm), film of 0.07 mm added (0.2199 mm). In sixty-fourths
    // 568 − 3.17 + 0.55 = 565.39; rounded one by one they would come to 566, and the film's share strays least. In
    // hundredths 887.5 − 4.95 + 0.87 = 883.42, where what was read strays least.
    const terms = [225.425, -1.2566, 0.2199];
    expect(sumTexts(terms, 'in')).toEqual({ terms: ['8 7/8 in', '−3/64 in', '+0 in'], total: '8 53/64 in' });
    expect(sumTexts(terms, 'in-decimal')).toEqual({ terms: ['8.87 in', '−0.05 in', '+0.01 in'], total: '8.83 in' });
    expect(sumTexts(terms, 'mm')).toEqual({ terms: ['225.4 mm', '−1.2 mm', '+0.2 mm'], total: '224.4 mm' });
  });

  it('whatever was read, and no term strays by more than one in its last digit', () => {
    const term = fc.double({ min: -30, max: 30, noNaN: true });
    const digit = { mm: 0.1, in: 25.4 / 64, 'in-decimal': 0.254 } as const;
    const value = (text: string): number => {
      const read = parseLength(text.replace(/^[−+]/, ''), 'mm');
      return read.ok ? read.mm * (text.startsWith('−') ? -1 : 1) : 0;
    };
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 1500, noNaN: true }),
        fc.array(term, { maxLength: 4 }),
        fc.constantFrom('mm' as const, 'in' as const, 'in-decimal' as const),
        (first, rest, units) => {
          const { terms, total } = sumTexts([first, ...rest], units);
          expect(terms.reduce((sum, text) => sum + value(text), 0)).toBeCloseTo(value(total), 6);
          [first, ...rest].forEach((mm, i) =>
            expect(Math.abs(value(terms[i]!) - mm)).toBeLessThan(1.01 * digit[units]),
          );
          // What it comes to is what stands everywhere else.
          const sum = [first, ...rest].reduce((a, b) => a + b, 0);
          if (Math.abs(sum) > 1) expect(total.replace('−', '-')).toBe(formatLength(sum, units).replace('−', '-'));
        },
      ),
    );
  });
});

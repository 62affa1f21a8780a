import { expect, it } from 'vitest';
import { describeStrains } from './flatten-words.ts';

it('says the worse of pull and push against its own limit first, and the other after it', () => {
  const of = (rim: number, base: number): Parameters<typeof describeStrains>[0] => ({
    give: { stretch: 0.056, squeeze: 0.005 },
    map: { by: 'slant', samples: [{ at: 0, strain: rim }, { at: 50, strain: 0 }, { at: 100, strain: base }] }, // prettier-ignore
  }) as unknown as Parameters<typeof describeStrains>[0]; // prettier-ignore
  // 0.8 of 0.5 is worse than 1.9 of 5.6, though it is less.
  const says = (rim: number, base: number): string => describeStrains(of(rim, base)).replaceAll('\u00a0', ' ');
  expect(says(0.019, -0.008)).toBe(
    'pushes it together by 0.8 % at the base (film takes 0.5 %) and pulls 1.9 % at the rim (film takes 5.6 %)',
  );
  expect(says(-0.001, 0.05)).toMatch(/^pulls 5.0 % at the base \(film takes 5.6 %\) and pushes/);
  expect(says(0, 0)).toBe('strains next to nothing');
});

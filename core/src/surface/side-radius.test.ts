import { expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeJob, makeProfile, tumbler } from '../../test/jobs.ts';
import type { Blank } from '../model/blank.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import { radiusOnSide, sideRadii } from './side-radius.ts';

const radius = (blank: Blank, slant: number): number => {
  const derived = deriveWrap(makeJob(blank, []), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  const { surface, size } = derived.wrap;
  return radiusOnSide({ radii: sideRadii(surface), template: { cone: { side: size.side } } }, slant);
};

it('is the radius of a curved side where it was read, not on a line between its ends', () => {
  // Read at 0, 40 and 80 mm: 260, 300 and 250 mm round; the line between the ends has 255 in the middle.
  const goblet = makeProfile([[0, 260], [40, 300], [80, 250]]); // prettier-ignore
  expect(2 * Math.PI * radius(goblet, 40)).toBeCloseTo(300, 0);
  expect(2 * Math.PI * radius(goblet, 0)).toBeCloseTo(260, 0);
  // Along a cone it is that line, and goes on past its edges: 276 to 214 in 168.
  for (const slant of [-10, 0, 84, 168, 180])
    expect(2 * Math.PI * radius(tumbler(), slant)).toBeCloseTo(276 - (62 * slant) / 168, 6);
});

import { describe, expect, it } from 'vitest';
import { at } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, plate, textItem, tumbler, wave } from '../../test/jobs.ts';
import { intersectRings, subtractRings } from '../polygon/boolean.ts';
import { offsetRings } from '../polygon/offset.ts';
import type { Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import { PLAIN_STACK } from './order.ts';
import { type Stack } from '../model/stack.ts';
import { deriveWrap, type Wrap } from '../pieces/wrap.ts';
import type { Job } from '../model/job.ts';

const wrapOf = (job: Job, stack: Partial<Stack> = {}): Wrap => {
  const derived = deriveWrap({ ...job, stack: { ...PLAIN_STACK, ...stack } }, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
};
const film = (wrap: Wrap, id: string): Ring[] =>
  wrap.pieces.filter((p) => p.film === id).flatMap(({ flat }) => ringsOf(flat));
const area = (polygons: { outer: Ring; holes: readonly Ring[] }[]): number =>
  polygons.reduce((sum, p) => sum + polygonArea(p), 0);
const all = (wrap: Wrap): Ring[] => wrap.pieces.flatMap(({ flat }) => ringsOf(flat));

/** On a straight side: 60 × 60 of one film, on it 20 × 20 and a line 30 × 2 of another. */
const can = makeBlank({ girthRim: 300, side: 150 });
const built = makeJob(can, [
  plate('below', 60, 60, { film: 'reed' }),
  plate('square', 20, 20, { film: 'chalk', placement: at({ mm: -12 }) }),
  plate('line', 30, 2, { film: 'chalk', placement: at({ mm: 15 }) }),
]);

describe('a stack', () => {
  it('built full lies whole on whole film', () => {
    const wrap = wrapOf(built);
    expect(area(intersectRings(film(wrap, 'reed'), film(wrap, 'reed')))).toBeCloseTo(3600, 1);
    expect(area(intersectRings(film(wrap, 'chalk'), film(wrap, 'reed')))).toBeCloseTo(400 + 60, 1);
  });

  it('built as an inlay leaves only an underlap below, all round', () => {
    const wrap = wrapOf(built, { build: 'inlay', underlapMm: 0.6 });
    // Knocked out: 18.8 × 18.8 and 28.8 × 0.8; corners of what is moved inwards stay sharp.
    const out = 18.8 ** 2 + 28.8 * 0.8;
    expect(area(intersectRings(film(wrap, 'reed'), film(wrap, 'reed')))).toBeCloseTo(3600 - out, 0);
    expect(area(intersectRings(film(wrap, 'chalk'), film(wrap, 'reed')))).toBeCloseTo(460 - out, 0);
  });

  it('built by rule keeps thin lines on whole film', () => {
    const wrap = wrapOf(built, { build: 'hybrid', underlapMm: 0.6, thinMm: 4 });
    // Only the square is knocked out; its corners, rounded by 2 mm, stay a little fuller below.
    const reed = area(intersectRings(film(wrap, 'reed'), film(wrap, 'reed')));
    expect(reed).toBeGreaterThan(3600 - 18.8 ** 2 - 0.1);
    expect(reed).toBeLessThan(3600 - 18.8 ** 2 + (4 - Math.PI) * 2 ** 2 + 0.1);
    const line = wrapOf(makeJob(can, [built.items[0]!, built.items[2]!]), { build: 'hybrid' });
    expect(area(intersectRings(film(line, 'reed'), film(line, 'reed')))).toBeCloseTo(3600, 1);
  });

  it('put together on paper shows no gap wider than 0.05 mm, on a tapered cup and across its back', () => {
    const job = makeJob(tumbler(), [
      wave(9, { heightMm: 60 }),
      wave(7, { id: 'w2', film: 'shallows', heightMm: 36, placement: at({ from: 'base', mm: 24 }) }),
      textItem('bowman', { font: 'script', film: 'ensign', placement: at({ facing: 'angle', angleDeg: 150, mm: 40 }) }),
    ]);
    const whole = all(wrapOf(job));
    for (const underlapMm of [0, 0.6]) {
      const wrap = wrapOf(job, { build: 'inlay', underlapMm });
      const gaps = subtractRings(whole, all(wrap)).flatMap(ringsOf);
      // A gap that is wider than 0.05 mm is still there when its edges are moved in by half of that.
      expect(offsetRings(gaps, -0.025)).toEqual([]);
      expect(area(intersectRings(all(wrap), all(wrap)))).toBeCloseTo(area(intersectRings(whole, whole)), 0);
    }
  });

  it('follows the order that was chosen, and pieces come in it', () => {
    const wrap = wrapOf(built, { order: ['chalk', 'reed'], build: 'inlay' });
    expect(wrap.layers).toEqual(['chalk', 'reed']);
    expect(wrap.pieces.map((p) => p.film)).toEqual(['chalk', 'chalk', 'reed'].slice(-wrap.pieces.length));
    // What lies wholly under other film is knocked out but for its underlap.
    expect(area(intersectRings(film(wrap, 'reed'), film(wrap, 'reed')))).toBeCloseTo(3600, 1);
  });
});

import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, mug, tumbler, wave } from '../../test/jobs.ts';
import type { Blank } from '../model/blank.ts';
import type { Wrap } from '../pieces/wrap.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import { flattenPath } from '../plane/flatten.ts';
import { pathLength } from '../plane/path-length.ts';
import { ringContains } from '../polygon/polygon.ts';
import { seamView } from '../present/seam-view.ts';
import { PLAIN_SEAM } from '../seam/plain-seam.ts';

function derive(blank: Blank, lapMm = 0, thicknessMm = 0): Wrap {
  const job = makeJob(blank, [wave(9)], { seam: { ...PLAIN_SEAM, lapMm } });
  const films = job.films.map((film) => ({ ...film, thicknessMm }));
  const derived = deriveWrap({ ...job, films }, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
}

describe('makeTemplate', () => {
  it('is a rectangle as long as the way round on a straight blank', () => {
    const { template } = derive(mug({ handleWidthMm: 0 }));
    expect(template.outline.segments.every((s) => s.kind === 'line')).toBe(true);
    expect([template.rimLength, template.baseLength]).toEqual([258, 258].map((n) => expect.closeTo(n, 9)));
    expect(template.bounds.maxX - template.bounds.minX).toBeCloseTo(258, 9);
    expect(template.bounds.maxY - template.bounds.minY).toBeCloseTo(92, 9);
  });

  it('stops at the handle by its width at both ends of the side', () => {
    const handled = makeBlank({ girthRim: 276, girthBase: 214, side: 168 }, { handleWidthMm: 20 });
    const { template } = derive(handled);
    expect(template.rimLength).toBeCloseTo(256, 9);
    expect(template.baseLength).toBeCloseTo(194, 9);
  });

  it('has true arcs of the sector, as long as they should be', () => {
    const { template } = derive(tumbler());
    const arcs = template.outline.segments.filter((s) => s.kind === 'arc');
    // k = 62/(2π·168); apex radii C/(2πk).
    const k = 62 / (2 * Math.PI * 168);
    expect(arcs.map((a) => a.radius)).toEqual(
      [214 / (2 * Math.PI * k), 276 / (2 * Math.PI * k)].map((r) => expect.closeTo(r, 9)),
    );
    // Both edges and two sides of 168 mm.
    expect(pathLength(template.outline)).toBeCloseTo(276 + 214 + 2 * 168, 1);
  });

  it('adds π times the thickness of the film to the way round', () => {
    const thin = derive(tumbler(), 0, 0.07);
    const thick = derive(tumbler(), 0, 0.18);
    expect(thin.template.rimLength).toBeCloseTo(276 + Math.PI * 0.07, 6);
    expect(thick.template.rimLength).toBeCloseTo(276 + Math.PI * 0.18, 6);
  });

  it('adds the lap to both edges alike', () => {
    const { template } = derive(tumbler(), 2.5);
    expect(template.rimLength).toBeCloseTo(278.5, 9);
    expect(template.baseLength).toBeCloseTo(216.5, 9);
  });
});

describe('the marks of a template', () => {
  it('lie on the template and say which arc is the rim', () => {
    for (const [blank, words] of [
      [tumbler(), 'rim this way (the longer arc)'],
      [makeBlank({ girthRim: 210, girthBase: 248, side: 96 }), 'rim this way (the shorter arc)'],
      [mug(), 'rim this way'],
    ] as const) {
      const wrap = derive(blank);
      const marks = wrap.panels[0]!;
      expect(marks.words[0]!.text).toBe(words);
      const outline = flattenPath(wrap.template.outline, 0.001);
      // Both ends are named: the seam, or the handle between them.
      const ends = marks.words.filter(({ text }) => text === (blank.handleWidthMm > 0 ? 'handle' : 'seam'));
      expect(ends.map(({ at }) => Math.sign(at.x))).toEqual([-1, 1]);
      for (const { at } of ends) expect(ringContains(outline, at.x, at.y)).toBe(true);
      const middleOf = marks.lines.map((l) => [(l.from.x + l.to.x) / 2, (l.from.y + l.to.y) / 2] as const);
      for (const [x, y] of middleOf) expect(ringContains(outline, x, y)).toBe(true);
      // The front mark points straight down from the middle of the rim edge.
      expect(marks.lines[0]!.from).toEqual({ x: expect.closeTo(0, 9), y: expect.closeTo(0, 9) });
    }
  });
});

describe('seamView', () => {
  it('brings both ends together so that the film meets', () => {
    const wrap = derive(tumbler());
    const pieces = seamView(wrap, 0, 60).pieces;
    const heights = (side: 1 | -1): number[] =>
      pieces
        .flatMap((p) => p.rings)
        .filter((ring) => ring.some((v, i) => i % 2 === 0 && side * v > 1))
        .flatMap((ring) =>
          Array.from({ length: ring.length / 2 }, (_, i) => [ring[2 * i]!, ring[2 * i + 1]!] as const)
            .filter(([x]) => Math.abs(x) < 1e-3)
            .map(([, y]) => y),
        );
    const [left, right] = [heights(-1), heights(1)];
    expect(left.length).toBeGreaterThanOrEqual(2);
    expect(Math.max(...left)).toBeCloseTo(Math.max(...right), 1);
    expect(Math.min(...left)).toBeCloseTo(Math.min(...right), 1);
  });

  it('shows no more than was asked for, on both sides', () => {
    const wrap = derive(mug({ handleWidthMm: 0 }), 2);
    const xs = seamView(wrap, 0, 40).pieces.flatMap((p) =>
      p.rings.flatMap((ring) => [...ring].filter((_, i) => i % 2 === 0)),
    );
    expect(Math.min(...xs)).toBeCloseTo(-40, 2);
    expect(Math.max(...xs)).toBeCloseTo(40, 2);
  });
});

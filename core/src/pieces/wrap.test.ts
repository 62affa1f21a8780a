import { describe, expect, it } from 'vitest';
import { PLAIN_SEAM } from '../seam/plain-seam.ts';
import { makeJob, motifItem, mug, textItem, tumbler, wave } from '../../test/jobs.ts';
import { testFonts } from '../../test/fonts.ts';
import { flattenPath } from '../plane/flatten.ts';
import { coneDevelopment } from '../surface/cone.ts';
import type { Wrap } from './wrap.ts';
import { deriveWrap } from './wrap.ts';
import type { Job } from '../model/job.ts';

function derive(job: Job): Wrap {
  const derived = deriveWrap(job, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
}

/** Flat points of a piece's written paths, wrapped back onto the cone by the closed-form sector: [azimuth, slant]. */
function rewrap(wrap: Wrap, index: number): [number, number][] {
  const { girthRim, girthBase, side } = wrap.template.cone;
  const k = (girthRim - girthBase) / (2 * Math.PI * side);
  const apex = girthRim / (2 * Math.PI * k);
  return wrap.pieces[index]!.paths.flatMap((path) => {
    const points = flattenPath(path, 0.002);
    return Array.from({ length: points.length / 2 }, (_, i): [number, number] => {
      const x = points[2 * i]!;
      const up = apex + points[2 * i + 1]!;
      return [Math.atan2(x, up) / k, apex - Math.hypot(x, up)];
    });
  });
}

describe('deriveWrap', () => {
  it('makes one closed band of nine joined waves, cut once at the seam, whose ends meet', () => {
    const wrap = derive(makeJob(tumbler(), [wave(9)]));
    expect(wrap.pieces).toHaveLength(1);
    expect(wrap.pieces[0]!.cutAt).toBe('both');
    const points = rewrap(wrap, 0);
    const ends = (azimuth: number): number[] =>
      points
        .filter(([a]) => Math.abs(a - azimuth) * 37 < 1e-3)
        .map(([, slant]) => slant)
        .sort((a, b) => a - b);
    const left = ends(-Math.PI);
    const right = ends(Math.PI);
    expect(left.length).toBeGreaterThanOrEqual(2);
    expect(Math.abs(left[0]! - right[0]!)).toBeLessThan(0.02);
    expect(Math.abs(left.at(-1)! - right.at(-1)!)).toBeLessThan(0.02);
  });

  it('keeps the bottom of level capitals at one distance from the rim', () => {
    const item = textItem('HELM', { placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 40, turnDeg: 0 } });
    const wrap = derive(makeJob(tumbler(), [item]));
    expect(wrap.pieces).toHaveLength(4);
    // Top at 40 mm and a cap height of 18 mm: flat-footed capitals stand at 58 mm.
    for (let i = 0; i < 4; i++) {
      const slants = rewrap(wrap, i).map(([, slant]) => slant);
      expect(Math.max(...slants)).toBeCloseTo(58, 1);
      expect(Math.min(...slants)).toBeCloseTo(40, 1);
    }
  });

  it('lays round, level and rigid alike on a straight side', () => {
    const boxes = (['round', 'level', 'rigid'] as const).map((running) => {
      const wrap = derive(makeJob(mug(), [motifItem('heron', { running })]));
      return wrap.pieces[0]!.flatBox;
    });
    for (const box of boxes) {
      expect(box.maxX - box.minX).toBeCloseTo(30, 2);
      expect(box.minX).toBeCloseTo(boxes[0]!.minX, 2);
      expect(box.maxY).toBeCloseTo(boxes[0]!.maxY, 2);
    }
  });

  it('keeps a rigid item its own shape on a taper', () => {
    const wrap = derive(makeJob(tumbler(), [motifItem('oar', { running: 'rigid', widthMm: 10 })]));
    const box = wrap.pieces[0]!.flatBox;
    // The drawing is 22 wide and 142.55 tall between its curves' extremes.
    expect(box.maxX - box.minX).toBeCloseTo(10, 2);
    expect((box.maxY - box.minY) / 10).toBeCloseTo(142.55 / 22, 2);
  });

  it('lists as cut only what crosses the seam', () => {
    const placement = { facing: 'angle', angleDeg: 175, from: 'middle', mm: 0, turnDeg: 0 } as const;
    const wrap = derive(makeJob(tumbler(), [textItem('COX', { placement }), motifItem('buoy', { id: 'b' })]));
    const cut = wrap.pieces.filter((p) => p.cutAt !== null).map((p) => p.itemIds[0]);
    expect(new Set(cut)).toEqual(new Set(['text-1']));
  });

  it('stops the template short of the handle and laps the seam by what was asked', () => {
    const withHandle = derive(makeJob(mug(), [])).template;
    expect(withHandle.rimLength).toBeCloseTo(258 - 24, 9);
    const lapped = derive(makeJob(tumbler(), [], { seam: { ...PLAIN_SEAM, lapMm: 1 } })).template;
    expect(lapped.rimLength).toBeCloseTo(277, 9);
    expect(lapped.baseLength).toBeCloseTo(215, 9);
  });

  it('adds the thickness of the film round the girth, but not down the side', () => {
    const job = makeJob(tumbler(), [wave(9)]);
    const thick = { ...job, films: job.films.map((film) => ({ ...film, thicknessMm: 0.18 })) };
    const { cone } = derive(thick).template;
    expect(cone.girthRim).toBeCloseTo(276 + Math.PI * 0.18, 9);
    expect(cone.side).toBe(168);
  });

  it('follows the true curve of a level line within the stated error', () => {
    // A level bar is bounded by two parallels; on the flat they are arcs about the apex.
    const item = textItem('—', { size: { by: 'width', mm: 150 } });
    const wrap = derive(makeJob(tumbler(), [item]));
    const points = rewrap(wrap, 0);
    const reach = Math.max(...points.map(([azimuth]) => azimuth)) - 0.3; // past the rounded ends of the dash
    const slants = points.filter(([azimuth]) => Math.abs(azimuth) < reach).map(([, slant]) => slant);
    const top = Math.min(...slants);
    const bottom = Math.max(...slants);
    const middle = (top + bottom) / 2;
    for (const slant of slants.filter((s) => s < middle)) expect(slant - top).toBeLessThan(0.05);
    for (const slant of slants.filter((s) => s > middle)) expect(bottom - slant).toBeLessThan(0.05);
  });

  it('says what is missing instead of flattening a blank without readings', () => {
    const derived = deriveWrap(makeJob(tumbler({ readings: {} }), []), testFonts);
    expect(derived.ok ? null : derived.problem).toEqual({ code: 'reading-missing', reading: 'girthRim' });
  });

  it('fuses joined script into one piece a word', () => {
    for (const word of ['bowman', 'oarlock', 'ferry']) {
      const wrap = derive(makeJob(tumbler(), [textItem(word, { font: 'script' })]));
      expect(wrap.pieces, word).toHaveLength(1);
    }
    const loose = derive(makeJob(tumbler(), [textItem('bowman', { font: 'script', fuse: false })]));
    expect(loose.pieces).toHaveLength(6);
  });

  it('lets a development and its template agree on where the corners are', () => {
    const wrap = derive(makeJob(tumbler(), []));
    const corner = coneDevelopment(wrap.template.cone).forward(-Math.PI, 168);
    expect(wrap.template.outline.start).toEqual(corner);
  });
});

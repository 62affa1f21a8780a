import { describe, expect, it } from 'vitest';
import { at, findingsOf, fixed, jobOf } from '../../../test/findings.ts';
import { makeBlank, motifItem, plate } from '../../../test/jobs.ts';
import { NO_ACTS } from '../../artwork/acts.ts';
import type { ArtworkItem } from '../../model/item.ts';
import type { Project } from '../../model/project.ts';
import { describeFinding } from '../words.ts';

/** A straight glass of 300 × 120 mm: 15 mm from the drinking edge are kept clear, of which 5 lie above the band. */
const glass = makeBlank({ girthRim: 300, side: 120 }, { rimClearanceMm: 15 });
const opened = (item: ArtworkItem): ArtworkItem => ({ ...item, acts: { ...NO_ACTS, shapesOnly: true } });
/** A mask over 100 × 110 mm from the rim edge down that opens some items. */
function masked(items: readonly ArtworkItem[], process: Project['process'] = 'etch'): Project {
  const mask = motifItem('plate', { id: 'mask', widthMm: 100, heightMm: 110, placement: at({ from: 'rim', mm: 0 }), acts: { ...NO_ACTS, cutAway: items.map(({ id }) => id) } }); // prettier-ignore
  return { ...jobOf(glass, ...items.map(opened), mask), process };
}
const found = (project: Project, of: 'thin' | 'rim', limits = {}) =>
  findingsOf(project, 'mask-opening', limits).find((finding) => finding.case === of);

describe('what a mask opens', () => {
  it('is too narrow under a millimetre, told with what has to get in', () => {
    const bar = (mm: number): Project => masked([plate('bar', 40, mm)]);
    const thin = found(bar(0.8), 'thin')!;
    expect(thin).toMatchObject({ severity: 'look', itemIds: ['bar'], numbers: { width: expect.closeTo(0.8, 2), least: 1, count: 1 } }); // prettier-ignore
    expect(describeFinding(thin, 'mm').why).toContain('Cream hardly gets into less than 1.0 mm.');
    expect(found(bar(1.05), 'thin')).toBeUndefined();
    expect(found(bar(1.05), 'thin', { thinOpening: 1.5 })!.numbers['least']).toBe(1.5);
    // Two openings, of which the narrower is told.
    const two = found(masked([plate('bar', 40, 0.8), plate('fine', 40, 0.6, { placement: at({ mm: 20 }) })]), 'thin')!;
    expect(two.numbers).toMatchObject({ width: expect.closeTo(0.6, 2), count: 2 });
    expect(found({ ...bar(0.8), process: 'decal' }, 'thin')).toBeUndefined();
  });

  it('is what is left round the islands in it', () => {
    // A ring of 30 round one of 27: a millimetre and a half of opening all round; of 28.6 it is 0.7.
    const ring = (inner: number): Project => {
      const [a, b] = [15, inner / 2];
      const circle = (r: number): string => `M${r} 0A${r} ${r} 0 0 1 ${-r} 0A${r} ${r} 0 0 1 ${r} 0Z`;
      const hole = (r: number): string => `M${r} 0A${r} ${r} 0 0 0 ${-r} 0A${r} ${r} 0 0 0 ${r} 0Z`;
      return masked([plate('ring', 30, 30, { pathData: circle(a) + hole(b), running: 'rigid' })]);
    };
    expect(found(ring(27), 'thin')).toBeUndefined();
    expect(found(ring(28.6), 'thin')!.numbers['width']).toBeCloseTo(0.7, 1);
  });

  it('keeps from the rim what the blank keeps clear, by process, and is moved down', () => {
    // 20 × 10 mm with its top 6 mm under the rim edge.
    const near = (mm: number, process: Project['process'] = 'etch'): Project =>
      masked([plate('box', 20, 10, { placement: at({ from: 'rim', mm }) })], process);
    const told = found(near(6), 'rim')!;
    expect(told).toMatchObject({ severity: 'look', itemIds: ['box'], numbers: { room: expect.closeTo(6, 1), need: expect.closeTo(4, 1), clearance: 15 } }); // prettier-ignore
    expect(describeFinding(told, 'mm').why).toContain('Etched glass is rough to the lip');
    expect(describeFinding(found(near(6, 'paint'), 'rim')!, 'mm').why).toContain('Paint is not made for lips');
    expect(found(fixed(near(6), told), 'rim')).toBeUndefined();
    expect(found(near(10), 'rim')).toBeUndefined();
    // Of several that are opened, a person says which goes where.
    const both = masked([plate('box', 20, 10, { placement: at({ from: 'rim', mm: 6 }) }), plate('low', 20, 10)]);
    expect(found(both, 'rim')!.fixes).toEqual([]);
  });
});

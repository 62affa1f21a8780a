import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_SEAM } from '../../seam/plain-seam.ts';
import { makeJob, motifItem, mug, textItem, tumbler } from '../../../test/jobs.ts';
import { projectOf } from '../../../test/findings.ts';
import { applyCommand, moveItem, scaleItem } from './apply.ts';

const project = projectOf(makeJob(tumbler(), [textItem('OAR'), motifItem('buoy')]));
const itemOf = (p: typeof project, id: string) => p.items.find((i) => i.id === id)!;

describe('applyCommand', () => {
  it('moves down by more from the rim and by less from the base', () => {
    for (const [from, mm, after] of [
      ['rim', 20, 26],
      ['middle', 0, 6],
      ['base', 20, 14],
    ] as const) {
      const placement = { facing: 'front', angleDeg: 0, from, mm, turnDeg: 0 } as const;
      const start = projectOf(makeJob(tumbler(), [textItem('OAR', { placement })]));
      const moved = applyCommand(start, { do: 'move-item', itemId: 'text-1', downMm: 6 });
      expect(moved.items[0]!.placement).toEqual({ ...placement, mm: after });
    }
  });

  it('turns from where a facing is, by the hand that holds the blank', () => {
    const item = motifItem('oar', { placement: { facing: 'drinker', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 } });
    const turned = (hand: 'right' | 'left'): number =>
      applyCommand(projectOf(makeJob(mug(), [item], { hand })), { do: 'turn-item', itemId: 'motif-1', byDeg: 10 })
        .items[0]!.placement.angleDeg;
    expect(turned('right')).toBeCloseTo(100, 9);
    expect(turned('left')).toBeCloseTo(-80, 9);
  });

  it('scales letters with their gaps, and brings an item to the middle when asked', () => {
    const start = projectOf(makeJob(tumbler(), [textItem('OAR', { letterGapMm: 2 })]));
    const smaller = applyCommand(start, { do: 'scale-item', itemId: 'text-1', factor: 0.5, toMiddleMm: 3 });
    expect(smaller.items[0]).toMatchObject({
      size: { by: 'cap', mm: 9 },
      // 2 mm at capitals of 18: at 9 they count half of that.
      letterGapMm: 2,
      gapsAtMm: 18,
      placement: { from: 'middle', mm: 3 },
    });
  });

  it('fuses one item alone and several as a group', () => {
    const loose = projectOf(makeJob(tumbler(), [textItem('OAR', { fuse: false }), motifItem('buoy', { fuse: false })]));
    const one = applyCommand(loose, { do: 'fuse-items', itemIds: ['text-1'] });
    expect(one.items.map((i) => [i.fuse, i.keepTogether])).toEqual([
      [true, null],
      [false, null],
    ]);
    const both = applyCommand(loose, { do: 'fuse-items', itemIds: ['text-1', 'motif-1'] });
    expect(new Set(both.items.map((i) => i.keepTogether)).size).toBe(1);
    expect(both.items.every((i) => i.fuse && i.keepTogether)).toBe(true);
  });

  it('replaces the goes of a reading, and leaves a reading alone that is not there', () => {
    const after = applyCommand(project, { do: 'replace-reading', reading: 'girthRim', mm: 276.25 });
    expect(after.blank.readings.girthRim!.takes).toEqual([{ typed: '276.3 mm', mm: 276.25 }]);
    expect(applyCommand(project, { do: 'replace-reading', reading: 'upright', mm: 1 })).toBe(project);
  });

  it('sets lap and board, and changes nothing for an item that is gone', () => {
    expect(applyCommand(project, { do: 'lap-seam', mm: 2 }).seam).toEqual({ ...PLAIN_SEAM, lapMm: 2 });
    expect(applyCommand(project, { do: 'choose-board', boardId: 'long' }).boardId).toBe('long');
    expect(applyCommand(project, { do: 'move-item', itemId: 'nobody', downMm: 4 }).items).toEqual(project.items);
  });

  it('never changes the project that it was given', () => {
    const before = JSON.stringify(project);
    applyCommand(project, { do: 'turn-item', itemId: 'text-1', byDeg: 40 });
    applyCommand(project, { do: 'scale-item', itemId: 'motif-1', factor: 2 });
    expect(JSON.stringify(project)).toBe(before);
  });
});

describe('laws of moving and scaling', () => {
  const degrees = fc.double({ min: -900, max: 900, noNaN: true });
  const mm = fc.double({ min: -200, max: 200, noNaN: true });

  it('what is moved one way and back is where it was, within one turn', () => {
    fc.assert(
      fc.property(degrees, mm, (byDeg, down) => {
        const item = itemOf(project, 'text-1');
        const there = moveItem(item, byDeg, down, project);
        expect(Math.abs(there.placement.angleDeg)).toBeLessThanOrEqual(180 + 1e-9);
        const back = moveItem(there, -byDeg, -down, project).placement;
        expect(back.mm).toBeCloseTo(item.placement.mm, 9);
        const off = ((back.angleDeg % 360) + 540) % 360;
        expect(Math.min(Math.abs(off - 180), 360 - Math.abs(off - 180))).toBeLessThan(1e-6);
      }),
    );
  });

  it('what is scaled and scaled back is as large as it was', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 20, noNaN: true }), (factor) => {
        for (const item of [...project.items, motifItem('heron', { heightMm: 44 })]) {
          const back = scaleItem(scaleItem(item, factor), 1 / factor);
          if (item.type === 'text' && back.type === 'text') expect(back.size.mm).toBeCloseTo(item.size.mm, 9);
          if (item.type === 'motif' && back.type === 'motif') {
            expect(back.widthMm).toBeCloseTo(item.widthMm, 9);
            expect(back.heightMm === null).toBe(item.heightMm === null);
          }
        }
      }),
    );
  });

  it('lets the seam wander, divides the wrap and keeps the rest of the seam', () => {
    const lapped = { ...project, seam: { ...PLAIN_SEAM, lapMm: 2 } };
    expect(applyCommand(lapped, { do: 'wander-seam' }).seam).toEqual({ ...PLAIN_SEAM, lapMm: 2, way: 'wandering' });
    expect(applyCommand(lapped, { do: 'split-panels', panels: 3 }).seam).toEqual({
      ...PLAIN_SEAM,
      lapMm: 2,
      panels: 3,
    });
  });

  it('changes the place of names only where there is a list', () => {
    const box = { do: 'name-box', widthMm: 70, leastCapMm: 9 } as const;
    expect(applyCommand(project, box)).toBe(project);
    const names = { itemId: 'a', widthMm: 50, leastCapMm: 12, closeMm: 1, rows: [] };
    expect(applyCommand({ ...project, names }, box).names).toEqual({ ...names, widthMm: 70, leastCapMm: 9 });
  });
});

import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, textItem } from '../../test/jobs.ts';
import { boxOfCoordinates, EMPTY_BOX } from '../plane/box.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import type { RingSetting } from '../model/item.ts';
import { ringText } from './ring-text.ts';
import { textOutlines } from './text.ts';

const ring = (more: Partial<RingSetting> = {}): RingSetting => ({
  acrossMm: 60,
  tops: 'out',
  times: 1,
  between: null,
  ...more,
});
const set = (text: string, more: Partial<RingSetting> = {}, font: 'condensed' | 'script' = 'condensed') =>
  ringText(text, testFonts[font], 8, 0, ring(more), font === 'script');
const radii = (groups: readonly (readonly Float64Array[])[]): number[] =>
  groups.flat().flatMap((r) => Array.from({ length: r.length / 2 }, (_, i) => Math.hypot(r[2 * i]!, r[2 * i + 1]!)));

describe('ringText', () => {
  it('stands letters on the circle, tops outwards or inwards, about its middle', () => {
    const out = radii(set('III').groups);
    // A flat capital of 8 mm on a circle of 30 mm radius: feet at 30, tops at 38, both but for a letter's own width.
    expect(Math.min(...out)).toBeGreaterThan(29.99);
    expect(Math.max(...out)).toBeCloseTo(38, 0);
    const inn = radii(set('III', { tops: 'in' }).groups);
    expect(Math.min(...inn)).toBeCloseTo(22, 0);
    expect(Math.max(...inn)).toBeLessThan(30.1);
    // Outwards from the top, inwards at the foot.
    const boxOf = (tops: 'out' | 'in') =>
      set('I', { tops })
        .groups.flat()
        .reduce((b, r) => boxOfCoordinates(r, b), EMPTY_BOX);
    expect(boxOf('out').minY).toBeGreaterThan(29);
    expect(boxOf('in').maxY).toBeLessThan(-21);
  });

  it('reads the same way round from outside: the second letter lies clockwise of the first', () => {
    const middle = (g: readonly Float64Array[]): number => {
      const b = g.reduce((box, r) => boxOfCoordinates(r, box), EMPTY_BOX);
      return Math.atan2((b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2);
    };
    const [first, second] = set('IL').groups.map(middle);
    expect(second!).toBeGreaterThan(first!);
    const xs = set('IL', { tops: 'in' }).groups.map((g) => g.reduce((b, r) => boxOfCoordinates(r, b), EMPTY_BOX).minX);
    expect(xs[1]!).toBeGreaterThan(xs[0]!);
  });

  it('comes round evenly with an ornament between, and tells the room that is left', () => {
    const { groups, room } = set('BOW 7', { times: 4, between: 'buoy' });
    const letters = textOutlines('BOW 7', testFonts.condensed, 8).glyphs;
    expect(groups).toHaveLength(4 * (letters.length + 1));
    const bare = set('BOW 7', { times: 4 }).room;
    expect(room).toBeLessThan(bare);
    // A quarter turn brings the round onto itself.
    const tops = groups.flat().reduce((b, r) => boxOfCoordinates(r, b), EMPTY_BOX);
    expect(tops.maxX).toBeCloseTo(tops.maxY, 6);
    expect(tops.minX).toBeCloseTo(-tops.maxX, 6);
  });

  it('tells the room where neighbours come nearest: at the feet outwards, at the tops inwards', () => {
    // An I of 8 mm is a bar: its corners nearest the next lie at its foot, 30 mm out, or at its top, 22 mm out.
    const bar = textOutlines('I', testFonts.condensed, 8).glyphs.flat().reduce((b, r) => boxOfCoordinates(r, b), EMPTY_BOX); // prettier-ignore
    const half = (bar.maxX - bar.minX) / 2;
    const room = (times: number, far: number): number => (2 * Math.PI / times - 2 * Math.atan(half / far)) * Math.hypot(half, far); // prettier-ignore
    for (const times of [4, 30, 200]) {
      expect(Math.abs(set('I', { times }).room - room(times, 30))).toBeLessThan(0.15);
      expect(Math.abs(set('I', { times, tops: 'in' }).room - room(times, 22))).toBeLessThan(0.15);
    }
    expect(set('I', { times: 200 }).room).toBeLessThan(0);
    // A star between stands half a capital further out than the feet, where there is more room for it.
    const starred = set('WILLOW', { acrossMm: 22, times: 2, between: 'star' }).room;
    expect(starred).toBeGreaterThan(0);
    expect(starred).toBeLessThan(2);
  });

  it('keeps a joined script in one piece, and sits in the middle of a lid', () => {
    const lid = makeBlank({ across: 88 }, { kind: 'lid' });
    const text = textItem('nun', { font: 'script', size: { by: 'cap', mm: 9 }, ring: ring({ acrossMm: 50 }) });
    const derived = deriveWrap(makeJob(lid, [text]), testFonts);
    if (!derived.ok) throw new Error(derived.problem.code);
    expect(derived.wrap.pieces).toHaveLength(1);
    // The circle's middle is the lid's, 44 mm down; the letters stand 25 mm above it.
    const { flatBox } = derived.wrap.pieces[0]!;
    expect(flatBox.maxY).toBeGreaterThan(-44 + 25);
    expect(flatBox.maxY).toBeLessThan(-44 + 25 + 14);
  });
});

import { describe, expect, it } from 'vitest';
import { findingsOf, fixed, projectOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, motifItem, mug, textItem } from '../../test/jobs.ts';
import { zonesOfBlank } from '../measure/zones.ts';
import { moveItem } from '../document/commands/apply.ts';
import type { Project } from '../model/project.ts';
import { examineProject } from '../pipeline.ts';
import { readNames } from '../io/csv/names.ts';
import { describeFinding } from '../proof/words.ts';
import type { NameList, NameRow } from '../model/names.ts';
import type { TextItem } from '../model/item.ts';
import { countAlike, fitName, pairForBothHands, severalAlike } from './name-list.ts';
import { ringText } from './ring-text.ts';

const row = (name: string, more: Partial<NameRow> = {}): NameRow => ({
  id: `row-${name}`,
  name,
  count: 1,
  hand: null,
  capMm: null,
  blankId: null,
  ...more,
});
const list = (rows: NameRow[], more: Partial<NameList> = {}): NameList => ({
  itemId: 'text-1',
  widthMm: 60,
  leastCapMm: 8,
  closeMm: 1,
  rows,
  ...more,
});
const item = textItem('Sample', { size: { by: 'cap', mm: 18 } });
const fit = (name: string, more: Partial<NameList> = {}) =>
  fitName(item, list([], more), row(name), testFonts.condensed, 18);

describe('fitName', () => {
  it('leaves a short name as the text is set', () => expect(fit('IDA')).toMatchObject({ capMm: 18, how: 'as is' }));

  it('is no higher than its place, where that has a height', () => {
    expect(fit('III', { heightMm: 9 }).capMm).toBeCloseTo(9, 2);
    expect(fit('III', { heightMm: 9 }).how).toBe('smaller');
    expect(fit('III', { heightMm: 40 })).toMatchObject({ capMm: 18, how: 'as is' });
    // What reaches below the line counts as well.
    expect(fit('Iggy', { heightMm: 9 }).capMm).toBeLessThan(8);
  });

  it('makes a longer one smaller in proportion, to the width and no further', () => {
    const wide = fit('ROSALIND', { widthMm: 1000 });
    const fitted = fit('ROSALIND');
    expect(fitted.how).toBe('smaller');
    expect(fitted.widthMm).toBeCloseTo(60, 6);
    expect(fitted.capMm).toBeCloseTo((18 * 60) / wide.widthMm, 6);
  });

  it('closes letters up once the capitals are as low as they may be, and then says what is over', () => {
    const natural = fit('ROSALIND', { widthMm: 1000, leastCapMm: 18 }).widthMm;
    // Seven gaps of at most a millimetre can make up 7 mm.
    const closed = fit('ROSALIND', { widthMm: natural - 5, leastCapMm: 18 });
    expect(closed).toMatchObject({ how: 'closed up', capMm: 18, overMm: 0 });
    expect(closed.letterGapMm).toBeCloseTo(-5 / 7, 6);
    const long = fit('ROSALIND', { widthMm: natural - 9, leastCapMm: 18 });
    expect(long.how).toBe('too long');
    expect(long.overMm).toBeCloseTo(2, 6);
  });

  it('round a circle is as large as its neighbours leave room for, and no smaller', () => {
    const ring = { acrossMm: 22, tops: 'out' as const, times: 2, between: 'star' as const };
    const round = textItem('WILLOW', { size: { by: 'cap', mm: 8 }, ring });
    const fitted = (name: string) => fitName(round, list([], { leastCapMm: 4 }), row(name), testFonts.condensed, 8);
    // Set by itself the word leaves half a millimetre to its stars.
    expect(fitted('WILLOW')).toMatchObject({ capMm: 8, how: 'as is', overMm: 0 });
    const longer = fitted('ROSALIND');
    expect(longer.how).toBe('smaller');
    const room = (capMm: number): number => ringText('ROSALIND', testFonts.condensed, capMm, 0, ring, false).room;
    expect(room(longer.capMm)).toBeCloseTo(0.3, 2);
    expect(fitted('MAXIMILIANA-ROSAMUNDE')).toMatchObject({ how: 'too long' });
  });

  it('takes a height that was set by hand as it is', () =>
    expect(fitName(item, list([]), row('ROSALIND', { capMm: 11 }), testFonts.condensed, 18)).toMatchObject({
      capMm: 11,
      how: 'by hand',
    }));
});

describe('readNames', () => {
  it('takes a name a line, with a count and a hand in any order', () => {
    expect(readNames('Name;How many;Hand\nRowan;2;left\n')).toEqual({
      names: [{ name: 'Rowan', count: 2, hand: 'left' }],
      leftOut: [],
    });
    expect(readNames('Rowan\nIda, 2\n"Fern, Jr", left, 3').names).toEqual([
      { name: 'Rowan', count: 1, hand: null },
      { name: 'Ida', count: 2, hand: null },
      { name: 'Fern, Jr', count: 3, hand: 'left' },
    ]);
  });

  it('says which lines it could not read, and takes the others', () => {
    const { names, leftOut } = readNames('Ida\tblue\n\n\t2\nFern');
    expect(names.map((n) => n.name)).toEqual(['Ida', 'Fern']);
    expect(leftOut.map((l) => l.line)).toEqual([1, 3]);
  });
});

describe('a job for a list of names', () => {
  const project = (rows: NameRow[], more: Partial<NameList> = {}): Project => ({
    ...projectOf(
      makeJob(mug(), [
        item,
        motifItem('oar', {
          widthMm: 7,
          placement: { facing: 'drinker', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 },
        }),
      ]),
    ),
    names: list(rows, more),
  });
  const examined = (p: Project) => {
    const result = examineProject(p, testFonts);
    if (!result.ok) throw new Error(result.problem.code);
    return result;
  };

  it('cuts every name as often as it is wanted, with all else that goes on', () => {
    const { cut, batch, sheet } = examined(project([row('IDA', { count: 2 }), row('ROWAN')]));
    expect(batch.map((one) => one.row.name)).toEqual(['IDA', 'ROWAN']);
    const parts = [...new Set(cut.map((p) => p.part))];
    expect(parts).toEqual(['ida', 'ida-2', 'rowan']);
    // Three letters twice and five letters, and the oar each time.
    const letters = batch.flatMap(({ pieces }) => pieces.filter((p) => p.itemIds.includes('text-1')).length);
    expect(letters).toEqual([3, 5]);
    expect(cut.length - batch[0]!.pieces.length).toBe(batch[0]!.pieces.length + batch[1]!.pieces.length);
    expect(sheet.plan.loads.flatMap((l) => l.strips.flatMap((s) => s.parts.map((p) => p.part))).sort()).toEqual(parts);
  });

  it('faces the other way for the other hand', () => {
    const { batch } = examined(project([row('IDA'), row('FERN', { hand: 'left' })]));
    const oars = batch.map(({ pieces }) => pieces.find((p) => p.itemIds.includes('motif-1'))!.azimuths[0]);
    expect(oars[0]).toBeGreaterThan(0);
    expect(oars[1]).toBeLessThan(0);
  });

  it('finds a name that does not fit; each of its fixes clears it', () => {
    const long = project([row('MAXIMILIANA-ROSAMUNDE')], { leastCapMm: 12 });
    const [finding] = findingsOf(long, 'names-overflow');
    expect(finding).toMatchObject({ severity: 'fails', case: 'too-long' });
    expect(describeFinding(finding!, 'mm').title).toContain('too long');
    for (const which of [0, 1])
      expect(findingsOf(fixed(long, finding!, which), 'names-overflow')[0]?.severity).toBe('fine');
    expect(findingsOf(project([row('IDA')]), 'names-overflow')).toMatchObject([{ severity: 'fine', case: 'fit' }]);
  });

  it('is judged name by name where it lies, not by the words that stand there', () => {
    // Capitals stand on the rim line; an accent reaches over it. The words themselves are too low to matter.
    const mugJob = project([row('IDA'), row('ÉMILE'), row('RENÉ')]);
    const { size } = examined(mugJob).wrap;
    const baseMm = size.side - zonesOfBlank(mugJob.blank, size).rim - 6.2;
    const stand: TextItem = {
      ...item,
      size: { by: 'cap', mm: 6 },
      placement: { ...item.placement, from: 'base', mm: baseMm },
    };
    const oar = mugJob.items[1]!;
    const found = findingsOf({ ...mugJob, items: [stand, oar] }, 'rim-zone');
    expect(found).toHaveLength(1);
    expect(describeFinding(found[0]!, 'mm').title).toMatch(/É.*and one more name/);
    expect(findingsOf(fixed({ ...mugJob, items: [stand, oar] }, found[0]!), 'rim-zone')).toEqual([]);
    // Without the two nothing is found, and with the list the words that it replaces are not judged at all.
    const plain = { ...mugJob, items: [{ ...stand, text: 'ÉÉÉ' }, oar], names: list([row('IDA')]) };
    expect(findingsOf(plain, 'rim-zone')).toEqual([]);
  });

  it('may be made on another blank, whose own zones and sizes count', () => {
    const low = { ...makeBlank({ girthRim: 250, side: 40 }), id: 'espresso', name: 'Small cup' };
    const two = { ...project([row('IDA'), row('FERN', { blankId: 'espresso' })]), otherBlanks: [low] };
    const { batch } = examined(two);
    expect(batch.map(({ on }) => on!.wrap.size.side)).toEqual([expect.closeTo(examined(two).wrap.size.side), 40]);
    // Letters keep their size; round a smaller cup the same width is a wider angle.
    const span = (i: number): number => {
      const own = batch[i]!.pieces.filter((p) => p.itemIds.includes('text-1'));
      return Math.max(...own.map((p) => p.azimuths[1])) - Math.min(...own.map((p) => p.azimuths[0]));
    };
    expect(batch[1]!.placed!.capHeight).toBe(batch[0]!.placed!.capHeight);
    const widths = batch.map(({ placed }) => placed!.box.maxX - placed!.box.minX);
    expect(span(1)).toBeCloseTo(widths[1]! / (250 / (2 * Math.PI)), 2);
    const unread = { ...low, readings: {} };
    expect(findingsOf({ ...two, otherBlanks: [unread] }, 'names-overflow')).toMatchObject([
      { case: 'blank', severity: 'fails', names: { name: 'FERN', on: 'Small cup' } },
    ]);
  });

  it('makes a right- and a left-handed pair without any words', () => {
    const pair = {
      ...project([]),
      names: list([row('Right-handed'), row('Left-handed', { hand: 'left' })], { itemId: null }),
    };
    const { batch, cut } = examined(pair);
    const oars = batch.map(({ pieces }) => pieces.find((p) => p.itemIds.includes('motif-1'))!.azimuths);
    expect(oars[1]![0]).toBeCloseTo(-oars[0]![1], 9);
    expect([...new Set(cut.map((p) => p.part))]).toEqual(['right-handed', 'left-handed']);
    // The words stay on both.
    for (const { pieces } of batch) expect(pieces.some((p) => p.itemIds.includes('text-1'))).toBe(true);
  });

  it('puts an item on both faces, opposite each other, mirrored if asked', () => {
    const faced = (alternate: boolean) =>
      examined(
        projectOf(
          makeJob(mug(), [
            motifItem('heron', {
              widthMm: 30,
              placement: { facing: 'faces', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 },
              repeat: { mode: 'once', count: 1, alternate },
            }),
          ]),
        ),
      ).wrap;
    const { placed, pieces } = faced(false);
    expect(placed[0]!.copies).toEqual([Math.PI / 2, expect.closeTo((3 * Math.PI) / 2)]);
    expect(pieces.reduce((sum, p) => sum + p.areaMm2, 0)).toBeCloseTo(
      faced(true).pieces.reduce((sum, p) => sum + p.areaMm2, 0),
      2,
    );
    // Nudged round they stay two.
    const moved = moveItem(placed[0]!.item, 10, 0, { hand: 'right' });
    expect(moved).toMatchObject({
      placement: { facing: 'angle', angleDeg: 100 },
      repeat: { mode: 'spaced', count: 2 },
    });
  });
});

describe('so many of one thing, all alike', () => {
  it('are a list of one row, and one of it is no list', () => {
    const four = severalAlike(4, 'Steel tumbler', () => 'r')!;
    expect(four.rows).toEqual([{ id: 'r', name: 'Steel tumbler', count: 4, hand: null, capMm: null, blankId: null }]);
    expect([four.itemId, severalAlike(1, 'Steel tumbler', () => 'r')]).toEqual([null, null]);
    expect([countAlike(four), countAlike(null)]).toEqual([4, 1]);
  });

  it('are told from names, pairs, and what is made on another blank', () => {
    const lists = [
      list([row('Ida')]),
      pairForBothHands('right', () => 'r'),
      list([row('Mug', { blankId: 'other' })], { itemId: null }),
      list([row('Mug', { hand: 'left' })], { itemId: null }),
      list([], { itemId: null }),
    ];
    expect(lists.map(countAlike)).toEqual([null, null, null, null, null]);
  });
});

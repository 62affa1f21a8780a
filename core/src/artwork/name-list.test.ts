import { describe, expect, it } from 'vitest';
import { findingsOf, fixed, projectOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeJob, motifItem, mug, textItem } from '../../test/jobs.ts';
import type { Project } from '../document/project.ts';
import { examineProject } from '../examine.ts';
import { readNames } from '../io/csv/names.ts';
import { describeFinding } from '../proof/words.ts';
import type { NameList, NameRow } from './name-list.ts';
import { fitName } from './name-list.ts';

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
    expect(batch.map((one) => one.fitted.row.name)).toEqual(['IDA', 'ROWAN']);
    const parts = [...new Set(cut.map((p) => p.part))];
    expect(parts).toEqual(['ida', 'ida-2', 'rowan']);
    // Three letters twice and five letters, and the oar each time.
    expect(cut.filter((p) => p.itemIds.includes('text-1'))).toHaveLength(3 + 3 + 5);
    expect(sheet.plan.loads.flatMap((l) => l.strips.map((s) => s.part)).sort()).toEqual(parts);
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
    for (const which of [0, 1]) expect(findingsOf(fixed(long, finding!, which), 'names-overflow')).toEqual([]);
    expect(findingsOf(project([row('IDA')]), 'names-overflow')).toEqual([]);
  });
});

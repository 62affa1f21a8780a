import { describe, expect, it } from 'vitest';
import { findingsOf, jobOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, motifItem, textItem } from '../../test/jobs.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { NameRow } from '../model/names.ts';
import type { Project } from '../model/project.ts';
import { lookWhole } from './advise.ts';
import { type OfMake, worthALookOf } from './of-makes.ts';

const ball = makeBlank({ girth: 252 }, { id: 'ball', kind: 'ball' });
const small = makeBlank({ girth: 220 }, { id: 'small', name: 'Small ball', kind: 'ball' });
const star = motifItem('star', { id: 'star', film: 'deep-water', widthMm: 44, running: 'rigid' });
const row = (name: string, blankId: string | null = null): NameRow => ({ id: name, name, count: 1, hand: 'right', capMm: null, blankId }); // prettier-ignore
const listed = (project: Project, itemId: string | null, ...rows: NameRow[]): Project => ({ ...project, otherBlanks: [small], names: { itemId, widthMm: 60, leastCapMm: 8, closeMm: 1, rows } as Project['names'] }); // prettier-ignore
const looksOf = (project: Project): OfMake[] => worthALookOf(project, testFonts, STARTING_MATERIALS, 0.1);

describe('what is worth a closer look, of everything on a list', () => {
  const job = jobOf(ball, star);

  it('is each shape once on each blank, where it curves most first', () => {
    const looks = looksOf(listed(job, null, row('Wren'), row('Fern', 'small'), row('Ivy')));
    expect(looks.map((one) => one.job.blank.id)).toEqual(['small', 'ball']);
    expect(looks.map(({ on }) => on.side.radiusAt(on.slant) * 2 * Math.PI)).toEqual([220, 252].map((v) => expect.closeTo(v, 6) as number)); // prettier-ignore
    expect(looksOf(job)).toHaveLength(1);
    expect(looksOf(listed(job, null, row('Fern', 'small')))).toHaveLength(1);
  });

  it('is found in Proof of the blank that it was looked at on', () => {
    const project = listed(job, null, row('Wren'), row('Fern', 'small'));
    const [first] = looksOf(project);
    const look = { of: first!.key, ...lookWhole(first!.piece.flat, first!.on, 0.1) };
    const found = findingsOf({ ...project, looked: [look] }, 'wrinkle').filter((one) => one.case === 'tents');
    expect(found.map(({ id }) => id)).toEqual(['wrinkle:star:on:small:right']);
    expect(found[0]!.numbers['tallest']).toBe(look.orders[0]!.tallestMm);
  });

  it('is the letters of each of its words, and not those that they take the place of', () => {
    const words = jobOf(ball, textItem('OX', { id: 'word' }));
    const keys = (project: Project): string[] => looksOf(project).map(({ key }) => key);
    const [two, one] = [keys(listed(words, 'word', row('O'), row('X'))), keys(listed(words, 'word', row('X')))];
    expect(one.length).toBeGreaterThan(0);
    expect(one.length).toBeLessThan(two.length);
    expect(two).toEqual(expect.arrayContaining(one));
  });

  it('is nothing where the blank cannot be flattened', () => {
    expect(looksOf({ ...job, blank: { ...ball, readings: {} } })).toEqual([]);
  });
});

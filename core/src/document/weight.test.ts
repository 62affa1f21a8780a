import { describe, expect, it } from 'vitest';
import { makeJob, plate, textItem, tumbler } from '../../test/jobs.ts';
import { projectOf } from '../../test/findings.ts';
import { describeHeavy, describeLeftOut, heavyItems, lightened } from './weight.ts';

const copies = (count: number) => ({ repeat: { mode: 'spaced' as const, count } });
const words = (id: string, letters: number, count: number) => textItem('x'.repeat(letters), { id, ...copies(count) });

describe('what makes a project heavy', () => {
  it('is nothing in a job of everyday size', () => {
    const project = projectOf(makeJob(tumbler(), [words('a', 20, 60), plate('b', 30, 20)]));
    expect(heavyItems(project)).toEqual([]);
    expect(describeHeavy(project)).toBeNull();
    expect(lightened(project).leftOut).toEqual([]);
  });

  it('is counted in outlines, letter by letter and copy by copy, for every name of a list', () => {
    // 360 letters 200 times round are 72 000 outlines, each of them more than can be waited for.
    const project = projectOf(makeJob(tumbler(), [words('a', 360, 200), words('b', 10, 2), words('c', 360, 100)]));
    expect(heavyItems(project).map(({ item, outlines }) => [item.id, outlines])).toEqual([['a', 72_000], ['c', 36_000], ['b', 20]]); // prettier-ignore
    expect(describeHeavy(project)).toMatch(/^“x{24}…” 200 times comes to 72000 outlines, 1 more like it$/);
    const { project: light, leftOut } = lightened(project);
    expect(light.items.map(({ id }) => id)).toEqual(['b']);
    expect(describeLeftOut(leftOut)).toMatch(/^Shown without “x+…” (\(\d of them\)), and not judged\.$/);
    const row = (i: number) => ({ id: `${i}`, name: 'Zoë', count: 1, hand: null, capMm: null, blankId: null });
    const names = {
      itemId: 'a',
      widthMm: 50,
      leastCapMm: 5,
      closeMm: 1,
      rows: Array.from({ length: 500 }, (_, i) => row(i)),
    };
    // 100 letters for each of 500 names.
    const list = projectOf(makeJob(tumbler(), [words('a', 100, 1)], { names }));
    expect(describeHeavy(list)).toMatch(/made for a list of 500/);
  });

  it('leaves to be shown no more than can be drawn for certain', () => {
    // 20 things of 1800 outlines: one of them is under 2500, two are not.
    const many = Array.from({ length: 20 }, (_, i) => words(`w${i}`, 9, 200));
    expect(lightened(projectOf(makeJob(tumbler(), many))).project.items).toHaveLength(1);
    const half = [words('a', 10, 125), words('b', 10, 125)];
    expect(lightened(projectOf(makeJob(tumbler(), half))).project.items).toHaveLength(2);
    expect(lightened(projectOf(makeJob(tumbler(), [...half, words('c', 1, 1)]))).project.items).toHaveLength(2);
  });
});

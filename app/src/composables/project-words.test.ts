import { newText, type GoodViewModel, type Project, type StripViewModel } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { demoProjects } from '../demo/demo.ts';
import { projectInWords, whereWords } from './project-words.ts';

const project: Project = {
  ...demoProjects('2026-05-04T10:00:00.000Z').find(({ id }) => id === 'demo-tumbler')!,
  items: [newText('cox', 'Cox', 'reed'), newText('bow', 'Bow', 'reed')],
};
const view = (size: object, template: object): GoodViewModel =>
  ({
    size,
    template,
    panels: [{}],
    pieces: [{}, {}],
    meanRadius: 40,
    items: [
      { itemId: 'cox', azimuth: 0, slant: 60, cutMm: { width: 30, height: 12 }, copies: [1] },
      { itemId: 'bow', azimuth: -1.5, slant: 60, cutMm: null, copies: [1, 2, 3] },
    ],
  }) as unknown as GoodViewModel;
const cup = view({ rim: { surface: 276 }, base: { surface: 214 }, side: 168 }, { closed: true, rimLength: 275, baseLength: 215 }); // prettier-ignore
const strip = (load: number, film: string): StripViewModel =>
  ({ load, film, from: 10, to: 110, across: 40 }) as unknown as StripViewModel;

describe('a project in words', () => {
  it('says where something is round the blank, the shorter way', () => {
    // 40 mm radius: half round is 125.7 mm, a radian is 40 mm.
    expect(whereWords(0.01, 40, true, 'mm')).toBe('in front');
    expect(whereWords(1, 40, true, 'mm')).toBe('40.0 mm to the right of the front');
    expect(whereWords(-0.5, 40, true, 'mm')).toBe('20.0 mm to the left of the front');
    expect(whereWords(2 * Math.PI - 0.5, 40, true, 'mm')).toBe('20.0 mm to the left of the front');
    expect(whereWords(-Math.PI, 40, true, 'mm')).toBe('at the back');
    expect(whereWords(25.4 / 40, 40, true, 'in')).toBe('1 in to the right of the front');
    expect(whereWords(0, 40, false, 'mm')).toBe('in the middle');
    expect(whereWords(-0.5, 40, false, 'mm')).toBe('20.0 mm to the left of the middle');
  });

  it('tells the blank, the template, what lies on it and the loads', () => {
    const words = projectInWords(project, cup, [strip(1, 'reed'), strip(1, 'none such'), strip(2, 'reed')], 'mm');
    expect(words.blank).toContain(
      '276.0 mm round the rim end and 214.0 mm round the base end, 168.0 mm along the side.',
    );
    expect(words.flat).toBe(
      'The template is 275.0 mm along the rim edge and 215.0 mm along the base edge, in one part, with 2 pieces of film.',
    );
    expect(words.artwork[0]).toMatch(
      /^Cox.*: 30 × 12 mm, in front, its middle 60.0 mm below the top of the template\.$/,
    );
    expect(words.artwork[1]).toMatch(/^Bow.*: 3 of them, the first 60.0 mm to the left of the front/);
    expect(words.loads).toHaveLength(2);
    expect(words.loads[0]).toMatch(/^Load 1: .* 100 × 40 mm; none such 100 × 40 mm\.$/);
  });

  it('says of a face how wide it is, and of what is not measured that it is not', () => {
    const face = view({ rim: { surface: 200 }, base: { surface: 200 }, side: 90 }, { closed: false, rimLength: 200 });
    expect(projectInWords(project, face, [], 'mm').blank).toContain('200.0 mm across and 90.0 mm from top to bottom.');
    // What has no side is known by its girth, or by how far it goes across.
    for (const [kind, words] of [['ball', '200.0 mm round.'], ['balloon', '200.0 mm round.'], ['lid', '200.0 mm across.']] as const) // prettier-ignore
      expect(projectInWords({ ...project, blank: { ...project.blank, kind } }, face, [], 'mm').blank.endsWith(`; ${words}`)).toBe(true); // prettier-ignore
    expect(projectInWords(project, null, [], 'mm')).toMatchObject({ flat: '', artwork: [] });
    expect(projectInWords(project, null, [], 'mm').blank).toContain('not measured yet');
  });
});

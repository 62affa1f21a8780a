import { describe, expect, it } from 'vitest';
import { contextOf, projectOf } from '../../test/findings.ts';
import { makeBlank, makeJob, motifItem, mug, textItem, tumbler, wave } from '../../test/jobs.ts';
import { planJob } from '../cut/job-sheet.ts';
import type { Project } from '../document/project.ts';
import { boardById } from '../sheet/board.ts';
import { benchSteps, holdTrueOver100, layingStyle, waitText, type BenchStep } from './steps.ts';

function steps(project: Project): BenchStep[] {
  const { wrap } = contextOf(project);
  return benchSteps(project, wrap, planJob(wrap.pieces, project.films, boardById(project.boardId)), 'mm');
}
const step = (project: Project, id: string): BenchStep => steps(project).find((s) => s.id === id)!;
const three = projectOf(
  makeJob(tumbler(), [wave(9), wave(9, { id: 'w2', film: 'shallows' }), textItem('COX', { film: 'ensign' })]),
);

describe('benchSteps', () => {
  it('goes from cleaning to curing, with one weeding step a film and a stack of the films in between', () => {
    expect(steps(three).map((s) => s.id)).toEqual([
      ...[
        'clean',
        'mark',
        'weed:deep-water',
        'weed:shallows',
        'weed:ensign',
        'stack',
        'tape',
        'aim',
        'lay',
        'seam',
        'take-off',
        'cure',
      ],
    ]);
    expect(step(three, 'stack').body).toMatch(/^Deep water, then Shallows, then Ensign/);
  });

  it('says how true the edge must be held for the ends to step by a millimetre', () => {
    const { wrap } = contextOf(three);
    // The rim chord of the sector: 2·(276/(62/168))·sin(31/168) = 274.4 mm; 1 mm over it is 0.364 mm over 100.
    const chord = 2 * (276 / (62 / 168)) * Math.sin(31 / 168);
    expect(holdTrueOver100(wrap)).toBeCloseTo(100 * Math.tan(Math.asin(1 / chord)), 9);
    expect(step(three, 'aim').body).toContain('Hold it true to 0.4 mm over 100 mm');
    expect(step(three, 'aim').body).toContain('Wider arc up, to the rim.');
  });

  it('lays faces from the middle, straight wraps from one end and strong tapers in halves', () => {
    const style = (project: Project): string => layingStyle(project, contextOf(project).wrap);
    expect(style(projectOf(makeJob(tumbler(), [textItem('COX')])))).toBe('centre out');
    expect(style(three)).toBe('one end round');
    // sin 4° = 0.0698: a difference of 90 mm over 168 mm of side is k = 0.085.
    const steep = makeBlank({ girthRim: 300, girthBase: 210, side: 168 });
    expect(style(projectOf(makeJob(steep, [wave(9)])))).toBe('two halves');
  });

  it('weeds counters first, and from the back when pieces are tiny', () => {
    const buoy = projectOf(makeJob(tumbler(), [motifItem('buoy')]));
    expect(step(buoy, 'weed:deep-water').body).toBe('First the 1 counter, then the ground round the pieces.');
    const tiny = projectOf(makeJob(tumbler(), [textItem('i.i.i', { size: { by: 'cap', mm: 5 } })]));
    expect(step(tiny, 'weed:deep-water').body).toMatch(/lay transfer tape over everything first/);
  });

  it('cautions where it matters and defers to labels', () => {
    expect(step(three, 'clean').caution).toMatch(/Alcohol burns/);
    expect(step(projectOf(makeJob(tumbler({ surface: 'painted' }), [textItem('COX')])), 'clean').caution).toBeNull();
    const foil = projectOf(makeJob(mug(), [textItem('COX', { film: 'brass' })]));
    expect(step(foil, 'cure').caution).toMatch(/microwave/);
    expect(step(foil, 'cure').waitMinutes).toBe(48 * 60);
  });

  it('measures the front from the handle, half way round', () => {
    expect(step(projectOf(makeJob(mug(), [textItem('COX')])), 'mark').body).toContain(
      '129.0 mm round from the handle’s middle'.replace('’', "'"),
    );
  });

  it('writes waits in minutes and hours', () =>
    expect([3, 119, 120, 2880].map(waitText)).toEqual(['3 min', '119 min', '2 h', '48 h']));
});

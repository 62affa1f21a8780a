import { describe, expect, it } from 'vitest';
import { contextOf, projectOf } from '../../test/findings.ts';
import { makeBlank, makeJob, motifItem, mug, plate, textItem, tumbler, wave } from '../../test/jobs.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import { planJob } from '../load/job-sheet.ts';
import type { Project } from '../model/project.ts';
import { boardById } from '../load/boards.ts';
import { coverage } from './facts.ts';
import type { BenchStep } from './step.ts';
import { holdTrueOver100, layingStyle } from './laying-style.ts';
import { benchSteps, waitText } from './steps.ts';

function steps(project: Project): BenchStep[] {
  const { wrap, makes } = contextOf(project);
  return benchSteps({
    job: project,
    wrap,
    sheet: planJob(wrap.pieces, project.films, boardById(project.boardId)),
    unit: 'mm',
    makes,
  });
}
const step = (project: Project, id: string): BenchStep => steps(project).find((s) => s.id === id)!;
const three = projectOf(
  makeJob(tumbler(), [wave(9), wave(9, { id: 'w2', film: 'shallows' }), textItem('COX', { film: 'ensign' })]),
);

describe('benchSteps', () => {
  it('says how true the edge must be held for the ends to step by a millimetre', () => {
    const { wrap } = contextOf(three);
    // The rim chord of the sector: 2·(276/(62/168))·sin(31/168) = 274.4 mm; 1 mm over it is 0.364 mm over 100.
    const chord = 2 * (276 / (62 / 168)) * Math.sin(31 / 168);
    expect(holdTrueOver100(wrap)).toBeCloseTo(100 * Math.tan(Math.asin(1 / chord)), 9);
    expect(step(three, 'aim').body).toContain('Hold its rim edge true to 0.4 mm over 100 mm');
    expect(step(three, 'aim').body).toContain('Wider arc up, to the rim.');
  });

  it('marks each face on its own side, in millimetres round from the handle', () => {
    // 258 mm round: half of it opposite, a quarter to either side. 5 mm of lip above a band of 92 mm.
    const facing = (where: 'front' | 'drinker' | 'room', hand: 'right' | 'left' = 'right'): string =>
      step(projectOf(makeJob(mug(), [plate('p', 64, 33, { running: 'level', placement: { facing: where, angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 } })], { hand })), 'mark').body; // prettier-ignore
    expect(facing('front')).toBe(
      'Opposite the handle, 129.0 mm round from its middle: its top 34.5 mm and its middle 51.0 mm below the rim.',
    );
    expect(facing('drinker')).toMatch(/^With the handle to your right, on the side that faces you, 64\.5 mm round/);
    expect(facing('room')).toMatch(/^With the handle to your left/);
    expect(facing('drinker', 'left')).toMatch(/^With the handle to your left/);
  });

  it('cuts tape a finger larger than the film, spares not counted', () => {
    const decal = projectOf(makeJob(mug(), [plate('p', 64, 33, { running: 'level', spares: 2 })]));
    expect(step(decal, 'tape:deep-water').body).toContain('Cut it 84 × 53 mm.');
    expect(step(decal, 'tape:deep-water').numbers).toMatchObject({ tapeWidthMm: expect.closeTo(84, 1), tapeHeightMm: expect.closeTo(53, 1), count: 1 }); // prettier-ignore
    expect(step(decal, 'weed:deep-water').title).toBe('Weed Deep water: 1 piece stays');
    expect(step(decal, 'aim').body).toContain('34.5 mm below the drinking edge');
  });

  it('counts a list for all that is made of it', () => {
    const row = (i: number, count: number) => ({
      id: `r${i}`,
      name: 'COX',
      count,
      hand: null,
      capMm: null,
      blankId: null,
    });
    const names = { itemId: 'text-1', widthMm: 100, leastCapMm: 5, closeMm: 0, rows: [row(1, 9), row(2, 5)] };
    const [one, all] = [
      projectOf(makeJob(mug(), [textItem('COX')])),
      projectOf(makeJob(mug(), [textItem('COX')], { names })),
    ];
    const single = new Map(steps(one).map((s) => [s.id, s.handsMinutes]));
    for (const { id, handsMinutes, title } of steps(all)) {
      // Laid out, cut and noted once for all; weeded by what there is of it.
      if (/^(weed|lay-out|place-film|test-cut|unload|trim|wrap-up)/.test(id)) continue;
      expect(handsMinutes, id).toBe(14 * single.get(id)!);
      if (id === 'clean') expect(title).toContain('14 of them');
    }
    // C, O and X, the O with its counter.
    expect(step(all, 'weed:deep-water').title).toContain('42 pieces stay');
    expect(step(all, 'weed:deep-water').body).toContain('14 counters');
    expect(step(all, 'tape:deep-water').body).toMatch(/^Medium tape\. Cut 14 sheets, the largest /);
  });

  it('knows a wrap by all of its pieces together', () => {
    const leaf = (i: number) => plate(`l${i}`, 11, 20, { running: 'level', placement: { facing: 'angle', angleDeg: i * 15, from: 'middle', mm: 0, turnDeg: 0 } }); // prettier-ignore
    const leaves = projectOf(
      makeJob(
        tumbler(),
        Array.from({ length: 24 }, (_, i) => leaf(i - 11)),
      ),
    );
    // 24 of 11 mm on 245 mm cover all of it, though each is under a twentieth.
    expect(coverage(contextOf(leaves).wrap.pieces)).toBeGreaterThan(0.97);
    expect(step(leaves, 'aim').title).toBe('Hang it on the marks');
    expect(steps(leaves).map(({ id }) => id)).toContain('seam');
    expect(layingStyle(leaves, contextOf(leaves).wrap)).toMatchObject({
      style: 'one end round',
      because: expect.stringMatching(/^Its film goes \d+ % of the way round/),
    });
  });

  it('ends as the job ends: no curing, washing or food where there is none', () => {
    const text = (project: Project): string =>
      steps(project).map(({ title, body, caution, check }) => [title, body, caution, check?.ask].join(' ')).join(' '); // prettier-ignore
    for (const process of ['strip', 'etch', 'blast', 'paint'] as const) {
      const job = projectOf(makeJob(mug(), [textItem('COX')], { process }));
      expect(step(job, process).caution).toMatch(/local codes and trained people/);
      expect(text(job)).not.toMatch(/cure|48 |food|microwave/i);
    }
    const pot = projectOf(makeJob(makeBlank({ girthRim: 400, girthBase: 300, side: 120 }, { surface: 'raw terracotta', rimClearanceMm: 0 }), [textItem('COX')])); // prettier-ignore
    expect(text(pot)).not.toMatch(/wash it|food|48/);
    // A day is a day, begun before anything else; all but the cleaning goes on beside it.
    expect(steps(pot)[0]).toMatchObject({ id: 'prepare', kind: 'prepare', waitMinutes: 1440 });
    expect(steps(pot)[0]!.beside).toContain('weed:deep-water');
    expect(steps(pot)[0]!.beside).not.toContain('clean');
    expect(step(pot, 'clean').waitMinutes).toBe(0);
    const balloon = makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', surface: 'latex', balloon: { gas: 'helium', hours: 2, shrinkPerDay: 2 } }); // prettier-ignore
    const float = projectOf(makeJob(balloon, [textItem('4', { running: 'rigid' })]));
    expect(step(float, 'keeps')).toMatchObject({ kind: 'hand-over', body: expect.stringMatching(/about 3 hours/) });
    expect(text(float)).not.toMatch(/cure|wash it|food/i);
  });

  it('lists what a mask leaves bare, with its sizes, before anything is laid on', () => {
    const flask = makeBlank({ girthRim: 228, side: 150 });
    const words = textItem('COX', { acts: { ...NO_ACTS, shapesOnly: true } });
    // A plate of 100 × 90 mm from the rim edge down: 128 mm beside it, and 60 mm below it all round.
    const mask = motifItem('plate', { id: 'mask', widthMm: 100, heightMm: 90, running: 'level', placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 0, turnDeg: 0 }, acts: { ...NO_ACTS, cutAway: [words.id] } }); // prettier-ignore
    const job = projectOf(makeJob(flask, [words, mask], { process: 'strip' }));
    expect(step(job, 'cover-rest').body).toMatch(/^128 × 90 mm beside it; 228 × 60 mm below it, all round\./);
    const ids = steps(job).map(({ id }) => id);
    expect(ids.indexOf('cover-rest')).toBe(ids.indexOf('strip') - 1);
    expect(step({ ...job, process: 'decal' }, 'cover-rest')).toBeUndefined();
    expect(step(projectOf(makeJob(flask, [textItem('COX')], { process: 'blast' })), 'cover-rest')).toBeUndefined();
  });

  it('writes waits in minutes and hours', () =>
    expect([3, 119, 120, 2880].map(waitText)).toEqual(['3 min', '119 min', '2 h', '48 h']));
});

import type { BlankSize, Project, FitCheck as Check } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { openWorkbench, press, type Workbench } from '../../../test/workbench.ts';
import { demoProjects } from '../../demo/demo.ts';

import { readProject } from '../../data/database.ts';
import FlatSlip from './FlatSlip.vue';

// The demo's tumbler has been tried already; here it has not.
const [tried, made] = demoProjects('2026-05-04T10:00:00.000Z');
// One thing on it is enough to know how thick its film is.
const plain = (job: Project): Project => ({ ...job, items: job.items.slice(0, 1), names: null });
const tumbler: Project = { ...plain(tried!), blank: { ...tried!.blank, fitCheck: null } };
const mug = plain(made!);
type Slip = ReturnType<Workbench['mount']>;
async function choose(slip: Slip, group: string, option: string, length?: string): Promise<void> {
  const found = slip.findAll('[role=radiogroup]').find((g) => g.attributes('aria-label') === group)!;
  await found
    .findAll('label')
    .find((b) => b.text() === option)!
    .trigger('click');
  if (length === undefined) return;
  const label = slip.findAll('label').find((l) => l.text() === `${group.split(',')[0]}, by`)!;
  await slip.get(`[id="${label.attributes('for')}"]`).setValue(length);
}
const size = (bench: Workbench): BlankSize => bench.viewModel.good!.size;

describe('the paper fit check', () => {
  it('turns what is seen on the paper into sizes, kept with their date, and undone in one step', async () => {
    const bench = await openWorkbench(tumbler);
    const before = size(bench);
    const slip = bench.mount(FlatSlip);
    await press(slip, 'It is wrapped');
    await choose(slip, 'At the rim, the ends', 'stand apart', '1.5 mm');
    await choose(slip, 'At the base, the ends', 'lap', '0.5 mm');
    expect(slip.text()).toContain('The way round at the rim is 1.5 mm more than the reading said.');
    expect(slip.text()).toContain('The way round at the base is 0.5 mm less than the reading said.');
    await press(slip, 'Take these sizes');
    await bench.settled();
    expect(size(bench)).toMatchObject({ fit: 'applied', side: before.side });
    expect(size(bench).rim.surface).toBeCloseTo(before.rim.surface + 1.5, 1);
    expect(size(bench).base.surface).toBeCloseTo(before.base.surface - 0.5, 1);
    // The template follows, with the film's own thickness on top.
    expect(bench.viewModel.good!.template.cone.girthRim).toBeCloseTo(size(bench).rim.surface + Math.PI * 0.07, 6);
    expect(slip.text()).toContain('Checked on the cup');
    await bench.project.flush();
    const check = (await readProject(tumbler.id))!.document.blank.fitCheck as Check;
    expect(check.seen).toEqual({ gapRimMm: 1.5, gapBaseMm: -0.5, standMm: 0 });
    bench.project.undo();
    await bench.settled();
    expect(size(bench).rim.surface).toBeCloseTo(before.rim.surface, 9);
  });

  it('keeps the date alone when everything meets', async () => {
    const bench = await openWorkbench(tumbler);
    const before = size(bench);
    const slip = bench.mount(FlatSlip);
    await press(slip, 'It is wrapped');
    expect(slip.text()).toContain('It fits as it is');
    await press(slip, 'Keep the date');
    await bench.settled();
    expect(size(bench).fit).toBe('applied');
    expect(size(bench).rim.surface).toBeCloseTo(before.rim.surface, 6);
  });

  it('asks about the handle on a mug, and notices a side that is not straight', async () => {
    const bench = await openWorkbench(mug);
    const slip = bench.mount(FlatSlip);
    await press(slip, 'It is wrapped');
    await choose(slip, 'At the rim, the ends', 'stop short', '3');
    expect(slip.text()).toContain('Rim and base differ by 3.0 mm');
    await choose(slip, 'At the base, the ends', 'stop short', '3');
    expect(slip.text()).toContain('The way round is 3.0 mm more than the reading said.');
  });

  it('takes no correction that is too much, and says when the readings have changed since', async () => {
    const bench = await openWorkbench(tumbler);
    const slip = bench.mount(FlatSlip);
    await press(slip, 'It is wrapped');
    await choose(slip, 'At the rim, the ends', 'lap', '60 mm');
    expect(slip.text()).toContain('Between 0.0 mm and 40.0 mm, please.');
    await press(slip, 'Keep the date');
    const { blank } = bench.project.doc!;
    const rim = blank.readings.girthRim!;
    const readings = { ...blank.readings, girthRim: { ...rim, takes: [{ typed: '270', mm: 270 }] } };
    bench.project.edit('Add a reading', (p) => ({ ...p, blank: { ...p.blank, readings } }));
    await bench.settled();
    expect(size(bench).fit).toBe('stale');
    expect(slip.text()).toContain('The readings have changed since');
    await press(slip, 'Undo the check');
    await bench.settled();
    expect(bench.project.doc!.blank.fitCheck).toBeNull();
  });
});

import { newText, type Project } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { openWorkbench, press } from '../../../test/workbench.ts';
import { until } from '../../../test/until.ts';
import { demoProjects } from '../../demo/demo.ts';

import { useSettings } from '../../stores/settings.ts';
import GlanceView from './GlanceView.vue';
import ProofSlip from './ProofSlip.vue';

const all = demoProjects('2026-05-04T10:00:00.000Z');
const [tumbler, list] = all as [Project, Project];
/** One of the mugs, without the list of names. */
const mug: Project = { ...list, names: null };
const lane = all.find((p) => p.id === 'demo-lane')!;

describe('In one glance', () => {
  it('shows what is on the side that is looked at', async () => {
    const bench = await openWorkbench(mug);
    const view = bench.mount(GlanceView, { project: mug, viewModel: bench.viewModel.good });
    await until(() => view.find('svg').exists());
    const films = (): string[] => view.findAll('path[fill-rule=evenodd]').map((p) => p.attributes('fill')!);
    const [deepWater, ensign] = ['#0F4C5C', '#E0623A'];
    expect(films()).toContain(deepWater);
    await press(view, 'Back');
    await until(() => !films().includes(deepWater!));
    // The oar faces the drinker, on a right-handed mug to the right of the front.
    await press(view, 'Drinker');
    await until(() => films().includes(ensign!));
  });

  it('tells from where it is seen, and how wide words may be, by the limits', async () => {
    const bench = await openWorkbench(tumbler);
    const view = bench.mount(GlanceView, { project: tumbler, viewModel: bench.viewModel.good });
    await until(() => /Words up to 65\.\d mm/.test(view.text()));
    expect(view.text()).toContain('Seen from 500 mm');
    useSettings().limits = { glanceDistance: 250 };
    await until(() => /Seen from 250 mm/.test(view.text()) && /Words up to [45]\d\.\d mm/.test(view.text()));
  });

  it('looks at a face straight on, with no sides to choose', async () => {
    const bench = await openWorkbench(lane);
    const view = bench.mount(GlanceView, { project: lane, viewModel: bench.viewModel.good });
    await until(() => view.find('svg').exists());
    expect(view.findAll('button')).toHaveLength(0);
    expect(view.text()).not.toContain('Words up to');
  });
});

describe('what a finding asks for', () => {
  it('leads to the paper check for a wrap that was never tried, and is gone once it was', async () => {
    const untried: Project = { ...tumbler, blank: { ...tumbler.blank, fitCheck: null } };
    const bench = await openWorkbench(untried);
    const slip = bench.mount(ProofSlip);
    expect(slip.text()).toContain('Its fit was not tried on paper');
    await press(slip, 'Check it on paper');
    await until(() => bench.router.currentRoute.value.params['stop'] === 'flat');
    bench.project.edit('Tried', (p) => ({ ...p, blank: tumbler.blank }));
    await bench.settled();
    expect(slip.text()).not.toContain('not tried on paper');
    expect(slip.get('h2').text()).toBe('Ready to cut');
  });

  it('shows a caution without holding anything up', async () => {
    const words = newText('words', 'COX', 'chalk');
    const bench = await openWorkbench({ ...tumbler, items: [words], process: 'strip' });
    const slip = bench.mount(ProofSlip);
    const care = slip.findAll('article').find((a) => a.text().includes('Stripper burns'))!;
    expect(care.text()).toContain('Take care');
    expect(care.text()).toContain('Gloves, goggles');
    expect(care.findAll('button').map((b) => b.text())).not.toContain('Accept it');
    expect(slip.get('h2').text()).toBe('Ready to cut');
  });
});

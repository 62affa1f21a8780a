import type { Project } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { openWorkbench, press } from '../../../test/workbench.ts';
import { demoProjects } from '../../demo/demo.ts';

import WhatIf from './WhatIf.vue';

const [tumbler, mug] = demoProjects('2026-05-04T10:00:00.000Z') as [Project, Project];

describe('What if', () => {
  it('says what the seam would show, in numbers that follow the sliders, and goes back to what was read', async () => {
    const bench = await openWorkbench(tumbler);
    const view = bench.mount(WhatIf, { viewModel: bench.viewModel.good, handleWidth: 0, lapMm: 1, unit: 'mm' });
    expect(view.text()).toContain('At the seam they meet.');
    // Nothing to go back from yet.
    expect(view.text()).not.toContain('As it was read');
    const slide = (label: string, value: string): Promise<void> =>
      view
        .get(
          `#${view
            .findAll('label')
            .find((l) => l.text() === label)!
            .attributes('for')}`,
        )
        .setValue(value);
    await slide('The whole cup is larger by', '2');
    // As deep down as the base fits, the same cone is two per cent of 214 mm too far round, all the way up.
    expect(view.text()).toMatch(/At the seam they gape 4\.[23] mm/);
    expect(view.text()).toContain('The lap of 1.0 mm does not cover it.');
    await press(view, 'As it was read');
    expect(view.text()).toContain('At the seam they meet.');
    await slide('Rim edge started off true by, over 100 mm', '1');
    expect(view.text()).toMatch(/The ends step by 2\.7 mm/);
  });

  it('has one girth for a straight blank', async () => {
    const bench = await openWorkbench(mug);
    const view = bench.mount(WhatIf, { viewModel: bench.viewModel.good, handleWidth: 22, lapMm: 0, unit: 'mm' });
    const labels = view.findAll('label').map((l) => l.text());
    expect(labels).toContain('The girth is more by');
    expect(labels).not.toContain('The base is more by');
  });
});

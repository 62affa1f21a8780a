import { nearFront, type Project } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { defineComponent } from 'vue';
import { openWorkbench } from '../../test/workbench.ts';
import { until } from '../../test/until.ts';
import { demoProjects } from '../demo/demo.ts';
import { useView } from '../stores/view.ts';
import { useFacing } from './useFacing.ts';

const all = demoProjects('2026-05-04T10:00:00.000Z');
const mug: Project = { ...all.find((p) => p.id === 'demo-mug')!, names: null };
const Turntable = defineComponent({ setup: () => (useFacing(), () => null) });
const deg = (facing: number): number => (nearFront(facing) * 180) / Math.PI;

describe('the side that is looked at', () => {
  it('is that of the words at first, and turns to what is selected only where that faces away', async () => {
    const [name, oar] = mug.items;
    const at = (angleDeg: number) => ({ facing: 'angle', angleDeg, from: 'rim', mm: 30, turnDeg: 0 }) as const;
    const bench = await openWorkbench({ ...mug, items: [{ ...name!, placement: at(-90) }, { ...oar!, placement: at(-75) }] }); // prettier-ignore
    bench.mount(Turntable);
    const view = useView();
    expect(deg(view.facing)).toBeCloseTo(-90, 6);
    view.selectedId = oar!.id;
    await new Promise((done) => setTimeout(done, 50));
    expect(deg(view.facing)).toBeCloseTo(-90, 6);
    view.facing = Math.PI / 2;
    view.selectedId = name!.id;
    await until(() => Math.abs(deg(view.facing) + 90) < 1e-6);
    // What was turned by hand stays so, whatever is edited.
    view.facing = 1;
    bench.project.edit('Rename', (p) => ({ ...p, name: 'Other' }));
    await bench.settled();
    expect(view.facing).toBe(1);
  });

  it('is the front of a bare cup, and a little beside a handle', async () => {
    for (const [id, facing] of [['demo-mug', 0.7], ['demo-tumbler', 0]] as const) {
      const bare = { ...all.find((p) => p.id === id)!, id: `bare-${id}`, items: [], names: null };
      const bench = await openWorkbench(bare);
      useView().facing = 2;
      bench.mount(Turntable);
      expect(useView().facing).toBe(facing);
    } // prettier-ignore
  });
});

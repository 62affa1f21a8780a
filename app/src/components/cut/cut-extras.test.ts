import type { Project } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { catchSaved, savedCount, savedFiles, type SavedFile } from '../../../test/saved-files.ts';
import { openWorkbench, press, type Workbench } from '../../../test/workbench.ts';
import { until } from '../../../test/until.ts';
import { demoProjects } from '../../demo/demo.ts';

import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import CutSlip from './CutSlip.vue';
import CutStage from './CutStage.vue';
import StackStage from './StackStage.vue';

const [tumbler, mug] = demoProjects('2026-05-04T10:00:00.000Z') as [Project, Project];
const tick = (slip: ReturnType<Workbench['mount']>, words: string): Promise<void> =>
  slip
    .get(
      `[id="${slip
        .findAll('label')
        .find((l) => l.text().startsWith(words))!
        .attributes('for')}"]`,
    )
    .setValue(true);
/** Cut files, out of their ZIP if there are several. */
async function written(): Promise<SavedFile['parts']> {
  await until(() => savedCount() > 0);
  return (await savedFiles()).flatMap((file) => (file.parts.length > 0 ? file.parts : [file]));
}
const names = (files: SavedFile['parts']): string[] => files.map((f) => f.name).sort();

it('takes the order of the films as it was changed last, before the stack is drawn with it', async () => {
  const bench = await openWorkbench(tumbler);
  Object.assign(globalThis, { EventSource: class { addEventListener = close; close = close; } }); // prettier-ignore
  useView().cutShows = 'stack';
  const stage = bench.mount(CutStage);
  await until(() => stage.findComponent(StackStage).exists());
  const [low, middle, top] = bench.viewModel.good!.stack.layers.map(({ layer }) => layer) as [string, string, string];
  stage.findComponent(StackStage).vm.$emit('move', top, 0);
  expect(bench.project.doc!.stack.order).toEqual([top, low, middle]);
  stage.findComponent(StackStage).vm.$emit('move', middle, 1);
  expect(bench.project.doc!.stack.order).toEqual([top, middle, low]);
  await bench.settled();
  stage.findComponent(StackStage).vm.$emit('move', low, 0);
  expect(bench.project.doc!.stack.order).toEqual([low, top, middle]);
});
const close = (): void => undefined;

describe('how cut files are written', () => {
  it('writes the format that is chosen, and remembers it on this device', async () => {
    const bench = await openWorkbench(tumbler);
    const slip = bench.mount(CutSlip);
    await press(slip, 'HPGL');
    await press(slip, 'Write cut files');
    const files = await written();
    expect(names(files)).toEqual(['stroke-seats-tumbler-load-1.hpgl']);
    // A pen for each of its three films.
    expect(files[0]!.content.match(/SP[1-9]/g)).toEqual(['SP1', 'SP2', 'SP3']);
    expect(useSettings().cutting.format).toBe('hpgl');
    expect(files[0]!.content).toMatch(/^IN;/);
  });

  it('cuts the test mark where there is room, and says where there is none', async () => {
    const bench = await openWorkbench(tumbler);
    const slip = bench.mount(CutSlip);
    await tick(slip, 'A file for each film as well');
    expect(slip.text()).not.toContain('No room');
    await tick(slip, 'Test cut first');
    await bench.settled();
    // The letters fill their strip; beside the waves there is room.
    expect(slip.text()).toContain('No room for it on Ensign');
    await press(slip, 'Write cut files');
    const marked = (await written()).filter((f) => f.content.includes('piece-test-mark'));
    expect(names(marked)).toEqual(['cut-1-deep-water.svg', 'cut-1-shallows.svg', 'load-1.svg']);
    expect(useSettings().cutting.singles).toBe(true);
  });

  it('mirrors this time only', async () => {
    const bench = await openWorkbench(tumbler);
    const first = bench.mount(CutSlip);
    const write = async (slip: typeof first): Promise<string> => {
      catchSaved();
      await press(slip, 'Write cut files');
      return (await written())[0]!.content;
    };
    const plain = await write(first);
    await tick(first, 'Mirrored');
    expect(await write(first)).not.toBe(plain);
    first.unmount();
    expect(await write(bench.mount(CutSlip))).toBe(plain);
  });

  it('lists a strip of film once, with how many parts are cut from it', async () => {
    const bench = await openWorkbench(mug);
    const slip = bench.mount(CutSlip);
    expect(slip.get('h2').text()).toBe('One load');
    expect(slip.text()).toContain('Deep water, 8 parts');
    await press(slip, /^Ensign, 8 parts, load 1$/);
    const files = await written();
    expect(files).toHaveLength(1);
    // One file for the film: every one of the eight leads back to its own template.
    expect(files[0]!.content.match(/data-to-template/g)).toHaveLength(8);
  });
});

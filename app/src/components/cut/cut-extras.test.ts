import type { Project } from '@mivet/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { openWorkbench, press, until, type Workbench } from '../../../test/workbench.ts';
import { demoProjects } from '../../demo/demo.ts';

const kept = vi.hoisted(() => ({ files: [] as { name: string; content: unknown }[] }));
vi.mock('../../data/database.ts', () => ({
  readProject: async () => null,
  writeProject: async () => ({ ok: true, revision: 1 }),
  writeSnapshot: async () => undefined,
}));
vi.mock('../../data/save-file.ts', async (original) => ({
  ...(await original<typeof import('../../data/save-file.ts')>()),
  saveFile: (name: string, content: unknown) => kept.files.push({ name, content }),
  saveZip: (_: string, files: { name: string; content: unknown }[]) => kept.files.push(...files),
}));

import { useSettings } from '../../stores/settings.ts';
import CutSlip from './CutSlip.vue';

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
const written = (): string[] => kept.files.map((f) => f.name).sort();

beforeEach(() => {
  kept.files = [];
});

describe('how cut files are written', () => {
  it('writes the format that is chosen, and remembers it on this device', async () => {
    const bench = await openWorkbench(tumbler);
    const slip = bench.mount(CutSlip);
    await press(slip, 'HPGL');
    await press(slip, 'Write cut files');
    await until(() => kept.files.length > 0);
    expect(written()).toEqual(['cut-1-deep-water.hpgl', 'cut-1-ensign.hpgl', 'cut-1-shallows.hpgl']);
    expect(useSettings().cutting.format).toBe('hpgl');
    expect(String(kept.files[0]!.content)).toMatch(/^IN;/);
  });

  it('cuts the test mark where there is room, and says where there is none', async () => {
    const bench = await openWorkbench(tumbler);
    const slip = bench.mount(CutSlip);
    expect(slip.text()).not.toContain('No room');
    await tick(slip, 'Test cut first');
    await bench.settled();
    // The letters fill their strip; beside the waves there is room.
    expect(slip.text()).toContain('No room for it on Ensign');
    await press(slip, 'Write cut files');
    await until(() => kept.files.length > 0);
    const marked = kept.files.filter((f) => String(f.content).includes('piece-test-mark')).map((f) => f.name);
    expect(marked.sort()).toEqual(['cut-1-deep-water.svg', 'cut-1-shallows.svg']);
  });

  it('mirrors this time only', async () => {
    const bench = await openWorkbench(tumbler);
    const first = bench.mount(CutSlip);
    const write = async (slip: typeof first): Promise<string> => {
      kept.files = [];
      await press(slip, 'Write cut files');
      await until(() => kept.files.length > 0);
      return String(kept.files.find((f) => f.name === 'cut-1-ensign.svg')!.content);
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
    await until(() => kept.files.length > 0);
    expect(kept.files).toHaveLength(1);
    // One file for the film: every one of the eight leads back to its own template.
    expect(String(kept.files[0]!.content).match(/data-to-template/g)).toHaveLength(8);
  });
});

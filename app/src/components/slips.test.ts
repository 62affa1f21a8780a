import { newText, type ArtworkItem, type Project } from '@mivet/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { onFullDisk } from '../../test/full-disk.ts';
import { savedCount, savedFiles, type SavedFile } from '../../test/saved-files.ts';
import { openWorkbench, press, type Workbench } from '../../test/workbench.ts';
import { until } from '../../test/until.ts';
import { demoProjects } from '../demo/demo.ts';
import { useLogbook } from '../stores/logbook.ts';
import { useRefusal } from '../stores/refusal.ts';

import PlacementFields from './artwork/PlacementFields.vue';
import BenchFinished from './bench/BenchFinished.vue';
import BenchStage from './bench/BenchStage.vue';
import CutSlip from './cut/CutSlip.vue';
import ProofSlip from './proof/ProofSlip.vue';
import StopStrip from './shell/StopStrip.vue';

const [tumbler, mug] = demoProjects('2026-05-04T10:00:00.000Z') as [Project, Project];
const words = (mm: number, from: 'rim' | 'base' = 'rim'): ArtworkItem => ({
  ...newText('words', 'COX', 'ensign'),
  placement: { facing: 'front', angleDeg: 0, from, mm, turnDeg: 0 },
});
const withItems = (...items: Project['items']): Project => ({ ...tumbler, items });

beforeEach(() => {
  document.body.innerHTML = '';
});

describe('Proof', () => {
  it('counts what fails before what wants a look, and fixes it', async () => {
    const bench = await openWorkbench(withItems(words(-4)));
    const slip = bench.mount(ProofSlip);
    expect(slip.get('h2').text()).toBe('One thing will fail');
    await press(slip, /^Move down/);
    await bench.settled();
    expect(slip.get('h2').text()).toBe('Ready to cut');
    expect(bench.project.past.map((s) => s.label)[0]).toMatch(/^Move down \d/);
    // 15 mm from the drinking edge, of which 6 mm lie above the band.
    expect(bench.project.doc!.items[0]!.placement.mm).toBeCloseTo(9, 1);
  });

  it('keeps an acceptance with its reason, and takes it back', async () => {
    const bench = await openWorkbench(withItems(words(3)));
    const slip = bench.mount(ProofSlip);
    expect(slip.get('h2').text()).toBe('One thing to look at');
    await press(slip, 'Accept it');
    await slip.get('form input').setValue('A vase');
    await slip.get('form').trigger('submit');
    await bench.settled();
    expect(slip.get('h2').text()).toBe('Ready to cut');
    expect(bench.project.doc!.accepted).toMatchObject([{ reason: 'A vase' }]);
    bench.project.undo();
    await bench.settled();
    expect(slip.get('h2').text()).toBe('One thing to look at');
  });

  it('says that there is nothing to judge before there is anything', async () => {
    const bare = await openWorkbench(withItems());
    expect(bare.mount(ProofSlip).text()).toContain('Place some artwork');
    const unread = await openWorkbench({ ...tumbler, blank: { ...tumbler.blank, readings: {} } });
    expect(unread.mount(ProofSlip).text()).toContain('The readings come first');
  });
});

describe('Cut', () => {
  it('adds up the job and writes one file a load', async () => {
    const bench = await openWorkbench({ ...tumbler, boardId: 'long' });
    const slip = bench.mount(CutSlip);
    expect(slip.get('h2').text()).toBe('One load');
    expect(slip.text()).toMatch(/8 pieces, 3 films, [\d.]+ m of cutting/);
    await press(slip, 'Write cut files');
    await until(() => savedCount() > 0);
    const [load] = (await savedFiles()) as [SavedFile];
    expect(load.name).toBe('stroke-seats-tumbler-load-1.svg');
    expect(slip.get('[role=status]').text()).toBe('Written: stroke-seats-tumbler-load-1.svg');
  });

  it('has nothing to write without artwork, and says what is too large', async () => {
    const bare = await openWorkbench(withItems());
    const empty = bare.mount(CutSlip);
    expect(empty.get('h2').text()).toBe('No load yet');
    expect(empty.findAll('button').every((b) => b.attributes('disabled') !== undefined)).toBe(true);
    const swell = { ...tumbler.items[0]!, heightMm: 110 } as ArtworkItem;
    const small = await openWorkbench({ ...withItems(swell), boardId: 'small' });
    const slip = small.mount(CutSlip);
    expect(slip.text()).toContain('Deep water does not fit');
    await slip.get('select').setValue('long');
    await small.settled();
    expect(slip.text()).not.toContain('does not fit');
    expect(small.project.doc!.boardId).toBe('long');
  });
});

describe('Where it sits', () => {
  const fields = (bench: Workbench, id: string, hasHandle: boolean) =>
    bench.mount(PlacementFields, {
      item: bench.project.doc!.items.find((i) => i.id === id)!,
      hasHandle,
      hand: bench.project.doc!.hand,
      unit: 'mm',
    });
  const select = async (bench: Workbench, id: string) => {
    const { useView } = await import('../stores/view.ts');
    useView().selectedId = id;
    return bench;
  };

  it('counts from another edge without moving the item', async () => {
    const bench = await select(await openWorkbench(withItems(words(42))), 'words');
    const before = bench.viewModel.good!.items[0]!;
    await press(fields(bench, 'words', false), 'base');
    await bench.settled();
    const after = bench.viewModel.good!.items[0]!;
    expect(bench.project.doc!.items[0]!.placement.from).toBe('base');
    expect(after.slant).toBeCloseTo(before.slant, 6);
    expect(bench.project.doc!.items[0]!.placement.mm).toBeCloseTo(168 - 42 - before.heightMm, 1);
  });

  it('offers drinker and room only where a handle tells which is which', async () => {
    const bench = await openWorkbench(mug);
    const texts = (hasHandle: boolean) =>
      fields(bench, 'demo-oar', hasHandle)
        .findAll('option')
        .map((o) => o.text());
    expect(texts(true)).toEqual([
      'Opposite the handle',
      'Facing the drinker',
      'Facing the room',
      'Both: drinker and room',
      'Elsewhere',
    ]);
    expect(texts(false)).toEqual(['In front', 'Elsewhere']);
  });

  it('keeps an angle within one turn and puts nonsense back', async () => {
    const bench = await select(await openWorkbench(mug), 'demo-oar');
    const turned = fields(bench, 'demo-oar', true).findAll('input').at(-1)!;
    await turned.setValue('ninety');
    expect((turned.element as HTMLInputElement).value).toBe('35°');
    await turned.setValue('400°');
    expect(bench.project.doc!.items.find((i) => i.id === 'demo-oar')!.placement.turnDeg).toBe(180);
  });
});

describe('Bench', () => {
  it('goes step by step, remembers what is done and starts again', async () => {
    const bench = await openWorkbench(tumbler);
    const stage = bench.mount(BenchStage);
    const count = bench.viewModel.good!.steps.length;
    expect(stage.text()).toContain(`step 1 of ${count}`);
    for (let i = 0; i < count; i++) await press(stage, /^Done/);
    expect(bench.project.doc!.bench.doneSteps).toHaveLength(count);
    expect(stage.text()).toContain('all done');
    const later = bench.mount(BenchStage);
    expect(later.text()).toContain('all done');
  });

  it('counts a wait down by the clock, also after coming back', async () => {
    const bench = await openWorkbench(tumbler);
    vi.useFakeTimers({ toFake: ['Date'] });
    vi.setSystemTime(new Date('2030-05-04T12:00:00Z'));
    const stage = bench.mount(BenchStage);
    // Cleaning waits for its alcohol; all that comes before it is done.
    const cleaning = bench.viewModel.good!.steps.findIndex(({ kind }) => kind === 'clean');
    for (let i = 0; i < cleaning; i++) await press(stage, /^Done/);
    vi.setSystemTime(new Date('2030-05-04T12:00:01Z'));
    await press(stage, 'Start the wait');
    expect(Object.values(bench.project.doc!.bench.waitsUntil)).toEqual(['2030-05-04T12:03:01.000Z']);
    vi.setSystemTime(new Date('2030-05-04T12:01:31Z'));
    const back = bench.mount(BenchStage);
    await until(() => back.get('[role=timer]').text() === '1:30 left');
    // What comes next hangs on the wait: one is asked before going past it, and stays where one is.
    const again = bench.mount(BenchStage);
    await press(again, 'Done, next');
    expect(again.text()).toContain('The wait is not over.');
    expect(again.text()).toContain(`step ${cleaning + 1} of`);
    await press(again, 'Go on all the same');
    expect(again.text()).toContain(`step ${cleaning + 2} of`);
    await press(again, 'Back');
    vi.setSystemTime(new Date('2030-05-04T12:04:00Z'));
    const over = bench.mount(BenchStage);
    await until(() => over.get('[role=timer]').text() === 'The wait is over.');
    vi.useRealTimers();
  });
});

describe('A run that is done', () => {
  it('is in the log once, and in the book as soon as there is room for it', async () => {
    const bench = await openWorkbench(tumbler);
    const page = bench.mount(BenchFinished, { steps: bench.viewModel.good!.steps });
    await useLogbook().load();
    const before = bench.project.doc!.log.length;
    await onFullDisk(async () => {
      await press(page, 'Write it into the log');
      await until(() => useRefusal().value);
      expect(useRefusal().value).toContain('the disk may be full');
    });
    expect([bench.project.doc!.log.length - before, useLogbook().entries.length]).toEqual([1, 0]);
    expect(page.text()).not.toContain('It is in the log');
    await press(page, 'Write it into the log');
    await until(() => page.text().includes('It is in the log'));
    expect([bench.project.doc!.log.length - before, useLogbook().entries.length]).toEqual([1, 1]);
    expect(useLogbook().entries[0]!.id).toBe(bench.project.doc!.log.at(-1)!.id);
  });
});

describe('The strip of stops', () => {
  it('shows what is ready and counts what wants a look', async () => {
    const bench = await openWorkbench(withItems(words(3)));
    const strip = bench.mount(StopStrip, { current: 'artwork' });
    const titles = () => strip.findAll('a').map((a) => a.attributes('title'));
    expect(titles()).toEqual([
      'Measure: ready',
      'Flat: ready',
      'Artwork: ready',
      'Proof: 1 to look at',
      'Cut: not done yet',
      'Bench: not done yet',
      'Log: not done yet',
    ]);
    expect(strip.get('[aria-current=step]').attributes('title')).toBe('Artwork: ready');
  });
});

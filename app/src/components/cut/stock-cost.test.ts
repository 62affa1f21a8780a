import type { StockThing } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { onFullDisk } from '../../../test/full-disk.ts';
import { openWorkbench, press, type Workbench } from '../../../test/workbench.ts';
import { until } from '../../../test/until.ts';
import { demoProjects } from '../../demo/demo.ts';
import { demoShelf } from '../../demo/demo-shelf.ts';
import { demoStock } from '../../demo/demo-stock.ts';

import { readLibrary, writeAll } from '../../data/database.ts';
import { useLibrary } from '../../stores/library.ts';
import { useSettings } from '../../stores/settings.ts';
import { useStock } from '../../stores/stock.ts';
import { useView } from '../../stores/view.ts';
import CostFields from './CostFields.vue';
import CutSlip from './CutSlip.vue';
import StackSlip from './StackSlip.vue';

const at = '2026-05-04T10:00:00.000Z';
const demo = (id: string): ReturnType<typeof demoProjects>[number] => demoProjects(at).find((p) => p.id === id)!;
/** A demo project with the demo's stock. */
async function openWithStock(id: string): Promise<Workbench> {
  const bench = await openWorkbench(demo(id));
  await writeAll([], { stock: demoStock(at) });
  await useStock().load(true);
  await bench.settled();
  return bench;
}
const things = async (): Promise<StockThing[]> =>
  (await readLibrary('stock')).kept.map(({ thing }) => thing).sort((a, b) => a.id.localeCompare(b.id));

describe('film from the shelf', () => {
  it('is booked off it, and can be put back', async () => {
    const bench = await openWithStock('demo-tumbler');
    const slip = bench.mount(CutSlip);
    await until(() => slip.text().includes('cut 53 mm off the roll'));
    expect(slip.text()).toContain('from an offcut');
    // 53 × 232 and 47 × 239 mm less 3 on every side, and a word of 17 × 66: with 10 to hold them by 67 × 246, 61 × 253 and
    // 37 × 86 mm, three times used off a roll of 300.
    expect(slip.text()).toContain('39 mm of 6.20 m');
    const before = await things();
    await press(slip, 'Book it');
    await until(() => slip.text().includes('film and tape are off the shelf'));
    const after = await things();
    expect(after.find((t) => t.id === 'demo-deep-water')).toMatchObject({ lengthMm: 3420 - 53 });
    expect(after.some((t) => t.id === 'demo-offcut-ensign')).toBe(false);
    expect(after.find((t) => t.id === 'demo-tape-clear')).toMatchObject({
      lengthMm: 6200 - Math.round(bench.viewModel.good!.tapeMm2 / (3 * 300)),
    });
    await until(() => slip.findAll('button').some((b) => b.text() === 'Undo booking' && !b.element.disabled));
    await press(slip, 'Undo booking');
    await until(() => !slip.text().includes('film and tape are off the shelf'));
    expect(await things()).toEqual(before);
  });

  it('is not said to be booked where that cannot be kept', async () => {
    const bench = await openWithStock('demo-tumbler');
    const slip = bench.mount(CutSlip);
    await until(() => slip.text().includes('cut 53 mm off the roll'));
    const before = await things();
    await onFullDisk(async () => {
      await press(slip, 'Book it');
      await until(() => slip.text().includes('the disk may be full'));
    });
    expect(slip.text()).not.toContain('off the shelf.');
    expect(await things()).toEqual(before);
    await press(slip, 'Book it');
    await until(() => slip.text().includes('film and tape are off the shelf'));
    expect(slip.text()).not.toContain('the disk may be full');
  });

  it('goes with the tape that is chosen, or without', async () => {
    const bench = await openWithStock('demo-tumbler');
    const slip = bench.mount(CutSlip);
    await until(() => slip.text().includes('Takes the film and the tape'));
    const roll = [...slip.findAll('select')].find((s) => s.text().includes('Paper roll'))!;
    // Used once, and half as wide: six times as much of it goes.
    await roll.setValue('demo-tape-paper');
    expect(slip.text()).toContain(`${Math.round(bench.viewModel.good!.tapeMm2 / 150)} mm of 700 mm`);
    await roll.setValue('none');
    expect(slip.text()).toContain('Takes the film off your shelf');
    await press(slip, 'Book it');
    await until(() => slip.text().includes('the film is off the shelf'));
    expect((await things()).filter((t) => t.kind === 'tape').map((t) => t.lengthMm)).toEqual([6200, 700]);
    useSettings().tapeId = '';
  });

  it('is not booked where nothing is known of it', async () => {
    const bench = await openWorkbench(demo('demo-tumbler'));
    const slip = bench.mount(CutSlip);
    expect(slip.text()).toContain('None of these films is in your stock');
    expect(slip.findAll('button').map((b) => b.text())).not.toContain('Book it');
  });

  it('costs what is gone for good, with blanks, tape and work', async () => {
    const bench = await openWithStock('demo-mug');
    useLibrary().shelf = demoShelf(at);
    const fields = bench.mount(CostFields);
    await fields.get('button[aria-expanded]').trigger('click');
    await until(() => fields.text().includes('Cost'));
    // Eight mugs at 4.50; 8 × 0.30; 20 minutes once and 8 × 12 at 15 an hour.
    expect(fields.text()).toMatch(/8 blanks\s*36\.00/);
    expect(fields.text()).toMatch(/Consumables\s*2\.40/);
    expect(fields.text()).toMatch(/Work\s*29\.00/);
    const [cost, ask] = [...fields.text().matchAll(/(?:Cost|markup)\s*(\d+\.\d\d)/g)].map((m) => Number(m[1]));
    expect(ask!).toBeCloseTo(1.4 * cost!, 1);
    // Made more often, what is done once is shared.
    const each = fields.findAll('tbody tr').map((row) => Number(row.findAll('td')[2]!.text()));
    expect(each).toEqual([...each].sort((a, b) => b - a));
  });
});

describe('the film stack on its slip', () => {
  it('is built another way, and each layer lined up by choice', async () => {
    const bench = await openWorkbench(demo('demo-heron'));
    useView().cutShows = 'stack';
    const slip = bench.mount(StackSlip);
    expect(slip.text()).not.toContain('Underlap');
    await press(slip, 'Inlay');
    expect(bench.project.doc!.stack.build).toBe('inlay');
    expect(slip.text()).toContain('Underlap');
    await bench.settled();
    // What marks would cost on a layer of one thing is planned when one looks.
    expect(bench.viewModel.good!.stack.layers.map((l) => l.marksMm2)).toContain(null);
    await until(() => /marks would cost (\d+ cm² of film|no film)/.test(slip.text()));
    const groups = slip.findAll('[role=radiogroup]').filter((g) => g.attributes('aria-label')?.includes('lined up'));
    expect(groups.map((g) => g.attributes('aria-label'))).toEqual([
      'How Ensign is lined up',
      'How Deep water is lined up',
      'How Shallows is lined up',
    ]);
    await groups[0]!.findAll('input')[1]!.setValue();
    expect(bench.project.doc!.stack.marks).toEqual({ ensign: 'marks' });
    await bench.settled();
    expect(slip.text()).toMatch(/marks: they cost/);
    await groups[0]!.findAll('input')[0]!.setValue();
    expect(bench.project.doc!.stack.marks).toEqual({});
  });
});

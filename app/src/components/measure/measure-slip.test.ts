import { describe, expect, it } from 'vitest';
import { openWorkbench, press, type Workbench } from '../../../test/workbench.ts';
import { demoShelf } from '../../demo/demo-shelf.ts';
import { demoProjects } from '../../demo/demo.ts';

import FlatSlip from '../flat/FlatSlip.vue';
import MeasureSlip from './MeasureSlip.vue';

const at = '2026-05-04T10:00:00.000Z';
const [tumbler] = demoProjects(at);
const on = (id: string) => ({ ...tumbler!, items: [], blank: demoShelf(at).find((e) => e.blank.id === id)!.blank });
type Slip = ReturnType<Workbench['mount']>;
const field = (slip: Slip, label: string) => slip.get(`input[aria-label="${label}"]`);
const girthNow = (bench: Workbench, i: number): number => bench.project.doc!.blank.stations[i]!.girth.takes[0]!.mm;

describe('a curved side on the slip', () => {
  it('takes what is typed as it is typed, keeps the lines in the order of their heights, and a log', async () => {
    const bench = await openWorkbench(on('demo-goblet'));
    const slip = bench.mount(MeasureSlip);
    await field(slip, 'Girth 2').setValue('10 1/2');
    expect(girthNow(bench, 1)).toBeCloseTo(266.7, 6);
    // What is no length is shown as wrong and leaves the last good one.
    await field(slip, 'Girth 2').setValue('10 1/');
    expect(girthNow(bench, 1)).toBeCloseTo(266.7, 6);
    expect(field(slip, 'Girth 2').classes()).toContain('is-invalid');
    await field(slip, 'Girth 2').trigger('blur');
    await field(slip, 'Height 2').setValue('70');
    await field(slip, 'Height 2').trigger('blur');
    const downs = bench.project.doc!.blank.stations.map(({ down }) => down.takes[0]?.mm);
    expect(downs).toEqual([0, 40, 60, 70, 80]);
    const log = bench.project.doc!.blank.readingLog;
    expect(log.map(({ did, mm }) => [did, Math.round(mm)])).toContainEqual(['taken', 70]);
    expect(log[0]).toMatchObject({ of: 'height-2/girth', did: 'taken out', mm: 262 });
    await press(slip, 'Add a height');
    expect(bench.project.doc!.blank.stations).toHaveLength(6);
    await slip.get('button[aria-label="Remove height 6"]').trigger('click');
    await bench.settled();
    expect(bench.viewModel.good!.size.kind).toBe('profile');
    expect(slip.text()).toContain('Reading history');
  });

  it('is changed on the drawn curve by keys, and says what cannot be', async () => {
    const bench = await openWorkbench(on('demo-goblet'));
    const slip = bench.mount(MeasureSlip);
    const before = girthNow(bench, 2);
    const grip = slip.findAll('[role=slider]')[2]!;
    await grip.trigger('keydown', { key: 'ArrowRight', shiftKey: true });
    expect(girthNow(bench, 2)).toBeCloseTo(before + 10, 0);
    await grip.trigger('keydown', { key: 'ArrowDown' });
    expect(bench.project.doc!.blank.stations[2]!.down.takes[0]!.mm).toBeCloseTo(41, 6);
    await field(slip, 'Girth 3').setValue('900');
    await bench.settled();
    expect(slip.text()).toContain('the girth changes faster than the side is long');
    expect(slip.findAll('tr.wrong')).toHaveLength(1);
  });

  it('becomes another kind and back without losing its heights', async () => {
    const bench = await openWorkbench(on('demo-goblet'));
    const slip = bench.mount(MeasureSlip);
    await press(slip, 'Lid');
    await bench.settled();
    expect(slip.text()).toContain('One reading, three with a hole');
    await press(slip, 'Curved side');
    await bench.settled();
    expect(bench.project.doc!.blank.stations).toHaveLength(5);
    expect(bench.viewModel.good).not.toBeNull();
  });
});

describe('ways to lay it flat', () => {
  it('are offered with their strain, and the band is ended where the film asks for it', async () => {
    const bench = await openWorkbench(on('demo-goblet'));
    const slip = bench.mount(FlatSlip);
    const ways = slip.findAll('[role=radio]').map((way) => way.text());
    expect(ways[0]).toMatch(/One band.*%.*will wrinkle/);
    expect(ways.some((way) => /bands.*lies flat/.test(way))).toBe(true);
    await press(slip, 'End the band here');
    await bench.settled();
    expect(bench.viewModel.good!.template.flattening.load).toBeLessThanOrEqual(1);
    await press(slip, /gores/);
    await bench.settled();
    const gores = bench.viewModel.good!.panels.length;
    await slip.get('button[aria-label="One more"]').trigger('click');
    await bench.settled();
    expect(bench.viewModel.good!.panels).toHaveLength(gores + 1);
    expect(slip.text()).toContain(`${gores + 1} pieces, each with its name`);
  });
});

describe('a balloon on the slip', () => {
  it('takes hours and loss per day, and leaves them when what is typed is nothing', async () => {
    const bench = await openWorkbench(on('demo-balloon'));
    const slip = bench.mount(MeasureSlip);
    const [hours] = slip.findAll('input[inputmode=decimal]');
    await hours!.setValue('30,5');
    expect(bench.project.doc!.blank.balloon.hours).toBe(30.5);
    for (const wrong of ['-3', 'soon', '']) await hours!.setValue(wrong);
    expect(bench.project.doc!.blank.balloon.hours).toBe(30.5);
    await press(slip, 'Helium');
    expect(slip.text()).toContain('That is 27.5 hours too few');
  });
});

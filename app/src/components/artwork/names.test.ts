import type { Project } from '@mivet/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { openWorkbench, press, type Workbench } from '../../../test/workbench.ts';
import { until } from '../../../test/until.ts';
import { demoProjects } from '../../demo/demo.ts';

import SeamCuts from '../stage/SeamCuts.vue';
import SeamFields from '../flat/SeamFields.vue';
import NameSlip from './NameSlip.vue';
import PairGaps from './PairGaps.vue';
import PartsPicker from './PartsPicker.vue';

const [tumbler, mug] = demoProjects('2026-05-04T10:00:00.000Z') as [Project, Project];
/** The same with three of its eight names: enough for each test, and sooner worked out. */
const list: Project = { ...mug, names: { ...mug.names!, rows: mug.names!.rows.slice(0, 3) } };
/** One line of words of the tumbler alone. */
const stroke = tumbler.items[2]!;
const oneLine: Project = { ...tumbler, items: [stroke] };
beforeEach(() => {
  document.body.innerHTML = '';
});

describe('the list of names', () => {
  let bench: Workbench;
  const names = (): string[] => bench.project.doc!.names!.rows.map((row) => row.name);
  const slip = () => bench.mount(NameSlip, { list: bench.project.doc!.names });

  beforeEach(async () => {
    bench = await openWorkbench(list);
  });

  it('takes pasted names with their counts and hands, and says how many', async () => {
    const view = slip();
    await view.get('textarea').setValue('Ash, 3\nElm, left');
    await view.get('form').trigger('submit');
    await until(() => names().length === 5);
    expect(bench.project.doc!.names!.rows.slice(-2)).toMatchObject([
      { name: 'Ash', count: 3, hand: null },
      { name: 'Elm', count: 1, hand: 'left' },
    ]);
    await bench.settled();
    expect(view.text()).toContain('2 names added.');
    bench.project.undo();
    expect(names()).toHaveLength(3);
  });

  it('says nothing of how they fit while that is still being worked out', async () => {
    const list = bench.project.doc!.names!;
    bench.project.doc = { ...bench.project.doc!, names: { ...list, rows: [...list.rows, { ...list.rows[0]!, id: 'new', name: 'Ash' }] } }; // prettier-ignore
    const view = slip();
    expect(view.text()).toContain('Fitting them…');
    expect(view.text()).not.toContain('largest capitals');
    await bench.settled();
    expect(view.text()).toContain('The largest capitals are 18.0 mm high.');
  });

  it('says which lines it left out', async () => {
    const view = slip();
    await view.get('textarea').setValue(', 3\nAsh');
    await view.get('form').trigger('submit');
    await until(() => names().length === 4);
    await bench.settled();
    expect(view.text()).toContain('Line 1: there is no name.');
  });

  it('sets one by hand and fits it again when the height is taken out', async () => {
    const view = slip();
    const cap = view.get('input[aria-label="Capitals of Tansy"]');
    await cap.setValue('12 mm');
    expect(bench.project.doc!.names!.rows[0]!.capMm).toBe(12);
    await bench.settled();
    expect(bench.viewModel.good!.names[0]).toMatchObject({ how: 'by hand', capMm: 12 });
    await cap.setValue('');
    expect(bench.project.doc!.names!.rows[0]!.capMm).toBeNull();
  });

  it('counts a name that does not fit among what fails', async () => {
    const view = slip();
    await view.get('input[aria-label="Name Tansy"]').setValue('Wilhelmina Ottoline of Willowmere');
    await bench.settled();
    await view.setProps({ list: bench.project.doc!.names } as never);
    expect(view.text()).toContain('One does not fit');
    expect(bench.viewModel.open.map((f) => f.finding.code)).toContain('names-overflow');
  });

  it('goes back to a single one', async () => {
    await press(slip(), 'Make it for one name only');
    expect(bench.project.doc!.names).toBeNull();
  });
});

describe('the seam', () => {
  it('is let wander, and says what it cuts', async () => {
    const bench = await openWorkbench(tumbler);
    const view = bench.mount(SeamFields);
    expect(view.text()).toMatch(/The seam cuts through \d/);
    await press(view, 'Between pieces');
    expect(bench.project.doc!.seam.way).toBe('wandering');
    await bench.settled();
    expect(view.text()).toContain('Only the band that runs all round is cut; it closes.');
  });

  it('divides a wrap; beside a handle there is nothing to run until it is divided', async () => {
    const bench = await openWorkbench({ ...mug, names: null });
    const view = bench.mount(SeamFields);
    expect(view.text()).not.toContain('Follows');
    await press(view, '2');
    await bench.settled();
    expect(view.text()).toContain('Follows');
    expect(bench.viewModel.good!.panels.map((p) => p.name)).toEqual(['panel 1 of 2', 'panel 2 of 2']);
  });

  it('asks what becomes of each piece that it cuts', async () => {
    const bench = await openWorkbench(oneLine);
    const cuts = [{ itemId: 'a', copy: 2, name: 'Buoy, 3 of 7', size: '4.0 mm cut', does: 'butt' }];
    const view = bench.mount(SeamCuts, { cuts });
    await press(view, 'Lay by hand');
    await press(view, 'Buoy, 3 of 7');
    expect(view.emitted('choose')).toEqual([['a', 2, 'leave-off']]);
    expect(view.emitted('show')).toEqual([['a']]);
  });
});

describe('single letters and parts', () => {
  it('are moved along the line by the arrow keys and by dragging', async () => {
    const bench = await openWorkbench(oneLine);
    const view = bench.mount(PairGaps, { item: stroke, unit: 'mm' });
    const letters = view.findAll('button');
    expect(letters.map((b) => b.text())).toEqual([...'STROKE']);
    // The first one stays where the line begins.
    await letters[0]!.trigger('keydown', { key: 'ArrowLeft' });
    await letters[1]!.trigger('keydown', { key: 'ArrowLeft' });
    await letters[2]!.trigger('keydown', { key: 'ArrowRight' });
    expect(view.emitted('change')).toEqual([[[{ after: 0, mm: -0.1 }]], [[{ after: 1, mm: 0.1 }]]]);
    expect(letters[1]!.attributes('aria-label')).toBe('T, 0.0 mm from where the font has it');
  });

  it('are turned, raised and sized by themselves, and plain again', async () => {
    const bench = await openWorkbench(oneLine);
    const view = bench.mount(PairGaps, { item: stroke, unit: 'mm', cap: 20 });
    await view.findAll('button')[2]!.trigger('focus');
    const set = async (label: string, value: string): Promise<void> => {
      const field = view
        .findAll('.row-line')
        .find((row) => row.text().includes(label))!
        .get('input');
      await field.setValue(value);
    };
    await set('Turned', '15');
    expect(view.emitted('letters')!.at(-1)).toEqual([[{ at: 2, turnDeg: 15, raise: 0, size: 1 }]]);
    await set('Raised', '5');
    // 5 mm of capitals of 20 mm.
    expect(view.emitted('letters')!.at(-1)).toEqual([[{ at: 2, turnDeg: 0, raise: 0.25, size: 1 }]]);
    await view.setProps({ item: { ...stroke, letters: [{ at: 2, turnDeg: 0, raise: 0, size: 1.5 }] } } as never);
    await set('Size', '100');
    expect(view.emitted('letters')!.at(-1)).toEqual([[]]);
  });

  it('are dropped by a press, and all come back', async () => {
    const bench = await openWorkbench(oneLine);
    const view = bench.mount(PartsPicker, { item: stroke });
    await until(() => view.findAll('path').length > 0);
    expect(view.findAll('path')).toHaveLength(6);
    await view.findAll('path')[1]!.trigger('click');
    const [[dropped]] = view.emitted('change') as [[[number, number][]]];
    expect(dropped).toHaveLength(1);
    const item = { ...stroke, acts: { ...stroke.acts, dropped } };
    await view.setProps({ item } as never);
    await until(() => view.text().includes('1 dropped.'));
    expect(view.findAll('path')[1]!.attributes('aria-pressed')).toBe('true');
    // Two more in quick succession, before it is drawn anew: whoever keeps the item takes each at once.
    let now = item;
    const onChange = (next: [number, number][]): void => {
      now = { ...now, acts: { ...now.acts, dropped: next } };
      void view.setProps({ item: now } as never);
    };
    await view.setProps({ onChange } as never);
    await view.findAll('path')[2]!.trigger('click');
    await view.findAll('path')[3]!.trigger('click');
    expect(now.acts.dropped).toEqual([dropped[0], expect.any(Array), expect.any(Array)]);
    expect(view.text()).toContain('3 dropped.');
    // One that is refused is not shown as if it were.
    await view.setProps({ onChange: () => undefined } as never);
    await view.findAll('path')[4]!.trigger('click');
    await nextTick();
    expect(view.text()).toContain('3 dropped.');
    await press(view, 'Restore all');
    expect(view.emitted('change')!.at(-1)).toEqual([[]]);
  });
});

import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { defineComponent, ref, type Ref } from 'vue';
import { openWorkbench, type Workbench } from '../../test/workbench.ts';
import { until } from '../../test/until.ts';
import { demoProjects } from '../demo/demo.ts';

import { useView } from '../stores/view.ts';
import { useGlobalKeys } from './useGlobalKeys.ts';
import { useProjectKeys } from './useProjectKeys.ts';
import { useGrowingList } from './useGrowingList.ts';

/** A component that does nothing but use something. */
const hosting = (use: () => unknown) =>
  defineComponent({
    setup: () => {
      use();
      return () => null;
    },
  });

let bench: Workbench;
let view: ReturnType<typeof useView>;
const press = (key: string, more: KeyboardEventInit = {}, on: EventTarget = document.body): void => {
  on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));
};
const placement = () => bench.project.doc!.items.find((i) => i.id === 'demo-stroke')!.placement;

beforeEach(async () => {
  document.body.innerHTML = '';
  bench = await openWorkbench(demoProjects('2026-05-04T10:00:00.000Z')[0]!);
  await bench.router.push('/project/demo-tumbler/artwork');
  bench.mount(hosting(() => (useGlobalKeys(), useProjectKeys())));
  view = useView();
  view.selectedId = 'demo-stroke';
});

describe('keys', () => {
  it('nudge by a millimetre, ten with Shift and a tenth with Alt', () => {
    press('ArrowDown');
    expect(placement().mm).toBeCloseTo(43, 9);
    press('ArrowDown', { shiftKey: true });
    expect(placement().mm).toBeCloseTo(53, 9);
    press('ArrowUp', { altKey: true });
    expect(placement().mm).toBeCloseTo(52.9, 9);
    // One millimetre round where the words are: 360° over the girth there.
    press('ArrowRight');
    const { cone } = bench.viewModel.good!.template;
    const slant = bench.viewModel.good!.items.find((i) => i.itemId === 'demo-stroke')!.slant;
    const girth = cone.girthRim + ((cone.girthBase - cone.girthRim) * slant) / cone.side;
    expect(placement().angleDeg).toBeCloseTo(360 / girth, 9);
  });

  it('leave what lies behind a dialog alone, and what has its key already', () => {
    const before = bench.project.doc;
    const pad = document.body.appendChild(document.createElement('div'));
    pad.addEventListener('keydown', (event) => event.preventDefault());
    press('ArrowUp', {}, pad);
    const dialog = document.body.appendChild(document.createElement('div'));
    dialog.className = 'modal show';
    for (const key of ['ArrowUp', 'Delete', 'd', '5', 's', '?']) press(key, {}, dialog);
    expect(bench.project.doc).toBe(before);
    expect(bench.router.currentRoute.value.params['stop']).toBe('artwork');
    expect([view.showSeam, view.showKeys]).toEqual([true, false]);
    // The sheet of keys is a dialog too, and goes by the key that it came by.
    view.showKeys = true;
    press('?', {}, dialog);
    expect(view.showKeys).toBe(false);
  });

  it('leave what is being typed alone', () => {
    const field = document.body.appendChild(document.createElement('input'));
    press('ArrowDown', {}, field);
    press('Delete', {}, field);
    press('s', {}, field);
    press('z', { ctrlKey: true }, field);
    expect(placement().mm).toBe(42);
    expect(view.showSeam).toBe(true);
    expect(bench.project.past).toHaveLength(0);
  });

  it('undo and redo', () => {
    press('ArrowDown');
    press('z', { ctrlKey: true });
    expect(placement().mm).toBe(42);
    press('Z', { metaKey: true, shiftKey: true });
    expect(placement().mm).toBeCloseTo(43, 9);
  });

  it('turn the blank, bring the chosen item to the front, and show or hide', () => {
    press(']');
    expect(view.facing).toBeCloseTo(Math.PI / 12, 12);
    press('b');
    expect(view.facing).toBe(0);
    for (const [key, what] of [
      ['s', 'showSeam'],
      ['G', 'showGlance'],
      ['h', 'showZones'],
    ] as const) {
      const before = view[what];
      press(key);
      expect(view[what]).toBe(!before);
    }
    press('?');
    expect(view.showKeys).toBe(true);
  });

  it('take away, let go, and put another one round', () => {
    press('d');
    expect(bench.project.doc!.items.find((i) => i.id === 'demo-stroke')!.repeat).toEqual({ mode: 'spaced', count: 2 });
    press('Escape');
    expect(view.selectedId).toBeNull();
    press('Delete');
    expect(bench.project.doc!.items).toHaveLength(3);
    view.selectedId = 'demo-stroke';
    press('Delete');
    expect(bench.project.doc!.items.map((i) => i.id)).toEqual(['demo-swell', 'demo-ripple']);
  });

  it('go to the stops by number, and nowhere by other numbers', async () => {
    press('4');
    await until(() => bench.router.currentRoute.value.params['stop'] === 'proof');
    press('9');
    press('0');
    await Promise.resolve();
    expect(bench.router.currentRoute.value.params['stop']).toBe('proof');
  });
});

describe('a list that grows', () => {
  it('draws the first part, then more, and never more than there is', async () => {
    const items = ref(Array.from({ length: 60 }, (_, i) => i));
    let list!: ReturnType<typeof useGrowingList<number>>;
    mount(hosting(() => (list = useGrowingList(() => items.value, ref(null) as Ref<HTMLElement | null>, 24))));
    expect([list.part.value.length, list.left.value]).toEqual([24, 36]);
    list.grow();
    list.grow();
    list.grow();
    expect([list.part.value.length, list.left.value]).toEqual([60, 0]);
    items.value = items.value.slice(0, 10);
    await Promise.resolve();
    items.value = Array.from({ length: 60 }, (_, i) => i);
    await Promise.resolve();
    expect(list.part.value.length).toBe(24);
  });
});

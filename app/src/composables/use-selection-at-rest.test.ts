import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { defineComponent, nextTick } from 'vue';
import { useView } from '../stores/view.ts';
import { useSelectionAtRest } from './useSelectionAtRest.ts';

beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers();
});
afterEach(() => void vi.useRealTimers());

const Slip = defineComponent({ setup: () => ({ shown: useSelectionAtRest() }), template: '<i>{{ shown }}</i>' });
const pointer = (what: string): boolean => window.dispatchEvent(new Event(what));

it('comes at once by the keyboard or a list, and for what is pressed when it is let go or the hand rests', async () => {
  const view = useView();
  const slip = mount(Slip);
  const select = async (id: string | null): Promise<string> => {
    view.selectedId = id;
    await nextTick();
    return slip.text();
  };
  expect(await select('crest')).toBe('crest');
  pointer('pointerdown');
  expect(await select('wave')).toBe('crest');
  pointer('pointerup');
  await nextTick();
  expect(slip.text()).toBe('wave');

  pointer('pointerdown');
  expect(await select('name')).toBe('wave');
  for (let moved = 0; moved < 1200; moved += 240) {
    pointer('pointermove');
    await vi.advanceTimersByTimeAsync(240);
    expect(slip.text()).toBe('wave');
  }
  await vi.advanceTimersByTimeAsync(20);
  expect(slip.text()).toBe('name');
  // What is gone is not shown on.
  expect(await select(null)).toBe('');
  slip.unmount();
});

import 'fake-indexeddb/auto';
import { NEW_RUN, newBlank, newProject, type Project } from '@mivet/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useLibrary } from './library.ts';
import { useWaits } from './waits.ts';

let made = 0;
const started: number[] = [];
class FakeSound {
  state = 'running';
  currentTime = 0;
  destination = {};
  constructor() {
    made++;
  }
  createOscillator(): object {
    return { frequency: {}, connect: (to: object) => to, start: (at: number) => void started.push(at), stop: () => 0 };
  }
  createGain(): object {
    return { gain: {}, connect: (to: object) => to };
  }
}

/** A project whose paint dries until a moment. */
const drying = (until: string): Project => ({
  ...newProject('p', 'Regatta mug', newBlank('b', 'ball', 'Ball'), null, '2026-01-01T00:00:00.000Z'),
  bench: { ...NEW_RUN, waitsUntil: { paint: until } },
});

beforeEach(() => {
  vi.useFakeTimers({ now: new Date('2026-01-01T10:00:00.000Z') });
  setActivePinia(createPinia());
  vi.stubGlobal('AudioContext', FakeSound);
  made = 0;
  started.length = 0;
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

it('gets no sound ready where nothing runs, and rings with one that a key got ready when a wait ends', () => {
  useWaits();
  window.dispatchEvent(new Event('pointerdown'));
  expect(made).toBe(0);
  useLibrary().projects = [drying('2026-01-01T10:00:30.000Z')];
  window.dispatchEvent(new Event('keydown'));
  window.dispatchEvent(new Event('pointerdown'));
  expect(made).toBe(1);
  vi.advanceTimersByTime(29_000);
  expect(started).toEqual([]);
  vi.advanceTimersByTime(2_000);
  expect(started).toHaveLength(3);
});

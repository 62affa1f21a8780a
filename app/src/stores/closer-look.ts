import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { watchApart } from '../workers/core-client.ts';
import type { LookPart } from '../workers/protocol.ts';
import { useProject } from './project.ts';
import { useSettings } from './settings.ts';

/** Looks that a project keeps; of more, the latest. */
const KEPT = 200;

/** Pieces of film laid by computation, in the background; what was found is noted in the project. */
export const useCloserLook = defineStore('closer-look', () => {
  const project = useProject();
  const settings = useSettings();
  const part = shallowRef<LookPart | null>(null);
  const problem = ref<string | null>(null);
  let stopWork: (() => void) | null = null;
  const running = computed(() => part.value !== null);
  /** Share of all that is being looked at. */
  const share = computed(() => (part.value ? (part.value.done + part.value.share) / Math.max(1, part.value.of) : 0));

  function stop(): void {
    stopWork?.();
    stopWork = null;
    part.value = null;
  }
  /** @param itemId one item; left out, whatever the forecast doubts and was not looked at yet */
  function start(itemId?: string): void {
    const doc = project.doc;
    if (!doc) return;
    stop();
    problem.value = null;
    part.value = { done: 0, of: 1, share: 0, itemId: itemId ?? '', found: null, settled: false };
    stopWork = watchApart(
      'look',
      { project: doc, limits: settings.limits, learnt: settings.learnt, ...(itemId === undefined ? {} : { itemId }) },
      (told) => {
        part.value = told;
        if (told.settled && told.found) keep(told.found);
      },
      (why) => {
        problem.value = why;
        part.value = null;
        stopWork = null;
      },
    );
  }
  function keep(found: NonNullable<LookPart['found']>): void {
    project.note((p) => ({ ...p, looked: [...(p.looked ?? []).filter(({ of }) => of !== found.of), found].slice(-KEPT) })); // prettier-ignore
  }
  watch(() => project.doc?.id, stop);

  return { part, problem, running, share, start, stop };
});

import { dueOf, type Project, type ProjectsPlan } from '@mivet/core';
import { useNow, watchDebounced } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { CoreJobs } from '../workers/protocol.ts';
import { askCore } from '../workers/core-client.ts';
import { useLibrary } from './library.ts';
import { useProject } from './project.ts';
import { useSettings } from './settings.ts';
import { useStock } from './stock.ts';

type Answer = CoreJobs['plan']['output'];

/** ms after a change until it is planned anew. */
const SETTLE_MS = 250;

/** The plan of all open projects: made anew whenever one of them changes, and every minute as time goes on. */
export const useSchedule = defineStore('schedule', () => {
  const library = useLibrary();
  const open = useProject();
  const settings = useSettings();
  const stock = useStock();
  const now = useNow({ interval: 30_000 });
  /** To the minute: nobody plans in seconds. */
  const minute = computed(() => Math.floor(now.value.getTime() / 60_000) * 60_000);
  /** Whether somebody looks at the plan. */
  const watched = ref(0);
  const answer = shallowRef<Answer | null>(null);
  const progress = ref<{ readonly done: number; readonly of: number } | null>(null);
  const failed = ref<string | null>(null);

  /** All projects, the open one as it stands. */
  const projects = computed<readonly Project[]>(() =>
    library.projects.map((one) => (one.id === open.doc?.id ? open.doc : one)),
  );
  /** Those that are handed over, the first one before the others. */
  const dated = computed(() =>
    projects.value.filter(({ handOver }) => handOver !== null).sort((a, b) => dueOf(a.handOver!) - dueOf(b.handOver!)),
  );
  const byId = computed(() => new Map(projects.value.map((one) => [one.id, one])));
  const plan = computed<ProjectsPlan | null>(() => answer.value?.plan ?? null);

  let asked: AbortController | null = null;
  async function make(): Promise<void> {
    if (watched.value === 0 || !library.loaded) return;
    asked?.abort();
    const mine = (asked = new AbortController());
    await stock.load();
    const { limits, unit, habits, learnt, hours } = settings;
    const shelves = { supply: stock.supply, things: stock.things, blanks: library.shelf };
    const input = { projects: dated.value, limits, unit, habits, learnt, hours, shelves, now: minute.value };
    try {
      const made = await askCore<'plan'>('plan', input, {
        signal: mine.signal,
        onPart: (part) => (progress.value = part),
      });
      if (asked !== mine) return;
      answer.value = made;
      failed.value = null;
    } catch (problem) {
      if (asked !== mine) return;
      failed.value = problem instanceof Error ? problem.message : String(problem);
    }
    progress.value = null;
  }
  watchDebounced(
    [dated, () => settings.hours, () => settings.habits, () => settings.learnt, () => settings.unit, () => stock.things, minute, watched, () => library.loaded], // prettier-ignore
    make,
    { debounce: SETTLE_MS, immediate: true },
  );

  return { now, minute, watched, answer, progress, failed, projects, dated, byId, plan };
});

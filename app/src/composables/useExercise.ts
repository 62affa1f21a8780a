import { type ExerciseId, GOES_KEPT, type Judged } from '@mivet/core';
import { computed, ref, shallowRef, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../stores/settings.ts';

/** One exercise under way. */
export interface Exercise<Task> {
  readonly task: ComputedRef<Task>;
  /** How it went; null while it is being done. */
  readonly judged: ShallowRef<Judged | null>;
  /** How often it was begun on this page: what is answered starts anew with it. */
  readonly begun: Ref<number>;
  /** Takes a judgement, and keeps its score. */
  hand(judged: Judged): void;
  /** Another one of its kind, or the same once more. */
  another(): void;
  again(): void;
}

/**
 * One exercise: which of its tasks it is, how it went, and what is kept of it. The task stands in the address, so that it
 * can be had again.
 *
 * @param make a task from its seed
 */
export function useExercise<Task>(id: ExerciseId, make: (seed: number) => Task): Exercise<Task> {
  const settings = useSettings();
  const [route, router] = [useRoute(), useRouter()];
  const asked = Number(route.query['task']);
  // Past all that was had: only the latest goes are kept, so that their number says nothing.
  const next = 1 + Math.max(0, ...(settings.practised[id] ?? []).map(({ task }) => task));
  const seed = ref(Number.isInteger(asked) && asked > 0 && asked < 1e6 ? asked : next);
  const judged = shallowRef<Judged | null>(null);
  const begun = ref(0);
  watch(seed, (task) => void router.replace({ query: { ...route.query, task: String(task) } }));
  const again = (): void => {
    judged.value = null;
    begun.value++;
  };
  return {
    task: computed(() => make(seed.value)),
    judged,
    begun,
    hand: (result) => {
      judged.value = result;
      const before = settings.practised[id] ?? [];
      const goes = [...before, { at: new Date().toISOString(), score: result.score, task: seed.value }].slice(
        -GOES_KEPT,
      );
      settings.practised = { ...settings.practised, [id]: goes };
    },
    another: () => {
      seed.value++;
      again();
    },
    again,
  };
}

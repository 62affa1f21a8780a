import type { FlattenOption, WayLaid } from '@mivet/core';
import { computed, onScopeDispose, ref, shallowRef, watch, type ComputedRef, type Ref } from 'vue';
import { useProject } from '../stores/project.ts';
import { useSettings } from '../stores/settings.ts';
import { watchApart } from '../workers/core-client.ts';

/** Ways to lay a side flat, laid by computation when that is asked for. */
export interface WaysLaid {
  readonly running: Ref<boolean>;
  readonly problem: Ref<string | null>;
  /** Whether any way was laid. */
  readonly any: ComputedRef<boolean>;
  of(option: Pick<FlattenOption, 'way' | 'parts'>): WayLaid | undefined;
  start(): void;
  stop(): void;
}

/** What was laid counts as long as the blank and its film stay as they are, whichever way is chosen. */
export function useWaysLaid(): WaysLaid {
  const project = useProject();
  const settings = useSettings();
  const found = shallowRef<readonly WayLaid[]>([]);
  const running = ref(false);
  const problem = ref<string | null>(null);
  let end = (): void => undefined;
  function stop(): void {
    end();
    running.value = false;
  }
  function start(): void {
    const { doc } = project;
    if (!doc) return;
    stop();
    [found.value, problem.value, running.value] = [[], null, true];
    end = watchApart(
      'layWays',
      { project: doc, learnt: settings.learnt },
      (way) => (found.value = [...found.value, way]),
      (why) => {
        running.value = false;
        problem.value = why;
      },
    );
  }
  watch(
    () => {
      const { blank, films, warm } = project.doc ?? {};
      return JSON.stringify([
        blank?.readings,
        blank?.flattening.keep,
        blank?.flattening.patchMm,
        films?.[0]?.finish,
        warm,
      ]);
    },
    () => {
      stop();
      found.value = [];
    },
  );
  onScopeDispose(stop);
  return {
    running,
    problem,
    any: computed(() => found.value.length > 0),
    of: ({ way, parts }) => found.value.find((one) => one.way === way && one.parts === parts),
    start,
    stop,
  };
}

import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { GoodPicture, ProjectPicture } from '../workers/protocol.ts';
import { askCore } from '../workers/core-client.ts';
import { useProject } from './project.ts';
import { useSettings } from './settings.ts';

/** What the core makes of the open project; always the latest, never two at once. */
export const usePicture = defineStore('picture', () => {
  const project = useProject();
  const settings = useSettings();
  const picture = shallowRef<ProjectPicture | null>(null);
  /** The last one that could be flattened, so that views do not blink while a reading is being typed. */
  const good = shallowRef<GoodPicture | null>(null);
  const failure = ref<string | null>(null);
  const busy = ref(false);
  let stale = false;

  async function refresh(): Promise<void> {
    if (busy.value) {
      stale = true;
      return;
    }
    busy.value = true;
    do {
      stale = false;
      const doc = project.doc;
      if (!doc) break;
      try {
        // While a thing is dragged, only the words of the job are worked out, not every name of its list.
        const now = project.dragging ? { ...doc, names: null } : doc;
        const made = await askCore('examine', { project: now, unit: settings.unit });
        if (project.doc?.id !== doc.id) continue;
        picture.value = made;
        if (made.ok) good.value = made;
        failure.value = null;
      } catch (problem) {
        failure.value = problem instanceof Error ? problem.message : String(problem);
      }
    } while (stale);
    busy.value = false;
  }

  watch(
    () => [project.doc, settings.unit, project.dragging] as const,
    ([doc], [before]) => {
      if (doc?.id !== before?.id) {
        picture.value = null;
        good.value = null;
      }
      void refresh();
    },
  );
  if (project.doc) void refresh();

  const open = computed(() =>
    picture.value?.ok
      ? picture.value.findings.filter((f) => f.finding.severity !== 'fine' && f.acceptedFor === null)
      : [],
  );
  return { picture, good, failure, busy, open };
});

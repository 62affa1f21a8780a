import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { GoodPicture, ProjectPicture, ShapePicture } from '../workers/protocol.ts';
import { askCore, CallGivenUp } from '../workers/core-client.ts';
import { useProject } from './project.ts';
import { useSettings } from './settings.ts';
import { useStock } from './stock.ts';

/** What the core makes of the open project; always the latest, never two at once. */
export const usePicture = defineStore('picture', () => {
  const project = useProject();
  const settings = useSettings();
  const stock = useStock();
  const picture = shallowRef<ProjectPicture | null>(null);
  /** The last one that could be flattened, so that views do not blink while a reading is being typed. */
  const good = shallowRef<GoodPicture | null>(null);
  const failure = ref<string | null>(null);
  const busy = ref(false);
  /** Whether what was found is older than what is shown. */
  const judging = ref(false);
  let stale = false;
  let judged: AbortController | null = null;

  /** The shape is shown as soon as it is there; what was found follows, unless something newer is wanted by then. */
  function showShape(part: ShapePicture, id: string): void {
    if (project.doc?.id !== id || !good.value || goodId !== id) return;
    good.value = { ...good.value, ...part };
    if (picture.value?.ok) picture.value = good.value;
    judging.value = true;
    if (stale) judged?.abort();
  }
  let goodId: string | null = null;

  async function refresh(): Promise<void> {
    if (busy.value) {
      stale = true;
      // Only what is judged is given up: a shape that is waited for comes first, or nothing would move while one drags.
      if (judging.value) judged?.abort();
      return;
    }
    busy.value = true;
    // Once at the beginning: a plan from nothing would only be made anew.
    if (!stock.loaded) await stock.load();
    do {
      stale = false;
      const doc = project.doc;
      if (!doc) break;
      try {
        // While a thing is dragged, only the words of the job are worked out, not every name of its list.
        const now = project.dragging ? { ...doc, names: null } : doc;
        judged = new AbortController();
        const made = await askCore(
          'examine',
          {
            project: now,
            unit: settings.unit,
            limits: settings.limits,
            supply: stock.supplyFor(doc),
            wish: settings.cutting,
          },
          { signal: judged.signal, onPart: (part) => showShape(part, doc.id) },
        );
        judging.value = false;
        if (project.doc?.id !== doc.id) continue;
        picture.value = made;
        if (made.ok) {
          good.value = made;
          goodId = doc.id;
        }
        failure.value = null;
      } catch (problem) {
        judging.value = false;
        if (problem instanceof CallGivenUp) continue;
        failure.value = problem instanceof Error ? problem.message : String(problem);
      }
    } while (stale);
    busy.value = false;
  }

  watch(
    () => [project.doc, settings.unit, project.dragging, settings.limits, settings.cutting, stock.supply] as const,
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
  return { picture, good, failure, busy, judging, open };
});

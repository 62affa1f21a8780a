import type { Project } from '@mivet/core';
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
  /** The newest shape: there before anything is judged. */
  const shape = shallowRef<ShapePicture | null>(null);
  /** The last one that could be flattened, with what was found, so that views do not blink while a reading is being typed. */
  const good = shallowRef<GoodPicture | null>(null);
  const failure = ref<string | null>(null);
  const busy = ref(false);
  /** Whether what was found is older than what is shown. */
  const judging = ref(false);
  /** The project, as it stood, that the last answer was about, and whether it could be flattened. */
  const answered = shallowRef<{ readonly doc: Project; readonly ok: boolean } | null>(null);
  let stale = false;
  let judged: AbortController | null = null;

  /** The shape is shown as soon as it is there; what was found follows, unless something newer is wanted by then. */
  function showShape(part: ShapePicture, doc: Project): void {
    if (project.doc?.id !== doc.id) return;
    shape.value = part;
    answered.value = { doc, ok: true };
    judging.value = true;
    if (good.value && goodId === doc.id) {
      good.value = { ...good.value, ...part };
      if (picture.value?.ok) picture.value = good.value;
    }
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
          { signal: judged.signal, onPart: (part) => showShape(part, doc) },
        );
        judging.value = false;
        if (project.doc?.id !== doc.id) continue;
        picture.value = made;
        if (made.ok) {
          good.value = made;
          // The shape is drawn once, when it came ahead of the rest.
          if (answered.value?.doc !== doc) shape.value = made;
          goodId = doc.id;
        }
        answered.value = { doc, ok: made.ok };
        failure.value = null;
      } catch (problem) {
        judging.value = false;
        if (problem instanceof CallGivenUp) continue;
        answered.value = { doc, ok: false };
        failure.value = problem instanceof Error ? problem.message : String(problem);
      }
    } while (stale);
    busy.value = false;
  }

  /**
   * Does something with the picture once that shows the project as it is then: what is asked of a thing just placed
   * waits for it. Nothing is done when the project was left by then, or cannot be flattened. Who waits is served in
   * turn, each with what the one before changed.
   */
  function whenShown(act: (shape: ShapePicture) => void): Promise<void> {
    const id = project.doc?.id;
    const turn = lastTurn
      .then(() => shownNow(id))
      .then((shown) => {
        if (shown) act(shown);
      });
    lastTurn = turn.catch(() => undefined);
    return turn;
  }
  let lastTurn: Promise<void> = Promise.resolve();
  const shownNow = (id: string | undefined): Promise<ShapePicture | null> =>
    new Promise((resolve) => {
      const stop = watch(
        () => project.doc === answered.value?.doc || project.doc?.id !== id,
        (there) => {
          if (!there) return;
          resolve(project.doc?.id === id && answered.value?.ok ? shape.value : null);
          void Promise.resolve().then(() => stop());
        },
        { immediate: true },
      );
    });

  watch(
    () => [project.doc, settings.unit, project.dragging, settings.limits, settings.cutting, stock.supply] as const,
    ([doc], [before]) => {
      if (doc?.id !== before?.id) {
        picture.value = null;
        good.value = null;
        shape.value = null;
      }
      void refresh();
    },
  );
  if (project.doc) void refresh();

  /** Whether nothing is known yet of the open project, good or bad, because it is still being worked out. */
  const awaited = computed(() => project.doc !== null && picture.value === null && failure.value === null);
  const open = computed(() =>
    picture.value?.ok
      ? picture.value.findings.filter((f) => f.finding.severity !== 'fine' && f.acceptedFor === null)
      : [],
  );
  return { picture, shape, good, failure, busy, judging, awaited, open, whenShown };
});

import type { GoodViewModel, Project, ProjectViewModel, ShapeViewModel } from '@mivet/core';
import { describeHeavy, heavyItems } from '@mivet/core';
import { watchDebounced } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { askCore, CallGivenUp, LEFT, TookTooLong } from '../workers/core-client.ts';
import { useProject } from './project.ts';
import { useSettings } from './settings.ts';
import { useStock } from './stock.ts';
import { useView, type Dragged } from './view.ts';

/** Why a project is not shown that takes too long, in words. */
const heavyWords = (doc: Project): string => {
  const heavy = describeHeavy(doc);
  return `It takes longer than anybody waits for.${heavy ? ` ${heavy}.` : ''} Open it without judging it to make it lighter.`;
};

/**
 * What the core leaves between two shapes, by how long the last one took and in ms at most: while a value is drawn along, and
 * while an item is dragged, which follows the hand by itself. Then it goes on as soon as the hand rests.
 */
const BREATH = { drawn: { times: 1, mostMs: 120 }, dragged: { times: 5, mostMs: 700 } };
/** ms without a move, by which a hand is taken to rest. */
const REST_MS = 100;

/** What the core makes of the open project; always the latest, never two at once. */
export const useViewModel = defineStore('view-model', () => {
  const project = useProject();
  const settings = useSettings();
  const stock = useStock();
  const view = useView();
  const viewModel = shallowRef<ProjectViewModel | null>(null);
  /** The newest shape: there before anything is judged. */
  const shape = shallowRef<ShapeViewModel | null>(null);
  /** The last one that could be flattened, with what was found, so that views do not blink while a reading is being typed. */
  const good = shallowRef<GoodViewModel | null>(null);
  const failure = ref<string | null>(null);
  /** Whether it failed because it takes too long: then it can be opened without being judged. */
  const tooHeavy = ref(false);
  /** Projects that are opened without being judged, as they were then: until they are light enough. */
  const asked = shallowRef<ReadonlyMap<string, Project['items']>>(new Map());
  const busy = ref(false);
  /** Whether what was found is older than what is shown. */
  const judging = ref(false);
  /** The project, as it stood, that the last answer was about, and whether it could be flattened. */
  const answered = shallowRef<{ readonly doc: Project; readonly ok: boolean } | null>(null);
  /** How far what is dragged was when the shape was asked for that is shown. */
  const shownDrag = shallowRef<Dragged | null>(null);
  let stale = false;
  let judged: AbortController | null = null;

  function showDrag(drag: Dragged | null): void {
    shownDrag.value = drag;
    if (!drag && !project.dragging) view.letGo();
  }

  /** The shape is shown as soon as it is there; what was found follows, unless something newer is wanted by then. */
  function showShape(part: ShapeViewModel, doc: Project, drag: Dragged | null): void {
    if (project.doc?.id !== doc.id) return;
    shape.value = part;
    showDrag(drag);
    answered.value = { doc, ok: true };
    judging.value = true;
    if (good.value && goodId === doc.id) {
      good.value = { ...good.value, ...part };
      if (viewModel.value?.ok) viewModel.value = good.value;
    }
    if (stale) judged?.abort();
  }
  let goodId: string | null = null;

  /** While something is dragged, the page has time for itself. */
  const breathe = async (tookMs: number): Promise<void> => {
    if (!project.dragging) return;
    const { times, mostMs } = view.dragged ? BREATH.dragged : BREATH.drawn;
    await new Promise<void>((go) => {
      const done = (): void => {
        clearTimeout(longest);
        for (const stop of heard) stop();
        go();
      };
      const longest = setTimeout(done, Math.min(mostMs, times * tookMs));
      const heard = [
        watch(() => project.dragging, done),
        ...(view.dragged ? [watchDebounced(() => view.dragged, done, { debounce: REST_MS, immediate: true })] : []),
      ];
    });
  };

  async function refresh(): Promise<void> {
    if (busy.value) {
      stale = true;
      // Only what is judged is given up: a shape that is waited for comes first, or nothing would move while one drags.
      if (judging.value) judged?.abort();
      return;
    }
    busy.value = true;
    // Once at the beginning: a plan from nothing would only be made again.
    if (!stock.loaded) await stock.load();
    let began: number | null = null;
    do {
      if (began !== null) await breathe(performance.now() - began);
      stale = false;
      const doc = project.doc;
      if (!doc) break;
      const drag = project.dragging ? view.draggedInDoc : null;
      began = performance.now();
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
            options: settings.cutting,
            habits: settings.habits,
            learnt: settings.learnt,
            unjudged: isUnjudged(doc),
          },
          { signal: judged.signal, onPart: (part) => showShape(part, doc, drag) },
        );
        judging.value = false;
        if (project.doc?.id !== doc.id) continue;
        viewModel.value = made;
        if (made.ok) {
          good.value = made;
          // The shape is drawn once, when it came ahead of the rest; what is not judged comes whole.
          if (answered.value?.doc !== doc || made.unjudged !== null) {
            shape.value = made;
            showDrag(drag);
          }
          goodId = doc.id;
        }
        answered.value = { doc, ok: made.ok };
        if (!made.ok) showDrag(null);
        failure.value = null;
        tooHeavy.value = false;
        if (made.ok && !stale && made.findings.some(({ trying }) => trying)) void tryFixes(doc);
      } catch (problem) {
        judging.value = false;
        if (problem instanceof CallGivenUp) continue;
        if (project.doc?.id !== doc.id) continue;
        answered.value = { doc, ok: false };
        // What was found before is of another project by now, or of this one as it was: nothing of it is shown as today's.
        viewModel.value = null;
        good.value = null;
        showDrag(null);
        tooHeavy.value = problem instanceof TookTooLong;
        failure.value = tooHeavy.value ? heavyWords(doc) : problem instanceof Error ? problem.message : String(problem);
      }
    } while (stale);
    busy.value = false;
  }

  let trial: AbortController | null = null;
  /** Has the fixes of what was found tried out, when nothing else is asked for; they are offered as they come back. */
  async function tryFixes(doc: Project): Promise<void> {
    trial?.abort(LEFT);
    const mine = (trial = new AbortController());
    const input = { project: doc, limits: settings.limits, learnt: settings.learnt, supply: stock.supplyFor(doc) };
    const tried = await askCore('fixes', input, { later: true, signal: mine.signal }).catch(() => null);
    if (mine.signal.aborted || project.doc !== doc || !viewModel.value?.ok) return;
    // What could not be tried is not offered.
    const findings =
      tried ??
      viewModel.value.findings.map(({ finding, acceptedFor }) => ({ finding: { ...finding, fixes: [] }, acceptedFor }));
    good.value = viewModel.value = { ...viewModel.value, findings };
  }

  /**
   * Does something with the picture once it shows the project as it is: what is asked of a thing just placed waits for
   * that. Nothing is done when the project was left by then, or cannot be flattened. Callers run in order; each sees the
   * changes of the one before.
   */
  function whenShown(act: (shape: ShapeViewModel) => void): Promise<void> {
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
  /**
   * The open project with every change that waits for the picture in it: no file is written before. One that is left
   * meanwhile is as it was when it was asked for.
   */
  async function changesMade(): Promise<Project> {
    const asked = project.doc!;
    await lastTurn;
    return project.latestOf(asked);
  }
  const shownNow = (id: string | undefined): Promise<ShapeViewModel | null> =>
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

  const isUnjudged = (doc: Project): boolean => {
    const then = asked.value.get(doc.id);
    return then !== undefined && (then === doc.items || heavyItems(doc).length > 0);
  };

  /** Shows the open project without judging it, and without what makes it too heavy. */
  function openUnjudged(): void {
    if (!project.doc) return;
    asked.value = new Map([...asked.value, [project.doc.id, project.doc.items]]);
    failure.value = null;
    void refresh();
  }
  /** Tries once more. */
  function again(): void {
    asked.value = new Map([...asked.value].filter(([id]) => id !== project.doc?.id));
    failure.value = null;
    void refresh();
  }

  watch(
    () =>
      [
        project.doc,
        settings.unit,
        project.dragging,
        settings.limits,
        settings.cutting,
        settings.habits,
        settings.learnt,
        stock.supply,
      ] as const,
    ([doc], [before]) => {
      // Fixes of what is no longer so are of no use to anybody.
      trial?.abort(LEFT);
      if (doc?.id !== before?.id) {
        viewModel.value = null;
        good.value = null;
        shape.value = null;
        failure.value = null;
        tooHeavy.value = false;
        // The other project's pending work has no caller any more.
        judged?.abort(LEFT);
      }
      // Nothing of another kind of blank is shown on this one, not even for a moment.
      if (doc && before && doc.id === before.id && doc.blank.kind !== before.blank.kind) {
        shape.value = null;
        good.value = null;
        viewModel.value = null;
      }
      void refresh();
    },
  );
  if (project.doc) void refresh();

  /** Whether what was found is of the project as it is now. */
  const current = computed(
    () => failure.value === null && !judging.value && answered.value?.ok === true && answered.value.doc === project.doc,
  );
  /** What stands in the place of loads, films and steps while there are none to show, in words. */
  const instead = computed(() =>
    failure.value !== null
      ? 'It could not be worked out; the slip says why.'
      : viewModel.value?.ok && viewModel.value.unjudged !== null
        ? 'It was not judged, so there is nothing to show here yet.'
        : null,
  );
  /** Whether nothing is known yet of the open project, good or bad, because it is still being worked out. */
  const awaited = computed(() => project.doc !== null && viewModel.value === null && failure.value === null);
  const open = computed(() =>
    viewModel.value?.ok
      ? viewModel.value.findings.filter((f) => f.finding.severity !== 'fine' && f.acceptedFor === null)
      : [],
  );
  return {
    viewModel,
    shape,
    shownDrag,
    good,
    failure,
    tooHeavy,
    busy,
    judging,
    awaited,
    current,
    instead,
    open,
    whenShown,
    changesMade,
    openUnjudged,
    again,
  };
});

import type { BookedShare, Film, GuideStep, Project } from '@mivet/core';
import { blanksFor } from '@mivet/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { fileNameOf, openPdf } from '../data/save-file.ts';
import { saveZip } from '../data/save-zip.ts';
import { askCore, CallGivenUp } from '../workers/core-client.ts';
import type { CoreJobs, TogetherPart } from '../workers/protocol.ts';
import { useLibrary } from './library.ts';
import { useSettings } from './settings.ts';
import { useStock } from './stock.ts';

/** Projects that are cut together at most: what is booked has room for so many. */
const MOST = 60;

/** Several projects on common boards: which, how they lie, their files, and what is booked of it. */
export const useTogether = defineStore('together', () => {
  const library = useLibrary();
  const settings = useSettings();
  const stock = useStock();

  /** Ids of the chosen projects, in the order in which they were chosen. */
  const chosen = ref<readonly string[]>([]);
  const output = shallowRef<CoreJobs['together']['output'] | null>(null);
  const progress = shallowRef<TogetherPart | null>(null);
  const problem = ref<string | null>(null);
  const busy = ref(false);
  const said = ref<string | null>(null);

  const projects = computed<Project[]>(() =>
    chosen.value.flatMap((id) => library.projects.find((project) => project.id === id) ?? []),
  );
  /** The same as long as nothing changes that they are planned from: ticking a step plans nothing anew. */
  const planned = computed<readonly Project[]>((before) => {
    const same = (a: Project, b: Project | undefined): boolean =>
      b !== undefined &&
      (Object.keys(a) as (keyof Project)[]).every(
        (key) => key === 'bench' || key === 'changedAt' || key === 'log' || a[key] === b[key],
      );
    const now = projects.value;
    return before?.length === now.length && now.every((p, i) => same(p, before[i])) ? before : now;
  });
  const films = computed<Film[]>(() => planned.value.flatMap((project) => project.films));
  const title = computed(() => new Intl.ListFormat('en-GB').format(projects.value.map(({ name }) => name)));
  const input = computed(() => {
    const { unit, limits, cutting, habits, learnt } = settings;
    const supply = stock.supplyFor({ films: films.value });
    return {
      projects: planned.value,
      limits,
      supply,
      boardId: settings.boardId,
      unit,
      options: cutting,
      habits,
      learnt,
    };
  });

  let stop: AbortController | null = null;
  /** Works out how the chosen projects lie together; what was asked before is given up. */
  async function plan(): Promise<void> {
    stop?.abort();
    const own = (stop = new AbortController());
    problem.value = null;
    if (projects.value.length === 0) {
      [output.value, progress.value] = [null, null];
      return;
    }
    progress.value = { done: 0, of: projects.value.length, name: projects.value[0]!.name };
    try {
      const made = await askCore('together', input.value, {
        signal: own.signal,
        onPart: (part) => stop === own && (progress.value = part),
      });
      if (stop === own) output.value = made;
    } catch (why) {
      if (why instanceof CallGivenUp || stop !== own) return;
      problem.value = why instanceof Error ? why.message : String(why);
      output.value = null;
    }
    progress.value = null;
  }
  /** Stops planning; what was planned of another choice must be neither written nor booked. */
  function cancel(): void {
    stop?.abort();
    stop = null;
    if (progress.value) output.value = null;
    progress.value = null;
  }
  function choose(id: string, on: boolean): void {
    const others = chosen.value.filter((one) => one !== id);
    if (on && others.length >= MOST) return;
    chosen.value = on ? [...others, id] : others;
  }

  async function run(work: () => Promise<string | null>): Promise<void> {
    if (busy.value) return;
    busy.value = true;
    said.value = await work().catch((why: unknown) => `Nothing was done: ${why instanceof Error ? why.message : String(why)}`); // prettier-ignore
    busy.value = false;
  }
  const save = (): Promise<void> =>
    run(async () => {
      const { format, singles } = settings.cutting;
      const files = await askCore('togetherFiles', { ...input.value, title: title.value, format, singles });
      const name = `${fileNameOf(title.value)}.zip`;
      saveZip(name, files);
      return `Written: ${name} with ${files.length} files`;
    });

  /** Whether a step is done in every project that it is of. */
  const isDone = ({ of }: GuideStep): boolean =>
    of.every(({ projectId, stepId }) =>
      projects.value.find(({ id }) => id === projectId)?.bench.doneSteps.includes(stepId),
    );
  let ticking = Promise.resolve();
  /** Ticks a step, or takes the tick away, in every project that it is of. */
  const tick = ({ of }: GuideStep, done: boolean): Promise<void> => {
    const write = async (): Promise<void> => {
      for (const projectId of new Set(of.map((share) => share.projectId))) {
        const steps = of.filter((share) => share.projectId === projectId).map(({ stepId }) => stepId);
        await library.tickSteps(projectId, steps, done);
      }
    };
    // One after the other: a second tick waits for the first and is not lost.
    ticking = ticking.then(write).catch((why: unknown) => {
      said.value = `Not ticked: ${why instanceof Error ? why.message : String(why)}`;
    });
    return ticking;
  };
  const printGuide = (): Promise<void> =>
    run(async () => {
      const steps = output.value!.guide;
      openPdf(`${fileNameOf(title.value)}-guide.pdf`, await askCore('togetherGuide', { title: title.value, steps, paper: settings.paper })); // prettier-ignore
      return 'Opened for printing.';
    });

  /** Whether these very projects were booked together, and that was not undone. */
  const booked = computed(() => {
    const ids = (shares: readonly BookedShare[]): string => shares.map(({ projectId }) => projectId).sort().join(); // prettier-ignore
    const now = ids(output.value?.shares ?? []);
    return stock.things.some((thing) => thing.kind === 'booking' && thing.shares !== undefined && ids(thing.shares) === now); // prettier-ignore
  });
  /**
   * Takes all that it takes off the shelf in one booking, with the share of each project.
   *
   * @param tape the roll that it is lifted with, and mm of it that go
   */
  const book = (tape: { readonly id: string; readonly lengthMm: number } | null): Promise<void> =>
    run(async () => {
      const { together, strips, shares } = output.value!;
      const blanks = new Map<string, number>();
      const cut = new Set(shares.map(({ projectId }) => projectId));
      for (const project of projects.value.filter(({ id }) => cut.has(id)))
        for (const { id, count } of blanksFor(project)) blanks.set(id, (blanks.get(id) ?? 0) + count);
      const why = await stock.book({
        plan: together.sheet.plan,
        usage: together.sheet.usage,
        films: together.films,
        projectId: 'together',
        title: title.value.slice(0, 200),
        cutMm: strips.reduce((sum, strip) => sum + strip.cutMm, 0),
        shares: shares.map(({ projectId, title: of, cutMm, used }): BookedShare => ({
          projectId,
          title: of,
          cutMm,
          used,
        })),
        tape,
        blanks: [...blanks].map(([id, count]) => ({ id, count })),
        at: new Date().toISOString(),
        newId: () => crypto.randomUUID(),
      });
      return why ?? `Booked: ${tape ? 'film and tape are' : 'the film is'} off the shelf, and each project knows its share.`; // prettier-ignore
    });

  watch(
    () => input.value,
    (now, before) => {
      // What it is planned from: another unit only says it otherwise.
      const same = before && now.boardId === before.boardId && now.projects.length === before.projects.length && now.projects.every((p, i) => p === before.projects[i]); // prettier-ignore
      if (!same) said.value = null;
    },
  );

  return { chosen, projects, films, title, input, output, progress, problem, busy, said, booked, plan, cancel, choose, save, book, isDone, tick, printGuide }; // prettier-ignore
});

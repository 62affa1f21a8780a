import {
  answerCheck,
  changedSteps,
  dwellsOf,
  dwellsOfBook,
  endWait,
  forecastDwell,
  habitsWith,
  isDone,
  makeAgain,
  NEW_RUN,
  nextStop,
  parkThing,
  startCure,
  startWait,
  stopsOf,
  tickStop,
  untickStop,
  waitOf,
  type BenchRun,
  type BenchStep,
  type BenchStop,
  type Mend,
  type StepPicture,
} from '@mivet/core';
import { useNow } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { useAnyProject } from './any-project.ts';
import { writePhoto } from '../data/records.ts';
import { smallPicture } from '../data/photo.ts';
import { useLogbook } from './logbook.ts';
import { useLibrary } from './library.ts';
import { useProject } from './project.ts';
import { useSettings } from './settings.ts';
import { askCore } from '../workers/core-client.ts';
import { useStock } from './stock.ts';
import { useViewModel } from './view-model.ts';

/** The run at the bench of the open project: where one is, and everything that one can say there. */
export const useBench = defineStore('bench', () => {
  const project = useProject();
  const viewModel = useViewModel();
  const settings = useSettings();
  const logbook = useLogbook();
  const library = useLibrary();
  const stock = useStock();
  const changeAny = useAnyProject();
  const now = useNow({ interval: 1000 });

  const run = computed<BenchRun>(() => project.doc?.bench ?? NEW_RUN);
  const steps = computed(() => viewModel.good?.steps ?? []);
  const things = computed(() => viewModel.good?.things ?? []);
  const batch = computed(() => habitsWith(settings.habits).batch);
  const stops = computed(() => stopsOf(steps.value, things.value, batch.value));
  const at = ref(0);
  const stop = computed<BenchStop | null>(() => stops.value[at.value] ?? null);
  const finished = computed(() => stops.value.length > 0 && nextStop(stops.value, run.value) === null);
  const thingName = (id: string): string => things.value.find((thing) => thing.id === id)?.name || 'this one';

  /** Goes to the first stop that is open, once the steps are there; and stays inside when there are fewer. */
  let opened = '';
  watch(
    [stops, () => project.doc?.id],
    ([list, id]) => {
      if (list.length === 0 || !id) return;
      if (opened !== id) {
        opened = id;
        at.value = nextStop(list, run.value) ?? 0;
      }
      at.value = Math.min(at.value, list.length - 1);
    },
    { immediate: true },
  );

  const edit = (label: string, change: (bench: BenchRun) => BenchRun): void =>
    project.edit(label, (p) => ({ ...p, bench: change(p.bench) }));

  const waitEnd = computed(() => {
    const end = stop.value ? run.value.waitsUntil[waitOf(stop.value, batch.value)] : undefined;
    return end ? Date.parse(end) : null;
  });
  const waitRuns = computed(() => waitEnd.value !== null && waitEnd.value > now.value.getTime());
  /** Whether the stop after this one hangs on the wait that runs. */
  const hangs = computed(() => {
    const following = stops.value[at.value + 1];
    if (!waitRuns.value || !stop.value || !following || following.step.id === stop.value.step.id) return false;
    return !stop.value.step.beside.includes(following.step.id);
  });

  /** Ticks the stop, the check with it, and goes to the next open one. */
  function done(): void {
    const here = stop.value;
    if (!here) return;
    const time = Date.now();
    edit('Step done', (bench) => {
      const answered = here.step.check ? answerCheck(bench, here, true, time, batch.value) : bench;
      return startCure(tickStop(answered, here, time), here, stops.value, time);
    });
    at.value = nextStop(stops.value, run.value, at.value) ?? at.value;
  }
  /** Ticks the step on everything that is not put aside. */
  function doneOnAll(): void {
    const here = stop.value;
    if (!here) return;
    const time = Date.now();
    const all = stops.value.filter(({ step, thing }) => step.id === here.step.id && !(thing && run.value.parked.includes(thing.id))); // prettier-ignore
    edit(
      'Step done on all',
      (bench) =>
      all.reduce((sum, one) => (isDone(sum, one) ? sum : startCure(tickStop(sum, one, time), one, stops.value, time)), bench), // prettier-ignore
    );
    at.value = nextStop(stops.value, run.value, at.value) ?? at.value;
  }
  const goTo = (index: number): void => void (at.value = Math.max(0, Math.min(stops.value.length - 1, index)));
  function goToStop(stepId: string, thingId: string | null = null): void {
    const index = stops.value.findIndex(({ step, thing }) => step.id === stepId && (thingId === null || thing?.id === thingId)); // prettier-ignore
    if (index >= 0) at.value = index;
  }
  const no = (): void => edit('Answer no', (bench) => answerCheck(bench, stop.value!, false, Date.now(), batch.value));
  const wait = (minutes?: number): void =>
    edit('Start a wait', (bench) => startWait(bench, stop.value!, Date.now(), batch.value, minutes));
  const stopWait = (id: string): void => edit('End a wait', (bench) => endWait(bench, id));

  /** Ticks something of a list, or takes the tick away. */
  const tickListed = (id: string, on: boolean): void =>
    edit('Tick what is laid out', (bench) => ({
      ...bench,
      doneSteps: on ? [...new Set([...bench.doneSteps, id])] : bench.doneSteps.filter((one) => one !== id),
    }));
  /** Ticks a whole step from its list, or takes it back. */
  const toggleStep = (step: BenchStep): void =>
    edit('Tick a step', (bench) => {
      if (bench.doneSteps.includes(step.id))
        return stops.value.filter((one) => one.step.id === step.id).reduce(untickStop, bench);
      const time = Date.now();
      return stops.value.filter((one) => one.step.id === step.id).reduce((sum, one) => tickStop(sum, one, time), bench);
    });
  const toggleStop = (here: BenchStop): void =>
    edit('Tick a step', (bench) => (isDone(bench, here) ? untickStop(bench, here) : tickStop(bench, here, Date.now())));
  const park = (thingId: string, aside: boolean): void =>
    edit(aside ? 'Put one aside' : 'Take one up again', (bench) => parkThing(bench, thingId, aside));
  const again = (thingId: string, why: string): void =>
    edit('Make one again', (bench) => makeAgain(bench, { thingId, stepId: stop.value!.step.id }, why, steps.value, Date.now())); // prettier-ignore
  const startOver = (): void => {
    edit('Start the bench again', () => NEW_RUN);
    at.value = 0;
  };

  const changed = computed(() => changedSteps(run.value, steps.value));
  const redo = (step: BenchStep): void => {
    edit('Do a step again', (bench) => {
      const { [step.id]: _, ...doneAs } = bench.doneAs;
      return stops.value.filter((one) => one.step.id === step.id).reduce(untickStop, { ...bench, doneAs });
    });
    goToStop(step.id);
  };
  const keepAsIs = (step: BenchStep): void =>
    edit('Leave a step as it was done', (bench) => {
      const { [step.id]: _, ...doneAs } = bench.doneAs;
      return { ...bench, doneAs };
    });

  /** Notes something at the stop, with a photograph where there is one. */
  async function note(text: string, file: File | null): Promise<void> {
    const [id, when] = [crypto.randomUUID(), new Date().toISOString()];
    const photo = file ? crypto.randomUUID() : null;
    const doc = project.doc;
    const here = stop.value;
    if (!doc || !here) return;
    if (file && photo) await writePhoto({ id: photo, projectId: doc.id, at: when, ...(await smallPicture(file)) });
    await changeAny(doc.id, 'Note something', (p) => ({
      ...p,
      bench: { ...p.bench, notes: [...p.bench.notes, { id, step: here.step.id, at: when, text, photo }] },
    }));
  }
  const forgetNote = (id: string): void =>
    edit('Delete a note', (bench) => ({ ...bench, notes: bench.notes.filter((one) => one.id !== id) }));

  /** Writes into the log what went wrong, and makes the change that follows from it. */
  function mend({ title, change }: Mend, withChange: boolean): void {
    const here = stop.value;
    const text = [
      here ? `${here.step.title}: ${title.toLowerCase()}.` : `${title}.`,
      ...(withChange && change ? [`${change.what}: ${change.before} → ${change.after}.`] : []),
    ].join(' ');
    const entry = { id: crypto.randomUUID(), at: new Date().toISOString(), outcome: 'note' as const, text };
    project.edit(withChange && change ? change.what : 'Note a mishap', (p) => {
      const next = withChange && change ? change.apply(p) : p;
      return { ...next, log: [...next.log, entry] };
    });
  }

  /** Pictures of the stop; drawn in the worker when one comes to it. */
  const pictures = shallowRef<readonly StepPicture[]>([]);
  watch(
    [() => stop.value?.step, () => stop.value?.thing?.id, () => viewModel.good],
    async ([step, thingId], before) => {
      const doc = project.doc;
      if (step?.id !== before[0]?.id || thingId !== before[1]) pictures.value = [];
      if (!doc || !step || !viewModel.good) return;
      const { unit, limits, habits, learnt } = settings;
      const input = { project: doc, unit, limits, habits, learnt, supply: stock.supplyFor(doc), stepId: step.id, thingId: thingId ?? null }; // prettier-ignore
      const drawn = await askCore('stepPictures', input).catch(() => []);
      if (stop.value?.step.id === step.id && stop.value.thing?.id === thingId) pictures.value = drawn;
    },
    { immediate: true },
  );

  const stripping = computed(() => stop.value?.step.kind === 'strip');
  watch(stripping, (is) => is && void logbook.load(), { immediate: true });
  /** From the logbook, and from runs that are not in it yet. */
  const forecast = computed(() => {
    if (!project.doc || !stripping.value) return null;
    const booked = new Set([project.doc.id, ...logbook.entries.map(({ projectId }) => projectId)]);
    const dwells = [
      ...dwellsOfBook(logbook.entries),
      ...dwellsOf(library.projects.filter(({ id }) => !booked.has(id))),
    ];
    return forecastDwell(dwells, project.doc.blank.colour);
  });
  /** What was learnt of this coat and accepted: the wait goes by it already. */
  const learntWait = computed(() =>
    project.doc && stripping.value
      ? (settings.learnt[`dwell:${project.doc.blank.colour.toLowerCase()}`] ?? null)
      : null,
  );

  return { run, steps, things, batch, stops, at, stop, finished, now, waitEnd, waitRuns, hangs, changed, forecast, learntWait, pictures, thingName, done, doneOnAll, goTo, goToStop, no, wait, stopWait, tickListed, toggleStep, toggleStop, park, again, startOver, redo, keepAsIs, note, forgetNote, mend }; // prettier-ignore
});

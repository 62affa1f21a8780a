import { ownEntry } from '../model/own-entry.ts';
import type { StepKind, BenchStep } from '../bench/step.ts';
import type { Thing } from '../bench/job-facts.ts';
import { PAUSE_MINUTES } from '../bench/wrap-up.ts';
import { isWashed } from '../bench/rules/finish.ts';
import type { EntryFilm, EntryOutcome, EntryWork, LogbookEntry } from '../model/entry.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import type { Project } from '../model/project.ts';
import type { Supply } from '../model/stock.ts';
import { dayAfter, isoOf, MINUTE_MS, msOf } from '../numeric/time.ts';

/** Days after which one asks how a washed thing holds. */
const ASK_AFTER_DAYS = 90;

const WORK: { readonly [kind in StepKind]?: EntryWork['kind'] } = {
  'cover-sheet': 'cut',
  'place-film': 'cut',
  'test-cut': 'cut',
  unload: 'cut',
  trim: 'cut',
  weed: 'weed',
  tape: 'tape',
  slit: 'tape',
  stack: 'stack',
  'squares-off': 'stack',
  aim: 'lay',
  lay: 'lay',
  seam: 'lay',
  'tape-off': 'lay',
  clean: 'finish',
  mark: 'finish',
  seal: 'finish',
};

/** What of a finished run its entry is written from. */
export interface FinishedRun {
  readonly project: Project;
  readonly steps: readonly BenchStep[];
  readonly things: readonly Thing[];
  /** mm that are cut, by film. */
  readonly cutMm: { readonly [film: string]: number };
  /** mm² that are cut away from the rolls for good, by film. */
  readonly takenMm2: { readonly [film: string]: number };
  readonly laidMm2: { readonly [film: string]: number };
  readonly supply: Pick<Supply, 'films'>;
  readonly outcome: EntryOutcome;
  readonly text: string;
  readonly id: string;
  /** ms since 1970. */
  readonly now: number;
}

/** The entry of a finished run in the logbook: everything that was noted without being asked for. */
export function entryOfRun(run: FinishedRun): LogbookEntry {
  const { project, things, now } = run;
  const { blank, bench, handOver } = project;
  const girth = blank.readings.girthRim ?? blank.readings.girth ?? null;
  const spoilt = bench.spoilt.length;
  return {
    format: 'mivet-entry',
    version: FORMAT_VERSION,
    id: run.id,
    at: isoOf(now),
    changedAt: isoOf(now),
    title: project.name,
    projectId: project.id,
    count: Math.max(1, things.length),
    spoilt,
    blank: {
      shelfId: project.shelfBlankId,
      name: blank.name,
      kind: blank.kind,
      surface: blank.surface,
      colour: blank.colour,
      girthMm: girth?.takes.length ? girth.takes.reduce((sum, { mm }) => sum + mm, 0) / girth.takes.length : null,
      tool: girth?.how ?? null,
    },
    process: project.process,
    films: filmsOf(run),
    tape: null,
    work: workOf(run),
    pulls: [],
    dwell: checksAtStripper(project),
    seamGapMm: null,
    placingMm: null,
    grewShare: null,
    faults: [],
    outcome: run.outcome,
    price: run.outcome === 'sold' ? (handOver?.price ?? null) : null,
    cost: null,
    text: run.text,
    photos: bench.notes.flatMap(({ photo }) => (photo ? [photo] : [])),
    reports: [],
    askOn: project.process === 'decal' && isWashed(blank) ? dayAfter(now, ASK_AFTER_DAYS) : null,
  };
}

/** Minutes of work by kind: the time since the tick before, where that was no longer than a pause. */
function workOf({ project: { bench }, steps, things, cutMm }: FinishedRun): EntryWork[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const ticks = Object.entries(bench.doneAt)
    .flatMap(([id, at]) => {
      const step = byId.get(id.split('#')[0]!.split('/')[0]!) ?? byId.get(id.split('#')[0]!);
      return step ? [{ step, at: msOf(at) }] : [];
    })
    .filter(({ at }) => Number.isFinite(at))
    .sort((a, b) => a.at - b.at);
  const minutes = new Map<string, number>();
  ticks.slice(1).forEach(({ step, at }, i) => {
    const gap = (at - ticks[i]!.at) / MINUTE_MS;
    // A wait before it is no work.
    if (gap <= PAUSE_MINUTES) minutes.set(step.id, (minutes.get(step.id) ?? 0) + gap);
  });
  const kinds = new Map<string, EntryWork>();
  for (const [id, own] of minutes) {
    const { kind, about, numbers } = byId.get(id)!;
    const work = WORK[kind];
    if (!work) continue;
    const film = about.film;
    const weeded = kind === 'weed';
    // Films are weeded one by one, each with as many pieces as it has; all other work is told together.
    const key = weeded ? id : work;
    const before = kinds.get(key) ?? { kind: work, minutes: 0, pieces: 0, cutM: 0, things: Math.max(1, things.length) };
    kinds.set(key, {
      ...before,
      minutes: Math.round((before.minutes + own) * 10) / 10,
      pieces: before.pieces + (weeded ? (numbers['pieces'] ?? 0) + (numbers['counters'] ?? 0) : 0),
      cutM: weeded && film ? (ownEntry(cutMm, film) ?? 0) / 1000 : work === 'cut' ? Object.values(cutMm).reduce((sum, mm) => sum + mm, 0) / 1000 : 0, // prettier-ignore
    });
  }
  return [...kinds.values()].filter((one) => one.minutes > 0);
}

function filmsOf({ project, steps, supply, takenMm2, laidMm2, now }: FinishedRun): EntryFilm[] {
  const used = new Set(steps.flatMap(({ kind, about }) => (kind === 'weed' && about.film ? [about.film] : [])));
  const clean = project.bench.answers.find(({ step }) => step.startsWith('test-cut'))?.yes ?? null;
  return [...used].flatMap((id): EntryFilm[] => {
    const film = project.films.find((one) => one.id === id);
    if (!film) return [];
    const lots = supply.films.filter((lot) => lot.film.id === id);
    const bought = lots.map(({ boughtOn }) => (boughtOn === null ? NaN : msOf(boughtOn))).filter(Number.isFinite);
    return [
      {
        name: film.name,
        finish: film.finish,
        // The oldest of it goes first.
        ageDays: bought.length > 0 ? Math.max(0, Math.round((now - Math.min(...bought)) / MINUTE_MS / 1440)) : null,
        setting: lots.flatMap(({ settings }) => settings.map(({ words }) => words))[0]?.slice(0, 200) ?? '',
        clean,
        takenMm2: Math.round(ownEntry(takenMm2, id) ?? 0),
        laidMm2: Math.round(ownEntry(laidMm2, id) ?? 0),
      },
    ];
  });
}

/** Checks at the stripper, each after how long. */
const checksAtStripper = ({ bench }: Project): LogbookEntry['dwell'] => {
  const from = msOf(bench.waitsFrom['strip'] ?? '');
  return bench.answers
    .filter(({ step }) => step === 'strip')
    .map(({ at, yes }) => ({ minutes: Math.round((msOf(at) - from) / MINUTE_MS), lifted: yes }))
    .filter(({ minutes }) => minutes >= 0);
};

import { isoOf, MINUTE_MS, msOf } from '../numeric/time.ts';
import { NEW_RUN, type BenchRun } from '../model/bench-run.ts';
import type { Habits } from '../model/habits.ts';
import type { Thing } from './job-facts.ts';
import type { BenchStep } from './step.ts';

/** One stop of a run: a step, on one thing where it is done thing by thing. */
export interface BenchStop {
  readonly step: BenchStep;
  /** null where the step is done once. */
  readonly thing: Thing | null;
  /** The how many-th of the things of this step it is, from 1, and of how many. */
  readonly nth: number;
  readonly of: number;
}

/** What a step is called while it is done on one thing: without what is counted for all of them. */
export const titleOnOne = ({ title }: BenchStep): string =>
  title.replace(/, \d+ of them(: .*)?$/, '').replace(/: \d+ pieces? stays?$/, '');

/** Id under which a step on one thing is ticked. */
export const tickOf = (stepId: string, thingId: string | null): string =>
  thingId === null ? stepId : `${stepId}#${thingId}`;

/**
 * The stops of a run in the order in which they are gone through: every step over all things, or thing after thing. What is
 * done once for all of them is done before the first thing that needs it.
 *
 * @param steps in order
 * @param things everything that is made
 * @param batch by My way
 */
export function stopsOf(
  steps: readonly BenchStep[],
  things: readonly Thing[],
  batch: Habits['batch'] = 'by step',
): BenchStop[] {
  const on = (step: BenchStep, id: string | null): BenchStop => ({
    step,
    thing: id === null ? null : (things.find((thing) => thing.id === id) ?? null),
    nth: id === null ? 1 : step.things.indexOf(id) + 1,
    of: Math.max(1, step.things.length),
  });
  const all = (step: BenchStep): BenchStop[] =>
    step.things.length === 0 ? [on(step, null)] : step.things.map((id) => on(step, id));
  if (batch === 'by step') return steps.flatMap(all);
  const first = steps.findIndex((step) => step.things.length > 0);
  if (first < 0) return steps.flatMap(all);
  const last = steps.findLastIndex((step) => step.things.length > 0);
  const between = steps.slice(first, last + 1);
  return [
    ...steps.slice(0, first).flatMap(all),
    ...between.filter((step) => step.things.length === 0).flatMap(all),
    ...things.flatMap(({ id }) => between.filter((step) => step.things.includes(id)).map((step) => on(step, id))),
    ...steps.slice(last + 1).flatMap(all),
  ];
}

/** Whether a stop is done. */
export const isDone = (run: BenchRun, { step, thing }: Pick<BenchStop, 'step' | 'thing'>): boolean =>
  run.doneSteps.includes(step.id) || (thing !== null && run.doneSteps.includes(tickOf(step.id, thing.id)));

/** Whether a step is done on everything that is not put aside. */
export const isStepDone = (run: BenchRun, step: BenchStep): boolean =>
  run.doneSteps.includes(step.id) ||
  (step.things.length > 0 &&
    step.things.every((id) => run.parked.includes(id) || run.doneSteps.includes(tickOf(step.id, id))));

/** The first stop that is neither done nor put aside, from some place on and then from the beginning; null when all is done. */
export function nextStop(stops: readonly BenchStop[], run: BenchRun, from = 0): number | null {
  const open = ({ step, thing }: BenchStop): boolean =>
    !isDone(run, { step, thing }) && !(thing && run.parked.includes(thing.id));
  const ahead = stops.findIndex((stop, i) => i >= from && open(stop));
  const any = ahead >= 0 ? ahead : stops.findIndex(open);
  return any < 0 ? null : any;
}

/** What a step says, short enough to be kept: by this one sees later what was changed. */
export const signatureOf = ({ title, body, numbers }: BenchStep): string => {
  const { handsMinutes: _, waitMinutes: __, ...counts } = numbers;
  const said = Object.entries(counts).map(([name, value]) => `${name} ${Math.round(value * 10) / 10}`);
  return [title, body.slice(0, 300), said.join(', ')].join('\n').slice(0, 4000);
};

/** Waits without those that are over and have been seen to: nobody has to be told of them any more. */
const withoutSeen = (
  waitsUntil: BenchRun['waitsUntil'],
  seen: readonly string[],
  now: number,
): BenchRun['waitsUntil'] =>
  Object.fromEntries(Object.entries(waitsUntil).filter(([id, until]) => !seen.includes(id) || msOf(until) > now));

/** Ticks a stop at a time. A step on several things is done itself with the last of them. */
export function tickStop(run: BenchRun, { step, thing }: BenchStop, now: number): BenchRun {
  const id = tickOf(step.id, thing?.id ?? null);
  const done = new Set([...run.doneSteps, id]);
  if (step.things.length > 0 && step.things.every((one) => done.has(tickOf(step.id, one)))) done.add(step.id);
  return {
    ...run,
    doneSteps: [...done],
    doneAt: { ...run.doneAt, [id]: isoOf(now) },
    doneAs: { ...run.doneAs, [step.id]: signatureOf(step) },
    waitsUntil: step.kind === 'cure' ? run.waitsUntil : withoutSeen(run.waitsUntil, [id, ...(done.has(step.id) ? [step.id] : [])], now), // prettier-ignore
  };
}

/** Takes the tick of a stop away. */
export function untickStop(run: BenchRun, { step, thing }: Pick<BenchStop, 'step' | 'thing'>): BenchRun {
  const gone = new Set([step.id, tickOf(step.id, thing?.id ?? null)]);
  // The other things of the step stay done, one by one.
  const kept = run.doneSteps.includes(step.id) ? step.things.filter((id) => id !== thing?.id).map((id) => tickOf(step.id, id)) : []; // prettier-ignore
  const doneSteps = [...new Set([...run.doneSteps.filter((id) => !gone.has(id)), ...(thing ? kept : [])])];
  return { ...run, doneSteps };
}

/**
 * Id under which the wait of a stop runs: each thing has its own where one goes thing by thing, and for its cure always;
 * else all of them wait as one.
 */
export const waitOf = (
  { step, thing }: Pick<BenchStop, 'step' | 'thing'>,
  batch: Habits['batch'] = 'by step',
): string => tickOf(step.id, step.kind === 'cure' || batch === 'by cup' ? (thing?.id ?? null) : null);

/**
 * Starts the wait of a stop.
 *
 * @param minutes that it takes; the step's own when left out
 */
export function startWait(
  run: BenchRun,
  stop: Pick<BenchStop, 'step' | 'thing'>,
  now: number,
  batch: Habits['batch'] = 'by step',
  minutes = stop.step.waitMinutes,
): BenchRun {
  const id = waitOf(stop, batch);
  return {
    ...run,
    waitsFrom: { ...run.waitsFrom, [id]: isoOf(now) },
    waitsUntil: { ...run.waitsUntil, [id]: isoOf(now + minutes * MINUTE_MS) },
  };
}

/** Starts the clock of what cures by itself once the last hand has left a thing: nobody has to think of it. */
export function startCure(run: BenchRun, stop: BenchStop, stops: readonly BenchStop[], now: number): BenchRun {
  const mine = stops.filter(({ step, thing }) => thing?.id === stop.thing?.id && step.kind !== 'wrap-up');
  const cure = mine.find(({ step }) => step.kind === 'cure');
  const hands = mine.filter(({ step }) => step.handsMinutes > 0).at(-1);
  if (!cure || cure.step.waitMinutes === 0 || hands?.step.id !== stop.step.id) return run;
  return startWait(run, cure, now);
}

/** Takes a wait away that is over, or not wanted any more. */
export function endWait(run: BenchRun, waitId: string): BenchRun {
  const { [waitId]: _, ...waitsUntil } = run.waitsUntil;
  return { ...run, waitsUntil };
}

/**
 * Answers the question of a stop. A no to what takes its time starts a wait until it is asked again; any other no is mended
 * on the spot.
 *
 * @param batch whether things wait as one
 * @param minutes until it is asked again; the step's own when left out
 */
export function answerCheck(
  run: BenchRun,
  stop: BenchStop,
  yes: boolean,
  now: number,
  batch: Habits['batch'] = 'by step',
  minutes?: number,
): BenchRun {
  const { step, thing } = stop;
  const answered = { ...run, answers: [...run.answers, { step: step.id, thing: thing?.id ?? null, at: isoOf(now), yes }] }; // prettier-ignore
  const again = minutes ?? step.check?.againMinutes;
  if (yes || again === undefined) return answered;
  const id = waitOf(stop, batch);
  return {
    ...answered,
    waitsFrom: { ...run.waitsFrom, [id]: run.waitsFrom[id] ?? isoOf(now) },
    waitsUntil: { ...run.waitsUntil, [id]: isoOf(now + again * MINUTE_MS) },
  };
}

/** A step that was done otherwise than it stands there now. */
export interface ChangedStep {
  readonly step: BenchStep;
  readonly was: string;
  readonly now: string;
}

/** What a change of the project means for a run that is under way: steps that are done and say something else by now. */
export const changedSteps = (run: BenchRun, steps: readonly BenchStep[]): ChangedStep[] =>
  steps.flatMap((step) => {
    const then = run.doneAs[step.id];
    const now = signatureOf(step);
    if (then === undefined || then === now) return [];
    const [was, is] = [then.split('\n'), now.split('\n')];
    const at = was.findIndex((line, i) => line !== is[i]);
    return [{ step, was: was[at] ?? '', now: is[at] ?? '' }];
  });

/** Minutes that a step truly took on each thing after the first: between one tick and the next; null with fewer than two. */
export function pacesOf(run: BenchRun, step: BenchStep): { readonly first: number; readonly others: number } | null {
  const times = step.things
    .flatMap((id) => run.doneAt[tickOf(step.id, id)] ?? [])
    .map((at) => msOf(at))
    .sort((a, b) => a - b);
  if (times.length < 3) return null;
  const gaps = times.slice(1).map((at, i) => (at - times[i]!) / MINUTE_MS);
  return { first: gaps[0]!, others: median(gaps.slice(1)) };
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return sorted.length % 2 === 1 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

/** Puts a thing aside, or takes it up again. */
export const parkThing = (run: BenchRun, thingId: string, aside: boolean): BenchRun => ({
  ...run,
  parked: aside ? [...new Set([...run.parked, thingId])] : run.parked.filter((id) => id !== thingId),
});

/**
 * Has a thing made again from its weeding on: what was done on it is open once more, what is done once for all stays.
 *
 * @param why in the person's words
 */
export function makeAgain(
  run: BenchRun,
  stop: { readonly thingId: string; readonly stepId: string },
  why: string,
  steps: readonly BenchStep[],
  now: number,
): BenchRun {
  const own = steps.filter((step) => step.things.includes(stop.thingId));
  const reset = own.reduce((left, step) => untickStop(left, { step, thing: { id: stop.thingId, name: '', row: null, hand: null } }), run); // prettier-ignore
  const spoilt = { thing: stop.thingId, step: stop.stepId, at: isoOf(now), why, made: false };
  return { ...reset, spoilt: [...run.spoilt, spoilt], parked: run.parked.filter((id) => id !== stop.thingId) };
}

/**
 * Two records of one run as one: everything that either has, by step and time. Of a wait the later end counts, as it was
 * put off; ticks are not taken back.
 */
export function mergeRuns(a: BenchRun, b: Partial<BenchRun>): BenchRun {
  const other = { ...NEW_RUN, ...b };
  const unique = <T>(lists: readonly T[], key: (one: T) => string): T[] => [...new Map(lists.map((one) => [key(one), one])).values()]; // prettier-ignore
  const latest = (x: BenchRun['waitsUntil'], y: BenchRun['waitsUntil']): Record<string, string> =>
    Object.fromEntries([...new Set([...Object.keys(x), ...Object.keys(y)])].map((id) => [id, [x[id], y[id]].filter((at) => at !== undefined).sort().at(-1)!])); // prettier-ignore
  const earliest = (x: BenchRun['doneAt'], y: BenchRun['doneAt']): Record<string, string> =>
    Object.fromEntries([...new Set([...Object.keys(x), ...Object.keys(y)])].map((id) => [id, [x[id], y[id]].filter((at) => at !== undefined).sort()[0]!])); // prettier-ignore
  return {
    doneSteps: [...new Set([...a.doneSteps, ...other.doneSteps])],
    waitsUntil: latest(a.waitsUntil, other.waitsUntil),
    waitsFrom: earliest(a.waitsFrom, other.waitsFrom),
    doneAt: earliest(a.doneAt, other.doneAt),
    doneAs: { ...other.doneAs, ...a.doneAs },
    answers: unique([...a.answers, ...other.answers], ({ step, thing, at }) => `${step} ${thing} ${at}`).sort((x, y) => x.at.localeCompare(y.at)), // prettier-ignore
    notes: unique([...a.notes, ...other.notes], ({ id }) => id).sort((x, y) => x.at.localeCompare(y.at)),
    spoilt: unique([...a.spoilt, ...other.spoilt], ({ thing, at }) => `${thing} ${at}`),
    parked: [...new Set([...a.parked, ...other.parked])],
  };
}

import { ownEntry } from '../model/own-entry.ts';
import { isStepDone, tickOf } from '../bench/run.ts';
import type { ToBuy } from '../bench/shopping.ts';
import type { BenchStep, StepKind } from '../bench/step.ts';
import { BALLOON_KEEPS_HOURS } from '../measure/balloon.ts';
import { KINDS_OF_BLANK } from '../measure/kinds/kinds.ts';
import type { HandOver } from '../model/planning.ts';
import type { Project } from '../model/project.ts';
import { MINUTE_MS, msOf } from '../numeric/time.ts';
import type { Task } from './plan.ts';

/** What of a project its tasks are made from. */
export interface OpenProject {
  readonly project: Pick<Project, 'id' | 'name' | 'blank' | 'bench' | 'handOver' | 'planning'>;
  readonly steps: readonly BenchStep[];
  /** What there is not enough of. */
  readonly missing: readonly ToBuy[];
}

/** A task of a project, with what the plan shows of it. */
export interface StepTask extends Task {
  readonly step: string;
  readonly kind: StepKind | 'buy' | 'waiting';
  readonly title: string;
  /** ms since 1970 at which the person wants it to begin. */
  readonly pinned: number | null;
}

/** Minutes that ordering takes, and days until what was ordered is there. Starting values. */
export const BUYING_MINUTES = 10;
export const LEAD_DAYS = 3;

/** Steps that are done on a balloon once it is blown up. */
const BLOWN_UP: ReadonlySet<StepKind> = new Set(['clean', 'mark', 'aim', 'lay', 'seam', 'tape-off']);
/** Work that somebody else can take over: it needs no measuring and no aiming. */
const HELPED: ReadonlySet<StepKind> = new Set(['trim', 'weed', 'tape', 'squares-off']);
/** Steps that need the film or the blank in hand. */
const NEEDS_STOCK: ReadonlySet<StepKind> = new Set(['prepare', 'lay-out', 'place-film']);

/** ms since 1970 of a hand-over, by the clock on the wall. */
export const dueOf = ({ day, time }: Pick<HandOver, 'day' | 'time'>): number => msOf(`${day}T${time}:00`);

/**
 * What is left to do of a project until its hand-over: steps that are not done, waits that still run, and what has to be
 * bought first. Of a step that is done on some things, the others are left.
 *
 * @param now ms since 1970
 * @param others how many weed and tape along: what they share takes so much less
 * @returns in the order of the steps; none without a hand-over, or once all is done
 */
export function tasksOf({ project, steps, missing }: OpenProject, now: number, others = 0): StepTask[] {
  const { handOver, planning, bench } = project;
  if (!handOver) return [];
  const due = dueOf(handOver);
  const skipped = new Set(
    steps.flatMap(({ id, kind }) =>
      (planning.skipSeal && kind === 'seal') || (planning.beforeCure && kind === 'cure') ? [id] : [],
    ),
  );
  const left = steps.filter((step) => !skipped.has(step.id) && !isStepDone(bench, step));
  const waits = runningWaits(bench.waitsUntil, now);
  // Only looking at it and noting it down is left: that needs no plan.
  if (left.every(({ kind }) => kind === 'wrap-up') && waits.size === 0) return [];
  const byId = new Map(steps.map((step) => [step.id, step]));
  const open = new Set(left.map(({ id }) => id));
  /** What a step waits for of what is left, past what is done or left out. */
  const afterOf = (id: string, seen = new Set<string>()): string[] =>
    (byId.get(id)?.after ?? []).flatMap((before) => {
      if (seen.has(before)) return [];
      seen.add(before);
      if (open.has(before)) return [before];
      return [...(waits.has(before) ? [`${before} waits`] : []), ...afterOf(before, seen)];
    });
  const keeps = KINDS_OF_BLANK[project.blank.kind].blownUp ? BALLOON_KEEPS_HOURS[project.blank.balloon.gas] : null;
  const idOf = (step: string): string => `${project.id}:${step}`;
  const task = (step: string, kind: StepTask['kind'], title: string, rest: Partial<StepTask>): StepTask => ({
    id: idOf(step),
    project: project.id,
    step,
    kind,
    title,
    handsMinutes: 0,
    waitMinutes: 0,
    after: [],
    due,
    pinned: null,
    ...rest,
  });
  let help = planning.helperMinutes;
  const bought = missing.length > 0 && left.some(({ kind }) => NEEDS_STOCK.has(kind));
  return [
    ...(bought
      ? [task('buy', 'buy', `Buy ${missing.map(({ what }) => what).join(', ')}`, { handsMinutes: BUYING_MINUTES, waitMinutes: LEAD_DAYS * 24 * 60 })] // prettier-ignore
      : []),
    ...[...waits].map(([step, until]) => task(`${step} waits`, 'waiting', byId.get(step)?.title ?? step, { waitMinutes: Math.ceil((until - now) / MINUTE_MS) })), // prettier-ignore
    ...left.map((step): StepTask => {
      const undone = step.things.filter((id) => !bench.doneSteps.includes(tickOf(step.id, id)) && !bench.parked.includes(id)); // prettier-ignore
      const share = step.things.length > 0 ? undone.length / step.things.length : 1;
      // What waits already has had its hands: its end is what counts, and that stands in the task that waits.
      const waiting = hasBegun(bench.waitsUntil, step, undone);
      const hands = HELPED.has(step.kind) ? 1 + others : 1;
      const own = waiting ? 0 : Math.ceil((step.handsMinutes * share) / hands);
      const helped = HELPED.has(step.kind) ? Math.min(help, own) : 0;
      help -= helped;
      const pin = ownEntry(planning.pinned, step.id);
      return task(step.id, step.kind, step.title, {
        handsMinutes: own - helped,
        waitMinutes: waiting ? 0 : step.waitMinutes,
        after: [
          ...new Set([
            ...(waiting && waits.has(step.id) ? [`${step.id} waits`] : []),
            ...(bought && NEEDS_STOCK.has(step.kind) ? ['buy'] : []),
            ...afterOf(step.id),
          ]),
        ].map(idOf),
        pinned: pin === undefined ? null : msOf(pin),
        ...(keeps !== null && BLOWN_UP.has(step.kind) ? { notBefore: due - keeps * 60 * MINUTE_MS } : {}),
      });
    }),
  ];
}

/** Whether the wait of a step was begun, on all that it is not done on yet; be it over by now. */
const hasBegun = (
  waitsUntil: { readonly [id: string]: string },
  { id, things }: BenchStep,
  undone: readonly string[],
): boolean => id in waitsUntil || (things.length > 0 && undone.every((thing) => tickOf(id, thing) in waitsUntil));

/** Waits that still run, by step: the last of those on several things. */
function runningWaits(waitsUntil: { readonly [id: string]: string }, now: number): Map<string, number> {
  const waits = new Map<string, number>();
  for (const [id, until] of Object.entries(waitsUntil)) {
    const [step] = id.split('#');
    const end = msOf(until);
    if (end > now) waits.set(step!, Math.max(end, waits.get(step!) ?? 0));
  }
  return waits;
}

import { MINUTE_MS, msOf } from '../numeric/time.ts';
import type { BenchRun } from '../model/bench-run.ts';
import type { BenchStep } from './step.ts';

/** What goes into the log when a run is over. */
export interface WrapUp {
  readonly run: BenchRun;
  readonly steps: readonly BenchStep[];
  /** What the person says. */
  readonly fought: string;
  readonly otherwise: string;
}

/** Longest pause between two ticks that still counts as work, minutes. */
export const PAUSE_MINUTES = 45;

/** Minutes of work between the first tick and the last, without the pauses; null with fewer than two. */
export function minutesAtBench({ doneAt }: Pick<BenchRun, 'doneAt'>): number | null {
  const times = Object.values(doneAt)
    .map(msOf)
    .sort((a, b) => a - b);
  if (times.length < 2) return null;
  const gaps = times.slice(1).map((at, i) => (at - times[i]!) / MINUTE_MS);
  return gaps.reduce((sum, gap) => sum + (gap <= PAUSE_MINUTES ? gap : 0), 0);
}

/** The entry of a run: what the person says, then what was noted by itself. */
export function wrapUpText({ run, steps, fought, otherwise }: WrapUp): string {
  const titleOf = (id: string): string => steps.find((step) => step.id === id)?.title ?? id;
  const minutes = minutesAtBench(run);
  const planned = steps.reduce((sum, step) => sum + step.handsMinutes, 0);
  const checks = run.answers.map(({ step, at, yes }) => `${titleOf(step)} ${at.slice(11, 16)} ${yes ? 'yes' : 'no'}`);
  const waits = Object.entries(run.waitsFrom).flatMap(([id, from]) => {
    const until = run.waitsUntil[id];
    const [stepId] = id.split('#');
    return until ? [`${titleOf(stepId!)} ${Math.round((msOf(until) - msOf(from)) / MINUTE_MS)} min`] : [];
  });
  const lines = [
    fought.trim() && `What fought: ${fought.trim()}`,
    otherwise.trim() && `Otherwise next time: ${otherwise.trim()}`,
    minutes !== null && `At the bench ${Math.round(minutes)} min (${planned} planned).`,
    checks.length > 0 && `Checks: ${checks.join('; ')} (UTC).`,
    waits.length > 0 && `Waited: ${[...new Set(waits)].join('; ')}.`,
    run.spoilt.length > 0 && `Made again: ${run.spoilt.map(({ why }) => why.toLowerCase()).join('; ')}.`,
    ...run.notes.filter(({ text }) => text !== '').map(({ step, text }) => `${titleOf(step)}: ${text}`),
  ];
  return lines
    .filter((line) => line !== false && line !== '')
    .join('\n')
    .slice(0, 19_000);
}

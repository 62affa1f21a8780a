import { addDays, startOfDay } from 'date-fns';
import type { PlannedTask, ProjectsPlan } from './plan-projects.ts';

/** What is to be done on a day. */
export interface DayList {
  /** Work whose hands fall on the day, in the order in which it begins. */
  readonly tasks: readonly PlannedTask[];
  /** Work of later days that could be begun already. */
  readonly ahead: readonly PlannedTask[];
  /** Minutes of work on the day. */
  readonly handsMinutes: number;
}

/** Tasks that could be done ahead that are offered. */
const OFFERED = 5;

/**
 * The list of a day: what has to be begun on it, and what could be done ahead while there is time.
 *
 * @param day any moment of it, ms since 1970
 */
export function dayList({ tasks }: ProjectsPlan, day: number): DayList {
  const [from, to] = [startOfDay(day).getTime(), addDays(startOfDay(day), 1).getTime()];
  const onDay = (task: PlannedTask): boolean => task.hands.some(({ start, end }) => start < to && end > from);
  const own = tasks.filter(onDay);
  const minutes = own.flatMap(({ hands }) => hands).reduce((sum, { start, end }) => sum + Math.max(0, Math.min(end, to) - Math.max(start, from)), 0) / 60_000; // prettier-ignore
  const first = (task: PlannedTask): number => task.hands[0]?.start ?? Infinity;
  const before = new Set(tasks.filter((task) => first(task) >= to).map(({ projectId }) => projectId));
  // Of each project the next one that nothing else of it lies before.
  const ahead = [...before].flatMap((id) => {
    const next = tasks.find((task) => task.projectId === id && task.hands.length > 0);
    return next && first(next) >= to && next.slackMinutes > 0 ? [next] : [];
  });
  return { tasks: own, ahead: ahead.sort((a, b) => first(a) - first(b)).slice(0, OFFERED), handsMinutes: Math.round(minutes) }; // prettier-ignore
}

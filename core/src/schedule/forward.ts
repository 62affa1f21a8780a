import { MINUTE_MS } from '../numeric/time.ts';
import type { Span } from './hours.ts';
import { windowsAfter } from './hours.ts';
import { beginOf, type Planned, type Task } from './plan.ts';

/**
 * Everything as early as it may be, for when there is no time to wait: of what can be done next, what is most urgent; what
 * is begun is finished, broken off only where the day ends.
 *
 * @param windows stretches in which hands work, in order
 * @param from ms since 1970; nothing begins before
 * @param urgency ms since 1970 by which a task ought to begin: the lowest goes first
 * @returns in the order in which they begin; what no hours are left for is left out
 */
export function planForward<T extends Task>(
  tasks: readonly T[],
  windows: readonly Span[],
  from: number,
  urgency: (task: T) => number,
): Planned<T>[] {
  const ids = new Set(tasks.map(({ id }) => id));
  const over = new Map<string, number>();
  const planned: Planned<T>[] = [];
  const open = new Set(tasks);
  /** When a task may begin; Infinity while something before it has no place. */
  const readyAt = (task: T): number =>
    Math.max(from, task.pinned ?? 0, ...task.after.filter((id) => ids.has(id)).map((id) => over.get(id) ?? Infinity));
  const place = (task: T, hands: readonly Span[], end: number): void => {
    const wait = { start: end, end: end + task.waitMinutes * MINUTE_MS };
    planned.push({ task, hands, wait });
    over.set(task.id, wait.end);
    open.delete(task);
  };
  let now = from;
  while (open.size > 0) {
    const ready = [...open].map((task) => ({ task, at: readyAt(task) })).filter(({ at }) => at < Infinity);
    if (ready.length === 0) break;
    const free = ready.find(({ task }) => task.handsMinutes === 0);
    if (free) {
      place(free.task, [], free.at);
      continue;
    }
    now = Math.max(now, Math.min(...ready.map(({ at }) => at)));
    const [window] = windowsAfter(windows, now);
    if (!window) break;
    now = Math.max(now, window.start);
    const [next] = ready.filter(({ at }) => at <= now).sort((a, b) => urgency(a.task) - urgency(b.task));
    const hands: Span[] = [];
    let left = next!.task.handsMinutes * MINUTE_MS;
    for (const { start, end } of windowsAfter(windows, now)) {
      const until = Math.min(end, start + left);
      hands.push({ start, end: until });
      left -= until - start;
      if (left === 0) break;
    }
    if (left > 0) break;
    now = hands.at(-1)!.end;
    place(next!.task, hands, now);
  }
  return planned.sort((a, b) => beginOf(a) - beginOf(b));
}

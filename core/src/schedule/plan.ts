import { MINUTE_MS } from '../numeric/time.ts';
import type { WorkHours } from '../model/planning.ts';
import type { Span } from './hours.ts';
import { endFrom, windowsBetween } from './hours.ts';

/** Something to do: hands for so long, then a wait that runs by itself. */
export interface Task {
  readonly id: string;
  readonly project: string;
  readonly handsMinutes: number;
  readonly waitMinutes: number;
  /** Ids of tasks that have to be done, and to have waited, before it. */
  readonly after: readonly string[];
  /** ms since 1970. When it has to be done, and to have waited. */
  readonly due: number;
  /** ms since 1970. What is done earlier does not keep; left out, it keeps. */
  readonly notBefore?: number;
  /** ms since 1970 at which it is to begin, if it may; null or left out, whenever it suits. */
  readonly pinned?: number | null;
}

/** When something is done. */
export interface Planned<T extends Task = Task> {
  readonly task: T;
  /** When hands are at it, in order: broken off where the day ends. */
  readonly hands: readonly Span[];
  /** When it waits afterwards. */
  readonly wait: Span;
}

/** A plan, and whether it holds. */
export interface Plan<T extends Task = Task> {
  /** In the order in which they begin. */
  readonly tasks: readonly Planned<T>[];
  /** Minutes by which it would have to have begun before now; 0 when it can be done. */
  readonly lateMinutes: number;
}

/** ms. How far back a plan may reach when it has to have begun before now. */
const BACK_MS = 400 * 24 * 60 * MINUTE_MS;
/** Minutes that no chain takes: what has it comes before all others. */
const BEFORE_ALL = 1e9;
/** Tasks up to which every order is tried before a plan is called late. */
const TRIED = 7;

/**
 * Everything as late as it may be, hung from what is due: hands do one thing at a time, inside their hours; waits run beside.
 *
 * In reversed time each task is released when all that follow it have begun, less its own wait, and has a tail: the longest
 * chain of work and waits before it. Of what is released the one with the longest tail is taken, and put off for one with a
 * longer.
 *
 * @param from ms since 1970; nothing begins before
 * @source J. R. Jackson, "Scheduling a production line to minimize maximum tardiness", 1955: largest tail first, with
 *   preemption, is best on one machine with releases and tails; with chains that wait it is good, and where it is late all
 *   orders of few tasks are tried
 */
export function planBackward<T extends Task>(tasks: readonly T[], hours: WorkHours, from: number): Plan<T> {
  const windows = windowsBetween(hours, from - BACK_MS, Math.max(from, ...tasks.map(({ due }) => due)));
  const tails = tailsOf(tasks);
  // What does not keep goes nearest to its hand-over, and what was pinned where it was put: everything else gives way.
  const first = placed(tasks, windows, (task) => (gives(task) ? 0 : BEFORE_ALL) + tails.get(task.id)!, from);
  if (first.lateMinutes === 0 || tasks.length > TRIED) return first;
  let best = first;
  for (const order of orders(tasks)) {
    const rank = new Map(order.map((task, i) => [task.id, i]));
    const plan = placed(tasks, windows, (task) => rank.get(task.id)!, from);
    if (plan.lateMinutes < best.lateMinutes) best = plan;
    if (best.lateMinutes === 0) break;
  }
  return best;
}

/** Whether a task gives way to others. */
const gives = ({ notBefore, pinned }: Task): boolean => notBefore === undefined && (pinned ?? null) === null;

/** Minutes of work and waits in the longest chain that ends with each task, its own hands in it. */
function tailsOf(tasks: readonly Task[]): ReadonlyMap<string, number> {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const tails = new Map<string, number>();
  const tail = (task: Task): number => {
    const known = tails.get(task.id);
    if (known !== undefined) return known;
    tails.set(task.id, Infinity);
    const before = task.after.flatMap((id) => byId.get(id) ?? []).map((one) => tail(one) + one.waitMinutes);
    const own = task.handsMinutes + Math.max(0, ...before);
    if (own === Infinity) throw new RangeError('tasks wait for each other');
    tails.set(task.id, own);
    return own;
  };
  tasks.forEach(tail);
  return tails;
}

function* orders<T>(list: readonly T[]): Generator<readonly T[]> {
  if (list.length <= 1) return yield list;
  for (const [i, one] of list.entries())
    for (const rest of orders([...list.slice(0, i), ...list.slice(i + 1)])) yield [one, ...rest];
}

interface Open<T extends Task> {
  readonly task: T;
  left: number;
  /** Latest time at which hands may leave it. */
  until: number;
  readonly hands: Span[];
}

/** Places tasks from the last moment backwards; of what may be done then, that with the highest rank. */
function placed<T extends Task>(
  tasks: readonly T[],
  windows: readonly Span[],
  rank: (task: T) => number,
  from: number,
): Plan<T> {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  /** How many of those that follow a task have no place yet, and the earliest start of those that have. */
  const following = new Map(tasks.map(({ id }) => [id, { open: 0, start: Infinity }]));
  for (const task of tasks) for (const id of task.after) if (following.has(id)) following.get(id)!.open++;
  const planned: Planned<T>[] = [];
  const open: Open<T>[] = [];
  const finish = ({ task, hands, until }: Open<T>): void => {
    const inOrder = [...hands].reverse();
    const start = inOrder[0]?.start ?? until;
    const end = inOrder.at(-1)?.end ?? until;
    planned.push({ task, hands: inOrder, wait: { start: end, end: end + task.waitMinutes * MINUTE_MS } });
    for (const id of task.after) {
      const before = following.get(id);
      if (!before) continue;
      before.open--;
      before.start = Math.min(before.start, start);
      if (before.open === 0) release(byId.get(id)!);
    }
  };
  /** Takes up a task whose followers all have their place. */
  const release = (task: T): void => {
    const pinned = task.pinned == null ? Infinity : endFrom(windows, task.pinned, task.handsMinutes);
    const until = Math.min(pinned, Math.min(task.due, following.get(task.id)!.start) - task.waitMinutes * MINUTE_MS);
    const one = { task, left: task.handsMinutes * MINUTE_MS, until, hands: [] };
    // What takes no hands has its place at once.
    if (one.left === 0) finish(one);
    else open.push(one);
  };
  for (const task of tasks.filter(({ id }) => following.get(id)!.open === 0)) release(task);
  let now = Math.max(0, ...tasks.map(({ due }) => due));
  for (let w = windows.length - 1; w >= 0 && planned.length < tasks.length; w--) {
    const { start, end } = windows[w]!;
    now = Math.min(now, end);
    while (now > start && open.length > 0) {
      const ready = open.filter(({ until }) => until >= now).sort((a, b) => rank(b.task) - rank(a.task))[0];
      // The next moment at which something else may be done.
      const next = Math.max(start, ...open.filter(({ until }) => until < now).map(({ until }) => until));
      if (!ready) {
        now = next;
        continue;
      }
      const begin = Math.max(next, now - ready.left);
      const last = ready.hands.at(-1);
      if (last && last.start === now) ready.hands[ready.hands.length - 1] = { start: begin, end: last.end };
      else ready.hands.push({ start: begin, end: now });
      ready.left -= now - begin;
      now = begin;
      if (ready.left <= 0) {
        open.splice(open.indexOf(ready), 1);
        finish(ready);
      }
    }
  }
  const begins = Math.min(...planned.map(beginOf));
  const unplaced = planned.length < tasks.length;
  return {
    tasks: planned.sort((a, b) => beginOf(a) - beginOf(b)),
    lateMinutes: unplaced ? Infinity : Math.max(0, Math.ceil((from - begins) / MINUTE_MS)),
  };
}

/** When something begins: with its hands, or with its wait where it takes none. */
export const beginOf = ({ hands, wait }: Pick<Planned, 'hands' | 'wait'>): number => hands[0]?.start ?? wait.start;

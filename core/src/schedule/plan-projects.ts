import type { WorkHours } from '../model/planning.ts';
import type { Project } from '../model/project.ts';
import { MINUTE_MS } from '../numeric/time.ts';
import { type LateChoice, choicesFor } from './choices.ts';
import { planForward } from './forward.ts';
import { windowsAfter, windowsBetween, type Span } from './hours.ts';
import { beginOf, planBackward, type Planned } from './plan.ts';
import { dueOf, tasksOf, type OpenProject, type StepTask } from './tasks.ts';

/** A task with its place in the plan. */
export interface PlannedTask {
  readonly id: string;
  readonly projectId: string;
  readonly project: string;
  readonly step: string;
  readonly kind: StepTask['kind'];
  readonly title: string;
  readonly hands: readonly Span[];
  readonly wait: Span;
  /** Minutes by which it could begin earlier and all would still be in order: 0 where it begins as early as it can. */
  readonly slackMinutes: number;
  readonly pinned: boolean;
}

/** A project that cannot be ready in time as things stand. */
export interface LateProject {
  readonly projectId: string;
  readonly project: string;
  readonly byMinutes: number;
  /** ms since 1970 at which it will be ready. */
  readonly readyAt: number;
  readonly choices: readonly LateChoice[];
}

/** All that is open, planned together. */
export interface ProjectsPlan {
  /** In the order in which they begin. */
  readonly tasks: readonly PlannedTask[];
  readonly late: readonly LateProject[];
  /** Names of projects that still make it although it ought to have begun already, and by how many minutes it ought to. */
  readonly behind: { readonly minutes: number; readonly makeIt: readonly string[] } | null;
  /** Things that will not keep until their hand-over, by name of the project. */
  readonly tooEarly: readonly string[];
  /** Projects without a hand-over, or without anything left to do, are in no plan. */
  readonly planned: readonly string[];
}

/** Days past the last hand-over in which what is late is still given a place. */
const LATE_DAYS = 120;

/**
 * Plans all open projects together: everything as late as it may be; where that is not possible any more, as early as it can
 * be, with what slips and what could be done about it.
 *
 * @param hours when hands are free
 * @param now ms since 1970
 * @source late scheduling from due dates; see `planBackward` and `planForward`
 */
export function planProjects(projects: readonly OpenProject[], hours: WorkHours, now: number): ProjectsPlan {
  const plan = bare(projects, hours, now);
  const late = plan.late.map((one): LateProject => {
    const open = projects.find(({ project }) => project.id === one.projectId)!;
    const lateIf = (change: (project: Project) => Project): number => {
      const changed = projects.map((other) => (other === open ? { ...other, project: change(other.project as Project) } : other)); // prettier-ignore
      return bare(changed, hours, now).late.find(({ projectId }) => projectId === one.projectId)?.byMinutes ?? 0;
    };
    return { ...one, choices: choicesFor(open, one, lateIf) };
  });
  return { ...plan, late };
}

/** The plan without its choices. */
function bare(projects: readonly OpenProject[], hours: WorkHours, now: number): ProjectsPlan {
  const names = new Map(projects.map(({ project }) => [project.id, project.name]));
  const tasks = projects.flatMap((one) => tasksOf(one, now, hours.others));
  if (tasks.length === 0) return { tasks: [], late: [], behind: null, tooEarly: [], planned: [] };
  const last = Math.max(now, ...tasks.map(({ due }) => due));
  const windows = windowsBetween(hours, now, last + LATE_DAYS * 24 * 60 * MINUTE_MS);
  const backward = planBackward(tasks, hours, now);
  const starts = new Map(backward.tasks.map((one) => [one.task.id, beginOf(one)]));
  const held = backward.lateMinutes === 0;
  const asap = held ? [] : planForward(tasks, windows, now, (task) => starts.get(task.id) ?? task.due);
  const earliest = earliestStarts(tasks, windows, now);
  const readyAt = new Map<string, number>();
  for (const { task, wait } of held ? backward.tasks : asap)
    readyAt.set(task.project, Math.max(readyAt.get(task.project) ?? 0, wait.end));
  const lacking = new Set(tasks.filter(({ id }) => !held && !asap.some(({ task }) => task.id === id)).map(({ project }) => project)); // prettier-ignore
  const late = projects.flatMap(({ project: { id, name, handOver } }) => {
    const ready = lacking.has(id) ? Infinity : readyAt.get(id);
    if (!handOver || ready === undefined) return [];
    const byMinutes = Math.ceil((ready - dueOf(handOver)) / MINUTE_MS);
    return byMinutes > 0 ? [{ projectId: id, project: name, byMinutes, readyAt: ready, choices: [] }] : [];
  });
  const lateIds = new Set(late.map(({ projectId }) => projectId));
  // What is late goes as early as it can; all else hangs from its hand-over as before, where there is room for both.
  const eased = held ? backward : planBackward(tasks.map((task) => (lateIds.has(task.project) ? { ...task, due: readyAt.get(task.project) ?? task.due } : task)), hours, now); // prettier-ignore
  const placed: readonly Planned<StepTask>[] = eased.lateMinutes === 0 ? eased.tasks : asap;
  const planned = [...new Set(placed.map(({ task }) => task.project))];
  return {
    tasks: placed.map(({ task, hands, wait }): PlannedTask => ({
      id: task.id,
      projectId: task.project,
      project: names.get(task.project)!,
      step: task.step,
      kind: task.kind,
      title: task.title,
      hands,
      wait,
      slackMinutes: Math.max(0, Math.floor((beginOf({ hands, wait }) - (earliest.get(task.id) ?? now)) / MINUTE_MS)),
      pinned: task.pinned !== null,
    })),
    late,
    behind: held ? null : { minutes: workedMinutes(hours, now - backward.lateMinutes * MINUTE_MS, now), makeIt: planned.filter((id) => !lateIds.has(id)).map((id) => names.get(id)!) }, // prettier-ignore
    tooEarly: [...new Set(placed.filter(({ task, hands, wait }) => task.notBefore !== undefined && beginOf({ hands, wait }) < task.notBefore).map(({ task }) => names.get(task.project)!))], // prettier-ignore
    planned,
  };
}

/** Minutes of somebody's hours between two moments; from no moment at all, none are known. */
const workedMinutes = (hours: WorkHours, from: number, to: number): number =>
  Number.isFinite(from)
    ? Math.round(windowsBetween(hours, from, to).reduce((sum, { start, end }) => sum + end - start, 0) / MINUTE_MS)
    : 0;

/** When each task could begin if hands had nothing else to do, ms since 1970. */
function earliestStarts(tasks: readonly StepTask[], windows: readonly Span[], now: number): Map<string, number> {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const starts = new Map<string, number>();
  const ends = new Map<string, number>();
  const end = (task: StepTask): number => {
    const known = ends.get(task.id);
    if (known !== undefined) return known;
    const ready = Math.max(now, ...task.after.flatMap((id) => byId.get(id) ?? []).map(end));
    let left = task.handsMinutes * MINUTE_MS;
    let [begin, over] = [ready, ready];
    if (left > 0)
      for (const [i, window] of windowsAfter(windows, ready).entries()) {
        if (i === 0) begin = window.start;
        const spent = Math.min(left, window.end - window.start);
        over = window.start + spent;
        left -= spent;
        if (left === 0) break;
      }
    starts.set(task.id, begin);
    ends.set(task.id, over + task.waitMinutes * MINUTE_MS);
    return ends.get(task.id)!;
  };
  tasks.forEach(end);
  return starts;
}

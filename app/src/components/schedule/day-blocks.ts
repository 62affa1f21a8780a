import type { PlannedTask, ProjectsPlan, Span } from '@mivet/core';

/** Work or waiting of one project that stands in one piece on a day. */
export interface DayBlock {
  readonly key: string;
  readonly projectId: string;
  readonly project: string;
  readonly span: Span;
  /** What is done in it, in order. */
  readonly steps: readonly string[];
}

/** ms. Work of one project with pauses shorter than this stands in one block: paint a few minutes to dry is none. */
const PAUSE_MS = 20 * 60_000;
/** ms. Shorter waits are not drawn: they lie inside the work. */
const SHORT_MS = 30 * 60_000;

const clipped = ({ start, end }: Span, { start: from, end: to }: Span): Span | null =>
  end > from && start < to ? { start: Math.max(start, from), end: Math.min(end, to) } : null;

/** A day's work in blocks, project by project. */
export function workBlocks({ tasks }: ProjectsPlan, day: Span): DayBlock[] {
  const pieces = tasks
    .flatMap((task) => task.hands.flatMap((span) => ({ task, span: clipped(span, day) })))
    .filter((one): one is { task: PlannedTask; span: Span } => one.span !== null)
    .sort((a, b) => a.span.start - b.span.start);
  const blocks: DayBlock[] = [];
  for (const { task, span } of pieces) {
    const last = blocks.at(-1);
    if (last && last.projectId === task.projectId && span.start - last.span.end < PAUSE_MS)
      blocks[blocks.length - 1] = {
        ...last,
        span: { start: last.span.start, end: Math.max(last.span.end, span.end) },
        steps: [...last.steps, task.title],
      };
    else
      blocks.push({ key: `${task.id} ${span.start}`, projectId: task.projectId, project: task.project, span, steps: [task.title] }); // prettier-ignore
  }
  return blocks;
}

/** Something that waits on a day, and when that is truly over: on that day or later, ms since 1970. */
export interface WaitBlock extends DayBlock {
  readonly until: number;
}

/** What waits on a day, long enough to be drawn. */
export const waitBlocks = ({ tasks }: ProjectsPlan, day: Span): WaitBlock[] =>
  tasks.flatMap((task): WaitBlock[] => {
    if (task.wait.end - task.wait.start < SHORT_MS) return [];
    const span = clipped(task.wait, day);
    return span ? [{ key: `${task.id} wait`, projectId: task.projectId, project: task.project, span, steps: [task.title], until: task.wait.end }] : []; // prettier-ignore
  });

/** In which of several columns each block stands, so that none covers another. */
export function columnsOf(blocks: readonly DayBlock[]): { readonly column: readonly number[]; readonly count: number } {
  const ends: number[] = [];
  const column = blocks.map(({ span }) => {
    const free = ends.findIndex((end) => end <= span.start);
    const at = free < 0 ? ends.length : free;
    ends[at] = span.end;
    return at;
  });
  return { column, count: ends.length };
}

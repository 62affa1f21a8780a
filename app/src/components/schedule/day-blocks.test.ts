import type { PlannedTask, ProjectsPlan } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { columnsOf, waitBlocks, workBlocks } from './day-blocks.ts';

const MINUTE = 60_000;
const NINE = new Date(2026, 11, 1, 9).getTime();
const DAY = { start: new Date(2026, 11, 1).getTime(), end: new Date(2026, 11, 2).getTime() };
const at = (minutes: number): number => NINE + minutes * MINUTE;
const task = (id: string, projectId: string, from: number, to: number, wait = 0): PlannedTask => ({ id, projectId, project: projectId, step: id, kind: 'lay', title: id, hands: [{ start: at(from), end: at(to) }], wait: { start: at(to), end: at(to + wait) }, slackMinutes: 0, pinned: false }); // prettier-ignore
const planOf = (...tasks: PlannedTask[]): ProjectsPlan => ({
  tasks,
  late: [],
  behind: null,
  tooEarly: [],
  planned: [],
});

describe('a day in blocks', () => {
  it('puts work of one project together over short pauses, and parts it at long ones and at other projects', () => {
    const blocks = workBlocks(planOf(task('weed', 'mug', 0, 20), task('clean', 'mug', 23, 30), task('cut', 'pot', 30, 40), task('lay', 'mug', 40, 50), task('seal', 'mug', 71, 75)), DAY); // prettier-ignore
    expect(
      blocks.map(({ project, steps, span }) => [project, steps.join('+'), (span.end - span.start) / MINUTE]),
    ).toEqual([
      ['mug', 'weed+clean', 30],
      ['pot', 'cut', 10],
      ['mug', 'lay', 10],
      // 21 minutes after the one before.
      ['mug', 'seal', 4],
    ]);
  });

  it('draws waits that are long enough, cut off where the day ends, in columns that do not cover each other', () => {
    const plan = planOf(task('a', 'a', 0, 10, 29), task('b', 'b', 0, 10, 30), task('c', 'c', 0, 20, 2880), task('d', 'd', 40, 50, 60)); // prettier-ignore
    const waits = waitBlocks(plan, DAY);
    expect(waits.map(({ project }) => project)).toEqual(['b', 'c', 'd']);
    expect(waits[1]!.span.end).toBe(DAY.end);
    // It truly waits two days.
    expect(waits[1]!.until).toBe(at(20 + 2880));
    // The first is over at 9:40, where the third one begins at 9:50.
    expect(columnsOf(waits)).toEqual({ column: [0, 1, 0], count: 2 });
    expect(columnsOf([])).toEqual({ column: [], count: 0 });
  });
});

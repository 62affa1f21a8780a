import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MINUTE_MS, msOf } from '../numeric/time.ts';
import type { WorkHours } from '../model/planning.ts';
import { USUAL_HOURS, windowsBetween } from './hours.ts';
import { planBackward, type Plan, type Task } from './plan.ts';

const NOON = msOf('2026-11-27T12:00:00');
const at = (minutes: number): number => NOON + minutes * MINUTE_MS;
const ALWAYS: WorkHours = { weekdays: Array.from({ length: 7 }, () => [{ from: 0, to: 24 * 60 }]), daysOff: [] };
const task = (id: string, handsMinutes: number, more: Partial<Task> = {}): Task => ({ id, project: 'p', handsMinutes, waitMinutes: 0, after: [], due: at(100), ...more }); // prettier-ignore
const spans = ({ tasks }: Plan): string[] => tasks.map(({ task: { id }, hands }) => `${id} ${hands.map(({ start, end }) => `${(start - NOON) / MINUTE_MS}–${(end - NOON) / MINUTE_MS}`).join(' ')}`.trim()); // prettier-ignore

describe('hours', () => {
  it('are those of each weekday, without the days off and what lies outside', () => {
    // The 27th of November 2026 is a Friday.
    const [first, second, third] = windowsBetween(USUAL_HOURS, NOON, NOON + 7 * 86_400_000);
    const day = (span: typeof first) => [new Intl.DateTimeFormat('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' }).format(span!.start), (span!.end - span!.start) / 3_600_000]; // prettier-ignore
    expect([day(first), day(second), day(third)]).toEqual([
      ['Fri 18:00', 3],
      ['Sat 10:00', 7],
      ['Mon 18:00', 3],
    ]);
    const off = windowsBetween({ ...USUAL_HOURS, daysOff: ['2026-11-28'] }, NOON, NOON + 7 * 86_400_000);
    expect(day(off[1])).toEqual(['Mon 18:00', 3]);
    expect(windowsBetween(ALWAYS, NOON, at(30))).toEqual([{ start: NOON, end: at(30) }]);
  });

  it('on the day on which summer time begins or ends are those of the clock on the wall, at midnight and on a leap day too', () => {
    const evening: WorkHours = { weekdays: Array.from({ length: 7 }, () => [{ from: 18 * 60, to: 21 * 60 }]), daysOff: [] }; // prettier-ignore
    for (const day of ['2026-03-29', '2026-10-25', '2028-02-29', '2026-12-31']) {
      const [window] = windowsBetween(evening, msOf(`${day}T00:00:00`), msOf(`${day}T23:59:00`));
      expect(window).toEqual({ start: msOf(`${day}T18:00:00`), end: msOf(`${day}T21:00:00`) });
    }
  });
});

describe('a plan from what is due', () => {
  it('does everything as late as it may, waits kept, hands at one thing at a time', () => {
    // 10 to clean, 3 of drying, 5 to lay, 20 of curing, due at 100: laid 75–80, cleaned 62–72.
    const chain = [task('clean', 10, { waitMinutes: 3 }), task('lay', 5, { after: ['clean'], waitMinutes: 20 })];
    expect(spans(planBackward(chain, ALWAYS, NOON))).toEqual(['clean 62–72', 'lay 75–80']);
    // Beside the curing another one, also due at 100, takes the hands at the end.
    expect(spans(planBackward([...chain, task('weed', 15)], ALWAYS, NOON))).toEqual(['clean 62–72', 'lay 75–80', 'weed 85–100']); // prettier-ignore
  });

  it('breaks off where the day ends, and goes on where the next begins', () => {
    const halves: WorkHours = { weekdays: Array.from({ length: 7 }, () => [{ from: 12 * 60, to: 12 * 60 + 30 }, { from: 13 * 60, to: 13 * 60 + 20 }]), daysOff: [] }; // prettier-ignore
    expect(spans(planBackward([task('long', 40)], halves, NOON))).toEqual(['long 10–30 60–80']);
  });

  it('is late only by what there is too little of', () => {
    expect(planBackward([task('long', 100)], ALWAYS, NOON).lateMinutes).toBe(0);
    expect(planBackward([task('long', 104)], ALWAYS, NOON).lateMinutes).toBe(4);
    expect(planBackward([task('wait', 1, { waitMinutes: 102 })], ALWAYS, NOON).lateMinutes).toBe(3);
    expect(planBackward([], ALWAYS, NOON)).toEqual({ tasks: [], lateMinutes: 0 });
    const circle = [task('a', 1, { after: ['b'] }), task('b', 1, { after: ['a'] })];
    expect(() => planBackward(circle, ALWAYS, NOON)).toThrow('wait for each other');
  });
});

/** Small jobs: chains of two or three with waits, due within a few minutes. */
const jobs = fc
  .array(
    fc.record({
      hands: fc.array(fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 4 })), { minLength: 1, maxLength: 2 }), // prettier-ignore
      due: fc.integer({ min: 3, max: 12 }),
    }),
    { minLength: 1, maxLength: 3 },
  )
  .map((all) =>
    all.flatMap(
      ({ hands, due }, p) =>
      hands.map(([handsMinutes, waitMinutes], i) => task(`${p}-${i}`, handsMinutes, { project: String(p), waitMinutes, due: at(due), after: i > 0 ? [`${p}-${i - 1}`] : [] })), // prettier-ignore
    ),
  );

/** Whether something can be done in time at all: every way to spend every minute, from now on. */
function feasible(tasks: readonly Task[]): boolean {
  const seen = new Set<string>();
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  const go = (minute: number, left: readonly number[], ended: readonly number[]): boolean => {
    // What takes no hands is over as soon as what lies before it is.
    const now = [...ended];
    const ready = (i: number): boolean => tasks[i]!.after.every((id) => now[index.get(id)!]! >= 0 && now[index.get(id)!]! + tasks[index.get(id)!]!.waitMinutes <= minute); // prettier-ignore
    for (const [i] of tasks.entries()) if (left[i] === 0 && now[i]! < 0 && ready(i)) now[i] = minute;
    if (now.every((end) => end >= 0)) return tasks.every(({ due, waitMinutes }, i) => now[i]! + waitMinutes <= (due - NOON) / MINUTE_MS); // prettier-ignore
    if (minute > 40 || tasks.some(({ due }, i) => now[i]! < 0 && minute > (due - NOON) / MINUTE_MS)) return false;
    const key = `${minute} ${left.join()} ${now.join()}`;
    if (seen.has(key)) return false;
    seen.add(key);
    for (const [i] of tasks.entries()) {
      if (left[i]! === 0 || !ready(i)) continue;
      const next = left.map((value, k) => (k === i ? value - 1 : value));
      if (go(minute + 1, next, next[i] === 0 ? now.map((end, k) => (k === i ? minute + 1 : end)) : now)) return true;
    }
    return go(minute + 1, left, now);
  };
  return go(0, tasks.map(({ handsMinutes }) => handsMinutes), tasks.map(() => -1)); // prettier-ignore
}

describe('plans of random jobs', () => {
  it('cut no wait short, use no hands twice, and are late only where every plan is', () => {
    fc.assert(
      fc.property(jobs, (tasks) => {
        const plan = planBackward(tasks, ALWAYS, NOON);
        expect(plan.tasks).toHaveLength(tasks.length);
        const spent = plan.tasks.flatMap(({ hands }) => hands).sort((a, b) => a.start - b.start);
        spent.slice(1).forEach(({ start }, i) => expect(start).toBeGreaterThanOrEqual(spent[i]!.end));
        const of = new Map(plan.tasks.map((one) => [one.task.id, one]));
        for (const { task: own, hands, wait } of plan.tasks) {
          expect(hands.reduce((sum, { start, end }) => sum + end - start, 0)).toBe(own.handsMinutes * MINUTE_MS);
          expect(wait.end - wait.start).toBe(own.waitMinutes * MINUTE_MS);
          expect(wait.end).toBeLessThanOrEqual(own.due);
          const begins = hands[0]?.start ?? wait.start;
          for (const id of own.after) expect(of.get(id)!.wait.end).toBeLessThanOrEqual(begins);
        }
        expect(plan.lateMinutes === 0).toBe(feasible(tasks));
      }),
      { numRuns: 500 },
    );
  });
});

import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { msOf } from '../../numeric/time.ts';
import type { PlannedTask } from '../../schedule/plan-projects.ts';
import { writePlanIcs } from './write-plan.ts';

const NINE = msOf('2026-12-05T09:00:00Z');
const minutes = (n: number): number => n * 60_000;
const task = (id: string, change: Partial<PlannedTask> = {}): PlannedTask => ({ id, projectId: 'p', project: 'Mug, “Tansy”; blue', step: id, kind: 'lay', title: 'Lay it\nin halves', hands: [{ start: NINE, end: NINE + minutes(25) }], wait: { start: NINE + minutes(25), end: NINE + minutes(25) }, slackMinutes: 0, pinned: false, ...change }); // prettier-ignore
const eventsOf = (ics: string): ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(ics) as unknown[]).getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));

describe('a plan as a calendar', () => {
  it('has each piece of work and each long wait, at its time, in its words', () => {
    const [lay, wait, ...rest] = eventsOf(writePlanIcs([task('p:lay', { wait: { start: NINE + minutes(25), end: NINE + minutes(25 + 120) } })], NINE)); // prettier-ignore
    expect(rest).toEqual([]);
    expect(lay!.summary).toBe('Mug, “Tansy”; blue: Lay it\nin halves');
    expect([lay!.startDate, lay!.endDate].map((at) => at.toJSDate().toISOString())).toEqual(['2026-12-05T09:00:00.000Z', '2026-12-05T09:25:00.000Z']); // prettier-ignore
    expect([wait!.startDate, wait!.endDate].map((at) => at.toJSDate().toISOString())).toEqual(['2026-12-05T09:25:00.000Z', '2026-12-05T11:25:00.000Z']); // prettier-ignore
    expect(wait!.summary).toMatch(/, waits$/);
    // 59 minutes of drying are no entry.
    expect(eventsOf(writePlanIcs([task('p:lay', { wait: { start: 0, end: minutes(59) } })], NINE))).toHaveLength(1);
  });

  it('calls an entry what it called it before, and says which file is the newer one', () => {
    const before = eventsOf(writePlanIcs([task('p:lay'), task('p:weed')], NINE));
    const later = eventsOf(writePlanIcs([task('p:weed', { hands: [{ start: NINE + minutes(60), end: NINE + minutes(70) }] })], NINE + 2000)); // prettier-ignore
    expect(later[0]!.uid).toBe(before[1]!.uid);
    expect(before[0]!.uid).not.toBe(before[1]!.uid);
    expect(later[0]!.sequence - before[1]!.sequence).toBe(2);
    expect(eventsOf(writePlanIcs([], NINE))).toEqual([]);
  });
});

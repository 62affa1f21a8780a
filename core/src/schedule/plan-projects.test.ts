import { formatISO } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { makeBlank } from '../../test/jobs.ts';
import type { BenchStep } from '../bench/step.ts';
import { NEW_RUN } from '../model/bench-run.ts';
import { NOTHING_PLANNED, type HandOver, type WorkHours } from '../model/planning.ts';
import type { Project } from '../model/project.ts';
import { MINUTE_MS, isoOf, msOf } from '../numeric/time.ts';
import { CHOOSE } from './choices.ts';
import { planProjects, type ProjectsPlan } from './plan-projects.ts';
import type { OpenProject } from './tasks.ts';
import { dayList } from './today.ts';

/** Friday the 4th of December 2026. */
const NOW = msOf('2026-12-04T09:00:00');
const DAYTIME: WorkHours = { weekdays: Array.from({ length: 7 }, () => [{ from: 9 * 60, to: 17 * 60 }]), daysOff: [] };
const clock = (ms: number): string => formatISO(ms).replace('T', ' ').slice(8, 16);
const step = (id: string, handsMinutes: number, waitMinutes: number, after: string[] = [], more: Partial<BenchStep> = {}): BenchStep => ({ id, kind: id.split(':')[0] as BenchStep['kind'], after, title: `Do ${id}`, body: '', why: null, cautions: [], caution: null, check: null, because: null, things: [], handsMinutes, waitMinutes, beside: [], numbers: {}, about: { film: null, part: null, row: null }, layer: null, list: [], ...more }); // prettier-ignore
const MUG = [step('place-film', 10, 0), step('weed', 30, 0, ['place-film']), step('clean', 5, 3, ['weed']), step('lay', 12, 0, ['clean']), step('seal', 4, 60, ['lay']), step('cure', 0, 48 * 60, ['seal', 'lay']), step('wrap-up', 2, 0, ['seal', 'lay'])]; // prettier-ignore
function open(id: string, day: string, time: string, change: Partial<Project> = {}, steps = MUG): OpenProject {
  const handOver: HandOver = { day, time, whatFor: 'market', number: '', note: '', price: null };
  return {
    project: { id, name: id, blank: makeBlank({ girthRim: 250, side: 90 }), bench: NEW_RUN, planning: NOTHING_PLANNED, handOver, ...change }, // prettier-ignore
    steps,
    missing: [],
  };
}
const told = ({ tasks }: ProjectsPlan): string[] => tasks.filter(({ hands }) => hands.length > 0).map(({ projectId, step: own, hands }) => `${projectId} ${own} ${hands.map(({ start, end }) => `${clock(start)}–${clock(end).slice(3)}`).join(' ')}`); // prettier-ignore

describe('the plan of a project', () => {
  it('hangs from its hand-over: cured, sealed, laid, cleaned, weeded, cut, each as late as it may be', () => {
    const plan = planProjects([open('mug', '2026-12-10', '12:00')], DAYTIME, NOW);
    expect(plan.late).toEqual([]);
    // Two days of curing before noon on the 10th: sealed by noon on the 8th, an hour of drying before it.
    // Noting it down waits for nobody: it stands at the very end.
    expect(told(plan)).toEqual([
      'mug place-film 08 09:56–10:06',
      'mug weed 08 10:06–10:36',
      'mug clean 08 10:36–10:41',
      'mug lay 08 10:44–10:56',
      'mug seal 08 10:56–11:00',
      'mug wrap-up 10 11:58–12:00',
    ]);
    // All of it could begin on Friday at nine: from then to Tuesday 9:56 are four days and 56 minutes.
    expect(plan.tasks[0]!.slackMinutes).toBe(4 * 24 * 60 + 56);
  });

  it('counts what is done, what is done on some, what still waits, and what must be bought first', () => {
    const done = { ...NEW_RUN, doneSteps: ['place-film', 'weed#1', 'weed#2', 'weed#3'], waitsUntil: { dry: isoOf(NOW + 90 * MINUTE_MS) } }; // prettier-ignore
    const steps = [step('place-film', 10, 0), step('weed', 40, 0, ['place-film'], { things: ['1', '2', '3', '4'] }), step('dry', 5, 120), step('lay', 10, 0, ['weed', 'dry'])]; // prettier-ignore
    const at = (bench: Project['bench'], time: string) => planProjects([open('set', '2026-12-04', time, { bench }, steps)], DAYTIME, NOW); // prettier-ignore
    const bench = { ...done, doneSteps: [...done.doneSteps, 'dry'] };
    // A quarter of the weeding is left; laying waits until half past ten, whoever wants it sooner.
    expect(told(at(bench, '12:00'))).toEqual(['set weed 04 11:40–11:50', 'set lay 04 11:50–12:00']);
    expect(at(bench, '10:40').late).toEqual([]);
    expect(at(bench, '10:39').late).toMatchObject([{ projectId: 'set', byMinutes: 1 }]);
    const bought = planProjects([{ ...open('mug', '2026-12-10', '12:00'), missing: [{ what: 'Ensign', says: '' }] }], DAYTIME, NOW); // prettier-ignore
    // Three days before it is cut on Tuesday at 9:56, and ten minutes to order it.
    expect(told(bought)[0]).toBe('mug buy 05 09:46–09:56');
    expect(bought.tasks[0]!.title).toBe('Buy Ensign');
  });

  it('counts a wait that was begun by its end, not once more, whether or not its step is ticked', () => {
    const laid = ['place-film', 'weed', 'clean', 'lay', 'seal'];
    const curing = (hours: number, time: string) => planProjects([open('mug', '2026-12-05', time, { bench: { ...NEW_RUN, doneSteps: laid, waitsUntil: { cure: isoOf(NOW + hours * 60 * MINUTE_MS) } } })], DAYTIME, NOW); // prettier-ignore
    // Cured at three on Saturday: in time for that, not for a minute sooner; over since an hour, nothing waits any more.
    expect(curing(30, '15:00').late).toEqual([]);
    expect(curing(30, '14:59').late).toMatchObject([{ byMinutes: 1, readyAt: msOf('2026-12-05T15:00:00') }]);
    expect(curing(-1, '12:00').late).toEqual([]);
    // Of two mugs one cures since yesterday, the other is not laid yet: that one has all of it before it.
    const two = MUG.map((one) => ({ ...one, things: ['1', '2'] }));
    const half = planProjects([open('mug', '2026-12-05', '15:00', { bench: { ...NEW_RUN, doneSteps: [], waitsUntil: { 'cure#1': isoOf(NOW) } } }, two)], DAYTIME, NOW); // prettier-ignore
    expect(half.late).toHaveLength(1);
  });

  it('of two projects uses hands once, and shares nothing but them', () => {
    const plan = planProjects([open('a', '2026-12-10', '12:00'), open('b', '2026-12-10', '12:00')], DAYTIME, NOW);
    const hands = plan.tasks.flatMap((task) => task.hands).sort((x, y) => x.start - y.start);
    hands.slice(1).forEach(({ start }, i) => expect(start).toBeGreaterThanOrEqual(hands[i]!.end));
    expect(plan.tasks).toHaveLength(14);
    expect(plan.late).toEqual([]);
  });

  it('keeps a balloon for the last hours, whatever else is due then, and puts what was pinned where it was put', () => {
    const balloon = makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', surface: 'latex', balloon: { gas: 'helium', hours: 2, shrinkPerDay: 2 } }); // prettier-ignore
    const steps = [step('weed', 20, 0), step('clean', 10, 5, ['weed']), step('lay', 10, 0, ['clean'])];
    const party = open('party', '2026-12-05', '12:00', { blank: balloon }, steps);
    const rush = open('rush', '2026-12-05', '12:00', {}, [step('weed', 170, 0), step('lay', 5, 0, ['weed'])]);
    const plan = planProjects([rush, party], DAYTIME, NOW);
    expect(plan).toMatchObject({ late: [], tooEarly: [] });
    expect(told(plan)).toContain('party clean 05 11:35–11:45');
    expect(told(plan)).toContain('party lay 05 11:50–12:00');
    const pinned = planProjects([open('mug', '2026-12-10', '12:00', { planning: { ...NOTHING_PLANNED, pinned: { weed: isoOf(msOf('2026-12-06T14:00:00')) } } })], DAYTIME, NOW); // prettier-ignore
    expect(told(pinned).slice(0, 2)).toEqual(['mug place-film 06 13:50–14:00', 'mug weed 06 14:00–14:30']);
    expect(pinned.tasks.find((task) => task.step === 'weed')!.pinned).toBe(true);
  });

  it('that is late says by how much, what is ready when, and what each choice changes', () => {
    // From nine: 10 + 30 + 5 + 3 + 12 + 4 minutes, an hour of drying, two days: 49 h 4 min. It is due in 48.
    const mug = open('mug', '2026-12-06', '09:00');
    const [late] = planProjects([mug], DAYTIME, NOW).late;
    expect(late).toMatchObject({ byMinutes: 124, readyAt: msOf('2026-12-06T11:04:00') });
    expect(late!.choices.map(({ id, lateMinutes }) => [id, lateMinutes])).toEqual([
      ['before-cure', 0],
      ['later', 0],
      // Without the coat's 4 minutes and its hour.
      ['skip-seal', 60],
      // Somebody else weeds for 30 minutes.
      ['helper', 94],
    ]);
    for (const { id, lateMinutes } of late!.choices) {
      const changed = planProjects(
        [{ ...mug, project: CHOOSE[id](mug.project as Project, late!.readyAt) }],
        DAYTIME,
        NOW,
      );
      expect(changed.late[0]?.byMinutes ?? 0).toBe(lateMinutes);
    }
    // 11:04, rounded up to a quarter.
    expect(CHOOSE.later(mug.project as Project, late!.readyAt).handOver).toMatchObject({ day: '2026-12-06', time: '11:15' }); // prettier-ignore
    const balloon = makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', balloon: { gas: 'helium', hours: 2, shrinkPerDay: 2 } }); // prettier-ignore
    expect(CHOOSE.air({ blank: balloon } as Project, 0).blank.balloon.gas).toBe('air');
  });

  it('shares weeding among those who weed along, and nothing else', () => {
    const lateBy = (others: number): number => planProjects([open('mug', '2026-12-06', '09:00')], { ...DAYTIME, others }, NOW).late[0]!.byMinutes; // prettier-ignore
    // 30 minutes of weeding for one, 15 each for two, 10 each for three.
    expect([0, 1, 2].map(lateBy)).toEqual([124, 109, 104]);
  });

  it('behind its latest start tells who still makes it', () => {
    // Both take 61 minutes; the second is due three hours later, yet nothing is late by going at it now.
    const short = [step('weed', 60, 0), step('lay', 60, 0, ['weed'])];
    const plan = planProjects([open('a', '2026-12-04', '10:59', {}, short), open('b', '2026-12-04', '16:00', {}, short)], DAYTIME, NOW); // prettier-ignore
    expect(plan.late).toMatchObject([{ projectId: 'a', byMinutes: 1 }]);
    expect(plan.behind).toEqual({ minutes: 1, makeIt: ['b'] });
  });

  it('without a hand-over, or with all but the last look done, asks for nothing', () => {
    const none = planProjects([open('a', '2026-12-10', '12:00', { handOver: null })], DAYTIME, NOW);
    expect(none).toEqual({ tasks: [], late: [], behind: null, tooEarly: [], planned: [] });
    const all = MUG.map(({ id }) => id).filter((id) => id !== 'wrap-up');
    expect(planProjects([open('a', '2026-12-10', '12:00', { bench: { ...NEW_RUN, doneSteps: all } })], DAYTIME, NOW).tasks).toEqual([]); // prettier-ignore
  });

  it('has a list for each day: what is due on it, and what could be done ahead', () => {
    const plan = planProjects([open('mug', '2026-12-10', '12:00'), open('urgent', '2026-12-04', '12:00', {}, [step('weed', 20, 0)])], DAYTIME, NOW); // prettier-ignore
    const list = dayList(plan, NOW);
    expect(list.tasks.map(({ projectId, step: own }) => `${projectId} ${own}`)).toEqual(['urgent weed']);
    expect(list.handsMinutes).toBe(20);
    expect(list.ahead.map(({ projectId, step: own }) => `${projectId} ${own}`)).toEqual(['mug place-film']);
  });
});

describe('days of their own', () => {
  it.each([
    ['on the night to summer time, an hour shorter', '2026-03-29', '2026-03-28'],
    ['on the night to winter time, an hour longer', '2026-10-25', '2026-10-24'],
    ['over a leap day', '2028-03-01', '2028-02-29'],
    ['over the turn of the year', '2027-01-01', '2026-12-31'],
  ])('%s, the clock on the wall says when', (_, due, before) => {
    const now = msOf(`${before}T09:00:00`);
    const [day] = [{ ...open('a', due, '10:00', {}, [step('weed', 120, 0)]) }];
    // An hour on the day itself, and the last hour of the day before.
    const [own] = planProjects([day], DAYTIME, now).tasks;
    expect(own!.hands).toEqual([
      { start: msOf(`${before}T16:00:00`), end: msOf(`${before}T17:00:00`) },
      { start: msOf(`${due}T09:00:00`), end: msOf(`${due}T10:00:00`) },
    ]);
  });

  it('a week off is a week off', () => {
    const daysOff = Array.from({ length: 7 }, (_, i) => `2026-12-${String(7 + i).padStart(2, '0')}`);
    const plan = planProjects([open('a', '2026-12-14', '09:30', {}, [step('weed', 60, 0)])], { ...DAYTIME, daysOff }, NOW); // prettier-ignore
    expect(told(plan)).toEqual(['a weed 06 16:30–17:00 14 09:00–09:30']);
  });
});

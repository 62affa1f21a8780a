import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isoOf, msOf } from '../numeric/time.ts';
import { NEW_RUN, type BenchRun } from '../model/bench-run.ts';
import { dwellsOf, forecastDwell } from './dwell.ts';
import { inOrder } from './engine.ts';
import { explainStep } from './explain.ts';
import { answerCheck, changedSteps, endWait, isStepDone, makeAgain, mergeRuns, nextStop, pacesOf, parkThing, startCure, startWait, stopsOf, tickStop, untickStop, waitOf } from './run.ts'; // prettier-ignore
import { leftText, waitsOf } from './waits.ts';

const THINGS = ['a', 'b', 'c'].map((id) => ({ id, name: id.toUpperCase(), row: id, hand: null }));
const each = { things: ['a', 'b', 'c'], body: '' };
const STEPS = inOrder([
  { id: 'lay-out', kind: 'lay-out', title: 'Lay out', body: '' },
  { ...each, id: 'weed', kind: 'weed', title: 'Weed', numbers: { pieces: 12 }, after: ['lay-out'] },
  { id: 'squares', kind: 'squares-off', title: 'Squares', body: '', after: ['lay-out'] },
  { ...each, id: 'clean', kind: 'clean', title: 'Clean', waitMinutes: 3, after: ['weed'] },
  { ...each, id: 'strip', kind: 'strip', title: 'Strip', waitMinutes: 60, after: ['clean'], why: 'Thick gel works.', because: 'It is stripped.', check: { ask: 'Does it lift?', ifNot: 'Wait.', againMinutes: 15 } }, // prettier-ignore
  { id: 'wrap-up', kind: 'wrap-up', title: 'Wrap up', body: '', after: ['strip'] },
]);
const NOON = msOf('2030-05-04T12:00:00.000Z');
const at = (minutes: number): number => NOON + 60_000 * minutes;
const order = (batch: 'by step' | 'by cup'): string[] => stopsOf(STEPS, THINGS, batch).map(({ step, thing }) => `${step.id}${thing ? ` ${thing.name}` : ''}`); // prettier-ignore
const stop = (n: number) => stopsOf(STEPS, THINGS)[n]!;
const through = (run: BenchRun, ...stops: number[]): BenchRun => stops.reduce((now, n) => tickStop(now, stop(n), at(n)), run); // prettier-ignore

describe('the stops of a run', () => {
  it('go step by step over all things, or thing after thing, what is done once before the first of them', () => {
    expect(order('by step')).toEqual(['lay-out', 'weed A', 'weed B', 'weed C', 'squares', 'clean A', 'clean B', 'clean C', 'strip A', 'strip B', 'strip C', 'wrap-up']); // prettier-ignore
    expect(order('by cup')).toEqual(['lay-out', 'squares', 'weed A', 'clean A', 'strip A', 'weed B', 'clean B', 'strip B', 'weed C', 'clean C', 'strip C', 'wrap-up']); // prettier-ignore
    expect(stop(2)).toMatchObject({ nth: 2, of: 3 });
    expect(
      stopsOf(
        STEPS.map((step) => ({ ...step, things: [] })),
        [],
        'by cup',
      ),
    ).toHaveLength(6);
  });

  it('are gone through from where one is, past what is put aside, and back to what was left', () => {
    const stops = stopsOf(STEPS, THINGS);
    const run = parkThing(through(NEW_RUN, 0, 1), 'b', true);
    expect(nextStop(stops, run, 1)).toBe(3);
    expect(nextStop(stops, parkThing(run, 'b', false), 1)).toBe(2);
    expect(nextStop(stops, run, 11)).toBe(11);
    const late = tickStop(run, stop(11), at(20));
    expect(nextStop(stops, late, 11)).toBe(3);
    expect(nextStop(stops, through(NEW_RUN, ...stops.keys()), 0)).toBeNull();
  });

  it('a step is done with the last of its things; taking one back leaves the others', () => {
    const two = through(NEW_RUN, 1, 2);
    expect([isStepDone(two, STEPS[1]!), isStepDone(parkThing(two, 'c', true), STEPS[1]!)]).toEqual([false, true]);
    const three = through(two, 3);
    expect(three.doneSteps).toContain('weed');
    const back = untickStop(three, stop(2));
    expect([...back.doneSteps].sort()).toEqual(['weed#a', 'weed#c']);
  });

  it('waits run on the wall clock, and a no to what takes its time starts the next one', () => {
    const begun = startWait(NEW_RUN, stop(8), at(0));
    expect(begun.waitsUntil['strip']).toBe('2030-05-04T13:00:00.000Z');
    const no = answerCheck(begun, stop(8), false, at(62));
    expect(no.waitsUntil['strip']).toBe('2030-05-04T13:17:00.000Z');
    expect(no.waitsFrom['strip']).toBe('2030-05-04T12:00:00.000Z');
    const yes = answerCheck(answerCheck(no, stop(8), false, at(77), 'by step', 30), stop(8), true, at(107));
    expect(yes.answers.map(({ at: when, yes: it }) => `${when.slice(11, 16)} ${it}`)).toEqual(['13:02 false', '13:17 false', '13:47 true']); // prettier-ignore
    // What is mended on the spot starts none.
    expect(answerCheck(NEW_RUN, stop(1), false, at(1)).waitsUntil).toEqual({});
    expect(endWait(yes, 'strip').waitsUntil).toEqual({});
    // Once the step is done, a wait that is over is nobody's business; one that runs goes on.
    const ticked = (minute: number) => [8, 9, 10].reduce((run, i) => tickStop(run, stop(i), at(minute)), no);
    expect(ticked(77).doneSteps).toContain('strip');
    expect(ticked(77).waitsUntil).toEqual({});
    expect(ticked(70).waitsUntil).toEqual(no.waitsUntil);
    expect(tickStop(no, stop(8), at(77)).waitsUntil).toEqual(no.waitsUntil);
    // 107 minutes from the gel to the yes; the next one is looked at before that, at a quarter of an hour's step.
    const dwells = dwellsOf([{ blank: { surface: 'powder-coated steel', colour: '#AA0000' }, bench: yes }]);
    expect(dwells).toEqual([{ colour: '#aa0000', minutes: 107 }]);
    expect(forecastDwell(dwells, '#AA0000')).toEqual({ n: 1, from: 107, to: 107, lookAt: 105, sameColour: true });
    const others = [...dwells, { colour: '#00ff00', minutes: 200 }];
    expect(forecastDwell(others, '#0000ff')).toEqual({ n: 2, from: 107, to: 200, lookAt: 105, sameColour: false });
    expect(forecastDwell(others, '#00FF00')!.lookAt).toBe(195);
    expect(forecastDwell([{ colour: '#0000ff', minutes: 7 }], '#0000ff')!.lookAt).toBe(15);
    expect(forecastDwell([], '#0000ff')).toBeNull();
  });

  it('waits of things are one, but for their cure and where one goes thing by thing; a cure starts itself with the last hand', () => {
    expect([waitOf(stop(5)), waitOf(stop(5), 'by cup')]).toEqual(['clean', 'clean#a']);
    const steps = inOrder([{ ...each, id: 'off', kind: 'tape-off', title: 'Off' }, { ...each, id: 'cure', kind: 'cure', title: 'Cure', handsMinutes: 0, waitMinutes: 2880, after: ['off'] }, { id: 'wrap-up', kind: 'wrap-up', title: 'End', body: '', after: ['off'] }]); // prettier-ignore
    const stops = stopsOf(steps, THINGS);
    const run = startCure(NEW_RUN, stops[1]!, stops, at(0));
    expect(run.waitsUntil).toEqual({ 'cure#b': '2030-05-06T12:00:00.000Z' });
    expect(startCure(NEW_RUN, stops.at(-1)!, stops, at(0)).waitsUntil).toEqual({});
  });

  it('knows what a change of the project changes in what is done', () => {
    const run = through(NEW_RUN, 1);
    expect(changedSteps(run, STEPS)).toEqual([]);
    const more = STEPS.map((step) => (step.id === 'weed' ? { ...step, numbers: { ...step.numbers, pieces: 14 } } : step)); // prettier-ignore
    expect(changedSteps(run, more).map(({ was, now }) => [was, now])).toEqual([['pieces 12', 'pieces 14']]);
    // Minutes alone are no other piece.
    expect(changedSteps(run, STEPS.map((step) => ({ ...step, numbers: { ...step.numbers, handsMinutes: 99 } })))).toEqual([]); // prettier-ignore
  });

  it('tells how long the first thing and the others truly took', () => {
    const times = [0, 7, 11, 15].map((m, i) => [`weed#${i}`, isoOf(at(m))] as const);
    const step = { ...STEPS[1]!, things: ['0', '1', '2', '3'] };
    // 7 minutes, then 4 and 4.
    expect(pacesOf({ ...NEW_RUN, doneAt: Object.fromEntries(times) }, step)).toEqual({ first: 7, others: 4 });
    expect(pacesOf({ ...NEW_RUN, doneAt: Object.fromEntries(times.slice(0, 2)) }, step)).toBeNull();
  });

  it('a thing that is made again is open once more; the others and what is done once are not', () => {
    const all = through(NEW_RUN, 0, 1, 2, 3, 4, 5, 6, 7);
    const again = makeAgain(all, { thingId: 'b', stepId: 'clean' }, 'torn', STEPS, at(30));
    expect([...again.doneSteps].sort()).toEqual(['clean#a', 'clean#c', 'lay-out', 'squares', 'weed#a', 'weed#c']);
    expect(again.spoilt).toEqual([{ thing: 'b', step: 'clean', at: '2030-05-04T12:30:00.000Z', why: 'torn', made: false }]); // prettier-ignore
    expect(nextStop(stopsOf(STEPS, THINGS), again, 5)).toBe(6);
  });
});

describe('two records of one run', () => {
  it('become one: every tick and answer once, the later end of a wait, the earlier time of a tick', () => {
    const a = answerCheck(startWait(through(NEW_RUN, 0, 1), stop(8), at(0)), stop(8), false, at(60));
    const b = answerCheck(startWait(through(NEW_RUN, 0, 2), stop(8), at(5)), stop(8), true, at(90));
    const both = mergeRuns(a, b);
    expect([...both.doneSteps].sort()).toEqual(['lay-out', 'weed#a', 'weed#b']);
    expect(both.waitsUntil['strip']).toBe('2030-05-04T13:15:00.000Z');
    expect(both.waitsFrom['strip']).toBe('2030-05-04T12:00:00.000Z');
    expect(both.answers.map(({ yes }) => yes)).toEqual([false, true]);
  });

  it('in either order, and twice the same, come to the same', () => {
    const ticks = fc.array(fc.nat(11), { maxLength: 12 }).map((stops) => through(NEW_RUN, ...stops));
    const same = (run: BenchRun) => ({ ...run, doneSteps: [...run.doneSteps].sort() });
    fc.assert(
      fc.property(ticks, ticks, (a, b) => {
        expect(same(mergeRuns(a, b))).toEqual(same(mergeRuns(b, a)));
        expect(same(mergeRuns(mergeRuns(a, b), b))).toEqual(same(mergeRuns(a, b)));
      }),
      { numRuns: 100 },
    );
  });
});

describe('waits in a tray', () => {
  it('stand by their ends, with what runs and for which project', () => {
    const wait = (id: string, until: string) => ({
      id,
      name: id,
      names: null,
      bench: { ...NEW_RUN, waitsUntil: { [id]: until } },
    });
    const all = waitsOf([wait('cure', '2030-05-06T12:00:00Z'), wait('strip', '2030-05-04T12:06:00Z'), wait('x', 'never')]); // prettier-ignore
    expect(all.map(({ says }) => says)).toEqual(['Stripper at work: look at it', 'Film curing']);
    const left = (seconds: number): string => leftText(NOON + 1000 * seconds, NOON);
    expect([left(108), left(0.4), left(0), left(-59), left(-360), left(-3 * 3600), left(47 * 3600 + 720)]).toEqual(['1:48', '0:01', 'over', 'over', 'over for 6 min', 'over for 3 h', '47 h 12 min']); // prettier-ignore
  });
});

describe('why this, why here', () => {
  it('is told from what it waits for and what waits for it', () => {
    expect(
      explainStep(
        STEPS.find(({ id }) => id === 'strip')!,
        STEPS,
      ),
    ).toEqual({
      why: ['Thick gel works.', 'It is stripped.'],
      here: ['It comes after “Clean”.', 'It has to be done before “Wrap up”.'],
    });
    expect(explainStep(STEPS[0]!, STEPS).here[0]).toBe('Nothing has to be done before it.');
  });
});

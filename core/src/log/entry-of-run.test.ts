import { describe, expect, it } from 'vitest';
import { jobOf } from '../../test/findings.ts';
import { mug, textItem } from '../../test/jobs.ts';
import type { BenchStep } from '../bench/step.ts';
import { entrySchema } from '../document/entry-schema.ts';
import { NEW_RUN } from '../model/bench-run.ts';
import { isoOf, MINUTE_MS, msOf } from '../numeric/time.ts';
import { entryOfRun, type FinishedRun } from './entry-of-run.ts';

const START = msOf('2026-11-20T18:00:00');
const after = (minutes: number): string => isoOf(START + minutes * MINUTE_MS);
const step = (id: string, kind: BenchStep['kind'], film: string | null = null, numbers: BenchStep['numbers'] = {}): BenchStep => ({ id, kind, after: [], title: id, body: '', why: null, cautions: [], caution: null, check: null, because: null, things: [], handsMinutes: 1, waitMinutes: 0, beside: [], numbers, about: { film, part: null, row: null }, layer: null, list: [] }); // prettier-ignore
const STEPS = [step('lay-out', 'lay-out'), step('place-film:1', 'place-film'), step('test-cut:1', 'test-cut'), step('weed:a', 'weed', 'deep-water', { pieces: 10, counters: 2 }), step('weed:b', 'weed', 'ensign', { pieces: 3 }), step('clean', 'clean'), step('lay', 'lay'), step('strip', 'strip')]; // prettier-ignore

function run(bench: Partial<typeof NEW_RUN>, change: Partial<FinishedRun> = {}) {
  const project = { ...jobOf(mug(), textItem('COX')), bench: { ...NEW_RUN, ...bench } };
  return entryOfRun({ project, steps: STEPS, things: [], cutMm: { 'deep-water': 4200, ensign: 800 }, takenMm2: { ensign: 5000.4 }, laidMm2: {}, supply: { films: [] }, outcome: 'kept', text: 'Good.', id: 'e1', now: START + 600 * MINUTE_MS, ...change }); // prettier-ignore
}

describe('the entry of a run', () => {
  it('has the minutes of each kind of work, pauses left out, films weeded one by one', () => {
    const entry = run({ doneAt: { 'lay-out': after(0), 'place-film:1': after(4), 'test-cut:1': after(10), 'weed:a': after(30), 'weed:b#1': after(34), 'weed:b#2': after(37), clean: after(300), 'lay#1': after(307) } }); // prettier-ignore
    expect(entry.work).toEqual([
      { kind: 'cut', minutes: 10, pieces: 0, cutM: 5, things: 1 },
      { kind: 'weed', minutes: 20, pieces: 12, cutM: 4.2, things: 1 },
      { kind: 'weed', minutes: 7, pieces: 3, cutM: 0.8, things: 1 },
      // After a pause of four hours nobody knows how long the cleaning took.
      { kind: 'lay', minutes: 7, pieces: 0, cutM: 0, things: 1 },
    ]);
    expect(entrySchema.safeParse(entry).success).toBe(true);
  });

  it('has its blank, films with their age and setting, checks at the stripper, what was spoilt, and when to ask', () => {
    const lot = { kind: 'film', id: 'l', film: { id: 'ensign' }, boughtOn: '2025-11-20', settings: [{ cutter: '', words: '70 g, slow' }] }; // prettier-ignore
    const entry = run(
      {
        waitsFrom: { strip: after(0) },
        answers: [
          { step: 'strip', thing: null, at: after(60), yes: false },
          { step: 'strip', thing: null, at: after(95), yes: true },
          { step: 'test-cut:1', thing: null, at: after(10), yes: true },
        ],
        spoilt: [{ thing: '1', step: 'lay', at: after(5), why: 'torn', made: true }],
        notes: [{ id: 'n', step: 'lay', at: after(6), text: '', photo: 'p1' }],
      },
      { supply: { films: [lot as never] } },
    );
    expect(entry.dwell).toEqual([{ minutes: 60, lifted: false }, { minutes: 95, lifted: true }]); // prettier-ignore
    expect(entry.films.find(({ name }) => name === 'Ensign')).toMatchObject({ ageDays: 366, setting: '70 g, slow', clean: true, takenMm2: 5000 }); // prettier-ignore
    expect(entry.films.find(({ name }) => name !== 'Ensign')).toMatchObject({ ageDays: null, setting: '' });
    // From midnight of the 20th to four in the morning of the 21st, a year later.
    // A mug is washed: 90 days after the 21st of November.
    expect(entry).toMatchObject({ spoilt: 1, photos: ['p1'], askOn: '2027-02-19', price: null, outcome: 'kept', text: 'Good.' }); // prettier-ignore
  });
});

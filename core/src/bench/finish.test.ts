import { describe, expect, it } from 'vitest';
import { jobOf } from '../../test/findings.ts';
import { makeBlank, mug, textItem } from '../../test/jobs.ts';
import { STARTING_FILMS } from '../material/film.ts';
import { NEW_RUN } from '../model/bench-run.ts';
import { careOf } from './care.ts';
import { inOrder } from './engine.ts';
import { shoppingList } from './shopping.ts';
import { minutesAtBench, wrapUpText } from './wrap-up.ts';

const film = (id: string) => STARTING_FILMS.find((one) => one.id === id)!;

describe('the card that goes along', () => {
  const cup = jobOf(mug(), textItem('COX'));
  const said = (...args: Parameters<typeof careOf>): string => careOf(...args)!.lines.join(' ');
  it('speaks of washing only where there is something to wash, and of what lies on it', () => {
    expect(said(cup, [film('ensign')], 'by hand')).toMatch(/^Do not wash it in the first 48 hours\. Then wash it by hand .*never in a dishwasher/); // prettier-ignore
    expect(said(cup, [film('ensign')], 'dishwasher')).toMatch(/a dishwasher only as far as the label/);
    // Foil, glitter and film that comes off again are never for the machine.
    expect(said(cup, [film('brass')], 'dishwasher')).toMatch(/never in a dishwasher.*Not in a microwave/);
    expect(said(cup, [film('night')], 'dishwasher')).toMatch(/never in a dishwasher.*can be taken off again/);
    expect(said(cup, [film('ensign')], 'by hand')).not.toMatch(/microwave|taken off again|rain/);
    const pot = jobOf(makeBlank({ girthRim: 380, side: 110 }, { surface: 'raw terracotta', rimClearanceMm: 0 }), textItem('MINT')); // prettier-ignore
    expect(said(pot, [film('ensign')], 'by hand')).toMatch(/first 24 hours\. .*Do not wash it\. Outdoors/);
    expect(said({ ...cup, process: 'etch' }, [], 'by hand')).toMatch(/^The picture is in the glass itself/);
    expect(said(cup, [film('ensign')], 'by hand', undefined, 'Thu 3 Dec, 18:20')).toMatch(/^It has not cured yet: do not wash it and do not handle it hard before Thu 3 Dec, 18:20\. Do not wash/); // prettier-ignore
    const balloon = jobOf(makeBlank({ girth: 880 }, { kind: 'balloon', surface: 'latex' }), textItem('4'));
    expect(careOf(balloon, [film('ensign')], 'by hand')).toBeNull();
  });
});

describe('the entry of a run', () => {
  const steps = inOrder([{ id: 'weed', kind: 'weed', title: 'Weed', body: '', handsMinutes: 9 }, { id: 'strip', kind: 'strip', title: 'Strip', body: '', waitMinutes: 60 }]); // prettier-ignore
  const run = {
    ...NEW_RUN,
    doneAt: { a: '2030-05-04T12:00:00.000Z', b: '2030-05-04T12:07:00.000Z', c: '2030-05-04T12:12:00.000Z', d: '2030-05-04T15:00:00.000Z' }, // prettier-ignore
    answers: [{ step: 'strip', thing: null, at: '2030-05-04T13:02:00.000Z', yes: false }],
    waitsFrom: { strip: '2030-05-04T12:00:00.000Z' },
    waitsUntil: { strip: '2030-05-04T13:17:00.000Z' },
    notes: [{ id: 'n', step: 'weed', at: '2030-05-04T12:01:00.000Z', text: 'The r tore.', photo: null }],
  };
  it('holds what the person says, then times, checks, waits and notes; a long pause is no work', () => {
    // 7 and 5 minutes; the hours before the last tick were a pause.
    expect(minutesAtBench(run)).toBe(12);
    expect(minutesAtBench({ doneAt: { a: '2030-05-04T12:00:00.000Z' } })).toBeNull();
    expect(wrapUpText({ run, steps, fought: 'The glitter.', otherwise: ' ' }).split('\n')).toEqual([
      'What fought: The glitter.',
      'At the bench 12 min (10 planned).',
      'Checks: Strip 13:02 no (UTC).',
      'Waited: Strip 77 min.',
      'Weed: The r tore.',
    ]);
  });
});

describe('the shopping list', () => {
  const strip = (id: string, along: number, across: number) => ({ film: id, used: { along, across } });
  const sheet = (short: number) => ({ plan: { loads: [{ strips: [strip('ensign', 210, 120), strip('ensign', 80, 60), strip('chalk', 50, 40)] }] }, usage: { films: [{ film: 'ensign', short }] } }) as never; // prettier-ignore
  const stock = (...ids: string[]) => ({ films: ids.map((id) => ({ film: { id } })), offcuts: [], cutters: [], today: '' }) as never; // prettier-ignore
  const list = (...args: [short: number, ids: string[], have: number | null, tapeMm: number]) => {
    const [short, ids, have, tapeMm] = args;
    const tape = { rolls: tapeMm > 0 ? ([{ widthMm: 100, lengthMm: tapeMm }] as never) : [], mm2: 20_000 };
    return shoppingList(sheet(short), STARTING_FILMS, stock(...ids), [{ name: 'Mug', have, need: 8 }], tape, 'mm').map(({ what, says }) => `${what}: ${says}`); // prettier-ignore
  };
  it('names what is short and what is not there, and nothing that nobody counts', () => {
    // 100 × 150 mm of tape are 150 cm²; 200 are wanted.
    expect(list(1, ['ensign'], 5, 150)).toEqual(['Mug: 3 more', 'Ensign: short by 80 × 60 mm', 'Chalk: none in stock: 50 × 40 mm', 'Transfer tape: 50 cm² more']); // prettier-ignore
    expect(list(2, ['ensign', 'chalk'], 8, 200)).toEqual(['Ensign: short by 210 × 120 mm and 80 × 60 mm']);
    expect(list(0, [], null, 0)).toEqual([]);
  });
});

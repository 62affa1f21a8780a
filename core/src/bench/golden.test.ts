import { describe, expect, it } from 'vitest';
import { at, jobOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, motifItem, mug, plate, textItem, tumbler, wave } from '../../test/jobs.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import type { SurfaceKind } from '../model/blank.ts';
import type { Habits } from '../model/habits.ts';
import type { NameRow } from '../model/names.ts';
import type { Project } from '../model/project.ts';
import { examineProject } from '../pipeline.ts';
import { SCHOOLS, USUAL_HABITS } from './schools.ts';
import type { BenchStep } from './step.ts';

function steps(project: Project, habits: Partial<Habits> = {}): readonly BenchStep[] {
  const examined = examineProject({ ...project, boardId: 'square' }, testFonts, undefined, undefined, undefined, 'mm', { ...USUAL_HABITS, ...habits }); // prettier-ignore
  if (!examined.ok) throw new Error(examined.problem.code);
  return examined.steps;
}
const told = (project: Project, habits: Partial<Habits> = {}): string[] =>
  steps(project, habits).map(({ kind, title }) => `${kind}: ${title}`);
const idsOf = (project: Project, habits: Partial<Habits> = {}): string => steps(project, habits).map(({ id }) => id).join(' '); // prettier-ignore
/** At the cutter, in one load. */
const ONE_LOAD = 'place-film:1 test-cut:1 unload:1';
const row = (id: string, name: string, more: Partial<NameRow> = {}): NameRow => ({ id, name, count: 1, hand: null, capMm: null, blankId: null, ...more }); // prettier-ignore
/** A plate over a cup of 240 mm round, with three letters taken out of it; the O keeps its middle. */
function masked(process: Project['process'], surface: SurfaceKind, text = 'COX'): Project {
  const words = { ...textItem(text), acts: { ...NO_ACTS, shapesOnly: true } };
  const mask = motifItem('plate', { id: 'mask', widthMm: 100, heightMm: 80, placement: at({ from: 'rim', mm: 0 }), acts: { ...NO_ACTS, cutAway: [words.id] } }); // prettier-ignore
  return { ...jobOf(makeBlank({ girthRim: 240, side: 110 }, { surface }), words, mask), process };
}
const CUT = ['place-film: Lay the film on the board', 'test-cut: Cut the film, and lift a corner before you unload', 'unload: Take the film off the board']; // prettier-ignore
const END = 'wrap-up: Look at it and note it down';

describe('the steps of made jobs', () => {
  it('a mask over a straight cup that is stripped: covered, checked, rinsed, the mask off last', () => {
    const job = masked('strip', 'powder-coated steel');
    expect(told(job)).toEqual([
      'lay-out: Lay everything out',
      ...CUT,
      // The plate, and the middle of the O.
      'weed: Weed Deep water: 2 pieces stay',
      'tape: Lay the transfer tape',
      'clean: Clean the blank',
      'mark: Mark where it goes',
      'aim: Hold it on the marks',
      'lay: Press from the middle out',
      'tape-off: Take the tape off',
      'lay: Warm the edges down',
      'cover-rest: Tape off what the mask leaves bare',
      'strip: Strip the coat',
      'wash: Rinse it',
      'peel: Take the mask off',
      END,
    ]);
    const strip = steps(job).find(({ kind }) => kind === 'strip')!;
    expect(strip).toMatchObject({ waitMinutes: 60, cautions: ['strip'] });
    expect(strip.check!.ifNot).toContain('a quarter of an hour more');
    expect(steps(job).find(({ kind }) => kind === 'peel')!.check!.ask).toBe('Are all 2 pieces of the mask out?');
  });

  it('words on a clay pot: the drying begins first, everything else beside it, no washing', () => {
    const pot = makeBlank({ girthRim: 380, side: 110 }, { surface: 'raw terracotta', rimClearanceMm: 0 });
    const job = jobOf(pot, textItem('MINT'));
    expect(told(job).slice(0, 2)).toEqual(['prepare: Brush the clay off and let it dry', 'lay-out: Lay everything out']); // prettier-ignore
    const [dry, ...others] = steps(job);
    const waiting = others.filter(({ id }) => !dry!.beside.includes(id)).map(({ kind }) => kind);
    expect(waiting).toEqual(['clean', 'mark', 'aim', 'lay', 'tape-off', 'cure', 'wrap-up']);
    expect(told(job).join()).not.toMatch(/wash/);
  });

  it.each([
    ['soak a label', 'glass', ['Soak the label', 'Take the label off'], [60, 0]],
    ['lift a sticker', 'plastic', ['Lift the sticker'], [0]],
    ['paint outside', 'painted', ['Paint it, first coat', 'Paint it, second coat', 'See that the paint is through'], [120, 1440, 0]], // prettier-ignore
    ['paint inside', 'glass', ['Paint it inside'], [1440]],
  ] as const)(
    'a blank with something to do before film (%s) begins with it, and is cleaned after it',
    (before, surface, titles, waits) => {
      const all = steps(jobOf(makeBlank({ girthRim: 240, side: 110 }, { surface, before }), textItem('MINT')));
      const own = all.filter(({ kind }) => kind === 'prepare');
      expect(own.map(({ title }) => title)).toEqual(titles);
      expect(own.map(({ waitMinutes }) => waitMinutes)).toEqual(waits);
      const clean = all.find(({ id }) => id === 'clean')!;
      for (const { id } of own) expect(clean.after).toContain(id);
      // Alcohol softens plastic and paint.
      expect(own.some(({ body }) => body.includes('alcohol'))).toBe(false);
      // Weeding and taping go on while it soaks and dries.
      const longest = own.find(({ waitMinutes }) => waitMinutes >= 60);
      if (longest) expect(longest.beside).toContain('weed:deep-water');
    },
  );

  it('a clear coat that was left out of the plan is not in the guide either', () => {
    const job = jobOf(mug(), textItem('COX'));
    const sealed = (skipSeal: boolean) => steps({ ...job, planning: { ...job.planning, skipSeal } }, { washing: 'sealed' }).filter(({ kind }) => kind === 'seal').length; // prettier-ignore
    expect([sealed(false), sealed(true)]).toEqual([2, 0]);
  });

  it('what was left off at the seam is laid over it by hand, with its place', () => {
    // Four plates of 40 mm evenly round a girth of 240: one is at the back, where the seam is.
    const item = plate('p', 40, 20, {
      repeat: { mode: 'count', count: 4 } as never,
      placement: at({ from: 'rim', mm: 10 }),
    });
    const job = jobOf(makeBlank({ girthRim: 240, side: 110 }, { bandBelowRimMm: 5 }), item);
    const back = { itemId: item.id, copy: 2, do: 'leave-off' as const };
    const one = steps({ ...job, seam: { ...job.seam, atSeam: [back] } }).find(({ id }) => id === 'left-off')!;
    expect(one.list).toHaveLength(1);
    expect(one.numbers).toMatchObject({ count: 1 });
    // Ten below the rim line, which is five below the edge; half of the way round.
    expect(one.list[0]).toBe('Plate: its top 15.0 mm below the rim, its middle 120.0 mm to the right of the front');
  });

  it('five films on each other, laid flat: each taped and laid on the one below, one tape over all', () => {
    const films = ['deep-water', 'ensign', 'chalk', 'reed', 'brass'];
    const job = jobOf(makeBlank({ girthRim: 260, side: 110 }), ...films.map((film, i) => plate(film, 60 - 8 * i, 50 - 8 * i, { film }))); // prettier-ignore
    const kinds = steps(job).map(({ kind, layer }) => (layer ? `${kind}:${layer}` : kind));
    expect(kinds.filter((kind) => /^(weed|tape|stack)/.test(kind))).toEqual([
      ...films.map((film) => `weed:${film}`),
      ...films.slice(1).map((film) => `tape:${film}`),
      ...films.slice(1).map((film) => `stack:${film}`),
      'tape',
      'tape-off',
    ]);
    // 60 × 50 mm of the lowest, a finger more on every side.
    expect(steps(job).find(({ id }) => id === 'tape:all')!.numbers).toMatchObject({ tapeWidthMm: expect.closeTo(80, 1), tapeHeightMm: expect.closeTo(70, 1) }); // prettier-ignore
  });

  it('names left and right on mugs: marked apart, each side of the handle by its own hand', () => {
    const words = textItem('COX', { placement: at({ facing: 'drinker' }), size: { by: 'cap', mm: 9 } });
    const names = { itemId: words.id, widthMm: 58, leastCapMm: 5, closeMm: 0, rows: [row('r1', 'TANSY', { hand: 'right' }), row('r2', 'ROWAN', { hand: 'left' }), row('r3', 'IDA', { hand: 'right' })] }; // prettier-ignore
    const marks = steps({ ...jobOf(mug(), words), names }).filter(({ kind }) => kind === 'mark');
    expect(marks.map(({ title }) => title)).toEqual(['Mark where it goes, 2 of them: TANSY, IDA', 'Mark where it goes: ROWAN']); // prettier-ignore
    expect(marks.map(({ body }) => /handle to your (\w+)/.exec(body)![1])).toEqual(['right', 'left']);
    expect(marks[1]!.about.row).toBe('ROWAN');
    // A quarter of 258 mm round from the handle's middle, either way.
    for (const { numbers } of marks) expect(numbers.roundFromHandleMm).toBeCloseTo(64.5, 1);
  });

  it('a balloon: blown up right before it is laid, cautioned once, handed over, neither cured nor washed', () => {
    const balloon = makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', surface: 'latex', balloon: { gas: 'helium', hours: 2, shrinkPerDay: 2 } }); // prettier-ignore
    const all = steps(jobOf(balloon, textItem('4', { running: 'rigid' })));
    expect(all.map(({ kind }) => kind).slice(-3)).toEqual(['tape-off', 'hand-over', 'wrap-up']);
    const clean = all.findIndex(({ kind }) => kind === 'clean');
    expect(all[clean]!.body).toMatch(/^Blow it up now/);
    expect(all.slice(0, clean).every(({ body }) => !/blow/i.test(body))).toBe(true);
    expect(all.flatMap(({ cautions }) => cautions)).toEqual(['blade-bed', 'blade', 'latex', 'helium']);
  });

  it('etched glass: cleaned, creamed, rinsed with the mask on, looked at against the light', () => {
    const job = masked('etch', 'glass');
    expect(idsOf(job)).toBe(`lay-out ${ONE_LOAD} weed:deep-water tape:deep-water clean mark aim lay take-off cover-rest etch rinse peel wrap-up`); // prettier-ignore
    expect(steps(job).find(({ id }) => id === 'peel')!.check!.ask).toBe('Is it even, without blotches?');
    expect(steps(job).flatMap(({ cautions }) => cautions)).toEqual(['blade-bed', 'blade', 'alcohol', 'etch']);
  });

  it('a blasted bottle: swept while the mask is on, rinsed of grit, no wait at all', () => {
    const job = masked('blast', 'glass');
    expect(idsOf(job)).toBe(`lay-out ${ONE_LOAD} weed:deep-water tape:deep-water clean mark aim lay take-off cover-rest blast rinse peel wrap-up`); // prettier-ignore
    expect(
      steps(job)
        .find(({ kind }) => kind === 'lay-out')!
        .list.at(-1),
    ).toContain('respirator');
    // Alcohol dries for three minutes; nothing else waits.
    expect(
      steps(job)
        .map(({ waitMinutes }) => waitMinutes)
        .filter(Boolean),
    ).toEqual([3]);
  });

  it('a pot painted through its stencil, laid by hand: no tape anywhere, two coats, peeled while tacky', () => {
    const job = { ...masked('paint', 'raw terracotta', 'MINT'), blank: makeBlank({ girthRim: 240, side: 110 }, { surface: 'raw terracotta', rimClearanceMm: 0 }) }; // prettier-ignore
    expect(idsOf(job, { masks: 'by hand' })).toBe(`prepare lay-out ${ONE_LOAD} weed:deep-water clean mark aim lay cover-rest paint paint:2 peel wrap-up`); // prettier-ignore
    // Without a middle that lies loose; with one it is laid with tape all the same.
    expect(idsOf(masked('paint', 'raw terracotta', 'COX'), { masks: 'by hand' })).toMatch(/ tape:deep-water .* take-off /); // prettier-ignore
    const waits = steps(job, { masks: 'by hand' }).filter(({ waitMinutes }) => waitMinutes > 0);
    expect(waits.map(({ id, waitMinutes }) => [id, waitMinutes])).toEqual([
      ['prepare', 1440],
      ['paint', 30],
    ]);
    expect(told(job).join()).not.toMatch(/wash|cure/i);
  });

  it('a tapered wrap in two panels: one tape over each, laid one after the other, closed twice', () => {
    const job = jobOf(tumbler(), wave(6));
    const halves = { ...job, seam: { ...job.seam, panels: 2 } };
    const lay = steps(halves).find(({ id }) => id === 'lay')!;
    expect([lay.title, lay.because, lay.numbers.count]).toEqual(['Lay 2 panels, the front one first', 'It is cut in 2 panels.', 2]); // prettier-ignore
    expect(steps(halves).find(({ id }) => id === 'tape:deep-water')!.numbers.count).toBe(2);
    expect(steps(halves).find(({ id }) => id === 'seam')!.numbers.count).toBe(2);
    // In one it goes in halves: (276 − 214)/2π over 168 mm are 3.4°, less than four; on 190 it would be 5.
    const reason = (girthBase: number) => steps(jobOf(makeBlank({ girthRim: 276, girthBase, side: 168 }), wave(6))).find(({ id }) => id === 'lay')!; // prettier-ignore
    expect(reason(214)).toMatchObject({ title: 'Lay one end and go round', because: expect.stringMatching(/laid as a wrap\.$/) }); // prettier-ignore
    expect(reason(190)).toMatchObject({ title: 'Lay it in two halves', because: expect.stringMatching(/a taper of 5°/) }); // prettier-ignore
  });

  it('fourteen cups: every step of hands is done on each, minutes add up, waits are shared', () => {
    const words = textItem('CREW', { size: { by: 'cap', mm: 9 } });
    const names = {
      itemId: null,
      widthMm: 58,
      leastCapMm: 5,
      closeMm: 0,
      rows: [row('r1', 'Crew mug', { count: 14 })],
    };
    const [one, all] = [steps(jobOf(mug(), words)), steps({ ...jobOf(mug(), words), names })];
    const each = ['clean', 'mark', 'aim', 'lay', 'tape-off'];
    for (const kind of each) {
      const [single, of14] = [one, all].map((list) => list.find((step) => step.kind === kind)!);
      expect(single!.things).toEqual([]);
      expect(of14!.things).toEqual(Array.from({ length: 14 }, (_, i) => `r1/${i + 1}`));
      expect(of14!.handsMinutes).toBe(14 * single!.handsMinutes);
    }
    expect(all.find(({ kind }) => kind === 'lay-out')!.things).toEqual([]);
    // Of very many, each name is one thing; of very many names, all are one.
    const lots = (rows: NameRow[]) => steps({ ...jobOf(mug(), words), names: { ...names, rows } }).find(({ kind }) => kind === 'clean')!.things; // prettier-ignore
    expect(lots([row('a', 'A', { count: 150 }), row('b', 'B', { count: 60 })])).toEqual(['a', 'b']);
    expect(lots(Array.from({ length: 201 }, (_, i) => row(`r${i}`, `N${i}`)))).toEqual([]);
    expect(lots([row('a', 'A', { count: 100 }), row('b', 'B', { count: 100 })])).toHaveLength(200);
    expect(all.map(({ waitMinutes }) => waitMinutes).filter(Boolean)).toEqual([3, 2880]);
  });

  it('seven films on one tape: the topmost taped, the others taken up from above, none taped twice', () => {
    const films = ['one', 'two', 'three', 'four', 'five', 'six', 'seven'];
    const plain = jobOf(makeBlank({ girthRim: 260, side: 110 }), ...films.map((film, i) => plate(film, 60 - 6 * i, 55 - 6 * i, { film }))); // prettier-ignore
    const job = { ...plain, films: films.map((id) => ({ ...plain.films[0]!, id, name: id })) };
    const ids = steps(job, { building: 'one tape' }).map(({ id }) => id).filter((id) => /^(tape|stack)/.test(id)); // prettier-ignore
    expect(ids).toEqual(['tape:all', 'stack:six', 'stack:five', 'stack:four', 'stack:three', 'stack:two', 'stack:one']);
    expect(steps(job, { building: 'one tape' }).find(({ id }) => id === 'stack:six')!.body).toMatch(/^The order is seven, then six, then five/); // prettier-ignore
    expect(
      steps(job)
        .filter(({ kind }) => kind === 'stack')
        .map(({ layer }) => layer),
    ).toEqual(films.slice(1));
    const alone = steps(job, { building: 'on the blank' }).filter(({ kind }) => kind === 'lay');
    expect(alone.map(({ layer }) => layer)).toEqual(films);
  });

  it('figures on a ball: each on its own tape, none aimed as a whole, none closed', () => {
    const star = (id: string, angleDeg: number) => motifItem('star', { id, byItself: true, widthMm: 14, running: 'rigid', placement: at({ facing: 'angle', angleDeg }) }); // prettier-ignore
    const job = jobOf(makeBlank({ girth: 250 }, { kind: 'ball', surface: 'glass', rimClearanceMm: 0 }), star('a', 0), star('b', 12)); // prettier-ignore
    expect(idsOf(job)).toBe(`lay-out ${ONE_LOAD} trim weed:deep-water tape:deep-water clean mark place take-off cure wrap-up`); // prettier-ignore
    const place = steps(job).find(({ id }) => id === 'place')!;
    expect([place.title, place.numbers.count]).toEqual(['Lay the 2 figures one by one', 2]);
  });

  it('a lid and a face of a box: marked by the middle, laid from it, nothing round them to close', () => {
    const lid = jobOf(makeBlank({ across: 90 }, { kind: 'lid', surface: 'plastic' }), motifItem('star'));
    const box = jobOf(makeBlank({ width: 120, height: 80 }, { kind: 'flat', surface: 'painted', rimClearanceMm: 0 }), textItem('4')); // prettier-ignore
    expect(idsOf(lid)).toBe(`lay-out ${ONE_LOAD} weed:deep-water tape:deep-water clean mark aim lay take-off cure wrap-up`); // prettier-ignore
    // Painted: a finger first, no alcohol.
    expect(idsOf(box)).toMatch(/^prepare lay-out .* clean mark aim lay take-off cure wrap-up$/);
    expect(steps(box)[0]!.check).toMatchObject({ ask: 'Does the finger leave no mark?', againMinutes: 120 });
    const hinged = steps(box, { aiming: 'hinge' }).find(({ id }) => id === 'aim')!;
    expect(hinged.body).toMatch(/as a hinge, and fold it up on that\.$/);
    expect(steps(box).flatMap(({ cautions }) => cautions)).not.toContain('alcohol');
  });
});

describe('schools of My way', () => {
  const letters = jobOf(makeBlank({ girthRim: 260, side: 110 }), textItem('BOAT'));
  it('change the weeding', () => {
    const weed = (weeding: Habits['weeding']) => steps(letters, { weeding }).find(({ kind }) => kind === 'weed')!;
    // The B has two, the O and the A one each.
    expect(weed('counters first').body).toMatch(/^Rub the film down hard\. First the 4 counters, then the ground/);
    expect(weed('ground first').body).toMatch(
      /^Rub the film down hard\. First the ground .*, then the 4 counters out of them\./,
    );
    expect(weed('reverse')).toMatchObject({ because: 'My way: weeded from the tape.', list: { length: 5 } });
    expect(idsOf(letters, { weeding: 'reverse' })).not.toMatch(/tape:/);
  });

  it('change laying, seam, warmth and washing', () => {
    const wrap = jobOf(makeBlank({ girthRim: 260, side: 110 }), wave(6));
    const lay = (laying: Habits['laying']) => steps(wrap, { laying }).find(({ id }) => id === 'lay')!.title;
    expect([lay('as it suits'), lay('one end round'), lay('centre out'), lay('two halves')]).toEqual(['Lay one end and go round', 'Lay one end and go round', 'Lay the middle, then each side round', 'Lay it in two halves']); // prettier-ignore
    expect(steps(wrap, { seam: 'gap' }).find(({ id }) => id === 'seam')!.body).toMatch(/leave the gap as it comes/);
    const sealed = steps(letters, { washing: 'sealed', heat: 'warm' });
    expect(sealed.map(({ id }) => id).slice(-6)).toEqual(['take-off', 'warm', 'seal', 'seal:2', 'cure', 'wrap-up']);
    // An hour between the coats, a night after the second.
    expect(sealed.filter(({ kind }) => kind === 'seal').map(({ waitMinutes }) => waitMinutes)).toEqual([60, 720]);
    expect(sealed.flatMap(({ cautions }) => cautions)).toEqual(['blade-bed', 'blade', 'alcohol', 'heat', 'sealer', 'lip-zone']); // prettier-ignore
    expect(sealed.at(-2)!.body).toMatch(/Then still by hand\.$/);
    expect(steps(letters, { washing: 'dishwasher' }).at(-2)!.body).toMatch(/dishwasher only as far as/);
    const rubber = jobOf(makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', surface: 'latex' }), textItem('4', { running: 'rigid' })); // prettier-ignore
    expect(idsOf(rubber, { heat: 'warm', washing: 'sealed' })).not.toMatch(/warm|seal/);
  });

  it('each has a usual one, and says in a line when another is better', () => {
    for (const [id, { schools }] of Object.entries(SCHOOLS)) {
      expect(schools[0]!.value).toBe(USUAL_HABITS[id as keyof Habits]);
      for (const { better } of schools) expect(better).toMatch(/^Better /);
    }
  });

  it('settings are those that were noted with the film; of several in one pass the harder one is used', () => {
    const two = jobOf(
      makeBlank({ girthRim: 260, side: 110 }),
      textItem('BOAT'),
      plate('a', 20, 20, { film: 'ensign' }),
    );
    const lot = (id: string, words: string) => ({ film: two.films.find((film) => film.id === id)!, settings: [{ cutter: 'Board', words }] }); // prettier-ignore
    const corner = (lots: object[], job = two): string => {
      const supply = { films: lots.map((one) => ({ kind: 'film', id: 'l', form: 'sheet', widthMm: 300, lengthMm: 300, count: 9, price: null, boughtLengthMm: 300, boughtOn: null, directional: false, coverSheet: false, lowAt: null, notes: '', ...one })), offcuts: [], cutters: [], today: '2026-05-04' }; // prettier-ignore
      const examined = examineProject({ ...job, boardId: 'square' }, testFonts, undefined, supply as never);
      return examined.ok ? examined.steps.find(({ kind }) => kind === 'test-cut')!.body : '';
    };
    expect(corner([])).toMatch(/^One setting cuts all of them: that of the hardest film\. While/);
    expect(corner([lot('ensign', 'blade 3')])).toMatch(
      /^Noted in your stock: Ensign: blade 3 \(Board\)\. One pass, one setting/,
    );
    expect(corner([lot('deep-water', 'blade 2')], jobOf(two.blank, textItem('BOAT')))).toMatch(/^Noted in your stock: Deep water: blade 2 \(Board\)\. A step lighter/); // prettier-ignore
    expect(corner([], jobOf(two.blank, textItem('BOAT')))).toMatch(/^While the board/);
  });
});

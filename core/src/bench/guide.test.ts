import type { Units } from '../measure/length.ts';
import { describe, expect, it } from 'vitest';
import { judging, pieceAt, RADIUS, SIDE, TURN } from '../../test/judging.ts';
import type { Blank } from '../model/blank.ts';
import type { Film, FilmFinish } from '../model/film.ts';
import type { Job } from '../model/job.ts';
import type { Habits } from '../model/habits.ts';
import type { Make } from '../pieces/batch.ts';
import type { Piece } from '../pieces/pieces.ts';
import type { BenchStep } from './step.ts';
import { TWO_HALVES_TAPER } from './laying-style.ts';
import { USUAL_HABITS } from './schools.ts';
import { benchSteps } from './steps.ts';

interface Made {
  readonly pieces: readonly Piece[];
  readonly layers?: readonly string[];
  readonly finish?: { readonly [film: string]: FilmFinish };
  readonly blank?: Partial<Blank>;
  readonly job?: Partial<Job>;
  readonly wrap?: object;
  readonly makes?: readonly { readonly count: number; readonly pieces: readonly Piece[] }[];
  readonly unit?: Units;
  readonly marked?: readonly string[];
  readonly habits?: Partial<Habits>;
}

const piece = (x: number, y: number, w: number, h: number, change: Partial<Piece> = {}): Piece => pieceAt({ minX: x, maxX: x + w, minY: y, maxY: y + h }, { paths: [{}] as never, ...change }); // prettier-ignore
const ROUND = { girthRim: TURN, girthBase: TURN, side: SIDE };

function guide({
  pieces,
  layers = ['deep-water'],
  finish = {},
  blank = {},
  job = {},
  wrap = {},
  makes = [],
  unit = 'mm',
  marked = [],
  habits = {},
}: Made) {
  const films = judging({}).job.films.map((film): Film => ({ ...film, finish: finish[film.id] ?? film.finish }));
  const made = judging({ blank, job: { films, ...job }, wrap: { pieces, layers, template: { closed: true, cone: ROUND, rimLength: TURN, region: { left: [-Math.PI] } }, errors: { gapRim: 0.8, gapBase: 1.2 }, ...wrap } }); // prettier-ignore
  const sheet = { needs: [{ film: films[0]!, cutMm: 3000 }], plan: { loads: [] } };
  const rows = makes.map(({ count, pieces: own }, i) => ({ row: { id: `r${i + 1}`, name: `Row ${i + 1}`, count, hand: null }, pieces: own })) as unknown as Make[]; // prettier-ignore
  return benchSteps({ job: made.job, wrap: made.wrap, sheet: sheet as never, unit, makes: rows, marked: new Set(marked), habits: { ...USUAL_HABITS, ...habits } }); // prettier-ignore
}
const lines = (steps: readonly BenchStep[]): string[] =>
  steps.map(({ id, title, handsMinutes, waitMinutes, layer, why, caution, check }) => `${id}: ${title} | ${handsMinutes}+${waitMinutes} min | ${[layer, why && 'why', caution && 'caution', check && 'check'].filter(Boolean).join(' ')}`); // prettier-ignore
const body = (steps: readonly BenchStep[], id: string): string => steps.find((one) => one.id === id)!.body;
const numbersOf = (steps: readonly BenchStep[], id: string) => steps.find((one) => one.id === id)!.numbers;
const whole = (change: Partial<Piece> = {}): Piece => piece(-TURN / 2, 20, TURN, 40, change);

describe('the guide of a wrap', () => {
  const glitter = guide({ pieces: [whole({ paths: [{}, {}, {}] as never }), piece(-10, 30, 20, 20, { film: 'ensign' })], layers: ['deep-water', 'ensign'], finish: { ensign: 'glitter' } }); // prettier-ignore

  it('goes from laying out to the log, with the hands and waits of each step', () => {
    // Weeding: half a minute, a quarter for each piece and counter, and two minutes for three metres of cut: 3.25.
    expect(lines(glitter)).toEqual([
      'lay-out: Lay everything out | 3+0 min | ',
      'weed:deep-water: Weed Deep water: 1 piece stays | 3+0 min | deep-water why caution check',
      'weed:ensign: Weed Ensign: 1 piece stays | 1+0 min | ensign why check',
      'tape:ensign: Tape over Ensign | 1+0 min | ensign check',
      'stack:ensign: Layer 2 of 2: Ensign | 3+0 min | ensign why check',
      'tape:all: Lay the transfer tape over the whole stack | 3+0 min | check',
      'clean: Clean the blank | 3+3 min | why caution',
      'mark: Mark where it goes | 2+0 min | why',
      'aim: Hang it on the marks | 2+0 min | why',
      'lay: Lay one end and go round | 6+0 min | why check',
      'seam: Close the seam | 2+0 min | why',
      'take-off: Take the tape off | 2+0 min | why',
      'cure: Let it cure | 0+2880 min | why caution',
      'wrap-up: Look at it and note it down | 2+0 min | why',
    ]);
  });

  it('has its sizes in its sentences and numbers', () => {
    expect(body(glitter, 'weed:deep-water')).toBe('Rub the film down hard. First the 2 counters, then the ground round the pieces, low and slow from a corner.'); // prettier-ignore
    expect(body(glitter, 'weed:ensign')).toMatch(/^Rub the film down hard\. No counters here/);
    expect(body(glitter, 'stack:ensign')).toMatch(/^The order is Deep water, then Ensign, from the blank outwards\. Deep water stays on its liner/); // prettier-ignore
    // 2π·50 and 20 of tape; 40 and 20. Over the piece of 20 × 20 alone, 40 × 40.
    expect(body(glitter, 'tape:all')).toMatch(/^Strong tape\. Cut it 334\.2 × 60 mm\. .* Trim its top along the rim line/); // prettier-ignore
    expect(numbersOf(glitter, 'tape:all')).toMatchObject({ tapeWidthMm: expect.closeTo(334.16, 1), tapeHeightMm: 60, count: 1 }); // prettier-ignore
    expect(body(glitter, 'tape:ensign')).toMatch(/^Strong tape\. Cut it 40 × 40 mm\. .* Trim it round/);
    // A millimetre over the chord of half a turn either way, 2π·50: 100/314.16.
    expect(body(glitter, 'aim')).toBe('Its highest film sits 20.0 mm below the drinking edge. Middle mark on the front dot. Hold its rim edge true to 0.3 mm over 100 mm, or the ends will step by more than 1.0 mm.'); // prettier-ignore
    expect(numbersOf(glitter, 'aim')).toMatchObject({ trueOver100Mm: expect.closeTo(0.318, 3), topBelowRimMm: 20 });
    expect(body(glitter, 'seam')).toMatch(/^Butt the ends\. Expect them within ±0\.8 mm at the rim and ±1\.2 mm at the base/); // prettier-ignore
    expect(glitter.find(({ id }) => id === 'stack:ensign')!.why).toContain('once instead of twice');
  });

  it('on a taper is laid in halves with its wider arc where it belongs, lapped where a lap is wanted, in inches too', () => {
    const taper = (girthRim: number, girthBase: number, change: Partial<Made> = {}) => guide({ pieces: [whole()], blank: { surface: 'glass', bandBelowRimMm: 12.7 }, wrap: { size: { kind: 'tapered', rim: { surface: girthRim }, base: { surface: girthBase }, fit: 'none', taper: 0.08, side: SIDE, data: {} }, template: { closed: true, cone: { girthRim, girthBase, side: SIDE }, region: { left: [-3] } } }, ...change }); // prettier-ignore
    const steps = taper(276, 214, { unit: 'in', job: { seam: { ...judging({}).job.seam, lapMm: 3.175 } } });
    expect(lines(steps).filter((line) => /^(clean|lay:|seam)/.test(line))).toEqual([
      'clean: Clean the glass | 3+3 min | why caution',
      'lay: Lay it in two halves | 6+0 min | why check',
      'seam: Lap the ends by 1/8 in | 2+0 min | why',
    ]);
    expect(numbersOf(steps, 'seam').lapMm).toBe(3.175);
    expect(body(steps, 'seam')).toMatch(/^Lay the end without the extra first/);
    expect(body(steps, 'aim')).toMatch(/^Wider arc up, to the rim\. .* over 4 in,/);
    expect(body(taper(214, 276), 'aim')).toMatch(/^Wider arc down, to the base\. /);
    // Half a millimetre is none that one sees.
    expect(body(taper(276.5, 276), 'aim')).toMatch(/^Its highest/);
    expect(body(taper(276, 276.5), 'aim')).toMatch(/^Its highest/);
    expect(body(taper(276.6, 276), 'aim')).toMatch(/^Wider arc up/);
    expect(body(taper(276, 276.6), 'aim')).toMatch(/^Wider arc down/);
    expect(body(steps, 'mark')).toMatch(/^Choose the front and put a dot there, and dots 1\/2 in below/);
    expect(TWO_HALVES_TAPER).toBeCloseTo(0.0698, 4);
  });

  it('beside a handle is marked from the handle, and has no ends to close', () => {
    const steps = guide({ pieces: [whole()], blank: { handleWidthMm: 24 } });
    expect(body(steps, 'mark')).toMatch(/^The front lies opposite the handle: measure 157\.1 mm round/);
    expect(numbersOf(steps, 'mark').roundFromHandleMm).toBeCloseTo(157.08, 1);
    expect(steps.map(({ id }) => id)).not.toContain('seam');
    expect(steps.find(({ id }) => id === 'lay')!.title).toBe('Lay it in two halves');
  });

  it('in panels is laid panel by panel from the front', () => {
    const panel = (part: string, x: number) => piece(x, 20, TURN / 2 - 1, 40, { part });
    const steps = guide({ pieces: [panel('panel-1', -TURN / 2), panel('panel-2', 0)] });
    expect(steps.find(({ id }) => id === 'lay')).toMatchObject({ title: 'Lay 2 panels, the front one first', numbers: { count: 2 } }); // prettier-ignore
    // Each panel is half the way round less one, and twenty of tape.
    expect(numbersOf(steps, 'tape:deep-water')).toMatchObject({ count: 2, tapeWidthMm: expect.closeTo(TURN / 2 + 19, 2) }); // prettier-ignore
  });
});

describe('the guide of decals', () => {
  const decals = [piece(-30, 40, 60, 20), piece(68.5, 30, 20, 40, { film: 'brass' })];

  it('of a list counts everything for all that is made, but the curing', () => {
    const steps = guide({ pieces: decals, layers: ['deep-water', 'brass'], blank: { handleWidthMm: 20, bandBelowRimMm: 5 }, makes: [{ count: 2, pieces: decals }, { count: 1, pieces: [piece(-10, 40, 20, 20)] }] }); // prettier-ignore
    expect(lines(steps)).toEqual([
      'lay-out: Lay everything out | 3+0 min | ',
      'weed:deep-water: Weed Deep water: 3 pieces stay | 3+0 min | deep-water why caution check',
      'weed:brass: Weed Brass: 2 pieces stay | 1+0 min | brass why check',
      'tape:brass: Tape over Brass, 3 of them | 3+0 min | brass check',
      'stack:brass: Layer 2 of 2: Brass, 3 of them | 9+0 min | brass why check',
      'tape:all: Lay the transfer tape over the whole stack, 3 of them | 9+0 min | check',
      'clean: Clean the blank, 3 of them | 9+3 min | why caution',
      'mark: Mark face 1 of 2, 3 of them | 6+0 min | why',
      'mark:1-2: Mark face 2 of 2, 3 of them | 6+0 min | ',
      'aim: Hold it on the marks, 3 of them | 3+0 min | why',
      'lay: Press from the middle out, 3 of them | 6+0 min | why check',
      'take-off: Take the tape off, 3 of them | 6+0 min | why',
      'cure: Let it cure | 0+2880 min | why caution',
      'wrap-up: Look at it and note it down, 3 of them | 2+0 min | why',
    ]);
    // Opposite the handle is 157.1 mm round; 78.5 mm to the right of that leaves as much.
    expect(body(steps, 'mark')).toBe('Opposite the handle, 157.1 mm round from its middle: its top 45.0 mm and its middle 55.0 mm below the rim.'); // prettier-ignore
    expect(body(steps, 'mark:1-2')).toBe('With the handle to your right, on the side that faces you, 78.6 mm round from the handle\'s middle: its top 35.0 mm and its middle 55.0 mm below the rim.'); // prettier-ignore
    expect(numbersOf(steps, 'mark:1-2')).toMatchObject({ topBelowRimMm: 35, middleBelowRimMm: 55, roundFromHandleMm: expect.closeTo(78.58, 1) }); // prettier-ignore
    // From −30 to 88.5 mm and 20 more; 30 to 70 and 20 more.
    expect(body(steps, 'tape:all')).toMatch(
      /^Medium tape\. Cut 3 sheets, the largest 138\.5 × 60 mm\. .* Trim it round/,
    );
    expect(body(steps, 'aim')).toBe('Its highest film sits 35.0 mm below the drinking edge. Middle of the design on the dot, level with the rim.'); // prettier-ignore
    expect(steps.find(({ id }) => id === 'cure')!.cautions).toEqual(['lip-zone', 'foil']);
  });

  it('without a handle go on from the first to its right, and to the left of a handle where they are', () => {
    const steps = guide({ pieces: [piece(-10, 40, 20, 20), piece(60, 40, 20, 20)], blank: { bandBelowRimMm: 5 } });
    expect(body(steps, 'mark')).toBe('Choose the front and put a mark there: its top 45.0 mm and its middle 55.0 mm below the rim.'); // prettier-ignore
    expect(body(steps, 'mark:1-2')).toBe('70.0 mm to the right of the first: its top 45.0 mm and its middle 55.0 mm below the rim.'); // prettier-ignore
    const left = guide({ pieces: [piece(-80, 40, 20, 20)], blank: { handleWidthMm: 20 } });
    expect(body(left, 'mark')).toMatch(/^With the handle to your left, .*, 87\.1 mm round from the handle's middle/);
    // 0.3 rad are 15 mm: nearer than that it lies opposite.
    expect(body(guide({ pieces: [piece(4.9, 40, 20, 20)], blank: { handleWidthMm: 20 } }), 'mark')).toMatch(/^Opposite/); // prettier-ignore
    expect(body(guide({ pieces: [piece(5.1, 40, 20, 20)], blank: { handleWidthMm: 20 } }), 'mark')).toMatch(/^With/);
    expect(guide({ pieces: [] })).toEqual([]);
  });

  it('of tiny or very many pieces are weeded from the back, on a tape of their own and no second one', () => {
    const tiny = guide({ pieces: [piece(0, 40, 3, 3), piece(10, 40, 30, 20, { film: 'brass', part: 'two' })], layers: ['deep-water', 'brass'] }); // prettier-ignore
    expect(body(tiny, 'weed:deep-water')).toMatch(
      /^Rub the film down hard, front and back\. 1 piece is tiny: lay transfer tape .* Cut it 23 × 23 mm\.$/,
    );
    expect(tiny.filter(({ kind }) => kind === 'tape').map(({ id }) => id)).toEqual(['tape:brass']);
    const many = guide({ pieces: Array.from({ length: 61 }, (_, i) => piece(i, 40, 5, 5)) });
    expect(body(many, 'weed:deep-water')).toMatch(/front and back\. There are very many pieces: /);
    // Half a minute, a quarter for each, two for the cut: 17.75.
    expect(many.find(({ id }) => id === 'weed:deep-water')!.handsMinutes).toBe(18);
    expect(many.map(({ kind }) => kind)).not.toContain('tape');
    const checks = [tiny, glossy()].map((steps) => steps.find(({ id }) => id === 'weed:deep-water')!.check!.ask);
    expect(checks).toEqual(['Did every piece stay on the tape?', 'Did every piece stay on the liner?']);
    // Foil in small pieces wants little tack, glitter much.
    expect(body(guide({ pieces: [piece(0, 40, 30, 20)], finish: { 'deep-water': 'glitter' } }), 'tape:deep-water')).toMatch(/^Strong/); // prettier-ignore
  });
  const glossy = () => guide({ pieces: [piece(0, 40, 30, 20)] });

  it('on a face are held by its drawing, and the tape comes off in strips', () => {
    const three = ['deep-water', 'ensign', 'reed'];
    const steps = guide({ pieces: three.map((film) => piece(-10, 40, 20, 20, { film })), layers: three, blank: { kind: 'ball', rimClearanceMm: 0 }, wrap: { size: { kind: 'ball', side: 70, fit: 'none', taper: 0, data: { radius: 40, halfLength: 40 } }, template: { closed: false, cone: ROUND, rimLength: 70, region: { left: [-1] } } } }); // prettier-ignore
    expect(body(steps, 'mark')).toMatch(/it is 70\.0 mm wide and 70\.0 mm high\.$/);
    expect(body(steps, 'aim')).toBe('Middle of the design on the dot, the right way up.');
    expect(body(steps, 'take-off')).toMatch(/Cut the tape into strips and take them off one by one\./);
    expect(body(glossy(), 'take-off')).not.toMatch(/strips/);
    expect(steps.find(({ id }) => id === 'stack:ensign')!.why).toContain('instead of 3 times');
    expect(steps.find(({ id }) => id === 'cure')).toMatchObject({ waitMinutes: 1440, caution: null });
  });

  it('with squares are put together by them, and they are cut away; laid on the blank each is aimed by itself', () => {
    const pieces = [piece(-30, 40, 60, 20), ...[0, 1, 2, 3].map((i) => piece(-20 + 10 * i, 45, 5, 5, { film: 'brass' }))]; // prettier-ignore
    const steps = guide({ pieces, layers: ['deep-water', 'brass'], marked: ['deep-water', 'brass'] });
    expect(body(steps, 'stack:brass')).toMatch(/put squares on squares and press them/);
    expect(steps.find(({ id }) => id === 'squares-off')!.numbers.count).toBe(4);
    expect(steps.find(({ id }) => id === 'stack:brass')!.check!.ask).toBe('Are all 4 pieces down?');
    const on = guide({ pieces, layers: ['deep-water', 'brass'], job: { stack: { ...judging({}).job.stack, lay: 'on the blank' } } }); // prettier-ignore
    expect(on.map(({ id }) => id).filter((id) => /^(tape|stack|aim|lay|take)/.test(id) && id !== 'lay-out')).toEqual(['tape:deep-water', 'tape:brass', 'aim:deep-water', 'lay:deep-water', 'take-off:deep-water', 'aim:brass', 'lay:brass', 'take-off:brass']); // prettier-ignore
  });
});

describe('how a surface is cleaned', () => {
  const clean = (surface: Blank['surface']) => guide({ pieces: [piece(0, 40, 30, 20)], blank: { surface } }).find(({ id }) => id === 'clean')!; // prettier-ignore
  it('is cautioned for alcohol, and for latex; it comes right before laying', () => {
    expect([clean('glass').title, clean('painted').title]).toEqual(['Clean the glass', 'Clean the blank']);
    expect(clean('glass').caution).toMatch(/^Alcohol burns/);
    expect(clean('glass').body).toContain('Let it dry for 3 minutes');
    expect(clean('latex').caution).toMatch(/^Some people are allergic/);
    expect(clean('painted').caution).toBeNull();
    expect(RADIUS).toBe(50);
  });
});

describe('how a job ends', () => {
  const ends = (process: Job['process'], blank: Partial<Blank> = {}): string[] =>
    guide({ pieces: [piece(0, 40, 30, 20)], blank, job: { process } })
      .filter(({ id }, i, all) => i > all.findIndex((step) => step.id === 'take-off') && id !== 'wrap-up')
      .map(({ id, handsMinutes, waitMinutes, cautions }) => `${id} ${handsMinutes}+${waitMinutes} ${cautions.join()}`);
  it('is what is done through the mask, or curing, or a hand-over before the gas is gone', () => {
    expect((['strip', 'etch', 'blast', 'paint'] as const).map((process) => ends(process))).toEqual([
      ['edges 3+0 heat', 'strip 10+60 strip', 'rinse 3+0 ', 'peel 3+0 '],
      ['etch 10+0 etch', 'rinse 3+0 ', 'peel 3+0 '],
      ['blast 10+0 blast', 'rinse 3+0 ', 'peel 3+0 heat'],
      ['paint 10+30 paint', 'paint:2 8+0 ', 'peel 3+0 '],
    ]);
    expect(ends('decal')).toEqual(['cure 0+2880 lip-zone']);
    expect([ends('decal', { surface: 'raw terracotta' }), ends('decal', { rimClearanceMm: 0 })]).toEqual(Array(2).fill(['cure 0+1440 '])); // prettier-ignore
    const filled = (gas: 'air' | 'helium'): string => guide({ pieces: [piece(0, 40, 30, 20)], blank: { kind: 'balloon', balloon: { gas, hours: 2, shrinkPerDay: 2 } } }).find(({ id }) => id === 'keeps')!.body; // prettier-ignore
    expect(filled('helium')).toMatch(/^Filled with helium it keeps about 3 hours\./);
    expect(filled('air')).toMatch(/^Filled with air it keeps about two days\./);
  });
});

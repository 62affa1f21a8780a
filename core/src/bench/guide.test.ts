import type { Units } from '../measure/length.ts';
import { describe, expect, it } from 'vitest';
import { judging, pieceAt, RADIUS, SIDE, TURN } from '../../test/judging.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { Blank } from '../model/blank.ts';
import type { Film, FilmFinish } from '../model/film.ts';
import type { Job } from '../model/job.ts';
import type { Make } from '../pieces/batch.ts';
import type { Piece } from '../pieces/pieces.ts';
import { finishSteps } from './finish.ts';
import type { BenchStep } from './step.ts';
import { benchSteps, TWO_HALVES_TAPER } from './steps.ts';

interface Made {
  readonly pieces: readonly Piece[];
  readonly layers?: readonly string[];
  readonly finish?: { readonly [film: string]: FilmFinish };
  readonly blank?: Partial<Blank>;
  readonly job?: Partial<Job>;
  readonly wrap?: object;
  readonly makes?: readonly { readonly count: number; readonly pieces: readonly Piece[] }[];
  readonly unit?: Units;
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
}: Made) {
  const films = judging({}).job.films.map((film): Film => ({ ...film, finish: finish[film.id] ?? film.finish }));
  const made = judging({ blank, job: { films, ...job }, wrap: { pieces, layers, template: { closed: true, cone: ROUND, rimLength: TURN, region: { left: [-Math.PI] } }, errors: { gapRim: 0.8, gapBase: 1.2 }, ...wrap } }); // prettier-ignore
  const sheet = { needs: [{ film: films[0]!, cutMm: 3000 }] };
  const rows = makes.map(({ count, pieces: own }) => ({ row: { count }, pieces: own })) as unknown as Make[];
  return benchSteps(made.job, made.wrap, sheet as never, unit, rows);
}
const lines = (steps: readonly BenchStep[]): string[] =>
  steps.map(({ id, title, handsMinutes, waitMinutes, illustration, film, why, caution, check }) => `${id}: ${title} | ${handsMinutes}+${waitMinutes} min | ${[illustration, film, why && 'why', caution && 'caution', check && 'check'].filter(Boolean).join(' ')}`); // prettier-ignore
const body = (steps: readonly BenchStep[], id: string): string => steps.find((one) => one.id === id)!.body;
const whole = (change: Partial<Piece> = {}): Piece => piece(-TURN / 2, 20, TURN, 40, change);

describe('the guide of a wrap', () => {
  const glitter = guide({ pieces: [whole({ paths: [{}, {}, {}] as never }), piece(-10, 30, 20, 20, { film: 'ensign' })], layers: ['deep-water', 'ensign'], finish: { ensign: 'glitter' } }); // prettier-ignore

  it('goes from cleaning to curing, with the hands and waits of each step', () => {
    // Weeding: half a minute, a quarter for each piece and counter, and two minutes for three metres of cut: 3.25.
    expect(lines(glitter)).toEqual([
      'clean: Clean the blank | 3+3 min | blank why caution',
      'mark: Mark where it goes | 2+0 min | blank why',
      'weed:deep-water: Weed Deep water: 1 piece stays | 3+0 min | film deep-water caution check',
      'weed:ensign: Weed Ensign: 1 piece stays | 1+0 min | film ensign caution check',
      'stack: Stack 2 films flat | 6+0 min | template why',
      'tape: Lay the transfer tape | 3+0 min | template check',
      'aim: Hang it on the marks | 2+0 min | template caution',
      'lay: Lay one end and go round | 6+0 min | template check',
      'seam: Close the seam | 2+0 min | template why',
      'take-off: Take the tape off | 2+0 min | blank',
      'cure: Let it cure | 0+2880 min | blank why caution',
    ]);
  });

  it('has its sizes in its sentences', () => {
    expect(body(glitter, 'weed:deep-water')).toBe('First the 2 counters, then the ground round the pieces.');
    expect(body(glitter, 'weed:ensign')).toMatch(/^No counters here/);
    expect(body(glitter, 'stack')).toMatch(/^Deep water, then Ensign, from the blank outwards\./);
    // 2π·50 and 20 of tape; 40 and 20.
    expect(body(glitter, 'tape')).toMatch(/^Strong tape\. Cut it 334\.2 × 60 mm\. .* Trim its top along the rim line/); // prettier-ignore
    // A millimetre over the chord of half a turn either way, 2π·50: 100/314.16.
    expect(body(glitter, 'aim')).toBe('Its highest film sits 20.0 mm below the drinking edge. Middle mark on the front dot. Hold its rim edge true to 0.3 mm over 100 mm, or the ends will step by more than 1.0 mm.'); // prettier-ignore
    expect(body(glitter, 'seam')).toMatch(/^Butt the ends\. Expect them within ±0\.8 mm at the rim and ±1\.2 mm at the base/); // prettier-ignore
    expect(glitter[4]!.why).toContain('once instead of twice');
  });

  it('on a taper is laid in halves with its wider arc where it belongs, lapped where a lap is wanted, in inches too', () => {
    const taper = (girthRim: number, girthBase: number, change: Partial<Made> = {}) => guide({ pieces: [whole()], blank: { surface: 'glass', bandBelowRimMm: 12.7 }, wrap: { size: { kind: 'tapered', rim: { surface: girthRim }, base: { surface: girthBase }, fit: 'none', taper: 0.08, side: SIDE, data: {} }, template: { closed: true, cone: { girthRim, girthBase, side: SIDE }, region: { left: [-3] } } }, ...change }); // prettier-ignore
    const steps = taper(276, 214, { unit: 'in', job: { seam: { ...judging({}).job.seam, lapMm: 3.175 } } });
    expect(lines(steps).filter((line) => /^(clean|lay|seam)/.test(line))).toEqual([
      'clean: Clean the glass | 3+3 min | blank why caution',
      'lay: Lay it in two halves | 6+0 min | template check',
      'seam: Lap the ends by 1/8 in | 2+0 min | template why',
    ]);
    expect(body(steps, 'seam')).toMatch(/^Lay the end without the extra first/);
    expect(body(steps, 'aim')).toMatch(/^Wider arc up, to the rim\. .* over 4 in,/);
    expect(body(taper(214, 276), 'aim')).toMatch(/^Wider arc down, to the base\. /);
    // Half a millimetre is none that one sees.
    expect(body(taper(276.5, 276), 'aim')).toMatch(/^Its highest/);
    expect(body(taper(276, 276.5), 'aim')).toMatch(/^Its highest/);
    expect(body(taper(276.6, 276), 'aim')).toMatch(/^Wider arc up/);
    expect(body(taper(276, 276.6), 'aim')).toMatch(/^Wider arc down/);
    expect(body(steps, 'mark')).toMatch(/^Choose the front and put a dot there, and a dot 1\/2 in below/);
    expect(TWO_HALVES_TAPER).toBeCloseTo(0.0698, 4);
  });

  it('beside a handle is marked from the handle, and has no ends to close', () => {
    const steps = guide({ pieces: [whole()], blank: { handleWidthMm: 24 } });
    expect(body(steps, 'mark')).toMatch(/^The front lies opposite the handle: measure 157\.1 mm round/);
    expect(steps.map(({ id }) => id)).not.toContain('seam');
    expect(steps.find(({ id }) => id === 'lay')!.title).toBe('Lay it in two halves');
  });
});

describe('the guide of decals', () => {
  const decals = [piece(-30, 40, 60, 20), piece(68.5, 30, 20, 40, { film: 'brass' })];

  it('of a list counts everything for all that is made, but the curing', () => {
    const steps = guide({ pieces: decals, layers: ['deep-water', 'brass'], blank: { handleWidthMm: 20, bandBelowRimMm: 5 }, makes: [{ count: 2, pieces: decals }, { count: 1, pieces: [piece(-10, 40, 20, 20)] }] }); // prettier-ignore
    expect(lines(steps)).toEqual([
      'clean: Clean the blank, 3 of them | 9+3 min | blank why caution',
      'mark: Mark where it goes, 3 of them | 6+0 min | blank why',
      'weed:deep-water: Weed Deep water: 3 pieces stay | 3+0 min | film deep-water caution check',
      'weed:brass: Weed Brass: 2 pieces stay | 1+0 min | film brass caution check',
      'stack: Stack 2 films flat, 3 of them | 18+0 min | template why',
      'tape: Lay the transfer tape, 3 of them | 9+0 min | template check',
      'aim: Hold it on the marks, 3 of them | 3+0 min | template caution',
      'lay: Press from the middle out, 3 of them | 6+0 min | template check',
      'take-off: Take the tape off, 3 of them | 6+0 min | blank',
      'cure: Let it cure | 0+2880 min | blank why caution',
    ]);
    // Opposite the handle is 157.1 mm round; 78.5 mm to the right of that leaves as much.
    expect(body(steps, 'mark')).toBe('Opposite the handle, 157.1 mm round from its middle: its top 45.0 mm and its middle 55.0 mm below the rim. With the handle to your right, on the side that faces you, 78.6 mm round from the handle\'s middle: its top 35.0 mm and its middle 55.0 mm below the rim.'); // prettier-ignore
    // From −30 to 88.5 mm and 20 more; 30 to 70 and 20 more.
    expect(body(steps, 'tape')).toMatch(/^Medium tape\. Cut 3 sheets, the largest 138\.5 × 60 mm\. .* Trim it round/);
    expect(body(steps, 'aim')).toBe('Its highest film sits 35.0 mm below the drinking edge. Middle of the design on the dot, level with the rim.'); // prettier-ignore
    expect(steps.at(-1)!.caution).toMatch(/microwave/);
  });

  it('without a handle go on from the first to its right, and to the left of a handle where they are', () => {
    const steps = guide({ pieces: [piece(-10, 40, 20, 20), piece(60, 40, 20, 20)], blank: { bandBelowRimMm: 5 } });
    expect(body(steps, 'mark')).toBe('Choose the front and put a mark there: its top 45.0 mm and its middle 55.0 mm below the rim. The next 70.0 mm to the right of that: its top 45.0 mm and its middle 55.0 mm below the rim.'); // prettier-ignore
    const left = guide({ pieces: [piece(-80, 40, 20, 20)], blank: { handleWidthMm: 20 } });
    expect(body(left, 'mark')).toMatch(/^With the handle to your left, .*, 87\.1 mm round from the handle's middle/);
    // 0.3 rad are 15 mm: nearer than that it lies opposite.
    expect(body(guide({ pieces: [piece(4.9, 40, 20, 20)], blank: { handleWidthMm: 20 } }), 'mark')).toMatch(
      /^Opposite/,
    );
    expect(body(guide({ pieces: [piece(5.1, 40, 20, 20)], blank: { handleWidthMm: 20 } }), 'mark')).toMatch(/^With/);
    expect(body(guide({ pieces: [] }), 'mark')).toBe('Choose the front and put a dot there.');
    expect(body(guide({ pieces: [] }), 'aim')).toMatch(/^Middle of the design/);
  });

  it('of tiny or very many pieces are weeded from the back, on a tape of their own', () => {
    const tiny = guide({ pieces: [piece(0, 40, 3, 3), piece(10, 40, 30, 20, { film: 'brass' })], layers: ['deep-water', 'brass'] }); // prettier-ignore
    expect(body(tiny, 'weed:deep-water')).toMatch(/^1 piece is tiny: lay transfer tape .* Cut it 23 × 23 mm\.$/);
    expect(body(tiny, 'tape')).toMatch(/^For Brass: Medium tape/);
    const many = guide({ pieces: Array.from({ length: 61 }, (_, i) => piece(i, 40, 5, 5)) });
    expect(body(many, 'weed:deep-water')).toMatch(/^There are very many pieces: /);
    // Half a minute, a quarter for each, two for the cut: 17.75.
    expect(many.find(({ id }) => id === 'weed:deep-water')!.handsMinutes).toBe(18);
    expect(many.map(({ id }) => id)).not.toContain('tape');
    const checks = [tiny, glossy()].map((steps) => steps.find(({ id }) => id === 'weed:deep-water')!.check!.ask);
    expect(checks).toEqual(['Did every piece stay on the tape?', 'Did every piece stay on the liner?']);
  });
  const glossy = () => guide({ pieces: [piece(0, 40, 30, 20)] });

  it('on a face are held by its drawing, and the tape comes off in strips', () => {
    const three = ['deep-water', 'ensign', 'reed'];
    const steps = guide({ pieces: three.map((film) => piece(-10, 40, 20, 20, { film })), layers: three, blank: { kind: 'ball', rimClearanceMm: 0 }, wrap: { size: { kind: 'ball', side: 70, fit: 'none', taper: 0, data: { radius: 40, halfLength: 40 } }, template: { closed: false, cone: ROUND, rimLength: 70, region: { left: [-1] } } } }); // prettier-ignore
    expect(body(steps, 'mark')).toMatch(/it is 70\.0 mm wide and 70\.0 mm high\.$/);
    expect(body(steps, 'aim')).toBe('Middle of the design on the dot, the right way up.');
    expect(body(steps, 'take-off')).toMatch(/Cut the tape into strips and take them off one by one\./);
    expect(body(glossy(), 'take-off')).not.toMatch(/strips/);
    expect(steps.find(({ id }) => id === 'stack')!.why).toContain('instead of 3 times');
    expect(steps.at(-1)).toMatchObject({ waitMinutes: 1440, caution: null });
  });
});

describe('how a surface is cleaned', () => {
  const clean = (surface: Blank['surface']) => guide({ pieces: [piece(0, 40, 30, 20)], blank: { surface } })[0]!;
  it('is cautioned for alcohol, and for latex', () => {
    expect([clean('glass').title, clean('painted').title]).toEqual(['Clean the glass', 'Clean the blank']);
    expect(clean('glass').caution).toMatch(/^Alcohol burns/);
    expect(clean('latex').caution).toMatch(/^Some people are allergic/);
    expect(clean('painted').caution).toBeNull();
  });
});

describe('how a job ends', () => {
  const ends = (process: Job['process'], blank: Partial<Blank> = {}, foil = false): string[] =>
    finishSteps({ process, blank: judging({ blank }).job.blank }, foil, STARTING_MATERIALS).map(({ id, handsMinutes, waitMinutes, illustration, caution }) => `${id} ${handsMinutes}+${waitMinutes ?? 0} ${illustration} ${caution ? 'caution' : ''}`); // prettier-ignore
  it('is what is done through the mask, or curing, or a hand-over before the gas is gone', () => {
    expect((['strip', 'etch', 'blast', 'paint'] as const).map((process) => ends(process))).toEqual([
      ['strip 10+60 blank caution'],
      ['etch 10+0 blank caution'],
      ['blast 10+0 blank caution'],
      ['paint 10+0 blank caution'],
    ]);
    expect(ends('decal')).toEqual(['cure 0+2880 blank caution']);
    const pot = { surface: 'raw terracotta' } as const;
    expect([ends('decal', pot), ends('decal', pot, true), ends('decal', { rimClearanceMm: 0 })]).toEqual(Array(3).fill(['cure 0+1440 blank '])); // prettier-ignore
    const filled = (gas: 'air' | 'helium'): string => finishSteps({ process: 'decal', blank: judging({ blank: { kind: 'balloon', balloon: { gas, hours: 2, shrinkPerDay: 2 } } }).job.blank }, false, STARTING_MATERIALS)[0]!.body; // prettier-ignore
    expect(filled('helium')).toMatch(/^Filled with helium it keeps about 3 hours\./);
    expect(filled('air')).toMatch(/^Filled with air it keeps about two days\./);
    expect(RADIUS).toBe(50);
  });
});

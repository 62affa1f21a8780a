import { describe, expect, it } from 'vitest';
import { judging, only, pieceAt, placedItem, RADIUS, saidOf } from '../../../test/judging.ts';
import { plate } from '../../../test/jobs.ts';
import { makeOffcut, makeStockFilm } from '../../../test/stock.ts';
import { STARTING_FILMS } from '../../material/film.ts';
import type { LayerReport } from '../../stack/report.ts';
import { NO_LAYERS } from '../../stack/report.ts';
import { judgeFilmOld } from './film-old.ts';
import { judgeFilmShort } from './film-short.ts';
import { judgeLoadFit } from './load-fit.ts';
import { judgeRegistrationCostly } from './registration-costly.ts';
import { judgeRegistrationMissing } from './registration-missing.ts';
import { judgeStackHidden } from './stack-hidden.ts';
import { judgeStackLevels } from './stack-levels.ts';
import { judgeStackOverlap } from './stack-overlap.ts';
import { judgeStackThick } from './stack-thick.ts';
import { judgeStackUnsupported } from './stack-unsupported.ts';

const [deep, shallows, ensign] = STARTING_FILMS.map(({ id }) => id) as [string, string, string];
const layer = (change: Partial<LayerReport>): LayerReport => ({ layer: shallows, pieces: 9, bodies: 9, marked: false, byRule: true, marksMm2: 1200, meets: true, unsupported: 0, ...change }); // prettier-ignore
const stacked = (layers: LayerReport[], more = {}, job = {}) =>
  judging({ job, context: { stack: { ...NO_LAYERS, layers, ...more } } });

describe('how layers are lined up', () => {
  const lowest = layer({ layer: deep, bodies: 1 });

  it('by hand is told from four things on; marks beside it and the lowest film put that right', () => {
    const many = only(judgeRegistrationMissing, stacked([lowest, layer({ bodies: 4 })]))!;
    expect(many).toMatchObject({ numbers: { count: 4, cost: 12 }, fixes: [{ do: 'mark-layers', films: [deep, shallows], how: 'marks' }], goTo: 'cut' }); // prettier-ignore
    expect(many.said).toMatch(/^4 things of Shallows are lined up by hand.*cost 12 cm²/);
    expect(only(judgeRegistrationMissing, stacked([lowest, layer({ bodies: 3 })]))).toBeNull();
    expect(only(judgeRegistrationMissing, stacked([lowest, layer({ marked: true })]))).toBeNull();
    expect(only(judgeRegistrationMissing, stacked([lowest, layer({ meets: false })]))).toBeNull();
    expect(only(judgeRegistrationMissing, stacked([layer({ marksMm2: null })]))).toMatchObject({ numbers: { cost: 0 }, fixes: [{ films: [shallows] }] }); // prettier-ignore
  });

  it('without anything below is told from four such things on, and is fine where nothing meets', () => {
    const loose = layer({ unsupported: 4 });
    expect(only(judgeRegistrationMissing, stacked([lowest, loose]))).toBeNull();
    const found = only(judgeStackUnsupported, stacked([lowest, loose]))!;
    expect(found).toMatchObject({ case: 'loose', severity: 'look', numbers: { count: 4, cost: 12 }, fixes: [{ films: [deep, shallows], how: 'marks' }] }); // prettier-ignore
    expect(found.said).toContain('4 things of Shallows have nothing below');
    expect(only(judgeStackUnsupported, stacked([layer({ unsupported: 3 })]))).toBeNull();
    expect(only(judgeStackUnsupported, stacked([layer({ unsupported: 4, bodies: 3 })]))).toBeNull();
    expect(only(judgeStackUnsupported, stacked([layer({ unsupported: 4, marked: true })]))).toBeNull();
    const apart = only(judgeStackUnsupported, stacked([layer({ unsupported: 4, meets: false, marksMm2: null })]))!;
    expect(apart).toMatchObject({ case: 'apart', severity: 'fine', numbers: { count: 4 }, fixes: [] });
    expect(apart.said).toContain('lies by itself');
  });

  it('by marks is too dear past 40 cm² of film for all of them, or when it takes a load', () => {
    const marked = (mm2: number | null) => layer({ marked: true, marksMm2: mm2 });
    expect(only(judgeRegistrationCostly, stacked([marked(2000), marked(2000), layer({})]))).toBeNull();
    const dear = only(judgeRegistrationCostly, stacked([marked(2000), { ...marked(2010), layer: deep }, layer({})]))!;
    expect(dear).toMatchObject({ case: 'film', numbers: { cost: 40.1, most: 40 }, fixes: [{ do: 'mark-layers', films: [shallows, deep], how: 'by hand' }] }); // prettier-ignore
    expect(dear.said).toContain('cost 40 cm² of film');
    const loads = (marksLoads: number) => only(judgeRegistrationCostly, stacked([marked(null)], { marksLoads }));
    expect(loads(0)).toBeNull();
    expect(loads(1)!.said).toContain('cost a load more');
    expect(loads(2)!.said).toContain('cost 2 loads more');
    expect(only(judgeRegistrationCostly, stacked([layer({})], { marksLoads: 2 }))).toBeNull();
  });

  it('is a high edge past three films, which an inlay takes down', () => {
    const deepest = (films: string[]) => ({ deepest: { layers: films, thicknessMm: 0.07 * films.length, x: 5 * RADIUS, y: -40 } }); // prettier-ignore
    expect(only(judgeStackThick, stacked([], deepest([deep, shallows, ensign])))).toBeNull();
    const thick = only(judgeStackThick, stacked([], deepest([deep, shallows, ensign, deep])))!;
    expect(thick).toMatchObject({ numbers: { films: 4, most: 3 }, fixes: [{ do: 'build-stack', build: 'inlay' }] });
    expect(thick.place).toEqual({ azimuths: [5 - 4 / RADIUS, 5 + 4 / RADIUS], slants: [36, 44] });
    expect(thick.said).toMatch(/4 films.*Deep water, Shallows, Ensign, Deep water.*0.28 mm; past 3/);
    const inlay = stacked([], deepest([deep, deep, deep, deep]), { stack: { build: 'inlay' } });
    expect(only(judgeStackThick, inlay)!.fixes).toEqual([]);
    expect(only(judgeStackThick, stacked([]))).toBeNull();
  });
});

describe('what lies on what', () => {
  /** Things of two films, one drawn over the other, of so many mm², which share some. */
  const drawn = (layers: string[], areas: [number, number], shared: number, change: object = {}, job = {}) =>
    judging({
      job: { items: [plate('low', 20, 20, { film: deep, name: 'Low' }), plate('high', 20, 20, { film: shallows, name: 'High' })], ...job }, // prettier-ignore
      wrap: {
        layers,
        placed: [placedItem(20, [10, 30], 10, plate('high', 20, 20, { film: shallows }))],
        drawn: {
          films: [{ itemId: 'low', layer: deep }, { itemId: 'high', layer: shallows }], // prettier-ignore
          overlaps: { areas, pairs: [{ lower: 0, upper: 1, areaMm2: shared }] },
          order: { twice: [] },
          ...change,
        },
      },
    });

  it('hides what was drawn over it, from a fiftieth on; past half of it that fails', () => {
    // High was drawn over low, but the stack lays it below.
    const hidden = (shared: number) => only(judgeStackHidden, drawn([shallows, deep], [400, 100], shared));
    expect(hidden(1.9)).toBeNull();
    expect(hidden(2)).toMatchObject({ case: 'partly', severity: 'look', itemIds: ['high'], numbers: { share: 2 }, fixes: [{ do: 'order-films', films: [] }] }); // prettier-ignore
    expect(hidden(50)!.severity).toBe('look');
    expect(hidden(51)!.severity).toBe('fails');
    expect(hidden(97)!.said).toContain('97 % of “High” in Shallows is hidden under Deep water');
    expect(hidden(97)!.said).toContain('the film stack lays it below');
    expect(hidden(98)).toMatchObject({ case: 'wholly' });
    // More than all of it, by rounding, is all of it.
    expect(hidden(101)!.numbers['share']).toBe(100);
    expect(hidden(50)!.place).toEqual({ azimuths: [0, 20 / RADIUS], slants: [10, 30] });
  });

  it('covers what was drawn under it only when next to nothing shows', () => {
    const covered = (shared: number) => only(judgeStackHidden, drawn([deep, shallows], [100, 400], shared));
    expect(covered(97)).toBeNull();
    const found = covered(98)!;
    expect(found).toMatchObject({ case: 'wholly', severity: 'look', itemIds: ['low'], place: null, fixes: [{ do: 'bring-up', itemId: 'low' }] }); // prettier-ignore
    expect(found.said).toContain('it would be cut and never be seen');
  });

  it('is no matter within one film, nor where no order can be had', () => {
    const films = [{ itemId: 'low', film: deep }, { itemId: 'high', film: deep }]; // prettier-ignore
    expect(only(judgeStackHidden, drawn([deep], [100, 100], 100, { films }))).toBeNull();
    const twice = { order: { twice: [[deep, shallows]] } };
    expect(only(judgeStackHidden, drawn([shallows, deep], [400, 100], 60, twice))).toBeNull();
    const levels = only(judgeStackLevels, drawn([shallows, deep], [400, 100], 60, twice))!;
    expect(levels).toMatchObject({ severity: 'fails', id: `stack-levels:${deep}+${shallows}` });
    expect(levels.said).toContain('Deep water would have to lie both under and over Shallows');
    expect(only(judgeStackOverlap, drawn([deep, shallows], [400, 100], 60, twice))).toBeNull();
  });

  it('is a step where a thing lies half on film and half beside it', () => {
    const across = (shared: number, areas: [number, number] = [400, 100], layers = [deep, shallows], job = {}) => only(judgeStackOverlap, drawn(layers, areas, shared, {}, job)); // prettier-ignore
    expect([across(2.9), across(3)?.numbers, across(97)?.numbers, across(97.1)]).toEqual([null, { count: 1, share: 3 }, { count: 1, share: 97 }, null]); // prettier-ignore
    // A fifth of a thing of 9 mm² is less than 2 mm².
    expect([across(1.9, [400, 9.5]), across(2, [400, 10])?.itemIds]).toEqual([null, ['high']]);
    // Whichever lies on top is the one that steps.
    expect(across(60, [400, 100], [shallows, deep])).toMatchObject({ itemIds: ['low'], numbers: { share: 15 } });
    expect(across(60)).toMatchObject({ fixes: [{ do: 'build-stack', build: 'inlay' }], names: { film: 'Deep water' } });
    expect(across(60, [400, 100], [deep, shallows], { stack: { build: 'inlay' } })).toBeNull();
  });
});

describe('film on the shelf', () => {
  const shelf = (from: object, supply: object) => judging({ context: { usage: { strips: [{ film: deep, from }], films: [] }, supply: { films: [], offcuts: [], today: '2026-05-04', ...supply } } }); // prettier-ignore
  const roll = { kind: 'roll', id: 'roll' };

  it('is old past two years, and a scrap also when nobody knows', () => {
    const bought = (boughtOn: string | null) =>
      only(judgeFilmOld, shelf(roll, { films: [makeStockFilm({ boughtOn })] }));
    expect([bought('2024-05-04'), bought('2025-01-01'), bought(null)]).toEqual([null, null, null]);
    const old = bought('2024-01-04')!;
    expect(old).toMatchObject({ case: 'old', severity: 'look', numbers: { years: expect.closeTo(2 + 4 / 12, 6), most: 2 }, goTo: 'cut' }); // prettier-ignore
    expect(old.said).toMatch(/Deep water was bought 2.3 years ago.*After about 2 years/);
    const scrap = (boughtOn: string | null) => only(judgeFilmOld, shelf({ kind: 'offcut', id: 'offcut' }, { offcuts: [makeOffcut({ boughtOn })] })); // prettier-ignore
    expect(scrap(null)).toMatchObject({ case: 'unknown', numbers: {} });
    expect(scrap(null)!.said).toContain('Nobody knows how old');
    expect(scrap('2023-05-04')).toMatchObject({ case: 'old' });
    expect(scrap('2026-05-01')).toBeNull();
    for (const from of [{ kind: 'rest', id: 'roll' }, { kind: 'unknown' }])
      // prettier-ignore
      expect(only(judgeFilmOld, shelf(from, { films: [makeStockFilm({ boughtOn: '2020-01-01' })] }))).toBeNull();
  });

  it('is told once a film, however many strips of it are cut', () => {
    const context = shelf(roll, { films: [makeStockFilm({ boughtOn: '2020-01-01' })] });
    const strips = [...context.usage.strips, ...context.usage.strips];
    expect(judgeFilmOld({ ...context, usage: { ...context.usage, strips } })).toHaveLength(1);
  });

  it('is short of a strip, or of several: the largest says what to buy', () => {
    const none = (lengthMm: number, widthMm: number, film = deep) => ({ film, from: { kind: 'unknown' }, lengthMm, widthMm }); // prettier-ignore
    const short = (count: number, ...strips: object[]) => only(judgeFilmShort, judging({ context: { usage: { strips, films: [{ film: deep, short: count }, { film: shallows, short: 0 }] } } })); // prettier-ignore
    expect(short(0, none(60, 40))).toBeNull();
    const two = short(2, { film: deep, from: roll, lengthMm: 900, widthMm: 90 }, none(60, 40), none(50, 100), none(500, 500, shallows))!; // prettier-ignore
    expect(two).toMatchObject({ severity: 'fails', numbers: { count: 2, along: 50, across: 100 } });
    expect(two.said).toMatch(/too little Deep water. 2 strips are not to be had.*50 × 100 mm/);
    expect(short(1, none(60, 40))!.said).toContain('One strip is not to be had');
  });
});

describe('a film that fits no board', () => {
  const board = { id: 'square', widthMm: 290, lengthMm: 295, marginMm: 3 };
  const large = (longMm: number, shortMm: number, change: { wrap?: object; job?: object; stack?: object } = {}) =>
    only(judgeLoadFit, judging({ wrap: { ...change.wrap }, job: { ...change.job }, context: { plan: { board, tooLarge: [{ film: deep, longMm, shortMm }] }, stack: { ...NO_LAYERS, ...change.stack } } })); // prettier-ignore

  it('fits a longer one, the first that takes it either way round', () => {
    const found = large(400, 60)!;
    expect(found).toMatchObject({ case: 'longer-board', severity: 'fails', names: { board: 'Long board' } });
    expect(found.fixes[0]).toEqual({ do: 'choose-board', boardId: 'long' });
    expect(found.said).toMatch(/400 × 60 mm; the board is 290 × 295 mm and keeps 3.0 mm free/);
    // 600 × 290 less 3 on every side.
    expect(large(594, 284)!.fixes[0]).toEqual({ do: 'choose-board', boardId: 'long' });
    expect(large(594.5, 284)!.fixes[0]).toEqual({ do: 'choose-board', boardId: 'backed' });
    expect(large(594, 284.5)!.fixes[0]).toEqual({ do: 'choose-board', boardId: 'backed' });
    expect(large(4000, 60)).toMatchObject({ case: 'none', names: { board: '' } });
    expect(large(4000, 60)!.said).toContain('fits no board');
  });

  it('goes round in as few panels as do, where it may be divided', () => {
    const panels = (longMm: number, shortMm = 60, change = {}) => large(longMm, shortMm, change)!.fixes.filter(({ do: act }) => act === 'split-panels'); // prettier-ignore
    expect(panels(578)).toEqual([{ do: 'split-panels', panels: 2 }]);
    expect(panels(579)).toEqual([{ do: 'split-panels', panels: 3 }]);
    expect(panels(4 * 289)).toEqual([{ do: 'split-panels', panels: 4 }]);
    expect(panels(4 * 289 + 1)).toEqual([]);
    expect(panels(578, 290)).toEqual([]);
    expect(panels(578, 60, { wrap: { frames: [{}, {}] } })).toEqual([]);
    expect(panels(578, 60, { wrap: { template: { closed: false } } })).toEqual([]);
    expect(panels(578, 60, { job: { seam: { panels: 2 } } })).toEqual([]);
  });

  it('may fit without what is cut beside its pieces', () => {
    const marked = { layers: [layer({ layer: deep, marked: true }), layer({ layer: shallows, marked: true })] };
    const piece = (size: number, change = {}) => pieceAt({ minX: 0, maxX: size, minY: 0, maxY: 40 }, change);
    const found = large(300, 60, { stack: marked, wrap: { pieces: [piece(289)] } })!;
    expect(found).toMatchObject({ case: 'marks', fixes: [{ do: 'mark-layers', films: [deep, shallows], how: 'by hand' }, {}, {}] }); // prettier-ignore
    expect(found.said).toContain('Without them it fits');
    expect(large(300, 60, { stack: marked, wrap: { pieces: [piece(290)] } })!.case).toBe('longer-board');
    // Spares and other films do not count; two pieces of one part count as one.
    const others = [piece(289), piece(400, { spare: true }), piece(400, { film: shallows })];
    expect(large(300, 60, { stack: marked, wrap: { pieces: others } })!.case).toBe('marks');
    const far = [piece(100), pieceAt({ minX: 200, maxX: 300, minY: 0, maxY: 40 })];
    expect(large(300, 60, { stack: marked, wrap: { pieces: far } })!.case).toBe('longer-board');
    expect(large(300, 60, { wrap: { pieces: [piece(289)] } })!.case).toBe('longer-board');
    expect(saidOf(found)).toContain('does not fit the board with its marks');
  });
});

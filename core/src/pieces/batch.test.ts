import { describe, expect, it } from 'vitest';
import { pieceAt, placedItem, RADIUS } from '../../test/judging.ts';
import { motifItem, mug, plate, textItem, makeJob } from '../../test/jobs.ts';
import { testFonts } from '../../test/fonts.ts';
import type { Job } from '../model/job.ts';
import type { PlacedItem } from '../layout/place.ts';
import type { NameRow } from '../model/names.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import { coneDevelopment } from '../surface/cone.ts';
import type { Make } from './batch.ts';
import { batchPieces, makeBatch } from './batch.ts';
import { bunchesRound, shareRound } from './round.ts';
import { makeSpares } from './spares.ts';
import { deriveWrap } from './wrap.ts';

const row = (name: string, change: Partial<NameRow> = {}): NameRow => ({ id: name, name, count: 1, hand: null, capMm: null, blankId: null, ...change }); // prettier-ignore

describe('what is cut for a list', () => {
  const piece = (part: string) => pieceAt({ minX: 0, maxX: 9, minY: 0, maxY: 9 }, { part });
  const parts = (...rows: NameRow[]) => batchPieces(rows.map((one) => ({ row: one, pieces: [piece(''), piece('panel-2')] }) as unknown as Make)).map(({ part }) => part); // prettier-ignore

  it('is each as often as it is wanted, called by its name in plain letters', () => {
    expect(parts(row('Wren'))).toEqual(['wren', 'wren-panel-2']);
    expect(parts(row('Wren', { count: 2 }))).toEqual(['wren', 'wren-panel-2', 'wren-2', 'wren-2-panel-2']);
    expect(parts(row('Wren', { count: 0 }))).toEqual([]);
    expect(parts(row('  A  b '))[0]).toBe('a-b');
    expect(parts(row('ПЛОТ'), row('…')).filter((part) => !part.includes('panel'))).toEqual(['name', 'name-2']);
    // Two of one name are told apart.
    expect(parts(row('Wren'), row('wren!'))).toEqual(['wren', 'wren-panel-2', 'wren-2', 'wren-2-panel-2']);
  });
});

describe('a list of names', () => {
  const cup = mug();
  const jobWith = (change: Partial<Job>, acts = {}): Job => {
    const words = textItem('Name', { id: 'words', keepTogether: null, acts: { ...textItem('x').acts, ...acts } });
    return makeJob(cup, [words, plate('body', 40, 10)], change);
  };
  const made = (job: Job, ...rows: NameRow[]): Make[] => {
    const derived = deriveWrap(job, testFonts);
    if (!derived.ok) throw new Error(derived.problem.code);
    return makeBatch(job, { itemId: 'words', widthMm: 60, leastCapMm: 5, closeMm: 0, rows }, derived, testFonts);
  };

  it('has everything of the job for each, with its own words, fitted and placed', () => {
    const [wren, marigold] = made(jobWith({}), row('Wren'), row('Marigold'));
    expect([wren!.text!.text, marigold!.text!.text]).toEqual(['Wren', 'Marigold']);
    expect(wren!.alone).toBe(true);
    expect(wren!.pieces.filter(({ itemIds }) => itemIds.includes('body'))).toHaveLength(1);
    expect(marigold!.pieces.some(({ itemIds }) => itemIds.includes('words'))).toBe(true);
    // Eight letters, one of them with a dot, and four.
    const letters = (one: Make) => one.pieces.filter(({ itemIds }) => itemIds.includes('words')).length;
    expect([letters(wren!), letters(marigold!)]).toEqual([4, 9]);
    expect(wren!.wrap!.placed.find((p) => p.item.id === 'words')!.item).toMatchObject({ text: 'Wren' });
    expect(marigold!.placed!.box.maxX).toBeGreaterThan(wren!.placed!.box.maxX);
  });

  it('is worked through whole where other things hang on the words', () => {
    expect(made(jobWith({}, { cutAway: ['body'] }), row('Wren'))[0]!.alone).toBe(false);
    expect(made(jobWith({}, { shapesOnly: true }), row('Wren'))[0]!.alone).toBe(false);
    expect(made(jobWith({}, { onlyInside: 'body' }), row('Wren'))[0]!.alone).toBe(false);
    const together = jobWith({});
    const kept = { ...together, items: together.items.map((i) => ({ ...i, keepTogether: 'g' })) };
    expect(made(kept, row('Wren'))[0]!.alone).toBe(false);
    const scattered = { ...together, items: [...together.items, motifItem('star', { repeat: { mode: 'scattered', count: 2 } as never })] }; // prettier-ignore
    expect(made(scattered, row('Wren'))[0]!.alone).toBe(false);
  });

  it('takes each row’s blank and hand, and says where that cannot be flattened', () => {
    const glass = mug({ id: 'glass', readings: {} });
    const tall = mug({ id: 'tall', handleWidthMm: 0 });
    const job = jobWith({ otherBlanks: [glass, tall] });
    const [own, none, other, left] = made(job, row('Wren'), row('Otter', { blankId: 'glass' }), row('Robin', { blankId: 'tall' }), row('Finch', { hand: 'left' })); // prettier-ignore
    expect([own!.on!.blank.id, none!.on, other!.on!.blank.id]).toEqual([cup.id, null, 'tall']);
    expect(none).toMatchObject({ pieces: [], wrap: null, placed: null });
    expect([own!.on!.hand, left!.on!.hand]).toEqual(['right', 'left']);
    // A blank that is gone from the job is its own.
    expect(made(job, row('Wren', { blankId: 'gone' }))[0]!.on!.blank.id).toBe(cup.id);
  });

  it('is of the words that it is for, whatever else the job has, with what its seam cuts', () => {
    const seamed = mug({ handleWidthMm: 0 });
    const facing = { facing: 'angle', angleDeg: 180, from: 'middle', mm: 0, turnDeg: 0 } as const;
    const words = textItem('Name', { id: 'words', keepTogether: null });
    const items = [textItem('Kept', { id: 'first' }), plate('back', 40, 10, { placement: { ...facing, mm: 30 } })];
    const job = (turned: boolean): Job => makeJob(seamed, [...items, turned ? { ...words, placement: facing } : words]);
    const one = made(job(false), row('Wren'))[0]!;
    expect(one.wrap!.placed.map(({ item }) => ('text' in item ? item.text : item.id))).toEqual([
      'Kept',
      'back',
      'Wren',
    ]);
    expect(one.wrap!.cuts.map(({ itemId }) => itemId)).toEqual(['back']);
    const across = made(job(true), row('Wren'))[0]!;
    expect(across.wrap!.cuts.map(({ itemId }) => itemId).sort()).toEqual(['back', 'words']);
    // Fitted to 60 mm, or its own height where it is shorter.
    expect(one.placed!.item).toMatchObject({ id: 'words', text: 'Wren' });
    expect(made(jobWith({}, { cutAway: ['body'] }), row('Wren'))[0]!.placed!.item).toMatchObject({ id: 'words', text: 'Wren' }); // prettier-ignore
  });

  it('without words is the job itself for each; with words that are gone it is nothing', () => {
    const job = jobWith({});
    const derived = deriveWrap(job, testFonts);
    if (!derived.ok) throw new Error();
    const list = { itemId: null, widthMm: 60, leastCapMm: 5, closeMm: 0, rows: [row('one'), row('two')] };
    const both = makeBatch(job, list, derived, testFonts);
    expect(both.map(({ pieces, fitted, wrap, alone }) => [pieces === derived.wrap.pieces, fitted, wrap === derived.wrap, alone])).toEqual(Array(2).fill([true, null, true, true])); // prettier-ignore
    const unread = { ...list, rows: [row('one', { blankId: 'glass' })] };
    const glass = { ...job, otherBlanks: [mug({ id: 'glass', readings: {} })] };
    expect(makeBatch(glass, unread, derived, testFonts)).toMatchObject([{ pieces: [], wrap: null }]);
    expect(makeBatch(job, { ...list, itemId: 'gone' }, derived, testFonts)).toEqual([]);
    expect(makeBatch(job, { ...list, itemId: 'body' }, derived, testFonts)).toEqual([]);
  });
});

describe('things round a blank', () => {
  const at = (from: number, to: number) => ({ azimuths: [from, to] as const });

  it('are put together where they come nearer than a gap, also round the back', () => {
    const bunches = bunchesRound([at(1, 1.2), at(-1, -0.5), at(-0.4, 0), at(-0.9, 0.3)], 0.2);
    expect(bunches.map(({ azimuths, pieces }) => [azimuths, pieces.length])).toEqual([[[-1, 0.3], 3], [[1, 1.2], 1]]); // prettier-ignore
    // A gap of exactly that much parts them.
    expect(bunchesRound([at(0, 1), at(1.5, 2)], 0.5)).toHaveLength(2);
    const back = bunchesRound([at(-3.1, -2.5), at(0, 0.1), at(2.5, 3.1)], 0.2);
    expect(back.map(({ pieces }) => pieces.length)).toEqual([1, 2]);
    expect(back[1]!.azimuths[1]).toBeCloseTo(2 * Math.PI - 2.5, 12);
    expect(bunchesRound([], 0.2)).toEqual([]);
  });

  it('go round by the longest of them, at most all the way', () => {
    expect(shareRound([at(-1, -0.5), at(0, Math.PI)], 0.1)).toBeCloseTo(0.5, 12);
    expect(shareRound([at(-Math.PI, Math.PI)], 0.1)).toBe(1);
    expect(shareRound([at(-4, 4)], 0.1)).toBe(1);
    expect(shareRound([], 0.1)).toBe(0);
  });
});

describe('spares', () => {
  const surface = coneDevelopment({ girthRim: 2 * Math.PI * RADIUS, girthBase: 2 * Math.PI * RADIUS, side: 100 });
  const sheet = { minX: -50, maxX: 50, minY: -100, maxY: 0 };
  const star = { ...placedItem(30, [20, 40], 70, motifItem('star', { id: 'star' })), filmOf: null };
  const spares = (count: number, placed: PlacedItem = star, copy = 0) => makeSpares([placed], Array.from({ length: count }, () => ({ itemId: 'star', copy })), surface, sheet); // prettier-ignore

  it('lie in rows below the wrap with room for scissors, each as large as the thing', () => {
    const boxes = spares(4).map(({ flatBox }) => flatBox);
    for (const box of boxes) expect([boxWidth(box), boxHeight(box)]).toEqual([expect.closeTo(30, 6), expect.closeTo(20, 6)]); // prettier-ignore
    // Three times 30 with 6 between them just do not fit 100 mm; two do.
    const corners = boxes.map(({ minX, maxY }) => [Math.round(minX), Math.round(maxY)]);
    expect(corners).toEqual([[-50, -106], [-14, -106], [-50, -132], [-14, -132]]); // prettier-ignore
    expect(spares(1)[0]).toMatchObject({ part: 'spares', spare: true, film: 'deep-water', areaMm2: expect.closeTo(600, 6) }); // prettier-ignore
  });

  it('are of the copy that is asked for and of its film; of what is not there, none', () => {
    const [ring] = star.groups[0]!;
    const two = { ...star, copies: [1.4, 2], groups: [[ring!], [ring!.map((v, i) => (i % 2 === 0 ? v : 20 + (v - 20) / 2))]], filmOf: ['brass', 'reed'] }; // prettier-ignore
    const [second] = spares(1, two, 1);
    expect(second!.film).toBe('reed');
    expect(boxHeight(second!.flatBox)).toBeCloseTo(10, 6);
    expect(spares(1, two, 0)[0]!.film).toBe('brass');
    expect(makeSpares([star], [{ itemId: 'gone', copy: 0 }], surface, sheet)).toEqual([]);
    expect(spares(1, star, 3)).toEqual([]);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, plate, textItem, tumbler } from '../../test/jobs.ts';
import { applyCommand } from '../document/commands/apply.ts';
import { projectOf } from '../../test/findings.ts';
import { checkDocument } from '../document/read.ts';
import { readSvgDrawing } from '../io/svg/art/read.ts';
import type { Piece } from '../pieces/pieces.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import { drawingOfItems, itemsOfDrawing, keepDrawing } from './art-items.ts';
import { specksOf } from './drawing.ts';
import { matchFilms, nearestFilm } from './film-match.ts';
import { STARTING_FILMS } from '../material/film.ts';
import type { ArtItem } from '../model/item.ts';
import { cutOutOf, keepTogether, letGo, matesOf, replaceItem, togetherWith } from './sets.ts';

/** A red square at the left and a blue one at the right of a drawing of 40 × 10 mm. */
const TWO = `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="30mm" viewBox="0 0 60 30">
  <rect x="10" y="10" width="10" height="10" fill="#d33"/><rect x="40" y="10" width="10" height="10" fill="#25c"/></svg>`;
const said = { name: 'Pennant', source: 'own pencil', rights: 'own' } as const;
function art(widthMm: number, films: (string | null)[] = ['ensign', 'deep-water']): ArtItem[] {
  const read = readSvgDrawing(TWO);
  if (!read.ok) throw new Error(read.problem.code);
  let n = 0;
  return itemsOfDrawing(keepDrawing(read.drawing), films, said, widthMm, () => `id-${(n += 1)}`);
}
function pieces(items: ArtItem[], blank = makeBlank({ width: 160, height: 90 }, { kind: 'flat' })): readonly Piece[] {
  const derived = deriveWrap(makeJob(blank, items), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap.pieces;
}
const middles = (list: readonly Piece[]): number[][] =>
  list.map(({ flatBox: b }) => [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2, b.maxX - b.minX]);

describe('a drawing that is kept', () => {
  it('comes back from the items that were placed of it, as it was drawn', () => {
    const kept = drawingOfItems(art(25).map((item) => ({ ...item, mirrored: true, widthMm: 77 })));
    const read = readSvgDrawing(TWO);
    expect(kept).toEqual(read.ok && keepDrawing(read.drawing));
  });

  it('takes many dots alike for a pattern, and leaves specks off by the size that they have on the blank', () => {
    const dots = Array.from({ length: 76 }, (_, i) => `<rect x="${12 + 0.5 * i}" y="${i % 2 ? 22 : 25}" width=".3" height=".3" fill="#d33"/>`).join(''); // prettier-ignore
    const read = readSvgDrawing(TWO.replace('</svg>', `${dots}</svg>`));
    if (!read.ok) throw new Error(read.problem.code);
    expect(specksOf(read.drawing, 2.5)).toEqual({ count: 76, pattern: true });
    const many = (widthMm: number, specksMm: number): number => {
      const items = itemsOfDrawing(keepDrawing(read.drawing), ['ensign', null], { name: 'D', source: '', rights: 'own' }, widthMm, () => 'id'); // prettier-ignore
      const job = makeJob(makeBlank({ girthRim: 900, side: 400 }), items.map((item) => ({ ...item, acts: { ...item.acts, specksMm } }))); // prettier-ignore
      const derived = deriveWrap(job, testFonts);
      return derived.ok ? derived.wrap.pieces.length : NaN;
    };
    // The drawing is 40 wide with dots of 0.3: at 40 they are under 2.5 mm, at 400 they are 3 mm and come back.
    expect([many(40, 0), many(40, 2.5), many(400, 2.5)]).toEqual([77, 1, 77]);
  });

  it('leaves off what is too small to lift, at the size that it is laid in', () => {
    const dotted = TWO.replace('</svg>', '<circle cx="30" cy="15" r="1" fill="#d33"/><circle cx="30" cy="20" r=".4" fill="#2a2"/></svg>'); // prettier-ignore
    const read = readSvgDrawing(dotted);
    if (!read.ok) throw new Error(read.problem.code);
    // Dots of 2 and 0.8 mm across, squares of 10; the green one is alone in its colour, and so is meant.
    expect(specksOf(read.drawing, 2.5)).toEqual({ count: 1, pattern: false });
    expect(specksOf(read.drawing, 1.5)).toEqual({ count: 0, pattern: false });
  });
});

describe('a drawing on the blank', () => {
  it('keeps its colours in their places, at any size, turned and mirrored', () => {
    // 40 mm drawn, 80 mm asked: squares of 20 mm whose middles lie 30 mm to both sides.
    expect(middles(pieces(art(80)))).toEqual([[-30, -45, 20], [30, -45, 20]].map((row) => row.map((v) => expect.closeTo(v, 3) as number))); // prettier-ignore
    const turned = art(80).map((i) => ({ ...i, placement: { ...i.placement, turnDeg: 90 } }));
    expect(middles(pieces(turned)).map((m) => m[1])).toEqual([-75, -15].map((v) => expect.closeTo(v, 3) as number));
    const mirrored = art(80).map((i) => ({ ...i, mirrored: true }));
    expect(middles(pieces(mirrored)).map((m) => m[0])).toEqual([30, -30].map((v) => expect.closeTo(v, 3) as number));
    expect(pieces(mirrored)[0]!.areaMm2).toBeCloseTo(400, 2);
  });

  it('leaves a colour off, and lies on a cup as on a face', () => {
    const [one, ...more] = art(80, [null, 'reed']);
    expect(more).toEqual([]);
    expect(one).toMatchObject({ film: 'reed', colour: '#2255cc', rights: 'own' });
    const onCup = pieces(art(40), tumbler());
    expect(onCup).toHaveLength(2);
    for (const piece of onCup) expect(piece.areaMm2).toBeCloseTo(100, 0);
  });

  it('moves, grows and is fixed with all its colours, and is kept as it is', () => {
    const items = art(80);
    const moved = replaceItem(items, { ...items[0]!, widthMm: 50, film: 'chalk' });
    expect(moved.map((i) => (i.type === 'art' ? [i.widthMm, i.film] : []))).toEqual([[50, 'chalk'], [50, 'deep-water']]); // prettier-ignore
    expect(matesOf(items, items[1]!)).toEqual([items[0]]);
    const project = projectOf(makeJob(tumbler(), items));
    const fixed = applyCommand(project, { do: 'scale-item', itemId: items[1]!.id, factor: 0.5 });
    expect(fixed.items.map((i) => (i.type === 'art' ? i.widthMm : 0))).toEqual([40, 40]);
    expect(checkDocument(JSON.parse(JSON.stringify(project)))).toEqual({ ok: true, document: project });
  });
});

describe('films for colours', () => {
  it('are the nearest, and each film once while there are enough', () => {
    expect(nearestFilm('#104b5d', STARTING_FILMS)!.film.id).toBe('deep-water');
    const alike = ['#0f4c5c', '#114e5e', '#e0623a'];
    expect(matchFilms(alike, STARTING_FILMS, false).map((m) => m!.film.id)).toEqual([
      'deep-water',
      'deep-water',
      'ensign',
    ]);
    const once = matchFilms(alike, STARTING_FILMS, true).map((m) => m!.film.id);
    expect(once[0]).toBe('deep-water');
    expect(new Set(once).size).toBe(3);
    expect(matchFilms(['#000000'], [], true)).toEqual([null]);
    // Sharma's test data: a pair that plain distances get wrong, ΔE₀₀ = 2.0425 for lab(50 2.6772 −79.7751), (50 0 −82.7485).
    const [a, b] = ['color(--lab-d65 50 2.6772 -79.7751)', 'color(--lab-d65 50 0 -82.7485)'];
    expect(nearestFilm(a, [{ ...STARTING_FILMS[0]!, colour: b }])!.apart).toBeCloseTo(2.0425, 3);
  });

  it('never serve two colours while another film is free', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(0xffffff), { minLength: 1, maxLength: 12 }), (numbers) => {
        const colours = numbers.map((n) => `#${n.toString(16).padStart(6, '0')}`);
        const used = matchFilms(colours, STARTING_FILMS, true).map((m) => m!.film.id);
        expect(new Set(used).size).toBe(Math.min(colours.length, STARTING_FILMS.length));
      }),
    );
  });
});

describe('items that are kept together', () => {
  const three = ['a', 'b', 'c'].map((id) => ({ ...art(20)[0]!, id, setId: id }));
  const groups = (items: readonly { keepTogether: string | null }[]) => items.map((i) => i.keepTogether);

  it('join with all that either is with, and let go one by one; the last two both', () => {
    const pair = keepTogether(three, 'a', 'b');
    expect(groups(pair)).toEqual(['group-a', 'group-a', null]);
    const all = keepTogether(pair, 'c', 'b');
    expect(new Set(groups(all))).toEqual(new Set(['group-a']));
    expect(togetherWith(all, all[2]!).map((i) => i.id)).toEqual(['c', 'a', 'b']);
    const left = letGo(all, 'a');
    expect(groups(left)).toEqual([null, 'group-a', 'group-a']);
    expect(groups(letGo(left, 'b'))).toEqual([null, null, null]);
    expect([keepTogether(three, 'a', 'gone'), letGo(three, 'a')]).toEqual([three, three]);
  });
});

describe('cut out of something in one act', () => {
  const board = plate('board', 60, 20, { film: 'shallows' });
  const words = textItem('COX', { id: 'words', keepTogether: null });

  it('is taken from it, not cut itself, and goes with it', () => {
    const items = cutOutOf([board, words], 'words', 'board');
    expect(items[0]!.acts.cutAway).toEqual(['words']);
    expect(items[1]!.acts.shapesOnly).toBe(true);
    expect(items[0]!.keepTogether).toBe(items[1]!.keepTogether);
    expect(items[0]!.keepTogether).not.toBeNull();
    const derived = deriveWrap(makeJob(makeBlank({ girthRim: 300, side: 100 }), items), testFonts);
    if (!derived.ok) throw new Error(derived.problem.code);
    const whole = deriveWrap(makeJob(makeBlank({ girthRim: 300, side: 100 }), [words]), testFonts);
    const film = whole.ok ? whole.wrap.pieces.reduce((sum, p) => sum + p.areaMm2, 0) : NaN;
    expect(derived.wrap.pieces.reduce((sum, p) => sum + p.areaMm2, 0)).toBeCloseTo(1200 - film, -1);
    // Twice is once, and what is not there changes nothing.
    expect(cutOutOf(items, 'words', 'board')[0]!.acts.cutAway).toEqual(['words']);
    expect(cutOutOf([board, words], 'words', 'gone')).toEqual([board, words]);
  });

  it('holds for all colours of a drawing on either side', () => {
    const [a, b] = [plate('a', 20, 20, { setId: 'set' }), plate('b', 9, 9, { setId: 'set' })];
    const out = cutOutOf([a, b, words], 'words', 'b');
    expect(out.slice(0, 2).map(({ acts }) => acts.cutAway)).toEqual([['words'], ['words']]);
    const with2 = cutOutOf([a, b, board], 'a', 'board');
    expect(with2.map(({ acts }) => [acts.shapesOnly, acts.cutAway])).toEqual([[true, []], [true, []], [false, ['a', 'b']]]); // prettier-ignore
    expect(cutOutOf([a, b], 'a', 'b')).toEqual([a, b]);
  });
});

describe('words in a box', () => {
  const size = (text: string, mm: number, highMm: number) => {
    const words = textItem(text, { size: { by: 'box', mm, highMm }, keepTogether: null });
    const derived = deriveWrap(makeJob(makeBlank({ width: 300, height: 200 }, { kind: 'flat' }), [words]), testFonts);
    if (!derived.ok) throw new Error(derived.problem.code);
    const { ink } = derived.wrap.placed[0]!;
    return [ink!.maxX - ink!.minX, ink!.maxY - ink!.minY];
  };

  it('are as large as it takes: long ones by its width, short ones and lines by its height', () => {
    const long = size('WILLOWMERE', 60, 25);
    expect(long[0]).toBeCloseTo(60, 1);
    expect(long[1]).toBeLessThan(25);
    const short = size('IV', 60, 25);
    expect(short[1]).toBeCloseTo(25, 1);
    expect(short[0]).toBeLessThan(60);
    expect(size('A\nB\nC', 60, 25)[1]).toBeCloseTo(25, 1);
  });
});

import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, tumbler } from '../../test/jobs.ts';
import { readDxfDrawing } from '../io/dxf/art/read.ts';
import { readSvgDrawing } from '../io/svg/art/read.ts';
import type { Blank } from '../model/blank.ts';
import type { ArtItem } from '../model/item.ts';
import { deriveWrap, type Wrap } from '../pieces/wrap.ts';
import { frameOf, itemsOfDrawing, keepDrawing, placedBy } from './art-items.ts';
import type { Drawing } from './drawing.ts';
import { scaleDrawing } from './drawing.ts';
import { ownMarks } from './own-marks.ts';

const svg = (inner: string, size = 'width="200mm" height="50mm" viewBox="0 0 200 50"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${inner}</svg>`;
function read(text: string): Drawing {
  const result = readSvgDrawing(text);
  if (!result.ok) throw new Error(result.problem.code);
  return result.drawing;
}
const itemsOf = (drawing: Drawing, change: Partial<ArtItem> = {}): ArtItem[] => {
  let n = 0;
  const said = { name: 'Band', source: '', rights: 'own' } as const;
  const films = drawing.colours.map((_, i) => ['shallows', 'ensign', 'night'][i]!);
  return itemsOfDrawing(keepDrawing(drawing), films, said, drawing.widthMm, () => `i${(n += 1)}`).map((item) => ({ ...item, ...change })); // prettier-ignore
};
function wrapOf(blank: Blank, items: readonly ArtItem[], more = {}): Wrap {
  const derived = deriveWrap(makeJob(blank, items, more), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
}
const can = makeBlank({ girthRim: 258, side: 120 });
const once = { mode: 'joined', count: 1 } as const;

/** A plate from edge to edge of its page, 10 mm high, and a square of 6 mm on it, 20 mm from the left. */
const BAND = svg('<rect y="20" width="200" height="10" fill="#0a7"/><rect x="20" y="22" width="6" height="6" fill="#d22"/>'); // prettier-ignore

describe('the page of a drawing', () => {
  it('is kept with it: where its middle lies from that of the ink, enlarged with it', () => {
    const drawing = read(svg('<rect x="30" y="5" width="40" height="10"/>'));
    // The ink is 40 × 10 about (50, 10); the page 200 × 50 about (100, 25), which is lower: y goes up.
    expect(drawing).toMatchObject({ widthMm: 40, heightMm: 10, sheet: { widthMm: 200, heightMm: 50, x: 50, y: -15 } });
    expect(scaleDrawing(drawing, 2).sheet).toEqual({ widthMm: 400, heightMm: 100, x: 100, y: -30 });
    expect(readSvgDrawing(svg('<path d="M0 0H9V9Z"/>', 'viewBox="0 0 0 0"'))).toMatchObject({
      drawing: { sheet: null },
    });
  });

  it('is what is placed, where that is chosen; the ink stays as large as it was', () => {
    const [item] = itemsOf(read(svg('<rect x="30" y="5" width="40" height="10"/>')));
    expect([frameOf(item!), item!.widthMm]).toEqual([{ widthMm: 40, heightMm: 10, x: 0, y: 0 }, 40]);
    const page = placedBy(item!, 'sheet');
    expect([page.by, page.widthMm, page.heightMm]).toEqual(['sheet', 200, null]);
    expect(placedBy({ ...page, heightMm: 25 }, 'ink')).toMatchObject({ by: 'ink', widthMm: 40, heightMm: 5 });
    const flat = makeBlank({ width: 260, height: 120 }, { kind: 'flat' });
    const [piece] = wrapOf(flat, [{ ...page, running: 'level' }]).pieces;
    const { minX, maxX, minY, maxY } = piece!.flatBox;
    const middle = wrapOf(flat, [{ ...item!, running: 'level' }]).pieces[0]!.flatBox;
    // Fifty to the left of where it lies by its ink, and 15 higher.
    expect([minX - middle.minX, maxX - minX, maxY - minY].map((v) => Math.round(v * 1000) / 1000)).toEqual([-50, 40, 10]); // prettier-ignore
    expect(minY - middle.minY).toBeCloseTo(15, 3);
  });
});

describe('a drawing once round', () => {
  const width = ({ flatBox }: { flatBox: { minX: number; maxX: number } }): number => flatBox.maxX - flatBox.minX;

  it('by its page is as long as the way round to a hundredth, and keeps its shape', () => {
    const items = itemsOf(read(BAND)).map((item) => placedBy({ ...item, repeat: once }, 'sheet'));
    const { pieces, cuts, template } = wrapOf(can, items);
    const [band, square] = pieces;
    expect(pieces.map(({ film }) => film)).toEqual(['shallows', 'ensign']);
    expect(Math.abs(width(band!) - 258)).toBeLessThan(0.01);
    expect(band!.cutAt).toBe('both');
    expect(template.rimLength).toBeCloseTo(258, 6);
    // 200 mm of page on 258 mm of side: 1.29 times.
    expect(band!.flatBox.maxY - band!.flatBox.minY).toBeCloseTo(12.9, 2);
    expect(width(square!)).toBeCloseTo(6 * 1.29, 2);
    // 20 mm from the left edge of the page, which is the seam at the back.
    expect(square!.flatBox.minX + 129).toBeCloseTo(20 * 1.29, 2);
    expect(cuts).toEqual([]);
  });

  it('closes on a cone at every height, and follows the girth when the blank is read anew', () => {
    for (const girthRim of [276, 262]) {
      const blank = { ...tumbler(), readings: { ...tumbler().readings, girthRim: can.readings.girthRim! } };
      const cone = girthRim === 276 ? tumbler() : blank;
      const items = itemsOf(read(BAND)).map((item) => placedBy({ ...item, repeat: once }, 'sheet'));
      const { pieces, meanRadius } = wrapOf(cone, items);
      const [from, to] = pieces[0]!.azimuths;
      expect(Math.abs(to - from - 2 * Math.PI) * meanRadius).toBeLessThan(0.01);
    }
  });

  it('by its ink closes ink on ink, as often as it is joined, with all its colours in their places', () => {
    // Ink from 10 to 190 of a page of 200: 180 mm, three times round 258 is 86 each.
    const inner = '<rect x="10" y="20" width="180" height="9" fill="#0a7"/><rect x="28" y="21" width="9" height="6" fill="#d22"/>'; // prettier-ignore
    const items = itemsOf(read(svg(inner))).map((item) => ({ ...item, repeat: { ...once, count: 3 } }));
    const { pieces } = wrapOf(can, items);
    const bands = pieces.filter(({ film }) => film === 'shallows');
    expect(bands).toHaveLength(1);
    expect(Math.abs(width(bands[0]!) - 258)).toBeLessThan(0.01);
    const squares = pieces.filter(({ film }) => film === 'ensign').map(({ flatBox }) => flatBox.minX).sort((a, b) => a - b); // prettier-ignore
    // Tiles end at the seam: 18 of 180 from the left of each.
    expect(squares.map((x) => Math.round((x + 129) * 100) / 100)).toEqual([8.6, 94.6, 180.6]);
  });

  it('lets the seam wander clear of what is loose in it, and says what a straight one cuts', () => {
    // Two tiles: the seam at the back runs through the middle of one, where a square of 8 mm lies loose.
    const drawing = read(svg('<rect x="96" y="20" width="8" height="8"/>'));
    const items = itemsOf(drawing).map((item) => placedBy({ ...item, repeat: { ...once, count: 2 } }, 'sheet'));
    expect(wrapOf(can, items).cuts).toHaveLength(1);
    const seam = { lapMm: 0, way: 'wandering', panels: 1, clearanceMm: 1, atSeam: [] } as const;
    const wandered = wrapOf(can, items, { seam });
    expect(wandered.cuts).toEqual([]);
    expect(wandered.pieces.every(({ cutAt }) => cutAt === null)).toBe(true);
  });
});

describe('squares for lining up that a drawing brought', () => {
  const marks = (colour: string): string => [[2, 2], [192, 40]].map(([x, y]) => `<rect x="${x}" y="${y}" width="6" height="6" fill="${colour}"/>`).join(''); // prettier-ignore
  const inner = '<rect x="60" y="10" width="60" height="30" fill="#0a7"/><rect x="80" y="15" width="20" height="12" fill="#d22"/>'; // prettier-ignore

  it('are found in two colours on each other, and left off on request', () => {
    const found = ownMarks(read(svg(inner + marks('#0a7') + marks('#d22'))))!;
    expect(found.places).toBe(2);
    expect(found.without).toMatchObject({ widthMm: 60, heightMm: 30, sheet: { widthMm: 200, x: 10, y: 0 } });
    expect(found.without.colours.map(({ colour, areaMm2 }) => [colour, Math.round(areaMm2)])).toEqual([['#00aa77', 1800], ['#dd2222', 240]]); // prettier-ignore
  });

  it('are no squares of one colour, of other sizes, or with something on them', () => {
    expect(ownMarks(read(svg(inner)))).toBeNull();
    expect(ownMarks(read(svg(inner + marks('#0a7'))))).toBeNull();
    const other = marks('#d22').replaceAll('height="6"', 'height="7"');
    expect(ownMarks(read(svg(inner + marks('#0a7') + other)))).toBeNull();
    const onThem = '<path d="M0 0H12V12H0Z M188 36H200V50H188Z" fill="#22d"/>';
    expect(ownMarks(read(svg(inner + marks('#0a7') + marks('#d22') + onThem)))).toBeNull();
    // A drawing of nothing but squares is one.
    expect(ownMarks(read(svg(marks('#0a7') + marks('#d22'))))).toBeNull();
  });

  it('are in one place alone only where every colour has one', () => {
    const one = (colour: string): string => marks(colour).replace(/\/>.*/, '/>');
    expect(ownMarks(read(svg(inner + one('#0a7') + one('#d22'))))).toMatchObject({ places: 1 });
    const third = '<rect x="90" y="30" width="5" height="5" fill="#22d"/>';
    expect(ownMarks(read(svg(inner + third + one('#0a7') + one('#d22'))))).toBeNull();
  });
});

it('keeps the colours of a DXF drawing in the order of its layers', () => {
  const square = (layer: string, size: number): string => `0\nLWPOLYLINE\n8\n${layer}\n90\n4\n70\n1\n10\n0\n20\n0\n10\n${size}\n20\n0\n10\n${size}\n20\n${size}\n10\n0\n20\n${size}\n`; // prettier-ignore
  const read = readDxfDrawing(
    `0\nSECTION\n2\nENTITIES\n${square('small', 4)}${square('large', 40)}0\nENDSEC\n0\nEOF\n`,
  );
  if (!read.ok) throw new Error(read.problem.code);
  expect(read.drawing.colours.map(({ areaMm2 }) => Math.round(areaMm2))).toEqual([16, 1600]);
});

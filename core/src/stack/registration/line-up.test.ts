import { describe, expect, it } from 'vitest';
import { judging, pieceAt, placedItem, RADIUS, TURN } from '../../../test/judging.ts';
import { motifItem, plate, textItem } from '../../../test/jobs.ts';
import { STARTING_FILMS } from '../../material/film.ts';
import { PLAIN_STACK } from '../../layers/order.ts';
import type { PlacedItem } from '../../layout/place.ts';
import type { Film } from '../../model/film.ts';
import type { Stack } from '../../model/stack.ts';
import type { CuttablePiece } from '../../pieces/cuttable.ts';
import type { Piece } from '../../pieces/pieces.ts';
import { pathFromRing } from '../../plane/path.ts';
import { coneDevelopment } from '../../surface/cone.ts';
import { reportStack } from '../report-stack.ts';
import { lineUp, type LinedUp } from './line-up.ts';

const surface = coneDevelopment({ girthRim: TURN, girthBase: TURN, side: 100 });
/** A piece of film, mm round from the front and down. */
const film = (id: string, x: number, y: number, w: number, h: number, change: Partial<Piece> = {}): Piece => {
  const piece = pieceAt({ minX: x, maxX: x + w, minY: y, maxY: y + h }, { film: id, ...change });
  return { ...piece, id: `${id} ${x} ${y}`, unrolled: piece.flat };
};
/** Two layers on a straight side: a body of 60 × 40 below, and dots of 4 on or beside it. */
const body = film('deep-water', -30, 30, 60, 40, { itemIds: ['body'] });
const dots = (xs: readonly number[], change: Partial<Piece> = {}): Piece[] => xs.map((x) => film('brass', x, 40, 4, 4, { itemIds: ['dots'], ...change })); // prettier-ignore

interface Made {
  readonly pieces: Piece[];
  readonly placed?: PlacedItem[];
  readonly wrap?: object;
  readonly stack?: Partial<Stack>;
  readonly cut?: readonly CuttablePiece[];
}
function linedUp({ pieces, placed = [], wrap = {}, stack = {}, cut }: Made) {
  const ring = Float64Array.from([-160, -100, 160, -100, 160, 0, -160, 0]);
  const panel = { bounds: { minX: -160, maxX: 160, minY: -100, maxY: 0 }, outlines: [pathFromRing(ring)] };
  const made = judging({ wrap: { pieces, placed, layers: ['deep-water', 'brass'], frames: [{ part: '', asBand: true }], panels: [panel], surface, ...wrap } }).wrap; // prettier-ignore
  return {
    wrap: made,
    lined: lineUp({ stack: { ...PLAIN_STACK, ...stack } }, made, (cut ?? pieces) as CuttablePiece[]),
  };
}
const bodies = (made: Made): (number | boolean)[][] => linedUp(made).lined.aims.map((aim) => [aim.bodies, aim.marked]);
const markAt = ({ marks }: LinedUp): number[][] => marks.filter((mark) => mark.film === 'brass').map(({ flatBox }) => [flatBox.minX, flatBox.minY]); // prettier-ignore

describe('what can move apart', () => {
  const spaced = (x: number, change: Parameters<typeof motifItem>[1] = {}) => placedItem(8, [40, 48], x, motifItem('star', { id: 'dots', film: 'brass', ...change })); // prettier-ignore
  const groups = (one: PlacedItem, count: number, filmOf: string[] | null = null): PlacedItem =>
    ({ ...one, groups: Array.from({ length: count }, () => one.groups[0]!), filmOf, copies: Array.from({ length: count }, (_, i) => i) }) as unknown as PlacedItem; // prettier-ignore

  it('is every piece of a drawing, and every motif by itself; spares are none', () => {
    const drawing = placedItem(8, [40, 48], 0, plate('dots', 40, 4, { film: 'brass' }));
    expect(bodies({ pieces: [body, ...dots([-20, -10, 0, 10])], placed: [drawing] })).toEqual([
      [1, true],
      [4, true],
    ]);
    expect(bodies({ pieces: [body, ...dots([-20, -10, 0, 10], { spare: true })], placed: [drawing] })).toEqual([[1, false], [0, false]]); // prettier-ignore
    // A motif of two pieces, four times.
    const motif = groups(spaced(0), 4);
    expect(bodies({ pieces: [body, ...dots([-20, -15, -10, -5, 0, 5, 10, 15])], placed: [motif] })).toEqual([[1, true], [4, true]]); // prettier-ignore
    const empty = { ...motif, groups: [...motif.groups.slice(0, 2), [], []] } as unknown as PlacedItem;
    expect(bodies({ pieces: [body, ...dots([-20, -15, -10, -5])], placed: [empty] })).toEqual([
      [1, false],
      [2, false],
    ]);
    const other = groups(spaced(0), 4, ['brass', 'deep-water', 'brass', 'brass']);
    expect(bodies({ pieces: [body, ...dots([-20, -15, -10, -5])], placed: [other] })[1]).toEqual([3, false]);
  });

  it('is a word as one on its tape, once for each copy; tiles of a border that do not touch are not', () => {
    const word = placedItem(40, [40, 48], 0, textItem('COXES', { id: 'dots', film: 'brass' }));
    const letters = dots([-20, -10, 0, 10, 20]);
    const once = { ...groups(word, 5), copies: [0] } as unknown as PlacedItem;
    expect(bodies({ pieces: [body, ...letters], placed: [once] })).toEqual([
      [1, false],
      [1, false],
    ]);
    const twice = { ...groups(word, 10), copies: [0, 1] } as unknown as PlacedItem;
    expect(bodies({ pieces: [body, ...letters], placed: [twice] })[1]![0]).toBe(2);
    const border = groups(placedItem(8, [40, 48], 0, plate('dots', 8, 8, { film: 'brass', repeat: { mode: 'joined', count: 9 } as never })), 9); // prettier-ignore
    expect(bodies({ pieces: [body, ...letters], placed: [border] })[1]).toEqual([5, true]);
    expect(bodies({ pieces: [body, film('brass', -20, 40, 40, 4, { itemIds: ['dots'] })], placed: [border] })[1]).toEqual([1, false]); // prettier-ignore
  });
});

describe('where marks go', () => {
  const four = dots([-20, -10, 0, 10]);
  it('is only beside what meets film below: dots that lie elsewhere have none', () => {
    const apart = [-20, -10, 0, 10].map((x) => film('brass', x, 80, 4, 4));
    const { lined } = linedUp({ pieces: [body, ...apart] });
    expect([lined.aims.map(({ marked }) => marked), lined.support.get('brass')]).toEqual([[false, false], [false, false, false, false]]); // prettier-ignore
    expect(linedUp({ pieces: [body, ...four] }).lined.support.get('brass')).toEqual([true, true, true, true]);
    // What lies on its own film lies on nothing below; nor does film hold what is laid before it.
    expect(linedUp({ pieces: [body, film('deep-water', -10, 40, 4, 4), ...four] }).lined.support.get('deep-water')).toEqual([false, false]); // prettier-ignore
    const spare = film('deep-water', -30, 75, 60, 20, { spare: true });
    expect(linedUp({ pieces: [body, spare, ...apart] }).lined.support.get('brass')).toEqual([false, false, false, false]); // prettier-ignore
  });

  it('is outside of a wrap of more than six tenths of its panel, and beside the pieces of less', () => {
    const inside = (width: number, change: object = {}, cut?: CuttablePiece[]): boolean => {
      const long = film('deep-water', -width / 2, 30, width, 40, { itemIds: ['body'] });
      const { lined } = linedUp({ pieces: [long, ...four], wrap: change, ...(cut && { cut: [long, ...four, ...cut] as CuttablePiece[] }) }); // prettier-ignore
      const at = markAt(lined);
      expect(at.length).toBe(2);
      return at.every(([x, y]) => x! > -160 && x! + 6 < 160 && y! > -100 && y! + 6 < 0);
    };
    // 0.6 of 320 mm is 192.
    expect([inside(191), inside(193)]).toEqual([true, false]);
    expect(inside(193, { template: { closed: false } })).toBe(true);
    // What lies on another part makes no wrap of this one.
    expect(inside(100, {}, [film('deep-water', -150, 30, 300, 5, { part: 'other' }) as CuttablePiece])).toBe(true);
    expect(inside(193, { frames: [{ part: 'other' }] })).toBe(true);
    expect(inside(193, { frames: [{ part: 'other' }, { part: '' }] })).toBe(true);
  });

  it('is on the rim edge where film is laid on the blank, if that is the flat of the whole band', () => {
    const lay = { lay: 'on the blank' } as const;
    const heights = (wrap: object = {}): number[] => markAt(linedUp({ pieces: [body, ...four], stack: lay, wrap }).lined).map(([, y]) => Math.round(y! * 1e6) / 1e6); // prettier-ignore
    expect(heights()).toEqual([0, 0, 0]);
    expect(heights({ frames: [{ part: '', asBand: false }] })).not.toContain(0);
    expect(heights({ frames: [{ part: 'other', asBand: true }] })).not.toContain(0);
    expect(
      heights({
        frames: [
          { part: 'other', asBand: false },
          { part: '', asBand: true },
        ],
      }),
    ).toEqual([0, 0, 0]);
    expect(heights({ template: { closed: false } })).not.toContain(0);
    // On a cone it is the arc of the rim: its points lie as far from the apex as the front's does.
    const cone = coneDevelopment({ girthRim: TURN, girthBase: 0.8 * TURN, side: 100 });
    const apex = 100 / 0.2;
    const marks = markAt(linedUp({ pieces: [body, ...four], stack: lay, wrap: { surface: cone } }).lined);
    for (const [x, y] of marks) expect(Math.hypot(x! + 3, apex + y!)).toBeCloseTo(apex, 1);
    expect(RADIUS).toBe(50);
  });
});

describe('the report of a stack', () => {
  const cost = { loads: () => 2, of: (id: string) => (id === 'brass' ? 240 : 960) };
  const report = (made: Made, films: readonly Film[] = STARTING_FILMS) => {
    const { wrap, lined } = linedUp(made);
    return reportStack(films, wrap, lined, cost);
  };

  it('says how deep film lies, through where it is deepest', () => {
    const told = report({ pieces: [body, ...dots([-20, -10, 0, 10]), film('brass', 0, 0, 90, 90, { spare: true })] });
    expect(told.deepest).toMatchObject({ layers: ['deep-water', 'brass'], thicknessMm: expect.closeTo(0.13, 9) });
    expect(told.marksLoads).toBe(2);
    expect(told.sectionY).toBeLessThan(-40);
    expect(told.sectionY).toBeGreaterThan(-44);
    expect(told.section.map(({ layer: id, spans }) => [id, spans.length])).toEqual([
      ['deep-water', 1],
      ['brass', 4],
    ]);
    // Of a film that is gone nothing is known.
    expect(report({ pieces: [body] }, []).deepest!.thicknessMm).toBe(0);
    const apart = report({ pieces: [body, film('brass', -20, 80, 20, 4)] });
    // Nothing lies on anything: through the film that reaches furthest, 60 mm of it between 30 and 70.
    expect(apart.sectionY).toBeGreaterThan(-70);
    expect(apart.sectionY).toBeLessThan(-30);
    expect(report({ pieces: [], wrap: { layers: [] } })).toEqual({ layers: [], deepest: null, section: [], sectionY: 0, marksLoads: 0 }); // prettier-ignore
    expect(report({ pieces: [] })).toMatchObject({ deepest: null, section: [] });
  });

  it('counts what has to find its place by itself, and what of it lies on no film', () => {
    const rows = (made: Made) => report(made).layers.map((one) => [one.pieces, one.bodies, one.meets, one.unsupported, one.marksMm2]); // prettier-ignore
    const off = film('brass', -20, 80, 4, 4, { itemIds: ['dots'] });
    const marked = [...dots([-20, -10, 0, 10]), off];
    expect(rows({ pieces: [body, ...marked, film('brass', 60, 40, 4, 4, { spare: true })] })).toEqual([
      [1, 1, false, 0, 960],
      [5, 5, true, 1, 240],
    ]);
    // Three are few: they are laid by eye, and nobody asks what marks would cost; by hand one may ask.
    expect(rows({ pieces: [body, ...dots([-20, -10, 0])] })[1]).toEqual([3, 3, true, 0, null]);
    const stack = { marks: { brass: 'by hand' } } as const;
    expect(rows({ pieces: [body, ...marked], stack }).map((row) => row[4])).toEqual([null, 240]);
    const loose = [-20, -10, 0, 10].map((x) => film('brass', x, 80, 4, 4));
    expect(rows({ pieces: [body, ...loose] })[1]).toEqual([4, 4, false, 4, null]);
    // A word is held by any of its letters.
    const word = placedItem(40, [40, 48], 0, textItem('COXES', { id: 'dots', film: 'brass' }));
    expect(rows({ pieces: [body, ...marked], placed: [word] })[1]).toEqual([5, 1, true, 0, null]);
    const afar = dots([-20, -10]).map((one, i) => ({ ...film('brass', -20 + 10 * i, 80, 4, 4), itemIds: one.itemIds }));
    expect(rows({ pieces: [body, ...afar], placed: [word] })[1]).toEqual([2, 1, false, 1, null]);
  });
});

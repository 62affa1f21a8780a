import { describe, expect, it } from 'vitest';
import { PLAIN_STACK } from '../../layers/order.ts';
import type { Stack } from '../../model/stack.ts';
import type { CuttablePiece } from '../../pieces/cuttable.ts';
import type { Box } from '../../plane/box.ts';
import type { Ring } from '../../polygon/polygon.ts';
import type { MarkContext } from './marks.ts';
import { registrationMarks } from './marks.ts';
import { MARK_MM, placeMarks } from './places.ts';

const ringOf = ({ minX, minY, maxX, maxY }: Box): Ring => Float64Array.from([minX, minY, maxX, minY, maxX, maxY, minX, maxY]); // prettier-ignore
const at = (x: number, y: number, w: number, h: number): Box => ({ minX: x, minY: y, maxX: x + w, maxY: y + h });
const apartFrom = ([x, y]: readonly [number, number], box: Box): number =>
  Math.max(box.minX - x - MARK_MM, x - box.maxX, box.minY - y - MARK_MM, y - box.maxY);

describe('places of marks', () => {
  it('lie two millimetres clear of all film, and far enough apart to hold its turn', () => {
    const boxes = [at(0, 0, 60, 40), at(10, 10, 30, 20)];
    const { at: places } = placeMarks([{ layer: 'a', box: boxes[0]! }], boxes.map(ringOf))!;
    expect(places).toHaveLength(2);
    for (const place of places) for (const box of boxes) expect(apartFrom(place, box)).toBeGreaterThanOrEqual(2 - 1e-9);
    const [p, q] = places as [readonly [number, number], readonly [number, number]];
    expect(Math.hypot(p[0] - q[0], p[1] - q[1])).toBeGreaterThanOrEqual(0.45 * 60);
  });

  it('cost nothing in notches that every layer has', () => {
    // A cross: its box is 60 × 60, and each of its four corners is a notch of 20 × 20.
    const arms = [at(20, 0, 20, 60), at(0, 20, 60, 20)];
    const layers = ['a', 'b'].map((layer) => ({ layer, box: at(0, 0, 60, 60) }));
    const found = placeMarks(layers, arms.map(ringOf))!;
    expect(found.extra).toEqual({ a: 0, b: 0 });
    // Of those that cost nothing, two at opposite corners hold best: 40 mm across less what keeps clear.
    const [p, q] = found.at as [readonly [number, number], readonly [number, number]];
    expect(Math.hypot(p[0] - q[0], p[1] - q[1])).toBeGreaterThan(60);
  });

  it('beside a plain box cost the width of a mark and its clearance along one side', () => {
    const found = placeMarks([{ layer: 'a', box: at(0, 0, 100, 20) }], [ringOf(at(0, 0, 100, 20))])!;
    // Above or below: at least 100 × (6 + 2); at both ends it would be 2 × 20 × 8.
    expect(found.extra['a']).toBeGreaterThanOrEqual(2 * 20 * 8 - 1e-9);
    expect(found.extra['a']).toBeLessThan(100 * 8);
    expect(placeMarks([], [])).toBeNull();
  });

  it('on the rim edge stand on its line, and a third in the middle where that is free', () => {
    const layers = [{ layer: 'a', box: at(-40, -30, 80, 20) }];
    const line = { y: (x: number) => (Math.abs(x) < 60 ? 5 : null) };
    const { at: places } = placeMarks(layers, [ringOf(layers[0]!.box)], line)!;
    expect(places.map(([, y]) => y)).toEqual([5, 5, 5]);
    expect(places[2]![0]).toBe(-MARK_MM / 2);
    const busy = placeMarks(layers, [ringOf(layers[0]!.box), ringOf(at(-5, 0, 10, 20))], line)!;
    expect(busy.at).toHaveLength(2);
    expect(placeMarks(layers, [ringOf(layers[0]!.box)], { y: () => null })).toBeNull();
  });
});

describe('which layers are marked', () => {
  const piece = (film: string, x: number, part = ''): CuttablePiece => ({ film, part, flat: { outer: ringOf(at(x, 0, 10, 10)), holes: [] }, flatBox: at(x, 0, 10, 10) }) as unknown as CuttablePiece; // prettier-ignore
  const pieces = ['a', 'b', 'c'].flatMap((film) => [0, 15, 30, 45].map((x) => piece(film, x)));
  const marked = (change: Partial<MarkContext>, stack: Partial<Stack> = {}, of = pieces) => {
    const context: MarkContext = { stack: { ...PLAIN_STACK, ...stack }, layers: ['a', 'b', 'c'], bodies: () => 4, meets: (film) => film !== 'a', outline: () => null, rimEdge: () => null, ...change }; // prettier-ignore
    const { aims, marks } = registrationMarks(of, context);
    return { films: aims.filter((aim) => aim.marked).map(({ layer: film }) => film), aims, marks };
  };

  it('are those of more than three things that meet film below, with the lowest', () => {
    expect(marked({}).films).toEqual(['a', 'b', 'c']);
    expect(marked({ bodies: () => 3 }).films).toEqual([]);
    expect(marked({ bodies: (film) => (film === 'b' ? 4 : 1) }).films).toEqual(['a', 'b']);
    expect(marked({ meets: (film) => film === 'c' }).films).toEqual(['a', 'c']);
    expect(marked({ meets: () => false }).films).toEqual([]);
    const alone = pieces.filter(({ film }) => film === 'b');
    expect(marked({ meets: () => true }, {}, alone).films).toEqual([]);
  });

  it('are as a person says; the lowest that may be carries the same marks', () => {
    expect(marked({ meets: () => false }, { marks: { c: 'marks' } }).films).toEqual(['a', 'c']);
    expect(marked({ meets: () => false }, { marks: { a: 'by hand', c: 'marks' } }).films).toEqual(['b', 'c']);
    expect(marked({}, { marks: { b: 'by hand' } }).films).toEqual(['a', 'c']);
    expect(marked({}, { marks: { b: 'by hand', c: 'by hand' } }).films).toEqual([]);
    expect(marked({}, { marks: { a: 'by hand', b: 'by hand' } }).films).toEqual([]);
    const { aims } = marked({}, { marks: { b: 'by hand' } });
    expect(aims.map(({ byRule, bodies }) => [byRule, bodies])).toEqual([[true, 4], [false, 4], [true, 4]]); // prettier-ignore
  });

  it('have the same squares at the same places, part by part', () => {
    const { marks } = marked({});
    expect(marks).toHaveLength(6);
    const boxes = (film: string) => marks.filter((mark) => mark.film === film).map(({ flatBox }) => flatBox);
    expect(boxes('b')).toEqual(boxes('a'));
    for (const { maxX, minX, maxY, minY } of boxes('a')) expect([maxX - minX, maxY - minY]).toEqual([6, 6]);
    const both = [...pieces, ...['a', 'b'].map((film) => piece(film, 0, 'two'))];
    const parts = marked({ bodies: (film, part) => (part === 'two' ? 5 : film === 'c' ? 9 : 1) }, {}, both);
    expect(new Set(parts.marks.map(({ part, film }) => `${part} ${film}`))).toEqual(new Set([' a', ' c', 'two a', 'two b'])); // prettier-ignore
    expect(parts.aims.map(({ bodies }) => bodies)).toEqual([5, 5, 9]);
  });

  it('stand on the rim edge only where film is laid on the blank, and outside of a wrap otherwise', () => {
    const edge = { rimEdge: () => () => 25 };
    const onEdge = marked(edge, { lay: 'on the blank' }).marks;
    expect(onEdge.map(({ flatBox }) => flatBox.minY)).toEqual(onEdge.map(() => 25));
    expect(marked(edge, { lay: 'flat' }).marks.some(({ flatBox }) => flatBox.minY === 25)).toBe(false);
    const outline = ringOf(at(-20, -20, 100, 60));
    for (const { flatBox } of marked({ outline: () => outline }).marks)
      expect(apartFrom([flatBox.minX, flatBox.minY], at(-20, -20, 100, 60))).toBeGreaterThanOrEqual(2 - 1e-9);
  });
});

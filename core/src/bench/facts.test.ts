import { describe, expect, it } from 'vitest';
import { judging, pieceAt, RADIUS, TURN } from '../../test/judging.ts';
import type { Make } from '../pieces/batch.ts';
import type { Piece } from '../pieces/pieces.ts';
import { countOf, coverage, facesOf, layerWork, madeOf, tapeSizes } from './facts.ts';
import { layingStyle } from './laying-style.ts';

const square = (x: number, size: number, change: Partial<Piece> = {}): Piece => pieceAt({ minX: x, maxX: x + size, minY: 20, maxY: 20 + size }, { paths: [{}] as never, ...change }); // prettier-ignore
/** A piece that goes round by a share of the way, in the middle of the front. */
const band = (share: number): Piece => pieceAt({ minX: (-share * TURN) / 2, maxX: (share * TURN) / 2, minY: 20, maxY: 40 }); // prettier-ignore

describe('how film is laid', () => {
  const style = (share: number, change: { taper?: number; handleWidthMm?: number; closed?: boolean } = {}) => {
    const { taper = 0, handleWidthMm = 0, closed = true } = change;
    const { job, wrap } = judging({ blank: { handleWidthMm }, wrap: { pieces: [band(share)], size: { taper }, template: { closed } } }); // prettier-ignore
    return layingStyle(job, wrap).style;
  };

  it('is from the middle under six tenths of the way round, and on a face', () => {
    expect([style(0.59), style(0.61)]).toEqual(['centre out', 'one end round']);
    expect(style(0.9, { closed: false })).toBe('centre out');
  });

  it('is in halves at a handle, and past four degrees of taper', () => {
    expect(style(0.7, { handleWidthMm: 20 })).toBe('two halves');
    const sin = (degrees: number): number => Math.sin((degrees * Math.PI) / 180);
    expect([style(0.7, { taper: sin(3.9) }), style(0.7, { taper: sin(4.1) }), style(0.7, { taper: -sin(4.1) })]).toEqual(['one end round', 'two halves', 'two halves']); // prettier-ignore
    // A decal is a decal, whatever it lies on.
    expect(style(0.3, { taper: sin(9), handleWidthMm: 20 })).toBe('centre out');
  });
});

describe('what is weeded', () => {
  const works = (pieces: Piece[], count = 1) => layerWork(judging({}).job, ['shallows', 'deep-water', 'gone'], [{ pieces, count }]); // prettier-ignore
  const several = (count: number, size = 10): Piece[] => Array.from({ length: count }, (_, i) => square(i * 12, size));

  it('is from the back with two pieces under 16 mm², or one that is all there is, or with more than sixty on one thing', () => {
    expect(works([square(0, 4)])[0]).toMatchObject({ pieces: 1, tiny: 0, reverse: false });
    expect(works([square(0, 3.99)])[0]).toMatchObject({ tiny: 1, reverse: true });
    // One small dot does not turn a whole film over; two do.
    expect(works([square(0, 3.99), square(20, 10)])[0]).toMatchObject({ tiny: 1, reverse: false });
    expect(works([square(0, 3.99), square(6, 3.99), square(20, 10)])[0]).toMatchObject({ tiny: 2, reverse: true });
    expect(works(several(60))[0]!.reverse).toBe(false);
    expect(works(several(61))[0]!.reverse).toBe(true);
    // Thirty on each of four cups are thirty.
    expect(works(several(30), 4)[0]).toMatchObject({ pieces: 120, reverse: false });
  });

  it('is counted film by film from the blank outwards, with counters', () => {
    const list = works([square(0, 10, { paths: [{}, {}, {}] as never }), square(20, 10), square(40, 10, { film: 'shallows' })], 3); // prettier-ignore
    expect(list.map(({ film, pieces, counters }) => [film.id, pieces, counters])).toEqual([['shallows', 3, 0], ['deep-water', 6, 6]]); // prettier-ignore
    expect(works([])).toEqual([]);
  });

  it('is of everything that is made, without spares', () => {
    const { wrap } = judging({ wrap: { pieces: [square(0, 10), square(20, 10, { spare: true })] } });
    expect(madeOf(wrap, []).map(({ pieces, count }) => [pieces.length, count])).toEqual([[1, 1]]);
    const makes = [4, 2].map((count) => ({ row: { count }, pieces: wrap.pieces })) as unknown as Make[];
    const made = madeOf(wrap, makes);
    expect(made.map(({ pieces, count }) => [pieces.length, count])).toEqual([[1, 4], [1, 2]]); // prettier-ignore
    expect(countOf(made)).toBe(6);
  });
});

describe('sheets of tape', () => {
  it('are a finger larger than the film of each part, the largest first', () => {
    const made = [
      { pieces: [square(0, 10), square(40, 10)], count: 2 },
      { pieces: [square(0, 30, { part: 'panel-1' }), square(0, 40, { part: 'panel-2' })], count: 1 },
    ];
    expect(tapeSizes(made)).toEqual([
      { width: 70, height: 30, count: 2 },
      { width: 60, height: 60, count: 1 },
      { width: 50, height: 50, count: 1 },
    ].sort((a, b) => b.width * b.height - a.width * a.height)); // prettier-ignore
    expect(tapeSizes([{ pieces: [], count: 3 }])).toEqual([]);
  });
});

describe('how far round film goes', () => {
  const at = (fromDeg: number, toDeg: number, change: Partial<Piece> = {}) => square(0, 10, { azimuths: [(fromDeg * Math.PI) / 180, (toDeg * Math.PI) / 180], ...change }); // prettier-ignore

  it('is the sum of what is covered, laps counted once, also across the back', () => {
    expect(coverage([at(-45, 45)])).toBeCloseTo(0.25, 12);
    expect(coverage([at(-45, 45), at(0, 90)])).toBeCloseTo(0.375, 12);
    expect(coverage([at(-45, 45), at(90, 135)])).toBeCloseTo(0.375, 12);
    expect(coverage([at(135, 225), at(-180, -90)])).toBeCloseTo(0.375, 12);
    expect(coverage([at(-45, 45), at(315, 405)])).toBeCloseTo(0.25, 12);
    expect([coverage([at(-200, 200)]), coverage([]), coverage([at(0, 90, { spare: true })])]).toEqual([1, 0, 0]);
  });

  it('has a face for everything that lies by itself', () => {
    const degrees = (pieces: Piece[]) =>
      facesOf(pieces).map(({ azimuth }) => Math.round((azimuth * 180) / Math.PI) + 0);
    expect(degrees([at(-10, 10), at(80, 100), at(-100, -80)])).toEqual([-90, 0, 90]);
    // 20° are 0.349 rad, 21° are 0.367: apart.
    expect([degrees([at(-10, 10), at(30, 40)]), degrees([at(-10, 10), at(31, 41)])]).toEqual([[15], [0, 36]]);
    expect(degrees([at(150, 175), at(-170, -150)])).toEqual([-180]);
    expect(degrees([at(350, 370)])).toEqual([0]);
    expect(degrees([at(-10, 10, { spare: true })])).toEqual([]);
    const [face] = facesOf([at(-10, 10, { slants: [20, 40] }), at(5, 15, { slants: [30, 70] })]);
    expect(face).toMatchObject({ top: 20, middle: 45 });
    expect(RADIUS).toBe(50);
  });
});

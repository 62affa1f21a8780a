import { describe, expect, it } from 'vitest';
import { judging, placedItem, RADIUS, TURN } from '../../test/judging.ts';
import { makeJob, motifItem, mug, plate } from '../../test/jobs.ts';
import { testFonts } from '../../test/fonts.ts';
import type { PlacedItem } from '../layout/place.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import { reverseRing, ringsOf } from '../polygon/polygon.ts';
import { frameOn, type PanelFrame } from '../seam/panel-frame.ts';
import { PLAIN_SEAM } from '../seam/plain-seam.ts';
import { straightSeam, turnSeam, type SeamPath } from '../seam/path.ts';
import { coneDevelopment } from '../surface/cone.ts';
import { deriveFitPaper, paperBand, solveFitPaper } from './fit-paper.ts';
import { giveOfPiece, shareOfGive } from './give.ts';
import { makePieces, type Piece, type PieceFrame } from './pieces.ts';
import { deriveWrap, pieceFrameOf, type Wrap } from './wrap.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';

const SIDE = 100;
const cone = { girthRim: TURN, girthBase: TURN, side: SIDE };
const back = straightSeam(-Math.PI, -Math.PI, SIDE);
const whole: readonly [number, number] = [-Infinity, Infinity];
/** A part of a straight side between two ends, laid as the whole band is. */
const panel = (left: SeamPath | null, right: SeamPath | null, name = '', slant = whole): PanelFrame =>
  frameOn(coneDevelopment(cone), { left, right }, slant, { name, turn: 0, from: 0, x: 0, y: 0 }, cone);
const round = panel(back, turnSeam(back, 2 * Math.PI));
const cut = (placed: PlacedItem[], panels: PanelFrame[] = [round], more: Partial<PieceFrame> = {}): Piece[] => makePieces(placed, { panels, meanRadius: RADIUS, side: SIDE, ...more }); // prettier-ignore
/** A rectangle of film, mm round from the front and down. */
const bar = (
  width: number,
  slants: [number, number],
  roundMm = 0,
  change: Parameters<typeof motifItem>[1] = {},
): PlacedItem => {
  const one = placedItem(width, slants, roundMm, motifItem('star', { id: 'star-1', ...change }));
  return { ...one, groups: one.groups.map((rings) => rings.map(reverseRing)) };
};
/** Sizes and places of pieces on the flat, to a hundredth. */
const boxes = (pieces: Piece[]): number[][] => pieces.map(({ flatBox: b }) => [b.minX, b.maxX, -b.maxY, -b.minY].map((v) => Math.round(v * 100) / 100 + 0)); // prettier-ignore
const half = TURN / 2;

describe('a piece of film', () => {
  it('is what lies on the side, on the flat and as it was', () => {
    const [piece, ...others] = cut([bar(40, [20, 50], 10)]);
    expect(others).toEqual([]);
    expect(piece).toMatchObject({ id: 'star-1:0', itemIds: ['star-1'], film: 'deep-water', part: '', spare: false, cutAt: null, cutAcross: false }); // prettier-ignore
    expect(boxes([piece!])).toEqual([[-10, 30, 20, 50]]);
    expect(piece!.areaMm2).toBeCloseTo(1200, 6);
    expect(piece!.azimuths.map((v) => v * RADIUS)).toEqual([expect.closeTo(-10, 9), expect.closeTo(30, 9)]);
    expect(piece!.slants).toEqual([20, 50]);
    // Where its sides meet stand corners: four lines.
    expect(piece!.paths[0]!.segments.map(({ kind }) => kind)).toEqual(['line', 'line', 'line', 'line']);
  });

  it('is cut where its panel ends, which is told; none of it is lost round the back', () => {
    const pieces = cut([bar(40, [20, 50], half - 10)]);
    expect(boxes(pieces)).toEqual([[-half, -half + 10, 20, 50], [half - 30, half, 20, 50]].map((box) => box.map((v) => Math.round(v * 100) / 100))); // prettier-ignore
    expect(pieces.map(({ id, cutAt }) => [id, cutAt])).toEqual([
      ['star-1:0', 'left'],
      ['star-1:1', 'right'],
    ]);
    // A turn further round it is the same, and so is what goes all the way.
    expect(boxes(cut([bar(40, [20, 50], half - 10 - TURN)]))).toEqual(boxes(pieces));
    const band = cut([bar(TURN, [20, 50])]);
    expect([boxes(band), band[0]!.cutAt]).toEqual([[[-157.08, 157.08, 20, 50]], 'both']);
    expect(cut([bar(TURN + 20, [20, 50])])).toHaveLength(1);
  });

  it('lies in the panel that shows it, in two where both do, and is called after it', () => {
    const front = straightSeam(0, 0, SIDE);
    const panels = [panel(back, front, 'panel 1 of 2'), panel(front, turnSeam(back, 2 * Math.PI), 'panel 2 of 2')];
    const pieces = cut([bar(40, [20, 50], 10)], panels);
    expect(pieces.map(({ id, part, cutAt }) => [id, part, cutAt])).toEqual([['star-1:0', 'panel-1', 'right'], ['star-1:p2:0', 'panel-2', 'left']]); // prettier-ignore
    expect(boxes(pieces)).toEqual([
      [-10, 0, 20, 50],
      [0, 30, 20, 50],
    ]);
    expect(cut([bar(40, [20, 50], 30)], panels).map(({ id }) => id)).toEqual(['star-1:p2:0']);
  });

  it('is cut along a seam that bends, at each height where that is', () => {
    // From the front at both edges to 10 mm right of it half-way down.
    const bent: SeamPath = { slants: [0, 50, SIDE], azimuths: [0, 10 / RADIUS, 0] };
    const [left, right] = cut([bar(60, [0, 100])], [panel(back, bent, 'a'), panel(bent, turnSeam(back, 2 * Math.PI), 'b')]); // prettier-ignore
    // 30 × 100 and a triangle of 100 × 10 / 2.
    expect([left!.areaMm2, right!.areaMm2]).toEqual([expect.closeTo(3500, 3), expect.closeTo(2500, 3)]);
    expect(boxes([left!, right!])).toEqual([
      [-30, 10, 0, 100],
      [0, 30, 0, 100],
    ]);
    // The knee is a corner in both.
    const knee = (piece: Piece): boolean => piece.paths[0]!.segments.some(({ to }) => Math.hypot(to.x - 10, to.y + 50) < 1e-3); // prettier-ignore
    expect([knee(left!), knee(right!)]).toEqual([true, true]);
    // A part of its height shows that part of the bend.
    const upper = cut([bar(60, [20, 40])], [panel(back, bent, 'a', [0, 25])])[0]!;
    expect(boxes([upper])).toEqual([[-30, 5, 20, 25]]);
    expect(upper.areaMm2).toBeCloseTo((30 + 4.5) * 5, 3);
  });

  it('is cut across where bands meet, and runs on past the outer edges', () => {
    const right = turnSeam(back, 2 * Math.PI);
    const bands = [panel(back, right, 'upper', [-Infinity, 40]), panel(back, right, 'lower', [40, Infinity])];
    const pieces = cut([bar(40, [-5, 105])], bands);
    expect(boxes(pieces)).toEqual([
      [-20, 20, -5, 40],
      [-20, 20, 40, 105],
    ]);
    expect(pieces.map(({ cutAcross, cutAt }) => [cutAcross, cutAt])).toEqual([
      [true, null],
      [true, null],
    ]);
    expect(cut([bar(40, [10, 40])], bands).map(({ part, cutAcross }) => [part, cutAcross])).toEqual([['upper', false]]);
    expect(cut([bar(40, [-330, -310])]).length + cut([bar(40, [390, 399])]).length).toBe(2);
  });

  it('of a face is whole wherever it lies', () => {
    const pieces = cut([bar(40, [20, 50], half)], [panel(null, null)]);
    expect([boxes(pieces), pieces[0]!.cutAt]).toEqual([[[137.08, 177.08, 20, 50]], null]);
    expect(cut([bar(40, [20, 50], 10 * TURN)], [panel(null, null)])).toHaveLength(1);
  });

  it('at the seam is left off or lapped where that is wanted, on the right end alone', () => {
    const over = [bar(40, [20, 50], half)];
    expect(cut(over, [round], { atSeam: () => null })).toEqual([]);
    expect(cut(over, [round], { atSeam: () => undefined })).toHaveLength(2);
    const lapped = cut(over, [round], { atSeam: (item, copy) => (item === 'star-1' && copy === 0 ? 3 : null) });
    expect(lapped.map(({ flatBox }) => boxWidth(flatBox))).toEqual([expect.closeTo(20, 3), expect.closeTo(23, 3)]);
    // What the seam does not cut is as it is.
    expect(boxes(cut([bar(40, [20, 50])], [round], { atSeam: () => null }))).toEqual([[-20, 20, 20, 50]]);
  });
});

describe('film that overlaps', () => {
  const both = (change: object): PlacedItem => {
    const [a, b] = [bar(20, [20, 40], -5), bar(20, [20, 40], 5)];
    return { ...a, item: { ...a.item, ...change }, groups: [...a.groups, ...b.groups] } as PlacedItem;
  };

  it('is fused within an item that says so, and with what it is kept together with', () => {
    expect(boxes(cut([both({ fuse: true })]))).toEqual([[-15, 15, 20, 40]]);
    expect(boxes(cut([both({ fuse: false })]))).toEqual([
      [-15, 5, 20, 40],
      [-5, 15, 20, 40],
    ]);
    const two = (together: string | null, film = 'deep-water') => cut([bar(20, [20, 40], -5, { id: 'a', fuse: false, keepTogether: 'pair' }), bar(20, [20, 40], 5, { id: 'b', fuse: false, keepTogether: together, film })]); // prettier-ignore
    expect(two('pair').map(({ id, itemIds }) => [id, itemIds])).toEqual([['a:0', ['a', 'b']]]);
    expect(two(null).map(({ itemIds }) => itemIds)).toEqual([['a'], ['b']]);
    expect(two('pair', 'brass')).toHaveLength(2);
    // What only lies beside it stays by itself.
    expect(cut([bar(20, [20, 40], -15, { id: 'a', keepTogether: 'pair' }), bar(20, [20, 40], 15, { id: 'b', keepTogether: 'pair' })])).toHaveLength(2); // prettier-ignore
  });

  it('of a drawing of several films goes film by film', () => {
    const drawing = { ...both({ fuse: true }), filmOf: ['brass', 'reed'] } as PlacedItem;
    expect(cut([drawing]).map(({ id, film }) => [id, film])).toEqual([['star-1:brass:0', 'brass'], ['star-1:reed:0', 'reed']]); // prettier-ignore
  });

  it('is laid as far out as its largest part lies', () => {
    const [small, large] = [bar(10, [20, 30], 12), bar(30, [20, 40])];
    // The large one's film is longer by a hundredth of a turn: 30 mm of it are 30.3, and to 17 mm it is 17.17.
    const longerBy = (_film: string, _item: string, group: number): number => (group === 1 ? TURN / 100 : 0);
    const placed = { ...small, item: { ...small.item, fuse: true }, groups: [...small.groups, ...large.groups] } as PlacedItem; // prettier-ignore
    expect(boxes(cut([placed], [round], { longerBy }))).toEqual([[-15.15, 17.17, 20, 40]]);
    const loose = { ...placed, item: { ...placed.item, fuse: false } } as PlacedItem;
    expect(boxes(cut([loose], [round], { longerBy }))).toEqual([
      [7, 17, 20, 30],
      [-15.15, 15.15, 20, 40],
    ]);
    const { longerBy: _none, ...plain } = round;
    expect(boxes(cut([placed], [plain], { longerBy }))).toEqual([[-15, 17, 20, 40]]);
  });
});

describe('how far out film is laid', () => {
  it('is on the middle of itself: half of its own and all that lies below, measured from the film of the template', () => {
    const films = makeJob(mug(), []).films.map((film) => ({ ...film, thicknessMm: film.id === 'brass' ? 0.06 : film.id === 'reed' ? 0.3 : 0.07 })); // prettier-ignore
    const job = { ...makeJob(mug(), [plate('p', 20, 20, { film: 'brass' })]), films, seam: { ...PLAIN_SEAM, atSeam: [{ itemId: 'p', copy: 1, do: 'overlap' }, { itemId: 'q', copy: 0, do: 'leave-off' }] as never } }; // prettier-ignore
    const liesOn = new Map([['p', [0.1, 0.2]]]);
    const side = { frames: [round], meanRadius: RADIUS, surface: coneDevelopment(cone), liesOn };
    const frame = pieceFrameOf(job, side);
    expect(frame.longerBy!('brass', 'p', 0)).toBeCloseTo(Math.PI * 0.2, 12);
    expect(frame.longerBy!('brass', 'p', 1)).toBeCloseTo(Math.PI * 0.4, 12);
    expect(frame.longerBy!('brass', 'p', 7)).toBeCloseTo(Math.PI * 0.2, 12);
    expect(frame.longerBy!('reed', 'q', 0)).toBeCloseTo(Math.PI * 0.24, 12);
    expect(frame.longerBy!('gone', 'q', 0)).toBeCloseTo(-Math.PI * 0.06, 12);
    expect(pieceFrameOf({ ...job, films: [] }, side).longerBy!('brass', 'q', 0)).toBe(0);
    // A millimetre and a half of lap; a copy without a choice is simply cut.
    expect([frame.atSeam!('p', 1), frame.atSeam!('q', 0), frame.atSeam!('p', 0), frame.atSeam!('q', 1)]).toEqual([expect.any(Number), null, undefined, undefined]); // prettier-ignore
    expect([frame.side, frame.meanRadius]).toEqual([SIDE, RADIUS]);
  });
});

describe('the pieces of a job', () => {
  const wrapOf = (...args: Parameters<typeof makeJob>): Wrap => {
    const derived = deriveWrap(makeJob(...args), testFonts);
    if (!derived.ok) throw new Error(derived.problem.code);
    return derived.wrap;
  };
  const straight = mug({ handleWidthMm: 0 });

  it('come layer by layer from the blank outwards, then what is cut to spare', () => {
    const low = plate('low', 40, 20, { film: 'reed', spares: 2 });
    const { pieces, layers } = wrapOf(straight, [low, plate('high', 10, 10, { film: 'brass' }), plate('again', 40, 20, { film: 'reed' })]); // prettier-ignore
    // The last one was drawn over the brass: its film stands twice.
    expect(layers).toEqual(['reed', 'brass', 'reed/2']);
    expect(pieces.map(({ film, level, spare }) => `${film} ${level}${spare ? ' spare' : ''}`)).toEqual(['reed 0', 'brass 0', 'reed 1', 'reed 0 spare', 'reed 0 spare']); // prettier-ignore
    const spare = pieces.at(-1)!;
    expect(spare).toMatchObject({ id: 'low:spare-2:0', itemIds: ['low'], azimuths: [0, 0], slants: [0, 0], cutAt: null, cutAcross: false }); // prettier-ignore
    expect([spare.unrolled.outer.length, ringsOf(spare.flat).length]).toEqual([0, 1]);
    // Its paths lie where its points do.
    const xs = spare.paths[0]!.segments.map(({ to }) => to.x);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([expect.closeTo(spare.flatBox.minX, 6), expect.closeTo(spare.flatBox.maxX, 6)]); // prettier-ignore
    const ys = spare.paths[0]!.segments.map(({ to }) => to.y);
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([expect.closeTo(spare.flatBox.minY, 6), expect.closeTo(spare.flatBox.maxY, 6)]); // prettier-ignore
    expect([boxWidth(spare.flatBox), boxHeight(spare.flatBox)]).toEqual([expect.closeTo(40, 3), expect.closeTo(20, 3)]);
  });

  it('of what is left off at the seam come to spare, to be laid by hand', () => {
    const item = plate('over', 40, 20, { placement: { facing: 'angle', angleDeg: 180, from: 'middle', mm: 0, turnDeg: 0 } }); // prettier-ignore
    const left = wrapOf(straight, [item], { seam: { ...PLAIN_SEAM, atSeam: [{ itemId: 'over', copy: 0, do: 'leave-off' }] as never } }).pieces; // prettier-ignore
    expect(left.map(({ spare, areaMm2 }) => [spare, Math.round(areaMm2)])).toEqual([[true, 800]]);
    expect(wrapOf(straight, [item]).pieces.map(({ spare }) => spare)).toEqual([false, false]);
  });
});

describe('fit paper', () => {
  it('is the plain template for the thickness of paper, its ends butted, in one band', () => {
    const job = makeJob(mug({ handleWidthMm: 0 }), [plate('p', 20, 20)], { seam: { ...PLAIN_SEAM, lapMm: 3 } });
    const derived = deriveFitPaper(job, testFonts);
    if (!derived.ok) throw new Error();
    expect(derived.wrap.template.rimLength).toBeCloseTo(258 + Math.PI * 0.1, 9);
    expect([derived.wrap.pieces, derived.wrap.template.lap]).toEqual([[], 0]);
  });

  it('that gaps by two millimetres on a straight blank tells a girth that is so much longer', () => {
    const solved = solveFitPaper(mug({ handleWidthMm: 0 }), { gapRimMm: 2, gapBaseMm: 2, standMm: 0 });
    expect(solved).toMatchObject({ ok: true, unevenMm: expect.closeTo(0, 9) });
    expect(solved.ok && [solved.after.girthRim, solved.after.girthBase]).toEqual([expect.closeTo(260, 6), expect.closeTo(260, 6)]); // prettier-ignore
    expect(solveFitPaper(mug({ readings: {} }), { gapRimMm: 2, gapBaseMm: 2, standMm: 0 })).toEqual({ ok: false, code: 'no-cone' }); // prettier-ignore
    // What is straight has one girth: of 1 and 3 mm the half, and 2 mm uneven.
    const skew = solveFitPaper(mug({ handleWidthMm: 0 }), { gapRimMm: 3, gapBaseMm: 1, standMm: 0 });
    expect(skew).toMatchObject({ ok: true, unevenMm: expect.closeTo(2, 6) });
    const { size } = wrapSize(mug());
    expect(paperBand(mug(), size)).toBeNull();
  });
  const wrapSize = (blank: ReturnType<typeof mug>): Wrap => {
    const derived = deriveWrap(makeJob(blank, []), testFonts);
    if (!derived.ok) throw new Error();
    return derived.wrap;
  };
});

describe('what a piece asks of its film', () => {
  const ball = (film = 'deep-water') => {
    const { job, wrap } = judging({
      blank: { kind: 'ball' },
      wrap: { size: { kind: 'ball', side: 100, data: { radius: 60, halfLength: 60 } }, template: { closed: false, flattening: { map: {} } } }, // prettier-ignore
    });
    return { job, share: shareOfGive(job, wrap)!, film };
  };
  it('is a share of what that gives, closely where it matters', () => {
    const { job, share } = ball();
    const square = cut([bar(40, [20, 60])])[0]!;
    // 2 % is what plain film gives: a square of 40 asks K·40²/8 / (1 + 1.6·π/4 + 0.4·(π/4)³).
    const fill = Math.PI / 4;
    const needed = 1600 / 3600 / 8 / (1 + 1.6 * fill + 0.4 * fill ** 3);
    expect(giveOfPiece(job, square, STARTING_MATERIALS)).toBeCloseTo(0.02, 12);
    expect(share(square) / (needed / 0.02)).toBeGreaterThan(0.9);
    expect(share(square) / (needed / 0.02)).toBeLessThan(1.05);
    // Under a fifth of it the strip as wide as its box is enough to know: K·8²/8 over 1, of 2 %.
    const small = cut([bar(8, [20, 50])])[0]!;
    expect(share(small)).toBeCloseTo(64 / 3600 / 8 / 0.02, 9);
    const { job: flat, wrap } = judging({ wrap: { template: { flattening: { map: null } } } });
    expect(shareOfGive(flat, wrap)).toBeNull();
  });
});

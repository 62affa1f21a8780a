import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeOffcut, makeStockFilm } from '../../test/stock.ts';
import { STARTING_FILMS } from '../material/film.ts';
import type { PartOnBoard } from '../model/laid.ts';
import type { Offcut, StockThing } from '../model/stock.ts';
import type { FilmBlock } from './blocks.ts';
import { BOARDS, boardById } from './boards.ts';
import { keptOf, letGoOfPart, putByHand } from './by-hand.ts';
import type { PlanStep } from './load.ts';
import { betterLoads, boxOnBoard, mirroredStrip, planLoads, sharedOut, signOf } from './load.ts';
import { NO_STOCK, supplyOf } from './supply.ts';

const block = (film: string, width: number, height: number): FilmBlock => ({
  film,
  part: '',
  box: { minX: -width / 2, maxX: width / 2, minY: -height, maxY: 0 },
});
const square = boardById('square');

describe('planLoads', () => {
  it('lays three films side by side with whole-millimetre marks', () => {
    const plan = planLoads([block('a', 240, 50), block('b', 100.2, 30), block('c', 60, 60)], square);
    expect(plan.loads).toHaveLength(1);
    // Each takes its height plus two blade margins of 3 mm along the feed; 6 mm of scissors room between.
    expect(plan.loads[0]!.strips.map((s) => [s.from, s.to])).toEqual([
      [3, 59],
      [65, 101],
      [107, 173],
    ]);
    expect(plan.loads[0]!.strips.map((s) => s.parts[0]!.turned)).toEqual([true, true, false]);
  });

  it('starts a new load when the board is full and lists what fits no way round', () => {
    const plan = planLoads([block('a', 200, 200), block('b', 200, 200), block('c', 400, 20)], square);
    expect(plan.loads.map((l) => l.strips.map((s) => s.film))).toEqual([['a'], ['b']]);
    expect(plan.tooLarge).toEqual([{ film: 'c', longMm: 406, shortMm: 26 }]);
    expect(planLoads([block('c', 400, 20)], boardById('long')).tooLarge).toEqual([]);
  });

  it('keeps every film on the board, apart from the others, and its matrix inside its strip', () => {
    const size = fc.double({ min: 5, max: 280, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(size, size), { maxLength: 8 }), fc.constantFrom(...BOARDS), (sizes, board) => {
        const blocks = sizes.map(([w, h], i) => block(String(i), w, h));
        const plan = planLoads(blocks, board);
        expect(plan.loads.flatMap((l) => l.strips).length + plan.tooLarge.length).toBe(blocks.length);
        for (const { strips } of plan.loads)
          strips.forEach((s, i) => {
            expect(s.from).toBeGreaterThanOrEqual(i === 0 ? board.marginMm : strips[i - 1]!.to + board.gapMm);
            expect(s.to).toBeLessThanOrEqual(board.lengthMm - board.marginMm);
            expect(s.across).toBeLessThanOrEqual(board.widthMm - 2 * board.marginMm);
            const { box } = blocks[Number(s.film)]!;
            const [a, b, c, d, e, f] = s.parts[0]!.matrix;
            for (const [x, y] of [
              [box.minX, box.minY],
              [box.maxX, box.minY],
              [box.maxX, box.maxY],
              [box.minX, box.maxY],
            ] as const) {
              const [px, py] = [a * x + c * y + e, b * x + d * y + f];
              expect(px).toBeGreaterThanOrEqual(s.from + 3 - 1e-9);
              expect(px).toBeLessThanOrEqual(s.to - 3 + 1e-9);
              expect(py).toBeGreaterThanOrEqual(board.marginMm + 3 - 1e-9);
              expect(py).toBeLessThanOrEqual(board.marginMm + s.across - 3 + 1e-9);
            }
          });
      }),
    );
  });
});

describe('planLoads with many parts of a film', () => {
  it('nests them on one strip, each with the matrix that takes it there, clear of the others and of the edge', () => {
    const names = [60, 40, 52, 35].map((width, i): FilmBlock => ({ ...block('a', width, 18), part: `n${i}` }));
    const plan = planLoads([...names, block('b', 100, 30)], square);
    expect(plan.loads).toHaveLength(1);
    const [a, b] = plan.loads[0]!.strips;
    expect([a!.parts.length, b!.parts.length]).toEqual([4, 1]);
    // Side by side across the board, 278 mm of it, four names take less of its length than one beside the other would.
    expect(a!.to - a!.from).toBeLessThan(4 * 24);
    const boxes = a!.parts.map(({ part, matrix: [p, q, r, s, e, f] }) => {
      const { minX, minY, maxX, maxY } = names.find((n) => n.part === part)!.box;
      const corners = [[minX, minY], [maxX, maxY]].map(([x, y]) => [p * x! + r * y! + e, q * x! + s * y! + f]); // prettier-ignore
      const [xs, ys] = [corners.map(([x]) => x!), corners.map(([, y]) => y!)];
      return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
    });
    boxes.forEach((box, i) => {
      expect(box.x0).toBeGreaterThan(a!.from + 3 - 1e-6);
      expect(box.x1).toBeLessThan(a!.to - 3 + 1e-6);
      expect(box.y0).toBeGreaterThan(square.marginMm + 3 - 1e-6);
      expect(box.y1).toBeLessThan(square.marginMm + a!.across - 3 + 1e-6);
      for (const other of boxes.slice(i + 1)) {
        const apart = Math.max(box.x0 - other.x1, other.x0 - box.x1, box.y0 - other.y1, other.y0 - box.y1);
        expect(apart).toBeGreaterThan(square.gapMm - 1e-3);
      }
    });
  });
  it('turns directional film by halves only', () => {
    const long = [0, 1].map((i): FilmBlock => ({ ...block('m', 120, 20), part: `p${i}`, directional: true }));
    for (const strip of planLoads(long, square).loads.flatMap((load) => load.strips))
      for (const { turned } of strip.parts) expect(turned).toBe(false);
  });
});

describe('mirroredStrip', () => {
  it('mirrors what is on a strip within its film, and twice is as it was', () => {
    const [strip] = planLoads([block('a', 60, 18)], square).loads[0]!.strips;
    const mirrored = mirroredStrip(strip!, square);
    const at = ({ matrix: [, b, , d, , f] }: PartOnBoard, x: number, y: number): number => b * x + d * y + f;
    // Turned a quarter, 60 mm of it reach across: what was so far from one edge of the film is so far from the other.
    for (const [x, y] of [
      [-30, -18],
      [30, 0],
      [7, -5],
    ] as const)
      // prettier-ignore
      expect(at(mirrored.parts[0]!, x, y)).toBeCloseTo(2 * square.marginMm + strip!.across - at(strip!.parts[0]!, x, y), 9);
    expect(mirrored).toMatchObject({ from: strip!.from, to: strip!.to, across: strip!.across });
    const back = mirroredStrip(mirrored, square).parts[0]!.matrix;
    strip!.parts[0]!.matrix.forEach((value, i) => expect(back[i]).toBeCloseTo(value, 9));
  });
});

describe('sharing strips out over loads', () => {
  const room = { ...square, lengthMm: 295, marginMm: 3, gapMm: 6 };

  it('fills loads over all of them where that saves one, and leaves the order alone where it does not', () => {
    // 122 + 6 + 115 = 243 of 289; 233 has a board of its own.
    expect(sharedOut([122, 233, 115], room)).toEqual([[0, 2], [1]]);
    expect(sharedOut([100, 100, 50, 200], room)).toEqual([[0, 1, 2], [3]]);
    expect(sharedOut([140, 149, 140], room)).toEqual([[0, 2], [1]]);
    expect(sharedOut([150, 150, 150], room)).toEqual([[0], [1], [2]]);
  });

  it('never puts more on a board than it takes, loses nothing, and needs no more loads than one after the other', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 289 }), { maxLength: 14 }), (lengths) => {
        const loads = sharedOut(lengths, room);
        expect(loads.flat().sort((a, b) => a - b)).toEqual(lengths.map((_, i) => i));
        for (const load of loads)
          expect(load.reduce((sum, i) => sum + lengths[i]!, 6 * (load.length - 1))).toBeLessThanOrEqual(289);
        let [turns, end] = [0, Infinity];
        for (const length of lengths) {
          if (end + 6 + length > 289) [turns, end] = [turns + 1, -6];
          end += 6 + length;
        }
        expect(loads.length).toBeLessThanOrEqual(turns);
      }),
    );
  });

  it('gives every strip a load of its own where film runs through without a board', () => {
    expect(sharedOut([20, 30, 10], boardById('backed'))).toEqual([[0], [1], [2]]);
  });
});

describe('a film on the shelf', () => {
  const film = STARTING_FILMS[0]!.id;
  const piece = (width: number, height: number, part = '', change: Partial<FilmBlock> = {}): FilmBlock => ({ ...block(film, width, height), part, ...change }); // prettier-ignore
  const strips = (blocks: FilmBlock[], ...things: StockThing[]) =>
    planLoads(blocks, square, supplyOf(things, '')).loads.flatMap((load) => load.strips);

  it('is no wider and no longer than it was bought, however large the board is', () => {
    // With the blade’s margins 206 × 56.
    const narrow = makeStockFilm({ widthMm: 150 });
    expect(strips([piece(200, 50)], narrow)[0]).toMatchObject({ used: { along: 206, across: 56 } });
    expect(strips([piece(200, 50)], makeStockFilm())[0]).toMatchObject({ used: { along: 56, across: 206 } });
    const short = makeStockFilm({ form: 'sheet', widthMm: 100, lengthMm: 210, boughtLengthMm: 210 });
    expect(strips([piece(200, 50)], short)[0]).toMatchObject({ used: { along: 206, across: 56 } });
    expect(planLoads([piece(210, 50)], square, supplyOf([short], '')).tooLarge).toEqual([
      { film, longMm: 216, shortMm: 56 },
    ]);
    // Another film’s size is nothing to this one.
    const other = makeStockFilm({ id: 'other', film: STARTING_FILMS[1]!, widthMm: 20 });
    expect(strips([piece(200, 50)], other)[0]).toMatchObject({ used: { along: 56, across: 206 } });
    // Of several, the widest counts.
    expect(strips([piece(200, 50)], narrow, makeStockFilm({ id: 'wide' }))[0]!.used.across).toBe(206);
  });

  it('is an offcut only where that lies on the board', () => {
    // The board takes 289 × 284.
    const along = (lengthMm: number, widthMm: number) => strips([piece(200, 50)], makeOffcut({ lengthMm, widthMm }))[0]!.offcut; // prettier-ignore
    expect([along(289, 60), along(290, 60), along(60, 284), along(289.5, 60)]).toEqual([
      'offcut',
      null,
      'offcut',
      null,
    ]);
    expect([along(289, 284), along(289, 285), along(300, 284)]).toEqual(['offcut', null, null]);
  });

  it('as an offcut lies so that it takes least of the board, unless it has a direction or an odd shape', () => {
    const lying = (offcut: Offcut, change: Partial<FilmBlock> = {}) => {
      const [strip] = strips([piece(50, 50, '', change)], offcut);
      return [strip!.to - strip!.from, strip!.across];
    };
    expect(lying(makeOffcut({ lengthMm: 200, widthMm: 120 }))).toEqual([120, 200]);
    expect(lying(makeOffcut({ lengthMm: 120, widthMm: 200 }))).toEqual([120, 200]);
    expect(lying(makeOffcut({ lengthMm: 200, widthMm: 120 }), { directional: true })).toEqual([200, 120]);
    // Across the board there are 284 mm.
    expect(lying(makeOffcut({ lengthMm: 284, widthMm: 60 }))).toEqual([60, 284]);
    expect(lying(makeOffcut({ lengthMm: 285, widthMm: 60 }))).toEqual([285, 60]);
    const odd = makeOffcut({ lengthMm: 200, widthMm: 120, outline: [0, 0, 200, 0, 200, 120, 0, 120] });
    const two = strips([piece(40, 40, 'a'), piece(40, 40, 'b')], odd);
    expect(two.map((s) => [s.offcut, s.to - s.from, s.across, s.outline])).toEqual([['offcut', 200, 120, odd.outline]]);
  });
});

describe('a plan that is kept or bettered', () => {
  const parts = [60, 40, 52].map((width, i): FilmBlock => ({ ...block('a', width, 18), part: `n${i}` }));
  const signed = (blocks: readonly FilmBlock[], board = square): string => signOf(blocks, board, NO_STOCK);

  it('is known by what it is made of: parts, their sizes, outlines and order, board and gaps', () => {
    const ring = (...points: number[]): Float64Array => Float64Array.from(points);
    const outlined = parts.map((p) => ({ ...p, rings: [ring(0, 0, 9, 0, 9, 5)] }));
    const others: string[] = [
      signed(parts.slice(1)),
      signed([...parts].reverse()),
      signed(parts.map((p) => ({ ...p, part: `${p.part}'` }))),
      signed(parts.map((p) => ({ ...p, directional: true }))),
      signed(parts.map((p) => ({ ...p, box: { ...p.box, maxX: p.box.maxX + 0.2 } }))),
      signed(parts.map((p) => ({ ...p, box: { ...p.box, maxY: p.box.maxY + 0.2 } }))),
      signed(outlined),
      signed(outlined.map((p) => ({ ...p, rings: [...p.rings, ring(1, 1, 1, 2, 2, 2)] }))),
      // The same numbers elsewhere in the outline are another outline.
      signed(outlined.map((p) => ({ ...p, rings: [ring(0, 9, 0, 9, 5, 0)] }))),
      signed(parts, { ...square, gapMm: 7 }),
      signed(parts, { ...square, marginMm: 4 }),
      signed(parts, boardById('long')),
      signOf(parts.map((p) => ({ ...p, film: STARTING_FILMS[0]!.id })), square, supplyOf([makeStockFilm({ widthMm: 200 })], '')), // prettier-ignore
    ];
    expect(new Set([signed(parts), ...others]).size).toBe(others.length + 1);
    expect(signed(parts.map((p) => ({ ...p, film: 'b' })))).toBe(signed(parts));
  });

  it('is told at once as it was kept, and ends by itself where one part leaves nothing to try', () => {
    const single = [block('a', 60, 18), block('b', 240, 50)];
    const steps = [...betterLoads(single, square, NO_STOCK, [], 1)];
    expect(steps).toHaveLength(1);
    expect(steps[0]!.plan).toEqual(planLoads(single, square));
    expect(steps[0]!.kept.map(({ film, lots }) => [film, lots.length])).toEqual([['a', 1], ['b', 1]]); // prettier-ignore
    expect(planLoads(single, square, NO_STOCK, steps[0]!.kept)).toEqual(steps[0]!.plan);
    const kept = keptOf(planLoads(parts, square), parts, NO_STOCK);
    const [first] = betterLoads(parts, square, NO_STOCK, kept, 1);
    expect(first!.plan).toEqual(planLoads(parts, square));
    expect(first!.kept).toEqual(kept);
  });

  it('finds room that a poor one wastes, and then tells of it', () => {
    // Three names laid one behind the other: 3 × 24 along. Side by side across the board, 76 + 6 + … fit in one row of 24.
    const kept = keptOf(planLoads(parts, square), parts, NO_STOCK)[0]!;
    const poor = parts.reduce(
      (now, { part }, i) => putByHand(now, 0, part, [1, 0, 0, 1, 40, 25 + i * 60], new Map(parts.map((p) => [p.part, p.box]))), // prettier-ignore
      { ...kept, of: signOf(parts, square, NO_STOCK) },
    );
    const loose = letGoOfPart(poor, null);
    const along = (step: PlanStep): number => step.plan.loads[0]!.strips[0]!.used.along;
    let told: PlanStep[] = [];
    for (const step of betterLoads(parts, square, NO_STOCK, [loose], 1)) {
      if (step) told = [...told, step];
      if (told.length > 1) break;
    }
    expect(told.length).toBeGreaterThan(1);
    expect(along(told[1]!)).toBeLessThan(along(told[0]!));
  });

  it('begins films on what others left of their boards, however many films there are', () => {
    // Two plates of 270 × 84 mm in each of eight films: 180 mm of a board of 289, of which no two go on one. Laid one on the
    // rest of another, three films take two boards: six loads, which their length asks for at least: 8 × 186 / 295 = 5.04.
    const films = Array.from({ length: 8 }, (_, f) => `film-${f}`);
    const plates = films.flatMap((film) => [0, 1].map((n): FilmBlock => ({ ...block(film, 270, 84), part: `p${n}` })));
    expect(planLoads(plates, square).loads).toHaveLength(6);
    const [first] = betterLoads(plates, square, NO_STOCK, [], 1);
    expect(first!.plan.loads).toHaveLength(6);
    for (const strip of planLoads(plates, square).loads.flatMap(({ strips }) => strips)) expect(strip.to - strip.from).toBeLessThanOrEqual(289); // prettier-ignore
  });

  it('lays on a strip of its own what the nest leaves out by a hair', () => {
    // 282.8 mm and two margins of the blade are 288.8 of the 289 that a board has; cells round that up. A ring is no box.
    const ring = (part: string, long: number): FilmBlock => {
      const outer = Float64Array.from([0, 0, long, 0, long, 22, long / 2, 30, 0, 22]);
      return { film: 'a', part, box: { minX: 0, maxX: long, minY: 0, maxY: 30 }, rings: [outer] };
    };
    const plan = planLoads([ring('long', 282.8), ring('small', 60)], square);
    expect(plan.tooLarge).toEqual([]);
    expect(plan.loads.flatMap(({ strips }) => strips).flatMap((s) => s.parts).map(({ part }) => part).sort()).toEqual(['long', 'small']); // prettier-ignore
    expect(planLoads([ring('long', 283.2), ring('small', 60)], square).tooLarge).toMatchObject([{ longMm: 290 }]);
  });

  it('lists what fits no board, part by part, and lays the rest', () => {
    const large = { ...block('a', 400, 20), part: 'large' };
    const plan = planLoads([...parts, large], square);
    expect(plan.tooLarge).toEqual([{ film: 'a', longMm: 406, shortMm: 26 }]);
    expect(plan.loads.flatMap((l) => l.strips).flatMap((s) => s.parts).map(({ part }) => part).sort()).toEqual(['n0', 'n1', 'n2']); // prettier-ignore
    const [step] = betterLoads([...parts, large], square, NO_STOCK, [], 1);
    expect(step!.plan.tooLarge).toEqual(plan.tooLarge);
  });
});

describe('where a part lies', () => {
  it('is the box of what its matrix makes of it; a part without an outline has none', () => {
    const one: FilmBlock = { film: 'a', part: '', box: { minX: 1, minY: 2, maxX: 11, maxY: 5 } };
    // A quarter turn sends (x, y) to (−y, x), then 100 along and 50 across.
    expect(boxOnBoard(one, [0, 1, -1, 0, 100, 50])).toEqual({ minX: 95, minY: 51, maxX: 98, maxY: 61 });
    expect(boxOnBoard(one, [1, 0, 0, 1, 100, 50])).toEqual({ minX: 101, minY: 52, maxX: 111, maxY: 55 });
    expect(boxOnBoard({ ...one, rings: [] }, [1, 0, 0, 1, 0, 0]).minX).toBe(Infinity);
  });
});

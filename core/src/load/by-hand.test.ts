import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apart } from '../../test/nesting.ts';
import { makeOffcut } from '../../test/stock.ts';
import { STARTING_FILMS } from '../material/film.ts';
import type { Ring } from '../polygon/polygon.ts';
import { boardById } from './boards.ts';
import { collisionOf, keptOf, letGoOfPart, putByHand } from './by-hand.ts';
import { betterLoads, boxOnBoard, planLoads, type LoadPlan } from './load.ts';
import { type FilmBlock } from './blocks.ts';
import { type KeptFilm } from '../model/laid.ts';
import { lotsOfFilm } from './lot.ts';
import { NO_STOCK, supplyOf } from './supply.ts';

const square = boardById('square');
const film = STARTING_FILMS[0]!.id;
const box = (x0: number, y0: number, x1: number, y1: number): Ring =>
  Float64Array.from([x0, y0, x1, y0, x1, y1, x0, y1]);
const block = (part: string, w: number, h: number): FilmBlock => ({
  film,
  part,
  box: { minX: 0, minY: 0, maxX: w, maxY: h },
  rings: [box(0, 0, w, h)],
});
const blocks = [block('a', 60, 40), block('b', 50, 30), block('c', 40, 40), block('d', 30, 20)];
const boxes = new Map(blocks.map((b) => [b.part, b.box]));
/** Where parts lie on the board: load, and outlines. */
const places = (plan: LoadPlan): { load: number; part: string; ring: Ring }[] =>
  plan.loads.flatMap(({ number, strips }) =>
    strips.flatMap((strip) =>
      strip.parts.map(({ part, matrix }) => {
        const b = boxOnBoard(
          blocks.find((one) => one.part === part)!,
          matrix,
        );
        return { load: number, part, ring: box(b.minX, b.minY, b.maxX, b.maxY) };
      }),
    ),
  );
const closest = (plan: LoadPlan): number => {
  const list = places(plan);
  return Math.min(
    ...list.flatMap((p, i) => list.slice(i + 1).flatMap((q) => (p.load === q.load ? [apart([p.ring], [q.ring])] : []))),
  );
};
const better = (kept: readonly KeptFilm[], steps: number): LoadPlan => {
  let plan: LoadPlan | null = null;
  let n = 0;
  for (const step of betterLoads(blocks, square, NO_STOCK, kept, 1)) {
    plan = step?.plan ?? plan;
    if (++n >= steps) break;
  }
  return plan!;
};

describe('a plan that is kept', () => {
  it('is laid the same again for as long as the same is cut', () => {
    const plan = planLoads(blocks, square);
    const kept = keptOf(plan, blocks, NO_STOCK);
    expect(planLoads(blocks, square, NO_STOCK, kept)).toEqual(plan);
    // Something else is cut: it is planned anew.
    const other = [...blocks.slice(1), block('a', 70, 40)];
    expect(planLoads(other, square, NO_STOCK, kept)).toEqual(planLoads(other, square));
    // An offcut that it lay on is gone: anew as well.
    const offcut = makeOffcut({ widthMm: 150, lengthMm: 250 });
    const from = supplyOf([offcut], '');
    const onIt = planLoads(blocks, square, from);
    expect(onIt.loads[0]!.strips[0]!.offcut).toBe('offcut');
    expect(planLoads(blocks, square, NO_STOCK, keptOf(onIt, blocks, from)).loads[0]!.strips[0]!.offcut).toBeNull();
  });

  it('gets better or stays, never worse, and never brings parts too near', () => {
    const first = planLoads(blocks, square);
    const plan = better(keptOf(first, blocks, NO_STOCK), 60);
    const along = (p: LoadPlan): number => p.loads.flatMap((l) => l.strips).reduce((sum, s) => sum + s.to - s.from, 0);
    expect(along(plan)).toBeLessThanOrEqual(along(first));
    expect(closest(plan)).toBeGreaterThanOrEqual(square.gapMm - 1e-6);
  });
});

describe('parts put by hand', () => {
  const kept = keptOf(planLoads(blocks, square), blocks, NO_STOCK)[0]!;

  it('stay where they were put, and what is cut to size grows with them', () => {
    const moved = putByHand(kept, 0, 'd', [1, 0, 0, 1, 200, 100], boxes);
    const strip = planLoads(blocks, square, NO_STOCK, [moved]).loads[0]!.strips[0]!;
    // 200 + 30 along, 3 mm of margin; the board's own margin is where the strip begins.
    expect(strip.to - strip.from).toBe(233);
    expect(strip.parts.find(({ part }) => part === 'd')).toMatchObject({ fixed: true, matrix: [1, 0, 0, 1, 203, 103] });
    expect(letGoOfPart(moved, 'd').lots[0]!.parts.some(({ fixed }) => fixed)).toBe(false);
    expect(letGoOfPart(moved, 'a').lots[0]!.parts.filter(({ fixed }) => fixed)).toHaveLength(1);
    expect(letGoOfPart(moved, null).lots[0]!.parts.some(({ fixed }) => fixed)).toBe(false);
  });

  it('are laid round by all others, clear of them by the gap', () => {
    const room = { along: 289, across: 284, offcuts: [] };
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 200 }), fc.integer({ min: 3, max: 200 }), (x, y) => {
        const { lots } = putByHand(kept, 0, 'd', [1, 0, 0, 1, x, y], boxes);
        const step = lotsOfFilm(blocks, room, { gapMm: 6, like: lots }).next().value!;
        expect(step.left).toEqual([]);
        const laid = step.lots.flatMap((lot, load) =>
          lot.parts.map((one) => ({
            load,
            one,
            at: boxOnBoard(
              blocks.find((p) => p.part === one.part)!,
              one.matrix,
            ),
          })),
        );
        expect(laid.find(({ one }) => one.part === 'd')!.one).toMatchObject({
          fixed: true,
          matrix: [1, 0, 0, 1, x, y],
        });
        laid.forEach((p, i) => {
          expect(Math.min(p.at.minX, p.at.minY)).toBeGreaterThanOrEqual(3 - 1e-6);
          for (const q of laid.slice(i + 1)) {
            if (p.load !== q.load) continue;
            const [a, b] = [p.at, q.at].map((r) => box(r.minX, r.minY, r.maxX, r.maxY)) as [Ring, Ring];
            expect(apart([a], [b])).toBeGreaterThanOrEqual(6 - 1e-6);
          }
        });
      }),
      { numRuns: 25 },
    );
  });

  it('collide with others and with the edge exactly where brute force finds them too near', () => {
    const room = { along: 200, across: 150 };
    const others = [
      [box(20, 20, 60, 60)],
      [box(100, 30, 140, 50), Float64Array.from([105, 35, 105, 45, 135, 45, 135, 35])],
    ];
    const at = fc.integer({ min: -10, max: 200 });
    fc.assert(
      fc.property(at, at, fc.integer({ min: 5, max: 60 }), (x, y, size) => {
        const moved = [Float64Array.from([x, y, x + size, y, x + size / 2, y + size])];
        const collision = collisionOf(moved, others, room, { gapMm: 6 });
        const edge = x < 3 || y < 3 || x + size > 197 || y + size > 147;
        expect(collision === 'edge').toBe(edge);
        if (edge) return;
        const near = others.some((rings) => apart(moved, [rings[0]!]) < 6 - 1e-9);
        const inside = others.some(([ring]) => x + size / 2 > ring![0]! && x + size / 2 < ring![2]! && y + size / 3 > ring![1]! && y + size / 3 < ring![5]!); // prettier-ignore
        if (near || inside) expect(collision).toBe('part');
        else expect(collision).toBeNull();
      }),
      { numRuns: 300 },
    );
  });
});

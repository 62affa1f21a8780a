import { describe, expect, it } from 'vitest';
import { contextOf, jobOf } from '../../test/findings.ts';
import { makeBlank, makeProfile, motifItem, plate, textItem } from '../../test/jobs.ts';
import { slitsInRound, slitsInStrip } from '../surface/relief.ts';
import { neededGive } from '../surface/film-strain.ts';
import { ringsOf } from '../polygon/polygon.ts';
import { bunchesRound, shareRound } from './round.ts';

const K = 1 / 40 ** 2;

describe('slitsInRound', () => {
  it('asks no more of the sheet than nine tenths of what it gives, with the core and the flaps reckoned by hand', () => {
    for (const radius of [20, 25, 30]) {
      const relief = slitsInRound(K, radius, 0.02)!;
      const [long, broad] = [radius - relief.core, (Math.PI * (radius + relief.core)) / relief.count];
      const width = Math.min(long, broad);
      const fill = Math.min(1, (Math.PI * width * width) / (4 * long * broad));
      const needed = Math.hypot((K * relief.core ** 2) / 6, neededGive(K, { width, fill }));
      expect(relief.needed).toBeCloseTo(needed, 12);
      expect(needed).toBeLessThanOrEqual(0.018);
      expect(broad).toBeLessThanOrEqual(1.6 * long);
      expect(relief.count).toBeGreaterThanOrEqual(5);
    }
  });
  it('needs more slits in a larger sheet, and gives up where none help', () => {
    const counts = [20, 25, 30, 34].map((radius) => slitsInRound(K, radius, 0.02)?.count ?? 99);
    expect([...counts].sort((a, b) => a - b)).toEqual(counts);
    expect(slitsInRound(K, 120, 0.02)).toBeNull();
  });
  it('laps at the edge by what a circle on the ball is shorter', () => {
    // 2π(a − R sin(a/R))/n is what each slit has to take up; 0.93 of it by experience.
    const relief = slitsInRound(K, 30, 0.02)!;
    expect(relief.lap).toBeCloseTo((0.93 * 2 * Math.PI * (30 - 40 * Math.sin(0.75))) / relief.count, 9);
  });
});

describe('slitsInStrip', () => {
  it('keeps a core that lies by itself and flaps no broader than they may be', () => {
    const relief = slitsInStrip(K, 30, 250, 0.02)!;
    expect((K * relief.core ** 2) / 8).toBeLessThanOrEqual(0.018);
    expect(250 / (relief.count + 1)).toBeLessThanOrEqual(1.6 * ((30 - relief.core) / 2) + 1e-9);
    expect(slitsInStrip(K, 500, 600, 0.02)).toBeNull();
  });
});

describe('tapeSheets', () => {
  const ball = makeBlank({ girth: 80 * Math.PI }, { kind: 'ball', flattening: { way: 'patch', parts: null, keep: null, patchMm: 70, patchUpDeg: 0 } }); // prettier-ignore

  it('runs slits between the pieces, a millimetre clear of every one', () => {
    const words = textItem('1 2 3\n4 5 6', { running: 'rigid', size: { by: 'width', mm: 40 }, fuse: false });
    const context = contextOf(jobOf(ball, words, motifItem('star', { id: 's', widthMm: 5, running: 'rigid' })));
    const [sheet] = context.wrap.tape;
    expect(sheet!.needed).toBeGreaterThan(0.02);
    expect(sheet!.slits.length).toBeGreaterThanOrEqual(4);
    for (const { from, to } of sheet!.slits)
      for (let t = 0; t <= 1; t += 0.05) {
        const [x, y] = [from.x + (to.x - from.x) * t, from.y + (to.y - from.y) * t];
        for (const { flat } of context.wrap.pieces)
          for (const ring of ringsOf(flat))
            for (let i = 0; i < ring.length; i += 2)
              expect(Math.hypot(ring[i]! - x, ring[i + 1]! - y)).toBeGreaterThan(0.99);
      }
  });

  it('takes film across the back for one sheet of its own breadth', () => {
    const bulge = makeProfile([[0, 150], [30, 220], [60, 252], [90, 220], [120, 150]]); // prettier-ignore
    const back = { facing: 'angle', angleDeg: 180, from: 'middle', mm: 0, turnDeg: 0 } as const;
    const { wrap } = contextOf(jobOf(bulge, plate('back', 60, 60, { placement: back })));
    // The seam cuts it in two; 60 mm of it take more of the way round the further up or down: 60 · 252/220 at most, and the
    // tape is 10 mm more.
    expect(wrap.pieces).toHaveLength(2);
    expect(wrap.tape).toHaveLength(1);
    expect(wrap.tape[0]!.width).toBeGreaterThan(60);
    expect(wrap.tape[0]!.width).toBeLessThan(79);
    expect(wrap.tape[0]!.slits).toEqual([]);
  });

  it('has one sheet for film that lies together, and one more for what lies apart', () => {
    const bulge = makeBlank({ girth: 250 }, { kind: 'ball' });
    const one = contextOf(jobOf(bulge, plate('a', 12, 8, { running: 'rigid' })));
    expect(one.wrap.tape).toHaveLength(1);
  });
});

describe('bunchesRound', () => {
  const piece = (from: number, to: number) => ({ azimuths: [from, to] as const });
  it('puts together what is nearer than the gap, round the back too', () => {
    const pieces = [piece(-3, -2.5), piece(-2.4, -2), piece(0, 0.5), piece(2.8, 3.1)];
    // From 3.1 round the back to −3 + 2π = 3.283 is 0.183.
    expect(bunchesRound(pieces, 0.2).map((b) => b.pieces.length)).toEqual([1, 3]);
    expect(bunchesRound(pieces, 0.15).map((b) => b.pieces.length)).toEqual([2, 1, 1]);
    expect(shareRound(pieces, 0.2)).toBeCloseTo((-2 + 2 * Math.PI - 2.8) / (2 * Math.PI), 12);
    expect(shareRound([], 1)).toBe(0);
    expect(shareRound([piece(-Math.PI, Math.PI)], 0.1)).toBe(1);
  });
});

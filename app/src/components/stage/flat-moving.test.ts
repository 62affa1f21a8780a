import { coneDevelopment, type PieceViewModel } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { boxOnFlat, isTurnOf, moveOf, sameForNow, type WholeMove } from './flat-moving.ts';

/** A cup of 280 mm round the rim and 200 mm round the base, 150 mm down its side. */
const surface = coneDevelopment({ girthRim: 280, girthBase: 200, side: 150 });
const piece: Pick<PieceViewModel, 'azimuths' | 'slants'> = { azimuths: [-0.4, 0.8], slants: [20, 90] };

/** Where a move takes a point of the template, mm, y up: turned clockwise about its spot as seen, then shifted. */
function moved({ x, y, turn, about }: WholeMove, at: { x: number; y: number }): [number, number] {
  const [rx, ry] = [at.x - about.x, -at.y - about.y];
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return [about.x + rx * c - ry * s + x, -(about.y + rx * s + ry * c + y)];
}

describe('what is held', () => {
  it('is turned about the cone’s point when it goes round: every spot of it lies where film would', () => {
    const by = { azimuth: 0.7, slant: 0 };
    const move = moveOf(piece, surface, by);
    for (const [azimuth, slant] of [
      [-0.4, 20],
      [0.8, 90],
      [0.1, 55],
    ] as const) {
      const to = surface.forward(azimuth + by.azimuth, slant);
      const [x, y] = moved(move, surface.forward(azimuth, slant));
      expect(x).toBeCloseTo(to.x, 6);
      expect(y).toBeCloseTo(to.y, 6);
    }
  });

  it('has its middle where the hand has it, and its length, when it goes down as well', () => {
    const by = { azimuth: -0.3, slant: 18 };
    const move = moveOf(piece, surface, by);
    const to = surface.forward(0.2 + by.azimuth, 55 + by.slant);
    const [x, y] = moved(move, surface.forward(0.2, 55));
    expect(x).toBeCloseTo(to.x, 6);
    expect(y).toBeCloseTo(to.y, 6);
    const [a, b] = [moved(move, { x: 0, y: 0 }), moved(move, { x: 30, y: 40 })];
    expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeCloseTo(50, 6);
  });
});

describe('the picture of a piece that is held', () => {
  it('is made anew where the piece has become another, not where it has only moved', () => {
    const was = { azimuths: [0, 0.5], slants: [10, 30], film: 'a', cutAt: null, rings: [new Float64Array(6)], areaMm2: 100 } as const; // prettier-ignore
    expect(sameForNow(was, { ...was, azimuths: [1, 1.5], slants: [40, 60] })).toBe(true);
    expect(sameForNow(was, { ...was, areaMm2: 100.9, azimuths: [0, 0.504] })).toBe(true);
    expect(sameForNow(was, { ...was, areaMm2: 101.1 })).toBe(false);
    expect(sameForNow(was, { ...was, azimuths: [0, 0.506] })).toBe(false);
    expect(sameForNow(was, { ...was, slants: [10, 30.3] })).toBe(false);
    expect(sameForNow(was, { ...was, film: 'b' })).toBe(false);
    expect(sameForNow(was, { ...was, cutAt: 'left' })).toBe(false);
    expect(sameForNow(was, { ...was, rings: [...was.rings, new Float64Array(6)] })).toBe(false);
  });

  it('is that of another that is the same shape somewhere else round, and of no other', () => {
    const was = { azimuths: [0, 0.5], slants: [10, 30], film: 'a', cutAt: null, rings: [Float64Array.of(0, -10, 20, -10, 20, -30, 5, -30)], areaMm2: 350 } as const; // prettier-ignore
    const there = (...points: number[]) => ({
      ...was,
      azimuths: [1, 1.5] as const,
      rings: [Float64Array.from(points)],
    });
    expect(isTurnOf(was, there(40, -10, 60, -10, 60, -30, 45, -30))).toBe(true);
    expect(isTurnOf(was, there(40, -10, 60, -10, 60, -30, 45.001, -30))).toBe(false);
    // Lower down, in a mirror, and with a hole.
    expect(isTurnOf(was, there(40, -11, 60, -11, 60, -31, 45, -31))).toBe(false);
    expect(isTurnOf(was, there(60, -10, 40, -10, 40, -30, 55, -30))).toBe(false);
    expect(isTurnOf(was, there(40, -10, 60, -10, 60, -30))).toBe(false);
    expect(isTurnOf(was, { ...was, rings: [...was.rings, ...was.rings] })).toBe(false);
    expect(isTurnOf(was, { ...was, film: 'b' })).toBe(false);
  });

  it('has room for all of it, with as much round it as is asked for, and little more', () => {
    // A cylinder of 100 mm girth: on its flat a rad is 100 / 2π mm.
    const straight = coneDevelopment({ girthRim: 100, girthBase: 100, side: 60 });
    const box = boxOnFlat({ azimuths: [-0.5, 1], slants: [10, 25] }, straight, 2);
    const rad = 100 / (2 * Math.PI);
    for (const [edge, at, way] of [
      [box.minX, -0.5 * rad, -1],
      [box.maxX, rad, 1],
      [box.maxY - box.minY, 15, 1],
    ] as const) {
      const out = way * (edge - at);
      const sides = edge === box.maxY - box.minY ? 2 : 1;
      expect(out).toBeGreaterThanOrEqual(2 * sides);
      expect(out).toBeLessThan(2.2 * sides);
    }
    // On a cone the edge bulges past its ends: the lowest point of a band round the front is its middle.
    const round = boxOnFlat({ azimuths: [-1, 1], slants: [0, 150] }, surface, 1);
    for (let azimuth = -1; azimuth <= 1; azimuth += 0.01)
      for (const slant of [0, 150]) {
        const p = surface.forward(azimuth, slant);
        expect(p.x - round.minX).toBeGreaterThan(1);
        expect(round.maxX - p.x).toBeGreaterThan(1);
        expect(-p.y - round.minY).toBeGreaterThan(1);
        expect(round.maxY + p.y).toBeGreaterThan(1);
      }
  });
});

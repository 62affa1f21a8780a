import { describe, expect, it } from 'vitest';
import { eyeDistance, halfAngleSeen } from './foreshortening.ts';
import {
  azimuthOnSection,
  cornerOf,
  girthsOf,
  outlineOf,
  outlineOfBlank,
  spotOnSection,
  viewOfSection,
} from './section.ts';

const deg = (v: number): number => (v * Math.PI) / 180;

describe('a section', () => {
  const box = { shape: 'rounded', widthMm: 80, depthMm: 60 } as const;
  /** 2 · (80 + 60) with corners of 10 mm: 280 − 8 · 10 + 2π · 10. */
  const girth = 200 + 20 * Math.PI;

  it('of flat sides has the corners that its girth leaves', () => {
    expect(cornerOf(80, 60, girth)).toBeCloseTo(10, 9);
    expect(cornerOf(80, 60, 280)).toBe(0);
    expect(cornerOf(80, 60, 400)).toBe(0);
    // No more than half of the shorter side.
    expect(cornerOf(80, 60, 150)).toBe(30);
    expect(girthsOf(box)).toEqual([280 - (8 - 2 * Math.PI) * 30, 280]);
  });

  it('is as long along as its azimuth says, whatever its shape', () => {
    for (const section of [box, { shape: 'oval', widthMm: 90, depthMm: 50 } as const]) {
      const outline = outlineOf(section, girth);
      let long = 0;
      for (let i = 1; i < outline.xs.length; i++) {
        const step = Math.hypot(outline.xs[i]! - outline.xs[i - 1]!, outline.zs[i]! - outline.zs[i - 1]!);
        long += step;
        expect(step).toBeLessThanOrEqual(Math.PI / 180 + 1e-6);
      }
      expect(long).toBeCloseTo(Math.PI, 3);
    }
  });

  it('puts the middles of its sides where a quarter, a half and three quarters of the way round are', () => {
    const r = girth / (2 * Math.PI);
    const outline = outlineOf(box, girth);
    const at = (azimuth: number) => {
      const { x, z, nx, nz } = spotOnSection(outline, azimuth);
      return [r * x, r * z, nx, nz].map((v) => Math.round(v * 100) / 100 + 0);
    };
    expect(at(0)).toEqual([0, 30, 0, 1]);
    // From the middle of the front to that of the side: 30 flat, a corner of 10 mm round, 20 flat; half of the half.
    expect(at(deg(90))).toEqual([40, 0, 1, 0]);
    expect(at(deg(-90))).toEqual([-40, 0, -1, 0]);
    expect(at(Math.PI)).toEqual([0, -30, 0, -1]);
    // 20 mm to the right of the front's middle lies flat beside it.
    expect(at(20 / r)).toEqual([20, 30, 0, 1]);
    // Round is the plain circle.
    expect(spotOnSection(null, deg(30))).toMatchObject({
      x: expect.closeTo(0.5, 9),
      z: expect.closeTo(Math.cos(deg(30)), 9),
    });
    expect(outlineOfBlank({ kind: 'tapered', section: box }, girth)).toBeNull();
    expect(outlineOfBlank({ kind: 'straight' }, girth)).toBeNull();
  });

  it('of an oval is as wide and deep as it is at its true girth, and enlarged to another', () => {
    const oval = { shape: 'oval', widthMm: 90, depthMm: 50 } as const;
    const [true_] = girthsOf(oval);
    // Ramanujan: π · (45 + 25) · (1 + 3h/(10 + √(4 − 3h))), h = (20/70)².
    expect(true_).toBeCloseTo(Math.PI * 70 * (1 + (3 * 0.0816327) / (10 + Math.sqrt(4 - 3 * 0.0816327))), 4);
    const wide = (g: number): number => (Math.max(...outlineOf(oval, g).xs) * g) / (2 * Math.PI);
    expect(wide(true_)).toBeCloseTo(45, 2);
    expect(wide(1.1 * true_)).toBeCloseTo(49.5, 2);
  });

  it('is found again from a spot beside its axis', () => {
    const outline = outlineOf(box, girth);
    for (const azimuth of [-3, -1.2, -0.3, 0, 0.4, 1.57, 2.8]) {
      const { x, z } = spotOnSection(outline, azimuth);
      expect(azimuthOnSection(outline, 3 * x, 3 * z)).toBeCloseTo(azimuth, 2);
    }
    expect(azimuthOnSection(null, 1, 1)).toBeCloseTo(deg(45), 9);
  });
});

describe('how a section looks', () => {
  it('round is as the closed form has it', () => {
    const distance = eyeDistance(40, 500);
    const view = viewOfSection(null, 40, deg(30), distance);
    const half = halfAngleSeen(40, distance, 0.6);
    const [left, right] = view.within(0.6);
    expect(right - deg(30)).toBeCloseTo(half, 1);
    expect(deg(30) - left).toBeCloseTo(half, 1);
    // Its edge is seen where the line of sight touches it: cos θ = r/D.
    expect(view.limits[1] - deg(30)).toBeCloseTo(Math.acos(40 / distance), 1);
    expect(view.at(deg(30)).x).toBeCloseTo(0, 9);
    expect(view.at(deg(60)).x).toBeCloseTo(
      (distance * 40 * Math.sin(deg(30))) / (distance - 40 * Math.cos(deg(30))),
      6,
    );
  });

  it('flat in front is seen to its corners, and more of an oval’s broad side than of its narrow one', () => {
    const box = { shape: 'rounded', widthMm: 80, depthMm: 60 } as const;
    const girth = 200 + 20 * Math.PI;
    const r = girth / (2 * Math.PI);
    const [left, right] = viewOfSection(outlineOf(box, girth), r, 0, 500).within(0.6);
    // The flat is 60 mm wide; the glance ends in the bend of the corners beside it.
    expect(right * r).toBeGreaterThan(30);
    expect(right * r).toBeLessThan(30 + 5 * Math.PI);
    expect(left).toBeCloseTo(-right, 6);
    const oval = outlineOf({ shape: 'oval', widthMm: 100, depthMm: 50 }, 242);
    const half = (facing: number): number =>
      viewOfSection(oval, 242 / (2 * Math.PI), facing, 500).within(0.6)[1] - facing;
    expect(half(0)).toBeGreaterThan(half(deg(90)) * 1.3);
  });
});

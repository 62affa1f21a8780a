import { describe, expect, it } from 'vitest';
import { relaxOnBall } from '../../test/relaxation.ts';
import { goresNeeded, loopGive, neededGive, relaxedSqueeze, widestPulled, widestRelaxed } from './film-strain.ts';

const R = 40;
const K = 1 / (R * R);

describe('film on a double curve', () => {
  it('agrees with the exact cases: a long strip and a disk', () => {
    expect(relaxedSqueeze(K, { width: 12, fill: 0 })).toBeCloseTo(12 ** 2 / (12 * R * R), 12);
    expect(relaxedSqueeze(K, { width: 24, fill: 1 })).toBeCloseTo(12 ** 2 / (8 * R * R), 12);
    expect(neededGive(K, { width: 12, fill: 0 })).toBeCloseTo(12 ** 2 / (8 * R * R), 12);
    expect(neededGive(K, { width: 24, fill: 1 })).toBeCloseTo(12 ** 2 / (6 * R * R), 12);
    expect(neededGive(-K, { width: 24, fill: 1 })).toBe(neededGive(K, { width: 24, fill: 1 }));
    expect(relaxedSqueeze(0, { width: 500, fill: 1 })).toBe(0);
  });

  it('gives the sizes that a crafter can feel', () => {
    // An 80 mm ball with 2.5 % to give; a 280 mm balloon with 6 %.
    const ball = widestPulled(1 / 40 ** 2, 0.02, 0.005);
    expect([Math.round(ball.disk), Math.round(ball.strip)]).toEqual([31, 18]);
    expect(goresNeeded(Math.PI * 80, 1 / 40 ** 2, 0.02, 0.005)).toBe(15);
    const balloon = widestPulled(1 / 140 ** 2, 0.05, 0.01);
    // 2·140·√0.36 = 168 and 140·√0.48 = 97.
    expect([Math.round(balloon.disk), Math.round(balloon.strip)]).toEqual([168, 97]);
    expect(goresNeeded(250, 0, 0.02, 0.005)).toBe(1);
  });

  it('says of the widest piece that it needs just what the film gives', () => {
    const { strip, disk } = widestPulled(K, 0.02, 0.01);
    expect(neededGive(K, { width: strip, fill: 0 })).toBeCloseTo(0.03, 12);
    expect(neededGive(K, { width: disk, fill: 1 })).toBeCloseTo(0.03, 12);
    const relaxed = widestRelaxed(K, 0.01);
    expect(relaxedSqueeze(K, { width: relaxed.strip, fill: 0 })).toBeCloseTo(0.01, 12);
    expect(relaxedSqueeze(K, { width: relaxed.disk, fill: 1 })).toBeCloseTo(0.01, 12);
  });

  it('asks more of a loop the larger its hole, and nothing without film', () => {
    expect(loopGive(K, 300, 0)).toBeCloseTo(((4 / 3) * 300 * K) / (8 * Math.PI), 12);
    expect(loopGive(K, 300, 900)).toBeGreaterThan(loopGive(K, 300, 100));
    expect(loopGive(K, 0, 0)).toBe(0);
  });
});

describe('the relaxed rule against a film relaxed by least energy', () => {
  const edge = (cells: ReturnType<typeof relaxOnBall>['cells'], near: (x: number, y: number) => boolean): number => {
    const chosen = cells.filter(({ x, y }) => near(x, y));
    return -chosen.reduce((sum, { least }) => sum + least, 0) / chosen.length;
  };

  it('holds for a disk', () => {
    const a = 12;
    const { cells } = relaxOnBall(26, 26, 0.5, R, (x, y) => Math.hypot(x, y) < a);
    // A little inside, where the stairs of the grid do not show: a disk squeezes as (3r² − a²)/16R² there.
    const seen = edge(cells, (x, y) => Math.abs(Math.hypot(x, y) - 0.9 * a) < 0.5);
    const exact = (3 * (0.9 * a) ** 2 - a * a) / (16 * R * R);
    expect(seen / exact).toBeGreaterThan(0.9);
    expect(seen / exact).toBeLessThan(1.1);
    // The same law at the edge is the rule: a²/8R².
    expect(relaxedSqueeze(K, { width: 2 * a, fill: 1 })).toBeCloseTo((3 * a * a - a * a) / (16 * R * R), 12);
  });

  it('holds for a strip', () => {
    const [w, long] = [10, 60];
    const { cells } = relaxOnBall(long, w, 0.5, R, () => true);
    const seen = edge(cells, (x, y) => Math.abs(x) < 3 && Math.abs(y) > w / 2 - 0.5);
    const fill = (Math.PI * w * w) / (4 * w * long);
    // The cells' middles lie a quarter of a millimetre inside: K(y²/2 − w²/24) there.
    const inside = K * ((w / 2 - 0.25) ** 2 / 2 - w ** 2 / 24);
    expect(seen / inside).toBeCloseTo(1, 1);
    expect(relaxedSqueeze(K, { width: w, fill }) / ((K * w * w) / 12)).toBeCloseTo(1, 1);
  });

  it('holds for a square within fifteen per cent', () => {
    const a = 20;
    const { cells } = relaxOnBall(a, a, 0.5, R, () => true);
    const seen = edge(cells, (x, y) => Math.abs(x) < 1 && Math.abs(y) > a / 2 - 0.5);
    const width = 0.965 * a;
    const rule = relaxedSqueeze(K, { width, fill: (Math.PI * width * width) / (4 * a * a) });
    expect(Math.abs(rule / seen - 1)).toBeLessThan(0.15);
  });
});

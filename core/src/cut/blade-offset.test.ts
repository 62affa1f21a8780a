import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { holderPath } from './blade-offset.ts';

type Points = [number, number][];
const STEP = 0.005;

/** Where the tip of a drag knife goes: it is pulled by the holder at a fixed distance, and cuts only the way it points. */
function dragged(holder: ArrayLike<number>, offset: number, heading: number): Points {
  let [hx, hy] = [holder[0]!, holder[1]!];
  let [tx, ty] = [hx - offset * Math.cos(heading), hy - offset * Math.sin(heading)];
  const tip: Points = [[tx, ty]];
  for (let i = 2; i < holder.length; i += 2) {
    const [dx, dy] = [holder[i]! - hx, holder[i + 1]! - hy];
    const steps = Math.max(1, Math.ceil(Math.hypot(dx, dy) / STEP));
    for (let k = 0; k < steps; k++) {
      hx += dx / steps;
      hy += dy / steps;
      const away = Math.hypot(hx - tx, hy - ty);
      [tx, ty] = [hx - (offset * (hx - tx)) / away, hy - (offset * (hy - ty)) / away];
      tip.push([tx, ty]);
    }
  }
  return tip;
}
/** Farthest that some points are from a line. */
function off(points: Points, line: ArrayLike<number>): number {
  let worst = 0;
  for (const [x, y] of points) {
    let least = Infinity;
    for (let i = 2; i < line.length; i += 2) {
      const [ax, ay, bx, by] = [line[i - 2]!, line[i - 1]!, line[i]!, line[i + 1]!];
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      least = Math.min(least, Math.hypot(ax + t * dx - x, ay + t * dy - y));
    }
    worst = Math.max(worst, least);
  }
  return worst;
}
const pairs = (flat: ArrayLike<number>): Points =>
  Array.from({ length: flat.length / 2 }, (_, i) => [flat[2 * i]!, flat[2 * i + 1]!]);
const circle = (radius: number): number[] =>
  Array.from({ length: 362 }, (_, i) => {
    const a = (Math.floor(i / 2) / 180) * 2 * Math.PI;
    return radius * (i % 2 === 0 ? Math.cos(a) : Math.sin(a));
  });
const SQUARE = [0, 0, 10, 0, 10, 10, 0, 10, 0, 0];

describe('the knife that is dragged', () => {
  it('as it is simulated here settles on the circle that geometry gives: radius √(R² − d²)', () => {
    // Holder on R = 1 mm, offset 0.6: the tip ends on 0.8.
    const tip = dragged([...circle(1), ...circle(1), ...circle(1)], 0.6, Math.PI / 2);
    const [x, y] = tip.at(-1)!;
    expect(Math.hypot(x, y)).toBeCloseTo(0.8, 2);
  });

  it('rounds corners where its offset is left out of account', () => {
    // Round the corner the tip lags: at the corner itself it is 0.3 short of it.
    expect(off([[10, 10]], dragged(SQUARE, 0.3, 0).flat())).toBeGreaterThan(0.05);
  });
});

describe('holderPath', () => {
  it('leads the holder an offset ahead, and swivels it round each corner', () => {
    const { points, heading } = holderPath(SQUARE, 0.25, 0);
    const at = pairs(points);
    // First edge: the holder is 0.25 further along, from (0.25, 0) to (10.25, 0), then above the corner at (10, 0.25).
    expect(at[0]).toEqual([0.25, 0]);
    expect(at.some(([x, y]) => Math.hypot(x - 10.25, y) < 1e-9)).toBe(true);
    expect(at.some(([x, y]) => Math.hypot(x - 10, y - 0.25) < 1e-9)).toBe(true);
    // Half way round the corner it is 0.25 from it, at 45°.
    expect(off([[10 + 0.25 * Math.SQRT1_2, 0.25 * Math.SQRT1_2]], points)).toBeLessThan(0.001);
    expect(at.at(-1)!.map((v) => Math.round(1e6 * v) / 1e6 + 0)).toEqual([0, -0.25]);
    expect(heading).toBeCloseTo(-Math.PI / 2, 9);
  });

  it.each([
    ['a square', SQUARE],
    ['a circle of 3 mm', circle(3)],
    ['a star', [0, 8, 2, 2, 8, 2, 3, -2, 5, -8, 0, -4, -5, -8, -3, -2, -8, 2, -2, 2, 0, 8]],
    ['there and back', [0, 0, 5, 0, 0, 0]],
  ])('brings the tip within 0.02 mm of %s, all of it', (_, line) => {
    for (const offset of [0.25, 0.5, 0.9]) {
      const { points } = holderPath(line, offset, 0);
      const tip = dragged(points, offset, 0);
      expect(off(tip, line)).toBeLessThan(0.02);
      // And nothing of the outline is left uncut.
      expect(off(pairs(line), tip.flat())).toBeLessThan(0.02);
    }
  });

  it('goes on from where the blade points after the last outline', () => {
    const first = holderPath(SQUARE, 0.3, 0);
    const second = holderPath([20, 0, 30, 0, 25, 5, 20, 0], 0.3, first.heading);
    expect(off(dragged(second.points, 0.3, first.heading), [20, 0, 30, 0, 25, 5, 20, 0])).toBeLessThan(0.02);
  });

  it('holds for any way that turns at will', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 })), { minLength: 2, maxLength: 7 }), // prettier-ignore
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (corners, offset) => {
          const line = corners.flatMap(([x, y]) => [x / 2, y / 2]);
          const { points } = holderPath(line, offset, 1);
          if (points.length > 0) expect(off(dragged(points, offset, 1), line)).toBeLessThan(0.02);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('is empty for what has no length', () => {
    expect(holderPath([3, 3, 3, 3], 0.25, 1)).toEqual({ points: [], heading: 1 });
  });
});

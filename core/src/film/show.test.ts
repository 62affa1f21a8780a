import { describe, expect, it } from 'vitest';
import type { WayToLay } from '../model/looked.ts';
import type { Polygon } from '../polygon/polygon.ts';
import type { LaidOn } from './advise.ts';
import { layingShown, type ShownLaying } from './show.ts';
import { ballSide, coneSide } from './side.ts';

const GIVES = { stretch: 0.015, squeeze: 0.005 };
const square: Polygon = { outer: Float64Array.from([-15, -10, 15, -10, 15, 10, -15, 10]), holes: [] };
const ring: Polygon = { outer: square.outer, holes: [Float64Array.from([-6, -4, -6, 4, 6, 4, 6, -4])] };
/** Radii of 40 mm at the rim and 30 at the base, 100 mm along the side. */
const CUP = { side: coneSide({ girthRim: 80 * Math.PI, girthBase: 60 * Math.PI, side: 100 }), gives: GIVES, slant: 50 };
const BALL = { side: ballSide(30), gives: GIVES, slant: 0 };

function shown(
  piece: Polygon,
  on: LaidOn,
  way: WayToLay,
): ShownLaying & { flat: Float64Array; triangles: Uint32Array; heights: Float32Array } {
  // prettier-ignore
  const { flat, triangles, outline, steps } = layingShown(piece, on, way, 'coarse');
  for (;;) {
    const step = steps.next();
    if (step.done) return { ...step.value, flat, triangles, heights: outline.heights };
  }
}
const apart = (at: Float32Array, i: number, j: number): number => Math.hypot(...[0, 1, 2].map((c) => at[3 * i + c]! - at[3 * j + c]!)); // prettier-ignore

describe('a laid film to be drawn', () => {
  it('hangs flat in front of the blank before it is pressed on, and lies on it at the end', () => {
    const { frames, flat } = shown(square, CUP, 'centre out');
    const [first, last] = [frames[0]!, frames.at(-1)!];
    expect([...first.pressed].every((one) => one === 0)).toBe(true);
    for (let i = 1; i < flat.length / 2; i++)
      expect(apart(first.at, 0, i)).toBeCloseTo(Math.hypot(flat[2 * i]! - flat[0]!, flat[2 * i + 1]! - flat[1]!), 4);
    for (let i = 0; i < flat.length / 2; i++) {
      const [x, y, z] = [last.at[3 * i]!, last.at[3 * i + 1]!, last.at[3 * i + 2]!];
      // 10 mm narrower over 100 mm of side, whose height is 100·√0.99: 35 in the middle.
      expect(Math.hypot(x, z)).toBeCloseTo(35 + (0.1 * y) / Math.sqrt(0.99), 3);
      expect(last.pressed[i]).toBe(1);
    }
    expect(Math.max(...last.off)).toBe(0);
  });

  it('is pressed on more with every step, what hangs in one piece with what lies', () => {
    for (const way of ['centre out', 'two halves', 'one end'] as const) {
      const { frames, triangles, flat } = shown(square, BALL, way);
      const pressed = frames.map((frame) => frame.pressed.reduce((sum, one) => sum + one, 0));
      expect(pressed.every((count, i) => i === 0 || count >= pressed[i - 1]!)).toBe(true);
      expect(pressed.at(-1)).toBe(flat.length / 2);
      // No edge is torn: the hanging sheet is stiff, and joins what lies.
      const middle = frames[Math.floor(frames.length / 2)]!;
      for (let t = 0; t < triangles.length; t += 3) {
        const [a, b] = [triangles[t]!, triangles[t + 1]!];
        const long = Math.hypot(flat[2 * a]! - flat[2 * b]!, flat[2 * a + 1]! - flat[2 * b + 1]!);
        expect(apart(middle.at, a, b)).toBeLessThan(1.5 * long);
      }
    }
  });

  it('of two halves the left one is done before the right one is begun', () => {
    const { frames, flat } = shown(square, CUP, 'two halves');
    const right = (frame: (typeof frames)[number]): boolean =>
      frame.pressed.some((one, i) => one === 1 && flat[2 * i]! > 3);
    const before = frames[frames.findIndex(right) - 1]!;
    before.pressed.forEach((one, i) => expect(one).toBe(flat[2 * i]! < -3 ? 1 : flat[2 * i]! > 3 ? 0 : one));
    expect(before.pressed.reduce((sum, one) => sum + one, 0)).toBeGreaterThan(flat.length / 5);
  });

  it('stands off where it tents, and not where tape spans a hole', () => {
    const { frames, map } = shown(square, { ...BALL, side: ballSide(22) }, 'one end');
    const last = frames.at(-1)!;
    expect(Math.max(...last.off)).toBeGreaterThanOrEqual(map.tents[0]!.height - 1e-6);
    expect(Math.min(...last.strain)).toBeLessThan(-1);
    const { triangles, flat } = shown(ring, BALL, 'centre out');
    for (let t = 0; t < triangles.length; t += 3) {
      const [x, y] = [0, 1].map((c) => [0, 1, 2].reduce((sum, k) => sum + flat[2 * triangles[t + k]! + c]! / 3, 0));
      expect(Math.abs(x!) < 6 && Math.abs(y!) < 4).toBe(false);
    }
  });
});

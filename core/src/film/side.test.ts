import { describe, expect, it } from 'vitest';
import { profileOf } from '../surface/profile.ts';
import { relaxed } from './lay.ts';
import { meshOf } from './sheet.ts';
import { ballSide, profileSide, spheroidSide, tabledSide, type TurnedSide } from './side.ts';
import { mapOf } from './tents.ts';

const slants = [-31, -20.3, -7, 0, 0.2, 11.7, 25, 33];

describe('what a sheet is laid on', () => {
  it('a side by its table is the side, with its slope and its bend', () => {
    const ball = ballSide(40);
    const table = tabledSide(-50, 50, ball.radiusAt, ball.slopeAt);
    for (const slant of slants) {
      // A cubic of half a millimetre on a radius of 40: h⁴/384R³.
      expect(table.radiusAt(slant)).toBeCloseTo(ball.radiusAt(slant), 7);
      expect(table.slopeAt(slant)).toBeCloseTo(ball.slopeAt(slant), 6);
      expect(table.bendAt(slant)).toBeCloseTo(ball.bendAt(slant), 5);
    }
    expect(table.radiusAt(60)).toBeCloseTo(ball.radiusAt(50) + 10 * ball.slopeAt(50), 9);
    expect(table.bendAt(60)).toBe(0);
  });

  it('slope and bend are those of its radius, between its knots as well', () => {
    const pot = profileSide(profileOf([{ down: 0, girth: 300 }, { down: 30, girth: 260 }, { down: 60, girth: 290 }, { down: 90, girth: 250 }], 'side')); // prettier-ignore
    const d = 1e-5;
    for (const slant of [3.13, 17.77, 30.21, 44.4, 71.09]) {
      expect((pot.radiusAt(slant + d) - pot.radiusAt(slant - d)) / (2 * d)).toBeCloseTo(pot.slopeAt(slant), 7);
      expect((pot.slopeAt(slant + d) - pot.slopeAt(slant - d)) / (2 * d)).toBeCloseTo(pot.bendAt(slant), 5);
    }
  });

  it('a balloon as long as it is wide is a ball', () => {
    const [ball, balloon] = [ballSide(40), spheroidSide(40, 40)];
    for (const slant of slants) {
      expect(balloon.radiusAt(slant)).toBeCloseTo(ball.radiusAt(slant), 5);
      expect(balloon.slopeAt(slant)).toBeCloseTo(ball.slopeAt(slant), 5);
    }
  });

  it('a neck pulls edges that a belly pushes: K < 0 turns the signs', () => {
    const disk = Float64Array.from({ length: 160 }, (_, i) => 10 * (i % 2 ? Math.sin : Math.cos)((2 * Math.PI * (i >> 1)) / 80)); // prettier-ignore
    const sheet = meshOf({ outer: disk, holes: [] }, 1.5);
    const gives = { stretch: 1, squeeze: 1 };
    const mostOf = (side: TurnedSide) => {
      const { at, membrane } = relaxed(sheet, side, gives, { flat: [0, 0], azimuth: 0, slant: 0, askew: 0 });
      return mapOf(sheet, membrane, at).most;
    };
    // A hyperboloid's waist: r = 40 cosh(v/40) bends as much as a ball of 40, the other way.
    const neck = tabledSide(-40, 40, (v) => 40 * Math.cosh(v / 40), (v) => Math.sinh(v / 40)); // prettier-ignore
    const [on, round] = [mostOf(neck), mostOf(ballSide(40))];
    // a²/8R² = 0.0078 at the edge, a²/16R² = 0.0039 in the middle; which is pulled and which is pushed change places.
    expect(on.pull / 0.0078125).toBeGreaterThan(0.9);
    expect(on.pull / 0.0078125).toBeLessThan(1.12);
    expect(on.push / 0.00390625).toBeGreaterThan(0.85);
    expect(on.push / 0.00390625).toBeLessThan(1.15);
    expect(Math.abs(on.pull - round.push)).toBeLessThan(0.001);
  });
});

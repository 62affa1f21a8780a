import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { CutterPace } from '../model/board.ts';
import { headAt, type Stroke, totalsOf, wayOfHead } from './pace.ts';

const pace: CutterPace = { cutMmS: 50, travelMmS: 100, accelMmS2: 500, liftS: 0.2 };
const stroke = (...points: number[]): Stroke => ({ pen: 1, points: Float64Array.from(points) });

describe('the way of the head', () => {
  it('takes its time by length, pace, corners and lifts', () => {
    // There: 100 mm at 100 mm/s with 0.2 s to get going and stop. Along: 50 mm and, round the corner, 50 mm more, each
    // 1 s + 0.1 s. Home: √(150² + 50²) = 158.114 mm. Three times half a lift, since the head ends up.
    const legs = wayOfHead([stroke(100, 0, 150, 0, 150, 50)], pace);
    expect(legs.map((leg) => [leg.down, leg.mm])).toEqual([
      [false, 100],
      [true, 100],
      [false, expect.closeTo(158.1139, 4)],
    ]);
    expect(totalsOf(legs).seconds).toBeCloseTo(1.2 + 2.2 + (1.581139 + 0.2) + 0.3, 5);
    expect(totalsOf(legs).cutMm).toBe(100);
  });

  it('never gets up to pace on short bits: 2 √(L/a)', () => {
    // 2 mm is less than 50² / 500 = 5 mm.
    const [, along] = wayOfHead([stroke(0, 0, 2, 0)], pace);
    expect(along!.seconds).toBeCloseTo(2 * Math.sqrt(2 / 500) + 0.1, 9);
  });

  it('goes round gentle bends without stopping', () => {
    const bend = wayOfHead([stroke(0, 0, 50, 0, 100, 10)], pace)[1]!;
    const corner = wayOfHead([stroke(0, 0, 50, 0, 50, 50.99)], pace)[1]!;
    expect(corner.seconds - bend.seconds).toBeCloseTo(0.1, 3);
  });

  it('is somewhere on it at any time, and has cut ever more', () => {
    const strokes = fc.array(
      fc.array(fc.tuple(fc.double({ min: 0, max: 300, noNaN: true }), fc.double({ min: 0, max: 300, noNaN: true })), { minLength: 2, maxLength: 8 }), // prettier-ignore
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(
        strokes,
        fc.array(fc.double({ min: 0, max: 1.2, noNaN: true }), { minLength: 2, maxLength: 9 }),
        (list, shares) => {
          const legs = wayOfHead(list.map((points) => stroke(...points.flat())), pace); // prettier-ignore
          const { seconds, cutMm } = totalsOf(legs);
          let before = 0;
          for (const share of [...shares].sort((a, b) => a - b)) {
            const head = headAt(legs, share * seconds);
            expect(head.cutMm).toBeGreaterThanOrEqual(before - 1e-6);
            expect(head.cutMm).toBeLessThanOrEqual(cutMm + 1e-6);
            expect(Math.max(head.x, head.y)).toBeLessThanOrEqual(300 + 1e-6);
            before = head.cutMm;
          }
          expect(headAt(legs, seconds + 1)).toMatchObject({ x: 0, y: 0, down: false });
        },
      ),
    );
  });
});

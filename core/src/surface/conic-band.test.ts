import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bandDevelopment, bestConicBand, longestBand } from './conic-band.ts';
import type { FilmGive } from './film-strain.ts';
import { profileOf } from './profile.ts';

const EVEN: FilmGive = { stretch: 0.02, squeeze: 0.02 };
const ball = (radius: number) => (s: number) => 2 * Math.PI * radius * Math.cos(s / radius);
const load = (strain: number, give: FilmGive): number => (strain > 0 ? strain / give.stretch : -strain / give.squeeze);

describe('bestConicBand', () => {
  it('is a tapered side itself, without strain', () => {
    const band = bestConicBand((s) => 276 - (62 * s) / 168, [0, 168], EVEN);
    expect(band.load).toBeLessThan(1e-6);
    expect(band.cone).toEqual({ girthRim: expect.closeTo(276, 4), girthBase: expect.closeTo(214, 4), side: 168 });
  });

  it('matches the analytic optimum of a zone about a ball’s equator', () => {
    // Even weights: the flat length is the mean of the longest and the shortest parallel, so the worst strain is
    // (1 − cos)/(1 + cos) of half the zone's angle, which is tan²(w/4R), near K·w²/16.
    for (const [radius, width] of [
      [40, 10],
      [40, 30],
      [140, 60],
    ] as const) {
      const band = bestConicBand(ball(radius), [-width / 2, width / 2], EVEN);
      const exact = Math.tan(width / (4 * radius)) ** 2;
      expect(Math.abs(band.worst.strain)).toBeCloseTo(exact, 9);
      expect(exact / (width ** 2 / (16 * radius ** 2))).toBeCloseTo(1, 1);
      expect(band.cone.girthRim).toBeCloseTo(band.cone.girthBase, 4);
      expect(band.cone.girthRim).toBeCloseTo(Math.PI * radius * (1 + Math.cos(width / 2 / radius)), 4);
      // A cone that touches in the middle strains about twice as much at its edges.
      expect(1 / Math.cos(width / 2 / radius) - 1).toBeGreaterThan(1.9 * exact);
    }
  });

  it('weighs pulling and pushing by what the film takes', () => {
    const give = { stretch: 0.06, squeeze: 0.01 };
    const band = bestConicBand(ball(50), [-15, 15], give);
    const strains = [-15, 0, 15].map((s) => band.strainAt(s + 15));
    expect(strains[1]! / give.stretch).toBeCloseTo(band.load, 6);
    expect(-strains[0]! / give.squeeze).toBeCloseTo(band.load, 6);
    expect(-strains[2]! / give.squeeze).toBeCloseTo(band.load, 6);
  });

  it('cannot be beaten by any other straight law of lengths', () => {
    // A ball of 30 mm ends at its poles, 47.1 mm from the middle: no band reaches past 47.
    const belly = fc.record({
      radius: fc.double({ min: 30, max: 90, noNaN: true }),
      middle: fc.double({ min: -27, max: 27, noNaN: true }),
      width: fc.double({ min: 5, max: 40, noNaN: true }),
      neck: fc.boolean(),
    });
    const other = fc.tuple(
      fc.double({ min: -0.2, max: 0.2, noNaN: true }),
      fc.double({ min: -0.2, max: 0.2, noNaN: true }),
    );
    fc.assert(
      fc.property(belly, other, ({ radius, middle, width, neck }, [a, b]) => {
        const girth = neck ? (s: number) => 2 * Math.PI * radius * Math.cosh(s / radius) : ball(radius);
        const range = [middle - width / 2, middle + width / 2] as const;
        const give = { stretch: 0.03, squeeze: 0.012 };
        const best = bestConicBand(girth, range, give);
        const rim = best.cone.girthRim * (1 + a / 10);
        const base = best.cone.girthBase * (1 + b / 10);
        let worst = 0;
        for (let i = 0; i <= 200; i++) {
          const s = (width * i) / 200;
          worst = Math.max(worst, load(girth(range[0] + s) / (rim + ((base - rim) * s) / width) - 1, give));
        }
        expect(worst).toBeGreaterThanOrEqual(best.load * (1 - 1e-4));
      }),
      { numRuns: 60 },
    );
  });

  it('refuses a band without a width', () => {
    expect(() => bestConicBand(ball(40), [3, 3], EVEN)).toThrow(RangeError);
  });
});

describe('longestBand', () => {
  it('keeps a whole side that the film takes, and otherwise ends where it is at its limit', () => {
    const range = [0, 100] as const;
    expect(longestBand((s) => 300 - s, range, EVEN, 'rim')).toBe(range);
    const give = { stretch: 0.025, squeeze: 0.01 };
    for (const keep of ['rim', 'base'] as const) {
      const girth = ball(60);
      const [from, to] = longestBand(girth, [-40, 40], give, keep);
      expect(keep === 'rim' ? from : to).toBe(keep === 'rim' ? -40 : 40);
      expect(to - from).toBeLessThan(80);
      expect(bestConicBand(girth, [from, to], give).load).toBeCloseTo(1, 2);
    }
  });

  it('is as long from either end on a side that is the same both ways', () => {
    const length = (keep: 'rim' | 'base'): number => {
      const [from, to] = longestBand(ball(45), [-30, 30], EVEN, keep);
      return to - from;
    };
    expect(length('rim')).toBeCloseTo(length('base'), 1);
  });
});

describe('bandDevelopment', () => {
  it('lays a bowl flat with its strain in place, and back again', () => {
    const stations = [300, 288, 262, 220, 160].map((girth, i) => ({ down: 20 * i, girth }));
    const profile = profileOf(stations, 'upright');
    const { development, band } = bandDevelopment(profile, EVEN);
    expect(development.slantLength).toBeCloseTo(profile.sideLength, 9);
    expect(development.radiusAt(0)).toBeCloseTo(300 / (2 * Math.PI), 9);
    expect(band.worst.strain).not.toBe(0);
    fc.assert(
      fc.property(
        fc.double({ min: -3.1, max: 3.1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (azimuth, part) => {
          const slant = part * profile.sideLength;
          const p = development.forward(azimuth, slant);
          const back = development.inverse(p.x, p.y)!;
          expect(back.azimuth).toBeCloseTo(azimuth, 8);
          expect(back.slant).toBeCloseTo(slant, 6);
          // What the flat is short of, measured on it: a little way round against the same way on the bowl.
          const q = development.forward(azimuth + 1e-4, slant);
          const onFlat = Math.hypot(q.x - p.x, q.y - p.y);
          const onBowl = profile.radiusAt(slant) * 1e-4;
          expect(onBowl / onFlat - 1).toBeCloseTo(development.distortion(azimuth, slant).hoop, 5);
        },
      ),
      { numRuns: 60 },
    );
  });
});

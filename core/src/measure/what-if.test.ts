import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coneDevelopment, seamStep, trueOver100 } from '../surface/cone.ts';
import { NO_TRIAL, tryOut } from './what-if.ts';

const mug = { girthRim: 250, girthBase: 250, side: 90 };
const tumbler = { girthRim: 276, girthBase: 214, side: 168 };

describe('tryOut', () => {
  it('sees nothing when nothing is off', () => {
    for (const cone of [mug, tumbler]) {
      const { gapRimMm, gapBaseMm, standMm, stepMm } = tryOut(cone, NO_TRIAL)!;
      for (const mm of [gapRimMm, gapBaseMm, standMm, stepMm]) expect(mm).toBeCloseTo(0, 9);
    }
  });

  it('opens the seam of a cylinder by just what its girth is more, and by two per cent of a larger cup', () => {
    const { gapRimMm, gapBaseMm } = tryOut(mug, { ...NO_TRIAL, rimMm: 1.5, baseMm: 1.5 })!;
    expect([gapRimMm, gapBaseMm]).toEqual([expect.closeTo(1.5, 9), expect.closeTo(1.5, 9)]);
    expect(tryOut(mug, { ...NO_TRIAL, largerPercent: 2 })!.gapRimMm).toBeCloseTo(5, 9);
    // A smaller cup makes the ends overlap.
    expect(tryOut(mug, { ...NO_TRIAL, largerPercent: -2 })!.gapBaseMm).toBeCloseTo(-5, 9);
    expect(tryOut(mug, { ...NO_TRIAL, sideMm: -2 })!.standMm).toBeCloseTo(2, 9);
  });

  it('steps by the girth times the sine of the tilt on a cylinder', () => {
    // 1 mm over 100 mm: sin(atan 0.01) = 0.0099995.
    expect(tryOut(mug, { ...NO_TRIAL, tiltMm: 1 })!.stepMm).toBeCloseTo(250 * 0.0099995, 5);
    // On a taper the chord of the sector counts: 276 · sinc(π·0.0587) = 274.4 for k = 62/(2π·168).
    const k = 62 / (2 * Math.PI * 168);
    expect(seamStep(tumbler, 1) / 0.0099995).toBeCloseTo((276 * Math.sin(Math.PI * k)) / (Math.PI * k), 3);
  });

  it('says how true to start so that the step is a millimetre, whatever the cup', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 900, noNaN: true }),
        fc.double({ min: 0.6, max: 1.6, noNaN: true }),
        (girthRim, share) => {
          const cone = { girthRim, girthBase: girthRim * share, side: girthRim };
          expect(seamStep(cone, trueOver100(cone, 1))).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('lays the template where its gaps say, and finds the outline that would have fitted', () => {
    for (const trial of [
      { ...NO_TRIAL, rimMm: 2, baseMm: -1, sideMm: 1.5 },
      { ...NO_TRIAL, largerPercent: 1.5 },
    ]) {
      const out = tryOut(tumbler, trial)!;
      const radius = (slant: number): number =>
        (out.truth.girthRim + ((out.truth.girthBase - out.truth.girthRim) * slant) / out.truth.side) / (2 * Math.PI);
      for (const [slant, gap] of [
        [0, out.gapRimMm],
        [tumbler.side, out.gapBaseMm],
      ] as const) {
        // prettier-ignore
        const [left, right] = [out.layAt(-Math.PI, slant)!, out.layAt(Math.PI, slant)!];
        expect((left.azimuth + 2 * Math.PI - right.azimuth) * radius(right.slant)).toBeCloseTo(gap, 6);
      }
      // Where the outline lies on the template is where that cup's own ends are.
      const whole = { left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, tumbler.side] } as const;
      const ring = out.outline(whole);
      const flat = coneDevelopment(tumbler);
      for (let i = 0; i < ring.length; i += 26) {
        const spot = flat.onward(ring[i]!, ring[i + 1]!, 1.9 * Math.PI)!;
        const laid = out.layAt(spot.azimuth, spot.slant)!;
        const onEnd = Math.abs(Math.abs(laid.azimuth) - Math.PI) < 1e-6;
        const onEdge = Math.abs(laid.slant) < 1e-6 || Math.abs(laid.slant - out.truth.side) < 1e-6;
        expect(onEnd || onEdge).toBe(true);
      }
    }
    // Started off true on a cylinder, one end climbs by half the step and the other sinks by it.
    const tilted = tryOut(mug, { ...NO_TRIAL, tiltMm: 1 })!;
    expect(tilted.layAt(-Math.PI, 80)!.slant - tilted.layAt(Math.PI, 80)!.slant).toBeCloseTo(2.5, 3);
  });

  it('draws the step that it says, on every taper, beside a handle and at both edges', () => {
    for (const cone of [
      { girthRim: 290, girthBase: 230, side: 160 },
      { girthRim: 230, girthBase: 290, side: 160 },
      { girthRim: 520, girthBase: 240, side: 90 },
    ])
      for (const handle of [0, 12]) {
        // One degree: tan 1° over 100 mm. The ends of the rim edge lie a chord apart on the flat, 2ρ·sin(kθ).
        const out = tryOut(cone, { ...NO_TRIAL, tiltMm: 100 * Math.tan(Math.PI / 180) }, handle)!;
        const k = (cone.girthRim - cone.girthBase) / (2 * Math.PI * cone.side);
        const reach = Math.PI - (Math.PI * handle) / cone.girthRim;
        const step = 2 * (cone.girthRim / (2 * Math.PI * k)) * Math.sin(k * reach) * Math.sin(Math.PI / 180);
        expect(out.stepMm).toBeCloseTo(step, 1);
        expect(seamStep(cone, 100 * Math.tan(Math.PI / 180), reach)).toBeCloseTo(step, 6);
        for (const slant of [0, cone.side]) {
          const drawn = out.layAt(-reach, slant)!.slant - out.layAt(reach, slant)!.slant;
          expect(drawn / out.stepMm).toBeCloseTo(1, 2);
        }
        // The front of the rim edge is where it is held: it stays.
        expect(out.layAt(0, 0)).toEqual({ azimuth: expect.closeTo(0, 9), slant: expect.closeTo(0, 9) });
      }
    // 290 / 230 / 160: sin(πk) for k = 60/(2π·160) leaves a chord of 288.3 mm, and 5.03 mm of step.
    expect(tryOut({ girthRim: 290, girthBase: 230, side: 160 }, { ...NO_TRIAL, tiltMm: 1.7455 })!.stepMm).toBeCloseTo(
      5.03,
      2,
    );
  });

  it('has no answer for a cup that cannot be', () => {
    expect(tryOut(mug, { ...NO_TRIAL, sideMm: -90 })).toBeNull();
    expect(tryOut(mug, { ...NO_TRIAL, rimMm: 600 })).toBeNull();
  });
});

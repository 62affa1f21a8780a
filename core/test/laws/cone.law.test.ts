import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coneDevelopment, taperOf, type ConeSpec } from '../../src/surface/cone.ts';

/** Any cup up to a half-angle of 40°, either end wider. */
const cone = fc
  .record({
    girth: fc.double({ min: 80, max: 900, noNaN: true }),
    side: fc.double({ min: 20, max: 300, noNaN: true }),
    halfAngle: fc.double({ min: -40, max: 40, noNaN: true }),
  })
  .map(({ girth, side, halfAngle }): ConeSpec => {
    const drop = 2 * Math.PI * side * Math.sin((halfAngle * Math.PI) / 180);
    // The narrower end keeps the drawn girth, so that both are positive.
    return drop > 0
      ? { girthRim: girth + drop, girthBase: girth, side }
      : { girthRim: girth, girthBase: girth - drop, side };
  });
const spot = fc.record({
  azimuth: fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
  part: fc.double({ min: 0, max: 1, noNaN: true }),
});

describe('laws of the cone development', () => {
  it('knows no spot above the rim, below the base or past the back, where film that hangs over goes on', () => {
    const off = fc.oneof(
      fc.double({ min: -40, max: -0.01, noNaN: true }),
      fc.double({ min: 0.01, max: 40, noNaN: true }),
    );
    fc.assert(
      fc.property(cone, spot, off, (spec, { azimuth }, by) => {
        const flat = coneDevelopment(spec);
        const slant = by < 0 ? by : spec.side + by;
        if (flat.radiusAt(slant) < 1) return;
        const p = flat.forward(azimuth, slant);
        expect(flat.inverse(p.x, p.y)).toBeNull();
        expect(flat.onward(p.x, p.y)!.slant).toBeCloseTo(slant, 6);
      }),
    );
  });

  it('inverse after forward is the identity', () => {
    fc.assert(
      fc.property(cone, spot, (spec, { azimuth, part }) => {
        const flat = coneDevelopment(spec);
        const p = flat.forward(azimuth, part * spec.side);
        const back = flat.inverse(p.x, p.y)!;
        expect(back.azimuth).toBeCloseTo(azimuth, 9);
        expect(back.slant).toBeCloseTo(part * spec.side, 7);
      }),
    );
  });

  it('agrees with the apex-centred sector to a millionth of a millimetre', () => {
    fc.assert(
      fc.property(cone, spot, (spec, { azimuth, part }) => {
        const k = taperOf(spec);
        fc.pre(Math.abs(k) > 1e-3);
        const apex = spec.girthRim / (2 * Math.PI) / k;
        const radius = apex - part * spec.side;
        const p = coneDevelopment(spec).forward(azimuth, part * spec.side);
        expect(Math.abs(p.x - radius * Math.sin(k * azimuth))).toBeLessThan(1e-6);
        expect(Math.abs(p.y - (radius * Math.cos(k * azimuth) - apex))).toBeLessThan(1e-6);
      }),
    );
  });

  it('keeps lengths: the flat metric equals the metric of the solid cone', () => {
    fc.assert(
      fc.property(cone, spot, fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }), (spec, at, heading) => {
        const k = taperOf(spec);
        const flat = coneDevelopment(spec);
        const solid = (azimuth: number, slant: number): number[] => {
          const r = flat.radiusAt(slant);
          return [r * Math.sin(azimuth), r * Math.cos(azimuth), -slant * Math.sqrt(1 - k * k)];
        };
        // Central differences with a step h have an error of order h²; 1e-3 mm steps leave under 1e-6 relative.
        const h = 1e-3;
        const slant = at.part * spec.side;
        const da = (h * Math.cos(heading)) / flat.radiusAt(slant);
        const ds = h * Math.sin(heading);
        const a = flat.forward(at.azimuth + da, slant + ds);
        const b = flat.forward(at.azimuth - da, slant - ds);
        const p = solid(at.azimuth + da, slant + ds);
        const q = solid(at.azimuth - da, slant - ds);
        const onFlat = Math.hypot(a.x - b.x, a.y - b.y);
        const onSolid = Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!, p[2]! - q[2]!);
        expect(onFlat / onSolid).toBeCloseTo(1, 6);
      }),
    );
  });

  it('goes over into the cylinder as the taper goes to nothing', () => {
    fc.assert(
      fc.property(spot, fc.double({ min: -1e-7, max: 1e-7, noNaN: true }), ({ azimuth, part }, delta) => {
        const cylinder = coneDevelopment({ girthRim: 260, girthBase: 260, side: 90 });
        const near = coneDevelopment({ girthRim: 260, girthBase: 260 + delta, side: 90 });
        const p = cylinder.forward(azimuth, part * 90);
        const q = near.forward(azimuth, part * 90);
        expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeLessThan(2e-7);
        const back = near.inverse(q.x, q.y)!;
        expect(Math.abs(back.azimuth - azimuth)).toBeLessThan(1e-8);
      }),
    );
  });
});

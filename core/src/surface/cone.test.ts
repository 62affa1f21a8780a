import { describe, expect, it } from 'vitest';
import { arcCentre, arcSweep } from '../plane/path.ts';
import { coneDevelopment, sectorNumbers, shortcutErrors, taperOf } from './cone.ts';

const whole = (side: number) => ({ left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, side] }) as const;

describe('coneDevelopment', () => {
  it('unrolls a straight side to a rectangle', () => {
    const flat = coneDevelopment({ girthRim: 260, girthBase: 260, side: 90 });
    // Half round is 130 mm; a straight side keeps every height.
    expect(flat.forward(Math.PI, 0).x).toBeCloseTo(130, 12);
    expect(flat.forward(Math.PI, 90).y).toBeCloseTo(-90, 12);
    expect(flat.bounds(whole(90))).toEqual({ minX: -130, maxX: 130, minY: -90, maxY: 0 });
    expect(flat.outline(whole(90)).segments.every((s) => s.kind === 'line')).toBe(true);
  });

  it('puts the seam of a taper where the sector says', () => {
    // C1 = 276, C2 = 214, s = 168: k = 62/(2π·168), sector angle 2πk = 62/168 rad, apex radius 276/(62/168).
    const spec = { girthRim: 276, girthBase: 214, side: 168 };
    const angle = 62 / 168;
    const apex = 276 / angle;
    const seam = coneDevelopment(spec).forward(Math.PI, 0);
    expect(seam.x).toBeCloseTo(apex * Math.sin(angle / 2), 9);
    expect(seam.y).toBeCloseTo(-apex * (1 - Math.cos(angle / 2)), 9);
    expect(sectorNumbers(spec).apexRadiusRim).toBeCloseTo(apex, 9);
    expect(sectorNumbers(spec).apexRadiusBase).toBeCloseTo(apex - 168, 9);
  });

  it('droops at the ends when the rim is wider and rises when the base is wider', () => {
    const wideRim = coneDevelopment({ girthRim: 276, girthBase: 214, side: 168 });
    const wideBase = coneDevelopment({ girthRim: 214, girthBase: 276, side: 168 });
    expect(wideRim.forward(3, 0).y).toBeLessThan(0);
    expect(wideBase.forward(3, 0).y).toBeGreaterThan(0);
    // Upside down they are the same sector: the base edge of one is the rim edge of the other, 168 mm further.
    expect(wideBase.forward(3, 168).y).toBeCloseTo(-168 - wideRim.forward(3, 0).y, 9);
  });

  it('writes arcs whose lengths are the girths', () => {
    const path = coneDevelopment({ girthRim: 276, girthBase: 214, side: 168 }).outline(whole(168));
    const lengths: number[] = [];
    let from = path.start;
    for (const s of path.segments) {
      if (s.kind === 'arc') lengths.push(s.radius * Math.abs(arcSweep(from, s)));
      from = s.to;
    }
    expect(lengths[0]).toBeCloseTo(214, 9);
    expect(lengths[1]).toBeCloseTo(276, 9);
  });

  it('keeps the large-arc flag and the box right past half a circle', () => {
    // k = 0.6: sector of 216°, apex radius 300/(2π·0.6) at the rim.
    const side = (300 - 60) / (2 * Math.PI * 0.6);
    const flat = coneDevelopment({ girthRim: 300, girthBase: 60, side });
    const path = flat.outline(whole(side));
    const rim = path.segments[2]!;
    expect(rim.kind === 'arc' && rim.large).toBe(true);
    const apexRadius = 300 / (2 * Math.PI * 0.6);
    const box = flat.bounds(whole(side));
    expect(box.maxX).toBeCloseTo(apexRadius, 9);
    expect(box.minX).toBeCloseTo(-apexRadius, 9);
    expect(box.maxY).toBeCloseTo(0, 12);
    // Lowest points: the ends, at a turn of 108° on the outer arc.
    expect(box.minY).toBeCloseTo(-apexRadius + apexRadius * Math.cos(0.6 * Math.PI), 9);
    if (rim.kind === 'arc') {
      const from = path.segments[1]!.to;
      expect(arcCentre(from, rim).y).toBeCloseTo(-apexRadius, 9);
    }
  });

  it('finds nothing where the flat point is beyond the seam', () => {
    const flat = coneDevelopment({ girthRim: 276, girthBase: 214, side: 168 });
    const { x, y } = flat.forward(1.4 * Math.PI, 50);
    expect(flat.inverse(x, y)).toBeNull();
    expect(flat.inverse(x, y, 2 * Math.PI)!.slant).toBeCloseTo(50, 9);
  });

  it('refuses a side that cannot span its girths', () => {
    expect(() => coneDevelopment({ girthRim: 400, girthBase: 100, side: 40 })).toThrow(/longer than 47/);
    expect(() => coneDevelopment({ girthRim: 0, girthBase: 100, side: 40 })).toThrow(/positive/);
  });
});

describe('shortcutErrors', () => {
  it('says how far a straight-sided template misses the rim and opens the seam', () => {
    const spec = { girthRim: 276, girthBase: 214, side: 168 };
    const errors = shortcutErrors(spec);
    // C·ΔC/(8s) = 276·62/1344 = 12.73 and C(ΔC/s)²/12 = 276·0.1362/12 = 3.13, both to first order in the taper.
    expect(errors.trapezoidRim).toBeCloseTo(12.73, 1);
    expect(errors.trapezoidSeam).toBeCloseTo(3.13, 1);
    expect(errors.rectangleBase).toBe(62);
  });

  it('is nothing on a straight side', () => {
    const errors = shortcutErrors({ girthRim: 260, girthBase: 260, side: 90 });
    expect(errors.trapezoidRim).toBeCloseTo(0, 12);
    expect(errors.trapezoidSeam).toBeCloseTo(0, 9);
    expect(errors.rectangleBase).toBe(0);
    expect(taperOf({ girthRim: 260, girthBase: 260, side: 90 })).toBe(0);
  });
});

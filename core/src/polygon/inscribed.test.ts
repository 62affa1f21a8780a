import { describe, expect, it } from 'vitest';
import { breadthOf, hasInnerCorner, tangentRadii } from './inscribed.ts';
import type { Polygon, Ring } from './polygon.ts';

const circle = (radius: number, hole = false, n = 240): Ring =>
  Float64Array.from(
    Array.from({ length: n }, (_, i) => {
      const at = ((hole ? -i : i) * 2 * Math.PI) / n;
      return [radius * Math.cos(at), radius * Math.sin(at)];
    }).flat(),
  );
const box = (w: number, h: number): Polygon => ({ outer: Float64Array.from([0, 0, w, 0, w, h, 0, h]), holes: [] });

describe('breadth of a shape', () => {
  it('of a disk is its diameter, and it fills it', () => {
    const disk = breadthOf({ outer: circle(20), holes: [] }, 0.5);
    expect(disk.width / 40).toBeCloseTo(1, 2);
    expect(disk.fill).toBeGreaterThan(0.98);
  });

  it('of a disk is its diameter however coarsely its edge is drawn', () => {
    for (const n of [36, 60, 96])
      expect(breadthOf({ outer: circle(20, false, n), holes: [] }, 0.4).width / 40).toBeCloseTo(1, 1);
  });

  it('knows a sharp inner corner, of an outline or of a hole, from an outer one and from a curve', () => {
    const L = { outer: Float64Array.from([0, 0, 20, 0, 20, 8, 8, 8, 8, 20, 0, 20]), holes: [] };
    expect(hasInnerCorner(L)).toBe(true);
    expect(hasInnerCorner(box(20, 8))).toBe(false);
    // A dent in the top edge that turns by so many degrees at its lowest point.
    const dented = (degrees: number): Polygon => {
      const deep = 10 * Math.tan((degrees * Math.PI) / 360);
      return { outer: Float64Array.from([0, 0, 20, 0, 20, 20, 10, 20 - deep, 0, 20]), holes: [] };
    };
    expect([34, 36].map((degrees) => hasInnerCorner(dented(degrees)))).toEqual([false, true]);
    expect(hasInnerCorner({ outer: circle(20), holes: [circle(9, true, 36)] })).toBe(false);
    expect(hasInnerCorner({ outer: circle(20), holes: [Float64Array.from([-4, -4, -4, 4, 4, 4, 4, -4])] })).toBe(true);
  });

  it('of a long strip is its width, and it fills nearly nothing of a disk that broad', () => {
    const strip = breadthOf(box(400, 10), 0.5);
    expect(strip.width / 10).toBeCloseTo(1, 2);
    // π·100/4 of 4000 mm².
    expect(strip.fill).toBeCloseTo(0.0196, 3);
  });

  it('of a square lies between: circles along the outline shrink into the corners', () => {
    // Tangent radii run evenly from 0 to half the side: 0.7 · 0.475 + 0.3 · 0.5 of it, doubled.
    const square = breadthOf(box(30, 30), 0.1);
    expect(square.width / 30).toBeCloseTo(0.965, 2);
    expect(square.fill).toBeCloseTo((Math.PI * 0.965 ** 2) / 4, 2);
  });

  it('of a ring is the width of its band', () => {
    const ring = { outer: circle(30), holes: [circle(22, true)] };
    for (const radius of tangentRadii(ring, 1)) expect(radius).toBeCloseTo(4, 1);
    expect(breadthOf(ring, 0.5).width).toBeCloseTo(8, 1);
  });

  it('is nothing for what has no outline', () => {
    expect(breadthOf({ outer: new Float64Array(0), holes: [] }, 1)).toEqual({ width: 0, area: 0, fill: 0 });
  });
});

import { describe, expect, it } from 'vitest';
import { coneDevelopment } from '../surface/cone.ts';
import { placeData, zonePaths } from './flat-regions.ts';

const cone = { girthRim: 276, girthBase: 214, side: 168 };
const surface = coneDevelopment(cone);
const straight = { radii: [276 / (2 * Math.PI), 214 / (2 * Math.PI)], template: { cone } };
const whole = { left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, 168] } as const;
const numbers = (data: string): number[] => (data.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe('zonePaths', () => {
  it('draws only the zones that are there', () => {
    expect(zonePaths(surface, straight, whole, { rim: 0, base: 0, handle: 0 })).toEqual({ edges: [], handles: [] });
    const all = zonePaths(surface, straight, whole, { rim: 10, base: 5, handle: 6 });
    expect([all.edges.length, all.handles.length]).toEqual([2, 2]);
  });

  it('bends the rim zone with the rim: its lower arc is ten millimetres nearer to the apex', () => {
    const [rim] = zonePaths(surface, straight, whole, { rim: 10, base: 0, handle: 0 }).edges;
    const radii = [...rim!.matchAll(/A(\S+) /g)].map((m) => Number(m[1]));
    const apex = 276 / (62 / 168);
    expect(radii[0]).toBeCloseTo(apex - 10, 3);
    expect(radii[1]).toBeCloseTo(apex, 3);
  });

  it('keeps millimetres of the blank itself beside a handle, also where its side bulges', () => {
    // A band of 314.16 mm at both edges that is 400 mm round half-way down.
    const tube = { girthRim: 100 * Math.PI, girthBase: 100 * Math.PI, side: 80 };
    const bulging = { radii: [50, 400 / (2 * Math.PI), 50], template: { cone: tube } };
    const region = { ...whole, slant: [0, 80] } as const;
    const [left] = zonePaths(coneDevelopment(tube), bulging, region, { rim: 0, base: 0, handle: 10 }).handles;
    const points = left!
      .slice(1, -1)
      .split('L')
      .map((pair) => pair.split(' ').map(Number) as [number, number]);
    const breadthAt = (down: number): number => {
      const xs = points.filter(([, y]) => Math.abs(y - down) < 1e-6).map(([x]) => x);
      return Math.max(...xs) - Math.min(...xs);
    };
    expect(breadthAt(0)).toBeCloseTo(10, 6);
    // 10 mm there are 10/400 of the way round, drawn on a flat of 314.16 mm.
    expect(breadthAt(40)).toBeCloseTo((10 / 400) * 100 * Math.PI, 6);
  });
});

describe('placeData', () => {
  it('rings a place in front with one outline, as far off as it is told', () => {
    const data = placeData(surface, straight, { azimuths: [-0.3, 0.3], slants: [40, 60] }, 2);
    expect(data.match(/M/g)).toHaveLength(1);
    expect(numbers(data).every(Number.isFinite)).toBe(true);
  });

  it('rings a place across the back at both ends of the flat', () => {
    expect(placeData(surface, straight, { azimuths: [3, 3.3], slants: [40, 60] }, 2).match(/M/g)).toHaveLength(2);
  });
});

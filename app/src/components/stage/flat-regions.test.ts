import { coneDevelopment } from '@mivet/core';
import { describe, expect, it } from 'vitest';
import { placeData, zonePaths } from './flat-regions.ts';

const surface = coneDevelopment({ girthRim: 276, girthBase: 214, side: 168 });
const whole = { left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, 168] } as const;
const numbers = (data: string): number[] => (data.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe('zonePaths', () => {
  it('draws only the zones that are there', () => {
    expect(zonePaths(surface, whole, { rim: 0, base: 0, handle: 0 })).toEqual({ edges: [], handles: [] });
    const all = zonePaths(surface, whole, { rim: 10, base: 5, handle: 6 });
    expect([all.edges.length, all.handles.length]).toEqual([2, 2]);
  });

  it('bends the rim zone with the rim: its lower arc is ten millimetres nearer to the apex', () => {
    const [rim] = zonePaths(surface, whole, { rim: 10, base: 0, handle: 0 }).edges;
    const radii = [...rim!.matchAll(/A(\S+) /g)].map((m) => Number(m[1]));
    const apex = 276 / (62 / 168);
    expect(radii[0]).toBeCloseTo(apex - 10, 3);
    expect(radii[1]).toBeCloseTo(apex, 3);
  });
});

describe('placeData', () => {
  it('rings a place in front with one outline', () => {
    const data = placeData(surface, { azimuths: [-0.3, 0.3], slants: [40, 60] }, 2);
    expect(data.match(/M/g)).toHaveLength(1);
    expect(numbers(data).every(Number.isFinite)).toBe(true);
  });

  it('rings a place across the back at both ends of the flat', () => {
    expect(placeData(surface, { azimuths: [3, 3.3], slants: [40, 60] }, 2).match(/M/g)).toHaveLength(2);
  });
});

import { describe, expect, it } from 'vitest';
import { makeJob, motifItem, mug } from '../../test/jobs.ts';
import type { FlatSide } from '../flat/flat-side.ts';
import type { Template } from '../flat/template.ts';
import type { PlacedItem } from '../layout/place.ts';
import type { Seam } from '../model/seam.ts';
import type { Ring } from '../polygon/polygon.ts';
import { coneDevelopment } from '../surface/cone.ts';
import { divideSide } from './divide.ts';
import { findSeams } from './finder.ts';
import { PLAIN_SEAM } from './plain-seam.ts';
import { seamAt, seamRange } from './path.ts';

// A small vial: 10 mm of radius and 20 mm high.
const [RADIUS, SIDE] = [10, 20];
const cone = { girthRim: 2 * Math.PI * RADIUS, girthBase: 2 * Math.PI * RADIUS, side: SIDE };
const surface = coneDevelopment(cone);
const whole: Template['region'] = { left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, SIDE] };
const mm = (azimuth: number): number => Math.round(azimuth * RADIUS * 10) / 10 + 0;
/** A rectangle so many mm round from the front and down. */
const box = (from: number, to: number, top: number, foot: number): Ring => Float64Array.from([from / RADIUS, foot, to / RADIUS, foot, to / RADIUS, top, from / RADIUS, top]); // prettier-ignore
const back = Math.PI * RADIUS;
const item = (ring: Ring, joined = false): PlacedItem =>
  ({ item: motifItem('star', { id: joined ? 'band' : 'star', repeat: joined ? { mode: 'joined', count: 4 } : { mode: 'once' } } as never), copies: [0], groups: [[ring]] }) as unknown as PlacedItem; // prettier-ignore

function divided(placed: PlacedItem[], seam: Partial<Seam>, change: Partial<Template> = {}) {
  const region = change.region ?? whole;
  const template = { cone, closed: true, region, outline: surface.outline(region), holes: [], bounds: { minX: -back, maxX: back, minY: -SIDE, maxY: 0 }, lap: 0, flattening: { way: 'exact', map: null }, ...change } as unknown as Template; // prettier-ignore
  const size = { kind: 'straight', rim: { surface: cone.girthRim }, base: { surface: cone.girthBase }, side: SIDE, taper: 0, data: {} }; // prettier-ignore
  return divideSide(makeJob(mug(), [], { seam: { ...PLAIN_SEAM, ...seam } }), { size, template, surface } as unknown as FlatSide, placed); // prettier-ignore
}

describe('how a side is divided', () => {
  const star = item(box(back - 4, back + 4, 5, 15));

  it('is along a straight seam at the back, with what that cuts', () => {
    const { seams, cuts, panels } = divided([star], {});
    expect(seams).toMatchObject([{ free: false, cutMm: expect.closeTo(10, 6), wanderMm: 0 }]);
    expect(cuts).toEqual([{ seam: 0, itemId: 'star', copy: 0, cutMm: expect.closeTo(10, 6) }]);
    expect(panels).toHaveLength(1);
    expect(divided([star], {}, { closed: false })).toMatchObject({ seams: [], cuts: [] });
  });

  it('is evenly into panels, but in one for bands and gores', () => {
    const seamsOf = (seam: Partial<Seam>, change: Partial<Template> = {}): number[] => divided([], seam, change).seams.map(({ path }) => mm(path.azimuths[0]!)); // prettier-ignore
    expect(seamsOf({ panels: 3 })).toEqual([-31.4, -10.5, 10.5]);
    for (const way of ['bands', 'gores'] as const) expect(seamsOf({ panels: 3 }, { flattening: { way, map: null } as never })).toEqual([-31.4]); // prettier-ignore
    // Beside a handle the ends are no seams: only what parts the film between them is.
    const region: Template['region'] = { left: [-2.5, -2.3], right: [2.5, 2.5], slant: [0, SIDE] };
    expect(seamsOf({ panels: 2 }, { region })).toEqual([0.5]);
    expect(seamsOf({ panels: 1 }, { region })).toEqual([]);
    expect(seamsOf({ panels: 1, way: 'wandering' }, { region })).toEqual([]);
  });

  it('goes round what a wandering seam can go round, by the clearance; what is joined all round is in nobody’s way', () => {
    const { seams, cuts } = divided([star], { way: 'wandering', clearanceMm: 1.5 });
    expect([seams[0]!.free, seams[0]!.cutMm, cuts]).toEqual([true, 0, []]);
    // 4 mm to either side of the back and 1.5 more.
    const away = Math.max(...[5, 10, 15].map((v) => Math.abs(seamAt(seams[0]!.path, v) + Math.PI) * RADIUS));
    expect(away).toBeGreaterThan(5.4);
    expect(away).toBeLessThan(5.8);
    const band = item(box(-back, back, 2, 4), true);
    const both = divided([star, band], { way: 'wandering', clearanceMm: 1.5 });
    expect([both.seams[0]!.free, both.cuts]).toEqual([true, []]);
    // It is told that the band is cut, for two millimetres at least.
    expect(both.seams[0]!.cutMm).toBeGreaterThan(1.99);
    // Between bands the straight one is not asked to wander.
    expect(divided([star], { way: 'straight' }).seams[0]!.path.azimuths).toEqual([-Math.PI, -Math.PI]);
  });

  it('beside a handle keeps a seam near where it parts the film evenly', () => {
    const region: Template['region'] = { left: [-2.5, -2.5], right: [2.5, 2.5], slant: [0, SIDE] };
    const front = (wide: number) => divided([item(box(-wide, wide, 5, 15))], { panels: 2, way: 'wandering', clearanceMm: 1 }, { region }).seams; // prettier-ignore
    // 0.45 of 5 rad in two: 1.125 rad, 11.25 mm.
    expect(front(4)).toMatchObject([{ free: true, cutMm: 0 }]);
    const [low, high] = seamRange(front(4)[0]!.path).map(mm) as [number, number];
    expect(Math.max(-low, high)).toBeGreaterThan(4.9);
    expect(Math.max(-low, high)).toBeLessThan(5.4);
    expect(front(10)[0]!.free).toBe(true);
    expect(front(11)[0]!.free).toBe(false);
    expect(front(11)[0]!.cutMm).toBeGreaterThan(0);
  });
});

describe('seams that are looked for', () => {
  const field = (...groups: Ring[][]) => ({ side: SIDE, radiusAt: () => RADIUS, groups });
  const options = { clearance: 2, count: 1, home: -Math.PI };

  it('pass closer than was requested before they cut film, down to three tenths of it', () => {
    // All of the way round is closed but for a gap at the back.
    const gate = (gap: number): Ring => box(-back + gap / 2, back - gap / 2, 8, 12);
    const through = (gap: number) => findSeams(field([gate(gap)]), options)[0]!;
    expect(through(4.5)).toMatchObject({ free: true, cutMm: 0 });
    expect(through(3)).toMatchObject({ free: false, cutMm: 0 });
    expect(through(1.4)).toMatchObject({ free: false, cutMm: 0 });
    expect(through(0)).toMatchObject({ free: false });
    expect(through(0).cutMm).toBeCloseTo(4, 1);
    // 2 × 0.6 mm are 1.2: nothing is gained by squeezing through less than that.
    for (const azimuth of through(3).path.azimuths) expect(Math.abs(azimuth + Math.PI) * RADIUS).toBeLessThan(1);
  });

  it('of several lie evenly, each within its share of its place', () => {
    const three = findSeams(field([box(-3, 3, 5, 15)]), { ...options, count: 3 });
    const middles = three.map(({ path }) => seamAt(path, 10) * RADIUS);
    expect(middles.map((at, i) => Math.abs(at - middles[0]! - (i * 2 * back) / 3) < 1e-6)).toEqual([true, true, true]);
    expect(three.every(({ free }) => free)).toBe(true);
    const near = findSeams(field(), { ...options, count: 3, near: { azimuths: [-1, 1.5], reach: 0.2 } });
    expect(near.map(({ path }) => mm(seamAt(path, 7)))).toEqual([-10, 15]);
  });
});

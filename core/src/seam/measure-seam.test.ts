import { describe, expect, it } from 'vitest';
import { RADIUS, placedItem } from '../../test/judging.ts';
import { motifItem } from '../../test/jobs.ts';
import type { Ring } from '../polygon/polygon.ts';
import { cutsAtSeams } from './cuts.ts';
import { measure, measureSeam } from './measure-seam.ts';
import { seamAt, seamRange, straightSeam, turnSeam } from './path.ts';

const TURN = 2 * Math.PI;
/** A box on a side of 50 mm radius and 100 mm: azimuths in rad, slants in mm. */
const box = (from: number, to: number, top: number, foot: number): Ring => Float64Array.from([from, foot, to, foot, to, top, from, top]); // prettier-ignore
const hole = (...[from, to, top, foot]: [number, number, number, number]): Ring => Float64Array.from([from, foot, from, top, to, top, to, foot]); // prettier-ignore
const field = (...groups: Ring[][]) => ({ side: 100, radiusAt: () => RADIUS, groups });

describe('a seam', () => {
  const bent = { slants: [0, 20, 60, 100], azimuths: [1, 1.4, 1.2, 1.2] };

  it('runs straight between its points and on as it ended', () => {
    expect([0, 10, 20, 40, 60, 80, 100].map((v) => seamAt(bent, v))).toEqual([1, 1.2, 1.4, 1.2999999999999998, 1.2, 1.2, 1.2]); // prettier-ignore
    expect([seamAt(bent, -5), seamAt(bent, 130)]).toEqual([1, 1.2]);
    expect(seamAt(straightSeam(-3, 1, 80), 20)).toBe(-2);
  });

  it('is turned round by an angle, or by one that depends on the height', () => {
    expect(turnSeam(bent, 1).azimuths).toEqual([2, 2.4, 2.2, 2.2]);
    expect(turnSeam(bent, (v) => v / 100).azimuths.map((a) => Number(a.toFixed(9)))).toEqual([1, 1.6, 1.8, 2.2]);
    expect(turnSeam(bent, 1).slants).toBe(bent.slants);
    expect(seamRange(bent)).toEqual([1, 1.4]);
  });
});

describe('what a seam cuts', () => {
  const down = (azimuth: number) => straightSeam(azimuth, azimuth, 100);

  it('is as long as the film that it runs through, holes left out, laps counted once', () => {
    expect(measure(field([box(-0.2, 0.2, 30, 50)]), down(0)).cutMm).toBeCloseTo(20, 9);
    expect(measure(field([box(-0.2, 0.2, 30, 50)]), down(0.3)).cutMm).toBe(0);
    expect(measure(field([box(-0.2, 0.2, 30, 70), hole(-0.1, 0.1, 40, 55)]), down(0)).cutMm).toBeCloseTo(25, 9);
    expect(measure(field([box(-0.2, 0.2, 30, 50)], [box(-0.2, 0.2, 40, 60)]), down(0)).cutMm).toBeCloseTo(30, 9);
    expect(measure(field([box(-0.2, 0.2, 30, 50)], [box(-0.2, 0.2, 60, 65)]), down(0)).cutMm).toBeCloseTo(25, 9);
    // What hangs over an edge is not on the side.
    expect(measure(field([box(-0.2, 0.2, -10, 15)], [box(-0.2, 0.2, 90, 120)]), down(0)).cutMm).toBeCloseTo(25, 9);
  });

  it('is the same a whole turn away', () => {
    for (const turns of [-2, -1, 1, 2]) {
      expect(measure(field([box(-0.2, 0.2, 30, 50)]), down(turns * TURN)).cutMm).toBeCloseTo(20, 6);
      expect(measure(field([box(-0.2 + turns * TURN, 0.2 + turns * TURN, 30, 50)]), down(0)).cutMm).toBeCloseTo(20, 6);
    }
    expect(measure(field([box(-0.2, 0.2, 30, 50)]), down(Math.PI)).cutMm).toBe(0);
  });

  it('is longer where the seam leans, as the seam is', () => {
    // 75 mm round while 100 down: 125 mm, and 25 of them through a band of 20.
    const leaning = straightSeam(0, 75 / RADIUS, 100);
    const { cutMm, wanderMm } = measure(field([box(-1, 3, 40, 60)]), leaning);
    expect([cutMm, wanderMm]).toEqual([expect.closeTo(25, 9), expect.closeTo(25, 9)]);
    const bent = { slants: [0, 50, 100], azimuths: [0, 0, 37.5 / RADIUS] };
    const half = measure(field([box(-1, 3, 40, 60)]), bent);
    expect(half.cutMm).toBeCloseTo(10 + 12.5, 9);
    expect(half.wanderMm).toBeCloseTo(12.5, 9);
    expect(measureSeam(field([box(-1, 3, 40, 60)]), bent)).toMatchObject({ free: false, path: bent });
    expect(measureSeam(field([box(1, 3, 40, 60)]), down(0)).free).toBe(true);
  });
});

describe('what a leaning seam cuts of slanting edges', () => {
  /** Corners in mm round from the front and down. */
  const ring = (...corners: [number, number][]): Ring =>
    Float64Array.from(corners.flatMap(([x, v]) => [x / RADIUS, v]));
  const from = (...points: [number, number][]) => ({ slants: points.map(([, v]) => v), azimuths: points.map(([x]) => x / RADIUS) }); // prettier-ignore
  const triangle = ring([0, 10], [0, 90], [80, 90]);

  it('is as long as the chord through them', () => {
    // Straight down at 30 mm: from the slanting edge x = v − 10, at 40, to 90.
    expect(measure(field([triangle]), from([30, 0], [30, 100])).cutMm).toBeCloseTo(50, 9);
    // Leaning by 3 to 4, from 5 mm round: x = 5 + 0.75 v meets v − 10 at v = 60, and ends at 90: 30 down is 37.5 along.
    expect(measure(field([triangle]), from([5, 0], [80, 100])).cutMm).toBeCloseTo(37.5, 9);
    // The other way: x = 65 − 0.75 v meets v − 10 at 300/7, and x = 0 at 260/3.
    expect(measure(field([triangle]), from([65, 0], [-10, 100])).cutMm).toBeCloseTo(1.25 * (260 / 3 - 300 / 7), 9);
    // With a step of 50 mm to the side: 30 mm of film on the step, and what lies below it, or above.
    expect(measure(field([triangle]), from([-20, 0], [-20, 60], [30, 60.001], [30, 100])).cutMm).toBeCloseTo(60, 1);
    expect(measure(field([triangle]), from([30, 0], [30, 50], [-20, 50.001], [-20, 100])).cutMm).toBeCloseTo(40, 1);
    // Two that lap along it count once, whichever comes first.
    const low = ring([-9, 50], [-9, 70], [99, 70], [99, 50]);
    for (const groups of [
      [[triangle], [low]],
      [[low], [triangle]],
    ])
      expect(measure(field(...groups), from([30, 0], [30, 100])).cutMm).toBeCloseTo(50, 9);
    const high = ring([-9, 20], [-9, 45], [99, 45], [99, 20]);
    for (const groups of [
      [[triangle], [high]],
      [[high], [triangle]],
    ])
      expect(measure(field(...groups), from([30, 0], [30, 100])).cutMm).toBeCloseTo(70, 9);
  });

  it('is by the radius half-way down each stretch', () => {
    const cone = { ...field([triangle]), radiusAt: (v: number) => (v < 50 ? 40 : 60) };
    const { wanderMm } = measure(cone, { slants: [0, 60, 100], azimuths: [0, 1, 1] });
    // At 30 mm the radius is 40: √(60² + 40²) − 60.
    expect(wanderMm).toBeCloseTo(Math.hypot(60, 40) - 60, 9);
    expect(measure(cone, { slants: [0, 40, 100], azimuths: [0, 0, 1] }).wanderMm).toBeCloseTo(
      Math.hypot(60, 60) - 60,
      9,
    );
  });
});

describe('the copies that seams cut', () => {
  const seamsAt = (...azimuths: number[]) => azimuths.map((a) => measureSeam(field(), straightSeam(a, a, 100)));
  const cut = (roundMm: number, item = motifItem('star', { id: 'star' }), ...seams: number[]) => cutsAtSeams([placedItem(30, [20, 40], roundMm, item)], seamsAt(...(seams.length ? seams : [0])), { side: 100, radiusAt: () => RADIUS }); // prettier-ignore

  it('are told with the seam and the length that is cut', () => {
    expect(cut(0)).toEqual([{ seam: 0, itemId: 'star', copy: 0, cutMm: expect.closeTo(20, 9) }]);
    expect(cut(14.9)).toHaveLength(1);
    expect(cut(15.1)).toEqual([]);
    expect(cut(0, undefined, 2, 0).map(({ seam }) => seam)).toEqual([1]);
    expect(cut(Math.PI * RADIUS, undefined, -Math.PI)).toHaveLength(1);
  });

  it('are each told by itself; bands are meant to be cut', () => {
    const two = placedItem(30, [20, 40], 0, motifItem('star', { id: 'star' }));
    const [ring] = two.groups[0]!;
    const both = { ...two, copies: [0, 1], groups: [[ring!], [ring!.map((v, i) => (i % 2 === 0 ? v + 1 : v))]] };
    const found = cutsAtSeams([both], seamsAt(0, 1), { side: 100, radiusAt: () => RADIUS });
    expect(found.map(({ seam, copy }) => [seam, copy])).toEqual([[0, 0], [1, 1]]); // prettier-ignore
    expect(cut(0, motifItem('wave', { repeat: { mode: 'joined', count: 6 } }))).toEqual([]);
    // A touch of a twentieth of a millimetre is none.
    const sliver = { ...two, groups: [[box(-0.1, 0.1, 20, 20.04)]] };
    expect(cutsAtSeams([sliver], seamsAt(0), { side: 100, radiusAt: () => RADIUS })).toEqual([]);
    expect(cutsAtSeams([{ ...two, groups: [[box(-0.1, 0.1, 20, 20.06)]] }], seamsAt(0), { side: 100, radiusAt: () => RADIUS })).toHaveLength(1); // prettier-ignore
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, motifItem, mug, textItem, tumbler } from '../../test/jobs.ts';
import { findingsOf, projectOf } from '../../test/findings.ts';
import type { Job } from '../model/job.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import { filmsOfSpots, scatterSpots, shortWay, type ScatterField, type ScatterKind } from './scatter.ts';

const field: ScatterField = { period: 250, gap: 3, taken: [] };
const kind = (count: number, more: Partial<ScatterKind> = {}): ScatterKind => ({
  count,
  x: [-120, 120],
  y: [10, 80],
  width: 12,
  height: 9,
  ...more,
});
const scattered = (count: number, films: string[] = [], seed = 7) =>
  motifItem('star', {
    widthMm: 12,
    running: 'rigid',
    repeat: { mode: 'scattered', count, scatter: { seed, gapMm: 3, films } },
  });
const wrap = (job: Job) => {
  const derived = deriveWrap(job, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
};

describe('scatterSpots', () => {
  it('keeps the gap between any two, also across the seam, and from what is there', () => {
    fc.assert(
      fc.property(fc.nat(1e6), fc.integer({ min: 1, max: 60 }), (seed, count) => {
        const f = { ...field, taken: [{ x: [-20, 25], y: [20, 40] } as const] };
        const spots = scatterSpots(f, [kind(count)], seed);
        expect(spots.length).toBeLessThanOrEqual(count);
        const room = (dx: number, dy: number, w: number, h: number): number =>
          Math.hypot(Math.max(0, dx - w), Math.max(0, dy - h));
        spots.forEach((a, i) => {
          for (const b of spots.slice(0, i))
            expect(room(shortWay(a.x - b.x, 250), Math.abs(a.y - b.y), 12, 9)).toBeGreaterThanOrEqual(3);
          expect(room(shortWay(a.x - 2.5, 250), Math.abs(a.y - 30), 28.5, 14.5)).toBeGreaterThanOrEqual(3);
        });
        expect(scatterSpots(f, [kind(count)], seed)).toEqual(spots);
      }),
      { numRuns: 60 },
    );
  });

  it('stops when it is full, and finds nothing where nothing fits', () => {
    const full = scatterSpots(field, [kind(200)], 3);
    // Boxes of 15 × 12 with their gaps on 240 + 12 by 70 + 9: about 110 at the very most, 45 % of that by chance.
    expect(full.length).toBeGreaterThan(45);
    expect(full.length).toBeLessThan(115);
    expect(scatterSpots(field, [kind(5, { y: [50, 40] })], 1)).toEqual([]);
    expect(scatterSpots(field, [kind(5, { holds: () => false })], 1)).toEqual([]);
  });

  it('gives neighbours different films as far as there are enough', () => {
    const spots = scatterSpots(field, [kind(30)], 5);
    const films = filmsOfSpots(spots, ['a', 'b', 'c', 'd'], 250);
    const nearest = spots.map((spot, i) => {
      const far = spots.map((other, k) =>
        k === i ? Infinity : Math.hypot(shortWay(spot.x - other.x, 250), spot.y - other.y),
      );
      return far.indexOf(Math.min(...far));
    });
    expect(nearest.filter((k, i) => films[k] === films[i]).length).toBeLessThanOrEqual(1);
    expect(Math.max(...['a', 'b', 'c', 'd'].map((f) => films.filter((g) => g === f).length))).toBeLessThan(13);
    expect(new Set(filmsOfSpots(spots, ['a'], 250))).toEqual(new Set(['a']));
  });
});

describe('a scattered motif', () => {
  it('fills a tumbler on several films, and nothing is cut, overlaps or leaves the band', () => {
    const word = textItem('COX');
    const job = makeJob(tumbler(), [scattered(40, ['ensign', 'reed']), word]);
    const { pieces, placed } = wrap(job);
    const stars = pieces.filter((p) => p.itemIds[0] === 'motif-1');
    expect(stars).toHaveLength(40);
    expect(new Set(stars.map((p) => p.film)).size).toBe(3);
    expect(new Set(pieces.map((p) => p.id)).size).toBe(pieces.length);
    expect(stars.every((p) => p.cutAt === null)).toBe(true);
    expect(placed[0]!.copies).toHaveLength(40);
    const project = projectOf(job);
    for (const code of ['rim-zone', 'base-zone', 'seam-cut', 'unfused'] as const)
      expect(findingsOf(project, code)).toEqual([]);
  });

  it('is cut by no seam and keeps its room on any taper, with any arrangement', () => {
    fc.assert(
      fc.property(fc.nat(1e6), fc.constantFrom(150, 214, 276, 330), (seed, girthBase) => {
        const { pieces } = wrap(makeJob(makeBlank({ girthRim: 276, girthBase, side: 168 }), [scattered(25, [], seed)]));
        expect(pieces).toHaveLength(25);
        expect(pieces.every((p) => p.cutAt === null)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('mixes with others over the whole side, each in its own number, and none touches another', () => {
    const lead = scattered(14, [], 3);
    const oars = { ...motifItem('oar', { id: 'oars', widthMm: 6, film: 'reed' }), running: 'rigid' as const };
    const withIt = (id: string | null) => ({
      ...oars,
      repeat: { mode: 'scattered', count: 10, scatter: { seed: 99, gapMm: 0, films: [], with: id } } as const,
    });
    const mixed = wrap(makeJob(tumbler(), [lead, withIt(lead.id)]));
    expect(mixed.placed.map((p) => p.copies.length)).toEqual([14, 10]);
    const boxes = mixed.placed.flatMap((p) => p.copies.map((azimuth, i) => ({ azimuth, kind: p.item.id, i })));
    expect(boxes).toHaveLength(24);
    // Mixed, not in two heaps: round the cup, neighbours of the other kind are as common as their share would have it.
    const order = [...boxes].sort((a, b) => a.azimuth - b.azimuth);
    const changes = order.filter((b, i) => b.kind !== order[(i + 1) % order.length]!.kind).length;
    expect(changes).toBeGreaterThan(6);
    expect(findingsOf(projectOf(makeJob(tumbler(), [lead, withIt(lead.id)])), 'unfused')).toEqual([]);
    // Alone, or with something that is gone, each is arranged by itself.
    const alone = wrap(makeJob(tumbler(), [withIt('gone')])).placed[0]!.copies;
    expect(alone).toEqual(wrap(makeJob(tumbler(), [withIt(null)])).placed[0]!.copies);
  });

  it('keeps clear of a handle, and within a lid and off its hole', () => {
    const cup = wrap(makeJob(mug(), [scattered(60)]));
    for (const { azimuths } of cup.pieces)
      expect(Math.max(...azimuths.map(Math.abs)) * cup.meanRadius).toBeLessThanOrEqual(129 - 12 - 5 + 0.01);
    const lid = projectOf(
      makeJob(makeBlank({ across: 88, hole: 9, holeIn: 12 }, { kind: 'lid', baseClearanceMm: 3 }), [scattered(30)]),
    );
    expect(wrap(lid).pieces.length).toBeGreaterThan(8);
    expect(findingsOf(lid, 'face-edge')).toEqual([]);
  });
});

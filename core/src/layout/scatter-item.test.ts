import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, motifItem, plate } from '../../test/jobs.ts';
import { findingsOf, projectOf } from '../../test/findings.ts';
import type { ArtworkItem, Scatter } from '../model/item.ts';
import { deriveWrap, type Wrap } from '../pieces/wrap.ts';
import { keptSpots } from './scatter-item.ts';

/** 250 mm round and 100 high, with 10 mm kept clear above and below. */
const can = makeBlank({ girthRim: 250, side: 100 }, { rimClearanceMm: 10, baseClearanceMm: 10, bandBelowRimMm: 0 });
const scattered = (count: number, scatter: Partial<Scatter> = {}) =>
  ({ mode: 'scattered', count, scatter: { seed: 5, gapMm: 3, films: [], even: true, ...scatter } }) as const;
const dot = (count: number, scatter: Partial<Scatter> = {}, id = 'dot'): ArtworkItem =>
  plate(id, 12, 12, { running: 'rigid', film: 'shallows', repeat: scattered(count, scatter) });
const wrapOf = (items: readonly ArtworkItem[], blank = can): Wrap => {
  const derived = deriveWrap(makeJob(blank, items), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
};
const round = (v: number): number => Math.round(v * 100) / 100;

describe('a scatter by what things look like', () => {
  it('lays a drawing of several colours as one: each colour in its place in every copy', () => {
    const outer = dot(9);
    const inner = plate('inner', 4, 4, { setId: 'dot', running: 'rigid', film: 'ensign', repeat: outer.repeat });
    const { placed, pieces } = wrapOf([outer, inner]);
    expect(placed.map(({ copies }) => copies.length)).toEqual([9, 9]);
    const middles = (film: string) => pieces.filter((p) => p.film === film).map(({ flatBox: b }) => [round((b.minX + b.maxX) / 2), round((b.minY + b.maxY) / 2)]); // prettier-ignore
    expect(middles('ensign')).toEqual(middles('shallows'));
    expect(pieces.every(({ cutAt }) => cutAt === null)).toBe(true);
  });

  it('turns and sizes each within its range', () => {
    const { placed, pieces } = wrapOf([dot(12, { turnsDeg: [-30, 45], sizes: [0.5, 1] })]);
    const spots = placed[0]!.spots!;
    expect(spots).toHaveLength(12);
    for (const { turnDeg, size } of spots) {
      expect(turnDeg).toBeGreaterThanOrEqual(-30);
      expect(turnDeg).toBeLessThanOrEqual(45);
      expect(size).toBeGreaterThanOrEqual(0.5);
      expect(size).toBeLessThanOrEqual(1);
    }
    expect(new Set(spots.map(({ size }) => round(size))).size).toBeGreaterThan(6);
    // A square of 12 mm, smaller: its area goes with the square of that, whichever way it is turned.
    pieces.forEach((piece, i) => expect(piece.areaMm2).toBeCloseTo(144 * spots[i]!.size ** 2, 0));
    const across = pieces.map(({ flatBox: b }) => b.maxX - b.minX);
    spots.forEach(({ turnDeg, size }, i) => {
      const a = (Math.abs(turnDeg) * Math.PI) / 180;
      expect(across[i]).toBeCloseTo(12 * size * (Math.cos(a) + Math.sin(a)), 1);
    });
  });

  it('fills what room there is, keeping to its zones and clear of the seam', () => {
    const { placed, pieces } = wrapOf([dot(1, { fill: true, gapMm: 2 })]);
    // Squares count by the circles round them, 16.97 mm: with their gap, 250 × 80 has room for 13 in each of 4 rows.
    expect(placed[0]!.copies.length).toBeGreaterThan(0.7 * 13 * 4);
    for (const { slants, cutAt } of pieces) {
      expect(cutAt).toBeNull();
      expect(slants[0]).toBeGreaterThan(10);
      expect(slants[1]).toBeLessThan(90);
    }
    expect(findingsOf(projectOf(makeJob(can, [dot(1, { fill: true })])), 'rim-zone')).toEqual([]);
  });

  it('cuts things at the edge of the band, or leaves them off there and cuts them beside', () => {
    const cut = wrapOf([dot(1, { fill: true, edge: 'cut' })]);
    const reach = cut.pieces.map(({ slants }) => slants);
    expect(Math.min(...reach.map(([top]) => top))).toBeCloseTo(10, 2);
    expect(Math.max(...reach.map(([, foot]) => foot))).toBeCloseTo(90, 2);
    expect(cut.pieces.some(({ areaMm2 }) => areaMm2 < 143)).toBe(true);
    const off = wrapOf([dot(1, { fill: true, edge: 'spare' })]);
    const [laid, spares] = [off.pieces.filter((p) => !p.spare), off.pieces.filter((p) => p.spare)];
    // The same arrangement: what was cut there is whole beside the wrap here.
    expect(laid.length + spares.length).toBe(cut.placed[0]!.copies.length);
    expect(spares.length).toBe(cut.pieces.filter(({ areaMm2 }) => areaMm2 < 143).length);
    for (const { areaMm2 } of [...laid, ...spares]) expect(areaMm2).toBeCloseTo(144, 0);
    for (const { slants } of laid) expect(slants[0]).toBeGreaterThan(10 - 0.02);
  });

  it('leaves every copy that is kept where it is: one moved, turned, sized, of another film or another thing', () => {
    const star = { ...motifItem('star', { id: 'star', widthMm: 10, film: 'night' }), running: 'rigid', repeat: scattered(3, { with: 'dot' }) } as const; // prettier-ignore
    const first = wrapOf([dot(8), star]);
    const kept = keptSpots(first.placed);
    expect(kept.map(({ itemId }) => itemId)).toEqual([
      ...Array<string>(8).fill('dot'),
      ...Array<string>(3).fill('star'),
    ]);
    const changed = [{ ...kept[0]!, angleDeg: 20, downMm: 50, turnDeg: 45, size: 1.5, film: 'ensign', pinned: true }, { ...kept[1]!, itemId: 'star' }, ...kept.slice(2)]; // prettier-ignore
    const again = wrapOf([dot(7, { kept: changed }), { ...star, repeat: scattered(4, { with: 'dot' }) }]);
    const [dots, stars] = again.placed.map(({ spots }) => spots!);
    expect([dots!.length, stars!.length]).toEqual([7, 4]);
    expect(dots![0]).toMatchObject({ slant: 50, turnDeg: 45, size: 1.5, film: 'ensign', pinned: true });
    expect(dots![0]!.azimuth).toBeCloseTo((20 * Math.PI) / 180, 9);
    expect(stars![0]!.slant).toBeCloseTo(kept[1]!.downMm, 9);
    expect(again.pieces.filter(({ film }) => film === 'ensign').map(({ areaMm2 }) => Math.round(areaMm2))).toEqual([324]); // prettier-ignore
    // All others are where they were.
    expect(dots!.slice(1).map(({ slant }) => slant)).toEqual(
      first.placed[0]!.spots!.slice(2).map(({ slant }) => slant),
    );
    // What is gone from the job is passed over, and one more is found room for.
    const more = wrapOf([dot(9, { kept: [...keptSpots(wrapOf([dot(8)]).placed), { ...kept[0]!, itemId: 'gone' }] })]);
    expect(more.placed[0]!.copies).toHaveLength(9);
  });

  it('is arranged anew when the hole of a lid moves, though all else is the same', () => {
    const lid = (holeIn: number) => makeBlank({ across: 88, hole: 14, holeIn }, { kind: 'lid', baseClearanceMm: 3 });
    const dots = plate('dot', 8, 8, { running: 'rigid', repeat: scattered(20, { gapMm: 1 }) });
    for (const holeIn of [16, 30, 44]) {
      const project = projectOf(makeJob(lid(holeIn), [dots]));
      expect(wrapOf([dots], lid(holeIn)).pieces.length).toBeGreaterThan(10);
      expect(findingsOf(project, 'face-edge')).toEqual([]);
    }
  });
});

import { describe, expect, it } from 'vitest';
import { makeJob, makeProfile, motifItem, mug, textItem, tumbler, wave } from '../../../test/jobs.ts';
import { testFonts } from '../../../test/fonts.ts';
import type { ArtworkItem } from '../../model/item.ts';
import type { Blank } from '../../model/blank.ts';
import { flattenPath } from '../../plane/flatten.ts';
import type { Wrap } from '../../pieces/wrap.ts';
import { deriveWrap } from '../../pieces/wrap.ts';
import type { Seam } from '../../model/seam.ts';
import { PLAIN_SEAM } from '../plain-seam.ts';
import type { Piece } from '../../pieces/pieces.ts';
import { seamAt } from '../path.ts';

function wrapOf(blank: Blank, items: ArtworkItem[], seam: Partial<Seam> = {}): Wrap {
  const derived = deriveWrap(makeJob(blank, items, { seam: { ...PLAIN_SEAM, ...seam } }), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
}
const area = (pieces: readonly Piece[]): number => pieces.reduce((sum, p) => sum + p.areaMm2, 0);
const buoys = (count: number, more: Partial<ArtworkItem> = {}): ArtworkItem =>
  motifItem('buoy', {
    widthMm: 14,
    placement: { facing: 'angle', angleDeg: 180, from: 'middle', mm: 0, turnDeg: 0 },
    repeat: { mode: 'spaced', count },
    ...(more as object),
  });

describe('a wandering seam', () => {
  it('cuts nothing where a straight one cuts a buoy, and loses no film', () => {
    const straight = wrapOf(tumbler(), [buoys(9)]);
    const wandering = wrapOf(tumbler(), [buoys(9)], { way: 'wandering' });
    expect(straight.cuts).toMatchObject([{ seam: 0, itemId: 'motif-1', copy: 0 }]);
    expect(straight.pieces.some((p) => p.cutAt !== null)).toBe(true);
    expect(wandering.seams[0]!.free).toBe(true);
    expect(wandering.cuts).toEqual([]);
    expect(wandering.pieces.every((p) => p.cutAt === null)).toBe(true);
    expect(area(wandering.pieces)).toBeCloseTo(area(straight.pieces), 1);
  });

  it('has two ends that fall on one another when the outline is laid on the blank again', () => {
    // A second row, half a step on, so that no straight line runs through.
    const half = buoys(9, {
      id: 'm2',
      placement: { facing: 'angle', angleDeg: 200, from: 'middle', mm: 30, turnDeg: 0 },
    });
    const { panels, frames, seams } = wrapOf(tumbler(), [buoys(9), half], { way: 'wandering' });
    const frame = frames[0]!;
    const outline = flattenPath(panels[0]!.outlines[0]!, 0.001);
    let [left, right] = [0, 0];
    for (let i = 0; i < outline.length; i += 2) {
      const spot = frame.inverse(outline[i]!, outline[i + 1]!)!;
      const off = (azimuth: number): number => Math.abs(azimuth - seamAt(seams[0]!.path, spot.slant)) * 39;
      if (off(spot.azimuth) < 0.05) left += 1;
      else if (off(spot.azimuth - 2 * Math.PI) < 0.05) right += 1;
      // All else is the rim edge or the base edge.
      else expect(Math.min(Math.abs(spot.slant), Math.abs(spot.slant - 168))).toBeLessThan(0.02);
    }
    expect(Math.min(left, right)).toBeGreaterThanOrEqual(3);
    expect(seams[0]!.wanderMm).toBeGreaterThan(0.1);
  });

  it('cuts a band that goes all round at one height on both ends', () => {
    const { pieces } = wrapOf(tumbler(), [wave(9), buoys(9)], { way: 'wandering' });
    const band = pieces.find((p) => p.itemIds[0] !== 'motif-1')!;
    expect(band.cutAt).toBe('both');
  });
});

describe('panels', () => {
  it.each([2, 3, 4])('in %i hold all the film between them, each as a sheet of its own', (panels) => {
    const items = [buoys(12), wave(12)];
    const whole = wrapOf(tumbler(), items);
    const parts = wrapOf(tumbler(), items, { panels });
    expect(parts.frames).toHaveLength(panels);
    expect(parts.panels.map((p) => p.name)).toEqual(
      Array.from({ length: panels }, (_, i) => `panel ${i + 1} of ${panels}`),
    );
    expect(area(parts.pieces)).toBeCloseTo(area(whole.pieces), 0);
    for (const piece of parts.pieces) {
      const { bounds } = parts.panels[Number(piece.part.slice('panel-'.length)) - 1]!;
      expect(piece.flatBox.minX).toBeGreaterThan(bounds.minX - 0.01);
      expect(piece.flatBox.maxX).toBeLessThan(bounds.maxX + 0.01);
    }
    // Each is about its share of the way round, and they do not lie on one another.
    parts.panels.forEach(({ bounds }, i) => {
      expect(bounds.maxX - bounds.minX).toBeLessThan(276 / panels + 0.01);
      if (i > 0) expect(bounds.minX).toBeGreaterThan(parts.panels[i - 1]!.bounds.maxX + 5);
    });
  });

  it('part a mug opposite its handle, whose ends stay where they were', () => {
    const whole = wrapOf(mug(), [wave(7)]);
    const parts = wrapOf(mug(), [wave(7)], { panels: 2 });
    expect(parts.seams).toHaveLength(1);
    expect(seamAt(parts.seams[0]!.path, 40)).toBeCloseTo(0, 9);
    expect(area(parts.pieces)).toBeCloseTo(area(whole.pieces), 1);
    // 258 mm round less 24 mm of handle, in two.
    for (const { bounds } of parts.panels) expect(bounds.maxX - bounds.minX).toBeCloseTo(117, 6);
  });

  it('lap each over the next', () => {
    const { panels } = wrapOf(mug({ handleWidthMm: 0 }), [], { panels: 3, lapMm: 2 });
    for (const { bounds } of panels) expect(bounds.maxX - bounds.minX).toBeCloseTo(86 + 2, 6);
  });
});

describe('pieces that a seam cuts', () => {
  const atBack = (): ArtworkItem => buoys(1);

  it('are split with a lap of a millimetre along the cut', () => {
    const butt = wrapOf(tumbler(), [atBack()]);
    const split = wrapOf(tumbler(), [atBack()], { atSeam: [{ itemId: 'motif-1', copy: 0, do: 'overlap' }] });
    expect(area(split.pieces) - area(butt.pieces)).toBeGreaterThan(0.9 * butt.cuts[0]!.cutMm);
    expect(area(split.pieces) - area(butt.pieces)).toBeLessThan(1.1 * butt.cuts[0]!.cutMm);
  });

  it('are left off the wrap and cut beside it', () => {
    const three = wrapOf(tumbler(), [buoys(3)]);
    const left = wrapOf(tumbler(), [buoys(3)], { atSeam: [{ itemId: 'motif-1', copy: 0, do: 'leave-off' }] });
    const spares = left.pieces.filter((p) => p.spare);
    expect(spares.length).toBeGreaterThan(0);
    expect(area(spares)).toBeCloseTo(area(three.pieces) / 3, 1);
    expect(area(left.pieces)).toBeCloseTo(area(three.pieces), 1);
    for (const { flatBox, part } of spares) {
      expect(part).toBe('spares');
      expect(flatBox.maxY).toBeLessThan(left.panels[0]!.bounds.minY);
    }
  });

  it('come with as many spares as are asked for', () => {
    const { pieces } = wrapOf(tumbler(), [textItem('I', { spares: 3 })]);
    expect(pieces.filter((p) => p.spare)).toHaveLength(3);
    expect(pieces.filter((p) => !p.spare)).toHaveLength(1);
    for (const spare of pieces.filter((p) => p.spare)) expect(spare.areaMm2).toBeCloseTo(pieces[0]!.areaMm2, 0);
  });
});

describe('bands and gores', () => {
  // A zone of a ball of 40 mm radius about its equator: r = √(40² − h²).
  const stations = Array.from({ length: 9 }, (_, i) => -24 + 6 * i).map(
    (h) => [h + 24, 2 * Math.PI * Math.sqrt(1600 - h * h)] as const,
  );
  const ballish = (way: 'bands' | 'gores', parts: number): Blank =>
    makeProfile(stations, {
      stationsAlong: 'upright',
      flattening: { way, parts, keep: null, patchMm: null, patchUpDeg: 0 },
    });
  const girdle = wave(8, {
    heightMm: 30,
    placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 },
  });

  it('cut a girdle into a piece for each gore, as wide as the way round has it', () => {
    const { pieces, frames, surface } = wrapOf(ballish('gores', 10), [girdle]);
    expect(frames).toHaveLength(10);
    expect(pieces).toHaveLength(10);
    const widest = 2 * Math.PI * surface.radiusAt(surface.slantLength / 2);
    for (const piece of pieces) {
      expect(piece.cutAt).toBe('both');
      expect(piece.flatBox.maxX - piece.flatBox.minX).toBeCloseTo(widest / 10, 1);
    }
  });

  it('cut a piece where two bands meet, with its edge true in both', () => {
    const { pieces, frames } = wrapOf(ballish('bands', 2), [motifItem('buoy', { widthMm: 16 })]);
    expect(frames.map((f) => f.part)).toEqual(['band-1', 'band-2']);
    const upper = pieces.filter((p) => p.part === 'band-1');
    const lower = pieces.filter((p) => p.part === 'band-2');
    expect(upper.some((p) => p.cutAcross) && lower.some((p) => p.cutAcross)).toBe(true);
    const joint = frames[0]!.slant[1];
    expect(Math.max(...upper.map((p) => p.slants[1]))).toBeCloseTo(joint, 3);
    expect(Math.min(...lower.map((p) => p.slants[0]))).toBeCloseTo(joint, 3);
  });
});

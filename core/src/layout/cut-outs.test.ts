import { describe, expect, it } from 'vitest';
import { makeJob, motifItem, plate, textItem, tumbler } from '../../test/jobs.ts';
import { testFonts } from '../../test/fonts.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import { type OutlineActs } from '../model/item.ts';
import type { ArtworkItem } from '../model/item.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import { itemParts } from './item-parts.ts';
import type { Piece } from '../pieces/pieces.ts';

function piecesOf(...items: ArtworkItem[]): readonly Piece[] {
  const derived = deriveWrap(makeJob(tumbler(), items), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap.pieces;
}
const area = (pieces: readonly Piece[]): number => pieces.reduce((sum, p) => sum + p.areaMm2, 0);
const acts = (part: Partial<OutlineActs>): OutlineActs => ({ ...NO_ACTS, ...part });
const at = (angleDeg: number, mm = 0) => ({ facing: 'angle', angleDeg, from: 'middle', mm, turnDeg: 0 }) as const;

describe('outline acts between items', () => {
  const hole = plate('hole', 20, 10);

  it('cut one away from another, and both lie as they did', () => {
    const cut = plate('a', 60, 40, { acts: acts({ cutAway: ['hole'] }) });
    const pieces = piecesOf(cut, hole);
    expect(area(pieces.filter((p) => p.itemIds[0] === 'a'))).toBeCloseTo(60 * 40 - 20 * 10, 0);
    expect(area(pieces.filter((p) => p.itemIds[0] === 'hole'))).toBeCloseTo(200, 0);
    expect(pieces.find((p) => p.itemIds[0] === 'a')!.paths).toHaveLength(2);
  });

  it('keep only what is inside, of what stands over its edge', () => {
    const half = plate('b', 60, 40, { placement: at(0, 25), acts: acts({ onlyInside: 'hole' }) });
    // It covers the lower half of the hole: its upper edge is 25 − 20 = 5 mm below the middle, the hole ends there.
    expect(piecesOf(half, hole).filter((p) => p.itemIds[0] === 'b')).toEqual([]);
    const third = plate('b', 60, 40, { placement: at(0, 20), acts: acts({ onlyInside: 'hole' }) });
    expect(area(piecesOf(third, hole).filter((p) => p.itemIds[0] === 'b'))).toBeCloseTo(20 * 5, 0);
  });

  it('reach across the back, where the one is a whole turn from the other', () => {
    const cut = plate('a', 40, 30, { placement: at(180), acts: acts({ cutAway: ['hole'] }) });
    const there = { ...hole, placement: at(-180) };
    expect(area(piecesOf(cut, there).filter((p) => p.itemIds[0] === 'a'))).toBeCloseTo(1200 - 200, 0);
  });

  it('leave out what only shapes others, and never cut a thing away from itself', () => {
    const cut = plate('a', 60, 40, { acts: acts({ cutAway: ['hole', 'a', 'gone'] }) });
    const pieces = piecesOf(cut, { ...hole, acts: acts({ shapesOnly: true }) });
    expect(pieces.map((p) => p.itemIds[0])).toEqual(['a']);
    expect(area(pieces)).toBeCloseTo(2200, 0);
  });
});

describe('outline acts on one item', () => {
  it('thicken by a distance all round, with round corners', () => {
    // A rectangle grown by d has area wh + 2d(w + h) + πd².
    const [piece] = piecesOf(plate('a', 30, 20, { acts: acts({ thickenMm: 2 }) }));
    expect(piece!.areaMm2).toBeCloseTo(600 + 2 * 2 * 50 + Math.PI * 4, 0);
  });

  it('thin by a distance, and what is narrower is gone', () => {
    expect(area(piecesOf(plate('a', 30, 20, { acts: acts({ thickenMm: -2 }) })))).toBeCloseTo(26 * 16, 1);
    expect(piecesOf(plate('a', 30, 3.9, { acts: acts({ thickenMm: -2 }) }))).toEqual([]);
  });

  it('fill the counters of letters', () => {
    const [o] = piecesOf(textItem('O', { acts: acts({ fillHoles: true }) }));
    const [open] = piecesOf(textItem('O'));
    expect([o!.paths.length, open!.paths.length]).toEqual([1, 2]);
    expect(o!.areaMm2).toBeGreaterThan(open!.areaMm2 + 10);
  });

  it('drop the parts that hold a spot, at any size, and leave the rest where it was', () => {
    const buoy = motifItem('buoy');
    const { parts } = itemParts(buoy, testFonts);
    expect(parts.length).toBeGreaterThan(1);
    const all = piecesOf(buoy);
    for (const widthMm of [30, 55]) {
      const fewer = piecesOf(motifItem('buoy', { widthMm, acts: acts({ dropped: [parts[0]!.spot] }) }));
      expect(fewer).toHaveLength(all.length - 1);
      const rest = piecesOf(motifItem('buoy', { widthMm })).filter((p) =>
        fewer.some((f) => Math.abs(f.areaMm2 - p.areaMm2) < 0.01 && Math.abs(f.flatBox.minY - p.flatBox.minY) < 0.01),
      );
      expect(rest).toHaveLength(all.length - 1);
    }
    expect(
      itemParts(motifItem('buoy', { acts: acts({ dropped: [parts[0]!.spot] }) }), testFonts).parts[0]!.dropped,
    ).toBe(true);
  });
});

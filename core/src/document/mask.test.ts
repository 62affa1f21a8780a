import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, textItem } from '../../test/jobs.ts';
import { deriveWrap } from '../wrap/derive.ts';
import { MASK_MARGIN_MM, maskRound } from './mask.ts';

const flask = makeBlank({ girthRim: 228, side: 150 });
const wrapOf = (items: Parameters<typeof makeJob>[1]) => {
  const derived = deriveWrap(makeJob(flask, items), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
};
const mask = (items: Parameters<typeof makeJob>[1]) => {
  const placed = wrapOf(items).placed.map((p) => ({
    itemId: p.item.id,
    copies: p.copies,
    widthMm: p.box.maxX - p.box.minX,
    slants: p.slants,
  }));
  return maskRound(items, placed, { length: 150, girth: 228 }, 'reed', 'mask');
};

describe('maskRound', () => {
  const words = textItem('BOW', { placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 40, turnDeg: 0 } });

  it('reaches up to the rim edge and the margin past the design, with the design cut out and its counters left', () => {
    const design = wrapOf([words]);
    const { pieces } = wrapOf([...mask([words])]);
    const film = design.pieces.reduce((sum, p) => sum + p.areaMm2, 0);
    const plate = pieces.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    const [low, high] = [design.pieces[0]!.flatBox.minX, design.pieces.at(-1)!.flatBox.maxX];
    expect(plate.slants[0]).toBeCloseTo(0, 2);
    expect(plate.slants[1]).toBeCloseTo(Math.max(...design.pieces.map((p) => p.slants[1])) + MASK_MARGIN_MM, 2);
    expect(plate.flatBox.maxX - plate.flatBox.minX).toBeCloseTo(high - low + 2 * MASK_MARGIN_MM, 1);
    // B has two counters and O one: three islands beside the plate.
    expect(pieces).toHaveLength(1 + 3);
    const whole = (plate.flatBox.maxX - plate.flatBox.minX) * (plate.slants[1] - plate.slants[0]);
    expect(pieces.reduce((sum, p) => sum + p.areaMm2, 0)).toBeCloseTo(whole - film, 0);
  });

  it('goes all round where the design does', () => {
    const round = { ...words, repeat: { mode: 'spaced', count: 5 } } as const;
    const { pieces } = wrapOf([...mask([round])]);
    const plate = pieces.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    expect(plate.flatBox.maxX - plate.flatBox.minX).toBeCloseTo(228, 1);
    expect(plate.cutAt).toBe('both');
  });

  it('changes nothing where nothing is placed', () => {
    const empty = [textItem(' ')];
    expect(mask(empty)).toBe(empty);
  });
});

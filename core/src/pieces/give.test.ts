import { describe, expect, it } from 'vitest';
import { findingsOf, projectOf } from '../../test/findings.ts';
import { makeBlank, makeJob, plate } from '../../test/jobs.ts';
import type { ArtItem } from '../model/item.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import type { Polygon } from '../polygon/polygon.ts';
import { polygonArea } from '../polygon/polygon.ts';
import { neededOf } from './give.ts';
import type { Piece } from './pieces.ts';

const circle = (radius: number, turn: 1 | -1): Float64Array =>
  Float64Array.from({ length: 720 }, (_, i) => {
    const angle = (turn * 2 * Math.PI * Math.floor(i / 2)) / 360;
    return radius * (i % 2 ? Math.sin(angle) : Math.cos(angle));
  });
const pieceOf = (flat: Polygon): Piece =>
  ({
    flat,
    flatBox: boxOfCoordinates(flat.outer),
    slants: [0, 0],
    areaMm2: polygonArea(flat),
  }) as Partial<Piece> as Piece;
const K = 1 / 40 ** 2;

describe('what a piece needs on a double curve', () => {
  it('is the larger of what its body and what its loop asks, not both', () => {
    // 32 mm across with a hole of 16: net π(16² − 8²), so K·24 · (4/3 + 0.6·√¼) = 39.2 K for the loop; the band of 8 mm
    // alone would ask 64/8 K at most.
    const ring = pieceOf({ outer: circle(16, 1), holes: [circle(8, -1)] });
    expect(neededOf(ring, () => K)).toBeCloseTo(39.2 * K, 4);
    // With a pinhole of 1 mm across the body asks more: near a²/6, more than the loop's K·16²/8 · (4/3 + 0.6/32).
    const disk = pieceOf({ outer: circle(16, 1), holes: [circle(0.5, -1)] });
    const loop = (((16 ** 2 - 0.25) * (4 / 3 + 0.6 / 32)) / 8) * K;
    expect(neededOf(disk, () => K)).toBeCloseTo(loop, 5);
    expect(neededOf(pieceOf({ outer: circle(16, 1), holes: [] }), () => K) / ((K * 16 ** 2) / 6)).toBeCloseTo(1, 1);
  });

  it('is said to be more at sharp inner corners, just within what the film gives', () => {
    const ball = makeBlank({ girth: 300 }, { kind: 'ball' });
    /** Two bars of 36 × 16 mm that cross, and the one bar alone. */
    const cross = 'M-18 -8H-8V-18H8V-8H18V8H8V18H-8V8H-18Z';
    const shaped = (pathData: string, wide: number): ArtItem => {
      const one = plate('one', 36, 36, { running: 'rigid' });
      return { ...one, pathData, widthMm: wide } as ArtItem;
    };
    const seen = (item: ArtItem) => findingsOf(projectOf(makeJob(ball, [item])), 'wrinkle');
    const cases = [36, 46, 56].map((wide) => seen(shaped(cross, wide)).map((f) => `${f.case} ${f.severity}`)[0]);
    expect(cases).toEqual([undefined, 'corner look', 'broad look']);
    // Half as much again: of the 2 % that it gives from 1.333 % on, which grows with the square of the size.
    const [at46] = seen(shaped(cross, 46));
    const limit = 46 * Math.sqrt(2 / 1.5 / at46!.numbers['needed']!);
    expect(seen(shaped(cross, 0.99 * limit))).toEqual([]);
    expect(seen(shaped(cross, 1.01 * limit))).toMatchObject([{ case: 'corner' }]);
    expect([36, 46, 52].map((wide) => seen(shaped('M-18 -8H18V8H-18Z', wide))).flat()).not.toContainEqual(
      expect.objectContaining({ case: 'corner' }),
    );
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ringArea } from '../polygon/polygon.ts';
import { goreOf } from './gores.ts';
import { profileOf } from './profile.ts';

const bowl = profileOf(
  [300, 320, 318, 280, 200].map((girth, i) => ({ down: 22 * i, girth })),
  'upright',
);

describe('goreOf', () => {
  it('closes: side by side the strips are every girth exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 24 }), fc.double({ min: 0, max: 1, noNaN: true }), (count, part) => {
        const slant = part * bowl.sideLength;
        expect(count * goreOf(bowl, count).widthAt(slant)).toBeCloseTo(2 * Math.PI * bowl.radiusAt(slant), 9);
      }),
    );
  });

  it('is outlined as wide and as long as it is, counter-clockwise', () => {
    const gore = goreOf(bowl, 8, 0.5);
    const xs = [...gore.outline].filter((_, i) => i % 2 === 0);
    const ys = [...gore.outline].filter((_, i) => i % 2 === 1);
    expect(Math.min(...ys)).toBeCloseTo(-bowl.sideLength, 9);
    expect(Math.max(...ys)).toBeCloseTo(0, 9);
    expect(Math.max(...xs)).toBeCloseTo(-Math.min(...xs), 9);
    // Area by the trapezoid rule over the same rows.
    const rows = gore.outline.length / 4 - 1;
    const row = (i: number): number => gore.widthAt((bowl.sideLength * i) / rows);
    const sum = Array.from({ length: rows }, (_, i) => (row(i) + row(i + 1)) / 2).reduce((a, b) => a + b, 0);
    expect(ringArea(gore.outline)).toBeCloseTo((sum * bowl.sideLength) / rows, 6);
  });

  it('pushes its edges together less the narrower it is, and not at all where the girth stands still', () => {
    const at = 0.9 * bowl.sideLength;
    const strains = [4, 8, 16].map((count) => goreOf(bowl, count).edgeStrainAt(at));
    expect(strains[0]).toBeLessThan(strains[1]!);
    expect(strains[1]).toBeLessThan(strains[2]!);
    expect(strains[2]).toBeLessThan(0);
    // Halving the width quarters it, near enough.
    expect(strains[0]! / strains[1]!).toBeCloseTo(4, 0);
    const straight = profileOf(
      [
        { down: 0, girth: 250 },
        { down: 90, girth: 250 },
      ],
      'side',
    );
    expect(goreOf(straight, 6).edgeStrainAt(40)).toBeCloseTo(0, 12);
  });

  it('refuses fewer than two, and halves', () => {
    expect(() => goreOf(bowl, 1)).toThrow(RangeError);
    expect(() => goreOf(bowl, 2.5)).toThrow(RangeError);
  });
});

import { describe, expect, it } from 'vitest';
import { boxesTouch, boxHeight, boxOfCoordinates, boxWidth, EMPTY_BOX, isEmptyBox, joinBoxes } from './box.ts';
import { resampleRing } from './resample.ts';

describe('resampleRing', () => {
  const square = Float64Array.from([0, 0, 30, 0, 30, 30, 0, 30]);

  it('leaves straight edges of a linear map alone but for the longest step', () => {
    const mapped = resampleRing(square, (x, y, out) => out.set([2 * x, 3 * y]), 0.01, 100);
    expect([...mapped]).toEqual([0, 0, 60, 0, 60, 90, 0, 90]);
  });

  it('follows a bent edge to the error asked for', () => {
    // Bent onto a circle of radius 50: a chord may dip by the error and no more.
    const mapped = resampleRing(
      square,
      (x, y, out) => out.set([(50 + y) * Math.sin(x / 50), (50 + y) * Math.cos(x / 50)]),
      0.01,
    );
    let worst = 0;
    for (let i = 0; i < mapped.length; i += 2) {
      const j = (i + 2) % mapped.length;
      const radii = [Math.hypot(mapped[i]!, mapped[i + 1]!), Math.hypot(mapped[j]!, mapped[j + 1]!)];
      if (Math.abs(radii[0]! - radii[1]!) > 1e-9) continue;
      worst = Math.max(
        worst,
        radii[0]! - Math.hypot((mapped[i]! + mapped[j]!) / 2, (mapped[i + 1]! + mapped[j + 1]!) / 2),
      );
    }
    expect(worst).toBeLessThanOrEqual(0.01);
    expect(worst).toBeGreaterThan(0.001);
  });

  it('stops at its depth where a map jumps', () => {
    const mapped = resampleRing(square, (x, y, out) => out.set([x < 15 ? 0 : 1000, y]), 1e-6);
    expect(mapped.length).toBeLessThan(2000);
  });

  it('keeps nothing of nothing', () => {
    expect(resampleRing(new Float64Array(0), () => undefined)).toHaveLength(0);
  });
});

describe('boxes', () => {
  it('grow, join and touch', () => {
    const a = boxOfCoordinates([0, 0, 4, 3]);
    const b = boxOfCoordinates([6, 1, 7, 2]);
    expect([boxWidth(a), boxHeight(a)]).toEqual([4, 3]);
    expect(boxesTouch(a, b)).toBe(false);
    expect(boxesTouch(a, b, 2)).toBe(true);
    expect(joinBoxes(a, b)).toEqual({ minX: 0, minY: 0, maxX: 7, maxY: 3 });
    expect(isEmptyBox(EMPTY_BOX)).toBe(true);
    expect(joinBoxes(EMPTY_BOX, a)).toEqual(a);
  });
});

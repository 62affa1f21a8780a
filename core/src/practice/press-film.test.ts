import { describe, expect, it } from 'vitest';
import { judgePressFilm, makePressFilm, type Pressing, type PressTask, takeUp } from './press-film.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import { coneDevelopment } from '../surface/cone.ts';

/** Presses a whole sheet on, spot after spot, in the order of some measure. */
function pressAll(task: PressTask, askew: number, far: (x: number, y: number) => number): Pressing {
  const pressing = takeUp(task, askew);
  const { flat } = pressing.sheet;
  const spots = Array.from({ length: flat.length / 2 }, (_, i) => [flat[2 * i]!, flat[2 * i + 1]!] as const);
  for (const [x, y] of spots.sort((a, b) => far(...a) - far(...b))) pressing.press(x, y);
  return pressing;
}
const task = (what: PressTask['what']): PressTask => makePressFilm([1, 2, 4, 6, 8, 10, 12].find((seed) => makePressFilm(seed).what === what)!); // prettier-ignore
const fromMiddle = (x: number, y: number): number => Math.hypot(x, y);

describe('film that is pressed on by hand', () => {
  it('makes the same of a seed, a wrap of every other', () => {
    expect(makePressFilm(5)).toMatchObject({ what: 'wrap', hangs: makePressFilm(5).hangs });
    expect([1, 3, 5].map((seed) => makePressFilm(seed).what)).toEqual(['wrap', 'wrap', 'wrap']);
    expect([2, 4, 6].map((seed) => makePressFilm(seed).what)).not.toContain('wrap');
  });

  it('a wrap on a taper steps by what it was started off true, in whatever order it is pressed on', () => {
    const wrap = task('wrap');
    const middle = (x: number): number => Math.abs(x);
    // Film that is not stretched keeps its flat: on the cup's own it is turned about the middle of its box.
    const flat = coneDevelopment(wrap.cone!);
    const bounds = boxOfCoordinates(wrap.piece.outer);
    const [cx, cy, sin, cos] = [
      (bounds.minX + bounds.maxX) / 2,
      (bounds.minY + bounds.maxY) / 2,
      Math.sin(0.02),
      Math.cos(0.02),
    ];
    const [left, right] = [-Math.PI, Math.PI].map((u) => {
      const { x, y } = flat.forward(u, 0);
      return flat.onward(cx + cos * (x - cx) - sin * (y - cy), cy + sin * (x - cx) + cos * (y - cy), 6)!.slant;
    });
    const exact = left! - right!;
    expect(Math.abs(exact)).toBeGreaterThan(3);
    for (const far of [middle, (x: number) => x]) {
      const pressing = pressAll(wrap, 0.02, far);
      expect(Math.abs(pressing.step()! - exact)).toBeLessThan(0.05);
      expect(pressing.tallest()).toBe(0);
    }
    const askew = judgePressFilm(wrap, pressAll(wrap, 0.02, middle), 0.02, 'mm')!;
    expect(askew.why[0]).toBe('The far end climbs');
    expect(askew.score).toBeLessThan(80);
    const best = judgePressFilm(wrap, pressAll(wrap, 0, middle), 0, 'mm')!;
    expect(best).toMatchObject({ score: 100, why: ['The ends meet', expect.any(String)] });
  });

  it('a disk on a ball lies as well as it can from its middle, and tents from one side', () => {
    const disk = task('disk');
    const well = judgePressFilm(disk, pressAll(disk, 0, fromMiddle), 0, 'mm')!;
    expect(well.score).toBeGreaterThan(80);
    const badly = judgePressFilm(
      disk,
      pressAll(disk, 0, (x) => x),
      0,
      'mm',
    )!;
    expect(badly.why[0]).toBe('It tents');
    expect(badly.score).toBeLessThan(well.score - 30);
  });

  it('is not judged while some of it hangs', () => {
    const pressing = takeUp(task('disk'), 0);
    expect(pressing.left()).toBeCloseTo(1, 9);
    expect(pressing.press(0, 0)).toBe(true);
    expect(pressing.press(0, 0)).toBe(false);
    expect(pressing.left()).toBeLessThan(1);
    expect(judgePressFilm(task('disk'), pressing, 0, 'mm')).toBeNull();
  });
});

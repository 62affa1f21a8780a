import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { REFERENCE_RADIUS, REFERENCE_SHAPES, WINDOW_MM } from '../../test/film-shapes.ts';
import type { Polygon } from '../polygon/polygon.ts';
import { relaxed } from './lay.ts';
import { meshOf } from './sheet.ts';
import { ballSide, type TurnedSide } from './side.ts';
import { mapOf } from './tents.ts';

/** Made by another method: see `scripts/film-reference.ts`. */
const REFERENCE = JSON.parse(readFileSync(new URL('../../test/golden/film-reference.json', import.meta.url), 'utf8')) as { name: string; on: 'ball' | 'neck'; mean: number; peak: number }[]; // prettier-ignore
const R = REFERENCE_RADIUS;
/** A waist that bends by −1/R² everywhere: r″ = r/R². */
const neck: TurnedSide = { radiusAt: (s) => R * Math.cosh(s / R), slopeAt: (s) => Math.sinh(s / R), bendAt: (s) => Math.cosh(s / R) / R }; // prettier-ignore
/** Film that gives as far as one likes is as elastic as the reference. */
const ELASTIC = { stretch: 1, squeeze: 1 };

/** Squeeze of a sheet that lies without being held: its mean, and the most that a window sees. */
function squeezeOf(piece: Polygon, side: TurnedSide, edge: number): { mean: number; peak: number } {
  const sheet = meshOf(piece, edge);
  const { membrane, at } = relaxed(sheet, side, ELASTIC, { flat: [0, 0], azimuth: 0, slant: 0, askew: 0 });
  const { push } = mapOf(sheet, membrane, at);
  const middles = Array.from(push, (_, t) => [0, 1].map((c) => [0, 1, 2].reduce((sum, k) => sum + sheet.flat[2 * sheet.triangles[3 * t + k]! + c]! / 3, 0)) as [number, number]); // prettier-ignore
  let [area, sum, peak] = [0, 0, 0];
  push.forEach((strain, t) => {
    area += membrane.areas[t]!;
    sum += membrane.areas[t]! * Math.max(0, -strain);
    let [near, mean] = [0, 0];
    middles.forEach(([x, y], other) => {
      if (Math.hypot(x - middles[t]![0], y - middles[t]![1]) > WINDOW_MM) return;
      near += membrane.areas[other]!;
      mean += membrane.areas[other]! * Math.max(0, -push[other]!);
    });
    peak = Math.max(peak, mean / near);
  });
  return { mean: sum / area, peak };
}

describe('a sheet that finds its rest at once', () => {
  it.each(REFERENCE)('agrees with a linear reference: $name on a $on', ({ name, on, mean, peak }) => {
    const { piece } = REFERENCE_SHAPES.find((shape) => shape.name === name)!;
    const side = on === 'ball' ? ballSide(R) : neck;
    // Triangles of one strain each see a narrow arm in steps: what a mesh twice as fine changes is a third of what is left.
    const edge = ['disk', 'strip', 'square'].includes(name) ? 1.6 : 1.2;
    const [coarse, found] = [squeezeOf(piece, side, edge), squeezeOf(piece, side, edge / 2)];
    const told = found.mean + (found.mean - coarse.mean) / 3;
    expect(Math.abs(told / mean - 1)).toBeLessThan(0.05);
    expect(Math.abs(found.peak / peak - 1)).toBeLessThan(0.1);
  });

  it('comes nearer with every finer mesh, as the square of its edges', () => {
    // Mean squeeze of a disk with edges h, h/2 and h/4: what is left shrinks fourfold each time (Richardson).
    const { piece } = REFERENCE_SHAPES[0]!;
    const [coarse, middle, fine] = [3.2, 1.6, 0.8].map((edge) => squeezeOf(piece, ballSide(R), edge).mean) as [number, number, number]; // prettier-ignore
    const limit = fine + (fine - middle) / 3;
    expect(Math.abs(limit / REFERENCE[0]!.mean - 1)).toBeLessThan(0.02);
    expect(Math.abs(fine - limit)).toBeLessThan(Math.abs(middle - limit));
    expect(Math.abs(middle - limit)).toBeLessThan(Math.abs(coarse - limit));
  });
});

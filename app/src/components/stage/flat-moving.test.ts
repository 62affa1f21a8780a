import { coneDevelopment, type PieceViewModel } from '@mivet/core';
import { mount } from '@vue/test-utils';
import { createPinia } from 'pinia';
import { describe, expect, it } from 'vitest';
import FlatMoving from './FlatMoving.vue';

/** A cup of 280 mm round the rim and 200 mm round the base, 150 mm down its side. */
const surface = coneDevelopment({ girthRim: 280, girthBase: 200, side: 150 });
const piece = (azimuths: readonly [number, number], slants: readonly [number, number]): PieceViewModel =>
  ({ id: 'p', film: 'f', data: 'M0 0L1 0L1 1Z', cutAt: null, azimuths, slants, itemIds: ['i'] }) as unknown as PieceViewModel; // prettier-ignore

/** Where a transform of SVG takes a point of the template, mm, y up: translate, then rotate about a point. */
function moved(transform: string, { x, y }: { x: number; y: number }): [number, number] {
  const [dx, dy, deg, cx, cy] = [...transform.matchAll(/-?[\d.]+(?:e-?\d+)?/g)].map(Number) as [number, number, number, number, number]; // prettier-ignore
  const [a, rx, ry] = [(deg * Math.PI) / 180, x - cx, -y - cy];
  return [cx + rx * Math.cos(a) - ry * Math.sin(a) + dx, -(cy + rx * Math.sin(a) + ry * Math.cos(a) + dy)];
}

function transformOf(by: { azimuth: number; slant: number }, held = piece([-0.4, 0.8], [20, 90])): string {
  const view = mount(FlatMoving, {
    props: { pieces: [held], films: [], surface, by },
    global: { plugins: [createPinia()] },
  });
  return view.get('g > g').attributes('transform')!;
}

describe('what is held', () => {
  it('is turned about the cone’s point when it goes round: every spot of it lies where film would', () => {
    const by = { azimuth: 0.7, slant: 0 };
    const transform = transformOf(by);
    for (const [azimuth, slant] of [
      [-0.4, 20],
      [0.8, 90],
      [0.1, 55],
    ] as const) {
      const to = surface.forward(azimuth + by.azimuth, slant);
      const [x, y] = moved(transform, surface.forward(azimuth, slant));
      expect(x).toBeCloseTo(to.x, 6);
      expect(y).toBeCloseTo(to.y, 6);
    }
  });

  it('has its middle where the hand has it, and its length, when it goes down as well', () => {
    const by = { azimuth: -0.3, slant: 18 };
    const transform = transformOf(by);
    const to = surface.forward(0.2 + by.azimuth, 55 + by.slant);
    const [x, y] = moved(transform, surface.forward(0.2, 55));
    expect(x).toBeCloseTo(to.x, 6);
    expect(y).toBeCloseTo(to.y, 6);
    const [a, b] = [moved(transform, { x: 0, y: 0 }), moved(transform, { x: 30, y: 40 })];
    expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeCloseTo(50, 6);
  });
});

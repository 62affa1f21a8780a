import { describe, expect, it } from 'vitest';
import { boxAround, freeWindow, roomAround, type RoomSide } from './room.ts';
import type { SnapBox, SnapOther } from './snap.ts';

/** 90 mm high, a radian of it 40 mm; film keeps 10 mm from the rim and 5 mm from the base; a handle 16 mm wide. */
const mug: RoomSide = {
  side: 90,
  radiusAt: () => 40,
  closed: true,
  hasHandle: true,
  hand: 'left',
  rim: 10,
  base: 5,
  glance: 0.9,
  handleMm: 16,
  handleClear: 3,
};
const box: SnapBox = { azimuth: 0.5, slant: 50, widthMm: 20, heightMm: 12 };
const star = (more: Partial<SnapOther>): SnapOther => ({ ...box, name: 'the star', allRound: false, ...more });
const told = (others: readonly SnapOther[] = [], side = mug, own = box): string[] =>
  roomAround(own, others, side).map(({ way, mm, to }) => `${way} ${mm.toFixed(2)} to ${to}`);

describe('the room about an item', () => {
  it('is told to rim, base and handle', () => {
    // 50 − 6 down to its top; 90 − 56 below it. 40 (0.5 + π − 0.2) − 10 to the left, 40 (π − 0.2 − 0.5) − 10 to the right.
    expect(told()).toEqual([
      'up 44.00 to the rim edge',
      'down 34.00 to the base edge',
      'left 127.66 to the handle',
      'right 87.66 to the handle',
    ]);
  });

  it('ends at neighbours that share its level or its meridian, and at no others', () => {
    // 1.5 rad to the right of it, 8 mm wide: 60 − 4 − 10. One above it, 10 high, whose foot is at 25. One far off either way.
    const right = star({ azimuth: 2, widthMm: 8 });
    const above = star({ azimuth: 0.6, slant: 20, heightMm: 10, name: 'the oar' });
    const apart = star({ azimuth: -1, slant: 10, heightMm: 6 });
    expect(told([right, above, apart])).toEqual([
      'up 19.00 to the oar',
      'down 34.00 to the base edge',
      'left 127.66 to the handle',
      'right 46.00 to the star',
    ]);
    const gaps = roomAround(box, [right, above], mug);
    expect(gaps[3]!.ends).toEqual([
      { azimuth: 0.75, slant: 50 },
      { azimuth: expect.closeTo(1.9, 12), slant: 50 },
    ]);
    expect(freeWindow(box, gaps)).toEqual({
      widthMm: expect.closeTo(20 + 124.664 + 46, 3),
      heightMm: 12 + 19 + 29,
    });
  });

  it('knows a band all round above and below, and a neighbour across the back', () => {
    const wave = star({ azimuth: 0, slant: 80, heightMm: 10, widthMm: 250, allRound: true, name: 'the wave' });
    expect(told([wave])[1]).toBe('down 19.00 to the wave');
    // 1 rad, 40 mm, from the middle of a star that lies over the back: half of either, 10 mm, off it.
    const bare = { ...mug, hasHandle: false, handleMm: 0, handleClear: 0 };
    const back = { ...box, azimuth: Math.PI - 1 };
    expect(told([star({ azimuth: -Math.PI })], bare, back)[3]).toBe('right 20.00 to the star');
    // Alone it ends 40 mm, less its half, from the seam; nearer than its half it reaches past it.
    expect(told([], bare, back)[3]).toBe('right 30.00 to the seam');
    expect(told([], bare, { ...box, azimuth: Math.PI - 0.1 })[3]).toBe('right -6.00 to the seam');
  });

  it('does not end at what the item lies on', () => {
    const plate = star({ azimuth: 0.5, widthMm: 60, heightMm: 60, name: 'the plate' });
    const fish = star({ azimuth: 0.55, slant: 54, widthMm: 6, heightMm: 4, name: 'the fish' });
    expect(told([plate, fish])).toEqual(told());
  });

  it('keeps the clearance for the handle itself, whatever a thing is called', () => {
    const named = star({ azimuth: 2, widthMm: 8, name: 'the handle' });
    expect(freeWindow(box, roomAround(box, [named], mug)).widthMm).toBeCloseTo(20 + 124.664 + 46, 3);
  });

  it('ends at the edges of a face', () => {
    const face = { ...mug, closed: false, hasHandle: false, handleMm: 0, handleClear: 0 };
    expect(told([], face)).toEqual([
      'up 44.00 to the upper edge',
      'down 34.00 to the lower edge',
      'left 135.66 to the edge',
      'right 95.66 to the edge',
    ]);
  });
});

it('is one box about several things, also across the back', () => {
  // Middles 0.2 rad (8 mm) apart across the back, 20 and 10 mm wide: from −10 to 13 mm about the first one's middle.
  const a = { azimuth: Math.PI - 0.1, slant: 30, widthMm: 20, heightMm: 10 };
  const b = { azimuth: -Math.PI + 0.1, slant: 50, widthMm: 10, heightMm: 6 };
  expect(boxAround([a, b], mug)).toEqual({
    azimuth: expect.closeTo(Math.PI - 0.1 + 1.5 / 40, 9),
    slant: 39,
    widthMm: expect.closeTo(23, 9),
    heightMm: 28,
  });
  expect(boxAround([a], mug)).toEqual({
    ...a,
    azimuth: expect.closeTo(a.azimuth, 12),
    widthMm: expect.closeTo(20, 12),
  });
});

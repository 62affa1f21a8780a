import { describe, expect, it } from 'vitest';
import { plate, textItem } from '../../../test/jobs.ts';
import { boxAround } from '../../layout/room.ts';
import type { SnapBox } from '../../layout/snap.ts';
import type { ArtworkItem, Placement } from '../../model/item.ts';
import { alignTogether, factorTogether, type LaidItem, scaleTogether, spreadTogether } from './together.ts';

/** A straight side, a radian of it 40 mm, 100 mm down. */
const side = { radiusAt: () => 40, closed: true };
const hand = { hand: 'right' } as const;
const place = (azimuth: number, from: Placement['from'], mm: number): Placement =>
  ({ facing: 'angle', angleDeg: (azimuth * 180) / Math.PI, from, mm, turnDeg: 0 }); // prettier-ignore
/** A plate whose middle is at a place, counted from the rim to its top, or from the base or the middle. */
function laid(
  id: string,
  azimuth: number,
  slant: number,
  w: number,
  h: number,
  from: Placement['from'] = 'rim',
): LaidItem {
  const mm = from === 'rim' ? slant - h / 2 : from === 'base' ? 100 - slant - h / 2 : slant - 50;
  const item = { ...plate(id, w, h), heightMm: h, placement: place(azimuth, from, mm) };
  return { item, box: { azimuth, slant, widthMm: w, heightMm: h } };
}
/** Where an item lies by its placement, worked backwards: azimuth in mm of the side, its middle, and its size. */
function lies(item: ArtworkItem): [number, number, number, number] {
  if (item.type !== 'art') throw new Error('a plate is wanted');
  const { placement: p, widthMm: w, heightMm: h } = item;
  const middle = p.from === 'rim' ? p.mm + h! / 2 : p.from === 'base' ? 100 - p.mm - h! / 2 : 50 + p.mm;
  return [(p.angleDeg * Math.PI * 40) / 180, middle, w, h!].map((v) => Math.round(v * 1e6) / 1e6) as never;
}

/** 20 × 10 at 0, 20 down; 10 × 10 at 40 mm to the right, 60 down; 10 × 20 at 80 mm, 30 down. */
const three = (froms: Placement['from'][] = ['rim', 'base', 'middle']): LaidItem[] => [
  laid('a', 0, 20, 20, 10, froms[0]),
  laid('b', 1, 60, 10, 10, froms[1]),
  laid('c', 2, 30, 10, 20, froms[2]),
];

describe('several things together', () => {
  it('grow about the middle of all, whatever they are counted from', () => {
    // All of it reaches from −10 to 85 and from 15 to 65: its middle is at 37.5 and 40.
    for (const froms of [
      ['rim', 'base', 'middle'],
      ['base', 'middle', 'rim'],
      ['middle', 'rim', 'base'],
    ] as Placement['from'][][])
      // prettier-ignore
      expect(scaleTogether(three(froms), 2, side, hand).map(lies)).toEqual([
        [-37.5, 0, 40, 20],
        [42.5, 80, 20, 20],
        [122.5, 20, 20, 40],
      ]);
  });

  it('are as wide or as high as is wanted, on a tapered side too', () => {
    const boxes = three().map(({ box }) => box);
    expect(factorTogether(boxes, 'height', 75, side)).toBeCloseTo(1.5, 12);
    expect(factorTogether(boxes, 'width', 47.5, side)).toBeCloseTo(0.5, 9);
    const cone = { radiusAt: (slant: number) => 40 - slant / 5, closed: true };
    const factor = factorTogether(boxes, 'width', 60, cone);
    const grown = boxes.map((box): SnapBox => {
      const about = boxAround(boxes, cone);
      return {
        azimuth: about.azimuth + factor * (box.azimuth - about.azimuth),
        slant: about.slant + factor * (box.slant - about.slant),
        widthMm: box.widthMm * factor,
        heightMm: box.heightMm * factor,
      };
    });
    expect(boxAround(grown, cone).widthMm).toBeCloseTo(60, 2);
  });

  it('keep letters and gaps in proportion', () => {
    const words = textItem('COX', {
      size: { by: 'cap', mm: 20 },
      letterGapMm: 1,
      gapsAtMm: null,
      placement: place(0, 'rim', 10),
    });
    const box = { azimuth: 0, slant: 20, widthMm: 40, heightMm: 20 };
    const [grown] = scaleTogether([{ item: words, box }], 1.5, side, hand);
    expect(grown).toMatchObject({ size: { mm: 30 }, letterGapMm: 1.5, placement: { mm: 5 } });
  });

  it('come onto one edge or middle', () => {
    const at = (to: Parameters<typeof alignTogether>[1], part: 0 | 1): number[] =>
      alignTogether(three(), to, side, hand).map((item) => lies(item)[part]);
    // Left edges at −10, right ones at 85, middles at 37.5; tops at 15, feet at 65, middles at 40.
    expect(at('left', 0)).toEqual([0, -5, -5]);
    expect(at('right', 0)).toEqual([75, 80, 80]);
    expect(at('centre', 0)).toEqual([37.5, 37.5, 37.5]);
    expect(at('top', 1)).toEqual([20, 20, 25]);
    expect(at('bottom', 1)).toEqual([60, 60, 55]);
    expect(at('middle', 1)).toEqual([40, 40, 40]);
    expect(at('top', 0)).toEqual([0, 40, 80]);
  });

  it('are taken the short way round, across the back', () => {
    const pair = [laid('a', Math.PI - 0.1, 20, 4, 4), laid('b', -Math.PI + 0.1, 20, 4, 4)];
    const [a, b] = alignTogether(pair, 'centre', side, hand).map((item) => lies(item)[0]);
    // Both at the seam, 125.664 mm from the front on either side.
    expect([Math.abs(a!), Math.abs(b!)]).toEqual([expect.closeTo(125.6637, 3), expect.closeTo(125.6637, 3)]);
  });

  it('spread with the same room between neighbours, the outermost staying', () => {
    // Across 95 mm lie 20 + 10 + 10: 27.5 between. Down 50 lie 10 + 20 + 10 in the order a, c, b: 5 between.
    expect(spreadTogether(three(), 'across', side, hand).map((item) => lies(item)[0])).toEqual([0, 42.5, 80]);
    expect(spreadTogether(three(), 'down', side, hand).map((item) => lies(item)[1])).toEqual([20, 60, 40]);
  });

  it('do not begin to face an angle where they are not turned', () => {
    const front = laid('a', 0, 20, 20, 10);
    const facing = {
      ...front,
      item: { ...front.item, placement: { ...front.item.placement, facing: 'front' as const } },
    };
    expect(alignTogether([facing], 'bottom', side, hand)[0]!.placement.facing).toBe('front');
  });
});

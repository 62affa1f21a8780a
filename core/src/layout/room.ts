import { nearFront } from '../numeric/angle.ts';
import type { SnapBox, SnapOther, SnapSide } from './snap.ts';

/** How far it is from an item to what is nearest on one side of it. */
export interface Gap {
  readonly way: 'up' | 'down' | 'left' | 'right';
  /** mm along the surface; negative where the item reaches past an edge. */
  readonly mm: number;
  /** What is there. */
  readonly to: string;
  /** mm of the gap that film keeps clear of it. */
  readonly clear: number;
  /** Both ends of the gap: azimuth in rad, slant in mm. */
  readonly ends: readonly [from: SidePoint, to: SidePoint];
}

interface SidePoint {
  readonly azimuth: number;
  readonly slant: number;
}

/** A side, with how wide its handle is. */
export interface RoomSide extends SnapSide {
  /** mm of the way round that a handle takes, and that film keeps clear of it; 0 without one. */
  readonly handleMm: number;
  readonly handleClear: number;
}

/**
 * How far an item is from the rim and the base, from handle, seam or edges, and from its neighbours: on each of its four
 * sides the nearest of them. A neighbour counts above and below where it shares a meridian with the item, and beside it
 * where it shares a level; what shares both lies on it or under it, and is no neighbour.
 *
 * @param box the item
 * @param others every copy of the other items, with its name
 * @returns up, down, left and right
 */
export function roomAround(box: SnapBox, others: readonly SnapOther[], side: RoomSide): Gap[] {
  const radius = side.radiusAt(box.slant);
  const [top, bottom] = [box.slant - box.heightMm / 2, box.slant + box.heightMm / 2];
  const half = box.widthMm / 2;
  const own = side.closed ? nearFront(box.azimuth) : box.azimuth;
  /** mm round from the item's middle to another's, the shorter way. */
  const across = (azimuth: number): number =>
    radius * (side.closed ? nearFront(azimuth - box.azimuth) : azimuth - box.azimuth);
  const level = (o: SnapOther): boolean => Math.abs(o.slant - box.slant) < (o.heightMm + box.heightMm) / 2;
  const meridian = (o: SnapOther): boolean => o.allRound || Math.abs(across(o.azimuth)) < (o.widthMm + box.widthMm) / 2;
  const beside = others.filter((o) => level(o) && !meridian(o));
  const inLine = others.filter((o) => meridian(o) && !level(o));

  const end = radius * Math.PI - side.handleMm / 2;
  const ends = { to: side.closed ? (side.hasHandle ? 'the handle' : 'the seam') : 'the edge', clear: side.handleClear };
  const upper = { to: side.closed ? 'the rim edge' : 'the upper edge', clear: side.rim };
  const lower = { to: side.closed ? 'the base edge' : 'the lower edge', clear: side.base };
  const least = (gaps: readonly Pick<Gap, 'mm' | 'to' | 'clear'>[]): Pick<Gap, 'mm' | 'to' | 'clear'> =>
    gaps.reduce((a, b) => (b.mm < a.mm ? b : a));
  const neighbour = ({ name }: SnapOther, mm: number): Pick<Gap, 'mm' | 'to' | 'clear'> => ({ mm, to: name, clear: 0 });
  const found = {
    up: least([
      { mm: top, ...upper },
      ...inLine.filter((o) => o.slant <= box.slant).map((o) => neighbour(o, top - (o.slant + o.heightMm / 2))),
    ]),
    down: least([
      { mm: side.side - bottom, ...lower },
      ...inLine.filter((o) => o.slant > box.slant).map((o) => neighbour(o, o.slant - o.heightMm / 2 - bottom)),
    ]),
    left: least([
      { mm: end + radius * own - half, ...ends },
      ...beside
        .filter((o) => across(o.azimuth) <= 0)
        .map((o) => neighbour(o, -across(o.azimuth) - o.widthMm / 2 - half)),
    ]),
    right: least([
      { mm: end - radius * own - half, ...ends },
      ...beside.filter((o) => across(o.azimuth) > 0).map((o) => neighbour(o, across(o.azimuth) - o.widthMm / 2 - half)),
    ]),
  };
  const at = (rightMm: number, slant: number): SidePoint => ({ azimuth: own + rightMm / radius, slant });
  return [
    { way: 'up', ...found.up, ends: [at(0, top), at(0, top - found.up.mm)] },
    { way: 'down', ...found.down, ends: [at(0, bottom), at(0, bottom + found.down.mm)] },
    { way: 'left', ...found.left, ends: [at(-half, box.slant), at(-half - found.left.mm, box.slant)] },
    { way: 'right', ...found.right, ends: [at(half, box.slant), at(half + found.right.mm, box.slant)] },
  ];
}

/**
 * The box about several things on the side.
 *
 * @param boxes at least one; widths in mm at their own level
 */
export function boxAround(boxes: readonly SnapBox[], side: Pick<SnapSide, 'radiusAt' | 'closed'>): SnapBox {
  const from = boxes[0]!.azimuth;
  const { left, right, top, bottom } = spanAround(boxes.map((box) => spanFrom(box, from, side)));
  const slant = (top + bottom) / 2;
  return {
    azimuth: from + (left + right) / 2,
    slant,
    widthMm: (right - left) * side.radiusAt(slant),
    heightMm: bottom - top,
  };
}

/** Reach of something on the side: rad round from a meridian, mm down from the rim edge. */
export interface Span {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** The reach of a box from a meridian, the shorter way round. */
export function spanFrom(
  { azimuth, slant, widthMm, heightMm }: SnapBox,
  from: number,
  { radiusAt, closed }: Pick<SnapSide, 'radiusAt' | 'closed'>,
): Span {
  const turn = closed ? nearFront(azimuth - from) : azimuth - from;
  const half = widthMm / 2 / radiusAt(slant);
  return { left: turn - half, right: turn + half, top: slant - heightMm / 2, bottom: slant + heightMm / 2 };
}

/** The reach of several. */
export const spanAround = (spans: readonly Span[]): Span => ({
  left: Math.min(...spans.map((s) => s.left)),
  right: Math.max(...spans.map((s) => s.right)),
  top: Math.min(...spans.map((s) => s.top)),
  bottom: Math.max(...spans.map((s) => s.bottom)),
});

/**
 * What is free about an item, itself included, as far as its neighbours and as film keeps clear of rim, base and handle.
 *
 * @param gaps about it
 * @returns mm across and down
 */
export function freeWindow(
  box: SnapBox,
  gaps: readonly Gap[],
): { readonly widthMm: number; readonly heightMm: number } {
  const free = (way: Gap['way']): number => {
    const gap = gaps.find((one) => one.way === way);
    return gap ? Math.max(0, gap.mm - gap.clear) : 0;
  };
  return {
    widthMm: box.widthMm + free('left') + free('right'),
    heightMm: box.heightMm + free('up') + free('down'),
  };
}

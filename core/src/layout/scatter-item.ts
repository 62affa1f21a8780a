import type { FontBook } from '../artwork/font.ts';
import type { ArtworkItem } from '../model/item.ts';
import type { Development } from '../surface/development.ts';
import { inkOf, itemOutlines } from './item-outlines.ts';
import { layRing, placeItem, slantRange, type PlacedItem } from './place.ts';
import { type Hand } from '../model/job.ts';
import type { ScatterKind } from './scatter.ts';
import { filmsOfSpots, scatterSpots } from './scatter.ts';

/** What is scattered over the side, and what it keeps clear of. */
export interface ScatterRoom {
  readonly closed: boolean;
  /** mm from the rim edge and the base edge, and from the edge of a face. */
  readonly rim: number;
  readonly base: number;
  /** mm that the handle and its clearance take at the back; 0 for none. */
  readonly handle: number;
  /** Whether a middle may lie there, mm from the front and down; of a round face. */
  readonly holds: ((x: number, y: number, reach: number) => boolean) | null;
  /** What is placed already. */
  readonly others: readonly PlacedItem[];
}

/**
 * Scatters copies of items over the side, mixed, clear of its zones, of what is placed already and of the seam, so that
 * the spacing runs on across the seam and no copy is cut by it.
 *
 * @param items with `repeat.mode` scattered; the first says how they are arranged, each how many there are of it
 * @param room zones and what is in the way
 * @returns each item with its copies
 */
export function scatterItems(
  items: readonly ArtworkItem[],
  surface: Development,
  fonts: FontBook,
  hand: Hand,
  room: ScatterRoom,
): PlacedItem[] {
  const side = surface.slantLength;
  // Room is counted where the side is narrowest: elsewhere there is only more of it.
  const narrow = Math.min(...[0, 0.25, 0.5, 0.75, 1].map((share) => surface.radiusAt(share * side)));
  const { seed, gapMm } = items[0]?.repeat.scatter ?? { seed: 1, gapMm: 3 };
  const period = room.closed ? 2 * Math.PI * narrow : null;
  const ones = items.map((item) => placeItem(item, surface, fonts, hand));
  const kinds = ones.map(({ box, item }): ScatterKind => {
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
    const half = Math.PI * narrow - width / 2 - (room.closed ? Math.max(room.handle / 2, 0.5) : 0);
    const edge = room.closed ? 0 : room.base;
    const reach = Math.hypot(width, height) / 2;
    return {
      count: item.repeat.count,
      width,
      height,
      x: [-half + edge, half - edge],
      y: [room.rim + height / 2 + edge, side - height / 2 - (room.closed ? room.base : edge)],
      ...(room.holds ? { holds: (x: number, y: number) => room.holds!(x, y, reach + room.base) } : {}),
    };
  });
  const taken = room.others.flatMap((other) =>
    other.slants
      ? other.copies.map((azimuth) => ({
          x: [azimuth * narrow + other.box.minX, azimuth * narrow + other.box.maxX] as const,
          y: other.slants!,
        }))
      : [],
  );
  const spots = scatterSpots({ period, gap: gapMm, taken }, kinds, seed);
  return ones.map((one, kind) => {
    const { item } = one;
    const own = spots.filter((spot) => spot.kind === kind);
    const { ink } = inkOf(itemOutlines(item, fonts, 10), (item.placement.turnDeg * Math.PI) / 180, item.acts);
    const laid = own.map(({ x, y }) =>
      ink.map((rings) =>
        rings.map((ring) => layRing(ring, item.running, surface, x / narrow, y, Math.max(1, surface.radiusAt(y)))),
      ),
    );
    const groups = laid.flat();
    const films = item.repeat.scatter?.films ?? [];
    const chosen = filmsOfSpots(own, [item.film, ...films.filter((film) => film !== item.film)], period);
    return {
      ...one,
      groups,
      copies: own.map(({ x }) => x / narrow),
      slants: slantRange(groups),
      filmOf: laid.flatMap((copy, i) => copy.map(() => chosen[i]!)),
    };
  });
}

/**
 * Items that are scattered, each with those that are scattered together with it. One that names an item which is gone, or
 * not scattered any more, is arranged by itself.
 */
export function scatterGroups(items: readonly ArtworkItem[]): ArtworkItem[][] {
  const scattered = items.filter((item) => item.repeat.mode === 'scattered');
  const leads = new Set(scattered.filter((item) => !item.repeat.scatter?.with).map((item) => item.id));
  const leadOf = (item: ArtworkItem): string => {
    const lead = item.repeat.scatter?.with;
    return lead && leads.has(lead) ? lead : item.id;
  };
  const groups = new Map<string, ArtworkItem[]>();
  for (const item of scattered) if (leadOf(item) === item.id) groups.set(item.id, [item]);
  for (const item of scattered) if (leadOf(item) !== item.id) groups.get(leadOf(item))!.push(item);
  return [...groups.values()];
}

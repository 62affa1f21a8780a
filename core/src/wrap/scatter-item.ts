import type { FontBook } from '../artwork/font.ts';
import type { ArtworkItem } from '../artwork/item.ts';
import type { Development } from '../surface/development.ts';
import { inkOf, itemOutlines } from './item-outlines.ts';
import { layRing, placeItem, slantRange, type Hand, type PlacedItem } from './place.ts';
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
 * Scatters copies of an item over the side, clear of its zones, of what is placed already and of the seam, so that the
 * spacing runs on across the seam and no copy is cut by it.
 *
 * @param item with `repeat.mode` scattered
 * @param room zones and what is in the way
 */
export function scatterItem(
  item: ArtworkItem,
  surface: Development,
  fonts: FontBook,
  hand: Hand,
  room: ScatterRoom,
): PlacedItem {
  const one = placeItem(item, surface, fonts, hand);
  const side = surface.slantLength;
  // Room is counted where the side is narrowest: elsewhere there is only more of it.
  const narrow = Math.min(...[0, 0.25, 0.5, 0.75, 1].map((share) => surface.radiusAt(share * side)));
  const { seed, gapMm, films } = item.repeat.scatter ?? { seed: 1, gapMm: 3, films: [] };
  const [width, height] = [one.box.maxX - one.box.minX, one.box.maxY - one.box.minY];
  const half = Math.PI * narrow - width / 2 - (room.closed ? Math.max(room.handle / 2, 0.5) : 0);
  const edge = room.closed ? 0 : room.base;
  const period = room.closed ? 2 * Math.PI * narrow : null;
  const reach = Math.hypot(width, height) / 2;
  const spots = scatterSpots(
    {
      period,
      x: [-half + edge, half - edge],
      y: [room.rim + height / 2 + edge, side - height / 2 - (room.closed ? room.base : edge)],
      width,
      height,
      gap: gapMm,
      taken: room.others.flatMap((other) =>
        other.slants
          ? other.copies.map((azimuth) => ({
              x: [azimuth * narrow + other.box.minX, azimuth * narrow + other.box.maxX] as const,
              y: other.slants!,
            }))
          : [],
      ),
      ...(room.holds ? { holds: (x: number, y: number) => room.holds!(x, y, reach + room.base) } : {}),
    },
    item.repeat.count,
    seed,
  );
  const { ink } = inkOf(itemOutlines(item, fonts, 10), (item.placement.turnDeg * Math.PI) / 180, item.acts);
  const laid = spots.map(({ x, y }) =>
    ink.map((rings) =>
      rings.map((ring) => layRing(ring, item.running, surface, x / narrow, y, Math.max(1, surface.radiusAt(y)))),
    ),
  );
  const groups = laid.flat();
  const chosen = filmsOfSpots(spots, [item.film, ...films.filter((film) => film !== item.film)], period);
  return {
    ...one,
    groups,
    copies: spots.map(({ x }) => x / narrow),
    slants: slantRange(groups),
    filmOf: laid.flatMap((copy, i) => copy.map(() => chosen[i]!)),
  };
}

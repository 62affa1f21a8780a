import type { FontBook } from '../artwork/font.ts';
import type { ArtworkItem, KeptSpot, Scatter } from '../model/item.ts';
import type { Hand } from '../model/job.ts';
import { intersectRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { reverseRing, ringsOf } from '../polygon/polygon.ts';
import type { Development } from '../surface/development.ts';
import { coverCircles } from './cover-circles.ts';
import { inkOf, itemOutlines } from './item-outlines.ts';
import { layRing, placeItem, slantRange, type PlacedItem } from './place.ts';
import type { ScatterKind } from './scatter.ts';
import { filmsOfSpots, scatterSpots } from './scatter.ts';
import { spreadSpots, type SpreadField, type SpreadKind, type SpreadSpot } from './spread.ts';

/** What is scattered over the side, and what it keeps clear of. */
export interface ScatterRoom {
  readonly closed: boolean;
  /** mm from the rim edge and the base edge, and from the edge of a face. */
  readonly rim: number;
  readonly base: number;
  /** mm that the handle and its clearance take at the back; 0 for none. */
  readonly handle: number;
  /** mm from a middle to the edge of a round face, or to its hole; positive within; null on all else. */
  readonly inside: ((x: number, y: number) => number) | null;
  /** What is placed already. */
  readonly others: readonly PlacedItem[];
}

/** A copy where it lies: mm round from the front at the narrowest of the side, mm down. */
interface Spot extends SpreadSpot {
  readonly film: string | null;
  readonly pinned: boolean;
}

/** Something that is scattered: an item, or all colours of a drawing, which lie together. */
type Thing = readonly PlacedItem[];

const PLAIN: Scatter = { seed: 1, gapMm: 3, films: [] };

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
  const scatter = items[0]?.repeat.scatter ?? PLAIN;
  const ones = items.map((item) => placeItem(item, surface, fonts, hand));
  const things = thingsOf(ones);
  const inks = new Map(ones.map(({ item }) => [item.id, inkOf(itemOutlines(item, fonts, 10), (item.placement.turnDeg * Math.PI) / 180, item.acts).ink])); // prettier-ignore
  const taken = room.others.flatMap((other) =>
    other.slants
      ? other.copies.map((azimuth) => ({
          x: [azimuth * narrow + other.box.minX, azimuth * narrow + other.box.maxX] as const,
          y: other.slants!,
        }))
      : [],
  );
  const period = room.closed ? 2 * Math.PI * narrow : null;
  const field = { period, gap: scatter.gapMm, taken };
  // A drawing of several colours could not be scattered before there was another way.
  const even = scatter.even === true || things.some((thing) => thing.length > 1);
  const spots: readonly Spot[] = even
    ? spotsByShape(things, inks, { ...field, ...reachOf(room, narrow, side) }, scatter, narrow)
    : scatterSpots(field, things.map(([one]) => boxKind(one!, room, narrow, side)), scatter.seed).map((spot) => ({ ...spot, turn: 0, size: 1, film: null, pinned: false })); // prettier-ignore
  const edges =
    scatter.edge && scatter.edge !== 'clear' && room.closed ? ([room.rim, side - room.base] as const) : null;
  return things.flatMap((thing, kind) => {
    const own = spots.filter((spot) => spot.kind === kind);
    return thing.map((one) => {
      const films = filmsFor(one, thing, own, period);
      const lay = (spot: Spot): (readonly Ring[])[] => layCopy(one, inks.get(one.item.id)!, spot, surface, narrow);
      return layOut(one, own.map((spot, i) => ({ spot, film: films[i]!, groups: lay(spot) })), { narrow, edges, edge: scatter.edge ?? 'clear' }); // prettier-ignore
    });
  });
}

/** Items with the colours of one drawing together. */
function thingsOf(ones: readonly PlacedItem[]): Thing[] {
  const things = new Map<string, PlacedItem[]>();
  for (const one of ones) {
    const key = one.item.type === 'art' ? `set ${one.item.setId}` : `item ${one.item.id}`;
    things.set(key, [...(things.get(key) ?? []), one]);
  }
  return [...things.values()];
}

/** What was scattered by its box, before things were by what they look like. */
function boxKind({ box, item }: PlacedItem, room: ScatterRoom, narrow: number, side: number): ScatterKind {
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const half = Math.PI * narrow - width / 2 - (room.closed ? Math.max(room.handle / 2, 0.5) : 0);
  const edge = room.closed ? 0 : room.base;
  const reach = Math.hypot(width, height) / 2;
  const { inside } = room;
  return {
    count: item.repeat.count,
    width,
    height,
    x: [-half + edge, half - edge],
    y: [room.rim + height / 2 + edge, side - height / 2 - (room.closed ? room.base : edge)],
    ...(inside ? { holds: (x: number, y: number) => inside(x, y) >= reach + room.base } : {}),
  };
}

/** How far anything of what is scattered may reach. */
function reachOf(room: ScatterRoom, narrow: number, side: number): Pick<SpreadField, 'x' | 'y' | 'inside'> {
  const half = Math.PI * narrow - (room.closed ? Math.max(room.handle / 2, 0.5) : room.base);
  const { inside } = room;
  return {
    x: [-half, half],
    y: room.closed ? [room.rim, side - room.base] : [room.rim + room.base, side - room.base],
    ...(inside ? { inside: (x: number, y: number) => inside(x, y) - room.base } : {}),
  };
}

/** Fields of which the spots are remembered. */
const KNOWN_FIELDS = 16;
const known = new Map<string, readonly SpreadSpot[]>();

function spotsByShape(
  things: readonly Thing[],
  inks: ReadonlyMap<string, readonly (readonly Ring[])[]>,
  field: Omit<SpreadField, 'past'>,
  scatter: Scatter,
  narrow: number,
): Spot[] {
  const rad = Math.PI / 180;
  const kinds = things.map((thing): SpreadKind => {
    const { repeat } = thing[0]!.item;
    const { turnsDeg = [0, 0], sizes = [1, 1] } = repeat.scatter ?? PLAIN;
    const circles = coverCircles(thing.flatMap(({ item }) => inks.get(item.id)!.flat()));
    return { count: circles.length === 0 ? 0 : repeat.count, circles, turns: [turnsDeg[0] * rad, turnsDeg[1] * rad], sizes }; // prettier-ignore
  });
  const ids = things.map((thing) => thing[0]!.item.id);
  const kept = (scatter.kept ?? []).flatMap((spot) => {
    const kind = ids.indexOf(spot.itemId);
    const at: SpreadSpot = { kind, x: spot.angleDeg * rad * narrow, y: spot.downMm, turn: spot.turnDeg * rad, size: spot.size }; // prettier-ignore
    return kind < 0 ? [] : [{ at, spot }];
  });
  const past = scatter.edge !== undefined && scatter.edge !== 'clear';
  const asked = [field, kinds, scatter.seed, kept.map(({ at }) => at), scatter.fill, past, insideOf(field)]; // prettier-ignore
  const key = JSON.stringify(asked);
  const found = known.get(key) ?? spreadSpots({ ...field, past }, kinds, scatter.seed, kept.map(({ at }) => at), scatter.fill ?? false); // prettier-ignore
  // The same field is asked for again with every change of anything else on the blank.
  known.delete(key);
  known.set(key, found);
  if (known.size > KNOWN_FIELDS) known.delete(known.keys().next().value!);
  return found.map((spot, i) => ({ ...spot, film: kept[i]?.spot.film ?? null, pinned: kept[i]?.spot.pinned ?? false }));
}

/** A round face and its hole as far as they can be told from each other: how far it is to an edge, over the field. */
function insideOf({ x, y, inside }: Pick<SpreadField, 'x' | 'y' | 'inside'>): number[] {
  const steps = [0, 0.125, 0.25, 0.375, 0.5, 0.625, 0.75, 0.875, 1];
  return inside ? steps.flatMap((u) => steps.map((v) => inside(x[0] + (x[1] - x[0]) * u, y[0] + (y[1] - y[0]) * v))) : []; // prettier-ignore
}

/** The film of each copy: its own, where it has one; else such that neighbours differ. A colour of a drawing keeps its own. */
function filmsFor({ item }: PlacedItem, thing: Thing, spots: readonly Spot[], period: number | null): string[] {
  if (thing.length > 1) return spots.map(() => item.film);
  const films = item.repeat.scatter?.films ?? [];
  const given = filmsOfSpots(spots, [item.film, ...films.filter((film) => film !== item.film)], period);
  return spots.map((spot, i) => spot.film ?? given[i]!);
}

/** One copy's outlines on the side. */
function layCopy(
  { item }: PlacedItem,
  ink: readonly (readonly Ring[])[],
  { x, y, turn, size }: Spot,
  surface: Development,
  narrow: number,
): (readonly Ring[])[] {
  const [cos, sin] = [Math.cos(turn) * size, Math.sin(turn) * size];
  const turned = (ring: Ring): Ring =>
    turn === 0 && size === 1
      ? ring
      : ring.map((v, i) => (i % 2 ? sin * ring[i - 1]! + cos * v : cos * v - sin * ring[i + 1]!));
  const radius = Math.max(1, surface.radiusAt(y));
  return ink.map((rings) => rings.map((ring) => layRing(turned(ring), item.running, surface, x / narrow, y, radius)));
}

interface Copy {
  readonly spot: Spot;
  readonly film: string;
  readonly groups: readonly (readonly Ring[])[];
}

/** An item with its copies, cut at the edges of the band or left off there. */
function layOut(
  one: PlacedItem,
  copies: readonly Copy[],
  { narrow, edges, edge }: { narrow: number; edges: readonly [number, number] | null; edge: Scatter['edge'] },
): PlacedItem {
  const reaches = ({ groups }: Copy): boolean => {
    const range = slantRange(groups);
    return edges !== null && range !== null && (range[0] < edges[0] - EDGE_MM || range[1] > edges[1] + EDGE_MM);
  };
  const laid = edge === 'spare' ? copies.filter((copy) => !reaches(copy)) : copies;
  const cut = (copy: Copy): readonly (readonly Ring[])[] =>
    edges && edge === 'cut' && reaches(copy) ? copy.groups.map((rings) => cutAtEdges(rings, edges)) : copy.groups;
  const groups = laid.flatMap(cut);
  return {
    ...one,
    groups,
    copies: laid.map(({ spot }) => spot.x / narrow),
    slants: slantRange(groups),
    filmOf: laid.flatMap((copy) => copy.groups.map(() => copy.film)),
    spots: laid.map(({ spot: { x, y, turn, size, pinned }, film }) => ({
      azimuth: x / narrow,
      slant: y,
      turnDeg: (turn * 180) / Math.PI,
      size,
      film,
      pinned,
    })),
    off: edge === 'spare' ? copies.filter(reaches).map(({ groups: own, film }) => ({ groups: own, film })) : [],
  };
}

/** mm by which outlines may pass an edge and count as within it. */
const EDGE_MM = 0.01;
/** mm for each rad while outlines on the side are cut: as fine as they are along. */
const PER_RAD = 40;

/** Outlines on the side, [azimuth, slant], kept within two heights. */
function cutAtEdges(rings: readonly Ring[], [top, foot]: readonly [number, number]): readonly Ring[] {
  const plane = (ring: Ring): Ring => reverseRing(ring.map((v, i) => (i % 2 ? v : v * PER_RAD)));
  const far = 1e4;
  const window = Float64Array.from([-far, top, far, top, far, foot, -far, foot]);
  return intersectRings(rings.map(plane), [window])
    .flatMap(ringsOf)
    .map((ring) => reverseRing(ring.map((v, i) => (i % 2 ? v : v / PER_RAD))));
}

/**
 * Items that are scattered, each with those that are scattered together with it, and all colours of a drawing. One that
 * names an item which is gone, or not scattered any more, is arranged by itself.
 */
export function scatterGroups(items: readonly ArtworkItem[]): ArtworkItem[][] {
  const scattered = items.filter((item) => item.repeat.mode === 'scattered');
  const firstOf = (item: ArtworkItem): ArtworkItem =>
    item.type === 'art' ? scattered.find((one) => one.type === 'art' && one.setId === item.setId)! : item;
  const leads = new Set(scattered.filter((item) => firstOf(item) === item && !item.repeat.scatter?.with).map(({ id }) => id)); // prettier-ignore
  const leadOf = (item: ArtworkItem): string => {
    const lead = item.repeat.scatter?.with;
    return lead && leads.has(lead) ? lead : firstOf(item).id;
  };
  const groups = new Map<string, ArtworkItem[]>();
  for (const item of scattered) if (leadOf(item) === item.id) groups.set(item.id, [item]);
  for (const item of scattered) if (leadOf(item) !== item.id) groups.get(leadOf(item))!.push(item);
  return [...groups.values()];
}

/** What is kept of an arrangement so that one copy can be changed and all others stay: every copy of it as it lies. */
export function keptSpots(placed: readonly Pick<PlacedItem, 'item' | 'spots'>[]): KeptSpot[] {
  return placed.flatMap(({ item, spots }, i) =>
    item.type === 'art' && placed.slice(0, i).some((p) => p.item.type === 'art' && p.item.setId === item.setId)
      ? []
      : (spots ?? []).map(({ azimuth, slant, turnDeg, size, film, pinned }): KeptSpot => ({
          itemId: item.id,
          angleDeg: (azimuth * 180) / Math.PI,
          downMm: slant,
          turnDeg,
          size,
          film,
          pinned,
        })),
  );
}

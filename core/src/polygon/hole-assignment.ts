import { DUST_AREA_MM2 } from '../numeric/tolerances.ts';
import { boxHeight, boxOfCoordinates, boxOfRings, boxWidth } from '../plane/box.ts';
import type { Polygon, Ring } from './polygon.ts';
import { ringArea } from './polygon.ts';

/**
 * Gives each hole to the outer ring whose film it lies in.
 *
 * From the middle of one edge of the hole a ray runs out into the film. The first foreign ring that it meets bounds the
 * same film: either it is the outer ring, or it is another hole of it, further along, whose owner is then the same. An
 * index of the edges by strips keeps this near linear, where asking each hole of each outer ring would be quadratic.
 *
 * @param rings rings of one union, which do not cross each other: outer ones counter-clockwise, holes clockwise
 * @returns polygons in the order of their outer rings; rings under the dust area, and holes with no film round them, are
 *   left out
 */
export function nestRings(rings: readonly Ring[]): Polygon[] {
  const kept = rings.filter((ring) => Math.abs(ringArea(ring)) > DUST_AREA_MM2);
  const isHole = kept.map((ring) => ringArea(ring) < 0);
  const polygons = new Map<number, { outer: Ring; holes: Ring[] }>();
  kept.forEach((ring, index) => {
    if (!isHole[index]) polygons.set(index, { outer: ring, holes: [] });
  });
  if (polygons.size < kept.length) {
    const strips = stripIndex(kept);
    const owners = new Map<number, number>();
    const ownerOf = (index: number): number => {
      const trail: number[] = [];
      let at = index;
      while (at >= 0 && isHole[at] && !owners.has(at) && trail.length <= kept.length) {
        trail.push(at);
        at = firstBeyond(kept, strips, at);
      }
      const owner = at >= 0 && isHole[at] ? (owners.get(at) ?? -1) : at;
      for (const hole of trail) owners.set(hole, owner);
      return owner;
    };
    kept.forEach((ring, index) => {
      if (isHole[index]) (polygons.get(ownerOf(index)) ?? closestRound(ring, polygons.values()))?.holes.push(ring);
    });
  }
  return [...polygons.values()];
}

/**
 * The film round a hole that fills it to within rounding: its edge may then lie a hair outside, where no ray meets it.
 * The smallest one round the hole's box, give or take that hair, and no smaller than the hole itself.
 */
function closestRound<P extends { outer: Ring }>(hole: Ring, polygons: Iterable<P>): P | null {
  const box = boxOfCoordinates(hole);
  const size = Math.abs(ringArea(hole));
  let best: P | null = null;
  for (const polygon of polygons) {
    const round = boxOfCoordinates(polygon.outer);
    const holds =
      round.minX - ROUNDING_MM <= box.minX &&
      round.minY - ROUNDING_MM <= box.minY &&
      round.maxX + ROUNDING_MM >= box.maxX &&
      round.maxY + ROUNDING_MM >= box.maxY;
    const area = ringArea(polygon.outer);
    if (holds && area >= size - DUST_AREA_MM2 && (!best || area < ringArea(best.outer))) best = polygon;
  }
  return best;
}

/** mm. What rounding may move an edge by, and some. */
const ROUNDING_MM = 1e-3;

/** Edges by strips across the longer side: `edges[strip]` holds pairs of ring and offset of the edge's first point. */
interface Strips {
  /** Which coordinate the strips divide: 0 for x, 1 for y; the rays run along the other one. */
  readonly along: 0 | 1;
  readonly from: number;
  readonly perMm: number;
  readonly edges: readonly number[][];
}

function stripIndex(rings: readonly Ring[]): Strips {
  const box = boxOfRings(rings);
  const along = boxWidth(box) > boxHeight(box) ? 0 : 1;
  const from = along === 0 ? box.minX : box.minY;
  const extent = Math.max(boxWidth(box), boxHeight(box)) || 1;
  let points = 0;
  let travelled = 0;
  for (const ring of rings) {
    points += ring.length / 2;
    for (let i = along; i < ring.length; i += 2) travelled += Math.abs(ring[i]! - ring[(i + 2) % ring.length]!);
  }
  // Strips about as wide as an edge is long: an edge then lies in two or three of them.
  const count = Math.max(1, Math.min(points, Math.ceil((extent * points) / (travelled || 1))));
  const perMm = count / extent;
  const edges: number[][] = Array.from({ length: count + 1 }, () => []);
  rings.forEach((ring, index) => {
    for (let i = 0, n = ring.length; i < n; i += 2) {
      const a = ring[i + along]!;
      const b = ring[((i + 2) % n) + along]!;
      if (a === b) continue;
      const last = Math.floor((Math.max(a, b) - from) * perMm);
      for (let s = Math.floor((Math.min(a, b) - from) * perMm); s <= last; s++) edges[s]!.push(index, i);
    }
  });
  return { along, from, perMm, edges };
}

/** The ring that bounds the film beside a hole, on the side of small coordinates; −1 when there is none. */
function firstBeyond(rings: readonly Ring[], { along, from, perMm, edges }: Strips, hole: number): number {
  const across = 1 - along;
  const start = outermostEdgeMiddle(rings[hole]!, along);
  const crossings: { at: number; ring: number }[] = [];
  const strip = edges[Math.floor((start.along - from) * perMm)] ?? [];
  for (let k = 0; k < strip.length; k += 2) {
    const ring = rings[strip[k]!]!;
    const i = strip[k + 1]!;
    if (strip[k] === hole && i === start.edge) continue;
    const j = (i + 2) % ring.length;
    const a = ring[i + along]!;
    const b = ring[j + along]!;
    if (a > start.along === b > start.along) continue;
    const at = ring[i + across]! + ((ring[j + across]! - ring[i + across]!) * (start.along - a)) / (b - a);
    if (at <= start.across) crossings.push({ at, ring: strip[k]! });
  }
  crossings.sort((a, b) => b.at - a.at);
  // The ray may run through the hole itself again (it need not be convex): what lies in there is not its film.
  let inFilm = true;
  for (const crossing of crossings) {
    if (crossing.ring === hole) inFilm = !inFilm;
    else if (inFilm) return crossing.ring;
  }
  return -1;
}

/**
 * Middle of an edge at the outermost point of a hole against the ray. Of the two edges there, the one with film on the
 * ray's side: film lies to the left of a ring's way, so towards small x where it climbs, towards small y where x falls.
 */
function outermostEdgeMiddle(ring: Ring, along: 0 | 1): { edge: number; along: number; across: number } {
  const across = 1 - along;
  const n = ring.length;
  let least = 0;
  for (let i = 2; i < n; i += 2) if (ring[i + across]! < ring[least + across]!) least = i;
  const facing = (edge: number): number => {
    const advance = ring[((edge + 2) % n) + along]! - ring[edge + along]!;
    return along === 1 ? advance : -advance;
  };
  const before = (least + n - 2) % n;
  const edge = facing(least) > facing(before) ? least : before;
  const end = (edge + 2) % n;
  return {
    edge,
    along: (ring[edge + along]! + ring[end + along]!) / 2,
    across: (ring[edge + across]! + ring[end + across]!) / 2,
  };
}

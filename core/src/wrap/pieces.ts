import { SEAM_SNAP_MM } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import { boxOfCoordinates, EMPTY_BOX, touchingBunches } from '../plane/box.ts';
import { fitRing } from '../plane/fit.ts';
import type { Path } from '../plane/path.ts';
import type { Point } from '../plane/point.ts';
import { resampleRing } from '../plane/resample.ts';
import { intersectRings } from '../polygon/boolean.ts';
import { nestRings } from '../polygon/nest.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import type { Development, SurfaceRegion } from '../surface/development.ts';
import type { PlacedItem } from './place.ts';

/** One connected area of film, on the flat and on the side. */
export interface Piece {
  readonly id: string;
  readonly itemIds: readonly string[];
  readonly film: string;
  /** Flat outline ready to cut: outer ring first, then counters; mm. */
  readonly paths: readonly Path[];
  /** The same as points, mm. */
  readonly flat: Polygon;
  /** On the side, unrolled as [azimuth · meanRadius, −slant], mm; for pictures and judgement, never for cutting. */
  readonly unrolled: Polygon;
  readonly flatBox: Box;
  /** Smallest ranges on the side: azimuth in rad, slant in mm. */
  readonly azimuths: readonly [number, number];
  readonly slants: readonly [number, number];
  readonly areaMm2: number;
  /** Which end of the wrap cuts it, if any. */
  readonly cutAt: 'left' | 'right' | 'both' | null;
}

/** The frame that pieces are made in. */
export interface PieceFrame {
  readonly surface: Development;
  readonly region: SurfaceRegion;
  /** mm. Radius by which azimuths are stretched while outlines are combined. */
  readonly meanRadius: number;
  /** Whether film goes round and meets itself; on a face nothing is cut, and what hangs over its edge is seen. */
  readonly closed: boolean;
}

/**
 * Fuses placed outlines, cuts them at the ends of the wrap and develops them.
 *
 * Items of one film in a keep-together group are fused with each other; within an item overlaps are fused when the item
 * says so, otherwise every glyph stays its own outline.
 *
 * @param placed items on the side; each group of rings is clean film: outer rings counter-clockwise, holes clockwise
 * @param frame surface, ends of the wrap and the radius of the working plane
 * @returns pieces in the order of the items
 */
export function makePieces(placed: readonly PlacedItem[], frame: PieceFrame): Piece[] {
  const window = windowOf(frame);
  const pieces: Piece[] = [];
  for (const set of fuseSets(placed)) {
    const groups = set.groups.flatMap((group) => intoWindow(group, frame, window.reach));
    const boxes = groups.map(boxOfRings);
    const bunches = set.fuse ? touchingBunches(boxes) : groups.map((_, i) => [i]);
    let index = 0;
    for (const bunch of bunches) {
      const whole = bunch.length === 1 && contains(window.within, boxes[bunch[0]!]!);
      // A group alone in the window is film already; only what overlaps or is cut has to be combined.
      const polygons = whole
        ? nestRings(groups[bunch[0]!]!)
        : intersectRings(
            bunch.flatMap((g) => groups[g]!),
            [window.ring],
          );
      for (const polygon of polygons) {
        pieces.push(developPiece(polygon, frame, `${set.idStart}:${index}`, set.itemIds, set.film, whole));
        index += 1;
      }
    }
  }
  return pieces;
}

const boxOfRings = (rings: readonly Ring[]): Box => rings.reduce((box, ring) => boxOfCoordinates(ring, box), EMPTY_BOX);

const contains = (outer: Box, inner: Box): boolean =>
  inner.minX >= outer.minX && inner.maxX <= outer.maxX && inner.minY >= outer.minY && inner.maxY <= outer.maxY;

interface FuseSet {
  readonly film: string;
  readonly fuse: boolean;
  readonly itemIds: string[];
  /** What the ids of its pieces begin with. */
  readonly idStart: string;
  readonly groups: (readonly Ring[])[];
}

function fuseSets(placed: readonly PlacedItem[]): FuseSet[] {
  const sets = new Map<string, FuseSet>();
  for (const { item, groups, filmOf } of placed)
    groups.forEach((group, i) => {
      const film = filmOf?.[i] ?? item.film;
      const own = filmOf ? `${item.id}:${film}` : item.id;
      const key = item.keepTogether === null ? `item:${own}` : `group:${film}:${item.keepTogether}`;
      const set = sets.get(key) ?? {
        film,
        fuse: item.fuse || item.keepTogether !== null,
        itemIds: [],
        idStart: own,
        groups: [],
      };
      if (set.itemIds.at(-1) !== item.id) set.itemIds.push(item.id);
      set.groups.push(group);
      sets.set(key, set);
    });
  return [...sets.values()];
}

/** The part of the working plane that the wrap shows. */
interface Window {
  readonly ring: Ring;
  /** Box round the window. */
  readonly reach: Box;
  /** Largest box inside it: what lies in here is not cut. */
  readonly within: Box;
}

/** The ends of the wrap in the working plane; past the band's edges the ends run on, so that overhang is seen, not lost. */
function windowOf({ surface, region, meanRadius, closed }: PieceFrame): Window {
  if (!closed) {
    const far = 20 * (Math.PI * meanRadius + surface.slantLength);
    const all = { minX: -far, minY: -far, maxX: far, maxY: far };
    return { ring: Float64Array.from([-far, -far, far, -far, far, far, -far, far]), reach: all, within: all };
  }
  const [rim, base] = region.slant;
  const beyond = 4 * surface.slantLength;
  const edge = (ends: readonly [number, number]): number[] => {
    const a = surface.forward(ends[0], rim);
    const b = surface.forward(ends[1], base);
    const points: number[] = [ends[0] * meanRadius, -rim + beyond];
    const steps = 32;
    for (let i = 0; i <= steps; i++) {
      const t = i / steps;
      const spot = surface.inverse(a.x + (b.x - a.x) * t, a.y + (b.y - a.y) * t, 1.5 * Math.PI)!;
      points.push(spot.azimuth * meanRadius, -spot.slant);
    }
    points.push(ends[1] * meanRadius, -base - beyond);
    return points;
  };
  const left = edge(region.left);
  const right = edge(region.right);
  const reversed: number[] = [];
  for (let i = right.length - 2; i >= 0; i -= 2) reversed.push(right[i]!, right[i + 1]!);
  const ring = Float64Array.from([...left, ...reversed]);
  const reach = boxOfCoordinates(ring);
  const within = { ...reach, minX: boxOfCoordinates(left).maxX, maxX: boxOfCoordinates(right).minX };
  return { ring, reach, within };
}

/** Copies of a group a whole turn apart, as many as reach into the window, in the working plane. */
function intoWindow(rings: readonly Ring[], { meanRadius, closed }: PieceFrame, window: Box): Ring[][] {
  const turn = 2 * Math.PI * meanRadius;
  const box = boxOfRings(rings);
  const copies: Ring[][] = [];
  const first = !closed ? 0 : Math.ceil((window.minX - box.maxX * meanRadius) / turn);
  const last = !closed ? 0 : Math.floor((window.maxX - box.minX * meanRadius) / turn);
  for (let k = first; k <= last; k++)
    copies.push(
      rings.map((ring) => {
        const copy = new Float64Array(ring.length);
        for (let i = 0; i < ring.length; i += 2) {
          copy[i] = ring[i]! * meanRadius + k * turn;
          copy[i + 1] = -ring[i + 1]!;
        }
        return copy;
      }),
    );
  return copies;
}

function developPiece(
  unrolled: Polygon,
  frame: PieceFrame,
  id: string,
  itemIds: readonly string[],
  film: string,
  whole: boolean,
): Piece {
  const { surface, region, meanRadius } = frame;
  const left = seamLine(surface, region, region.left);
  const right = seamLine(surface, region, region.right);
  let cutLeft = false;
  let cutRight = false;
  const develop = (ring: Ring): Ring => resampleRing(ring, (x, y, out) => surface.forwardInto(x / meanRadius, -y, out));
  const flatRings = ringsOf(unrolled).map(develop);
  const paths = flatRings.map((ring) => {
    if (whole) return fitRing(ring);
    const onLeft = onLine(ring, left);
    const onRight = onLine(ring, right);
    cutLeft ||= onLeft.some(Boolean);
    cutRight ||= onRight.some(Boolean);
    return fitRing(ring, undefined, (i) => onLeft[i]! || onRight[i]!);
  });
  const flat: Polygon = { outer: flatRings[0]!, holes: flatRings.slice(1) };
  const box = boxOfCoordinates(unrolled.outer);
  return {
    id,
    itemIds,
    film,
    paths,
    flat,
    unrolled,
    flatBox: boxOfCoordinates(flat.outer),
    azimuths: [box.minX / meanRadius, box.maxX / meanRadius],
    slants: [-box.maxY, -box.minY],
    areaMm2: polygonArea(flat),
    cutAt: cutLeft && cutRight ? 'both' : cutLeft ? 'left' : cutRight ? 'right' : null,
  };
}

interface Line {
  readonly from: Point;
  readonly ux: number;
  readonly uy: number;
}

function seamLine(surface: Development, region: SurfaceRegion, ends: readonly [number, number]): Line {
  const from = surface.forward(ends[0], region.slant[0]);
  const to = surface.forward(ends[1], region.slant[1]);
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return { from, ux: (to.x - from.x) / length, uy: (to.y - from.y) / length };
}

function onLine(ring: Ring, line: Line): boolean[] {
  const out: boolean[] = [];
  for (let i = 0; i < ring.length; i += 2) {
    const px = ring[i]! - line.from.x;
    const py = ring[i + 1]! - line.from.y;
    out.push(Math.abs(px * line.uy - py * line.ux) < SEAM_SNAP_MM);
  }
  return out;
}

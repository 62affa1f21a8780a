import { EPSILON } from '../numeric/tolerances.ts';
import { boxHeight, boxOfCoordinates, boxWidth } from '../plane/box.ts';
import { nestRings } from '../polygon/hole-assignment.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringArea, ringContains } from '../polygon/polygon.ts';

/** mm between the spots of an outline among which the ends of a bridge are chosen. */
const STEP_MM = 0.5;
/** mm across below which one bridge holds an island. */
const HELD_BY_ONE_MM = 6;

/** An island: film that lies loose in an opening of other film. */
export interface Island {
  readonly outer: Ring;
  /** The edges of the opening that it lies in. */
  readonly opening: readonly Ring[];
}

/**
 * Finds the islands of a mask.
 *
 * @param rings of the mask, mm; outer rings and holes
 * @param inside film of others that may lie in its openings, outer rings only
 */
export function islandsOf(rings: readonly Ring[], inside: readonly Ring[] = []): Island[] {
  const parts = nestRings(rings);
  const openings = parts.flatMap(({ holes }) => holes);
  const loose = [...parts.map(({ outer }) => outer), ...inside];
  return loose.flatMap((outer): Island[] => {
    // The smallest opening that it lies in is the one that it has to be tied to.
    const round = openings
      .filter((hole) => ringContains(hole, outer[0]!, outer[1]!))
      .sort((a, b) => Math.abs(ringArea(a)) - Math.abs(ringArea(b)))[0];
    if (round) return [{ outer, opening: [round] }];
    // An opening that runs all round a blank has no edge of its own: it lies between the parts of the mask.
    const own = parts.some((part) => part.outer === outer || ringContains(part.outer, outer[0]!, outer[1]!));
    return own || parts.length === 0 ? [] : [{ outer, opening: parts.map((part) => part.outer) }];
  });
}

/**
 * Bridges that tie islands to what is round them: strips across the narrowest places, two on opposite sides of an island
 * and one for a small one.
 *
 * @param islands to be tied
 * @param width of a bridge, mm
 * @returns strips that reach half their width into the film at both ends
 */
export function bridgesFor(islands: readonly Island[], width: number): Ring[] {
  return islands.flatMap(({ outer, opening }) => {
    const own = spotsOf(outer);
    const others = opening.flatMap(spotsOf);
    const box = boxOfCoordinates(outer);
    const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
    const spans = own.map((a) => {
      const b = others.reduce((best, spot) => (apart(a, spot) < apart(a, best) ? spot : best));
      return { a, b, length: apart(a, b), to: Math.atan2(a[1] - cy, a[0] - cx) };
    });
    const first = shortest(spans);
    if (!first) return [];
    const small = Math.max(boxWidth(box), boxHeight(box)) < HELD_BY_ONE_MM;
    const away = spans.filter(({ to }) => Math.cos(to - first.to) <= -0.5);
    const second = small ? null : shortest(away);
    return [first, ...(second ? [second] : [])].map(({ a, b }) => strip(a, b, width));
  });
}

type Spot = readonly [number, number];
const apart = (a: Spot, b: Spot): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const shortest = <T extends { readonly length: number }>(spans: readonly T[]): T | null =>
  spans.reduce<T | null>((best, span) => (best === null || span.length < best.length ? span : best), null);

/** Spots along a ring, its corners and points between them. */
function spotsOf(ring: Ring): Spot[] {
  const spots: Spot[] = [];
  for (let i = 0, n = ring.length; i < n; i += 2) {
    const [ax, ay, bx, by] = [ring[i]!, ring[i + 1]!, ring[(i + 2) % n]!, ring[(i + 3) % n]!];
    const parts = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay) / STEP_MM));
    for (let k = 0; k < parts; k++) spots.push([ax + ((bx - ax) * k) / parts, ay + ((by - ay) * k) / parts]);
  }
  return spots;
}

/** A strip from one spot to another, half its width longer at both ends; counter-clockwise. */
function strip(a: Spot, b: Spot, width: number): Ring {
  const length = apart(a, b) || EPSILON;
  const [ux, uy] = [((b[0] - a[0]) / length) * (width / 2), ((b[1] - a[1]) / length) * (width / 2)];
  return Float64Array.of(
    a[0] - ux + uy,
    a[1] - uy - ux,
    b[0] + ux + uy,
    b[1] + uy - ux,
    b[0] + ux - uy,
    b[1] + uy + ux,
    a[0] - ux - uy,
    a[1] - uy + ux,
  );
}

import type { OutlineActs } from '../model/item.ts';
import { boxHeight, boxOfCoordinates, boxOfRings, boxWidth } from '../plane/box.ts';
import { unionRings } from '../polygon/boolean.ts';
import { offsetRings } from '../polygon/offset.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { ringArea, ringContains, ringsOf } from '../polygon/polygon.ts';

/** Nothing done. */
export const NO_ACTS: OutlineActs = {
  thickenMm: 0,
  fillHoles: false,
  dropped: [],
  cutAway: [],
  onlyInside: null,
  shapesOnly: false,
  bridgeMm: 0,
  specksMm: 0,
};

/**
 * Carries out what concerns an item alone: drops parts, fills holes, thickens or thins.
 *
 * @param groups clean film in the item's plane, mm
 * @param acts what to do
 * @returns groups of clean film; empty ones are left out
 */
export function shapeInk(groups: readonly (readonly Ring[])[], acts: OutlineActs): readonly (readonly Ring[])[] {
  if (acts.thickenMm === 0 && !acts.fillHoles && acts.dropped.length === 0 && acts.specksMm === 0) return groups;
  const box = boxOfRings(groups.flat());
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const spots = acts.dropped.map(([x, y]) => [cx + x * boxWidth(box), cy + y * boxHeight(box)] as const);
  const all = groups.map((group) => unionRings(group));
  // What is nothing but specks at the size it has is meant: it stays.
  const large = all.flat().some((part) => !isSpeck(part, acts.specksMm));
  return all
    .map((group) => {
      let parts = group.filter(
        (part) => !(large && isSpeck(part, acts.specksMm)) && !spots.some(([x, y]) => holdsPoint(part, x, y)),
      );
      if (acts.fillHoles) parts = parts.map(({ outer }) => ({ outer, holes: [] }));
      const rings = parts.flatMap(ringsOf);
      return acts.thickenMm === 0 ? rings : offsetRings(rings, acts.thickenMm).flatMap(ringsOf);
    })
    .filter((rings) => rings.length > 0);
}

/** Whether a part is less than so many mm across, both ways. */
export function isSpeck({ outer }: Polygon, underMm: number): boolean {
  if (underMm === 0) return false;
  const box = boxOfCoordinates(outer);
  return Math.max(boxWidth(box), boxHeight(box)) < underMm;
}

const holdsPoint = ({ outer, holes }: Polygon, x: number, y: number): boolean =>
  ringContains(outer, x, y) && !holes.some((hole) => ringContains(hole, x, y));

/** A part of an item that can be dropped. */
export interface ItemPart {
  /** A spot in it, as shares of the item's width and height from its middle. */
  readonly spot: readonly [number, number];
  readonly rings: readonly Ring[];
  readonly dropped: boolean;
}

/**
 * The connected parts of an item, largest first, with those that are dropped.
 *
 * @param groups clean film in the item's plane before anything was done to it, mm
 */
export function partsOfInk(groups: readonly (readonly Ring[])[], acts: OutlineActs): ItemPart[] {
  const box = boxOfRings(groups.flat());
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return groups
    .flatMap((group) => unionRings(group))
    .sort((a, b) => Math.abs(ringArea(b.outer)) - Math.abs(ringArea(a.outer)))
    .map((part) => {
      const [x, y] = spotInside(part);
      return {
        spot: [(x - cx) / (boxWidth(box) || 1), (y - cy) / (boxHeight(box) || 1)],
        rings: ringsOf(part),
        dropped: acts.dropped.some(([sx, sy]) => holdsPoint(part, cx + sx * boxWidth(box), cy + sy * boxHeight(box))),
      };
    });
}

/** A spot well inside a part: the middle of the longest stretch of film along the level through its middle. */
function spotInside(part: Polygon): [number, number] {
  const box = boxOfCoordinates(part.outer);
  let best: [number, number, number] = [0, 0, -1];
  for (const share of [0.5, 0.37, 0.63, 0.22, 0.78]) {
    const y = box.minY + share * boxHeight(box);
    const xs: number[] = [];
    for (const ring of ringsOf(part))
      for (let i = 0, n = ring.length; i < n; i += 2) {
        const [ay, by] = [ring[i + 1]!, ring[(i + 3) % n]!];
        if (ay > y !== by > y) xs.push(ring[i]! + ((ring[(i + 2) % n]! - ring[i]!) * (y - ay)) / (by - ay));
      }
    xs.sort((a, b) => a - b);
    for (let i = 0; i + 1 < xs.length; i += 2)
      if (xs[i + 1]! - xs[i]! > best[2]) best = [(xs[i]! + xs[i + 1]!) / 2, y, xs[i + 1]! - xs[i]!];
  }
  return [best[0], best[1]];
}

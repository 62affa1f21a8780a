import { wholeTurns } from '../numeric/angle.ts';
import { intersectRings, subtractRings, unionRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringArea, ringsOf } from '../polygon/polygon.ts';
import type { Island } from './bridges.ts';
import { bridgesFor, islandsOf } from './bridges.ts';
import type { PlacedItem } from './place.ts';
import { slantRange } from './place.ts';
import { fromPlane, toPlane, turnsNear } from './side-plane.ts';
import { boxOfRings } from '../plane/box.ts';

/**
 * Carries out what items do to one another on the side: cut away, keep only inside; and takes out those that only shape
 * others. An item that is named but gone, or that names itself, changes nothing.
 *
 * @param placed items on the side
 * @param meanRadius mm; radius of the working plane
 * @param closed whether the side goes round: shapes then reach across its back
 * @returns placed items, in the same order, with their groups shaped
 */
export function shapeOthers(placed: readonly PlacedItem[], meanRadius: number, closed: boolean): PlacedItem[] {
  const byId = new Map(placed.map((p) => [p.item.id, p]));
  return placed
    .map((one) => {
      const { cutAway, onlyInside } = one.item.acts;
      const away = cutAway.filter((id) => id !== one.item.id).flatMap((id) => byId.get(id)?.groups ?? []);
      const within = onlyInside !== null && onlyInside !== one.item.id ? byId.get(onlyInside)?.groups : undefined;
      if (away.length === 0 && !within) return one;
      const act = (rings: readonly Ring[], shapes: readonly (readonly Ring[])[], keep: boolean): Ring[] => {
        const box = boxOfRings(rings);
        const near = shapes.flatMap((shape) => turnsNear(shape, box, closed));
        const flat = rings.map((ring) => toPlane(ring, meanRadius));
        const other = near.flat().map((ring) => toPlane(ring, meanRadius));
        if (other.length === 0) return keep ? [] : [...rings];
        return (keep ? intersectRings(flat, other) : subtractRings(flat, other))
          .flatMap(ringsOf)
          .map((ring) => fromPlane(ring, meanRadius));
      };
      const groups: Ring[][] = [];
      const filmOf: string[] = [];
      one.groups.forEach((group, i) => {
        let rings: Ring[] = [...group];
        if (within) rings = act(rings, within, true);
        if (away.length > 0 && rings.length > 0) rings = act(rings, away, false);
        groups.push(rings);
        if (one.filmOf) filmOf.push(one.filmOf[i]!);
      });
      return { ...one, groups, slants: slantRange(groups), filmOf: one.filmOf ? filmOf : null };
    })
    .map((one, _, all) => bridged(one, all, meanRadius))
    .map((one) => (one.item.acts.shapesOnly ? { ...one, groups: [], slants: null, filmOf: null } : one));
}

/**
 * The islands of a mask: its own, and film of what is kept together with it that lies in its openings.
 *
 * @param mask on the side
 * @param all placed items
 * @param meanRadius mm; radius of the working plane
 * @returns islands in the working plane, mm, group by group of the mask
 */
export function islandsOfMask(mask: PlacedItem, all: readonly PlacedItem[], meanRadius: number): Island[][] {
  const { keepTogether } = mask.item;
  const inside = all
    .filter((p) => p.item.id !== mask.item.id && keepTogether !== null && p.item.keepTogether === keepTogether)
    .filter((p) => !p.item.acts.shapesOnly)
    .flatMap((p) => p.groups.flatMap((group) => nearTo(group, mask.azimuth)))
    .map((ring) => toPlane(ring, meanRadius))
    .filter((ring) => ringArea(ring) > 0);
  return mask.groups.map((group) =>
    islandsOf(
      group.map((ring) => toPlane(ring, meanRadius)),
      inside,
    ),
  );
}

/** A mask whose islands are tied by bridges. */
function bridged(one: PlacedItem, all: readonly PlacedItem[], meanRadius: number): PlacedItem {
  const { acts } = one.item;
  if (acts.bridgeMm === 0 || acts.shapesOnly) return one;
  const islands = islandsOfMask(one, all, meanRadius);
  const groups = one.groups.map((group, i) => {
    const bridges = bridgesFor(islands[i]!, acts.bridgeMm);
    if (bridges.length === 0) return group;
    const flat = group.map((ring) => toPlane(ring, meanRadius));
    return unionRings([...flat, ...bridges])
      .flatMap(ringsOf)
      .map((ring) => fromPlane(ring, meanRadius));
  });
  return { ...one, groups };
}

/** A group brought, by whole turns, to where its middle is nearest to an azimuth. */
function nearTo(group: readonly Ring[], azimuth: number): readonly Ring[] {
  const { minX, maxX } = boxOfRings(group);
  const turn = wholeTurns((minX + maxX) / 2 - azimuth);
  return turn === 0 ? group : group.map((ring) => ring.map((value, i) => (i % 2 ? value : value - turn)));
}

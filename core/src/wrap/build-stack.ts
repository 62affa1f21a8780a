import { intersectRings, subtractRings, unionRings } from '../polygon/boolean.ts';
import { offsetRings } from '../polygon/offset.ts';
import type { Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { Stack } from '../stack/stack.ts';
import type { PlacedItem } from './place.ts';
import { slantRange } from './place.ts';
import { boxOf, fromPlane, toPlane, turnsNear } from './side-plane.ts';

/** Film of a group of a placed item. */
export const filmOfGroup = ({ item, filmOf }: PlacedItem, group: number): string => filmOf?.[group] ?? item.film;

/**
 * Knocks every film out of those below it, all but a small underlap; built by rule, only what is broad of it. What is left
 * of a lower film always reaches at least to the edge of the upper one: nothing gapes.
 *
 * @param placed items on the side
 * @param layers films from the blank outwards
 * @param stack how it is built
 * @param meanRadius mm; radius of the working plane
 * @param closed whether the side goes round
 */
export function buildStack(
  placed: readonly PlacedItem[],
  layers: readonly string[],
  { build, underlapMm, thinMm }: Stack,
  meanRadius: number,
  closed: boolean,
): PlacedItem[] {
  if (build === 'full' || layers.length < 2) return [...placed];
  const groupsOf = (film: string): (readonly Ring[])[] =>
    placed.flatMap((one) => one.groups.filter((_, g) => filmOfGroup(one, g) === film));
  /** What is knocked out of a film, in the working plane. */
  const knockOuts = layers.map((film, i) => {
    const reach = boxOf(groupsOf(film).flat());
    const above = layers
      .slice(i + 1)
      .flatMap(groupsOf)
      .flatMap((group) => turnsNear(group, reach, closed))
      .flat()
      .map((ring) => toPlane(ring, meanRadius));
    return above.length === 0 ? [] : knockOut(above, underlapMm, build === 'hybrid' ? thinMm : 0);
  });
  return placed.map((one) => {
    const groups = one.groups.map((group, g) => {
      const out = knockOuts[layers.indexOf(filmOfGroup(one, g))] ?? [];
      if (out.length === 0) return group;
      const flat = group.map((ring) => toPlane(ring, meanRadius));
      return subtractRings(flat, out)
        .flatMap(ringsOf)
        .map((ring) => fromPlane(ring, meanRadius));
    });
    return { ...one, groups, slants: slantRange(groups) };
  });
}

/** The part of upper film that lower film is cut away under. */
function knockOut(above: readonly Ring[], underlapMm: number, thinMm: number): Ring[] {
  const film = unionRings(above).flatMap(ringsOf);
  if (thinMm <= 0) return offsetRings(film, -underlapMm).flatMap(ringsOf);
  // What is no broader than a thin line is gone when it is drawn in by half of that, and does not come back.
  const broad = offsetRings(offsetRings(film, -thinMm / 2).flatMap(ringsOf), thinMm / 2).flatMap(ringsOf);
  if (broad.length === 0) return [];
  return offsetRings(intersectRings(broad, film).flatMap(ringsOf), -underlapMm).flatMap(ringsOf);
}

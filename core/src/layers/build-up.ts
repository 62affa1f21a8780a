import type { Box } from '../plane/box.ts';
import { boxesTouch, boxOfCoordinates } from '../plane/box.ts';
import { intersectRings, subtractRings, unionRings } from '../polygon/boolean.ts';
import { offsetRings } from '../polygon/offset.ts';
import type { Polygon, Ring } from '../polygon/polygon.ts';
import { ringsOf } from '../polygon/polygon.ts';
import type { Stack } from '../model/stack.ts';
import type { PlacedItem } from '../layout/place.ts';
import { slantRange } from '../layout/place.ts';
import { fromPlane, toPlane, turnsNear } from '../layout/side-plane.ts';
import { boxOfRings } from '../plane/box.ts';
import { layerOf } from './layer.ts';

/** Layer of a group of a placed item. */
export const layerOfGroup = ({ item, filmOf, levelOf }: PlacedItem, group: number): string =>
  layerOf({ film: filmOf?.[group] ?? item.film, level: levelOf?.[group] ?? 0 });

/**
 * Knocks every film out of those below it, all but a small underlap where film below goes on; built by rule, only what is
 * broad of it. All of a lower film that is seen stays, and a little more: nothing gapes.
 *
 * @param placed items on the side
 * @param layers from the blank outwards
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
  const groupsOf = (layer: string): (readonly Ring[])[] =>
    placed.flatMap((one) => one.groups.filter((_, g) => layerOfGroup(one, g) === layer));
  /** What covers a film, in the working plane. */
  const covers = layers.map((layer, i) => {
    const reach = boxOfRings(groupsOf(layer).flat());
    const above = layers
      .slice(i + 1)
      .flatMap(groupsOf)
      .flatMap((group) => turnsNear(group, reach, closed))
      .flat()
      .map((ring) => toPlane(ring, meanRadius));
    return above.length === 0 ? [] : coverOf(above, build === 'hybrid' ? thinMm : 0);
  });
  return placed.map((one) => {
    const groups = one.groups.map((group, g) => {
      const flat = group.map((ring) => toPlane(ring, meanRadius));
      const box = boxOfRings(flat);
      const near = (covers[layers.indexOf(layerOfGroup(one, g))] ?? []).filter((c) => boxesTouch(c.box, box));
      if (near.length === 0) return group;
      return underlapped(
        flat,
        near.flatMap(({ polygon }) => ringsOf(polygon)),
        underlapMm,
      ).map((ring) => fromPlane(ring, meanRadius));
    });
    return { ...one, groups, slants: slantRange(groups) };
  });
}

/** What of a film is seen from above, and what of it lies within the underlap of that. */
function underlapped(film: readonly Ring[], cover: readonly Ring[], underlapMm: number): Ring[] {
  const seen = subtractRings(film, cover).flatMap(ringsOf);
  if (seen.length === 0 || underlapMm === 0) return seen;
  return intersectRings(offsetRings(seen, underlapMm).flatMap(ringsOf), film).flatMap(ringsOf);
}

/** Film that lies above, piece by piece; without what is no broader than a thin line. */
function coverOf(above: readonly Ring[], thinMm: number): { polygon: Polygon; box: Box }[] {
  const film = unionRings(above);
  const boxed = (polygons: readonly Polygon[]): { polygon: Polygon; box: Box }[] =>
    polygons.map((polygon) => ({ polygon, box: boxOfCoordinates(polygon.outer) }));
  if (thinMm <= 0) return boxed(film);
  // What is thin is gone when it is drawn in by half of that, and does not come back.
  const rings = film.flatMap(ringsOf);
  const broad = offsetRings(offsetRings(rings, -thinMm / 2).flatMap(ringsOf), thinMm / 2).flatMap(ringsOf);
  return broad.length === 0 ? [] : boxed(intersectRings(broad, rings));
}

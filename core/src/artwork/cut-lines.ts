import { EPSILON_MM } from '../numeric/tolerances.ts';
import { boxesTouch, boxOfRings } from '../plane/box.ts';
import { intersectRings, unionRings } from '../polygon/boolean.ts';
import type { Ring } from '../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../polygon/polygon.ts';
import type { DrawnLine } from './drawing.ts';
import { joinLines } from './join-lines.ts';
import { Layers } from './layers.ts';

/** mm. Lines no broader than this are where to cut, not what: no film holds that is so fine. */
export const HAIRLINE_MM = 0.5;
/** mm within which two ends of hairlines are one corner. */
const NEAR_MM = 0.005;
/** Shapes of one colour that are looked at pair by pair; of more, what lies within what decides alone. */
const MOST_PAIRED = 1500;

/**
 * What the lines of a drawing enclose, when all of them are hairlines and some close: as a cut file has it.
 *
 * Outlines within one shape, and shapes within shapes, are holes by turns; shapes that lap are one.
 *
 * @param lines everything that the drawing has
 * @returns its areas about their middle, and how many lines do not close; null when it is no such drawing
 */
export function withoutHairlines(
  lines: readonly DrawnLine[],
): { readonly drawing: NonNullable<ReturnType<Layers['finish']>>; readonly loose: number } | null {
  if (lines.length === 0 || lines.some(({ widthMm }) => widthMm > HAIRLINE_MM * (1 + EPSILON_MM))) return null;
  const layers = new Layers();
  let loose = lines.filter(({ dashed }) => dashed).length;
  for (const colour of new Set(lines.map((line) => line.colour))) {
    const own = lines.filter((line) => line.colour === colour);
    const open: Ring[] = [];
    const shapes = own.flatMap(({ paths, clip }) => {
      const closed = paths.filter(({ ring, closed: shut }) => (shut || comesBack(ring)) && ring.length >= 6);
      open.push(...paths.filter((path) => !closed.includes(path) && path.ring.length >= 4).map(({ ring }) => ring));
      const area = unionRings(closed.map(({ ring }) => ring), 'evenodd').flatMap(ringsOf); // prettier-ignore
      return [clip ? intersectRings(area, clip).flatMap(ringsOf) : area];
    });
    const joined = joinLines(open, NEAR_MM);
    loose += joined.loose;
    shapes.push(...joined.rings.map((ring) => unionRings([ring], 'evenodd').flatMap(ringsOf)));
    const whole = lapped(shapes.filter((rings) => rings.length > 0));
    layers.put(colour, unionRings(whole.flat(), 'evenodd').flatMap(ringsOf));
  }
  const drawing = layers.finish();
  return drawing && { drawing, loose };
}

/** Whether a line that is not said to close ends where it began. */
const comesBack = (ring: Ring): boolean =>
  ring.length >= 8 && Math.hypot(ring[0]! - ring.at(-2)!, ring[1]! - ring.at(-1)!) <= NEAR_MM;

const areaOf = (rings: readonly Ring[]): number =>
  unionRings(rings, 'evenodd').reduce((sum, polygon) => sum + polygonArea(polygon), 0);

/** Shapes with those put together that lap, or are there twice; those that lie within others are left as they are. */
function lapped(shapes: readonly (readonly Ring[])[]): (readonly Ring[])[] {
  if (shapes.length > MOST_PAIRED) return [...shapes];
  const all = shapes.map((rings) => ({ rings, box: boxOfRings(rings), area: areaOf(rings) }));
  const bunch = all.map((_, i) => i);
  const leader = (i: number): number => (bunch[i] === i ? i : (bunch[i] = leader(bunch[i]!)));
  for (let i = 0; i < all.length; i++)
    for (let j = i + 1; j < all.length; j++) {
      const [a, b] = [all[i]!, all[j]!];
      if (!boxesTouch(a.box, b.box)) continue;
      const shared = areaOf(intersectRings(a.rings, b.rings).flatMap(ringsOf));
      const [less, more] = [Math.min(a.area, b.area), Math.max(a.area, b.area)];
      const within = shared > (1 - EPSILON_MM) * less;
      if (shared > EPSILON_MM * less && (!within || more < (1 + EPSILON_MM) * less)) bunch[leader(j)] = leader(i);
    }
  const groups = new Map<number, Ring[]>();
  all.forEach(({ rings }, i) => groups.set(leader(i), [...(groups.get(leader(i)) ?? []), ...rings]));
  return [...groups.values()].map((rings) => unionRings(rings).flatMap(ringsOf));
}

import { EPSILON } from '../numeric/tolerances.ts';
import type { DrawnFilm, DrawnOverlaps } from './overlaps.ts';

/** mm of film that lies under the groups of an item, by the number of the group. */
export type LiesOn = ReadonlyMap<string, readonly number[]>;

/**
 * How much film lies between what is drawn and the blank: the thickness of each film below it, by the share of it that lies
 * on that film. Round a blank it is this share of the way that runs further out.
 *
 * @param drawn groups of film as they are built up
 * @param overlaps of these
 * @param layers films from the blank outwards
 * @param thicknessOf mm, by film
 */
export function filmBelow(
  drawn: readonly DrawnFilm[],
  { areas, pairs }: DrawnOverlaps,
  layers: readonly string[],
  thicknessOf: (film: string) => number,
): LiesOn {
  const rank = new Map(layers.map((film, i) => [film, i]));
  const shares = drawn.map(() => new Map<string, number>());
  for (const { lower, upper, areaMm2 } of pairs) {
    const [a, b] = [rank.get(drawn[lower]!.layer) ?? 0, rank.get(drawn[upper]!.layer) ?? 0];
    if (a === b) continue;
    const [above, below] = a > b ? [lower, upper] : [upper, lower];
    const film = drawn[below]!.layer;
    shares[above]!.set(film, (shares[above]!.get(film) ?? 0) + areaMm2 / Math.max(areas[above]!, EPSILON));
  }
  const on = new Map<string, number[]>();
  drawn.forEach(({ itemId, group }, i) => {
    const list = on.get(itemId) ?? [];
    on.set(itemId, list);
    list[group] = [...shares[i]!].reduce((sum, [film, share]) => sum + thicknessOf(film) * Math.min(1, share), 0);
  });
  return on;
}

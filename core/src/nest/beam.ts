import type { PartialLayout, PartialLayouts, Outlook } from './partial-layout.ts';
import { markWith } from './partial-layout.ts';
import type { Kinds } from './kinds.ts';

/** How much a fit weighs against lying far along, and against leaving small parts for later; varied from search to search. */
export interface Taste {
  readonly along: number;
  readonly size: number;
  /** How much sooner each kind is taken than it would be. */
  readonly sooner: readonly number[];
}

/** Ways to go on that are looked at from one partial layout, and for each partial layout that is kept. */
const [WAYS, LOOKED_AT] = [6, 3];
/** What a cell of the parts that are left weighs against one that is lost: what is laid well is worth some loss. */
const LEFT_WEIGHS = 0.2;

/**
 * Lays parts one after the other, the one that fits best first, on several partial layouts at once: of all ways to lay
 * one part more, those go on that lose the least room and leave the least to lay.
 *
 * @param bare the partial layout on which nothing lies
 * @param width partial layouts that are kept at each step
 * @returns yields `null` whenever one may stop in between; at last the partial layouts on which all parts lie, before
 *   its limit
 * @source beam search; cf. J. Bennell and X. Song, "A beam search implementation for the irregular shape packing
 *   problem",
 *   2010: ways are filtered by a look at the one part, then judged by what comes of it
 */
export function* bestLayouts(
  layouts: PartialLayouts,
  limit: number,
  all: Kinds,
  taste: Taste,
  width: number,
): Generator<null, readonly PartialLayout[]> {
  const count = all.kinds.reduce((sum, { parts }) => sum + parts.length, 0);
  let kept: readonly PartialLayout[] = [layouts.bare(limit)];
  for (let depth = 0; depth < count && kept.length > 0; depth++) {
    const ways = kept.flatMap((layout) => bestWays(layouts, layout, all, taste)).sort((a, b) => b.score - a.score);
    const seen = new Set<number>();
    const looks: { look: Outlook; worth: number }[] = [];
    let looked = 0;
    for (const { layout, shape } of ways) {
      if (looked >= LOOKED_AT * width) break;
      // The same parts at the same places, laid in another order.
      const mark = markWith(layout, shape);
      if (seen.has(mark)) continue;
      seen.add(mark);
      const look = layouts.outlook(layout, shape);
      looked++;
      if ((looked & 15) === 0) yield null;
      if (!look) continue;
      looks.push({ look, worth: look.lost + LEFT_WEIGHS * look.cellsLeft });
    }
    looks.sort((a, b) => a.worth - b.worth);
    const next: PartialLayout[] = [];
    for (const { look } of looks.slice(0, width)) {
      next.push(layouts.follow(look));
      yield null;
    }
    layouts.drop(kept);
    kept = next;
  }
  return kept;
}

/** The best ways to lay one part more on a partial layout: each shape where it fits first. */
function bestWays(
  layouts: PartialLayouts,
  layout: PartialLayout,
  all: Kinds,
  taste: Taste,
): { layout: PartialLayout; shape: number; score: number }[] {
  const ways: { layout: PartialLayout; shape: number; score: number }[] = [];
  const side = Math.sqrt(all.biggest);
  all.shapes.forEach(({ kind, cells }, s) => {
    if (layout.left[kind] === 0 || layout.row[s]! < 0) return;
    const score =
      layouts.touch(layout, s) -
      (taste.along * (layout.column[s]! - layout.from)) / side +
      taste.size * Math.sqrt(cells / all.biggest) +
      taste.sooner[kind]!;
    ways.push({ layout, shape: s, score });
  });
  return ways.sort((a, b) => b.score - a.score).slice(0, WAYS);
}

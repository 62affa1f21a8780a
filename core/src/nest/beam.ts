import type { Draft, Drafts, Outlook } from './partial-layout.ts';
import { markWith } from './partial-layout.ts';
import type { Kinds } from './kinds.ts';

/** How much a fit weighs against lying far along, and against leaving small parts for later; varied from search to search. */
export interface Taste {
  readonly along: number;
  readonly size: number;
  /** How much sooner each kind is taken than it would be. */
  readonly sooner: readonly number[];
}

/** Ways to go on that are looked at from one draft, and for each draft that is kept. */
const [WAYS, LOOKED_AT] = [6, 3];
/** What a cell of the parts that are left weighs against one that is lost: what is laid well is worth some loss. */
const LEFT_WEIGHS = 0.2;

/**
 * Lays parts one after the other, the one that fits best first, on several drafts at once: of all ways to lay one part
 * more, those go on that lose the least room and leave the least to lay.
 *
 * @param bare the draft on which nothing lies
 * @param width drafts that are kept at each step
 * @returns yields `null` whenever one may stop in between; at last the drafts on which all parts lie, before its limit
 * @source beam search; cf. J. Bennell and X. Song, "A beam search implementation for the irregular shape packing problem",
 *   2010: ways are filtered by a look at the one part, then judged by what comes of it
 */
export function* bestDrafts(
  drafts: Drafts,
  limit: number,
  all: Kinds,
  taste: Taste,
  width: number,
): Generator<null, readonly Draft[]> {
  const count = all.kinds.reduce((sum, { parts }) => sum + parts.length, 0);
  let kept: readonly Draft[] = [drafts.bare(limit)];
  for (let depth = 0; depth < count && kept.length > 0; depth++) {
    const ways = kept.flatMap((draft) => bestWays(drafts, draft, all, taste)).sort((a, b) => b.score - a.score);
    const seen = new Set<number>();
    const looks: { look: Outlook; worth: number }[] = [];
    let looked = 0;
    for (const { draft, shape } of ways) {
      if (looked >= LOOKED_AT * width) break;
      // The same parts at the same places, laid in another order.
      const mark = markWith(draft, shape);
      if (seen.has(mark)) continue;
      seen.add(mark);
      const look = drafts.outlook(draft, shape);
      looked++;
      if ((looked & 15) === 0) yield null;
      if (!look) continue;
      looks.push({ look, worth: look.lost + LEFT_WEIGHS * look.cellsLeft });
    }
    looks.sort((a, b) => a.worth - b.worth);
    const next: Draft[] = [];
    for (const { look } of looks.slice(0, width)) {
      next.push(drafts.follow(look));
      yield null;
    }
    drafts.drop(kept);
    kept = next;
  }
  return kept;
}

/** The best ways to lay one part more on a draft: each shape where it fits first. */
function bestWays(
  drafts: Drafts,
  draft: Draft,
  all: Kinds,
  taste: Taste,
): { draft: Draft; shape: number; score: number }[] {
  const ways: { draft: Draft; shape: number; score: number }[] = [];
  const side = Math.sqrt(all.biggest);
  all.shapes.forEach(({ kind, cells }, s) => {
    if (draft.left[kind] === 0 || draft.row[s]! < 0) return;
    const score =
      drafts.touch(draft, s) -
      (taste.along * (draft.column[s]! - draft.from)) / side +
      taste.size * Math.sqrt(cells / all.biggest) +
      taste.sooner[kind]!;
    ways.push({ draft, shape: s, score });
  });
  return ways.sort((a, b) => b.score - a.score).slice(0, WAYS);
}

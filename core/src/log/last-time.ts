import { KINDS_OF_BLANK } from '../measure/kinds/kinds.ts';
import type { Blank } from '../model/blank.ts';
import type { FaultKind, LogbookEntry } from '../model/entry.ts';
import { robustMean } from './learn/robust.ts';

/** What the logbook knows of a blank. */
export interface LastTime {
  /** The latest entry on it. */
  readonly latest: LogbookEntry;
  /** How many entries there are on it, and how many things they came to, with the spoilt ones. */
  readonly entries: number;
  readonly made: number;
  readonly spoilt: number;
  /** Faults by kind, the most frequent first. */
  readonly faults: readonly { readonly kind: FaultKind; readonly count: number }[];
  /**
   * mm by which its ends stood apart since its sizes were last put right by paper, and how often that was seen; null where
   * nothing was noted, or nothing goes round it.
   */
  readonly gap: { readonly mm: number; readonly n: number } | null;
}

/** mm. How far ends stand apart: leaning on none, for as long as there are few. */
const GAP = { mean: 0, sd: 1, noise: 0.6, noiseN: 3 };

/**
 * What became of things on a blank before.
 *
 * @param entries the newest first
 * @param blank as it stands in a project
 * @param shelfId the shelf blank that it came from; null for none
 */
export function lastTime(entries: readonly LogbookEntry[], blank: Blank, shelfId: string | null): LastTime | null {
  const own = entries.filter((entry) =>
    entry.blank.shelfId !== null && shelfId !== null
      ? entry.blank.shelfId === shelfId
      : entry.blank.name === blank.name && entry.blank.kind === blank.kind,
  );
  const latest = own[0];
  if (!latest) return null;
  const spoilt = own.reduce((sum, one) => sum + one.spoilt, 0);
  const counts = new Map<FaultKind, number>();
  for (const { kind } of own.flatMap(({ faults }) => faults)) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  // A gap from before the last paper is put right already.
  const gaps = own.flatMap(({ at, seamGapMm }) => (seamGapMm !== null && at > (blank.fitCheck?.on ?? '') ? [seamGapMm] : [])); // prettier-ignore
  return {
    latest,
    entries: own.length,
    made: own.reduce((sum, { count }) => sum + count, 0) + spoilt,
    spoilt,
    faults: [...counts].map(([kind, count]) => ({ kind, count })).sort((a, b) => b.count - a.count),
    gap:
      gaps.length > 0 && KINDS_OF_BLANK[blank.kind].round ? { mm: robustMean(gaps, GAP).value, n: gaps.length } : null,
  };
}

/** Share of times that there are enough of a thing after what is spoilt. */
const SURE = 0.8;
const MOST_MORE = 200;

/**
 * How many more than wanted have to be begun, so that eight times of ten there are enough.
 *
 * @param count wanted
 * @param rate share that is spoilt, 0 … 1
 * @source the least m with P(Binomial(count + m, 1 − rate) ≥ count) ≥ 0.8
 */
export function moreToBegin(count: number, rate: number): number {
  if (!(rate > 0) || count < 1) return 0;
  const good = 1 - rate;
  // Chances that the last good one needed is the count-th of count + m: negative binomial, summed.
  let term = good ** count;
  let sum = term;
  let more = 0;
  while (sum < SURE && more < MOST_MORE) {
    more++;
    term *= (rate * (count + more - 1)) / more;
    sum += term;
  }
  return more;
}

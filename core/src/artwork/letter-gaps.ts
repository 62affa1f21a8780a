import type { TextItem } from '../model/item.ts';

/** Gaps of a text at some size, mm. */
export interface LetterGaps {
  readonly letterGap: number;
  readonly pairGaps: readonly { readonly after: number; readonly mm: number }[];
}

/**
 * How much gaps grow from what is noted to a height of capitals: they keep their share of it, so that letters that were
 * closed up until they touch go on touching at any size.
 */
export const gapGrowth = ({ gapsAtMm }: Pick<TextItem, 'gapsAtMm'>, capMm: number): number =>
  gapsAtMm === null ? 1 : capMm / gapsAtMm;

/** The gaps of a text when its capitals are so high, mm. */
export function gapsAt(item: Pick<TextItem, 'letterGapMm' | 'pairGaps' | 'gapsAtMm'>, capMm: number): LetterGaps {
  const by = gapGrowth(item, capMm);
  return {
    letterGap: item.letterGapMm * by,
    pairGaps: by === 1 ? item.pairGaps : item.pairGaps.map(({ after, mm }) => ({ after, mm: mm * by })),
  };
}

import type { CuttablePiece } from '../pieces/cuttable.ts';
import type { JobSheet } from './job-sheet.ts';
import { blocksOf } from './blocks.ts';
import { planJob } from './job-sheet.ts';
import type { Project } from '../model/project.ts';
import type { Supply } from '../model/stock.ts';
import { tapeArea } from './tape-usage.ts';

/** What a batch of some count takes, by a plan of its own. */
export interface BatchUsage {
  readonly sheet: JobSheet;
  /** mm² of transfer tape that lift everything. */
  readonly tapeMm2: number;
}

/**
 * Blanks that a project is made on, by the id that they have on the shelf: one, or as many as its list says. What is made on
 * a blank that is on no shelf is left out.
 */
export function blanksFor({
  names,
  shelfBlankId,
}: Pick<Project, 'names' | 'shelfBlankId'>): { readonly id: string; readonly count: number }[] {
  const counts = new Map<string, number>();
  for (const { blankId, count } of names?.rows ?? [{ blankId: null, count: 1 }]) {
    const id = blankId ?? shelfBlankId;
    if (id !== null && count > 0) counts.set(id, (counts.get(id) ?? 0) + count);
  }
  return [...counts].map(([id, count]) => ({ id, count }));
}

/**
 * What is taken when everything is cut so many times: planned together, so that several share their waste.
 *
 * @param project for films
 * @param cut everything that is cut once
 * @param sheet of that
 * @param supply what film there is
 * @param times whole number from 1
 */
export function batchUsage(
  { films }: Pick<Project, 'films'>,
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  supply: Supply,
  times: number,
): BatchUsage {
  const all = Array.from({ length: times }, (_, i) =>
    cut.map((piece) => (i === 0 ? piece : { ...piece, part: `${piece.part || 'piece'}-again-${i + 1}` })),
  ).flat();
  return {
    sheet: times === 1 ? sheet : planJob(all, films, sheet.plan.board, supply),
    tapeMm2: times * tapeArea(blocksOf(cut, films, supply)),
  };
}

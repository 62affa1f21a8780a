import { shoppingList, type ToBuy } from '../bench/shopping.ts';
import { blanksFor } from '../load/batch-usage.ts';
import { blocksOf } from '../load/blocks.ts';
import type { JobSheet } from '../load/job-sheet.ts';
import { tapeArea } from '../load/tape-usage.ts';
import type { Units } from '../measure/length.ts';
import type { Project, ShelfBlank } from '../model/project.ts';
import type { StockThing, Supply } from '../model/stock.ts';
import type { Examined } from '../pipeline.ts';
import type { OpenProject } from '../schedule/tasks.ts';

/** What lies on the shelves. */
export interface Shelves {
  readonly supply: Supply;
  readonly things: readonly StockThing[];
  readonly blanks: readonly ShelfBlank[];
}

/** What has to be bought before a project can be made: blanks, films and tape that the shelves do not have. */
export function missingFor(
  project: Project,
  { sheet, tapeMm2 }: { readonly sheet: JobSheet; readonly tapeMm2: number },
  { supply, things, blanks }: Shelves,
  unit: Units,
): ToBuy[] {
  const counted = blanksFor(project).map(({ id, count }) => {
    const kept = blanks.find(({ blank }) => blank.id === id);
    return { name: kept?.blank.name ?? id, have: kept?.inStock ?? null, need: count };
  });
  const rolls = things.flatMap((thing) => (thing.kind === 'tape' ? [thing] : []));
  return shoppingList(sheet, project.films, supply, counted, { rolls, mm2: tapeMm2 }, unit);
}

/** An examined project as the plan takes it: its steps, and what has to be bought for it first. */
export function openProject(
  project: Project,
  { steps, sheet, cut }: Pick<Extract<Examined, { ok: true }>, 'steps' | 'sheet' | 'cut'>,
  shelves: Shelves,
  unit: Units,
): OpenProject {
  const tapeMm2 = tapeArea(blocksOf(cut, project.films, shelves.supply));
  return { project, steps, missing: missingFor(project, { sheet, tapeMm2 }, shelves, unit) };
}

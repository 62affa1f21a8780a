import { madeSet } from '../../test/together.ts';
import type { Row } from '../../test/measure.ts';
import { blocksOf } from './blocks.ts';
import { boardById } from './boards.ts';
import { betterLoads } from './load.ts';
import { NO_STOCK } from './supply.ts';
import { planTogether } from './together.ts';

/** Twelve projects of two hundred parts in four films: how long their first common plan takes, and how full its loads are. */
export function benchTogether(row: Row): void {
  for (const [i, seed] of [1, 2, 3].entries()) {
    const board = boardById('square');
    const { projects, leastLoads } = madeSet(seed, 12, 200, board);
    const began = performance.now();
    const { sheet, cut, films } = planTogether(projects, board);
    const took = performance.now() - began;
    let best = sheet.plan;
    for (const step of betterLoads(blocksOf(cut, films), board, NO_STOCK, [], 1)) {
      if (step) best = step.plan;
      if (performance.now() - began > 10_000) break;
    }
    if (i === 0) row('cut 12 projects together, 200 parts: first plan', '≤ 2000 ms', `${took.toFixed(0)} ms`);
    row(`the same, case ${seed}: loads after 10 s against the whole loads that their area takes`, '≤ 1.1 ×', `${best.loads.length} / ${Math.ceil(leastLoads)} (${leastLoads.toFixed(2)}) = ${(best.loads.length / Math.ceil(leastLoads)).toFixed(2)} ×`); // prettier-ignore
  }
}

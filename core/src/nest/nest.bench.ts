import { boxesOf, jigsaw, namesAndSectors, partArea } from '../../test/nesting.ts';
import type { Row } from '../../test/measure.ts';
import { nest } from './nest.ts';
import type { Nesting, NestPart, NestSheet } from './nesting.ts';

/** The first plan and what five seconds make of it. */
function timed(
  parts: readonly NestPart[],
  sheets: readonly NestSheet[],
  gapMm: number,
  limitMs = 5000,
): { firstMs: number; best: Nesting } {
  const began = performance.now();
  let firstMs = 0;
  let best: Nesting | null = null;
  for (const plan of nest(parts, sheets, { gapMm, seed: 1 })) {
    if (plan && !best) firstMs = performance.now() - began;
    if (plan) best = plan;
    if (performance.now() - began > limitMs) break;
  }
  return { firstMs, best: best! };
}

/** Wraps and names of a batch on three stocks, beside their boxes; and a puzzle with a perfect answer. */
export function benchNest(row: Row): void {
  const parts = namesAndSectors(1, 24, 36);
  const stocks = [{ id: 'offcut', acrossMm: 140, alongMm: 200 }, { id: 'sheet', acrossMm: 284, alongMm: 289 }, { id: 'roll', acrossMm: 324, alongMm: 3600 }]; // prettier-ignore
  const film = ({ alongUsed, sheetIds }: Nesting): number =>
    alongUsed.reduce((sum, mm, i) => sum + mm * stocks.find((s) => s.id === sheetIds[i])!.acrossMm, 0);
  const own = timed(parts, stocks, 6);
  const boxes = timed(boxesOf(parts), stocks, 6);
  row('nest 60 parts, 24 of them sectors, on three stocks: first plan', '≤ 1000 ms', `${own.firstMs.toFixed(0)} ms`);
  row('the same, film against boxes after 5 s', '≥ 15 % less', `${(100 * (1 - film(own.best) / film(boxes.best))).toFixed(0)} % less`); // prettier-ignore
  const uses = [1, 2, 3].map((seed) => {
    const pieces = jigsaw(300, 200, 30, seed);
    const { best } = timed(pieces, [{ id: 'roll', acrossMm: 200, alongMm: 2000 }], 0);
    return pieces.reduce((sum, part) => sum + partArea(part), 0) / 200 / best.alongUsed[0]!;
  });
  row('a puzzle of 30 parts after 5 s', '≥ 85 % used', uses.map((use) => `${(100 * use).toFixed(0)} %`).join(', '));
}

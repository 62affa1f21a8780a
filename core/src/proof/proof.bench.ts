import { contextOf, projectOf } from '../../test/findings.ts';
import { makeJob, motifItem, tumbler } from '../../test/jobs.ts';
import { median, type Row } from '../../test/measure.ts';
import { proof } from './proof.ts';

/** All findings on a wrap of two thousand pieces. */
export function benchProof(row: Row): void {
  const items = Array.from({ length: 8 }, (_, i) =>
    motifItem('buoy', {
      id: `b${i}`,
      widthMm: 0.8,
      repeat: { mode: 'spaced', count: 125 },
      placement: { facing: 'angle', angleDeg: 0, from: 'rim', mm: 20 + 6 * i, turnDeg: 0 },
    }),
  );
  const context = contextOf(projectOf(makeJob(tumbler(), items)));
  const ms = median(() => proof(context), 5);
  row(`all findings on a ${context.wrap.pieces.length}-piece wrap`, '≤ 150 ms', `${ms.toFixed(0)} ms`);
}

import { median, type Row } from '../../test/measure.ts';
import { minimise } from '../numeric/minimise.ts';
import { layInOrder, relaxed, usualOrders } from './lay.ts';
import { membraneOf } from './membrane.ts';
import { meshOf } from './sheet.ts';
import { ballSide } from './side.ts';

const GIVES = { stretch: 0.015, squeeze: 0.005 };
const HERE = { flat: [0, 0], azimuth: 0, slant: 0, askew: 0 } as const;

/** Prints how long a sheet takes to find its rest, and to be laid, on a ball of 80 mm. */
export function benchFilm(row: Row): void {
  const disk = (n: number): Float64Array => Float64Array.from({ length: 2 * n }, (_, i) => 15 * (i % 2 ? Math.sin : Math.cos)((2 * Math.PI * (i >> 1)) / n)); // prettier-ignore
  const [fine, coarse] = [meshOf({ outer: disk(100), holes: [] }, 0.98), meshOf({ outer: disk(40), holes: [] }, 3)];
  const ball = ballSide(40);
  const points = fine.flat.length / 2;
  row(
    `relax a sheet of ${points} points`,
    '≤ 400 ms',
    `${median(() => relaxed(fine, ball, GIVES, HERE), 3).toFixed(0)} ms`,
  );
  const lay = (sheet: typeof fine): void => {
    const laying = layInOrder(sheet, ball, GIVES, HERE, usualOrders(sheet, 12)[0]!);
    while (!laying.next().done);
  };
  row('lay it in twelve steps', '≤ 1500 ms', `${median(() => lay(fine), 3).toFixed(0)} ms`);
  row(
    `the same, coarse (${coarse.flat.length / 2} points)`,
    '≤ 300 ms',
    `${median(() => lay(coarse), 3).toFixed(0)} ms`,
  );
  const membrane = membraneOf(fine, ball, GIVES, 40);
  const at = Float64Array.from(fine.flat, (v, i) => (i % 2 ? -v : v));
  const [slope, counts] = [new Float64Array(at.length), new Uint8Array(fine.triangles.length / 3).fill(1)];
  const once = median(() => membrane.energy(at, slope, counts), 9);
  // What a round takes besides: the same sheet, relaxed by so many asks for its energy.
  let asks = 0;
  const counted = membraneOf(fine, ball, GIVES, 40);
  const start = performance.now();
  minimise(
    (where, out) => {
      asks++;
      return counted.energy(where, out, counts);
    },
    at.slice(),
    1e-6,
    200,
  );
  const each = (performance.now() - start) / asks;
  row('a round of it against its energy alone', '≤ 3 ×', `${(each / once).toFixed(2)} × (${once.toFixed(2)} ms)`);
}

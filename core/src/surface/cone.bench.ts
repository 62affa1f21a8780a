import { median, type Row } from '../../test/measure.ts';
import { coneDevelopment } from './cone.ts';

/** A million points laid flat, beside a bare loop of the same sines and cosines. */
export function benchCone(row: Row): void {
  const n = 1_000_000;
  const azimuth = Float64Array.from({ length: n }, (_, i) => ((i % 6283) - 3141) / 1000);
  const slant = Float64Array.from({ length: n }, (_, i) => i % 168);
  const out = new Float64Array(2 * n);
  const cone = coneDevelopment({ girthRim: 276, girthBase: 214, side: 168 });
  const spot = new Float64Array(2);
  const ours = median(() => {
    for (let i = 0; i < n; i++) {
      cone.forwardInto(azimuth[i]!, slant[i]!, spot);
      out[2 * i] = spot[0]!;
      out[2 * i + 1] = spot[1]!;
    }
  });
  const k = 62 / (2 * Math.PI * 168);
  const apex = 276 / (62 / 168);
  const bare = median(() => {
    for (let i = 0; i < n; i++) {
      const turn = k * azimuth[i]!;
      const r = apex - slant[i]!;
      out[2 * i] = r * Math.sin(turn);
      out[2 * i + 1] = r * Math.cos(turn) - apex;
    }
  });
  row(
    'map 1,000,000 points onto a cone, round',
    '≤ 1.5 × bare loop',
    `${(ours / bare).toFixed(2)} × (${ours.toFixed(0)} ms, bare ${bare.toFixed(0)} ms)`,
  );
}

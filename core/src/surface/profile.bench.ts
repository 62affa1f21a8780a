import { median, type Row } from '../../test/measure.ts';
import { ballPatch } from './ball-patch.ts';
import { bandDevelopment } from './conic-band.ts';
import { profileOf } from './profile.ts';

/** A million points of a curved side laid on its band, and of a ball on its patch, beside bare loops of the same sines. */
export function benchProfile(row: Row): void {
  const n = 1_000_000;
  const azimuth = Float64Array.from({ length: n }, (_, i) => ((i % 6283) - 3141) / 1000);
  const slant = Float64Array.from({ length: n }, (_, i) => (i % 800) / 10);
  const out = new Float64Array(2 * n);
  const spot = new Float64Array(2);
  const side = profileOf(
    [0, 20, 40, 60, 80].map((down, i) => ({ down, girth: [251, 262, 266, 262, 249][i]! })),
    'side',
  );
  const make = (): ReturnType<typeof bandDevelopment> => bandDevelopment(side, { stretch: 0.05, squeeze: 0.01 });
  const { development, band } = make();
  const ours = median(() => {
    for (let i = 0; i < n; i++) {
      development.forwardInto(azimuth[i]!, slant[i]!, spot);
      out[2 * i] = spot[0]!;
      out[2 * i + 1] = spot[1]!;
    }
  });
  const { girthRim, girthBase, side: length } = band.cone;
  const k = (girthRim - girthBase) / (2 * Math.PI * length);
  const apex = girthRim / (2 * Math.PI * k);
  const bare = median(() => {
    for (let i = 0; i < n; i++) {
      const turn = k * azimuth[i]!;
      const r = apex - slant[i]!;
      out[2 * i] = r * Math.sin(turn);
      out[2 * i + 1] = r * Math.cos(turn) - apex;
    }
  });
  const says = (ms: number, against: number): string =>
    `${(ms / against).toFixed(2)} × (${ms.toFixed(0)} ms, bare ${against.toFixed(0)} ms)`;
  row('map 1,000,000 points onto the band of a curved side', '≤ 1.5 × bare loop', says(ours, bare));
  row('find the best band of a side', '', `${median(() => void make()).toFixed(2)} ms`);

  const radius = 40;
  const patch = ballPatch(2 * Math.PI * radius, { azimuth: 0, latitude: 0.2 });
  const [sin0, cos0] = [Math.sin(0.2), Math.cos(0.2)];
  const latitude = Float64Array.from(slant, (s) => (s - 40) / 80);
  const patched = median(() => {
    for (let i = 0; i < n; i++) {
      const p = patch.forward(azimuth[i]! / 4, latitude[i]!);
      out[2 * i] = p.x;
      out[2 * i + 1] = p.y;
    }
  });
  const bareBall = median(() => {
    for (let i = 0; i < n; i++) {
      const [a, b] = [azimuth[i]! / 4, latitude[i]!];
      const [sin, cos, turn] = [Math.sin(b), Math.cos(b), Math.cos(a)];
      const angle = Math.acos(Math.min(1, sin0 * sin + cos0 * cos * turn));
      const scale = angle === 0 ? radius : (radius * angle) / Math.sin(angle);
      out[2 * i] = scale * cos * Math.sin(a);
      out[2 * i + 1] = scale * (cos0 * sin - sin0 * cos * turn);
    }
  });
  row('map 1,000,000 points onto the patch of a ball', '≤ 1.5 × bare loop', says(patched, bareBall));
}

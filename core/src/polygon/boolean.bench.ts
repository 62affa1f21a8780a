import { Clipper64, ClipType, FillRule, type Path64 } from 'clipper2-ts';
import { testFonts } from '../../test/fonts.ts';
import { median, type Row } from '../../test/measure.ts';
import { textOutlines } from '../artwork/text.ts';
import { unionRings } from './boolean.ts';
import type { Ring } from './polygon.ts';

/** Two thousand letters fused, set as forty lines of fifty, and one script name. */
export function benchFuse(row: Row): void {
  const line = textOutlines('oarlock'.repeat(8).slice(0, 50), testFonts.script, 20).glyphs.flat();
  const rings: Ring[] = Array.from({ length: 40 }, (_, row) =>
    line.map((ring) => Float64Array.from(ring, (value, i) => (i % 2 ? value - 25 * row : value))),
  ).flat();
  const whole = median(() => unionRings(rings), 5);
  // The kernel alone, on the same outlines and along the same axis, without finding which hole lies in which piece.
  const bare = median(() => {
    const engine = new Clipper64();
    const solution: Path64[] = [];
    const grid = (value: number): number => Math.round(value * 1e4);
    engine.addSubject(
      rings.map((ring) =>
        Array.from({ length: ring.length / 2 }, (_, i) => ({ x: grid(ring[2 * i]!), y: grid(ring[2 * i + 1]!) })),
      ),
    );
    engine.execute(ClipType.Union, FillRule.NonZero, solution);
  }, 5);
  const points = rings.reduce((sum, r) => sum + r.length / 2, 0);
  row(
    'fuse 2,000 glyph outlines',
    '≤ 1.2 × bare union',
    `${(whole / bare).toFixed(2)} × (${whole.toFixed(0)} ms, bare ${bare.toFixed(0)} ms; ${Math.round(points / 2000)} points a letter)`,
  );
  const name = median(() => unionRings(textOutlines('Bartholomewe', testFonts.script, 20).glyphs.flat()), 21);
  row('fuse a 12-letter script name', '≤ 15 ms', `${name.toFixed(1)} ms`);
}

import type { Point } from '../../plane/point.ts';

/** The axis of a thing in a picture, from its top to its foot; px, y down. */
export interface PhotoAxis {
  readonly top: Point;
  readonly foot: Point;
}

/** Rows at the top and at the foot, as a share of all, from which lines for the axis are tried, and how many of them. */
const TRIED = { share: 0.35, rows: 26 } as const;

/** px, and share of the width, by which the middle of a row may miss the axis and still be on it. */
export const ON_AXIS = { px: 1.2, share: 0.006 } as const;

/** Steepest lean of an axis that is tried: 15°. */
const MOST_LEAN = Math.tan((15 * Math.PI) / 180);

/** The line on which most middles lie, from one height to another: by trial, then by least squares on those on it. */
export function lineThrough(middles: readonly Point[], top: number, foot: number, tolerance: number): PhotoAxis {
  const n = middles.length;
  const band = Math.max(1, Math.floor(TRIED.share * n));
  const step = Math.max(1, Math.floor(band / TRIED.rows));
  const within = (a: number, b: number): number => {
    let count = 0;
    for (const p of middles) if (Math.abs(p.x - a - b * p.y) <= tolerance) count += 1;
    return count;
  };
  let [a, b, most] = [middles[n >> 1]!.x, 0, -1];
  for (let i = 0; i < band; i += step)
    for (let j = n - 1; j > n - 1 - band; j -= step) {
      const [p, q] = [middles[i]!, middles[j]!];
      if (q.y - p.y < 2) continue;
      const lean = (q.x - p.x) / (q.y - p.y);
      if (Math.abs(lean) > MOST_LEAN) continue;
      const count = within(p.x - lean * p.y, lean);
      if (count > most) [a, b, most] = [p.x - lean * p.y, lean, count];
    }
  for (let round = 0; round < 3; round++) {
    const used = middles.filter((p) => Math.abs(p.x - a - b * p.y) <= tolerance);
    if (used.length < 3) break;
    const my = used.reduce((sum, p) => sum + p.y, 0) / used.length;
    const mx = used.reduce((sum, p) => sum + p.x, 0) / used.length;
    const spread = used.reduce((sum, p) => sum + (p.y - my) ** 2, 0);
    b = spread > 0 ? used.reduce((sum, p) => sum + (p.y - my) * (p.x - mx), 0) / spread : 0;
    a = mx - b * my;
  }
  return { top: { x: a + b * top, y: top }, foot: { x: a + b * foot, y: foot } };
}

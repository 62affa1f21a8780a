import { EPSILON } from '../numeric/tolerances.ts';
import type { Box } from '../plane/box.ts';
import type { Point } from '../plane/point.ts';
import type { ConeSpec } from '../surface/cone.ts';
import type { Development, SurfaceRegion } from '../surface/development.ts';

/** Lines and words that help to lay a template, flat mm. */
export interface TemplateMarks {
  readonly lines: readonly { readonly from: Point; readonly to: Point }[];
  readonly words: readonly { readonly at: Point; readonly text: string }[];
}

/**
 * Marks of a band: front, every eighth of the way round to aim by, an arrow to the rim and which way up it goes,
 * and both ends.
 *
 * @param surface the band's development
 * @param cone whose wider end is named
 * @param region what of it is cut
 * @param name which panel it is; empty for the only one
 * @param panel how a panel beside others was turned upright, rad, what its two ends meet, and where they are half-way down
 */
export function bandMarks(
  surface: Development,
  cone: ConeSpec,
  region: SurfaceRegion,
  name: string,
  panel: {
    readonly turn: number;
    readonly ends: readonly [string, string];
    readonly middles: readonly [number, number];
  } | null = null,
): TemplateMarks {
  const turn = panel?.turn ?? 0;
  const side = surface.slantLength;
  const tick = Math.min(6, side / 8);
  const lines: { from: Point; to: Point }[] = [];
  const mark = (azimuth: number, length: number): void => {
    // A panel at the back may hold the spot a whole turn on.
    for (const at of [azimuth + turn - 2 * Math.PI, azimuth + turn, azimuth + turn + 2 * Math.PI]) {
      if (at > region.left[0] && at < region.right[0])
        lines.push({ from: surface.forward(at, 0), to: surface.forward(at, length) });
      if (at > region.left[1] && at < region.right[1])
        lines.push({ from: surface.forward(at, side), to: surface.forward(at, side - length) });
    }
  };
  mark(0, tick * 1.5);
  for (const quarter of [-Math.PI / 2, Math.PI / 2]) mark(quarter, tick);
  for (const eighth of [-3, -1, 1, 3]) mark((eighth * Math.PI) / 4, tick / 2);
  // An arrow in front that points to the rim.
  const tip = surface.forward(0, tick * 1.5 + 2);
  lines.push({ from: tip, to: { x: tip.x - 2, y: tip.y - 3 } }, { from: tip, to: { x: tip.x + 2, y: tip.y - 3 } });
  const wider =
    cone.girthRim > cone.girthBase + 0.5
      ? ' (the longer arc)'
      : cone.girthBase > cone.girthRim + 0.5
        ? ' (the shorter arc)'
        : '';
  // There is less room on a panel.
  const rim = `${name ? `${name}, ` : ''}rim this way${panel ? '' : wider}`;
  const front = [turn - 2 * Math.PI, turn, turn + 2 * Math.PI].find(
    (at) => at > Math.max(...region.left) && at < Math.min(...region.right),
  );
  return {
    lines,
    words: [
      // In a low band there is no room under the arrow: beside it then.
      side > 60
        ? { at: surface.forward(0, tick * 1.5 + 10), text: rim }
        : { at: surface.forward(Math.max(-Math.PI * 0.4, region.left[1] * 0.6), side * 0.55), text: rim },
      ...seamWords(surface, region, panel),
      ...(side > 40 && front !== undefined
        ? [{ at: surface.forward(front, side - tick * 1.5 - 3), text: 'front' }]
        : []),
    ],
  };
}

/** mm from an end of the band to the middle of the word that names it. */
const SEAM_WORD_MM = 9;

/** Names both ends of a band: where they meet is the seam, or the handle stands between them. */
function seamWords(
  surface: Development,
  region: SurfaceRegion,
  panel: { readonly ends: readonly [string, string]; readonly middles: readonly [number, number] } | null,
): TemplateMarks['words'] {
  const middle = surface.slantLength / 2;
  const radius = surface.radiusAt(middle);
  const [left, right] =
    panel?.middles ?? ([region.left, region.right].map((ends) => (ends[0] + ends[1]) / 2) as [number, number]);
  const text = right - left < 2 * Math.PI - EPSILON ? 'handle' : 'seam';
  const inward = SEAM_WORD_MM / radius;
  return [left + inward, right - inward].map((azimuth, i) => ({
    at: surface.forward(azimuth, middle),
    text: panel?.ends[i] ?? text,
  }));
}

/** Marks of a face: its middle, and which way is up. */
export function faceMarks(bounds: Box): TemplateMarks {
  const [x, y] = [(bounds.minX + bounds.maxX) / 2, (bounds.minY + bounds.maxY) / 2];
  const arm = Math.min(5, (bounds.maxX - bounds.minX) / 8, (bounds.maxY - bounds.minY) / 8);
  const tip = { x, y: bounds.maxY - arm };
  return {
    lines: [
      { from: { x: x - arm, y }, to: { x: x + arm, y } },
      { from: { x, y: y - arm }, to: { x, y: y + arm } },
      { from: tip, to: { x: x - arm / 2, y: tip.y - arm * 0.75 } },
      { from: tip, to: { x: x + arm / 2, y: tip.y - arm * 0.75 } },
    ],
    words: [{ at: { x, y: tip.y - arm * 0.75 - 4 }, text: 'this way up' }],
  };
}

import type { Raster } from '../../raster/foreground.ts';
import { borderColour } from './ground.ts';
import { clamp } from './lightness.ts';
import { hex } from './mean-colour.ts';
import type { TraceOptions } from './options.ts';
import { coloursOf, nearestColour, type Rgb } from './raster-colours.ts';

/** Fields of the main colours, each 1 where a pixel is nearest to it. */
export function byColour(raster: Raster, options: TraceOptions): { colour: string; field: Float32Array }[] {
  const { width, height, rgba } = raster;
  const ground = options.dropGround ? borderColour(raster) : null;
  const { centres, labels } = coloursOf(raster, options.colours, ground);
  settle(labels, width, height);
  const left = ground ? nearestColour(centres, ground, 0) : -2;
  return centres.flatMap((centre, k) => {
    if (k === left) return [];
    const field = new Float32Array(labels.length);
    for (let i = 0; i < field.length; i++) field[i] = labels[i] === k ? 1 : 0;
    soften(field, k, { labels, centres, rgba, width, height });
    return [{ colour: hex(centre), field }];
  });
}

/**
 * Along an edge, the share of a colour that a pixel holds instead of all or nothing, so that the outline runs between
 * the pixels: on the line from one colour to the other it is where the pixel's colour lies.
 */
function soften(
  field: Float32Array,
  k: number,
  at: {
    readonly labels: Int8Array;
    readonly centres: readonly Rgb[];
    readonly rgba: ArrayLike<number>;
    readonly width: number;
    readonly height: number;
  },
): void {
  const { labels, centres, rgba, width, height } = at;
  const own = centres[k]!;
  const away = (i: number, [r, g, b]: Rgb): number =>
    Math.hypot(rgba[4 * i]! - r, rgba[4 * i + 1]! - g, rgba[4 * i + 2]! - b);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      let mine = false;
      let least = Infinity;
      let other: Rgb | null = null;
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const label = labels[i + dy * width + dx]!;
          if (label === k) mine = true;
          else if (label >= 0) {
            const d = away(i, centres[label]!);
            if (d < least) [least, other] = [d, centres[label]!];
          }
        }
      if (!mine || !other) continue;
      const between = Math.hypot(own[0] - other[0], own[1] - other[1], own[2] - other[2]);
      if (between > 1) field[i] = clamp(0.5 + (least - away(i, own)) / (2 * between));
    }
}

/** Gives single pixels to what is round them: the blends along an edge would otherwise be slivers of a third colour. */
function settle(labels: Int8Array, width: number, height: number): void {
  for (let pass = 0; pass < 2; pass++) {
    const before = labels.slice();
    for (let y = 1; y < height - 1; y++)
      for (let x = 1; x < width - 1; x++) {
        const i = y * width + x;
        const counts = new Map<number, number>();
        for (let dy = -1; dy <= 1; dy++)
          for (let dx = -1; dx <= 1; dx++) {
            const label = before[i + dy * width + dx]!;
            counts.set(label, (counts.get(label) ?? 0) + 1);
          }
        if (counts.size === 1 || (counts.get(before[i]!) ?? 0) >= 4) continue;
        labels[i] = [...counts].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
      }
  }
}

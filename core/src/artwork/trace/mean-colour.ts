import { formatHex } from 'culori';
import type { Raster } from '../../raster/foreground.ts';

/** Pixels of which a mean colour is taken, at most. */
const COLOUR_SAMPLE = 200_000;

/** Mean colour where a field is sure. */
export function colourWhere({ rgba }: Raster, field: Float32Array): string {
  let [r, g, b, count] = [0, 0, 0, 0];
  // A step that no picture's width is a multiple of, so that the sample does not stand in columns.
  const step = Math.max(1, Math.floor(field.length / COLOUR_SAMPLE)) | 1;
  for (let i = 0; i < field.length; i += step)
    if (field[i]! > 0.7) {
      r += rgba[4 * i]!;
      g += rgba[4 * i + 1]!;
      b += rgba[4 * i + 2]!;
      count += 1;
    }
  const n = Math.max(1, count);
  return hex([r / n, g / n, b / n]);
}

export const hex = ([r, g, b]: readonly [number, number, number]): string =>
  formatHex({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 });

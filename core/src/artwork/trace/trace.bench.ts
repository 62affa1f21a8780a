import { median, type Row } from '../../../test/measure.ts';
import { traceRaster } from './trace.ts';
import { FIRST_TRACE } from './options.ts';

/** A sheet of four dozen disks at twelve megapixels, to outlines. */
export function benchTrace(row: Row): void {
  const [width, height] = [4000, 3000];
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      rgba.set(
        Math.hypot((x % 500) - 250, (y % 500) - 250) < 180 ? [20, 30, 40, 255] : [250, 250, 240, 255],
        4 * (y * width + x),
      );
  const ms = median(() => traceRaster({ width, height, rgba }, FIRST_TRACE), 3);
  row('trace 12 megapixels to outlines', '≤ 2000 ms', `${ms.toFixed(0)} ms`);
}

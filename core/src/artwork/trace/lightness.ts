import { TIE } from '../../numeric/tolerances.ts';
import type { Raster } from '../../raster/foreground.ts';

export const clamp = (v: number): number => (v < 0 ? 0 : v > 1 ? 1 : v);

/** Lightness of each pixel as one sees it over white, 0 … 255. */
export function lightnessOf({ width, height, rgba }: Raster): Float32Array {
  const out = new Float32Array(width * height);
  for (let i = 0; i < out.length; i++) {
    const a = rgba[4 * i + 3]! / 255;
    const grey = 0.2126 * rgba[4 * i]! + 0.7152 * rgba[4 * i + 1]! + 0.0722 * rgba[4 * i + 2]!;
    out[i] = grey * a + 255 * (1 - a);
  }
  return out;
}

export function otsu(values: Float32Array): number {
  const counts = new Float64Array(256);
  // Lightness lies within 0 … 255.
  for (let i = 0; i < values.length; i++) counts[(values[i]! + 0.5) | 0]! += 1;
  const total = values.length;
  let sum = 0;
  for (let i = 0; i < 256; i++) sum += i * counts[i]!;
  let [below, belowSum, best, first, last] = [0, 0, -1, 127, 127];
  for (let i = 0; i < 255; i++) {
    below += counts[i]!;
    belowSum += i * counts[i]!;
    const above = total - below;
    if (below === 0 || above === 0) continue;
    const between = below * above * (belowSum / below - (sum - belowSum) / above) ** 2;
    // A gap between two tones gives many thresholds that part alike: the middle of them is taken.
    if (between > best * (1 + TIE)) [best, first, last] = [between, i, i];
    else if (between >= best * (1 - TIE)) last = i;
  }
  return (first + last) / 2 + 0.5;
}

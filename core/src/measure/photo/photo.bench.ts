import { median, type Row } from '../../../test/measure.ts';
import { photograph } from '../../../test/photo.ts';
import { findSilhouette } from './silhouette.ts';

/** The outline of a thing in a picture of a megapixel. */
export function benchPhoto(row: Row): void {
  const raster = photograph(
    { height: 120, radiusAt: (down) => 40 + 9 * Math.sin(down / 30) },
    { width: 900, height: 1100, pxPerMm: 7, tilt: 0.02, blur: 1.5, noise: 5, cameraMm: null, seed: 1 },
  );
  const ms = median(() => void findSilhouette(raster, { axis: null }));
  row('outline of a photograph of 1 megapixel', '', `${ms.toFixed(0)} ms`);
}

import { spheroidGaussian } from '../surface/spheroid.ts';
import type { FlatSide } from './flat-side.ts';
import { keptSide, patchLatitude } from './flattening.ts';
import type { Job } from '../model/job.ts';

/**
 * How much the side curves both ways.
 *
 * @returns Gaussian curvature by slant (mm), 1/mm²; null where the side develops
 */
export function gaussianOf(
  { blank }: Pick<Job, 'blank'>,
  { size: { shape }, template }: Pick<FlatSide, 'size' | 'template'>,
): ((slant: number) => number) | null {
  if (!template.flattening.map) return null;
  if (shape.form === 'profile') return keptSide(shape).gaussianAt;
  if (shape.form !== 'ball') return null;
  const gaussian = spheroidGaussian(shape.radius, shape.halfLength, patchLatitude(blank.flattening));
  return () => gaussian;
}

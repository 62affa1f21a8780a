import { solidOf } from '../measure/kinds/kinds.ts';
import type { Job } from '../model/job.ts';
import type { FlatSide } from './flat-side.ts';

/**
 * How much the side curves both ways.
 *
 * @returns Gaussian curvature by slant (mm), 1/mm²; null where the side develops
 */
export function gaussianOf(
  { blank }: Pick<Job, 'blank'>,
  { size, template }: Pick<FlatSide, 'size' | 'template'>,
): ((slant: number) => number) | null {
  return template.flattening.map ? solidOf(size).gaussianAt(blank.flattening) : null;
}

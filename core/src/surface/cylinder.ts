import type { Development } from './development.ts';
import { coneDevelopment } from './cone.ts';

/**
 * The development of a straight side: a rectangle. The cone formula at zero taper is exactly this.
 *
 * @param girth distance round, mm, > 0
 * @param side height of the band, mm, > 0
 */
export function cylinderDevelopment(girth: number, side: number): Development {
  return coneDevelopment({ girthRim: girth, girthBase: girth, side });
}

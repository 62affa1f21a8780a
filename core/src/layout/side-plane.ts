import type { Box } from '../plane/box.ts';
import { boxesTouch, boxOfRings } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';

/** A shape as often, whole turns apart, as it may touch a box on the side. */
export function turnsNear(shape: readonly Ring[], box: Box, closed: boolean): Ring[][] {
  const own = boxOfRings(shape);
  const turn = 2 * Math.PI;
  const [first, last] = closed
    ? [Math.ceil((box.minX - own.maxX) / turn), Math.floor((box.maxX - own.minX) / turn)]
    : [0, 0];
  const near: Ring[][] = [];
  for (let k = first; k <= last; k++)
    if (boxesTouch({ ...own, minX: own.minX + k * turn, maxX: own.maxX + k * turn }, box))
      near.push(shape.map((ring) => ring.map((value, i) => (i % 2 ? value : value + k * turn))));
  return near;
}

/** From the side (azimuth in rad, slant in mm) to the plane in which outlines are combined, mm, y up; and back. */
export const toPlane = (ring: Ring, radius: number): Ring => ring.map((value, i) => (i % 2 ? -value : value * radius));
export const fromPlane = (ring: Ring, radius: number): Ring =>
  ring.map((value, i) => (i % 2 ? -value : value / radius));

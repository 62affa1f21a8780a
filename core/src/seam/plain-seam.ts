import type { Seam } from '../model/seam.ts';

/** A whole wrap whose ends butt at the back. */
export const PLAIN_SEAM: Seam = { lapMm: 0, way: 'straight', panels: 1, clearanceMm: 1, atSeam: [] };

/** mm that the parts of a piece lap where it is split with an overlap. */
export const SPLIT_OVERLAP_MM = 1;

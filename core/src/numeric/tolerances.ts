/**
 * Every tolerance of the core, with its unit and its reason. They are passed to the functions that need them as
 * default arguments and never set from outside.
 */

/** mm. Largest distance between a mapped chord and the true mapped curve; a fifth of what a blade can follow. */
export const MAP_ERROR_MM = 0.005;

/** mm. Largest distance between the refitted cubics and the points they replace; with `MAP_ERROR_MM` stays under 0.05. */
export const REFIT_ERROR_MM = 0.03;

/** mm. Largest chord error when a drawn curve is first turned into points. */
export const FLATTEN_ERROR_MM = 0.004;

/** rad. Largest turn between neighbouring chords of a flattened curve (12°); sharper turns are then true corners. */
export const FLATTEN_TURN = (12 * Math.PI) / 180;

/** rad. A turn sharper than this (25°, twice the flattening turn) is a corner and is kept by the refit. */
export const CORNER_TURN = (25 * Math.PI) / 180;

/** 1/mm. Grid of the polygon kernel: one step is 0.1 µm, so a 1.5 m girth stays far inside 2^53. */
export const POLYGON_GRID_PER_MM = 1e4;

/** mm². Pieces smaller than this are rounding dust of a boolean, not film. */
export const DUST_AREA_MM2 = 1e-3;

/** mm. A vertex this near a seam edge was put there by the cut and is kept exactly. */
export const SEAM_SNAP_MM = 5e-4;

/** mm. Joined tiles are widened by this on each side so that the union welds them; far under the blade's own width. */
export const TILE_WELD_MM = 0.005;

/** mm. Under this sagitta an arc is written as a line: an arc with a radius of kilometres is of no use. */
export const ARC_SAGITTA_MM = 0.01;

/** Halvings of one segment before the resampler gives up refining: 2^-14 of a 1.5 m edge is 0.1 mm. */
export const RESAMPLE_DEPTH = 14;

/** mm across, both ways, below which a piece is lost when it is lifted. Starting value (product: tiny pieces). */
export const TINY_PIECE_MM = 2.5;

/** Rounding of double arithmetic on numbers of everyday size, whatever their unit: what differs by less is the same. */
export const EPSILON = 1e-9;

/** mm, also mm². A millionth: lengths and areas that went through several functions and differ by less are the same. */
export const EPSILON_MM = 1e-6;

/** As a share. Sums over the same data in another order agree within this: what differs by less is a tie. */
export const TIE = 1e-12;

/** mm. Lines that things are looked at along lie this far off whole numbers, where corners are. */
export const OFF_CORNERS_MM = 1e-7;

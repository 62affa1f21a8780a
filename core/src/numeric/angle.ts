/** rad. All the way round. */
export const TURN = 2 * Math.PI;

/** Whole turns nearest to an angle, rad: what is taken off it to bring it within half a turn of the front. */
export const wholeTurns = (angle: number): number => TURN * Math.round(angle / TURN);

/** An angle brought, by whole turns, within half a turn of the front; rad. */
export const nearFront = (angle: number): number => angle - wholeTurns(angle);

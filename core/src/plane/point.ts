/** A point or vector of a plane, mm. x right, y up. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Distance between two points, mm. */
export function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y);
}

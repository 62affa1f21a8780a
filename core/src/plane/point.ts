/** A point or vector of a plane, mm. x right, y up. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

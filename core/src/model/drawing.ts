/** The page that something was drawn on: its size, and where its middle lies from the middle of the ink; mm as drawn, y up. */
export interface DrawnSheet {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly x: number;
  readonly y: number;
}

/** A drawing as it is kept: outlines as curves. */
export interface KeptDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Left out where it had none. */
  readonly sheet?: DrawnSheet | undefined;
  /** Each colour's film as SVG path data, mm from the middle of the drawing, y up. */
  readonly colours: readonly { readonly colour: string; readonly pathData: string }[];
}

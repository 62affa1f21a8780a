/** A drawing as it is kept: outlines as curves. */
export interface KeptDrawing {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Each colour's film as SVG path data, mm from the middle of the drawing, y up. */
  readonly colours: readonly { readonly colour: string; readonly pathData: string }[];
}

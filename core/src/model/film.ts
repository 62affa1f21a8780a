/** Finish of a film; decides thickness, grip and cautions. */
export type FilmFinish =
  'gloss permanent' | 'matte removable' | 'metallised' | 'glitter' | 'cast conformable' | 'glow' | 'mask film';

/** An adhesive vinyl of one colour. */
export interface Film {
  readonly id: string;
  readonly name: string;
  /** CSS colour. */
  readonly colour: string;
  readonly finish: FilmFinish;
  /** mm. */
  readonly thicknessMm: number;
}

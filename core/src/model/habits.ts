/** How a person works where there is more than one good way. */
export interface Habits {
  readonly weeding: 'counters first' | 'ground first' | 'reverse';
  readonly laying: 'as it suits' | 'centre out' | 'one end round' | 'two halves';
  /** How layers that share a sheet come together. */
  readonly building: 'base up' | 'one tape' | 'on the blank';
  readonly aiming: 'parchment' | 'by eye' | 'hinge';
  readonly seam: 'butt' | 'lap' | 'gap';
  readonly washing: 'by hand' | 'dishwasher' | 'sealed';
  readonly heat: 'cold' | 'warm';
  readonly masks: 'with tape' | 'by hand';
  readonly batch: 'by step' | 'by cup';
}

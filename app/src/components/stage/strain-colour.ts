import type { FilmGive } from '@mivet/core';

/** How a strain is painted: warm where film is pulled, cool where it is pushed together, hatched past what it gives. */
export interface StrainPaint {
  readonly fill: string;
  readonly opacity: number;
  /** Past what the film gives. */
  readonly over: boolean;
}

/**
 * Colour of a strain, against what the film gives.
 *
 * @param strain fraction, pull positive
 * @param give the film's limits
 */
export function strainColour(strain: number, { stretch, squeeze }: FilmGive): StrainPaint {
  const load = strain > 0 ? strain / stretch : -strain / squeeze;
  return {
    fill: strain > 0 ? '#C4591F' : '#1E6FA8',
    opacity: Math.min(0.4, 0.3 * load),
    over: load > 1.001,
  };
}

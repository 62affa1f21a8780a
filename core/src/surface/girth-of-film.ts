/**
 * Length that a film of some thickness needs to go once round a girth and meet.
 *
 * @param girth of the bare surface, mm
 * @param filmThickness mm; below zero for film on the inside
 * @source the film keeps its length at its middle: 2π(r + f/2) = 2πr + πf
 */
export function girthOfFilm(girth: number, filmThickness: number): number {
  return girth + Math.PI * filmThickness;
}

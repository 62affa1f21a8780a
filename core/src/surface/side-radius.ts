import type { Development } from './development.ts';

/** Steps in which the radius of a side is handed to those that have no surface at hand. */
const STEPS = 256;

/** A side as far as millimetres round it are concerned; plain data. */
export interface SideRadii {
  /** Radius at even steps from the rim edge to the base edge, mm. */
  readonly radii: readonly number[];
  readonly template: { readonly cone: { readonly side: number } };
}

/** Radius of a side at even steps from its rim edge to its base edge, mm. */
export const sideRadii = (surface: Development): number[] =>
  Array.from({ length: STEPS + 1 }, (_, i) => surface.radiusAt((surface.slantLength * i) / STEPS));

/**
 * Radius of a side at a slant, mm, at least 1; past its edges that of the edge goes on as it runs there.
 *
 * @param slant mm from the rim edge
 */
export function radiusOnSide({ radii, template: { cone } }: SideRadii, slant: number): number {
  const last = radii.length - 1;
  const at = (slant / cone.side) * last;
  const i = Math.max(0, Math.min(last - 1, Math.floor(at)));
  return Math.max(1, radii[i]! + (radii[i + 1]! - radii[i]!) * (at - i));
}

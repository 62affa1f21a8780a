import type { SurfaceKind } from '../model/blank.ts';

/** Whether a surface is wiped with alcohol before film is laid; paint, plastic and rubber do not bear it, clay soaks it up. */
export const isWipedWithAlcohol = (surface: SurfaceKind): boolean =>
  ['glass', 'glazed ceramic', 'bare steel', 'powder-coated steel'].includes(surface);

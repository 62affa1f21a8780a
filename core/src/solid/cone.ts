import type { ConeSpec } from '../surface/cone.ts';
import { coneDevelopment } from '../surface/cone.ts';
import { girthOfFilm } from '../surface/girth-of-film.ts';
import type { DrawnBlank, SolidRow } from './drawn.ts';
import { drawnTurned, FOOT_MM, rowAt } from './drawn.ts';
import { outlineOf } from '../surface/section.ts';
import { EXACT } from './flattening.ts';
import type { Solid } from './solid.ts';

/** A straight or tapered side: it unrolls exactly. */
export function coneSolid(cone: ConeSpec): Solid {
  return {
    curved: null,
    gores: null,
    face: null,
    spheroid: null,
    flatten: ({ give }) => ({ ...EXACT, give, rectangleExcess: Math.abs(cone.girthRim - cone.girthBase) }),
    unroll: (filmThickness) => {
      const laid = coneForFilm(cone, filmThickness);
      return { cone: laid, surface: coneDevelopment(laid) };
    },
    gaussianAt: () => null,
    drawn: (blank) => {
      const above = Math.max(1, blank.bandBelowRimMm);
      const drawn = drawnTurned(rowsOf(cone, blank), { side: cone.side, above, below: FOOT_MM }, blank);
      const straight = cone.girthRim === cone.girthBase;
      return blank.section && straight ? { ...drawn, section: outlineOf(blank.section, cone.girthRim) } : drawn;
    },
    tapeFor: (asked, _blank, { side, rows, above }) => {
      if (asked === 'girthRim') return { lies: 'round', slant: 0.5, hang: 'below' };
      if (asked === 'girthBase') return { lies: 'round', slant: side - 0.5, hang: 'above' };
      if (asked === 'side') return { lies: 'down', from: 0, to: side };
      if (asked === 'upright') return { lies: 'upright' };
      if (asked !== 'acrossRim') return null;
      const [, half, height] = rowAt(rows, -above);
      return { lies: 'across', height: height + 2.6, before: null, half };
    },
  };
}

/**
 * The cone that film of some thickness is cut for.
 *
 * @param filmThickness mm; 0 for the bare surface, below zero for film on the inside
 */
const coneForFilm = ({ girthRim, girthBase, side }: ConeSpec, filmThickness: number): ConeSpec => ({
  girthRim: girthOfFilm(girthRim, filmThickness),
  girthBase: girthOfFilm(girthBase, filmThickness),
  side,
});

function rowsOf({ girthRim, girthBase, side }: ConeSpec, { bandBelowRimMm }: DrawnBlank): SolidRow[] {
  const rim = girthRim / (2 * Math.PI);
  const lean = (girthBase / (2 * Math.PI) - rim) / side;
  const rise = Math.sqrt(Math.max(0.05, 1 - lean * lean));
  return [-Math.max(1, bandBelowRimMm), side + FOOT_MM].map((s) => [s, rim + lean * s, -s * rise, lean]);
}

import type { Matrix } from '../../../plane/matrix.ts';
import type { Path } from '../../../plane/path.ts';
import type { Ring } from '../../../polygon/polygon.ts';
import type { Measure } from './length.ts';
import type { Rule, Style } from './style.ts';
import type { Element } from './tree.ts';

/** What is shared by all that walk over one drawing. */
export interface Walk {
  readonly ids: ReadonlyMap<string, Element>;
  readonly rules: readonly Rule[];
  /** mm. The drawing's larger side. */
  readonly span: number;
  /** Outlines as rings, fine enough for the size of the drawing. */
  readonly flat: (paths: readonly Path[]) => { ring: Ring; closed: boolean }[];
  /** Says that something could not be taken as it is drawn. */
  readonly note: (what: string, count?: number) => void;
}

/** What an element is drawn with. */
export interface Place {
  /** From its units to millimetres, y down. */
  readonly matrix: Matrix;
  readonly style: Style;
  /** What is seen of it, mm, y up; null for all. */
  readonly clip: readonly Ring[] | null;
  readonly measure: Measure;
  readonly depth: number;
}

/** What is drawn only where something else refers to it, or never. */
export const SILENT = new Set(
  'defs symbol clipPath linearGradient radialGradient pattern marker mask filter style title desc metadata view cursor stop mpath'.split(
    ' ',
  ),
);

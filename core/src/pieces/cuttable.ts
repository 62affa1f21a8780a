import type { Box } from '../plane/box.ts';
import type { Path } from '../plane/path.ts';
import type { Polygon } from '../polygon/polygon.ts';

/** The part of a piece that cutting needs. */
export interface CuttablePiece {
  readonly id: string;
  readonly film: string;
  /** At which level of its film it stands; left out, at its lowest. */
  readonly level?: number;
  /** Which sheet of its film it is cut from. */
  readonly part: string;
  readonly paths: readonly Path[];
  readonly flatBox: Box;
  readonly flat: Polygon;
  readonly areaMm2: number;
  /** Whether it is a registration mark, thrown away afterwards. */
  readonly mark?: boolean;
}

import { type Polygon, ringContains } from '../polygon/polygon.ts';

/** Several pieces of film on one sheet of transfer tape. */
export interface OnTape {
  readonly films: readonly Polygon[];
  /** The sheet, with its slits. */
  readonly tape: Polygon;
}

export const isOnTape = (what: Polygon | OnTape): what is OnTape => 'tape' in what;

/** Whether a spot of a sheet is film. */
export const isFilm = ({ films }: OnTape, x: number, y: number): boolean =>
  films.some(({ outer, holes }) => ringContains(outer, x, y) && !holes.some((hole) => ringContains(hole, x, y)));

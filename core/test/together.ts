import type { CutProject } from '../src/load/together.ts';
import { BLADE_MARGIN_MM } from '../src/load/lot.ts';
import { STARTING_FILMS } from '../src/material/film.ts';
import type { Board } from '../src/model/board.ts';
import type { CuttablePiece } from '../src/pieces/cuttable.ts';
import { pathFromRing } from '../src/plane/path.ts';

/** A plate of film as a piece of its own. */
export function platePiece(film: string, part: string, width: number, high: number): CuttablePiece {
  const ring = Float64Array.from([0, 0, width, 0, width, high, 0, high]);
  return {
    id: `${part}-${film}`,
    film,
    part,
    flatBox: { minX: 0, minY: 0, maxX: width, maxY: high },
    flat: { outer: ring, holes: [] },
    areaMm2: width * high,
    paths: [pathFromRing(ring)],
  };
}

/**
 * Plates of several projects in four films.
 *
 * @returns with the loads that their area takes at least: each plate with the gap to the next, on what of a board film covers
 *   to within the blade's margin
 */
export function madeSet(
  seed: number,
  projects: number,
  parts: number,
  board: Board,
): { projects: CutProject[]; leastLoads: number } {
  let state = seed;
  const draw = (from: number, to: number): number => {
    state = (state * 48271) % 2147483647;
    return from + ((to - from) * state) / 2147483647;
  };
  const films = STARTING_FILMS.slice(0, 4);
  const pieces = Array.from({ length: parts }, (_, i) => ({
    project: i % projects,
    piece: platePiece(films[i % films.length]!.id, `part-${i}`, Math.round(draw(20, 130)), Math.round(draw(12, 80))),
  }));
  const room = (mm: number): number => mm - 2 * (board.marginMm + BLADE_MARGIN_MM) + board.gapMm;
  const grown = pieces.reduce(
    (sum, { piece: { flatBox } }) => sum + (flatBox.maxX + board.gapMm) * (flatBox.maxY + board.gapMm),
    0,
  );
  return {
    projects: Array.from({ length: projects }, (_, p) => ({
      project: { id: `p${p}`, name: `Project ${p}`, films },
      cut: pieces.filter(({ project }) => project === p).map(({ piece }) => piece),
    })),
    leastLoads: grown / (room(board.lengthMm) * room(board.widthMm)),
  };
}

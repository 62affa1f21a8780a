import type { Board } from '../model/board.ts';
import type { Film } from '../model/film.ts';
import type { KeptFilm } from '../model/laid.ts';
import type { Supply } from '../model/stock.ts';
import type { CuttablePiece } from '../pieces/cuttable.ts';
import { pathLength } from '../plane/path-length.ts';
import { blocksOf } from './blocks.ts';
import type { LoadPlan } from './load.ts';
import { planLoads } from './load.ts';
import { NO_STOCK } from './supply.ts';
import type { FilmUsage } from './usage.ts';
import { allocateFilm } from './usage.ts';

/** What one film needs. */
export interface FilmNeed {
  readonly film: Film;
  readonly pieces: number;
  readonly counters: number;
  readonly areaMm2: number;
  readonly cutMm: number;
}

/** Loads and needs of a job. */
export interface JobSheet {
  readonly plan: LoadPlan;
  /** Where the film for it comes from, and what is left. */
  readonly usage: FilmUsage;
  readonly needs: readonly FilmNeed[];
  /** Share of the film laid on boards that ends up as pieces. */
  readonly use: number;
}

/**
 * Plans the loads of a job, films in the order of the stack.
 *
 * @param pieces pieces of film
 * @param films the project's films
 * @param board what the cutter takes
 * @param supply what film there is
 * @param laid how films were laid before
 */
export function planJob(
  pieces: readonly CuttablePiece[],
  films: readonly Film[],
  board: Board,
  supply: Supply = NO_STOCK,
  laid: readonly KeptFilm[] = [],
): JobSheet {
  const needs = new Map<string, FilmNeed>();
  for (const piece of pieces) {
    const film = films.find((f) => f.id === piece.film);
    if (!film || piece.mark) continue;
    const need = needs.get(film.id) ?? { film, pieces: 0, counters: 0, areaMm2: 0, cutMm: 0 };
    needs.set(film.id, {
      film,
      pieces: need.pieces + 1,
      counters: need.counters + piece.paths.length - 1,
      areaMm2: need.areaMm2 + piece.areaMm2,
      cutMm: need.cutMm + piece.paths.reduce((sum, path) => sum + pathLength(path), 0),
    });
  }
  const blocks = blocksOf(pieces, films, supply);
  const plan = planLoads(blocks, board, supply, laid);
  const list = [...needs.values()];
  const strips = plan.loads.flatMap((l) => l.strips);
  const taken = strips.reduce((sum, { used }) => sum + used.along * used.across, 0);
  const placed = new Set(strips.map((s) => s.film));
  const used = list.filter((n) => placed.has(n.film.id)).reduce((sum, n) => sum + n.areaMm2, 0);
  return { plan, usage: allocateFilm(plan, supply, blocks), needs: list, use: taken > 0 ? used / taken : 0 };
}

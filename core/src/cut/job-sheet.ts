import type { Film } from '../artwork/film.ts';
import { joinBoxes } from '../plane/box.ts';
import type { Board } from '../sheet/board.ts';
import type { FilmBlock, LoadPlan } from '../sheet/load.ts';
import { planLoads } from '../sheet/load.ts';
import type { Path } from '../plane/path.ts';
import type { Box } from '../plane/box.ts';
import type { Polygon } from '../polygon/polygon.ts';
import { pathLength } from './order.ts';

/** The part of a piece that cutting needs. */
export interface CuttablePiece {
  readonly id: string;
  readonly film: string;
  /** Which sheet of its film it is cut from. */
  readonly part: string;
  readonly paths: readonly Path[];
  readonly flatBox: Box;
  readonly flat: Polygon;
  readonly areaMm2: number;
}

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
  readonly needs: readonly FilmNeed[];
  /** Rough cutting time in minutes: length at the cutter's pace plus a second a lift. */
  readonly minutes: number;
  /** Share of the film laid on boards that ends up as pieces. */
  readonly use: number;
}

/** mm/s. A careful pace for small work; a starting value. */
const CUTTING_PACE = 40;

/**
 * Plans the loads of a job, films in the order of the stack.
 *
 * @param pieces pieces of film
 * @param films the project's films
 * @param board what the cutter takes
 */
export function planJob(pieces: readonly CuttablePiece[], films: readonly Film[], board: Board): JobSheet {
  const blocks = new Map<string, FilmBlock>();
  const needs = new Map<string, FilmNeed>();
  for (const piece of pieces) {
    const film = films.find((f) => f.id === piece.film);
    if (!film) continue;
    const key = `${film.id}|${piece.part}`;
    const block = blocks.get(key);
    blocks.set(key, {
      film: film.id,
      part: piece.part,
      box: block ? joinBoxes(block.box, piece.flatBox) : piece.flatBox,
      rings: [...(block?.rings ?? []), piece.flat.outer, ...piece.flat.holes],
      // Metallised film shimmers another way when it is turned a quarter.
      directional: film.finish === 'metallised',
    });
    const need = needs.get(film.id) ?? { film, pieces: 0, counters: 0, areaMm2: 0, cutMm: 0 };
    needs.set(film.id, {
      film,
      pieces: need.pieces + 1,
      counters: need.counters + piece.paths.length - 1,
      areaMm2: need.areaMm2 + piece.areaMm2,
      cutMm: need.cutMm + piece.paths.reduce((sum, path) => sum + pathLength(path), 0),
    });
  }
  const plan = planLoads([...blocks.values()], board);
  const list = [...needs.values()];
  const cut = list.reduce((sum, need) => sum + need.cutMm, 0);
  const lifts = list.reduce((sum, need) => sum + need.pieces + need.counters, 0);
  const laid = plan.loads.flatMap((l) => l.strips).reduce((sum, s) => sum + (s.to - s.from) * s.across, 0);
  const placed = new Set(plan.loads.flatMap((l) => l.strips.map((s) => s.film)));
  const used = list.filter((n) => placed.has(n.film.id)).reduce((sum, n) => sum + n.areaMm2, 0);
  return { plan, needs: list, minutes: cut / CUTTING_PACE / 60 + lifts / 60, use: laid > 0 ? used / laid : 0 };
}

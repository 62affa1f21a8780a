import type { Aim } from './cheapest-way.ts';
import { cheapestWay } from './cheapest-way.ts';
import type { Grid } from './film-grid.ts';
import { foldGrid, rasterise } from './film-grid.ts';
import type { FoundSeam, SeamField } from './measure-seam.ts';
import { measure } from './measure-seam.ts';
import { pullTaut } from './pull-taut.ts';

/** What is asked of a seam. */
export interface SeamOptions {
  /** mm to keep from every piece. */
  readonly clearance: number;
  /** How many seams are wanted, evenly round. */
  readonly count: number;
  /** Azimuth near which the (first) seam is to lie when nothing else decides, rad. */
  readonly home: number;
  /** Where each seam has to lie, when it is not free to go anywhere: azimuths, and how far from them it may go, rad. */
  readonly near?: { readonly azimuths: readonly number[]; readonly reach: number };
}

/** What a mm away from home costs over each mm of the side, in mm of wander. */
const PULL_HOME = 0.001;
/** The same for panels, which are to be even. */
const PULL_EVEN = 0.01;
/** Share of the clearance that is tried before film is cut. */
const TIGHT_SHARE = 0.3;
/**
 * Seams from rim to base, at most 60° from the meridian, that keep clear of every piece, with the shortest wander; where
 * there is none, those that cut the least film.
 *
 * The side is divided into rows and columns and the cheapest way through them is found row by row (dynamic programming
 * over the whole way round, without a starting point); then it is pulled taut between the pieces. Film and clearance are
 * laid on the rows exactly, as intervals, and widened on the blank's own surface, not on a flat picture of it. Several
 * seams are first looked for together, on all panels laid one on another, so that they come out alike where they can.
 *
 * @param field the side and its film
 * @param options clearance, how many, and where from
 * @returns one for each seam, in the order round
 */
export function findSeams(field: SeamField, options: SeamOptions): FoundSeam[] {
  const { near } = options;
  const count = near ? 1 : options.count;
  // The tighter grid is made only when the requested clearance leaves no way.
  const wide = rasterise(field, options.clearance, count);
  let tight: Grid | null = null;
  const grids = (fold: number): Grids => ({
    wide: foldGrid(wide, fold),
    tight: () => foldGrid((tight ??= rasterise(field, TIGHT_SHARE * options.clearance, count)), fold),
  });
  const turn = (2 * Math.PI) / options.count;
  if (near)
    return near.azimuths.map((azimuth) => findIn(field, grids(1), { azimuth, reach: near.reach, pull: PULL_EVEN }));
  const together = findIn(field, grids(options.count), { azimuth: options.home, reach: null, pull: PULL_HOME });
  if (options.count === 1) return [together];
  const middle = together.path.azimuths.reduce((sum, a) => sum + a, 0) / together.path.azimuths.length;
  return Array.from({ length: options.count }, (_, i) =>
    findIn(field, grids(1), { azimuth: middle + i * turn, reach: 0.45 * turn, pull: PULL_EVEN }),
  );
}

/** The side with the clearance that was requested, and with as little as is worth trying. */
interface Grids {
  readonly wide: Grid;
  readonly tight: () => Grid;
}

function findIn(field: SeamField, { wide, tight }: Grids, aim: Aim): FoundSeam {
  const free = cheapestWay(field, wide, aim, true);
  if (free) {
    const path = pullTaut(field, wide, free, true);
    return { path, free: true, ...measure(field, path) };
  }
  // Before film is cut, a way that passes closer than was requested.
  const close = cheapestWay(field, tight(), aim, true);
  const path = close
    ? pullTaut(field, tight(), close, true)
    : pullTaut(field, wide, cheapestWay(field, wide, aim, false)!, false);
  return { path, free: false, ...measure(field, path) };
}

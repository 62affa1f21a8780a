import type { Box } from '../plane/box.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import type { Board } from './board.ts';

/** All pieces of one film, kept as they sit on the template. */
export interface FilmBlock {
  readonly film: string;
  /** Which sheet of the film it is: empty for a whole wrap, otherwise a panel, band or gore, or the spares. */
  readonly part: string;
  /** Box round the pieces on the flat template, mm. */
  readonly box: Box;
}

/** One film lying on the board. The board frame has x along the feed and y across it, both from the board's corner, mm. */
export interface Strip {
  readonly film: string;
  readonly part: string;
  /** The film covers the board from here to here along the feed, whole mm. */
  readonly from: number;
  readonly to: number;
  /** How far the film reaches across the board, whole mm. */
  readonly across: number;
  /** Whether the template is turned a quarter counter-clockwise on the board. */
  readonly turned: boolean;
  /** Template to board: x' = a·x + c·y + e, y' = b·x + d·y + f. */
  readonly matrix: readonly [number, number, number, number, number, number];
}

/** One trip through the cutter. */
export interface Load {
  readonly number: number;
  readonly strips: readonly Strip[];
}

/** Loads in order, and films that do not fit the board either way round. */
export interface LoadPlan {
  readonly board: Board;
  readonly loads: readonly Load[];
  readonly tooLarge: readonly { readonly film: string; readonly longMm: number; readonly shortMm: number }[];
}

/** mm of film round the cuts, so that the blade stays on it. */
export const BLADE_MARGIN_MM = 3;

/**
 * Lays each film's pieces on boards as strips side by side, in stack order, turned a quarter where that takes less of
 * the board's length.
 *
 * @param blocks one a film
 * @param board what the cutter takes
 * @returns loads with whole-millimetre from–to marks; what fits no board either way is listed, never dropped silently
 */
export function planLoads(blocks: readonly FilmBlock[], board: Board): LoadPlan {
  const loads: { number: number; strips: Strip[] }[] = [];
  const tooLarge: LoadPlan['tooLarge'][number][] = [];
  const usableAcross = board.widthMm - 2 * board.marginMm;
  const usableAlong = board.lengthMm - 2 * board.marginMm;
  let end = Infinity;
  for (const block of blocks) {
    const wide = Math.ceil(boxWidth(block.box) + 2 * BLADE_MARGIN_MM);
    const high = Math.ceil(boxHeight(block.box) + 2 * BLADE_MARGIN_MM);
    const fits = (along: number, across: number): boolean => along <= usableAlong && across <= usableAcross;
    const straight = fits(wide, high);
    const quarter = fits(high, wide);
    if (!straight && !quarter) {
      tooLarge.push({ film: block.film, longMm: Math.max(wide, high), shortMm: Math.min(wide, high) });
      continue;
    }
    const turned = quarter && (!straight || high < wide);
    const along = turned ? high : wide;
    if (end + board.gapMm + along > board.lengthMm - board.marginMm) {
      loads.push({ number: loads.length + 1, strips: [] });
      end = board.marginMm - board.gapMm;
    }
    const from = end + board.gapMm;
    end = from + along;
    const x0 = from + BLADE_MARGIN_MM;
    const y0 = board.marginMm + BLADE_MARGIN_MM;
    const { minX, minY, maxY } = block.box;
    loads.at(-1)!.strips.push({
      film: block.film,
      part: block.part,
      from,
      to: end,
      across: turned ? wide : high,
      turned,
      // A quarter turn counter-clockwise sends (x, y) to (−y, x).
      matrix: turned ? [0, 1, -1, 0, x0 + maxY, y0 - minX] : [1, 0, 0, 1, x0 - minX, y0 - minY],
    });
  }
  return { board, loads, tooLarge };
}

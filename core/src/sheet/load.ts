import type { Box } from '../plane/box.ts';
import { boxHeight, boxWidth } from '../plane/box.ts';
import type { Ring } from '../polygon/polygon.ts';
import type { Board } from './board.ts';
import type { Nesting, NestPart } from './nest.ts';
import { nest } from './nest.ts';

/** What is laid of one film as one: a wrap, a panel, the pieces of a name, the spares; as it sits on its template. */
export interface FilmBlock {
  readonly film: string;
  /** Which sheet of the film it is: empty for a whole wrap, otherwise a panel, band or gore, or the spares. */
  readonly part: string;
  /** Box round the pieces on the flat template, mm. */
  readonly box: Box;
  /** Outlines of the pieces, mm; left out, the box stands for them. */
  readonly rings?: readonly Ring[];
  /** Whether the film has a direction, so that it is only turned by halves. */
  readonly directional?: boolean;
}

/** A part of a film where it lies on the board. */
export interface PartOnBoard {
  readonly part: string;
  /** Whether its template is turned a quarter. */
  readonly turned: boolean;
  /** Template to board: x' = a·x + c·y + e, y' = b·x + d·y + f, mm. */
  readonly matrix: readonly [number, number, number, number, number, number];
}

/**
 * A strip of film on the board, with all that is cut from it. The board frame has x along the feed and y across it, both
 * from the board's corner, mm.
 */
export interface Strip {
  readonly film: string;
  /** It covers the board from here to here along the feed, whole mm. */
  readonly from: number;
  readonly to: number;
  /** How far it reaches across the board from its margin, whole mm. */
  readonly across: number;
  readonly parts: readonly PartOnBoard[];
}

/** A strip with everything on it mirrored within its own film, which stays where it lies: for the inside of glass. */
export function mirroredStrip(strip: Strip, { marginMm }: Board): Strip {
  const across = 2 * marginMm + strip.across;
  const parts = strip.parts.map((one): PartOnBoard => {
    const [a, b, c, d, e, f] = one.matrix;
    return { ...one, matrix: [a, -b, c, -d, e, across - f] };
  });
  return { ...strip, parts };
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

/** Plans that are looked at for a film of so many parts: all of it is done before a picture is shown, so many parts get the first. */
const plansFor = (parts: number): number => (parts > 20 ? 1 : parts > 12 ? 6 : 24);

/** What is laid on a board side by side with others: as much of a film as is cut in one load. */
interface Lot {
  readonly along: number;
  readonly across: number;
  /** Parts by their matrices, from the corner of the lot. */
  readonly parts: readonly PartOnBoard[];
}

/**
 * Lays each film's parts on boards as strips side by side, in the order of the stack. A film of one part lies turned a
 * quarter where that takes less of the board's length; several parts are nested in their true shapes on one strip, or on as
 * few loads as they take.
 *
 * @param blocks parts, those of a film one after the other or not
 * @param board what the cutter takes
 * @returns loads with whole-millimetre from–to marks; what fits no board either way is listed, never dropped silently
 */
export function planLoads(blocks: readonly FilmBlock[], board: Board): LoadPlan {
  const loads: { number: number; strips: Strip[] }[] = [];
  const tooLarge: LoadPlan['tooLarge'][number][] = [];
  const room = { along: board.lengthMm - 2 * board.marginMm, across: board.widthMm - 2 * board.marginMm };
  let end = Infinity;
  for (const film of new Set(blocks.map((block) => block.film))) {
    const own = blocks.filter((block) => block.film === film);
    const { lots, left } = own.length === 1 ? singleLot(own[0]!, room) : nestedLots(own, room, board.gapMm);
    for (const block of left) {
      const sizes = [Math.ceil(boxWidth(block.box)), Math.ceil(boxHeight(block.box))].map(
        (mm) => mm + 2 * BLADE_MARGIN_MM,
      );
      tooLarge.push({ film, longMm: Math.max(...sizes), shortMm: Math.min(...sizes) });
    }
    for (const lot of lots) {
      if (end + board.gapMm + lot.along > board.lengthMm - board.marginMm) {
        loads.push({ number: loads.length + 1, strips: [] });
        end = board.marginMm - board.gapMm;
      }
      const from = end + board.gapMm;
      end = from + lot.along;
      const parts = lot.parts.map((one): PartOnBoard => {
        const [a, b, c, d, e, f] = one.matrix;
        return { ...one, matrix: [a, b, c, d, e + from, f + board.marginMm] };
      });
      loads.at(-1)!.strips.push({ film, from, to: end, across: lot.across, parts });
    }
  }
  return { board, loads, tooLarge };
}

interface Room {
  readonly along: number;
  readonly across: number;
}

function singleLot(block: FilmBlock, room: Room): { lots: Lot[]; left: FilmBlock[] } {
  const { minX, minY, maxY } = block.box;
  const wide = Math.ceil(boxWidth(block.box) + 2 * BLADE_MARGIN_MM);
  const high = Math.ceil(boxHeight(block.box) + 2 * BLADE_MARGIN_MM);
  const straight = wide <= room.along && high <= room.across;
  const quarter = high <= room.along && wide <= room.across && !block.directional;
  if (!straight && !quarter) return { lots: [], left: [block] };
  const turned = quarter && (!straight || high < wide);
  const at = BLADE_MARGIN_MM;
  // A quarter turn counter-clockwise sends (x, y) to (−y, x).
  const matrix: PartOnBoard['matrix'] = turned
    ? [0, 1, -1, 0, at + maxY, at - minX]
    : [1, 0, 0, 1, at - minX, at - minY];
  return { lots: [{ along: turned ? high : wide, across: turned ? wide : high, parts: [{ part: block.part, turned, matrix }] }], left: [] }; // prettier-ignore
}

/** Quarter turns counter-clockwise as matrices. */
const TURNS: readonly (readonly [number, number, number, number])[] = [[1, 0, 0, 1], [0, 1, -1, 0], [-1, 0, 0, -1], [0, -1, 1, 0]]; // prettier-ignore

function nestedLots(blocks: readonly FilmBlock[], room: Room, gapMm: number): { lots: Lot[]; left: FilmBlock[] } {
  const parts = blocks.map(({ box, rings, directional }, i): NestPart => ({
    id: String(i),
    rings: rings ?? [
      Float64Array.from([box.minX, box.minY, box.maxX, box.minY, box.maxX, box.maxY, box.minX, box.maxY]),
    ],
    turns: directional ? [0, 2] : [0, 1, 2, 3],
  }));
  const at = BLADE_MARGIN_MM;
  const sheet = { id: 'load', acrossMm: room.across - 2 * at, alongMm: room.along - 2 * at };
  let plan: Nesting | null = null;
  let looked = 0;
  for (const better of nest(parts, [sheet], { gapMm, seed: 1 })) {
    plan = better ?? plan;
    if (++looked >= plansFor(parts.length)) break;
  }
  const lots = (plan?.alongUsed ?? []).flatMap((along, s): Lot[] => {
    const laid = plan!.laid.filter((p) => p.sheet === s);
    if (laid.length === 0) return [];
    const reach = laid.map((p) => {
      const [, b, , d] = TURNS[p.turn]!;
      const { minX, maxX, minY, maxY } = blocks[Number(p.id)]!.box;
      return p.y + Math.max(b * minX, b * maxX) + Math.max(d * minY, d * maxY);
    });
    const parts = laid.map(({ id, turn, x, y }): PartOnBoard => {
      const [a, b, c, d] = TURNS[turn]!;
      return { part: blocks[Number(id)]!.part, turned: turn % 2 === 1, matrix: [a, b, c, d, x + at, y + at] };
    });
    const across = Math.min(room.across, Math.ceil(Math.max(...reach) + 2 * at - 1e-6));
    return [{ along: Math.ceil(along + 2 * at - 1e-6), across, parts }];
  });
  return { lots, left: (plan?.left ?? []).map((id) => blocks[Number(id)]!) };
}

import { wholeTurns } from '../numeric/angle.ts';
import { filmOfLayer, layerName, layerOf } from '../layers/layer.ts';
import type { Film } from '../model/film.ts';
import type { Box } from '../plane/box.ts';
import { boxHeight, boxWidth, EMPTY_BOX, joinBoxes } from '../plane/box.ts';
import type { Make } from '../pieces/batch.ts';
import type { Wrap } from '../pieces/wrap.ts';
import type { Job } from '../model/job.ts';
import type { Piece } from '../pieces/pieces.ts';

/** One thing that is made, as often as it is. */
export interface MadeThing {
  readonly pieces: readonly Piece[];
  readonly count: number;
}

/** mm. Transfer tape goes past the film by a finger on every side. */
export const TAPE_MARGIN_MM = 10;
/** Share of the way round past which film counts as a wrap. */
export const WRAP_SHARE = 0.6;
/** mm². Smaller pieces are weeded from the back. */
const TINY_MM2 = 16;
/** A film of more pieces than this on one thing is weeded from the back. */
export const MANY_PIECES = 60;

/** Everything that is made of a job, without what is cut to spare: the job itself, or each thing of its list. */
export function madeOf(wrap: Wrap, makes: readonly Make[]): MadeThing[] {
  const laid = (pieces: readonly Piece[]): Piece[] => pieces.filter((piece) => !piece.spare);
  return makes.length === 0
    ? [{ pieces: laid(wrap.pieces), count: 1 }]
    : makes.map(({ row, pieces }) => ({ pieces: laid(pieces), count: row.count }));
}

/** How many things are made. */
export const countOf = (made: readonly MadeThing[]): number => made.reduce((sum, { count }) => sum + count, 0);

/** What is weeded of one layer, all things together. */
export interface LayerWork {
  readonly layer: string;
  readonly film: Film;
  /** What the layer is called. */
  readonly name: string;
  readonly pieces: number;
  readonly counters: number;
  readonly tiny: number;
  /** Whether it is weeded from the back, with tape laid over it first. */
  readonly reverse: boolean;
}

/** What is weeded, layer by layer from the blank outwards. */
export function layerWork(
  { films }: Pick<Job, 'films'>,
  layers: readonly string[],
  made: readonly MadeThing[],
): LayerWork[] {
  const nameOf = (id: string): string => films.find((film) => film.id === id)?.name ?? id;
  return layers.flatMap((layer): LayerWork[] => {
    const film = films.find((one) => one.id === filmOfLayer(layer));
    if (!film) return [];
    let [pieces, counters, tiny] = [0, 0, 0];
    let most = 0;
    for (const { pieces: own, count } of made) {
      const mine = own.filter((piece) => layerOf(piece) === layer);
      pieces += count * mine.length;
      counters += count * mine.reduce((sum, { paths }) => sum + paths.length - 1, 0);
      tiny += count * mine.filter(({ areaMm2 }) => areaMm2 < TINY_MM2).length;
      most = Math.max(most, mine.length);
    }
    // What is cut together is weeded thing by thing: many pieces count where they lie on one of them.
    // One small dot does not turn a whole film over; where it is all there is, it does.
    const reverse = tiny > 1 || (tiny === 1 && pieces === 1) || most > MANY_PIECES;
    return pieces === 0 ? [] : [{ layer, film, name: layerName(layer, layers, nameOf), pieces, counters, tiny, reverse }]; // prettier-ignore
  });
}

/** Sheets of transfer tape: sizes of film with a finger of tape round it, the largest first, and how many of them there are. */
export function tapeSizes(
  made: readonly MadeThing[],
): { readonly width: number; readonly height: number; readonly count: number }[] {
  const sheets = made.flatMap(({ pieces, count }) => {
    const parts = new Map<string, Box>();
    for (const piece of pieces) parts.set(piece.part, joinBoxes(parts.get(piece.part) ?? EMPTY_BOX, piece.flatBox));
    return [...parts.values()].map((box) => ({
      width: boxWidth(box) + 2 * TAPE_MARGIN_MM,
      height: boxHeight(box) + 2 * TAPE_MARGIN_MM,
      count,
    }));
  });
  return sheets.sort((a, b) => b.width * b.height - a.width * a.height);
}

/**
 * Share of the way round that is covered by some film: all pieces together, wherever there are gaps between them. Figures
 * that are laid by themselves cover nothing in one.
 */
export function coverage(pieces: readonly Piece[]): number {
  const turn = 2 * Math.PI;
  const spans = pieces
    .filter((piece) => !piece.spare && !piece.byItself)
    .flatMap(({ azimuths: [from, to] }): [number, number][] => {
      if (to - from >= turn) return [[0, turn]];
      const start = from - turn * Math.floor(from / turn);
      const end = start + (to - from);
      return end <= turn ? [[start, end]] : [[start, turn], [0, end - turn]]; // prettier-ignore
    })
    .sort((a, b) => a[0] - b[0]);
  let [covered, reach] = [0, 0];
  for (const [from, to] of spans) {
    covered += Math.max(0, to - Math.max(from, reach));
    reach = Math.max(reach, to);
  }
  return covered / turn;
}

/** A side of the blank on which something is laid by itself: where its middle is, and its top and foot, mm down the band. */
export interface Face {
  readonly azimuth: number;
  readonly top: number;
  readonly middle: number;
}

/** A figure that is laid by itself: what its part is called, and where its middle and its top go. */
export interface PlacedFigure extends Face {
  readonly part: string;
}

/** Figures that are laid one by one, those of the top first and then from the front to the right. */
export function figuresOf(pieces: readonly Piece[]): PlacedFigure[] {
  const single = pieces.filter((piece) => piece.byItself);
  const figures = [...new Set(single.map(({ part }) => part))].map((part): PlacedFigure => {
    const own = single.filter((piece) => piece.part === part);
    const from = Math.min(...own.map(({ azimuths }) => azimuths[0]));
    const to = Math.max(...own.map(({ azimuths }) => azimuths[1]));
    const [top, foot] = [Math.min(...own.map((p) => p.slants[0])), Math.max(...own.map((p) => p.slants[1]))];
    const [start, end] = near([from, to]);
    return { part, azimuth: (start + end) / 2, top, middle: (top + foot) / 2 };
  });
  const row = ({ top }: PlacedFigure): number => Math.round(top / ROW_MM);
  return figures.sort((a, b) => row(a) - row(b) || a.azimuth - b.azimuth);
}

/** mm. Figures with tops within so much of each other are a row. */
const ROW_MM = 10;

/** The faces on which a job's pieces lie: what overlaps round the blank is one, in order from the front to the right. */
export function facesOf(pieces: readonly Piece[]): Face[] {
  const laid = pieces
    .filter((piece) => !piece.spare && !piece.byItself)
    .map(({ azimuths, slants }) => ({ azimuths: near(azimuths), slants }));
  const faces: { from: number; to: number; top: number; foot: number }[] = [];
  for (const { azimuths, slants } of laid.sort((a, b) => a.azimuths[0] - b.azimuths[0])) {
    const last = faces.at(-1);
    if (last && azimuths[0] <= last.to + APART_RAD) {
      last.to = Math.max(last.to, azimuths[1]);
      last.top = Math.min(last.top, slants[0]);
      last.foot = Math.max(last.foot, slants[1]);
    } else faces.push({ from: azimuths[0], to: azimuths[1], top: slants[0], foot: slants[1] });
  }
  // What lies across the back is one as well.
  const [first, last] = [faces[0], faces.at(-1)];
  if (first && last && first !== last && first.from + 2 * Math.PI <= last.to + APART_RAD) {
    faces.pop();
    faces[0] = { from: last.from - 2 * Math.PI, to: first.to, top: Math.min(first.top, last.top), foot: Math.max(first.foot, last.foot) }; // prettier-ignore
  }
  return faces.map(({ from, to, top, foot }) => ({ azimuth: (from + to) / 2, top, middle: (top + foot) / 2 }));
}

/** rad. Things closer than this, round the blank, are laid as one. */
const APART_RAD = 0.35;

/** A range brought, by whole turns, to where its middle lies within half a turn of the front. */
function near([from, to]: readonly [number, number]): [number, number] {
  const turn = wholeTurns((from + to) / 2);
  return [from - turn, to - turn];
}

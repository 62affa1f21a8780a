import type { Materials } from '../material/materials.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import { isByItself } from '../artwork/by-itself.ts';
import type { FontBook } from '../artwork/font.ts';
import type { FlatSide } from '../flat/flat-side.ts';
import { wrapFilm } from '../flat/wrap-film.ts';
import type { Layered } from '../layers/layered.ts';
import { layerOf } from '../layers/layer.ts';
import { layerFilms } from '../layers/layered.ts';
import { layOut } from '../layout/lay-out.ts';
import type { ErrorReport } from '../measure/error-report.ts';
import type { Measured } from '../measure/measured.ts';
import { measureBlank } from '../measure/measured.ts';
import type { ReadingDoubt } from '../measure/doubts.ts';
import { layThickness } from '../measure/reading.ts';
import type { BlankProblem } from '../measure/size.ts';
import type { Job } from '../model/job.ts';
import type { Divided } from '../seam/divide.ts';
import { divideSide } from '../seam/divide.ts';
import { boxOfPanels } from '../seam/panels/panel.ts';
import { SPLIT_OVERLAP_MM } from '../seam/plain-seam.ts';
import { slitItems } from './item-slits.ts';
import { slitMasks } from './mask-slits.ts';
import type { Piece, PieceFrame } from './pieces.ts';
import { makePieces } from './pieces.ts';
import { type WantedSpare, makeSpares } from './spares.ts';
import type { TapeSheet } from './tape-sheets.ts';
import { tapeSheets } from './tape-sheets.ts';

/** All that follows from a job's readings and artwork. Never stored: always worked out. */
export interface Wrap extends FlatSide, Layered, Divided {
  readonly errors: ErrorReport;
  readonly pieces: readonly Piece[];
  /** Sheets of transfer tape, where the side curves both ways. */
  readonly tape: readonly TapeSheet[];
}

/** A wrap, or why the blank cannot be flattened; doubts about the readings come either way. */
export type Derived =
  | { readonly ok: true; readonly wrap: Wrap; readonly doubts: readonly ReadingDoubt[] }
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

/**
 * Works a job through: readings → sizes → template → artwork on the side → pieces of film.
 *
 * @param job readings, artwork, films, hand and seam
 * @param fonts the shipped fonts, loaded
 * @param materials what is known of film and tape
 */
export function deriveWrap(job: Job, fonts: FontBook, materials: Materials = STARTING_MATERIALS): Derived {
  const measured = measureBlank(job.blank);
  if (!measured.ok) return measured;
  const { doubts } = measured;
  return { ok: true, wrap: cutOut(job, measured, layOutFilms(job, measured, fonts, materials), materials), doubts };
}

/** The side with its artwork, film by film. */
export type LaidFilms = FlatSide & Layered;

/** Lays the artwork of a job out on its side and builds its films up. */
export function layOutFilms(
  job: Job,
  { size }: Extract<Measured, { ok: true }>,
  fonts: FontBook,
  materials: Materials,
): LaidFilms {
  const { shaped, ...flat } = layOut(job, size, fonts, materials);
  return { ...flat, ...layerFilms(job, { shaped, ...flat }) };
}

/** Divides the side at its seams and makes the pieces of film, spares and sheets of tape. */
export function cutOut(
  job: Job,
  { errors }: Extract<Measured, { ok: true }>,
  laid: LaidFilms,
  materials: Materials,
): Wrap {
  // What is laid by itself lies across a seam as it lies anywhere: the seam runs as if it were not there.
  const divided = divideSide(job, laid, laid.placed.filter(({ item }) => !isByItself(item))); // prettier-ignore
  const frame = pieceFrameOf(job, { ...laid, frames: divided.frames });
  // What is laid first comes first: pieces lie on each other by their films, whatever the order of the artwork.
  const rank = new Map(laid.layers.map((layer, i) => [layer, i]));
  const made = makePieces(laid.placed, frame).sort((a, b) => rank.get(layerOf(a))! - rank.get(layerOf(b))!);
  const masked = slitMasks(job, { ...laid, frames: divided.frames }, made, materials);
  const pieces = slitItems(job, { ...laid, frames: divided.frames }, masked);
  const wanted: WantedSpare[] = [
    ...laid.placed.flatMap(({ item, off }) => off.map((_, copy) => ({ itemId: item.id, copy, off: true }))),
    ...job.seam.atSeam.flatMap(({ itemId, copy, do: choice }) =>
      choice === 'leave-off' ? [{ itemId, copy, leftOff: true }] : [],
    ),
    ...job.items.flatMap((item) => Array.from({ length: item.spares }, () => ({ itemId: item.id, copy: 0 }))),
  ];
  const spares = wanted.length === 0 ? [] : makeSpares(laid.placed, wanted, laid.surface, boxOfPanels(divided.panels));
  return {
    ...laid,
    ...divided,
    errors,
    pieces: [...pieces, ...spares],
    tape: tapeSheets(job, { ...laid, frames: divided.frames, pieces }, materials.tapeGive),
  };
}

/** The frame in which pieces of a job are cut. */
export function pieceFrameOf(
  job: Pick<Job, 'seam' | 'films' | 'items' | 'blank'>,
  { frames, meanRadius, surface, liesOn }: Pick<Wrap, 'frames' | 'meanRadius' | 'surface' | 'liesOn'>,
): PieceFrame {
  const { seam, films, blank } = job;
  const thick = (id: string): number => films.find((film) => film.id === id)?.thicknessMm ?? 0;
  const base = wrapFilm(job)?.thicknessMm ?? 0;
  return {
    // Each film at its own middle: all that lies below it, and half of itself, further out than the blank.
    longerBy: (film, itemId, group) => {
      const below = liesOn.get(itemId);
      const under = below?.[group] ?? below?.[0] ?? 0;
      return Math.PI * layThickness(blank, 2 * under + thick(film) - base);
    },
    panels: frames,
    meanRadius,
    side: surface.slantLength,
    atSeam: (itemId, copy) => {
      const choice = seam.atSeam.find((c) => c.itemId === itemId && c.copy === copy);
      return choice && (choice.do === 'overlap' ? SPLIT_OVERLAP_MM : null);
    },
  };
}

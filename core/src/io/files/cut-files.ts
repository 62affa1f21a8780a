import type { SentLoad } from '../../cut/cutter-state.ts';
import { type CutOptions, PLAIN_CUT, withExtras } from '../../cut/extras.ts';
import { cutFileNames, loadFileName, onlyPart } from '../../cut/file-names.ts';
import type { CutPiece } from '../../cut/order.ts';
import { cutStrip } from '../../cut/order.ts';
import type { JobSheet } from '../../load/job-sheet.ts';
import type { Load, Strip } from '../../load/load.ts';
import { mirroredStrip } from '../../load/load.ts';
import type { Film } from '../../model/film.ts';
import type { Project } from '../../model/project.ts';
import type { CuttablePiece } from '../../pieces/cuttable.ts';
import { writeCutHpgl } from '../hpgl/write-cut.ts';
import { writeCutSvg } from '../svg/write-cut.ts';

/** A file of a job, ready to be saved. */
export interface JobFile {
  readonly name: string;
  readonly content: string | Uint8Array;
}

/** Formats in which cut lines are written here; DXF is written apart, since its library is large. */
export type CutFormat = 'svg' | 'hpgl';

/** Writes what is cut of the strips of a load, or of one of them. */
export type CutWriter = (strips: readonly CutLines[], title: string, name: string) => JobFile;

/** What is cut of one strip of film in a load. */
export interface CutLines {
  readonly film: Film;
  readonly strip: Strip;
  /** Everything in the order in which it is cut: the test mark, the pieces part by part, the weeding lines. */
  readonly pieces: readonly CutPiece[];
  readonly load: Load;
  readonly sheet: JobSheet;
  /** Number of the film in its load, from 1. */
  readonly pen: number;
  /** mm from the holder of a drag knife to its tip that pen movements allow for. */
  readonly bladeOffsetMm: number;
}

/** How cut files are written. */
type WriteOptions = CutOptions & { readonly mirrored?: boolean };

/** Writers of what needs no library. */
export const CUT_WRITERS: Readonly<Record<CutFormat, CutWriter>> = {
  svg: (strips, title, name) => ({
    name: `${name}.svg`,
    content: writeCutSvg(strips, strips[0]!.load.number, strips[0]!.sheet.plan.board, title),
  }),
  hpgl: (strips, _, name) => ({ name: `${name}.hpgl`, content: writeCutHpgl(strips, strips[0]!.bladeOffsetMm) }),
};

/**
 * The cut files of a job: one for each load, named `load-<n>`, with a group, layer or pen for each of its films, all in the
 * one frame of the board.
 *
 * @param project for names and films
 * @param cut pieces of the wrap, or of all names
 * @param sheet loads
 * @param options what is cut besides the pieces, and whether all is mirrored
 * @param writers of the formats that are wanted
 */
export function loadFiles(
  project: Pick<Project, 'name' | 'films'>,
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  options: WriteOptions = PLAIN_CUT,
  writers: readonly CutWriter[] = [CUT_WRITERS.svg],
): JobFile[] {
  const lines = cutLines(project, cut, sheet, options);
  return sheet.plan.loads.flatMap((load) => {
    const own = lines.filter((one) => one.load === load);
    const title = `${project.name}: load ${load.number}`;
    return own.length === 0 ? [] : writers.map((write) => write(own, title, loadFileName(load.number)));
  });
}

/**
 * The same film by film: a file for each strip of film in each load, named `cut-<load>-<film>`, with its part where it is one
 * of several that are cut apart from each other. They lie in the frame of the board as well.
 *
 * @param project for names and films
 * @param cut pieces of the wrap, or of all names
 * @param sheet loads
 * @param options what is cut besides the pieces, and whether all is mirrored
 * @param writers of the formats that are wanted
 */
export function filmFiles(
  project: Pick<Project, 'name' | 'films'>,
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  options: WriteOptions = PLAIN_CUT,
  writers: readonly CutWriter[] = [CUT_WRITERS.svg],
): JobFile[] {
  const names = cutFileNames(sheet.plan.loads, project.films);
  return cutLines(project, cut, sheet, options).flatMap((lines, i) => {
    const part = onlyPart(lines.strip);
    const title = `${project.name}: load ${lines.load.number}, ${lines.film.name}${part && `, ${part.replace(/-/g, ' ')}`}`;
    return writers.map((write) => write([lines], title, names[i]!));
  });
}

/** What is cut of each strip of film in each load. */
function cutLines(
  project: Pick<Project, 'name' | 'films'>,
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  options: WriteOptions,
): CutLines[] {
  return sheet.plan.loads.flatMap((load) => {
    const pens = [...new Set(load.strips.map(({ film }) => film))];
    return load.strips.map((asPlanned): CutLines => {
      const { board } = sheet.plan;
      const strip = options.mirrored ? mirroredStrip(asPlanned, board) : asPlanned;
      return {
        film: project.films.find((f) => f.id === strip.film)!,
        strip,
        pieces: withExtras(cutStrip(cut, strip), strip, board, options),
        load,
        sheet,
        pen: pens.indexOf(strip.film) + 1,
        bladeOffsetMm: options.bladeOffsetMm ?? 0,
      };
    });
  });
}

/**
 * The loads of a job as they are sent to a cutter: what lies on the board, and pen movements strip by strip.
 *
 * @param project for names and films
 * @param cut pieces of the wrap, or of all names
 * @param sheet loads
 * @param options what is cut besides the pieces, and whether all is mirrored
 */
export function loadsToSend(
  project: Pick<Project, 'id' | 'name' | 'films'>,
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  options: WriteOptions = PLAIN_CUT,
): Omit<SentLoad, 'id'>[] {
  const lines = cutLines(project, cut, sheet, options);
  const { label, widthMm, lengthMm, marginMm } = sheet.plan.board;
  return sheet.plan.loads.map((load) => {
    const own = lines.filter((one) => one.load === load);
    return {
      title: project.name,
      projectId: project.id,
      number: load.number,
      board: { label, widthMm, lengthMm },
      strips: own.map(({ film, strip: { from, to, across } }) => ({
        name: film.name,
        colour: film.colour,
        from,
        to,
        low: marginMm,
        high: marginMm + across,
      })),
      hpgl: own.map((lines) => writeCutHpgl([lines], lines.bladeOffsetMm)),
    };
  });
}

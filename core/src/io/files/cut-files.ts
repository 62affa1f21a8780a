import type { SentLoad } from '../../cut/cutter-state.ts';
import { type CutOptions, PLAIN_CUT, withExtras } from '../../cut/extras.ts';
import { cutFileNames, onlyPart } from '../../cut/file-names.ts';
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

/** Writes what is cut of one strip; name of the file without its ending, and its content. */
export type CutWriter = (lines: CutLines, name: string) => JobFile;

/** What is cut of one film in one load. */
export interface CutLines {
  readonly film: Film;
  readonly strip: Strip;
  /** Everything in the order in which it is cut: the test mark, the pieces part by part, the weeding lines. */
  readonly pieces: readonly CutPiece[];
  readonly load: Load;
  readonly sheet: JobSheet;
  readonly title: string;
  /** Number of the film in its load, from 1. */
  readonly pen: number;
}

/** Writers of what needs no library. */
export const CUT_WRITERS: Readonly<Record<CutFormat, CutWriter>> = {
  svg: ({ pieces, film, strip, load, sheet, title }, name) => ({
    name: `${name}.svg`,
    content: writeCutSvg(pieces, film, strip, load, sheet.plan.board, title),
  }),
  hpgl: ({ pieces, pen }, name) => ({ name: `${name}.hpgl`, content: writeCutHpgl(pieces, pen) }),
};

/**
 * The cut files of a job: one for each strip of film in each load, named `cut-<load>-<film>`, with its part where it is one
 * of several that are cut apart from each other.
 *
 * @param project for names and films
 * @param cut pieces of the wrap, or of all names
 * @param sheet loads
 * @param options what is cut besides the pieces, and whether all is mirrored
 * @param writers of the formats that are wanted
 */
export function cutFiles(
  project: Pick<Project, 'name' | 'films'>,
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  options: CutOptions & { readonly mirrored?: boolean } = PLAIN_CUT,
  writers: readonly CutWriter[] = [CUT_WRITERS.svg],
): JobFile[] {
  const names = cutFileNames(sheet.plan.loads, project.films);
  return cutLines(project, cut, sheet, options).flatMap((lines, i) => writers.map((write) => write(lines, names[i]!)));
}

/** What is cut of each strip of film in each load. */
function cutLines(
  project: Pick<Project, 'name' | 'films'>,
  cut: readonly CuttablePiece[],
  sheet: JobSheet,
  options: CutOptions & { readonly mirrored?: boolean },
): CutLines[] {
  return sheet.plan.loads.flatMap((load) =>
    load.strips.map((asPlanned, at): CutLines => {
      const { board } = sheet.plan;
      const strip = options.mirrored ? mirroredStrip(asPlanned, board) : asPlanned;
      const film = project.films.find((f) => f.id === strip.film)!;
      const part = onlyPart(strip);
      return {
        film,
        strip,
        pieces: withExtras(cutStrip(cut, strip), strip, board, options),
        load,
        sheet,
        title: `${project.name}: load ${load.number}, ${film.name}${part && `, ${part.replace(/-/g, ' ')}`}`,
        pen: at + 1,
      };
    }),
  );
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
  options: CutOptions & { readonly mirrored?: boolean } = PLAIN_CUT,
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
      hpgl: own.map(({ pieces, pen }) => writeCutHpgl(pieces, pen)),
    };
  });
}

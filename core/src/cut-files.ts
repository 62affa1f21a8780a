import type { Film } from './artwork/film.ts';
import { PLAIN_CUT, withExtras, type CutWish } from './cut/extras.ts';
import type { JobSheet } from './cut/job-sheet.ts';
import type { CutPiece } from './cut/order.ts';
import { cutStrip } from './cut/order.ts';
import type { Project } from './document/project.ts';
import { writeCutHpgl } from './io/hpgl/write-cut.ts';
import { writeCutSvg } from './io/svg/write-cut.ts';
import type { Load, Strip } from './sheet/load.ts';
import { mirroredStrip } from './sheet/load.ts';
import type { Piece } from './wrap/pieces.ts';

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
 * @param wish what is cut besides the pieces, and whether all is mirrored
 * @param writers of the formats that are wanted
 */
export function cutFiles(
  project: Pick<Project, 'name' | 'films'>,
  cut: readonly Piece[],
  sheet: JobSheet,
  wish: CutWish & { readonly mirrored?: boolean } = PLAIN_CUT,
  writers: readonly CutWriter[] = [CUT_WRITERS.svg],
): JobFile[] {
  return sheet.plan.loads.flatMap((load) =>
    load.strips.flatMap((asPlanned, at) => {
      const { board } = sheet.plan;
      const strip = wish.mirrored ? mirroredStrip(asPlanned, board) : asPlanned;
      const film = project.films.find((f) => f.id === strip.film)!;
      // What is cut of several parts is named by its film alone.
      const part = strip.parts.length === 1 ? strip.parts[0]!.part : '';
      const lines: CutLines = {
        film,
        strip,
        pieces: withExtras(cutStrip(cut, strip), strip, board, wish),
        load,
        sheet,
        title: `${project.name}: load ${load.number}, ${film.name}${part && `, ${part.replace(/-/g, ' ')}`}`,
        pen: at + 1,
      };
      const name = `cut-${load.number}-${film.id}${part && `-${part}`}`;
      return writers.map((write) => write(lines, name));
    }),
  );
}

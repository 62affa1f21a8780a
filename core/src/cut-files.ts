import type { JobSheet } from './cut/job-sheet.ts';
import { cutPieces } from './cut/order.ts';
import type { Project } from './document/project.ts';
import { writeCutSvg } from './io/svg/write-cut.ts';
import type { Piece } from './wrap/pieces.ts';

/** A file of a job, ready to be saved. */
export interface JobFile {
  readonly name: string;
  readonly content: string | Uint8Array;
}

/**
 * The cut files of a job: one for each strip of film in each load, named `cut-<load>-<film>.svg`, with its panel
 * where there are several.
 *
 * @param project for names and films
 * @param cut pieces of the wrap, or of all names
 * @param sheet loads
 */
export function cutFiles(project: Project, cut: readonly Piece[], sheet: JobSheet): JobFile[] {
  return sheet.plan.loads.flatMap((load) =>
    load.strips.map((strip) => {
      const film = project.films.find((f) => f.id === strip.film)!;
      const pieces = cutPieces(
        cut.filter((p) => p.film === strip.film && p.part === strip.part),
        strip,
      );
      const part = strip.part && `, ${strip.part.replace(/-/g, ' ')}`;
      const title = `${project.name}: load ${load.number}, ${film.name}${part}`;
      return {
        name: `cut-${load.number}-${film.id}${strip.part && `-${strip.part}`}.svg`,
        content: writeCutSvg(pieces, film, strip, load, sheet.plan.board, title),
      };
    }),
  );
}

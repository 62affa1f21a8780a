import { laidAs } from '../layers/layer.ts';
import type { Board } from '../model/board.ts';
import type { Film } from '../model/film.ts';
import type { Project } from '../model/project.ts';
import type { BookedShare, Supply } from '../model/stock.ts';
import type { CuttablePiece } from '../pieces/cuttable.ts';
import { slugsOf } from '../pieces/slug.ts';
import { pathLength } from '../plane/path-length.ts';
import type { JobSheet } from './job-sheet.ts';
import { planJob } from './job-sheet.ts';
import { NO_STOCK } from './supply.ts';

/** A project with what is cut of it. */
export interface CutProject {
  readonly project: Pick<Project, 'id' | 'name' | 'films'> & Partial<Pick<Project, 'names'>>;
  readonly cut: readonly CuttablePiece[];
}

/** What a part of a common plan is: whose, and which of its rows or panels. */
export interface TogetherPart {
  readonly part: string;
  readonly projectId: string;
  readonly project: string;
  /** What the project itself calls it; empty where it is all of one film. */
  readonly row: string;
}

/** Several projects laid on the same boards. */
export interface TogetherPlan {
  readonly sheet: JobSheet;
  /** Every project's films, once each. */
  readonly films: readonly Film[];
  /** Pieces of all, their parts named by project and row. */
  readonly cut: readonly CuttablePiece[];
  readonly parts: readonly TogetherPart[];
}

/** What one project has of what is taken for all. */
export interface TogetherShare extends BookedShare {
  readonly pieces: number;
}

/**
 * Plans the loads of several projects as those of one: each film of all of them together, so that its parts share strips,
 * offcuts and trips through the cutter.
 *
 * @param projects at least one, in the order in which they are named; their films are told apart by id
 * @param board what the cutter takes
 * @param supply what film there is
 */
export function planTogether(projects: readonly CutProject[], board: Board, supply: Supply = NO_STOCK): TogetherPlan {
  const slugs = slugsOf(
    projects.map(({ project }) => project),
    'project',
  );
  const parts = new Map<string, TogetherPart>();
  const taken = new Set(slugs.values());
  const owners = new Map<string, Set<string>>();
  for (const { project, cut } of projects)
    for (const { part } of cut) owners.set(part, (owners.get(part) ?? new Set()).add(project.id));
  const cut = projects.flatMap(({ project, cut: own }) => {
    const called = slugs.get(project.id)!;
    return own.map((piece): CuttablePiece => {
      // A name that is on one list only says enough; a panel is a panel of something.
      const alone = project.names && piece.part && owners.get(piece.part)!.size === 1 && !taken.has(piece.part);
      const part = alone ? piece.part : piece.part ? `${called}-${piece.part}` : called;
      const as = laidAs({ ...piece, part });
      parts.set(as, { part: as, projectId: project.id, project: project.name, row: laidAs(piece) });
      return { ...piece, id: `${called}-${piece.id}`, part };
    });
  });
  const films = [...new Map(projects.flatMap(({ project }) => project.films.map((film) => [film.id, film]))).values()];
  return { sheet: planJob(cut, films, board, supply), films, cut, parts: [...parts.values()] };
}

/**
 * Who has what of it: of each film what is taken for good, waste included, by the area of the pieces that each project cuts
 * of it, so that the shares add up to the whole.
 */
export function sharesOf({ sheet, cut, parts, films }: TogetherPlan): TogetherShare[] {
  const owner = new Map(parts.map((one) => [one.part, one]));
  const laid = new Set(sheet.plan.loads.flatMap(({ strips }) => strips.flatMap((s) => s.parts.map((p) => `${s.film}|${p.part}`)))); // prettier-ignore
  const placed = cut.filter((piece) => laid.has(`${piece.film}|${laidAs(piece)}`));
  const areaOf = (film: string, projectId?: string): number =>
    placed.reduce(
      (sum, piece) =>
        piece.film === film && (projectId === undefined || owner.get(laidAs(piece))!.projectId === projectId)
          ? sum + piece.areaMm2
          : sum,
      0,
    );
  const titles = new Map(parts.map(({ projectId, project }) => [projectId, project]));
  return [...titles].map(([projectId, title]) => {
    const own = placed.filter((piece) => owner.get(laidAs(piece))!.projectId === projectId);
    const used = sheet.usage.films.flatMap(({ film, areaMm2, cost }) => {
      const share = areaOf(film, projectId) / (areaOf(film) || 1);
      const made = films.find(({ id }) => id === film);
      return made && share > 0
        ? [{ film: made, areaMm2: share * areaMm2, cost: cost === null ? null : share * cost }]
        : [];
    });
    return {
      projectId,
      title,
      pieces: own.filter(({ mark }) => !mark).length,
      cutMm: own.reduce((sum, { paths }) => sum + paths.reduce((all, path) => all + pathLength(path), 0), 0),
      used,
    };
  });
}

/** A common plan as a report lists it: loads, their strips and what lies on each, by project and row. */
export function reportTogether(together: TogetherPlan): object {
  const owner = new Map(together.parts.map((one) => [one.part, one]));
  const filmOf = new Map(together.films.map(({ id, name }) => [id, name]));
  return {
    units: 'mm',
    board: together.sheet.plan.board,
    loads: together.sheet.plan.loads.map(({ number, strips }) => ({
      load: number,
      strips: strips.map(({ film, from, to, across, offcut, parts }) => ({
        film: filmOf.get(film) ?? film,
        from,
        to,
        across,
        offcut,
        parts: parts.map(({ part, matrix }) => {
          const { project, row } = owner.get(part)!;
          return { part, project, row, matrix };
        }),
      })),
    })),
    notPlaced: together.sheet.plan.tooLarge.map((one) => ({ ...one, film: filmOf.get(one.film) ?? one.film })),
    projects: sharesOf(together).map(({ title, pieces, cutMm, used }) => ({
      project: title,
      pieces,
      cutMm,
      films: used.map(({ film, areaMm2, cost }) => ({ film: film.name, areaMm2, cost })),
    })),
  };
}

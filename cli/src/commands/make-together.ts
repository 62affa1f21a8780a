import {
  boardById,
  planTogether,
  slugsOf,
  supplyOf,
  type Examined,
  type JobFile,
  type Project,
  type StockThing,
} from '@mivet/core';
import { jobFiles, togetherFiles, type JobFileOptions } from '@mivet/core/papers';
import { BadInput } from '../input/command.ts';

/** A project with what was found of it. */
interface Job {
  readonly project: Project;
  readonly examined: Extract<Examined, { ok: true }>;
}

/**
 * Files of several projects that are cut on common boards: the loads of all, and a folder for each with its template, proof
 * and bench sheet. The first names the board; the stock is what all of them carry.
 */
export async function makeTogether(jobs: readonly Job[], options: JobFileOptions): Promise<JobFile[]> {
  const ids = jobs.map(({ project }) => project.id);
  if (new Set(ids).size < ids.length) throw new BadInput('a project is named twice; name each once.');
  const stock = new Map<string, StockThing>();
  for (const { project } of jobs)
    for (const thing of project.carried?.stock ?? []) if (!stock.has(thing.id)) stock.set(thing.id, thing);
  const supply = supplyOf([...stock.values()], new Date().toISOString().slice(0, 10));
  const own = supply.cutters.map(({ board, onBoard }) => ({ ...board, alone: !onBoard }));
  const together = planTogether(
    jobs.map(({ project, examined: { cut } }) => ({ project, cut })),
    boardById(jobs[0]!.project.boardId, own),
    supply,
  );
  const folders = slugsOf(
    jobs.map(({ project }) => project),
    'project',
  );
  const papers = await Promise.all(
    jobs.map(async ({ project, examined }) =>
      (await jobFiles(project, examined, options))
        .filter(({ name }) => !/^(load|guide|cut)-/.test(name))
        .map((file) => ({ ...file, name: `${folders.get(project.id)!}/${file.name}` })),
    ),
  );
  const title = new Intl.ListFormat('en-GB').format(jobs.map(({ project }) => project.name));
  return [...togetherFiles(title, together, { unit: options.unit }), ...papers.flat()];
}

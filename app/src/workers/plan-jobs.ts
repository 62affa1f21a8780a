import {
  learnFrom,
  STARTING_MATERIALS,
  describeBlankProblem,
  examineStages,
  habitsWith,
  isStepDone,
  limitsWith,
  openProject,
  planProjects,
  type OpenProject,
  type Project,
} from '@mivet/core';
import { type Call, inTurns } from './call.ts';
import { fontsOf } from './fonts.ts';
import { materialsOf } from './learnt.ts';
import type { CoreJobs } from './protocol.ts';

type Input = CoreJobs['plan']['input'];
type Steps = { readonly open: Omit<OpenProject, 'project'> } | { readonly why: string };

/** Steps of projects as they were worked out last: only what says something else about the steps is worked out again. */
const known = new Map<string, { readonly of: string; readonly steps: Steps }>();

/** Everything of a project that its steps follow from. */
const groundOf = ({ bench: _, log: __, handOver: ___, planning: ____, changedAt: _____, name: ______, ...rest }: Project): object => rest; // prettier-ignore

async function stepsOf(project: Project, input: Input, call: Call): Promise<Steps> {
  const { limits, unit, habits, learnt, shelves } = input;
  const of = JSON.stringify([groundOf(project), limits, unit, habits, learnt, shelves]);
  const before = known.get(project.id);
  if (before?.of === of) return before.steps;
  const fonts = await fontsOf(project.items);
  const stages = examineStages({ project, fonts, limits: limitsWith(limits), supply: shelves.supply, unit, habits: habitsWith(habits), materials: materialsOf(learnt) }); // prettier-ignore
  const examined = await inTurns(stages, call);
  const { project: __, ...open } = examined.ok ? openProject(project, examined, shelves, unit) : { project };
  const steps: Steps = examined.ok
    ? { open: open as Omit<OpenProject, 'project'> }
    : { why: describeBlankProblem(examined.problem, unit) };
  known.set(project.id, { of, steps });
  return steps;
}

/** Plans all open projects. */
export async function plan(input: Input, call: Call): Promise<CoreJobs['plan']['output']> {
  const open: OpenProject[] = [];
  const leftOut: { project: string; why: string }[] = [];
  for (const [i, project] of input.projects.entries()) {
    call.part({ done: i, of: input.projects.length, name: project.name });
    const steps = await stepsOf(project, input, call);
    if ('open' in steps) open.push({ project, ...steps.open });
    else leftOut.push({ project: project.name, why: steps.why });
  }
  const ids = new Set(input.projects.map(({ id }) => id));
  for (const id of known.keys()) if (!ids.has(id)) known.delete(id);
  return { plan: planProjects(open, input.hours, input.now), leftOut, shared: sharedFilms(open) };
}

/** Films that more than one project still has to be cut from. */
function sharedFilms(open: readonly OpenProject[]): CoreJobs['plan']['output']['shared'] {
  const films = new Map<string, string[]>();
  for (const { project, steps } of open) {
    if (!steps.some((step) => step.kind === 'place-film' && !isStepDone(project.bench, step))) continue;
    const own = new Set(steps.flatMap(({ kind, about }) => (kind === 'weed' && about.film ? [about.film] : [])));
    for (const film of own) films.set(film, [...(films.get(film) ?? []), project.id]);
  }
  return [...films]
    .flatMap(([film, projects]) => (projects.length > 1 ? [{ film, projects }] : []))
    .sort((a, b) => b.projects.length - a.projects.length);
}

/** What is learnt from the logbook. */
export const learn = ({ entries }: CoreJobs['learn']['input']): CoreJobs['learn']['output'] =>
  learnFrom(entries, STARTING_MATERIALS);

import {
  describeBlankProblem,
  examineProject,
  habitsWith,
  withTriedFixes,
  type Examined,
  type Project,
} from '@mivet/core';
import { jobFiles, type JobFileOptions } from '@mivet/core/papers';
import { loadProject, takeFlag, takeOption } from '../input/files.ts';
import { paperFonts } from '../input/fonts.ts';
import { BadInput, type CommandLine } from '../input/command.ts';
import { judgedBy } from '../input/judged-by.ts';
import { takeUnits } from '../input/units.ts';
import { makeTogether } from './make-together.ts';
import { writeNew } from './write-new.ts';

/** Writes every file of a job, or of several, into a folder; exit 1 when a finding will fail. Nothing is overwritten. */
export const make: CommandLine = async (args, { out, err }) => {
  const { value: folder, rest: more } = takeOption(args, '--out');
  if (folder === null) throw new BadInput('say where to with --out DIR.');
  const { value: sheet, rest: others } = takeOption(more, '--paper');
  const paper = sheet ?? 'a4';
  if (paper !== 'a4' && paper !== 'letter') throw new BadInput(`--paper takes a4 or letter, not “${paper}”.`);
  const { units, rest: named } = takeUnits(others);
  const { given: together, rest } = takeFlag(named, '--together');
  if (!together && rest.length > 1)
    throw new BadInput('several projects are made one at a time, or cut on common boards with --together.');
  const options: JobFileOptions = { unit: units, paper, ...paperFonts() };
  const worked = rest.length === 0 ? [loadProject(undefined)] : rest.map(loadProject);
  const jobs = worked.map((project) => ({ project, examined: examine(project, options) }));
  const files = together ? await makeTogether(jobs, options) : await jobFiles(jobs[0]!.project, jobs[0]!.examined, options); // prettier-ignore
  for (const path of writeNew(folder, files)) out(`${path}\n`);
  const failing = jobs.flatMap(({ project, examined: { findings } }) => {
    const count = findings.filter((f) => f.finding.severity === 'fails' && f.acceptedFor === null).length;
    return count > 0 ? [{ name: project.name, count }] : [];
  });
  for (const { name, count } of failing)
    err(`mivet make: ${together ? `${name}: ` : ''}${count} finding(s) will fail; see report.json before cutting.\n`);
  return failing.length > 0 ? 1 : 0;
};

function examine(project: Project, { unit }: JobFileOptions): Extract<Examined, { ok: true }> {
  const by = judgedBy(project);
  const examined = examineProject(project, by.fonts, by.limits, by.supply, undefined, unit, habitsWith(project.carried?.habits)); // prettier-ignore
  if (!examined.ok) throw new BadInput(`${project.name}: ${describeBlankProblem(examined.problem, unit)}`);
  return { ...examined, findings: withTriedFixes(project, examined.findings, by) };
}

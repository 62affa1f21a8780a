import { describeBlankProblem, examineProject, habitsWith } from '@mivet/core';
import { BadInput, type CommandLine } from '../input/command.ts';
import { loadProject } from '../input/files.ts';
import { judgedBy } from '../input/judged-by.ts';
import { takeUnits } from '../input/units.ts';

/** Writes a project's steps at the bench as JSON, in order. */
export const bench: CommandLine = (args, { out }) => {
  const { units, rest } = takeUnits(args);
  const project = loadProject(rest[0]);
  const { fonts, limits, supply } = judgedBy(project);
  const examined = examineProject(
    project,
    fonts,
    limits,
    supply,
    undefined,
    units,
    habitsWith(project.carried?.habits),
  );
  if (!examined.ok) throw new BadInput(describeBlankProblem(examined.problem, units));
  const steps = examined.steps.map(
    ({ id, kind, after, title, body, about, numbers, check, cautions, why, because, list, beside }) => ({
      id,
      kind,
      after,
      title,
      text: body,
      about,
      numbers,
      check,
      cautions,
      why,
      because,
      beside,
      ...(list.length > 0 ? { list } : {}),
    }),
  );
  out(`${JSON.stringify({ project: project.name, steps }, null, 2)}\n`);
  return 0;
};

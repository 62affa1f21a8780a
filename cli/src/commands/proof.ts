import { describeBlankProblem, describeFinding, examineProject, withTriedFixes } from '@mivet/core';
import { loadProject } from '../input/files.ts';
import { judgedBy } from '../input/judged-by.ts';
import { takeUnits } from '../input/units.ts';
import { BadInput, type CommandLine } from '../input/command.ts';

/** Writes a project's findings as JSON; exit 1 when one of them will fail and was not accepted. */
export const judge: CommandLine = (args, { out }) => {
  const { units, rest } = takeUnits(args);
  const project = loadProject(rest[0]);
  const by = judgedBy(project);
  const examined = examineProject(project, by.fonts, by.limits, by.supply);
  if (!examined.ok) throw new BadInput(describeBlankProblem(examined.problem, units));
  const findings = withTriedFixes(project, examined.findings, by);
  const told = findings.map(({ finding, acceptedFor }) => ({
    ...finding,
    words: describeFinding(finding, units),
    acceptedFor,
  }));
  out(`${JSON.stringify({ project: project.name, findings: told }, null, 2)}\n`);
  return told.some((f) => f.severity === 'fails' && f.acceptedFor === null) ? 1 : 0;
};

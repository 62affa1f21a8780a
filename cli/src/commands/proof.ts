import { describeBlankProblem, describeFinding, examineProject, limitsWith } from '@mivet/core';
import { loadProject } from '../files.ts';
import { carriedSupply } from '../supply.ts';
import { loadFonts } from '../fonts.ts';
import { BadInput, type CommandLine } from '../run.ts';

/** Writes a project's findings as JSON; exit 1 when one of them will fail and was not accepted. */
export const judge: CommandLine = (args, { out }) => {
  const project = loadProject(args[0]);
  const examined = examineProject(
    project,
    loadFonts(project),
    limitsWith(project.carried?.limits ?? {}),
    carriedSupply(project),
  );
  if (!examined.ok) throw new BadInput(describeBlankProblem(examined.problem, 'mm'));
  const findings = examined.findings.map(({ finding, acceptedFor }) => ({
    ...finding,
    words: describeFinding(finding, 'mm'),
    acceptedFor,
  }));
  out(`${JSON.stringify({ project: project.name, findings }, null, 2)}\n`);
  return findings.some((f) => f.severity === 'fails' && f.acceptedFor === null) ? 1 : 0;
};

import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describeBlankProblem, examineProject, withTriedFixes } from '@mivet/core';
import { jobFiles } from '@mivet/core/papers';
import { loadProject, takeOption } from '../input/files.ts';
import { paperFonts } from '../input/fonts.ts';
import { BadInput, type CommandLine } from '../input/command.ts';
import { judgedBy } from '../input/judged-by.ts';
import { takeUnits } from '../input/units.ts';

/** Writes every file of a job into a folder; exit 1 when a finding will fail. Nothing that exists is overwritten. */
export const make: CommandLine = async (args, { out, err }) => {
  const { value: folder, rest: more } = takeOption(args, '--out');
  if (folder === null) throw new BadInput('say where to with --out DIR.');
  const { value: sheet, rest: others } = takeOption(more, '--paper');
  const paper = sheet ?? 'a4';
  if (paper !== 'a4' && paper !== 'letter') throw new BadInput(`--paper takes a4 or letter, not “${paper}”.`);
  const { units, rest } = takeUnits(others);
  const project = loadProject(rest[0]);
  const by = judgedBy(project);
  const examined = examineProject(project, by.fonts, by.limits, by.supply);
  if (!examined.ok) throw new BadInput(describeBlankProblem(examined.problem, units));
  const findings = withTriedFixes(project, examined.findings, by);
  const files = await jobFiles(project, { ...examined, findings }, { unit: units, paper, ...paperFonts() });
  const taken = files.find((file) => existsSync(join(folder, file.name)));
  if (taken)
    throw new BadInput(`${join(folder, taken.name)} exists already. Nothing was written; name an empty folder.`);
  try {
    mkdirSync(folder, { recursive: true });
    for (const file of files) writeFileSync(join(folder, file.name), file.content, { flag: 'wx' });
  } catch {
    throw new BadInput(`${folder} cannot be written to.`);
  }
  for (const file of files) out(`${join(folder, file.name)}\n`);
  const failing = examined.findings.filter((f) => f.finding.severity === 'fails' && f.acceptedFor === null);
  if (failing.length > 0) err(`mivet make: ${failing.length} finding(s) will fail; see report.json before cutting.\n`);
  return failing.length > 0 ? 1 : 0;
};

import { applyCommand } from '../src/document/apply.ts';
import { newProject } from '../src/document/new-project.ts';
import type { Project } from '../src/document/project.ts';
import { examineProject } from '../src/examine.ts';
import type { Command, Finding, FindingCode, ProofContext } from '../src/proof/finding.ts';
import { proof } from '../src/proof/proof.ts';
import type { Job } from '../src/wrap/job.ts';
import { testFonts } from './fonts.ts';

/** A project around a job, with a board large enough not to matter unless a test asks. */
export function projectOf(job: Job, boardId = 'backed'): Project {
  return { ...newProject('p', 'Test', job.blank, null, ''), ...job, boardId };
}

/** What findings are judged from. */
export function contextOf(project: Project): ProofContext {
  const examined = examineProject(project, testFonts);
  if (!examined.ok) throw new Error(examined.problem.code);
  const { wrap, doubts, sheet, batch } = examined;
  return { job: project, wrap, doubts, plan: sheet.plan, makes: batch };
}

/** Findings of one code. */
export const findingsOf = (project: Project, code: FindingCode): Finding[] =>
  proof(contextOf(project)).filter((f) => f.code === code);

/** The project after a finding's first (or nth) fix. */
export const fixed = (project: Project, finding: Finding, nth = 0): Project =>
  applyCommand(project, finding.fixes[nth] as Command);

import { planJob } from '../src/cut/job-sheet.ts';
import { applyCommand } from '../src/document/apply.ts';
import { newProject } from '../src/document/new-project.ts';
import type { Project } from '../src/document/project.ts';
import type { Command, Finding, FindingCode, ProofContext } from '../src/proof/finding.ts';
import { proof } from '../src/proof/proof.ts';
import { boardById } from '../src/sheet/board.ts';
import { deriveWrap } from '../src/wrap/derive.ts';
import type { Job } from '../src/wrap/job.ts';
import { testFonts } from './fonts.ts';

/** A project around a job, with a board large enough not to matter unless a test asks. */
export function projectOf(job: Job, boardId = 'backed'): Project {
  return { ...newProject('p', 'Test', job.blank, null, ''), ...job, boardId };
}

/** What findings are judged from. */
export function contextOf(project: Project): ProofContext {
  const derived = deriveWrap(project, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  const { wrap, doubts } = derived;
  return { job: project, wrap, doubts, plan: planJob(wrap.pieces, project.films, boardById(project.boardId)).plan };
}

/** Findings of one code. */
export const findingsOf = (project: Project, code: FindingCode): Finding[] =>
  proof(contextOf(project)).filter((f) => f.code === code);

/** The project after a finding's first (or nth) fix. */
export const fixed = (project: Project, finding: Finding, nth = 0): Project =>
  applyCommand(project, finding.fixes[nth] as Command);

import { STARTING_MATERIALS } from '../src/material/materials.ts';
import { expect } from 'vitest';
import type { ArtworkItem, Placement } from '../src/model/item.ts';
import type { Blank } from '../src/model/blank.ts';
import { describeFinding } from '../src/proof/words.ts';
import { makeJob } from './jobs.ts';
import { applyCommand } from '../src/document/commands/apply.ts';
import { newProject } from '../src/document/new-project.ts';
import type { Project } from '../src/model/project.ts';
import { examineProject } from '../src/pipeline.ts';
import type { Command } from '../src/model/command.ts';
import type { Finding, FindingCode, ProofContext, Severity } from '../src/proof/finding.ts';
import { proof } from '../src/proof/proof.ts';
import type { Limits } from '../src/proof/limits.ts';
import { USUAL_LIMITS } from '../src/proof/limits.ts';
import { supplyOf } from '../src/load/supply.ts';
import type { Job } from '../src/model/job.ts';
import { testFonts } from './fonts.ts';

/** A project around a job, with a board large enough not to matter unless a test asks. */
export function projectOf(job: Job, boardId = 'backed'): Project {
  return { ...newProject('p', 'Test', job.blank, null, ''), ...job, boardId };
}

/** What findings are judged from. */
export function contextOf(project: Project, limits = USUAL_LIMITS): ProofContext {
  const supply = supplyOf(project.carried?.stock ?? [], '2026-05-04');
  const examined = examineProject(project, testFonts, limits, supply);
  if (!examined.ok) throw new Error(examined.problem.code);
  const { wrap, doubts, sheet, stack, batch } = examined;
  const { plan, usage } = sheet;
  return {
    job: project,
    wrap,
    doubts,
    plan,
    usage,
    supply,
    stack,
    makes: batch,
    limits,
    looked: project.looked,
    materials: STARTING_MATERIALS,
  };
}

/** Findings of one code. */
export const findingsOf = (project: Project, code: FindingCode, limits: Partial<Limits> = {}): Finding[] =>
  proof(contextOf(project, { ...USUAL_LIMITS, ...limits })).filter((f) => f.code === code);

/** The project after a finding's first (or nth) fix. */
export const fixed = (project: Project, finding: Finding, nth = 0): Project =>
  applyCommand(project, finding.fixes[nth] as Command);

/** A placement in the middle of the front, but for what is said. */
export const at = (change: Partial<Placement>): Placement => ({
  facing: 'front',
  angleDeg: 0,
  from: 'middle',
  mm: 0,
  turnDeg: 0,
  ...change,
});

/** A project of some items on a blank. */
export const jobOf = (blank: Blank, ...items: ArtworkItem[]): Project => projectOf(makeJob(blank, items));

/** Fires, its fix clears it, and nothing is said just inside the limit. */
export function expectRule(code: FindingCode, severity: Severity, beyond: Project, inside: Project): void {
  const [finding] = findingsOf(beyond, code);
  expect(finding, `${code} should fire`).toMatchObject({ severity });
  const words = describeFinding(finding!, 'mm');
  expect(words.title.length).toBeGreaterThan(8);
  expect(`${words.title}${words.why}`).not.toMatch(/NaN|undefined|–/);
  expect(words.fixes).toHaveLength(finding!.fixes.length);
  expect(finding!.fixes.length, 'a fix').toBeGreaterThan(0);
  const bad = (p: Project): string[] =>
    findingsOf(p, code)
      .filter((f) => f.severity !== 'fine')
      .map((f) => f.case);
  expect(bad(fixed(beyond, finding!)), 'the fix clears it').toEqual([]);
  expect(bad(inside), 'just inside').toEqual([]);
}

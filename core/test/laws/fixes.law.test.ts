import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyCommand } from '../../src/document/commands/apply.ts';
import { keepable } from '../../src/document/keepable.ts';
import type { Project } from '../../src/model/project.ts';
import { examineProject, withTriedFixes } from '../../src/pipeline.ts';
import type { JudgedFinding } from '../../src/proof/judged.ts';
import { USUAL_LIMITS } from '../../src/proof/limits.ts';
import { supplyOf } from '../../src/load/supply.ts';
import { testFonts } from '../fonts.ts';
import { anyProject } from '../random.ts';

const BY = { fonts: testFonts, limits: USUAL_LIMITS, supply: supplyOf([], '2026-05-04') };

function found(project: Project): readonly JudgedFinding[] {
  const examined = examineProject(project, BY.fonts, BY.limits, BY.supply);
  if (!examined.ok) throw new Error(examined.problem.code);
  return examined.findings;
}

/** Findings by what they are, without how large they are. */
const byId = (findings: readonly JudgedFinding[]): Map<string, string> =>
  new Map(findings.map(({ finding }) => [finding.id, `${finding.severity} ${JSON.stringify(finding.numbers)}`]));

const failing = (findings: readonly JudgedFinding[]): string[] =>
  findings.filter(({ finding }) => finding.severity === 'fails').map(({ finding }) => finding.id);

describe('a fix that is offered', () => {
  it('makes nothing fail that did not before, changes what it is for, and can be kept', () => {
    let offered = 0;
    fc.assert(
      fc.property(anyProject, (project) => {
        const before = found(project);
        const was = failing(before);
        for (const { finding } of withTriedFixes(project, before, BY))
          for (const fix of finding.fixes) {
            offered += 1;
            const after = applyCommand(project, fix);
            expect(keepable(after, project).ok, `${finding.id} ${fix.do} can be kept`).toBe(true);
            const then = found(after);
            expect(failing(then).filter((id) => !was.includes(id)), `${finding.id} ${fix.do}`).toEqual([]);
            expect(byId(then).get(finding.id), `${finding.id} ${fix.do}`).not.toBe(byId(before).get(finding.id));
          }
      }),
      { numRuns: 8 },
    ); // prettier-ignore
    expect(offered).toBeGreaterThan(5);
  });
});

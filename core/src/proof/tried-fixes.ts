import type { FontBook } from '../artwork/font.ts';
import { applyCommand } from '../document/commands/apply.ts';
import { keepable } from '../document/keepable.ts';
import type { Project } from '../model/project.ts';
import { sameValue } from '../document/same-value.ts';
import type { Examined, JudgedFinding } from '../pipeline.ts';
import { examineSteps } from '../pipeline.ts';
import type { Command } from '../model/command.ts';
import type { Finding } from './finding.ts';
import { signatureOf } from './finding.ts';
import type { Limits } from './limits.ts';
import type { Supply } from '../model/stock.ts';

/** What a project is judged from, besides itself. */
export interface JudgedBy {
  readonly fonts: FontBook;
  readonly limits: Limits;
  readonly supply: Supply;
}

/**
 * Findings with those fixes that help: each is carried out on the side and judged. One that changes nothing, leaves what it
 * was for as it is, or makes something else fail is not offered.
 *
 * @param project as it was judged
 * @param findings of it
 * @param by what it was judged by
 * @returns the findings with what is left of their fixes; in between nothing, so that one may stop
 */
export function* triedFixes(
  project: Project,
  findings: readonly JudgedFinding[],
  { fonts, limits, supply }: JudgedBy,
): Generator<null, JudgedFinding[]> {
  const failing = new Set(findings.filter(isFailing).map(({ finding }) => finding.id));
  const known = new Map<string, readonly JudgedFinding[] | null>();
  function* after(fix: Command): Generator<null, readonly JudgedFinding[] | null> {
    const key = JSON.stringify(fix);
    const before = known.get(key);
    if (before !== undefined) return before;
    const changed = applyCommand(project, fix);
    let found: readonly JudgedFinding[] | null = null;
    if (!sameValue(changed, project) && keepable(changed, project).ok) {
      const steps = examineSteps(changed, fonts, limits, supply, {});
      let examined: Examined | null = null;
      while (!examined) {
        const step = steps.next();
        if (step.done) examined = step.value;
        else yield null;
      }
      found = examined.ok ? examined.findings : null;
    }
    known.set(key, found);
    return found;
  }
  const tried: JudgedFinding[] = [];
  for (const judged of findings) {
    const fixes: Command[] = [];
    for (const fix of judged.finding.fixes) {
      const then = yield* after(fix);
      if (then && helps(judged.finding, then, failing)) fixes.push(fix);
      yield null;
    }
    tried.push({ ...judged, finding: { ...judged.finding, fixes } });
  }
  return tried;
}

/** The same without a stop. */
export function withTriedFixes(project: Project, findings: readonly JudgedFinding[], by: JudgedBy): JudgedFinding[] {
  const steps = triedFixes(project, findings, by);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

const isFailing = ({ finding }: JudgedFinding): boolean => finding.severity === 'fails';

/** Whether what was found is gone or another by now, and nothing fails that did not before. */
function helps(finding: Finding, then: readonly JudgedFinding[], failing: ReadonlySet<string>): boolean {
  const still = then.find((one) => one.finding.id === finding.id)?.finding;
  if (still && (signatureOf(still) === signatureOf(finding) || isGraver(still, finding))) return false;
  return then.every((one) => !isFailing(one) || failing.has(one.finding.id));
}

const isGraver = (now: Finding, before: Finding): boolean => now.severity === 'fails' && before.severity !== 'fails';

import { applyCommand } from '../document/commands/apply.ts';
import { keepable } from '../document/keepable.ts';
import { sameValue } from '../document/same-value.ts';
import type { Command } from '../model/command.ts';
import type { Project } from '../model/project.ts';
import type { Finding } from './finding.ts';
import { signatureOf } from './finding.ts';
import type { JudgedFinding } from './judged.ts';

/** Judges a project from its readings to its loads, a part at a time; null when its blank cannot be flattened. */
type JudgeProject = (project: Project) => Generator<unknown, readonly JudgedFinding[] | null>;

/**
 * Findings with those fixes that help: each is carried out on the side and judged. One that changes nothing, leaves what it
 * was for as it is, or makes something else fail is not offered.
 *
 * @param project as it was judged
 * @param findings of it
 * @param judge judges a changed project as this one was judged
 * @returns the findings with what is left of their fixes; in between nothing, so that one may stop
 */
export function* tryFixes(
  project: Project,
  findings: readonly JudgedFinding[],
  judge: JudgeProject,
): Generator<unknown, JudgedFinding[]> {
  const failing = new Set(findings.filter(isFailing).map(({ finding }) => finding.id));
  const known = new Map<string, readonly JudgedFinding[] | null>();
  function* after(fix: Command): Generator<unknown, readonly JudgedFinding[] | null> {
    const key = JSON.stringify(fix);
    const before = known.get(key);
    if (before !== undefined) return before;
    const changed = applyCommand(project, fix);
    const found = !sameValue(changed, project) && keepable(changed, project).ok ? yield* judge(changed) : null;
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

const isFailing = ({ finding }: JudgedFinding): boolean => finding.severity === 'fails';

/** Whether what was found is gone or another by now, and nothing fails that did not before. */
function helps(finding: Finding, then: readonly JudgedFinding[], failing: ReadonlySet<string>): boolean {
  const still = then.find((one) => one.finding.id === finding.id)?.finding;
  if (still && (signatureOf(still) === signatureOf(finding) || isGraver(still, finding))) return false;
  return then.every((one) => !isFailing(one) || failing.has(one.finding.id));
}

const isGraver = (now: Finding, before: Finding): boolean => now.severity === 'fails' && before.severity !== 'fails';

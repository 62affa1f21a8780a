import type { Acceptance } from '../model/project.ts';
import type { Finding } from './finding.ts';
import { signatureOf } from './finding.ts';

/** A finding and the reason for which it was accepted, if it still holds. */
export interface JudgedFinding {
  readonly finding: Finding;
  readonly acceptedFor: string | null;
}

/** Findings with the reasons for which they were accepted; a reason lapses when the finding's numbers change. */
export const judgedBy = (findings: readonly Finding[], accepted: readonly Acceptance[]): JudgedFinding[] =>
  findings.map((finding) => {
    const match = accepted.find((a) => a.findingId === finding.id);
    return { finding, acceptedFor: match && match.signature === signatureOf(finding) ? match.reason : null };
  });

/** Findings that still want something done: not fine, and not accepted. */
export function openFindings(findings: readonly JudgedFinding[]): JudgedFinding[] {
  return findings.filter((f) => f.finding.severity !== 'fine' && f.acceptedFor === null);
}

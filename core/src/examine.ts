import type { FontBook } from './artwork/font.ts';
import type { BlankProblem } from './blank/size.ts';
import type { ReadingDoubt } from './blank/plausibility.ts';
import type { JobSheet } from './cut/job-sheet.ts';
import { planJob } from './cut/job-sheet.ts';
import type { Acceptance, Project } from './document/project.ts';
import type { Finding } from './proof/finding.ts';
import { signatureOf } from './proof/finding.ts';
import { proof } from './proof/proof.ts';
import { boardById } from './sheet/board.ts';
import type { Make } from './wrap/batch.ts';
import { batchPieces, makeBatch } from './wrap/batch.ts';
import type { Piece } from './wrap/pieces.ts';
import type { Wrap } from './wrap/derive.ts';
import { deriveWrap } from './wrap/derive.ts';

/** A finding and the reason for which it was accepted, if it still holds. */
export interface JudgedFinding {
  readonly finding: Finding;
  readonly acceptedFor: string | null;
}

/** A project worked through from readings to loads, with everything that was found. */
export type Examined =
  | {
      readonly ok: true;
      readonly wrap: Wrap;
      /** Everything on the list that it is made for, each with its pieces; empty without a list. */
      readonly batch: readonly Make[];
      /** Everything that is cut: the wrap, or the wraps of all names. */
      readonly cut: readonly Piece[];
      readonly sheet: JobSheet;
      readonly findings: readonly JudgedFinding[];
      readonly doubts: readonly ReadingDoubt[];
    }
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

/**
 * Runs the parts of the core in their order: derive, plan, judge.
 *
 * @param project the document
 * @param fonts the shipped fonts, loaded
 */
export function examineProject(project: Project, fonts: FontBook): Examined {
  const derived = deriveWrap(project, fonts);
  if (!derived.ok) return derived;
  const { wrap, doubts } = derived;
  const batch = project.names ? makeBatch(project, project.names, wrap, fonts) : [];
  const cut = batch.length > 0 ? batchPieces(batch) : wrap.pieces;
  const sheet = planJob(cut, project.films, boardById(project.boardId));
  const findings = proof({ job: project, wrap, doubts, plan: sheet.plan, makes: batch }).map((finding) => ({
    finding,
    acceptedFor: acceptedFor(finding, project.accepted),
  }));
  return { ok: true, wrap, batch, cut, sheet, findings, doubts };
}

function acceptedFor(finding: Finding, accepted: readonly Acceptance[]): string | null {
  const match = accepted.find((a) => a.findingId === finding.id);
  return match && match.signature === signatureOf(finding) ? match.reason : null;
}

/** Findings that still want something done: not fine, and not accepted. */
export function openFindings(findings: readonly JudgedFinding[]): JudgedFinding[] {
  return findings.filter((f) => f.finding.severity !== 'fine' && f.acceptedFor === null);
}

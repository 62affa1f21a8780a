import type { FontBook } from './artwork/font.ts';
import type { BlankProblem } from './measure/size.ts';
import type { ReadingDoubt } from './measure/plausibility.ts';
import type { CuttablePiece } from './pieces/cuttable.ts';
import type { JobSheet } from './load/job-sheet.ts';
import { planJob } from './load/job-sheet.ts';
import type { Acceptance, Project } from './model/project.ts';
import type { Finding } from './proof/finding.ts';
import type { Limits } from './proof/limits.ts';
import { USUAL_LIMITS } from './proof/limits.ts';
import { signatureOf } from './proof/finding.ts';
import { proof } from './proof/proof.ts';
import { boardById } from './load/boards.ts';
import type { Supply } from './model/stock.ts';
import { NO_STOCK } from './load/supply.ts';
import type { StackReport } from './stack/report.ts';
import { lineUp } from './stack/registration/line-up.ts';
import { reportStack } from './stack/report-stack.ts';
import type { Make } from './pieces/batch.ts';
import { batchPieces, makeBatch } from './pieces/batch.ts';
import type { Derived, Wrap } from './pieces/wrap.ts';
import { deriveWrap } from './pieces/wrap.ts';

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
      /** Everything that is cut: the wrap, or the wraps of all names; and registration marks. */
      readonly cut: readonly CuttablePiece[];
      readonly sheet: JobSheet;
      readonly stack: StackReport;
      readonly findings: readonly JudgedFinding[];
      readonly doubts: readonly ReadingDoubt[];
    }
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

/** What was worked out before, by what it was worked out from; kept by whoever examines the same project again and again. */
export interface ExamineMemory {
  derived?: Kept<Derived>;
  batch?: Kept<readonly Make[]>;
  sheet?: Kept<{ readonly cut: readonly CuttablePiece[]; readonly sheet: JobSheet; readonly stack: StackReport }>;
  found?: Kept<readonly Finding[]>;
}

interface Kept<T> {
  readonly from: string;
  readonly value: T;
}

/**
 * Runs the parts of the core in their order: derive, plan, judge.
 *
 * @param project the document
 * @param fonts the shipped fonts, loaded
 * @param limits that it is judged by
 * @param supply what lies on the shelf
 * @param memory of the last time, when there was one: what has not changed is not worked out again
 */
export function examineProject(
  project: Project,
  fonts: FontBook,
  limits: Limits = USUAL_LIMITS,
  supply: Supply = NO_STOCK,
  memory: ExamineMemory = {},
): Examined {
  const steps = examineSteps(project, fonts, limits, supply, memory);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/**
 * The same a part at a time, so that one may stop in between; what has not changed since the last time is not worked out
 * again.
 *
 * @param memory of the last time, brought up to date on the way
 * @returns the wrap first, as soon as it is there; then nothing new until the end
 */
export function* examineSteps(
  project: Project,
  fonts: FontBook,
  limits: Limits,
  supply: Supply,
  memory: ExamineMemory,
): Generator<Extract<Derived, { ok: true }> | null, Examined> {
  const { blank, items, films, hand, warm, seam, stack: built, names, otherBlanks, boardId, laid, process } = project;
  const from = JSON.stringify([blank, items, films, hand, warm, seam, built, Object.keys(fonts)]);
  const derived = (memory.derived = kept(memory.derived, from, () => deriveWrap(project, fonts))).value;
  if (!derived.ok) return derived;
  yield derived;
  const { wrap, doubts } = derived;
  const batchFrom = `${from}${JSON.stringify([names, otherBlanks])}`;
  const batch = (memory.batch = kept(memory.batch, batchFrom, () =>
    names ? makeBatch(project, names, wrap, fonts) : [],
  )).value;
  yield null;
  const sheetFrom = `${batchFrom}${boardId}${JSON.stringify([laid, supply])}`;
  const { cut, sheet, stack } = (memory.sheet = kept(memory.sheet, sheetFrom, () => {
    const pieces = batch.length > 0 ? batchPieces(batch) : wrap.pieces;
    const board = boardById(
      boardId,
      supply.cutters.map(({ board: own, onBoard }) => ({ ...own, alone: !onBoard })),
    );
    const lined = lineUp(project, wrap, pieces);
    const all = [...pieces, ...lined.marks];
    const planned = planJob(all, films, board, supply, laid);
    return { cut: all, sheet: planned, stack: reportStack(project, { wrap, cut: all, sheet: planned }, lined, supply) };
  })).value;
  yield null;
  const foundFrom = `${sheetFrom}${JSON.stringify([process, limits])}`;
  const found = (memory.found = kept(memory.found, foundFrom, () =>
    proof({
      job: project,
      wrap,
      doubts,
      plan: sheet.plan,
      takings: sheet.takings,
      supply,
      stack,
      makes: batch,
      limits,
    }),
  )).value;
  const findings = found.map((finding) => ({ finding, acceptedFor: acceptedFor(finding, project.accepted) }));
  return { ok: true, wrap, batch, cut, sheet, stack, findings, doubts };
}

/** What is kept, as long as it was made from the same; else made anew. */
const kept = <T>(before: Kept<T> | undefined, from: string, make: () => T): Kept<T> =>
  before?.from === from ? before : { from, value: make() };

function acceptedFor(finding: Finding, accepted: readonly Acceptance[]): string | null {
  const match = accepted.find((a) => a.findingId === finding.id);
  return match && match.signature === signatureOf(finding) ? match.reason : null;
}

/** Findings that still want something done: not fine, and not accepted. */
export function openFindings(findings: readonly JudgedFinding[]): JudgedFinding[] {
  return findings.filter((f) => f.finding.severity !== 'fine' && f.acceptedFor === null);
}

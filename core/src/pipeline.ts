import type { Units } from './measure/length.ts';
import type { Materials } from './material/materials.ts';
import { STARTING_MATERIALS } from './material/materials.ts';
import type { FontBook } from './artwork/font.ts';
import type { BenchStep } from './bench/step.ts';
import { type Thing, thingsOf } from './bench/job-facts.ts';
import { benchSteps } from './bench/steps.ts';
import { boardById } from './load/boards.ts';
import type { JobSheet } from './load/job-sheet.ts';
import { planJob } from './load/job-sheet.ts';
import { marksCost } from './load/marks-cost.ts';
import { NO_STOCK } from './load/supply.ts';
import type { Measured } from './measure/measured.ts';
import { measureBlank } from './measure/measured.ts';
import { airUnder } from './bench/rules/seen-laid.ts';
import { seenOf } from './film/of-piece.ts';
import type { ReadingDoubt } from './measure/doubts.ts';
import type { BlankProblem } from './measure/size.ts';
import type { Habits } from './model/habits.ts';
import type { LookedTent } from './model/looked.ts';
import type { Project } from './model/project.ts';
import type { Supply } from './model/stock.ts';
import type { Make } from './pieces/batch.ts';
import { batchByWrap, batchPieces, makeBatch, shownWrap } from './pieces/batch.ts';
import type { CuttablePiece } from './pieces/cuttable.ts';
import type { Piece } from './pieces/pieces.ts';
import type { LaidFilms, Wrap } from './pieces/wrap.ts';
import { cutOut, layOutFilms } from './pieces/wrap.ts';
import type { Finding } from './proof/finding.ts';
import type { JudgedFinding } from './proof/judged.ts';
import { judgedBy } from './proof/judged.ts';
import type { Limits } from './proof/limits.ts';
import { USUAL_LIMITS } from './proof/limits.ts';
import { proof } from './proof/proof.ts';
import { tryFixes } from './proof/tried-fixes.ts';
import type { LinedUp } from './stack/registration/line-up.ts';
import { lineUp } from './stack/registration/line-up.ts';
import type { MarksCost, StackReport, StacksOfMakes } from './stack/report.ts';
import { NOT_COSTED } from './stack/report.ts';
import { reportStack } from './stack/report-stack.ts';

/** What a project is judged from, besides itself. */
export interface JudgedBy {
  readonly fonts: FontBook;
  readonly limits: Limits;
  readonly supply: Supply;
  /** What is known of film, tape and surfaces; left out, the starting values. */
  readonly materials?: Materials;
}

/** Everything that the stages work from. */
export interface StageInput extends JudgedBy {
  readonly project: Project;
  /** Unit of the words at the bench. */
  readonly unit: Units;
  /** How the person works; left out, as everybody begins. */
  readonly habits?: Habits;
}

/** A piece that was laid by computation, and where it stands off enough to catch air. */
export interface PieceAir {
  readonly piece: Piece;
  readonly tents: readonly LookedTent[];
}

/** What each stage makes, by its name. */
interface StageResults {
  readonly measure: Measured;
  readonly layout: LaidFilms;
  readonly pieces: Wrap;
  /** Everything on the list that the project is made for, each with its pieces; empty without a list. */
  readonly batch: readonly Make[];
  /** Everything that is cut: the wrap, or the wraps of all names; and registration marks. */
  readonly stack: { readonly each: ReadonlyMap<Wrap, LinedUp>; readonly cut: readonly CuttablePiece[] };
  readonly load: { readonly sheet: JobSheet; readonly stack: StackReport; readonly stacks: StacksOfMakes };
  readonly proof: readonly Finding[];
  readonly bench: {
    readonly steps: readonly BenchStep[];
    readonly things: readonly Thing[];
    readonly air: readonly PieceAir[];
  };
}

/** Name of a stage. */
export type StageName = keyof StageResults;

/** What stages have made so far; a stage reads only what lies before it. */
type Done = { -readonly [K in StageName]: StageResults[K] };

/** One stage of the work. */
interface Stage<K extends StageName = StageName> {
  readonly name: K;
  /** What of the input it depends on, besides what the stages before it depend on. */
  readonly key: (input: StageInput) => unknown;
  readonly run: (input: StageInput, done: Done) => StageResults[K];
}

const stage = <K extends StageName>(name: K, key: Stage<K>['key'], run: Stage<K>['run']): Stage<K> => ({
  name,
  key,
  run,
});

/** Sizes that may be used: after the first stage the others run only where there are some. */
const measured = ({ measure }: Done): Extract<Measured, { ok: true }> => {
  if (!measure.ok) throw new Error(`expected a blank that can be flattened, got ${measure.problem.code}`);
  return measure;
};

/** The stages in the order of the work; a new one is one line. */
const STAGES = [
  stage(
    'measure',
    ({ project: { blank } }) => blank,
    ({ project: { blank } }) => measureBlank(blank),
  ),
  stage(
    'layout',
    ({ project: { items, films, hand, warm, seam, stack }, fonts, materials }) => [
      [items, films, hand, warm, seam.lapMm, stack],
      Object.keys(fonts),
      materials,
    ],
    ({ project, fonts, materials = STARTING_MATERIALS }, done) =>
      layOutFilms(project, measured(done), fonts, materials),
  ),
  stage(
    'pieces',
    ({ project: { seam } }) => seam,
    ({ project, materials = STARTING_MATERIALS }, done) => cutOut(project, measured(done), done.layout, materials),
  ),
  stage(
    'batch',
    ({ project: { names, otherBlanks, rowDrawings } }) => [names, otherBlanks, rowDrawings],
    ({ project, fonts, materials }, { measure: { doubts }, pieces: wrap }) =>
      project.names ? makeBatch(project, project.names, { wrap, doubts }, fonts, materials) : [],
  ),
  stage(
    'stack',
    () => null,
    ({ project }, { pieces: wrap, batch }) => {
      const pieces = batch.length > 0 ? batchPieces(batch) : wrap.pieces;
      // Whatever is made with other films, or on another blank, is lined up by itself.
      const alike = batch.length > 0 ? [...batchByWrap(batch)] : [[wrap, wrap.pieces] as const];
      const each = new Map(alike.map(([one, own]) => [one, lineUp(project, one, own)]));
      return { each, cut: [...pieces, ...[...each.values()].flatMap(({ marks }) => marks)] };
    },
  ),
  stage(
    'load',
    ({ project: { boardId, laid }, supply }) => [boardId, laid, supply],
    ({ project, supply }, { pieces: wrapAsDrawn, batch, stack: { each, cut } }) => {
      const own = supply.cutters.map(({ board, onBoard }) => ({ ...board, alone: !onBoard }));
      const sheet = planJob(cut, project.films, boardById(project.boardId, own), supply, project.laid);
      const report = (wrap: Wrap, cost?: MarksCost): StackReport => {
        const lined = each.get(wrap) ?? lineUp(project, wrap, []);
        return reportStack(project.films, wrap, lined, cost ?? marksCost(project, { wrap, cut, sheet }, supply, lined.support)); // prettier-ignore
      };
      const shown = shownWrap(wrapAsDrawn, batch);
      const others = [...each.keys()].filter((wrap) => wrap !== shown);
      const stacks = new Map(others.map((wrap) => [wrap, report(wrap, NOT_COSTED)]));
      return { sheet, stack: report(shown), stacks };
    },
  ),
  stage(
    'proof',
    ({ project: { process, looked }, limits }) => [process, looked, limits],
    (
      { project, limits, supply, materials = STARTING_MATERIALS },
      { measure, pieces, batch, load: { sheet, stack, stacks } },
    ) =>
      proof({
        job: project,
        wrap: pieces,
        doubts: measure.doubts,
        plan: sheet.plan,
        usage: sheet.usage,
        supply,
        stack,
        stacks,
        makes: batch,
        limits,
        looked: project.looked,
        materials,
      }),
  ),
  stage(
    'bench',
    ({ unit, habits, materials, limits, project: { planning, looked } }) => [unit, habits, materials, planning.skipSeal, looked, limits.tentPresses], // prettier-ignore
    ({ project, unit, materials, limits, habits: usual, supply }, { pieces, batch, stack: { each }, load }) => {
      // A coat that was left out for want of time is not in the guide either.
      const habits = project.planning.skipSeal && usual?.washing === 'sealed' ? { ...usual, washing: 'by hand' as const } : usual; // prettier-ignore
      const aims = [...each.values()].flatMap((lined) => lined.aims);
      const marked = new Set(aims.filter((aim) => aim.marked).map(({ layer }) => layer));
      const steps = benchSteps({ job: project, wrap: pieces, sheet: load.sheet, unit, makes: batch, marked, supply, looked: project.looked, tentPresses: limits.tentPresses, ...(materials ? { materials } : {}), ...(habits ? { habits } : {}) }); // prettier-ignore
      const air = pieces.pieces.flatMap((piece): PieceAir[] => {
        const seen = seenOf(
          project,
          pieces,
          materials ?? STARTING_MATERIALS,
          limits.tentPresses,
          project.looked,
          piece,
        );
        return seen ? [{ piece, tents: airUnder(seen.look, limits.tentPresses) }] : [];
      });
      return { steps, things: thingsOf(batch), air };
    },
  ),
] as const;

/** Names of the stages, in order. */
export const STAGE_NAMES: readonly StageName[] = STAGES.map(({ name }) => name);

/** Results of the last run of each stage with their keys; held by callers that run the same project repeatedly. */
export type StageMemo = Map<StageName, { readonly from: string; readonly made: StageResults[StageName] }>;

/** A project worked through from readings to the bench, with everything that was found. */
export type Examined =
  | {
      readonly ok: true;
      readonly wrap: Wrap;
      readonly batch: StageResults['batch'];
      readonly cut: StageResults['stack']['cut'];
      readonly sheet: JobSheet;
      readonly stack: StackReport;
      readonly findings: readonly JudgedFinding[];
      readonly steps: readonly BenchStep[];
      /** Everything that is made, one by one. */
      readonly things: readonly Thing[];
      /** Where air is to be expected under pieces that were laid by computation. */
      readonly air: readonly PieceAir[];
      readonly doubts: readonly ReadingDoubt[];
    }
  | { readonly ok: false; readonly problem: BlankProblem; readonly doubts: readonly ReadingDoubt[] };

/** Told after each stage. */
export interface StageNews {
  readonly stage: StageName;
  /** Share of the stages that are done. */
  readonly share: number;
  /** The wrap and the doubts about its readings, as soon as it is there. */
  readonly shape: { readonly wrap: Wrap; readonly doubts: readonly ReadingDoubt[] } | null;
}

/**
 * Works a project through, a stage at a time, so that one may stop in between; a stage whose input has not changed since
 * the last time is not run again.
 *
 * @param memo of the last time, brought up to date on the way
 */
export function* examineStages(input: StageInput, memo: StageMemo = new Map()): Generator<StageNews, Examined> {
  const done = {} as Done;
  let from = '';
  for (const [i, one] of STAGES.entries()) {
    from += `${JSON.stringify(one.key(input))}|`;
    const before = memo.get(one.name);
    const made = before?.from === from ? before.made : one.run(input, done);
    memo.set(one.name, { from, made });
    (done as { [name in StageName]: StageResults[StageName] })[one.name] = made;
    if (!done.measure.ok) return done.measure;
    const shape = i < STAGE_NAMES.indexOf('pieces') ? null : { wrap: done.pieces, doubts: done.measure.doubts };
    yield { stage: one.name, share: (i + 1) / STAGES.length, shape };
  }
  const {
    pieces: wrap,
    batch,
    stack: { cut },
    load,
    proof: found,
    bench: { steps, things, air },
    measure,
  } = done;
  const findings = judgedBy(found, input.project.accepted);
  return { ok: true, wrap, batch, cut, sheet: load.sheet, stack: load.stack, findings, steps, things, air, doubts: measure.doubts }; // prettier-ignore
}

/**
 * The same in one.
 *
 * @param project the document
 * @param fonts the shipped fonts, loaded
 * @param limits that it is judged by
 * @param supply what lies on the shelf
 * @param memo of the last time, when there was one
 * @param unit of the words at the bench
 * @param habits how the person works
 * @param materials what is known of film, tape, surfaces and hands; left out, as everybody begins
 */
export function examineProject(
  project: Project,
  fonts: FontBook,
  limits: Limits = USUAL_LIMITS,
  supply: Supply = NO_STOCK,
  memo: StageMemo = new Map(),
  unit: Units = 'mm',
  habits?: Habits,
  materials?: Materials,
): Examined {
  return toTheEnd(
    examineStages(
      { project, fonts, limits, supply, unit, ...(habits ? { habits } : {}), ...(materials ? { materials } : {}) },
      memo,
    ),
  );
}

/**
 * Findings with those fixes that help: each is carried out on the side and judged by everything again.
 *
 * @param project as it was judged
 * @param findings of it
 * @param by what it was judged by
 * @returns the findings with what is left of their fixes; in between nothing, so that one may stop
 */
export const triedFixes = (
  project: Project,
  findings: readonly JudgedFinding[],
  by: JudgedBy,
): Generator<unknown, JudgedFinding[]> =>
  tryFixes(project, findings, function* (changed) {
    const examined = yield* examineStages({ ...by, project: changed, unit: 'mm' });
    return examined.ok ? examined.findings : null;
  });

/** The same without a stop. */
export const withTriedFixes = (project: Project, findings: readonly JudgedFinding[], by: JudgedBy): JudgedFinding[] =>
  toTheEnd(triedFixes(project, findings, by));

function toTheEnd<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

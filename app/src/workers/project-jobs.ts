import type { Examined, Project, StageMemo, Units } from '@mivet/core';
import {
  betterLoads,
  blocksOf,
  deriveWrap,
  describeBlankProblem,
  describeLeftOut,
  examineProject,
  examineStages,
  judgedShape,
  lightened,
  habitsWith,
  stepPictures,
  limitsWith,
  type OwnHabits,
  marksCost,
  NO_STOCK,
  planJob,
  seenViewModel,
  shapeViewModel,
  stripViewModels,
  batchUsage,
  triedFixes,
} from '@mivet/core';
import { type Call, inTurns } from './call.ts';
import { fontsOf } from './fonts.ts';
import { materialsOf } from './learnt.ts';
import type { CoreAnswer, CoreJobs, OwnLearnt } from './protocol.ts';

/** How a person works, and what was learnt of it. */
interface OwnWays {
  readonly habits?: OwnHabits | undefined;
  readonly learnt?: OwnLearnt | undefined;
}

type Input<K extends keyof CoreJobs> = CoreJobs[K]['input'];
type Answer<K extends keyof CoreJobs> = Promise<CoreAnswer<K>>;
type Good = Extract<Examined, { ok: true }>;

/** Memo of the stages of the project examined last; other jobs on the same project reuse it. */
export class LastProject {
  #id = '';
  #memo: StageMemo = new Map();

  /** The memo of a project; empty unless it is the last one. */
  of({ id }: Pick<Project, 'id'>): StageMemo {
    return this.#id === id ? this.#memo : new Map();
  }

  /** Makes a project the last one, dropping the memo of another. */
  open(project: Pick<Project, 'id'>): StageMemo {
    if (this.#id !== project.id) [this.#id, this.#memo] = [project.id, new Map()];
    return this.#memo;
  }
}

/** Examines a project in one go, reusing what the last examination made. */
export async function examined(
  { project, limits, supply, habits, learnt }: Input<'fixes'> & OwnWays,
  last: LastProject,
  unit: Units = 'mm',
): Promise<Examined> {
  const fonts = await fontsOf(project.items);
  return examineProject(
    project,
    fonts,
    limitsWith(limits),
    supply,
    last.of(project),
    unit,
    habitsWith(habits),
    materialsOf(learnt),
  );
}

/**
 * The same, of a blank that has to be one that can be flattened.
 *
 * @throws in words when it is not
 */
export async function examinedWell(
  input: Input<'fixes'> & OwnWays,
  last: LastProject,
  unit: Units = 'mm',
): Promise<Good> {
  const made = await examined(input, last, unit);
  if (!made.ok) throw new Error(describeBlankProblem(made.problem, unit));
  return made;
}

/** Examines a project: sends its shape as soon as it is there, and can be cancelled between stages. */
export async function examine(input: Input<'examine'>, call: Call, last: LastProject): Answer<'examine'> {
  const { project, unit, limits, supply, options, unjudged, habits, learnt } = input;
  if (unjudged) return examineLightly(input, call);
  const fonts = await fontsOf(project.items);
  const stages = examineStages({ project, fonts, limits: limitsWith(limits), supply, unit, habits: habitsWith(habits), materials: materialsOf(learnt) }, last.open(project)); // prettier-ignore
  const made = await inTurns(stages, call, ({ stage, shape }) => {
    if (stage === 'pieces' && shape) call.part(shapeViewModel(project, shape));
  });
  if (!made.ok) return made;
  const judged = judgedShape(project, made, options, supply);
  // Fixes are tried out before they are offered.
  const findings = judged.findings.map((one) => (one.finding.fixes.length === 0 ? one : { ...one, trying: true }));
  return { ok: true, ...judged, findings };
}

/** The shape of a project that is too heavy to be judged, without what makes it so; nothing is said of it beyond that. */
async function examineLightly(
  { project, unit, limits, learnt, supply }: Input<'examine'>,
  call: Call,
): Answer<'examine'> {
  const { project: lighter, leftOut } = lightened(project);
  const fonts = await fontsOf(project.items);
  const derived = deriveWrap(lighter, fonts, materialsOf(learnt));
  if (!derived.ok) return derived;
  call.part(shapeViewModel(lighter, derived));
  const bare = { ...project, items: [], names: null, laid: [] };
  const made = examineProject(bare, fonts, limitsWith(limits), supply, new Map(), unit);
  if (!made.ok) return made;
  const nothing = { findings: [], steps: [], unjudged: describeLeftOut(leftOut) };
  return { ok: true, ...judgedShape(bare, made, undefined, supply), ...nothing };
}

/** Pictures of a step, drawn when it is looked at. */
export async function stepPicturesOf(
  { stepId, thingId, unit, ...input }: Input<'stepPictures'>,
  _: Call,
  last: LastProject,
): Answer<'stepPictures'> {
  const made = await examinedWell(input, last, unit);
  const step = made.steps.find(({ id }) => id === stepId);
  const thing = made.things.find(({ id }) => id === thingId) ?? null;
  return step ? stepPictures(step, thing, { project: input.project, examined: made, unit, habits: habitsWith(input.habits) }) : []; // prettier-ignore
}

/** Tries every fix before it is offered; can be cancelled between tries. */
export async function fixes(input: Input<'fixes'>, call: Call, last: LastProject): Answer<'fixes'> {
  const made = await examined(input, last);
  if (!made.ok) return [];
  const { project, limits, learnt, supply } = input;
  const by = {
    fonts: await fontsOf(project.items),
    limits: limitsWith(limits),
    supply,
    materials: materialsOf(learnt),
  };
  return inTurns(triedFixes(project, made.findings, by), call);
}

/** The same wrap from some side, without judging it. */
export async function seen(
  { project, azimuth, limits, learnt }: Input<'seen'>,
  _: Call,
  last: LastProject,
): Answer<'seen'> {
  const by = { fonts: await fontsOf(project.items), limits: limitsWith(limits), supply: NO_STOCK };
  for (const { shape } of examineStages(
    { project, ...by, unit: 'mm', materials: materialsOf(learnt) },
    last.of(project),
  ))
    if (shape) return seenViewModel(project, shape.wrap, azimuth, by.limits);
  return null;
}

/** What marks on each layer cost, or would cost; null when they do not fit on its board. */
export async function marks(input: Input<'marks'>, _: Call, last: LastProject): Answer<'marks'> {
  const made = await examined(input, last);
  if (!made.ok) return [];
  const cost = marksCost(input.project, made, input.supply);
  return made.stack.layers.map(({ layer, marksMm2 }) => ({ layer, mm2: marksMm2 ?? cost.of(layer) }));
}

/** What batches take, plan by plan. */
export async function batch(input: Input<'batch'>, _: Call, last: LastProject): Answer<'batch'> {
  const made = await examined(input, last);
  if (!made.ok) return [];
  return input.times.map((times) => {
    const { sheet, tapeMm2 } = batchUsage(input.project, made.cut, made.sheet, input.supply, times);
    return { times, films: sheet.usage.films, tapeMm2, loads: sheet.plan.loads.length };
  });
}

/** ms of work between two checks for cancellation. */
const LOOK_MS = 60;

/** Improves the plan of the loads, reporting each better one, until it is cancelled. */
export async function closer(input: Input<'closer'>, call: Call, last: LastProject): Answer<'closer'> {
  const { project, supply, options, seed } = input;
  const { cut, sheet } = await examinedWell(input, last);
  const { films, laid } = project;
  let tries = 0;
  const plans = betterLoads(blocksOf(cut, films, supply), sheet.plan.board, supply, laid, seed);
  const onPlan = (step: { readonly kept: typeof laid } | null): void => {
    tries++;
    if (!step) return;
    const better = planJob(cut, films, sheet.plan.board, supply, step.kept);
    call.part({
      sheet: better,
      strips: stripViewModels(cut, better, project.films, options, supply),
      kept: step.kept,
      tries,
    });
  };
  await inTurns(plans, call, onPlan, LOOK_MS);
  return null;
}

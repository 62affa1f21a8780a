import { layerOf } from '../layers/layer.ts';
import { inOrder } from './engine.ts';
import type { GuideInput, JobFacts } from './job-facts.ts';
import { factsOf } from './job-facts.ts';
import { cleanSteps, layOutSteps, markSteps, prepareSteps } from './rules/blank.ts';
import { cutterSteps } from './rules/cutter.ts';
import { slitSteps, stackSteps, tapeSteps, weedSteps } from './rules/film.ts';
import { finishSteps, maskSteps, sealSteps, warmSteps, wrapUpSteps } from './rules/finish.ts';
import { figureSteps, laySteps, leftOffSteps } from './rules/lay.ts';
import type { BenchStep, StepDraft, StepKind } from './step.ts';

/** Every rule, in the order in which its steps are told where nothing else asks for another; a new one is one line. */
const RULES: readonly ((facts: JobFacts) => readonly StepDraft[])[] = [
  prepareSteps,
  layOutSteps,
  cutterSteps,
  weedSteps,
  tapeSteps,
  stackSteps,
  slitSteps,
  cleanSteps,
  markSteps,
  laySteps,
  figureSteps,
  leftOffSteps,
  warmSteps,
  maskSteps,
  sealSteps,
  finishSteps,
  wrapUpSteps,
];

/** What is done on one thing after the other. */
const ON_EACH: ReadonlySet<StepKind> = new Set([
  'prepare', 'weed', 'tape', 'slit', 'stack', 'squares-off', 'clean', 'mark', 'aim', 'lay', 'seam', 'tape-off',
  'cover-rest', 'strip', 'etch', 'blast', 'paint', 'peel', 'wash', 'seal', 'cure',
]); // prettier-ignore

/**
 * The steps for this job only, in order. Of a list, everything is counted for all that is made.
 *
 * @throws RangeError when its rules wait for each other in a circle
 */
export function benchSteps(input: GuideInput): BenchStep[] {
  const facts = factsOf(input);
  if (facts.works.length === 0) return [];
  return inOrder(RULES.flatMap((rule) => rule(facts)).map((draft) => onThings(draft, facts)));
}

/** A step with the things that it is done on, where there are several: those that have some of its film. */
function onThings(draft: StepDraft, { things, made, rows }: JobFacts): StepDraft {
  if (draft.things || things.length < 2 || !ON_EACH.has(draft.kind)) return draft;
  const { layer } = draft;
  const has = new Set(rows.filter((_, i) => !layer || made[i]!.pieces.some((piece) => layerOf(piece) === layer)));
  return { ...draft, things: things.filter(({ row }) => row !== null && has.has(row)).map(({ id }) => id) };
}

/** A wait in words: minutes under two hours, hours above. */
export function waitText(minutes: number): string {
  return minutes < 120 ? `${minutes} min` : `${Math.round(minutes / 60)} h`;
}

import type { JobSheet } from '../load/job-sheet.ts';
import type { Units } from '../measure/length.ts';
import type { Film } from '../model/film.ts';
import { CAUTIONS } from './cautions.ts';
import { inOrder } from './engine.ts';
import type { JobFacts } from './job-facts.ts';
import { cutterSteps } from './rules/cutter.ts';
import type { BenchStep, StepKind } from './step.ts';

/** A project with its own guide. */
export interface GuidedProject {
  readonly id: string;
  readonly name: string;
  readonly steps: readonly BenchStep[];
}

/** What a step of a common guide stands for in one project. */
export interface GuideShare {
  readonly projectId: string;
  readonly project: string;
  readonly stepId: string;
}

/** One thing to do for several projects, or for one of them. */
export interface GuideStep extends BenchStep {
  readonly of: readonly GuideShare[];
}

/** How several projects are cut as one. */
export interface CommonLoads {
  readonly films: readonly Film[];
  readonly sheet: JobSheet;
  readonly unit: Units;
  /** What was noted with films. */
  readonly settings?: JobFacts['settings'];
}

/** What each project's own guide says of loads of its own, which are not cut here. */
const OWN_LOADS: readonly StepKind[] = ['cover-sheet', 'place-film', 'test-cut', 'unload', 'trim'];

/** What is done for all in one go: film by film, then each, and what only waits at the end. */
const stageOf = ({ id, handsMinutes }: BenchStep): 'weed' | 'each' | 'wait' =>
  id.startsWith('weed:') ? 'weed' : handsMinutes === 0 ? 'wait' : 'each';

/**
 * One guide for several projects that are cut together: what lies on the same strip is weeded in one go, film by film; then
 * each is put together and laid, those that wait longest first; at last all waits at once.
 *
 * @param projects with their own steps, in the order in which they were chosen
 * @param loads that they are cut in; left out, nothing is said of the cutter
 */
export function guideTogether(projects: readonly GuidedProject[], loads: CommonLoads | null = null): GuideStep[] {
  const waitOf = ({ steps }: GuidedProject): number => steps.reduce((sum, step) => sum + step.waitMinutes, 0);
  const inTurn = [...projects].sort((a, b) => waitOf(b) - waitOf(a));
  const all = inTurn.flatMap(({ id, name, steps }) =>
    steps
      .filter(({ kind }) => !OWN_LOADS.includes(kind))
      .map((step) => ({ step, share: { projectId: id, project: name, stepId: step.id } })),
  );
  const groups = new Map<string, { step: BenchStep; share: GuideShare }[]>();
  for (const stage of ['weed', 'each', 'wait'] as const)
    for (const one of all) {
      if (stageOf(one.step) !== stage) continue;
      const { step, share } = one;
      // Weeding is one thing for each film; waits that say the same are one; everything else is its project's own.
      const what = stage === 'weed' ? layerOfStep(step.id) : stage === 'wait' ? `${step.id} ${step.waitMinutes}` : `${share.projectId} ${step.id}`; // prettier-ignore
      const key = `${stage} ${what}`;
      groups.set(key, [...(groups.get(key) ?? []), one]);
    }
  const cutting = loads
    ? inOrder(cutterSteps({ job: loads, sheet: loads.sheet, unit: loads.unit, settings: loads.settings ?? new Map() }))
    : [];
  const common = cutting.map((step): GuideStep => ({
    ...step,
    id: `common ${step.id}`,
    of: projects.map(({ id, name }) => ({ projectId: id, project: name, stepId: `together/${step.id}` })),
  }));
  const own = [...groups].map(([key, own]): GuideStep => {
    const { step } = own[0]!;
    const of = own.map(({ share }) => share);
    const names = new Intl.ListFormat('en-GB').format([...new Set(of.map(({ project }) => project))]);
    const hands = own.reduce((sum, one) => sum + one.step.handsMinutes, 0);
    if (own.length === 1) return { ...step, title: `${names}: ${lowerFirst(step.title)}`, of };
    const said = (text: (step: BenchStep) => string): string =>
      own.map((one) => `${one.share.project}: ${text(one.step)}`).join('\n');
    return {
      ...step,
      id: key,
      title: stageOf(step) === 'weed' ? `${step.title.split(':')[0]}: ${names}` : `${step.title}: ${names}`,
      body: new Set(own.map((one) => one.step.body)).size === 1 && stageOf(step) === 'wait' ? step.body : said((one) => `${afterColon(one)}${one.body}`), // prettier-ignore
      handsMinutes: hands,
      waitMinutes: Math.max(...own.map((one) => one.step.waitMinutes)),
      of,
    };
  });
  // Laid out for all first, then cut, then weeded.
  const first = own.filter(({ kind }) => kind === 'lay-out' || kind === 'prepare');
  const told = new Set<string>();
  return [...first, ...common, ...own.filter((step) => !first.includes(step))].map((step) => {
    // What one project's steps tell is told for all.
    const cautions = step.cautions.filter((code) => !told.has(code));
    cautions.forEach((code) => told.add(code));
    return { ...step, cautions, caution: cautions.map((code) => CAUTIONS[code]).join(' ') || null };
  });
}

/** The layer of a weeding step. */
const layerOfStep = (id: string): string => id.slice('weed:'.length);

/** How many pieces stay, from the title of a weeding step. */
const afterColon = ({ title }: BenchStep): string => (title.includes(': ') ? `${title.split(': ')[1]}. ` : '');

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

import type { BenchStep } from './step.ts';

/** Why a step is there, and why in this place, in sentences. */
export interface Explained {
  readonly why: readonly string[];
  readonly here: readonly string[];
}

/** Steps that are named at most in one sentence. */
const NAMED = 4;

/**
 * Why this, why here: the reason, what of the job made it so, which steps it waits for, and which wait for it.
 *
 * @param steps all of them
 */
export function explainStep(step: BenchStep, steps: readonly BenchStep[]): Explained {
  const told = (ids: readonly string[]): string => {
    const titles = steps.filter(({ id }) => ids.includes(id)).map(({ title }) => `“${title}”`);
    const more = titles.length > NAMED ? [`${titles.length - NAMED} more`] : [];
    return new Intl.ListFormat('en-GB').format([...titles.slice(0, NAMED), ...more]);
  };
  const before = told(step.after);
  const following = told(steps.filter(({ after }) => after.includes(step.id)).map(({ id }) => id));
  return {
    why: [step.why, step.because].filter((one) => one !== null),
    here: [
      before ? `It comes after ${before}.` : 'Nothing has to be done before it.',
      ...(following ? [`It has to be done before ${following}.`] : []),
      ...(step.waitMinutes > 0 && step.beside.length > 0 ? [`While it waits: ${told(step.beside)}.`] : []),
    ],
  };
}

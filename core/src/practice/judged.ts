import { seeded } from '../numeric/seeded.ts';

/** What there is to practise, in the order in which the work meets it. */
export const EXERCISES = ['read-tape', 'which-height', 'close-seam', 'lay-wrap', 'slit-ball', 'find-seam', 'spot-failing', 'press-film'] as const; // prettier-ignore
export type ExerciseId = (typeof EXERCISES)[number];

/** One thing that an answer came to. */
export interface Outcome {
  readonly says: string;
  /** With its unit. */
  readonly value: string;
  /** Whether this is what went wrong. */
  readonly bad: boolean;
}

/** How an exercise went. */
export interface Judged {
  /** 0 … 100. */
  readonly score: number;
  readonly came: readonly Outcome[];
  /** What decided, in one sentence as a head and one that explains it. */
  readonly why: readonly [head: string, text: string];
  /** What to try; null after one that went well. */
  readonly tryThis: string | null;
}

/** Score from which an exercise went well. */
export const WENT_WELL = 80;

/** How many goes at each exercise are kept. */
export const GOES_KEPT = 30;

/**
 * A score that falls evenly.
 *
 * @param miss by how much one is off, ≥ 0
 * @param fine up to here nothing is lost
 * @param far from here on nothing is won
 */
export const scoreOf = (miss: number, fine: number, far: number): number =>
  Math.round(100 * Math.max(0, Math.min(1, (far - miss) / (far - fine))));

/** Draws for a task: the same for the same seed. */
export interface Draw {
  /** Evenly between two numbers. */
  between(from: number, to: number): number;
  /** Evenly between two numbers, of either sign. */
  either(from: number, to: number): number;
  /** One of a few. */
  of<T>(choices: readonly T[]): T;
}

/** Draws for one exercise from a seed, and none alike for two exercises of one seed. */
export function drawFor(exercise: ExerciseId, seed: number): Draw {
  const random = seeded(seed * 7919 + EXERCISES.indexOf(exercise) * 104_729 + 1);
  const between = (from: number, to: number): number => from + (to - from) * random();
  return {
    between,
    either: (from, to) => (random() < 0.5 ? -1 : 1) * between(from, to),
    of: (choices) => choices[Math.floor(random() * choices.length)]!,
  };
}

/** Rounded to a step, so that tasks have the sizes that things have. */
export const inSteps = (value: number, step: number): number => Math.round(value / step) * step;

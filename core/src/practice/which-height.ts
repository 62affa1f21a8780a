import { formatLength, type Units } from '../measure/length.ts';
import type { ConeSpec } from '../surface/cone.ts';
import { drawFor, inSteps, type Judged } from './judged.ts';

/** What a ruler can be read for. */
export type HeightIs = 'upright' | 'along' | 'neither';

/** A tapered cup with a ruler at it. */
export interface HeightTask {
  readonly seed: number;
  /** As it truly is, on the outside. */
  readonly cone: ConeSpec;
  /** mm. Thickness of its bottom. */
  readonly bottom: number;
  /** Where the ruler is: before it, on it, or down inside it. */
  readonly ruler: 'beside' | 'on the side' | 'inside';
  /** mm that it shows. */
  readonly shows: number;
  /** mm by which the flat could be off when it is taken for the wrong one; one of them is right. */
  readonly guesses: readonly number[];
}

const MEANS: Readonly<Record<HeightTask['ruler'], HeightIs>> = { beside: 'upright', 'on the side': 'along', inside: 'neither' }; // prettier-ignore

/** How far the edge comes in from rim to base, mm. */
const stepIn = ({ girthRim, girthBase }: ConeSpec): number => (girthRim - girthBase) / (2 * Math.PI);

/** mm of side that a reading makes when it is taken for one or the other. @source s = √(h² + (r₁ − r₂)²) */
export const sideFrom = (cone: ConeSpec, shows: number, takenFor: 'upright' | 'along'): number =>
  takenFor === 'along' ? shows : Math.hypot(shows, stepIn(cone));

/** What someone would take it for who does not look. */
export const takenWrongly = (task: HeightTask): 'upright' | 'along' =>
  MEANS[task.ruler] === 'upright' ? 'along' : 'upright';

/** mm by which the side on the flat is then too long (+) or too short. */
export const offBy = (task: HeightTask): number => sideFrom(task.cone, task.shows, takenWrongly(task)) - task.cone.side;

/** A cup and a ruler. */
export function makeWhichHeight(seed: number): HeightTask {
  const draw = drawFor('which-height', seed);
  const ruler = draw.of(['beside', 'on the side', 'inside'] as const);
  const [top, base] = [inSteps(draw.between(82, 98), 1), inSteps(draw.between(50, 66), 1)];
  const upright = inSteps(draw.between(78, 130), 0.5);
  const bottom = inSteps(draw.between(3, 6), 0.5);
  const cone = { girthRim: Math.PI * top, girthBase: Math.PI * base, side: Math.hypot(upright, (top - base) / 2) };
  const shows = { beside: upright, 'on the side': cone.side, inside: upright - bottom }[ruler];
  const task = { seed, cone, bottom, ruler, shows, guesses: [] as number[] };
  const right = Math.abs(offBy(task));
  // Of three in order the right one is now the first, now the last.
  const others = draw.of([
    [3, 9],
    [1 / 3, 3],
    [1 / 9, 1 / 3],
  ] as const);
  return { ...task, guesses: [right, ...others.map((by) => right * by)].sort((a, b) => a - b) };
}

/**
 * Judges what a reading was taken for, and how much the other would do.
 *
 * @param guess mm, one of `guesses`
 */
export function judgeWhichHeight(task: HeightTask, is: HeightIs, guess: number, units: Units): Judged {
  const right = MEANS[task.ruler];
  const off = offBy(task);
  const near = task.guesses.reduce((a, b) => (Math.abs(b - Math.abs(off)) < Math.abs(a - Math.abs(off)) ? b : a));
  const [kind, size] = [is === right, guess === near];
  const NAMES: Readonly<Record<HeightIs, string>> = { upright: 'Upright height', along: 'Length of the side', neither: 'Neither' }; // prettier-ignore
  const came = [
    { says: 'It is', value: NAMES[right], bad: !kind },
    { says: 'The side truly is', value: formatLength(task.cone.side, units), bad: false },
    { says: `Taken for ${takenWrongly(task) === 'upright' ? 'the upright height' : 'the side'}`, value: formatLength(sideFrom(task.cone, task.shows, takenWrongly(task)), units), bad: false }, // prettier-ignore
    { says: off > 0 ? 'The flat would be too long by' : 'The flat would be too short by', value: formatLength(Math.abs(off), units), bad: !size }, // prettier-ignore
  ];
  const score = (kind ? 60 : 0) + (size ? 40 : 0);
  const WHY: Readonly<Record<HeightIs, readonly [string, string, string]>> = {
    upright: ['A square stands upright', 'It goes from the table to the rim and leans with nothing: the side beside it is longer.', 'Look whether there is a wedge of air between ruler and cup: then it is the upright height.'], // prettier-ignore
    along: ['It lies on the side', 'It leans as the cup leans: what it shows is the length of the flat as it stands.', 'Look whether it touches all the way down: then it is the side.'], // prettier-ignore
    neither: ['That is the inside', `From the rim to the floor inside the cup: the bottom, ${formatLength(task.bottom, units)} thick, is not in it.`, 'Measure on the outside: a flat made from the inside ends too short.'], // prettier-ignore
  };
  const [head, text, tryThis] = WHY[right];
  if (kind && size) return { score, came, why: [head, text], tryThis: null };
  if (!kind) return { score, came, why: [head, text], tryThis };
  return {
    score,
    came,
    why: ['The right reading, another size', `The rim stands ${formatLength(stepIn(task.cone), units)} out over the base; by Pythagoras that makes ${formatLength(Math.abs(off), units)} here.`], // prettier-ignore
    tryThis: 'On a steep cup the two hardly differ; the more it flares, the faster they part, as the square.',
  };
}

import { FIT_PAPER_MM, predictFit, type FitPredicted } from '../measure/fit-check.ts';
import { formatLength, type Units } from '../measure/length.ts';
import type { BandSizes } from '../model/fit-check.ts';
import { drawFor, inSteps, type Judged, scoreOf } from './judged.ts';

/** A cup whose readings are off, and the paper that was made by them. */
export interface CloseTask {
  readonly seed: number;
  /** As it is. */
  readonly truth: BandSizes;
  /** As it was read. */
  readonly read: BandSizes;
  readonly colour: string;
}

const FINE_MM = 0.5;
const SIZES = ['girthRim', 'girthBase', 'side'] as const;

/** A tapered cup that was read in a hurry. */
export function makeCloseSeam(seed: number): CloseTask {
  const draw = drawFor('close-seam', seed);
  const truth = {
    girthRim: inSteps(draw.between(255, 300), 0.5),
    girthBase: inSteps(draw.between(180, 225), 0.5),
    side: inSteps(draw.between(92, 128), 0.5),
  };
  const read = {
    girthRim: truth.girthRim + inSteps(draw.either(1.5, 5), 0.5),
    girthBase: truth.girthBase + inSteps(draw.either(1.5, 5), 0.5),
    side: truth.side + inSteps(draw.either(1, 3), 0.5),
  };
  return { seed, truth, read, colour: draw.of(['#C6CBCE', '#3E5C76', '#7A8B74', '#A6785C']) };
}

/** What a paper that was made by sizes shows on the cup, mm. */
export function paperShows({ truth }: CloseTask, sizes: BandSizes): FitPredicted {
  const inPaper = ({ girthRim, girthBase, side }: BandSizes): BandSizes => ({
    girthRim: girthRim + Math.PI * FIT_PAPER_MM,
    girthBase: girthBase + Math.PI * FIT_PAPER_MM,
    side,
  });
  return predictFit(inPaper(sizes), inPaper(truth));
}

/** Whether sizes make a cup at all. */
export const makesACup = ({ girthRim, girthBase, side }: BandSizes): boolean =>
  girthRim > 0 && girthBase > 0 && Math.abs(girthRim - girthBase) / (2 * Math.PI) < side;

/** Judges corrected sizes by what a new paper would show. */
export function judgeCloseSeam(task: CloseTask, sizes: BandSizes, units: Units): Judged {
  const say = (mm: number): string => formatLength(Math.abs(mm), units);
  const before = paperShows(task, task.read);
  const after = paperShows(task, sizes);
  const left = { girthRim: after.gapRimMm, girthBase: after.gapBaseMm, side: after.standMm };
  const was = { girthRim: before.gapRimMm, girthBase: before.gapBaseMm, side: before.standMm };
  const worst = SIZES.reduce((a, b) => (Math.abs(left[b]) > Math.abs(left[a]) ? b : a));
  const farOff = Math.max(...SIZES.map((size) => Math.abs(was[size])));
  const come = (
    name: string,
    size: (typeof SIZES)[number],
    words: readonly [string, string],
  ): Judged['came'][number] => ({
    says: `${name} ${words[left[size] >= 0 ? 0 : 1]}`,
    value: say(left[size]),
    bad: Math.abs(left[size]) > FINE_MM,
  });
  const came = [
    come('Rim', 'girthRim', ['gapes by', 'laps by']),
    come('Base', 'girthBase', ['gapes by', 'laps by']),
    come('The paper', 'side', ['stands above the rim by', 'ends below the rim by']),
  ];
  const score = scoreOf(Math.abs(left[worst]), FINE_MM, Math.max(2, farOff));
  if (Math.abs(left[worst]) <= FINE_MM)
    return { score, came, why: ['It closes', 'Rim and base meet, and the paper ends where the cup does.'], tryThis: null }; // prettier-ignore
  const NAMES = { girthRim: 'girth at the rim', girthBase: 'girth at the base', side: 'length of the side' } as const;
  const turned = Math.abs(left[worst]) > Math.abs(was[worst]) + FINE_MM;
  if (turned)
    return {
      score,
      came,
      why: ['The wrong way', `The ${NAMES[worst]} was ${say(was[worst])} off, and is ${say(left[worst])} off now.`],
      tryThis: worst === 'side' ? 'Paper that stands above the rim is too long: take that off the side. Paper that ends below it lacks as much.' : 'A gap means that the paper is too short there: add it to the girth. Where it laps, take it off.', // prettier-ignore
    };
  return {
    score,
    came,
    why: [`The ${NAMES[worst]} is still off`, `It was ${say(was[worst])} off, and ${say(left[worst])} are left.`],
    tryThis: 'Each of the three numbers is put right by what was seen where it belongs, one for one: the seam’s gap is the girth’s error.', // prettier-ignore
  };
}
